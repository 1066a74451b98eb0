import { phrase, q } from '../../calc/work';
import type { SwayStands } from '../../frame/sway-frame';
import { missingCheck, ratioCheck, told } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import { heldOf } from '../../replay/held';
import type { StructureMoment } from '../../replay/moment';
import { bendingCapacity, postCapacity } from '../../settle/section-strength';
import type { Check } from '../../verdict/check';
import type { LinePiece } from '../../stage/line';
import type { LoadCase } from './forces';
import { rated, worstRows, type At, type Rated, type Row } from './frame-rows';
import type { FrameModel, Portal } from './frame-model';
import type { Ground } from './ground';
import { about } from './places';

type Felt = SwayStands['rafters'][number];
const ENDS = ['a', 'b'] as const;

/** Beams that keep their angle to columns: what bends their joints and themselves as the frame leans. */
export function portalRows(ground: Ground, { rails, rafters }: FrameModel, answers: readonly SwayStands[], moment: StructureMoment, at: At): Row[] {
  const felt = rails.map((portal, i) => ({ portal, ends: answers.map((one) => one.rails[i]!) }));
  const pressed = rafters.flatMap((portal, i) => (portal.ends.a.keeps || portal.ends.b.keeps ? [{ portal, ends: answers.map((one) => one.rafters[i]!) }] : []));
  return [
    ...worstRows(
      [...felt, ...pressed].flatMap(({ portal, ends }) =>
        ENDS.flatMap(
          (end) =>
            jointRow(
              ground,
              portal,
              end,
              ends.map((one) => one[end]),
              at,
            ) ?? [],
        ),
      ),
      ground.caution,
    ),
    ...worstRows(
      felt.flatMap(({ portal, ends }) => spliceRows(ground, portal, ends, at)),
      ground.caution,
    ),
    ...worstRows(
      felt.flatMap(({ portal, ends }) => portal.line.beams.flatMap((id) => beamRow(ground, portal, id, ends, moment, at) ?? [])),
      ground.caution,
    ),
    ...worstRows(
      pressed.flatMap(({ portal, ends }) => portal.line.beams.flatMap((id) => rafterRow(ground, portal, id, ends, moment, at) ?? [])),
      ground.caution,
    ),
  ];
}

/** A joint that holds the angle, against the moment the engineer gave it. */
function jointRow({ caution }: Ground, { ends }: Portal, end: 'a' | 'b', hogs: readonly number[], at: At): Rated | null {
  const { joint, keeps } = ends[end];
  if (!keeps || joint.moment === null) return null;
  const capacity = joint.moment;
  const numbers = { demand: Math.max(...hogs.map(Math.abs)), capacity, quantity: 'moment' as const, caution };
  return {
    ratio: numbers.demand / capacity,
    row: {
      id: 'joint.portal',
      kind: 'joint',
      thing: joint.id,
      part: undefined,
      numbers,
      tell: () =>
        ratioCheck(
          at('joint.portal', about('joint', joint, joint.name)),
          numbers,
          told(
            phrase`${joint.name} keeps the angle between beam and column: what lies on the beam, wind and lean bend it ${q(numbers.demand, 'moment')}; the engineer gives it ${q(capacity, 'moment')}.`,
          ),
          [],
        ),
    },
  };
}

/** The splices of such a beam: by what bends them where its ends turn freely, less what its ends hog in each wind. */
function spliceRows({ context, by, caution }: Ground, { line, length }: Portal, ends: readonly { a: number; b: number }[], at: At): Rated[] {
  const answer = line.answers?.[context.rules.id === 'us-asd' ? 'plain' : 'factored'];
  if (!answer?.stable) return [];
  const start = line.spans[0]!.from;
  return line.spans.slice(1).flatMap((span, i): Rated[] => {
    const before = line.spans[i]!;
    const joint = (by.joints.get(before.id) ?? []).find(({ joint: one, other }) => one.kind === 'splice' && other === span.id)?.joint;
    // What it may carry is asked where it is spliced.
    if (!joint || joint.moment === null) return [];
    const free = answer.pieces.get(before.id)!.right.moment;
    const share = (span.from - start) / length;
    const demand = Math.max(...ends.map(({ a, b }) => Math.abs(free - a * (1 - share) - b * share)));
    const numbers = { demand, capacity: joint.moment, quantity: 'moment' as const, caution };
    const { moment } = joint;
    return [
      rated(
        { id: 'splice.portal', kind: 'joint', thing: joint, numbers },
        at,
        () =>
          phrase`As the frame leans ${joint.name}, in a beam stiffly joined to its columns, is bent ${q(demand, 'moment')}; the engineer gives it ${q(moment, 'moment')}.`,
      ),
    ];
  });
}

