import * as WebIFC from 'web-ifc';
import { meet } from '@/core/model/meet';
import type { Placed, PlacedModel } from '@/core/model/placed';
import { axisOf, type Axis } from './axis';
import { listOf, refOf, type Line, type Model } from './model';
import type { Vector } from './vectors';

/** One bar that stands in the model, by its number, with the mark of its row. */
export interface Standing {
  id: number;
  mark: string;
  line: Line;
}

/** A shape looked at is as slow as it is large: so many bars have their ends read. */
const MOST = 5000;

/** Where the bars of a model run, what meets what, and what stands on the ground. */
export function placedOf(model: Model, bars: readonly Standing[], metres: number, shapes: boolean): PlacedModel {
  const counts = new Map<string, number>();
  for (const { mark } of bars) counts.set(mark, (counts.get(mark) ?? 0) + 1);
  // A mark names many pieces: its number in the file says which.
  const named = (bar: Standing): string => (counts.get(bar.mark) === 1 ? bar.mark : `${bar.mark} #${bar.id}`);
  const looked = bars.slice(0, MOST);
  const corners = new Map<number, Vector[]>();
  if (shapes)
    model.meshes(
      looked.map(({ id }) => id),
      (id, found) => corners.set(id, found),
    );
  const pieces: Placed[] = [];
  const boxes: { name: string; axis: Axis }[] = [];
  const nameOf = new Map<number, string>();
  for (const bar of looked) {
    const axis = axisOf(model, bar.line, corners.get(bar.id) ?? [], metres);
    if (!axis) continue;
    const name = named(bar);
    nameOf.set(bar.id, name);
    boxes.push({ name, axis });
    pieces.push({ id: `#${bar.id}`, name, mark: bar.mark, from: axis.from, to: axis.to, up: upOf(axis), by: axis.by, differs: axis.differs });
  }
  const point = ([x, y, z]: Vector) => ({ x, y, z });
  const found = meet(
    boxes.map(({ name, axis }) => ({
      id: name,
      mark: name,
      from: point(axis.from),
      to: point(axis.to),
      sides: [point(axis.sides[0]), point(axis.sides[1])],
      half: axis.half,
      off: axis.off,
    })),
    declaredOf(model).flatMap(([a, b]): [string, string][] => (nameOf.has(a) && nameOf.has(b) ? [[nameOf.get(a)!, nameOf.get(b)!]] : [])),
  );
  return { pieces, ...found, left: bars.length - looked.length };
}

/** How far the box of a piece reaches below its axis, plumb: from its axis to its underside. */
const upOf = ({ sides, half, off }: Axis): number =>
  sides.reduce((sum, side, i) => sum + Math.abs(side[2]) * half[i]!, 0) - sides.reduce((sum, side, i) => sum + side[2] * off[i]!, 0);

/** Pairs of elements that the model itself says are connected. */
function declaredOf(model: Model): [number, number][] {
  return model
    .ids(WebIFC.IFCRELCONNECTSELEMENTS, WebIFC.IFCRELCONNECTSWITHREALIZINGELEMENTS, WebIFC.IFCRELCONNECTSPATHELEMENTS)
    .flatMap((id): [number, number][] => {
      const line = model.line(id);
      const [a, b] = [refOf(line?.RelatingElement), refOf(line?.RelatedElement)];
      // What realizes a connection, a plate or a bolt, is itself connected to both.
      const through = listOf(line?.RealizingElements).flatMap((one) => refOf(one) ?? []);
      const pairs: [number, number][] = a !== null && b !== null ? [[a, b]] : [];
      return [
        ...pairs,
        ...through.flatMap((one): [number, number][] =>
          a !== null && b !== null
            ? [
                [a, one],
                [one, b],
              ]
            : [],
        ),
      ];
    });
}
