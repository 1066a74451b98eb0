import { phrase, q } from '../../calc/work';
import type { SwayStands } from '../../frame/sway';
import { missingCheck, ratioCheck, told } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import { heldOf } from '../../replay/held';
import { AIR_DENSITY } from '../../settle/wind';
import { isMade, jointAt, type StructureMoment } from '../../replay/moment';
import { bendingCapacity } from '../../settle/section-strength';
import { worstRows, type At, type Row } from './frame-rows';
import type { FrameModel, Stack } from './frame-model';
import type { Ground } from './ground';
import { about } from './places';

/** Less than this brought by the wind is none [N]. */
const NOTHING = 1;

/** Columns that stand on beams: what their joints there hand on sideways and hold down, and what the wind brings onto the beams by them. */
export function riderRows(
  ground: Ground,
  model: FrameModel,
  answers: readonly SwayStands[],
  { drags, gust }: { drags: readonly (readonly number[])[]; gust: number },
  moment: StructureMoment,
  at: At,
): Row[] {
  const joints: { row: Row; ratio: number }[] = [];
  const bent: { row: Row; ratio: number }[] = [];
  model.stacks.forEach((stack, s) => {
    if (!('joint' in stack.on)) return;
    // By bending, by half of the wind on it, and by what it carries as it leans: the frame’s furthest going is more than its own.
    const drift = Math.max(...answers.map((one) => one.drift));
    const wind = stack.pieces.reduce((sum, one) => sum + windOn(ground, one, gust) / 2, 0);
    const leans = stack.down * (ground.context.rules.value('lean') + (2 * drift) / stack.heights.at(-1)!);
    const shear = Math.max(...answers.map(({ columns }) => columns[s]!.shear)) + wind + leans;
    const [up, down] = [Math.max(0, ...drags[s]!), Math.max(0, ...drags[s]!.map((one) => -one))];
    joints.push(...jointRow(ground, stack, { lifts: Math.max(0, up - stack.light), shear }, moment, at));
    if (down > NOTHING) bent.push(...beamRow(ground, stack, down, moment, at));
  });
  return [...worstRows(joints, ground.caution), ...worstRows(bent, ground.caution)];
}

/** What a gust pushes on a column. */
function windOn({ context: { rules } }: Ground, { section, place }: Stack['pieces'][number], gust: number): number {
  if (section instanceof Missing) return 0;
  return 0.5 * AIR_DENSITY * gust ** 2 * rules.value('girderDrag') * rules.value('windFactor') * Math.max(section.depth, section.width) * place!.length;
}

type Rated = { row: Row; ratio: number };
const asked = (row: Row): Rated[] => [{ row, ratio: Infinity }];

function jointRow({ caution }: Ground, { on }: Stack, { lifts, shear }: { lifts: number; shear: number }, moment: StructureMoment, at: At): Rated[] {
  if (!('joint' in on)) return [];
  const { joint } = on;
  const where = () => at('joint.sway', about('joint', joint, joint.name));
  const state = jointAt(moment, joint.id);
  const demand = Math.hypot(lifts, shear);
  // How many bolts are in is asked before the hook lets go.
  if (!isMade(state) || state.bolts === null) return [];
  if (joint.boltShear === null) return demand < NOTHING ? [] : asked(missingCheck(where(), 'force', `What may one bolt of ${joint.name} carry?`));
  const numbers = { demand, capacity: (state.bolts + state.pins) * joint.boltShear, quantity: 'force' as const, caution };
  return [
    {
      ratio: numbers.capacity > 0 ? demand / numbers.capacity : Infinity,
      row: {
        id: 'joint.sway',
        kind: 'joint',
        thing: joint.id,
        part: undefined,
        numbers,
        tell: () =>
          ratioCheck(
            where(),
            numbers,
            told(
              phrase`In the wind ${joint.name} hands on ${q(shear, 'force')} sideways and is lifted with ${q(lifts, 'force')}: ${q(demand, 'force')} on bolts and pins good for ${q(numbers.capacity, 'force')}.`,
            ),
            [],
          ),
      },
    },
  ];
}

