import { attempt } from '../../calc/attempt';
import { crawler } from '../../cranes/crawler.calc';
import { type cornerName, craneOutriggers } from '../../cranes/outriggers.calc';
import { wrapDeg } from '../../geometry/plane';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import type { LiftPath } from '../../settle/lift-path';
import { Missing } from '../../verdict/missing';
import type { Crane, Stand } from '../../document/schema';

export type CornerKey = keyof typeof cornerName;

export interface StandLoad {
  corner: CornerKey;
  reaction: number;
  azimuthDeg: number;
  traces: Check['traces'];
}

/** The radius of a hook with the load on, from the radius it was set at. */
type Loaded = (radius: number) => number;

export type PartInput = { weight: number; x: number; y: number } | { weight: number; r: number };

/** What a crane weighs at a radius, part by part: whether all of it is known is asked before. */
export function outriggerParts(crane: Crane, boom: number, radius: number, loadMass: number): PartInput[] {
  const parts = crane.parts.map((part): PartInput => {
    const weight = part.mass * GRAVITY;
    if (part.on === 'chassis') return { weight, x: part.x!, y: part.y };
    if (part.on === 'slewing') return { weight, r: part.r! };
    // A straight boom: its mass stands at its share of the way from the foot pin to the tip, seen from above.
    return { weight, r: part.along! * (radius + crane.pivotBack) - crane.pivotBack };
  });
  return [...parts, { weight: loadMass * GRAVITY, r: radius }];
}

/** What a crane’s weight stands on, in the words of the field. */
const PART = { chassis: 'carrier', slewing: 'upper works', boom: 'boom' } as const;

/** Worst outrigger over the whole way of the lift; null when the crane tips at a station. */
export function worstOutrigger(
  crane: Crane,
  stand: Stand,
  boom: number,
  path: LiftPath,
  load: { mass: number; least: number },
  loaded: Loaded,
): StandLoad | { tipsAtDeg: number } | Missing {
  // A heavy load presses under the boom, the boom bent; a light one leaves the counterweight its way: both are run.
  const heavy = outriggersUnder(crane, stand, boom, path, load.mass, loaded);
  if (heavy instanceof Missing || 'tipsAtDeg' in heavy) return heavy;
  const light = outriggersUnder(crane, stand, boom, path, load.least, (radius) => radius);
  if (light instanceof Missing || 'tipsAtDeg' in light) return light;
  return light.reaction > heavy.reaction ? light : heavy;
}

/** Why what a crane weighs, and where, is not known; null where it is. */
export function unweighed(crane: Crane): Missing | null {
  const weightless = crane.parts.filter((one) => one.mass === 0).map((one) => one.what.toLowerCase());
  if (weightless.length > 0) return new Missing(`0 kg for ${weightless.join(', ')} of ${crane.name}? What does it weigh? What the ground carries needs it.`);
  if (crane.parts.length === 0) return new Missing(`What do the parts of ${crane.name} weigh, and where? What the ground carries needs them.`);
  // Every crane has all three: one that is left out stands as if it weighed nothing.
  const without = (['chassis', 'slewing', 'boom'] as const).filter((on) => !crane.parts.some((one) => one.on === on));
  if (without.length > 0)
    return new Missing(
      `What weigh the parts of ${crane.name} on its ${without.map((on) => PART[on]).join(' and ')}? None is listed. What the ground carries needs them.`,
    );
  const unplaced = crane.parts.filter((one) => whereOf(one) === null).map((one) => one.what.toLowerCase());
  if (unplaced.length > 0)
    return new Missing(`How far from the slew centre of ${crane.name} is the weight of ${unplaced.join(', ')}? What the ground carries needs it.`);
  return null;
}

