import { overlap, type Vec } from '../geometry/plane';
import type { Rules } from '../rules/rule-sets';
import { shrunk, TOUCH, type Body } from './bodies';
import { hungWith } from '../document/joined';
import { keepOne } from '../document/keep';
import { startOf } from '../document/lies';
import { Missing } from '../verdict/missing';
import type { Plan } from '../document/schema';
import { sectionOf, settleBeams } from './model';

/** A piece of the structure where it lies before it is lifted. */
export interface Laid {
  body: Body;
  /** the number of the move that hangs it; null: none does */
  hung: number | null;
  /** whether it comes on its truck as it is lifted, or is laid there before; null: nobody has said */
  comes: 'onTruck' | 'before' | null;
  /** what is lifted as one with it hangs by the same move */
  load: string;
}

/** The pieces of the structure of which it is said where they lie, in the order they are lifted. */
export const laidOut = (plan: Plan, rules: Rules): readonly Laid[] =>
  keepOne('laid.out', [plan.structure.pieces, plan.structure.makes, plan.moves, plan.picks, rules.id], () => {
    const hung = new Map<string, { at: number; load: string }>();
    plan.moves.forEach((move, at) => {
      if (move.kind !== 'piece.hang') return;
      for (const id of [move.beam, ...hungWith(plan, move)]) if (!hung.has(id)) hung.set(id, { at, load: move.id });
    });
    const laid = [...settleBeams(plan, rules).values()].flatMap(({ beam, make, section: settled }): Laid[] => {
      const start = startOf(beam);
      const section = settled instanceof Missing ? sectionOf(make) : settled;
      if (!start || section instanceof Missing) return [];
      const { depth, width } = section;
      const [across, high] = start.onSide ? [depth, width] : [width, depth];
      const outline = shrunk(start, make.length, across, start.azimuthDeg);
      const body = { id: beam.id, name: beam.mark, outline, from: start.level, to: start.level + high };
      return [{ body, hung: hung.get(beam.id)?.at ?? null, comes: beam.lies?.comes ?? null, load: hung.get(beam.id)?.load ?? beam.id }];
    });
    return laid.sort((a, b) => endOf(a) - endOf(b));
  });

const endOf = ({ hung }: Laid): number => hung ?? Infinity;

/** From which move to which it may lie there: the first is as good as can be, the last as bad. */
const times = ({ comes, hung }: Laid): { best: [number, number]; worst: [number, number] } => {
  const end = hung ?? Infinity;
  const long: [number, number] = [-1, end];
  const short: [number, number] = [end, end];
  return { best: comes === 'before' ? long : short, worst: comes === 'onTruck' ? short : long };
};
const meet = (a: readonly [number, number], b: readonly [number, number]): boolean => Math.max(a[0], b[0]) <= Math.min(a[1], b[1]);

/** Whether two are in one place at one time however they come, only if they come one way, or in no case. */
export type Clash = 'always' | 'maybe' | 'never';

const clashOf = (one: Laid, other: Laid): Clash => {
  if (one.load === other.load) return 'never';
  const [a, b] = [times(one), times(other)];
  const combinations = [one.comes === null ? [a.best, a.worst] : [a.best], other.comes === null ? [b.best, b.worst] : [b.best]] as const;
  const all = combinations[0].flatMap((first) => combinations[1].map((second) => meet(first, second)));
  return all.every(Boolean) ? 'always' : all.some(Boolean) ? 'maybe' : 'never';
};

/** Whether a piece lies there while something stands from one move to another. */
export const clashWithin = (one: Laid, from: number, to: number): Clash => {
  const { best, worst } = times(one);
  return meet(best, [from, to]) ? 'always' : meet(worst, [from, to]) ? 'maybe' : 'never';
};

/** Whether it may still lie there when a move is made that lifts something else. */
export const liesAt = (one: Laid, at: number): boolean => times(one).worst[0] < at && endOf(one) > at;

interface Box {
  left: number;
  right: number;
  low: number;
  high: number;
}
const boxOf = (outline: readonly Vec[]): Box => {
  const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
};

const inOne = (a: Body, b: Body): boolean => a.from < b.to - TOUCH && a.to > b.from + TOUCH && overlap(a.outline, b.outline);

export interface LaidPair {
  one: Laid;
  other: Laid;
  clash: 'always' | 'maybe';
}

/** For each piece the first one lifted before it that lies, or may lie, in the same place at the same time: the worst of them. */
export const laidInOne = (plan: Plan, rules: Rules): readonly LaidPair[] =>
  keepOne('laid.inOne', [laidOut(plan, rules)], () => {
    const laid = laidOut(plan, rules);
    // Where all of a load comes down on one spot there is one bunch, and the pieces of a bunch need not be held against each other by shape.
    const bunches = new Map<string, { members: Laid[]; box: Box }>();
    for (const one of laid) {
      const key = JSON.stringify([one.body.outline.map(({ x, y }) => [Math.round(x * 1e4), Math.round(y * 1e4)]), one.body.from, one.body.to]);
      const bunch = bunches.get(key);
      if (bunch) bunch.members.push(one);
      else bunches.set(key, { members: [one], box: boxOf(one.body.outline) });
    }
    const list = [...bunches.values()].sort((a, b) => a.box.left - b.box.left);
    const worst = new Map<Laid, LaidPair>();
    const note = (a: Laid, b: Laid): void => {
      const clash = clashOf(a, b);
      if (clash === 'never') return;
      const [other, one] = endOf(a) <= endOf(b) ? [a, b] : [b, a];
      const before = worst.get(one);
      if (!before || (before.clash === 'maybe' && clash === 'always')) worst.set(one, { one, other, clash });
    };
    // Of a bunch those of one way of coming are alike: its first and last of each say the worst that any of them does.
    const tips = (members: readonly Laid[]): Laid[] => [
      ...new Set(
        (['before', 'onTruck', null] as const).flatMap((comes) => {
          const own = members.filter((one) => one.comes === comes);
          return own.length === 0 ? [] : [own[0]!, own.at(-1)!];
        }),
      ),
    ];
    list.forEach(({ members, box }, i) => {
      const ends = tips(members);
      for (const one of members) for (const end of ends) if (one !== end) note(one, end);
      for (let n = i + 1; n < list.length && list[n]!.box.left < box.right; n += 1) {
        const other = list[n]!;
        if (other.box.low >= box.high || other.box.high <= box.low) continue;
        if (!inOne(members[0]!.body, other.members[0]!.body)) continue;
        for (const one of members) for (const end of tips(other.members)) note(one, end);
        for (const one of other.members) for (const end of ends) note(one, end);
      }
    });
    return laid.flatMap((one) => worst.get(one) ?? []);
  });
