import { Type, type Static } from 'typebox';
import { closed, nullable, positive } from '../calc/fields';

/** A rated-capacity chart: capacity[radius][boom], null where the maker leaves a blank. Radii and booms ascend. */
export const chartSchema = closed({
  radii: Type.Array(positive('m'), { minItems: 1 }),
  booms: Type.Array(positive('m'), { minItems: 1 }),
  capacity: Type.Array(Type.Array(nullable(positive('kg', 'null where the maker leaves a blank: a capacity of 0 is a blank')))),
});
export type Chart = Static<typeof chartSchema>;

export interface ChartFault {
  path: string;
  error: string;
}

const ascends = (values: readonly number[]) => values.findIndex((value, i) => i > 0 && !(value > (values[i - 1] ?? Infinity)));

/** What is wrong with the shape of a chart, first fault only; null when it can be read. */
export function chartFault(chart: Chart): ChartFault | null {
  for (const axis of ['radii', 'booms'] as const) {
    const at = ascends(chart[axis]);
    if (at > 0)
      return { path: `${axis}[${at}]`, error: `${axis}[${at}] is ${chart[axis][at]} m after ${chart[axis][at - 1]} m: list them in rising order, each once.` };
  }
  if (chart.capacity.length !== chart.radii.length)
    return { path: 'capacity', error: `The chart has ${chart.radii.length} radii and ${chart.capacity.length} rows of capacity: give one row a radius.` };
  for (const [i, row] of chart.capacity.entries())
    if (row.length !== chart.booms.length)
      return {
        path: `capacity[${i}]`,
        error: `The row at radius ${chart.radii[i]} m has ${row.length} capacities for ${chart.booms.length} booms: give one a boom, null where blank.`,
      };
  return null;
}