export const asksMat = ({ name }: Stand): string => `How large is the mat under each outrigger at ${name}?`;
export const asksGround = ({ name }: Stand): string => `What may the ground at ${name} carry? Who says so?`;
export const asksShoe = ({ name }: Crane): string => `How wide is one track of ${name}?`;
/** What nobody has said of a crane and of the ground it stands on; null: what it presses with can be held against what that carries. */
export const groundAsks = (crane: Crane, stand: Stand): string | null =>
  unweighed(crane)?.questions[0] ??
  (crane.tracks ? (crane.tracks.shoe === null ? asksShoe(crane) : null) : stand.padArea === null ? asksMat(stand) : null) ??
  (stand.groundAllowable === null ? asksGround(stand) : null);

/** How far a part is from the slew centre, or along the boom; null while nobody has said it. */
const whereOf = (part: Crane['parts'][number]): number | null => (part.on === 'chassis' ? part.x : part.on === 'slewing' ? part.r : part.along);

function outriggersUnder(
  crane: Crane,
  stand: Stand,
  boom: number,
  path: LiftPath,
  loadMass: number,
  loaded: Loaded,
): StandLoad | { tipsAtDeg: number } | Missing {
  const unknown = unweighed(crane);
  if (unknown) return unknown;
  let worst: StandLoad | null = null;
  for (const station of path.stations) {
    const azimuthDeg = wrapDeg(station.bearingDeg - stand.azimuthDeg);
    const parts = outriggerParts(crane, boom, loaded(station.radius), loadMass);
    const input = { baseLength: crane.baseLength, baseWidth: crane.baseWidth, parts, azimuthDeg };
    const output = craneOutriggers.compute(input);
    if (output.reaction === null) return { tipsAtDeg: azimuthDeg };
    for (const [corner, reaction] of Object.entries(output.reaction) as [CornerKey, number][])
      if (worst === null || !(reaction <= worst.reaction)) worst = { corner, reaction, azimuthDeg, traces: [{ calc: craneOutriggers.id, input, output }] };
  }
  return worst ?? new Missing('The lift has no way to follow.');
}

export interface TrackLoad {
  side: 'left' | 'right';
  pressure: number;
  bearing: number;
  azimuthDeg: number;
  traces: Check['traces'];
}

/** The track that presses hardest over the whole way of the lift, with the heaviest and the lightest load. */
export function worstTrack(
  crane: Crane,
  stand: Stand,
  boom: number,
  path: LiftPath,
  load: { mass: number; least: number },
  loaded: Loaded,
): TrackLoad | { tipsAtDeg: number } | Missing {
  const unknown = unweighed(crane);
  if (unknown) return unknown;
  const shoe = crane.tracks?.shoe ?? null;
  if (shoe === null) return new Missing(asksShoe(crane));
  let worst: TrackLoad | null = null;
  const cases = [
    { mass: load.mass, at: loaded },
    { mass: load.least, at: (radius: number) => radius },
  ];
  for (const { mass, at } of cases)
    for (const station of path.stations) {
      const azimuthDeg = wrapDeg(station.bearingDeg - stand.azimuthDeg);
      const turn = (azimuthDeg * Math.PI) / 180;
      const parts = outriggerParts(crane, boom, at(station.radius), mass).map((part) =>
        'r' in part ? { weight: part.weight, x: part.r * Math.cos(turn), y: part.r * Math.sin(turn) } : part,
      );
      const input = {
        weight: parts.reduce((sum, one) => sum + one.weight, 0),
        gauge: crane.baseWidth,
        trackLength: crane.baseLength,
        trackWidth: shoe,
        momentFront: parts.reduce((sum, one) => sum + one.weight * one.x, 0),
        momentLeft: parts.reduce((sum, one) => sum + one.weight * one.y, 0),
      };
      const outcome = attempt(crawler, input);
      if (!outcome.ok) return { tipsAtDeg: azimuthDeg };
      for (const side of ['left', 'right'] as const) {
        const { pressure, bearing } = outcome.output[side];
        if (worst === null || pressure > worst.pressure)
          worst = { side, pressure, bearing, azimuthDeg, traces: [{ calc: crawler.id, input, output: outcome.output }] };
      }
    }
  return worst ?? new Missing('The lift has no way to follow.');
}
