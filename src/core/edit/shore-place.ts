import { add, angleOf, direction, distance, dot, leftOf, mix, scale, sub, type Vec } from '../geometry/plane';
import type { Lists } from './table';
import type { Plan } from '../document/schema';
import { lineOf, viewOfLine, type LinePlan } from '../document/views';
import { shoredOpening } from '../settle/shore-layout';

/** The line that is opened, on the plan. `left` of it is to the left hand, looking from the left bearing to the right one. */
export interface LinePlace {
  from: Vec;
  along: Vec;
  left: Vec;
  length: number;
}

export function shoredLine(plan: LinePlan): LinePlace | null {
  const opening = shoredOpening(plan);
  const left = plan.bearings.find((one) => one.id === opening?.left);
  const right = plan.bearings.find((one) => one.id === opening?.right);
  if (!opening || !left || !right || !(distance(left.at, right.at) > 0)) return null;
  const along = direction(angleOf(sub(right.at, left.at)));
  const length = opening.clear.measured ?? opening.clear.drawn ?? distance(left.at, right.at);
  return { from: add(mix(left.at, right.at, 0.5), scale(along, -length / 2)), along, left: leftOf(along), length };
}

/** The point a shore is held by when it is dragged. */
export function shoreGrip(plan: Plan, id: string): Vec | null {
  const bent = plan.shoring.bents.find((one) => one.id === id);
  if (bent) return bent.at;
  const own = lineOf(plan, id);
  const line = own ? shoredLine(viewOfLine(plan, own)) : null;
  if (!own || !line) return null;
  const wall = own.walls.find((one) => one.id === id);
  if (wall) return add(add(line.from, scale(line.along, line.length / 2)), scale(line.left, wall.side === 'left' ? wall.setback : -wall.setback));
  const row = own.rows.find((one) => one.id === id);
  return row ? add(line.from, scale(line.along, row.from)) : null;
}

type Moved = 'shoreWalls' | 'shoreRows' | 'bents';
type Move = { [N in Moved]: { list: N; changes: Partial<Omit<Lists[N], 'id'>> } }[Moved];

/** Nearest of the places to snap to, when one is within reach. */
const snapTo = (value: number, places: readonly number[], reach: number): number => {
  const near = places.reduce<number | null>(
    (best, one) => (Math.abs(one - value) <= reach && (best === null || Math.abs(one - value) < Math.abs(best - value)) ? one : best),
    null,
  );
  return near ?? value;
};

/** A bent goes to a bearing or in line with another bent when one is near, and else to the grid. */
function bentPlace(plan: Plan, id: string, at: Vec, step: number): Vec {
  if (!(step > 0)) return at;
  const others = plan.shoring.bents.flatMap((one) => (one.id !== id && one.at ? [one.at] : []));
  const places = [...plan.bearings.map((one) => one.at), ...others];
  const snapped = (way: 'x' | 'y') => {
    const value = Math.round(at[way] / step) * step;
    return Number(
      snapTo(
        value,
        places.map((one) => one[way]),
        step,
      ).toFixed(4),
    );
  };
  return { x: snapped('x'), y: snapped('y') };
}

/**
 * A shore taken to a place. A wall keeps its side and changes its set-back, snapping to the walls of the other side and of the
 * storeys above; a row slides along the line, snapping to joists and to the seats. `step` 0: no snapping.
 */
export function shoreTo(plan: Plan, id: string, at: Vec, step: number): Move | null {
  if (plan.shoring.bents.some((one) => one.id === id)) return { list: 'bents', changes: { at: bentPlace(plan, id, at, step) } };
  const own = lineOf(plan, id);
  const line = own ? shoredLine(viewOfLine(plan, own)) : null;
  if (!own || !line) return null;
  const round = (value: number) => (step > 0 ? Math.round(value / step) * step : value);
  const wall = own.walls.find((one) => one.id === id);
  if (wall) {
    const off = dot(sub(at, line.from), line.left) * (wall.side === 'left' ? 1 : -1);
    const others = own.walls.filter((one) => one.id !== id).map((one) => one.setback);
    const value = step > 0 ? snapTo(round(off), others, step) : off;
    return { list: 'shoreWalls', changes: { setback: Math.max(0.05, Number(value.toFixed(4))) } };
  }
  const row = own.rows.find((one) => one.id === id);
  if (!row) return null;
  const spacing = own.storeys.find((one) => one.id === row.storey)?.joists.spacing ?? null;
  const along = dot(sub(at, line.from), line.along);
  const joists = spacing === null ? [] : Array.from({ length: Math.floor(line.length / spacing) + 1 }, (_, i) => (line.length % spacing) / 2 + i * spacing);
  const value = step > 0 ? snapTo(round(along), [0, ...joists, line.length], step) : along;
  return { list: 'shoreRows', changes: { from: Math.min(line.length, Math.max(0, Number(value.toFixed(4)))) } };
}
