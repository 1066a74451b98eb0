import { releaseBolts } from '../../gates/release.calc';
import { phrase, q, type Phrase } from '../../calc/work';
import { flatStop, missingCheck, ratioCheck, told } from '../../verdict/build';
import { namesPerson } from '../../document/records';
import type { PutLoad } from '../../document/schema';
import type { Ground } from './ground';
import { about, place } from './places';
import { beamAt, braceAt, isMade, jointAt, type StructureMoment } from '../../replay/moment';

/** Spans of 29 CFR 1926.757(d), from memory: over 40 ft one row near the middle, over 60 ft every row and in tandem [m]. */
const BRIDGED = 12.192;
const TANDEM = 18.288;
/** A row this near the middle of the span is the one at midspan [share of the span]. */
const NEAR_MIDDLE = 0.15;
/** 29 CFR 1926.757(e)(4), from memory: 4,000 lb [N], on three joists, an edge within 1 ft of the bearing end [m]. */
const BUNDLE = { force: 17_793, joists: 3, edge: 0.3048 } as const;

const where = ({ beams }: Ground, id: string, piece: string, move: string | null, part?: string, clause = '29 CFR 1926.757(d), from memory') =>
  place(id, about('beam', { id: piece }, beams.get(piece)!.beam.mark, part), move, releaseBolts.id, clause);

/** Ends of a joist that are fixed to what carries them. */
function fixedEnds({ by, beams }: Ground, id: string, moment: StructureMoment): number {
  const length = beams.get(id)!.place?.length ?? 0;
  const made = (by.joints.get(id) ?? []).filter(({ joint }) => joint.a.piece === id && isMade(jointAt(moment, joint.id)));
  return [0, length].filter((edge) => made.some(({ at }) => Math.abs(at - edge) < 0.5)).length;
}

/** Rows of bridging of a joist, and those that are in and end at something that is there. */
function bridging({ by }: Ground, id: string, moment: StructureMoment): { rows: { at: number; in: boolean; other: string | null }[] } {
  return {
    rows: (by.braces.get(id) ?? [])
      .filter(({ brace }) => brace.kind === 'bridging')
      .map(({ brace, at, other }) => ({ at, other, in: braceAt(moment, brace.id) && (other === null || beamAt(moment, other).where !== 'away') })),
  };
}

/** Before the hook goes of a joist: both ends fixed, bridging by its span, the long ones in tandem. */
export function joistChecks(ground: Ground, id: string, moment: StructureMoment, move: string | null): void {
  const { beams, rows } = ground;
  const { beam, make, place: stands } = beams.get(id)!;
  if (make.joist !== true || !stands) return;
  const count = (at: ReturnType<typeof where>, demand: number, capacity: number, words: Phrase) =>
    rows.put(ratioCheck(at, { demand, capacity, quantity: 'count', caution: null, inclusive: true }, told(words), []));
  const ends = fixedEnds(ground, id, moment);
  count(
    where(ground, 'joist.ends', id, move, undefined, '29 CFR 1926.757(b), from memory'),
    2,
    ends,
    phrase`${beam.mark} is fixed at ${String(ends)} of its two ends when the hook lets go.`,
  );
  if (stands.length <= BRIDGED) return;
  const all = bridging(ground, id, moment).rows;
  const long = stands.length > TANDEM;
  if (all.length === 0)
    return rows.put(
      missingCheck(
        where(ground, 'joist.bridging', id, move),
        'count',
        `${beam.mark} spans more than ${long ? '60' : '40'} ft and has no bridging in this plan. Which rows of bridging does it have, and what do they end at?`,
      ),
    );
  const fixed = all.filter((one) => one.in);
  const middle = fixed.filter(({ at }) => Math.abs(at - stands.length / 2) <= NEAR_MIDDLE * stands.length);
  count(
    where(ground, 'joist.bridging', id, move),
    long ? all.length : 1,
    long ? fixed.length : middle.length,
    long
      ? phrase`${beam.mark} spans ${q(stands.length, 'length')}: ${String(fixed.length)} of its ${String(all.length)} rows of bridging are in when the hook lets go; all are wanted.`
      : phrase`${beam.mark} spans ${q(stands.length, 'length')}: ${String(middle.length)} rows of bridging near its middle are in when the hook lets go; one is wanted.`,
  );
  if (!long) return;
  const beside = fixed.some(({ other }) => other !== null && beams.get(other)?.make.joist === true);
  if (beside || namesPerson(make.otherWayBy ?? ''))
    count(
      where(ground, 'joist.tandem', id, move, undefined, '29 CFR 1926.757(a)(4), from memory'),
      1,
      1,
      phrase`${beam.mark} stands bridged to its neighbour, or by another way a qualified person designed.`,
    );
  else
    rows.put(
      flatStop(
        where(ground, 'joist.tandem', id, move, undefined, '29 CFR 1926.757(a)(4), from memory'),
        'length',
        told(
          phrase`${beam.mark} spans ${q(stands.length, 'length')}, over 60 ft: it is set in tandem with its neighbour and all bridging in, or by another way that a qualified person designed. Neither is said.`,
        ),
        [],
      ),
    );
}

/** A bundle of deck on joists, only as the rule lists. */
export function bundleChecks(ground: Ground, load: PutLoad, moment: StructureMoment, move: string | null): void {
  const { beams, rows } = ground;
  const { beam, make } = beams.get(load.piece)!;
  if (make.joist !== true) return;
  const at = (part: string) => where(ground, 'joist.bundle', beam.id, move, `${load.id} ${part}`, '29 CFR 1926.757(e)(4), from memory');
  const bundle = load.bundle ?? null;
  if (bundle === null)
    return rows.put(
      missingCheck(
        at('said'),
        'force',
        `What does the bundle weigh of which ${load.what} is a part, on how many joists does it lie, how far from their ends, and who found that they carry it?`,
      ),
    );
  const put = (part: string, demand: number, capacity: number, quantity: 'force' | 'count' | 'length', words: Phrase) =>
    rows.put(ratioCheck(at(part), { demand, capacity, quantity, caution: null, inclusive: true }, told(words), []));
  put(
    'weight',
    bundle.force,
    BUNDLE.force,
    'force',
    phrase`The bundle of ${load.what} weighs ${q(bundle.force, 'force')}; on joists ${q(BUNDLE.force, 'force')} may be.`,
  );
  put('joists', BUNDLE.joists, bundle.joists, 'count', phrase`The bundle of ${load.what} lies on ${String(bundle.joists)} joists; at least three are wanted.`);
  put(
    'edge',
    bundle.edge,
    BUNDLE.edge,
    'length',
    phrase`The bundle of ${load.what} lies ${q(bundle.edge, 'length')} from the end of the joists; ${q(BUNDLE.edge, 'length')} may be.`,
  );
  const ends = fixedEnds(ground, beam.id, moment);
  put('ends', 2, ends, 'count', phrase`${beam.mark} is fixed at ${String(ends)} of its two ends when ${load.what} comes on.`);
  const fixed = bridging(ground, beam.id, moment).rows.filter((one) => one.in).length;
  put('bridging', 1, fixed, 'count', phrase`${beam.mark} has ${String(fixed)} rows of bridging in when ${load.what} comes on; one is wanted.`);
  if (!namesPerson(bundle.by)) rows.put(missingCheck(at('by'), 'count', `Which qualified person found that the joists carry the bundle of ${load.what}?`));
}
