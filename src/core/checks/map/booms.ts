import { chartLookup, type ChartRule } from '../../cranes/chart-lookup';
import type { Chart } from '../../cranes/chart-shape';

/** What one boom gives by a chart, read row by row once: a cell of the map reads it without a search through the booms. */
class BoomColumn {
  /** NaN: a blank */
  private readonly rows: Float64Array;
  private readonly radii: Float64Array;
  constructor(
    chart: Chart,
    boom: number,
    private readonly rule: ChartRule,
  ) {
    this.radii = Float64Array.from(chart.radii);
    this.rows = Float64Array.from(chart.radii, (radius) => chartLookup(chart, radius, boom, rule).capacity ?? NaN);
  }

  /** The least it gives over the radii of a way; NaN where it gives nothing somewhere. */
  least(least: number, most: number): number {
    const { radii, rows } = this;
    let found = this.at(least);
    const last = this.at(most);
    // Not a number stays so through every comparison.
    found = last < found || Number.isNaN(last) ? last : found;
    for (let i = 0; i < radii.length; i += 1) {
      if (radii[i]! <= least) continue;
      if (radii[i]! >= most) break;
      const capacity = rows[i]!;
      if (capacity < found || Number.isNaN(capacity)) found = capacity;
    }
    return found;
  }

  private at(radius: number): number {
    const { radii, rows } = this;
    let high = 0;
    while (high < radii.length && radii[high]! < radius) high += 1;
    if (high === radii.length) return NaN;
    if (radii[high] === radius) return rows[high]!;
    if (high === 0) return NaN;
    const [before, after] = [rows[high - 1]!, rows[high]!];
    if (Number.isNaN(before)) return NaN;
    if (this.rule === 'step') return after;
    return before + (after - before) * ((radius - radii[high - 1]!) / (radii[high]! - radii[high - 1]!));
  }
}

/** What each boom gives by the worst of some charts. */
export class Booms {
  private readonly columns = new Map<number, BoomColumn[]>();
  constructor(
    private readonly charts: readonly Chart[],
    private readonly rule: ChartRule,
  ) {}

  /** The least that any of the charts gives over the radii of a way; NaN where one of them gives nothing. */
  least(boom: number, least: number, most: number): number {
    let columns = this.columns.get(boom);
    if (!columns) this.columns.set(boom, (columns = this.charts.map((chart) => new BoomColumn(chart, boom, this.rule))));
    let found = Infinity;
    for (const column of columns) {
      const capacity = column.least(least, most);
      if (!(capacity >= found)) found = capacity;
      if (Number.isNaN(found)) return NaN;
    }
    return found;
  }
}
