import { Missing } from '../verdict/missing';
import type { Opening, ShoreRow, ShoreWall, Storey } from '../document/schema';
import { clearOf } from './settle';
import type { LinePlan } from '../document/views';

export const sides = ['left', 'right'] as const;
export type Side = (typeof sides)[number];

export const shoredOpening = (plan: LinePlan): Opening | null => plan.survey.openings.find((one) => one.id === plan.shoring.opening) ?? null;

export const wallAt = (plan: LinePlan, storey: Storey, side: Side): ShoreWall | null =>
  plan.shoring.walls.find((wall) => wall.storey === storey.id && wall.side === side) ?? null;
export const rowAt = (plan: LinePlan, storey: Storey): ShoreRow | null => plan.shoring.rows.find((row) => row.storey === storey.id) ?? null;

/** Joists that run through over the line, with a span on each side of it. */
export const runsThrough = ({ joists, left, right }: Storey): boolean => joists.over === 'through' && (left.span ?? 0) > 0 && (right.span ?? 0) > 0;

/** Where the studs of a wall stand along the line, from the left bearing: one under every joist over the opening. */
export function studPlaces(plan: LinePlan, wall: ShoreWall): number[] | Missing {
  const opening = shoredOpening(plan);
  const clear = opening && clearOf(opening);
  const spacing = plan.shoring.storeys.find((one) => one.id === wall.storey)?.joists.spacing ?? null;
  if (!opening || clear === null) return new Missing('Which opening is shored, and how wide is it?');
  if (spacing === null) return new Missing(`How far apart are the joists ${wall.name} holds up?`);
  const count = Math.floor(clear / spacing + 1e-9) + 1;
  const start = (clear - (count - 1) * spacing) / 2;
  return Array.from({ length: count }, (_, i) => start + i * spacing);
}

export const needlePlaces = (row: ShoreRow): number[] => Array.from({ length: row.count }, (_, i) => row.from + i * row.spacing);

/** What stands under one joist: one stud, or as many as are set together there. */
export interface Stud {
  /** of the joist over it, from the left */
  number: number;
  /** along the line from the left bearing */
  x: number;
  /** studs set together */
  together: number;
  /** on all of them */
  load: number;
}

const isDoubled = (storey: Storey, number: number): boolean => storey.joists.doubled.some((one) => one.number === number);

const inGap = (wall: ShoreWall, number: number): boolean => wall.gaps.some(({ from, to }) => number >= from && number <= to);

/** Where studs stand and how many together, whatever they carry. A gap’s end studs are as many as its header wants. */
export function studLayout(plan: LinePlan, wall: ShoreWall): Omit<Stud, 'load'>[] | Missing {
  const storey = plan.shoring.storeys.find((one) => one.id === wall.storey);
  const places = studPlaces(plan, wall);
  if (!storey) return new Missing(`Which storey is ${wall.name} in?`);
  if (places instanceof Missing) return places;
  return places.flatMap((x, i) => {
    const number = i + 1;
    if (inGap(wall, number)) return [];
    const ends = wall.gaps.filter(({ from, to }) => number === from - 1 || number === to + 1).map(({ posts }) => posts);
    return [{ number, x, together: Math.max(isDoubled(storey, number) ? 2 : 1, ...ends) }];
  });
}
