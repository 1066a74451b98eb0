import type { Chart } from './chart-shape';

export type ChartRule = 'step' | 'linear';
/** Why a chart gives nothing, as data: outside its rows or booms, or at a blank cell. Lengths m. */
export type OffChart = { why: 'short' | 'past'; of: 'radius' | 'boom'; at: number; limit: number } | { why: 'blank'; radius: number; boom: number };
export type ChartAnswer = { capacity: number } | { capacity: null; off: OffChart };

interface Bracket {
  low: number;
  high: number;
  /** how far from low to high, 0 on a row */
  t: number;
}

/** The two rows a value stands between (the same row twice when it stands on one); null outside or not a number. */
function bracket(values: readonly number[], at: number): Bracket | null {
  const high = values.findIndex((value) => value >= at);
  const upper = values[high];
  if (upper === undefined) return null;
  if (upper === at) return { low: high, high, t: 0 };
  const lower = values[high - 1];
  if (lower === undefined) return null;
  return { low: high - 1, high, t: (at - lower) / (upper - lower) };
}

/**
 * Rated capacity off a chart that `chartFault` passed.
 * step: next longer radius, lower of the two bounding booms (common practice). linear: between the four bounding cells.
 * Never outside the chart and never across a blank: either rule needs every bounding cell.
 */
export function chartLookup(chart: Chart, radius: number, boom: number, rule: ChartRule): ChartAnswer {
  const r = bracket(chart.radii, radius);
  if (!r) return { capacity: null, off: outside('radius', radius, chart.radii) };
  const b = bracket(chart.booms, boom);
  if (!b) return { capacity: null, off: outside('boom', boom, chart.booms) };
  const cells: number[][] = [];
  for (const i of [r.low, r.high]) {
    const row: number[] = [];
    for (const j of [b.low, b.high]) {
      const value = chart.capacity[i]?.[j];
      if (value === null || value === undefined)
        return { capacity: null, off: { why: 'blank', radius: chart.radii[i] ?? radius, boom: chart.booms[j] ?? boom } };
      row.push(value);
    }
    cells.push(row);
  }
  const [[c00 = 0, c01 = 0] = [], [c10 = 0, c11 = 0] = []] = cells;
  if (rule === 'step') return { capacity: Math.min(c10, c11) };
  const atLow = c00 + (c01 - c00) * b.t;
  const atHigh = c10 + (c11 - c10) * b.t;
  return { capacity: atLow + (atHigh - atLow) * r.t };
}

function outside(of: 'radius' | 'boom', at: number, values: readonly number[]): OffChart {
  const first = values[0] ?? 0;
  return at < first ? { why: 'short', of, at, limit: first } : { why: 'past', of, at, limit: values[values.length - 1] ?? 0 };
}

/** The reason in words; the caller says how a length is written. */
export function offChartWords(off: OffChart, length: (value: number) => string): string {
  if (off.why === 'blank') return `the chart is blank at radius ${length(off.radius)}, boom ${length(off.boom)}`;
  return off.why === 'short'
    ? `${off.of} ${length(off.at)} is short of the chart’s first, ${length(off.limit)}`
    : `${off.of} ${length(off.at)} is past the chart’s last, ${length(off.limit)}`;
}
