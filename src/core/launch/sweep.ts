import { solveLine, type LineAnswer, type LinePiece } from '../stage/line';

/** A part of what is pushed, from its tip back, with the same stiffness and load all along. */
export interface LaunchSegment {
  length: number;
  /** EI [N·m²] */
  stiffness: number;
  /** downwards [N/m] */
  load: number;
}

/** A roller under the launch: its place along the travel, and how far it is off the straight line of them. */
export interface LaunchSupport {
  x: number;
  level: number;
}

export interface Launched {
  segments: readonly LaunchSegment[];
  supports: readonly LaunchSupport[];
  pointLoads: readonly { fromTip: number; force: number }[];
}

/** Places closer than this are one place [m]. */
const SAME = 1e-9;

export const lengthOf = (segments: readonly LaunchSegment[]): number => segments.reduce((sum, one) => sum + one.length, 0);
export const weightOf = ({ segments, pointLoads }: Launched): number =>
  segments.reduce((sum, { length, load }) => sum + length * load, 0) + pointLoads.reduce((sum, { force }) => sum + force, 0);

/** Moments about a place: of all that lies ahead of it, and of all that lies behind. */
export function momentsAbout({ segments, pointLoads }: Launched, tip: number, edge: number): { ahead: number; behind: number } {
  let [ahead, behind] = [0, 0];
  const add = (from: number, to: number, force: number) => {
    const arm = (from + to) / 2 - edge;
    if (arm > 0) ahead += force * arm;
    else behind -= force * arm;
  };
  let to = tip;
  for (const { length, load } of segments) {
    const from = to - length;
    // A segment over the edge counts on both sides of it.
    const cut = Math.min(to, Math.max(from, edge));
    if (to > cut) add(cut, to, load * (to - cut));
    if (cut > from) add(from, cut, load * (cut - from));
    to = from;
  }
  for (const { fromTip, force } of pointLoads) add(tip - fromTip, tip - fromTip, force);
  return { ahead, behind };
}

/** Along a grade what is pushed wants this much with so much friction [N]; below none it runs away. */
export const pullOf = (weight: number, friction: number, gradeDeg: number): number => {
  const grade = (gradeDeg * Math.PI) / 180;
  return weight * (friction * Math.cos(grade) + Math.sin(grade));
};

export interface Station {
  tip: number;
  /** moment of all behind over all ahead of the foremost support reached; null: nothing is ahead */
  factor: number | null;
  answer: LineAnswer;
  /** upwards, of every support; 0 where it is not reached or does not touch */
  reactions: number[];
  /** of the tip below level 0; null where it does not stand */
  tipDown: number | null;
}

/** The support farthest ahead that the tip has come to; null: none. */
export const foremost = (supports: readonly LaunchSupport[], tip: number): number | null =>
  supports.reduce<number | null>((best, { x }) => (x <= tip + SAME && (best === null || x > best) ? x : best), null);

/** What is pushed with its tip at a place, solved. A support at the tip is reached: the tip is lifted onto it. */
export function stationAt(launched: Launched, tip: number): Station {
  const { segments, supports } = launched;
  const tail = tip - lengthOf(segments);
  const first = foremost(supports, tip);
  const moments = first === null ? null : momentsAbout(launched, tip, first);
  const factor = moments === null ? 0 : moments.ahead <= 0 ? null : moments.behind / moments.ahead;
  const under = supports.flatMap(({ x, level }, n) =>
    x > tail - SAME && x < tip + SAME ? [{ id: String(n), x: Math.min(tip, Math.max(tail, x)), level, spring: null, tie: false }] : [],
  );
  const answer = solveLine([pieceOf(launched, tip)], under, []);
  const reactions = supports.map((_, n) => (answer.stable ? (answer.reactions.get(String(n)) ?? 0) : 0));
  const tipDown = answer.stable ? -answer.pieces.get('pushed')!.right.height : null;
  return { tip, factor, answer, reactions, tipDown };
}

/** One piece with its stretches from the tail on. */
function pieceOf({ segments, pointLoads }: Launched, tip: number): LinePiece {
  const tail = tip - lengthOf(segments);
  let to = tip;
  const stretches = segments.map(({ length, stiffness, load }) => {
    const one = { to, stiffness, load };
    to -= length;
    return one;
  });
  return {
    id: 'pushed',
    from: tail,
    to: tip,
    stretches: stretches.reverse(),
    loads: pointLoads.map(({ fromTip, force }) => ({ x: Math.max(tail, tip - fromTip), force })),
  };
}

/** What a stretch of what is pushed feels, by statics from the reactions: sagging, hogging, shear, and the moments at its two ends. */
export interface Feels {
  sagging: number;
  hogging: number;
  shear: number;
  rear: { moment: number; shear: number };
  front: { moment: number; shear: number };
}

/** What lies between two places feels, `from` behind `to`. */
export function feltBetween(launched: Launched, { tip, reactions }: Station, from: number, to: number): Feels {
  const tail = tip - lengthOf(launched.segments);
  /** sagging moment and shear just ahead of a place, of all that is behind it */
  const at = (x: number): { moment: number; shear: number } => {
    let [moment, shear] = [0, 0];
    const put = (place: number, force: number) => {
      moment += force * (x - place);
      shear += force;
    };
    let front = tip;
    for (const { length, load } of launched.segments) {
      const rear = front - length;
      const end = Math.min(front, x);
      if (end > rear) put((rear + end) / 2, -load * (end - rear));
      front = rear;
    }
    launched.supports.forEach((support, n) => support.x <= x + SAME && put(support.x, reactions[n]!));
    for (const { fromTip, force } of launched.pointLoads) if (tip - fromTip <= x + SAME) put(tip - fromTip, -force);
    return { moment, shear };
  };
  const loadAt = (x: number): number => {
    let front = tip;
    for (const { length, load } of launched.segments) {
      if (x > front - length) return load;
      front -= length;
    }
    return 0;
  };
  let edge = tip;
  const breaks = [
    from,
    to,
    ...launched.segments.map(({ length }) => (edge -= length)),
    ...launched.supports.map(({ x }) => x),
    ...launched.pointLoads.map(({ fromTip }) => tip - fromTip),
  ]
    .filter((x) => x >= from - SAME && x <= to + SAME && x >= tail - SAME)
    .sort((a, b) => a - b);
  const felt: Feels = { sagging: 0, hogging: 0, shear: 0, rear: at(from), front: at(to) };
  const meet = (moment: number) => {
    felt.sagging = Math.max(felt.sagging, moment);
    felt.hogging = Math.max(felt.hogging, -moment);
  };
  meet(felt.front.moment);
  breaks.forEach((x, i) => {
    const here = at(x);
    meet(here.moment);
    felt.shear = Math.max(felt.shear, Math.abs(here.shear));
    const next = breaks[i + 1];
    if (next === undefined || next - x < SAME) return;
    const load = loadAt((x + next) / 2);
    felt.shear = Math.max(felt.shear, Math.abs(here.shear - load * (next - x)));
    // Where the shear goes through nought between two breaks the moment has its peak.
    const peak = load > 0 ? here.shear / load : -1;
    if (peak > 0 && peak < next - x) meet(here.moment + (here.shear * peak) / 2);
  });
  return felt;
}
