import { wrapDeg } from '../../geometry/plane';
import type { PickContext } from '../context';
import { worstOutrigger, worstTrack } from '../site/under-crane';
import type { LiftPath } from '../../settle/lift-path';
import { Missing } from '../../verdict/missing';

/** What stands under a crane with its boom one way round. */
export interface Round {
  /** boom off the front of the carrier, to the left positive */
  azimuthDeg: number;
  /** the most on one outrigger [N], or under one track [Pa]; null: it tips */
  most: number | null;
}

export interface AllRound {
  kind: 'outriggers' | 'tracks';
  /** at the greatest radius of the way, all round */
  round: Round[];
  /** at the stations of the way itself */
  way: Round[];
  /** what one outrigger may bring onto its mat [N], or the ground may take [Pa]; null: not known */
  limit: number | null;
}

/** From one azimuth to the next [°]. */
const STEP = 5;

/** What stands under the crane of a lift with its boom any way round at the greatest radius, and on the way it really goes. */
export function allRound({ crane, stand, pick, path, gross, loaded }: PickContext): AllRound | Missing {
  if (crane.tower) return new Missing(`${crane.name} stands on a mast: what comes down at its legs is its maker’s figure.`);
  if (path instanceof Missing) return path;
  if (gross instanceof Missing) return gross;
  const tracked = (crane.tracks ?? null) !== null;
  const at = (stations: LiftPath['stations']): number | null | Missing => {
    const found = (tracked ? worstTrack : worstOutrigger)(crane, stand, pick.boom, { ...path, stations }, gross, loaded);
    if (found instanceof Missing) return found;
    if ('tipsAtDeg' in found) return null;
    return 'pressure' in found ? found.pressure : found.reaction;
  };
  const far = path.stations.reduce((a, b) => (b.radius > a.radius ? b : a));
  const told = (stations: LiftPath['stations'], azimuthDeg: number): Round | Missing => {
    const most = at(stations);
    return most instanceof Missing ? most : { azimuthDeg, most };
  };
  const round = Array.from({ length: 360 / STEP }, (_, n) => told([{ ...far, bearingDeg: stand.azimuthDeg + n * STEP }], n * STEP));
  const way = path.stations.map((station) => told([station], wrapDeg(station.bearingDeg - stand.azimuthDeg)));
  const unknown = [...round, ...way].find((one) => one instanceof Missing);
  if (unknown) return unknown;
  const limit = tracked ? stand.groundAllowable : stand.groundAllowable === null || stand.padArea === null ? null : stand.groundAllowable * stand.padArea;
  return { kind: tracked ? 'tracks' : 'outriggers', round: round as Round[], way: way as Round[], limit };
}