/** The beam under such a column, bent by what the wind brings down there on top of what lies on it. */
function beamRow(ground: Ground, { on, pieces }: Stack, down: number, moment: StructureMoment, at: At): Rated[] {
  const { context, beams, by, caution, latest } = ground;
  const { rules } = context;
  if (!('joint' in on)) return [];
  const { piece: id, at: spot } = on.joint.b;
  const { beam, section, fy } = beams.get(id)!;
  const line = latest.get(id);
  const span = line?.spans.find((one) => one.id === id);
  const answer = line?.answers?.[rules.id === 'us-asd' ? 'plain' : 'factored'];
  const feels = answer?.stable ? answer.pieces.get(id) : undefined;
  if (!line || !span || !feels || section instanceof Missing || !(fy > 0)) return [];
  const where = at('beam.ridden', about('beam', beam, beam.mark));
  const { left, right } = restsBy(ground, line, span, spot);
  // Past its last rest it is bent by the whole arm; between two as a beam that turns freely there.
  const [before, past] = [left?.off ?? Infinity, right?.off ?? Infinity];
  const more = !left || !right ? down * Math.min(before, past) : before + past > 0 ? (down * before * past) / (before + past) : 0;
  const free = heldOf(line, moment, by).get(id)?.free ?? line.spans.at(-1)!.to;
  const strength = bendingCapacity(section, fy, rules, { length: free, factor: 1 });
  if (strength instanceof Missing) return asked(missingCheck(where, 'moment', strength.questions.join(' ')));
  const lies = Math.max(feels.sagging, feels.hogging);
  const numbers = { demand: lies + more, capacity: strength.capacity, quantity: 'moment' as const, caution };
  const { mark } = pieces[0]!.beam;
  return [
    {
      ratio: numbers.demand / numbers.capacity,
      row: {
        id: 'beam.ridden',
        kind: 'beam',
        thing: beam.id,
        part: undefined,
        numbers,
        tell: () =>
          ratioCheck(
            where,
            numbers,
            told(
              phrase`In the wind ${mark} comes down on ${beam.mark} with ${q(down, 'force')} more: that bends it ${q(more, 'moment')} over the ${q(lies, 'moment')} of what lies on it; it is good for ${q(strength.capacity, 'moment')}.`,
            ),
            strength.traces,
          ),
      },
    },
  ];
}

type Line = NonNullable<ReturnType<Ground['latest']['get']>>;
/** A seat or a joint on which a line rests, and how far it is from a place. */
interface Rest {
  key: string;
  off: number;
}

/** The rests nearest to a place on a line, before and past it. */
function restsBy({ by }: Ground, line: Line, span: Line['spans'][number], spot: number): { left: Rest | null; right: Rest | null } {
  const placed = ({ from, to, flipped }: Line['spans'][number], at: number) => (flipped ? to - at : from + at);
  const x = placed(span, spot);
  const rests = line.spans
    .flatMap((one) => [
      ...(by.seats.get(one.id) ?? []).map(({ key, at }) => ({ key, x: placed(one, at) })),
      ...(by.joints.get(one.id) ?? []).flatMap(({ joint, at }) => (joint.a.piece === one.id ? [{ key: joint.id, x: placed(one, at) }] : [])),
    ])
    .filter(({ key }) => line.carried.plain.has(key));
  const nearest = (list: typeof rests): Rest | null =>
    list.reduce<Rest | null>((best, one) => (best === null || Math.abs(one.x - x) < best.off ? { key: one.key, off: Math.abs(one.x - x) } : best), null);
  return { left: nearest(rests.filter((one) => one.x <= x)), right: nearest(rests.filter((one) => one.x > x)) };
}

/** What the wind brings by a column onto the joints and seats of the beam under it [N]. */
export function ontoRests(ground: Ground, { on }: Stack, down: number): { key: string; force: number }[] {
  if (!('joint' in on)) return [];
  const { piece, at } = on.joint.b;
  const line = ground.latest.get(piece);
  const span = line?.spans.find(({ id }) => id === piece);
  if (!line || !span) return [];
  const { left, right } = restsBy(ground, line, span, at);
  if (left && right) {
    const whole = left.off + right.off;
    return [
      { key: left.key, force: (down * right.off) / whole },
      { key: right.key, force: (down * left.off) / whole },
    ];
  }
  const one = left ?? right;
  return one ? [{ key: one.key, force: down }] : [];
}