/** A piece of rafters in one wind: the most it hogs and sags, and what presses it along. */
function rafterFeels(
  { line }: Portal,
  id: string,
  which: LoadCase,
  { thrust, a, b }: Felt,
): { hogs: number; sags: number; axial: number; farHogs: boolean } | null {
  const bent = line.bent?.[which];
  const span = line.spans.findIndex((one) => one.id === id);
  const own = bent?.free.pieces.get(id);
  const leg = bent?.rafters.legs.find((one) => one.piece === id);
  if (!bent || !own || !leg || span < 0) return null;
  const [start, end] = [bent.rafters.legs[0]!.from, bent.rafters.legs.at(-1)!.to];
  const takes = (x: number, height: number) => thrust * height + (a * (end - x) + b * (x - start)) / (end - start);
  const [from, to] = [takes(leg.from, leg.low), takes(leg.to, leg.high)];
  const ends = { left: own.left.moment - from, right: own.right.moment - to };
  const flat = (leg.to - leg.from) / Math.hypot(leg.to - leg.from, leg.high - leg.low);
  const lies = bent.line.find((one) => one.id === id)!;
  const whole = Math.abs(lies.from - leg.from) < 1e-6 && Math.abs(lies.to - leg.to) < 1e-6;
  // A piece that stands out past its column is bounded by what it bends freely.
  const bends = whole ? betweenEnds(lies, ends) : { hogs: Math.max(-ends.left, -ends.right) + own.hogging, sags: own.sagging - Math.min(from, to) };
  return {
    hogs: Math.max(0, bends.hogs),
    sags: Math.max(0, bends.sags),
    axial: own.shear * Math.sqrt(1 - flat ** 2) + Math.abs(thrust) * flat,
    farHogs: ends.left < 0 && ends.right < 0,
  };
}

/** The most a piece hogs and sags between its ends, by what it bends there and what lies on it. */
export function betweenEnds({ from, to, stretches, loads }: LinePiece, { left, right }: { left: number; right: number }): { hogs: number; sags: number } {
  const length = to - from;
  const { load } = stretches[0]!;
  const inside = [...loads].sort((one, other) => one.x - other.x);
  let shear = (right - left + (load * length ** 2) / 2 + inside.reduce((sum, { x, force }) => sum + force * (to - x), 0)) / length;
  const met = [left, right];
  let [at, moment] = [from, left];
  for (const { x, force } of [...inside, { x: to, force: 0 }]) {
    const peak = load !== 0 ? shear / load : -1;
    if (peak > 0 && peak < x - at) met.push(moment + (shear * peak) / 2);
    moment += shear * (x - at) - (load * (x - at) ** 2) / 2;
    shear -= load * (x - at) + force;
    at = x;
    met.push(moment);
  }
  return { hogs: Math.max(...met.map((one) => -one)), sags: Math.max(...met) };
}

