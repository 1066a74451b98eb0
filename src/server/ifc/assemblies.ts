import * as WebIFC from 'web-ifc';
import type { Facts } from './facts';
import { sureMark } from './marks';
import { listOf, refOf, type Model } from './model';

/** The assembly a bar is welded or bolted into before it leaves the shop: it goes up as one. */
export interface Assembly {
  /** empty when it has none but a name */
  mark: string;
  /** of the whole, where the model weighs it */
  mass: number | null;
  /** beams, columns and members in it; plates and bolts are not counted */
  bars: number;
}

export const assemblyIds = (model: Model): number[] => model.ids(WebIFC.IFCELEMENTASSEMBLY);

/** By the numbers of the bars: the assembly each stands in, where that has a mark. One nested in another counts as itself. */
export function assembliesOf(model: Model, bars: readonly number[], facts: ReadonlyMap<number, Facts>): Map<number, Assembly> {
  const wanted = new Set(bars);
  const wholes = new Set(assemblyIds(model));
  const found = new Map<number, Assembly>();
  for (const id of model.ids(WebIFC.IFCRELAGGREGATES)) {
    const line = model.line(id);
    const whole = refOf(line?.RelatingObject);
    const of = listOf(line?.RelatedObjects).flatMap((one) => refOf(one) ?? []);
    const inside = [...new Set(of)].filter((one) => wanted.has(one));
    if (whole === null || !wholes.has(whole) || inside.length === 0) continue;
    const said = facts.get(whole);
    const its = model.line(whole);
    const mark = said && its ? sureMark(its, said) : '';
    for (const bar of inside) found.set(bar, { mark, mass: said?.mass ?? null, bars: inside.length });
  }
  return found;
}