/** A rafter pressed along and bent as the frame leans, its lower flange free where it hogs. */
function rafterRow(ground: Ground, portal: Portal, id: string, answers: readonly Felt[], moment: StructureMoment, at: At): Rated | null {
  const { context, beams, by, caution } = ground;
  const { rules } = context;
  const { line } = portal;
  const { beam, section, fy, place } = beams.get(id)!;
  if (section instanceof Missing || !(fy > 0) || !place) return null;
  const which = rules.id === 'us-asd' ? 'plain' : 'factored';
  const felt = answers.flatMap((one) => rafterFeels(portal, id, which, one) ?? []);
  if (felt.length === 0) return null;
  const whole = line.spans.at(-1)!.to;
  const free = heldOf(line, moment, by).get(id)?.free ?? whole;
  const below = felt.some(({ farHogs }) => farHogs) ? whole : place.length;
  const where = at('beam.portal', about('beam', beam, beam.mark));
  const post = postCapacity(section, fy, { strong: whole, weak: Math.max(free, below) }, rules);
  const hogging = bendingCapacity(section, fy, rules, { length: below, factor: 1 });
  const sagging = bendingCapacity(section, fy, rules, { length: free, factor: 1 });
  for (const one of [post, hogging, sagging])
    if (one instanceof Missing) return { row: missingCheck(where, 'fraction', one.questions.join(' ')), ratio: Infinity };
  const [pressed, up, down] = [post, hogging, sagging] as { capacity: number; traces: Check['traces'] }[];
  const rated = felt.map(({ hogs, sags, axial }) => {
    const hogged = hogs / up!.capacity >= sags / down!.capacity;
    const bends = hogged ? { by: hogs, ...up! } : { by: sags, ...down! };
    return { axial, bends, hogged, used: axial / pressed!.capacity + bends.by / bends.capacity };
  });
  const worst = rated.reduce((most, one) => (one.used > most.used ? one : most));
  const numbers = { demand: worst.used, capacity: 1, quantity: 'fraction' as const, caution };
  return {
    ratio: worst.used,
    row: {
      id: 'beam.portal',
      kind: 'beam',
      thing: beam.id,
      part: undefined,
      numbers,
      tell: () =>
        ratioCheck(
          where,
          numbers,
          told(
            phrase`As the frame leans ${beam.mark} is pressed along by ${q(worst.axial, 'force')} of ${q(pressed!.capacity, 'force')} and ${worst.hogged ? 'hogs' : 'sags'} ${q(worst.bends.by, 'moment')} of ${q(worst.bends.capacity, 'moment')}${worst.hogged ? ', its lower flange free' : ''}: together ${q(worst.used, 'fraction')}.`,
          ),
          [...pressed!.traces, ...worst.bends.traces],
        ),
    },
  };
}

/** The beam itself: hogged at its ends with its lower flange free all along, sagging between them by no less than if it turned freely there. */
function beamRow(
  ground: Ground,
  { line, length }: Portal,
  id: string,
  ends: readonly { a: number; b: number }[],
  moment: StructureMoment,
  at: At,
): Rated | null {
  const { context, beams, by, caution } = ground;
  const { rules } = context;
  const answer = line.answers?.[rules.id === 'us-asd' ? 'plain' : 'factored'];
  const { beam, section, fy } = beams.get(id)!;
  // At what it yields is asked where it bends.
  if (!answer?.stable || section instanceof Missing || !(fy > 0)) return null;
  const where = at('beam.portal', about('beam', beam, beam.mark));
  const hogs = Math.max(0, ...ends.flatMap(({ a, b }) => [a, b]));
  const sags = answer.sagging + Math.max(0, ...ends.flatMap(({ a, b }) => [-a, -b]));
  const hogging = bendingCapacity(section, fy, rules, { length, factor: 1 });
  const sagging = bendingCapacity(section, fy, rules, { length: heldOf(line, moment, by).get(id)?.free ?? length, factor: 1 });
  for (const one of [hogging, sagging]) if (one instanceof Missing) return { row: missingCheck(where, 'moment', one.questions.join(' ')), ratio: Infinity };
  const [up, down] = [hogging, sagging] as [Exclude<typeof hogging, Missing>, Exclude<typeof sagging, Missing>];
  const worst = hogs / up.capacity >= sags / down.capacity ? { demand: hogs, hogs: true, ...up } : { demand: sags, hogs: false, ...down };
  const numbers = { demand: worst.demand, capacity: worst.capacity, quantity: 'moment' as const, caution };
  return {
    ratio: numbers.demand / numbers.capacity,
    row: {
      id: 'beam.portal',
      kind: 'beam',
      thing: beam.id,
      part: undefined,
      numbers,
      tell: () =>
        ratioCheck(
          where,
          numbers,
          told(
            worst.hogs
              ? phrase`Stiffly joined to its columns ${beam.mark} hogs ${q(worst.demand, 'moment')} at an end as the frame leans, its lower flange free over ${q(length, 'length')}; that is good for ${q(worst.capacity, 'moment')}.`
              : phrase`Stiffly joined to its columns ${beam.mark} sags up to ${q(worst.demand, 'moment')} as the frame leans; it is good for ${q(worst.capacity, 'moment')}.`,
          ),
          worst.traces,
        ),
    },
  };
}
