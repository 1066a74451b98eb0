import type { Chart } from './chart-shape';

/** Says of a chart that it is nobody's: the plan asks for the maker's own in its place. */
export const MADE_UP_CHART = 'Made-up model, to try with';

/** A made-up crane: sizes and weights as cranes of its kind have them, a chart that no maker answers for. */
export interface ModelCrane {
  name: string;
  kind: string;
  baseLength: number;
  baseWidth: number;
  tailRadius: number;
  pivotBack: number;
  pivotHeight: number;
  boomDepth: number;
  boomWidth: number;
  hookBlockMass: number;
  hookDrop: number;
  shoe: number | null;
  /** a level jib on a mast */
  mast?: true;
  /** of carrier, upper works, counterweight and boom, each with its place */
  weights: { carrier: [number, number]; upper: [number, number]; counterweight: [number, number]; boom: [number, number] } | null;
  chart: Chart;
}

/** Steepest a boom is worked at, and flattest: its radius as a share of its length. */
const STEEPEST = 0.14;
const FLATTEST = 0.92;

/** What tips it falls off with the radius; a longer boom takes its own share. Rounded down to 50 kg, blank where the boom does not go. */
function chartOf(radii: number[], booms: number[], most: number, at: number, perBoom: number): Chart {
  const capacity = radii.map((radius) =>
    booms.map((boom, n) => {
      if (radius < STEEPEST * boom || radius > FLATTEST * boom) return null;
      const value = most * (at / radius) ** 1.35 * (1 - perBoom * n);
      return Math.max(50, Math.floor(value / 50) * 50);
    }),
  );
  return { radii, booms, capacity };
}

/** Under a jib the moment is what counts, past what its rope carries. Rounded down to 50 kg, blank past its end and at the mast. */
function jibChartOf(radii: number[], booms: number[], most: number, moment: number): Chart {
  const capacity = radii.map((radius) =>
    booms.map((jib) => {
      if (radius < 3 || radius > jib) return null;
      const value = Math.min(most, moment / (radius + 1.5));
      return Math.max(50, Math.floor(value / 50) * 50);
    }),
  );
  return { radii, booms, capacity };
}

export const modelCranes: readonly ModelCrane[] = [
  {
    name: 'Bittern 12',
    kind: 'telescopic, 12 t',
    baseLength: 4.8,
    baseWidth: 4.6,
    tailRadius: 2.3,
    pivotBack: 0.9,
    pivotHeight: 1.9,
    boomDepth: 0.45,
    boomWidth: 0.4,
    hookBlockMass: 110,
    hookDrop: 1.2,
    shoe: null,
    weights: { carrier: [7400, 0.35], upper: [2500, -0.8], counterweight: [1500, -2.05], boom: [1850, 0.4] },
    chart: chartOf([2.5, 3, 3.5, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20], [8, 11.5, 15, 18.5, 22], 12000, 2.5, 0.07),
  },
  {
    name: 'Curlew 50',
    kind: 'telescopic, 50 t',
    baseLength: 7.4,
    baseWidth: 6.6,
    tailRadius: 3.7,
    pivotBack: 1.4,
    pivotHeight: 2.3,
    boomDepth: 0.75,
    boomWidth: 0.6,
    hookBlockMass: 420,
    hookDrop: 1.8,
    shoe: null,
    weights: { carrier: [19500, 0.3], upper: [7600, -0.9], counterweight: [7500, -3.1], boom: [6400, 0.4] },
    chart: chartOf([3, 3.5, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 22, 24, 26, 28, 30], [12, 17, 22, 27, 32], 50000, 3, 0.06),
  },
  {
    name: 'Gannet 120',
    kind: 'telescopic, 120 t',
    baseLength: 8.6,
    baseWidth: 8.2,
    tailRadius: 4.3,
    pivotBack: 1.8,
    pivotHeight: 2.6,
    boomDepth: 1.0,
    boomWidth: 0.8,
    hookBlockMass: 850,
    hookDrop: 2.2,
    shoe: null,
    weights: { carrier: [36000, 0.3], upper: [14000, -1], counterweight: [25000, -3.8], boom: [14500, 0.4] },
    chart: chartOf([3, 3.5, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 24, 28, 32, 36, 40, 44], [13, 20, 27, 34, 41, 48], 120000, 3, 0.06),
  },
  {
    name: 'Heron 200',
    kind: 'lattice boom on tracks, 200 t',
    baseLength: 8.5,
    baseWidth: 6.8,
    tailRadius: 5.6,
    pivotBack: -1.2,
    pivotHeight: 2.4,
    boomDepth: 2.1,
    boomWidth: 2.1,
    hookBlockMass: 1900,
    hookDrop: 3,
    shoe: 1.2,
    weights: { carrier: [62000, 0], upper: [38000, -0.8], counterweight: [75000, -4.6], boom: [21000, 0.45] },
    chart: chartOf([5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 24, 28, 32, 36, 40, 44, 48], [18, 24, 30, 36, 42, 48, 54], 200000, 5, 0.04),
  },
  {
    name: 'Stilt 10',
    kind: 'tower crane, level jib, 10 t',
    baseLength: 4.6,
    baseWidth: 4.6,
    tailRadius: 14.5,
    pivotBack: 0,
    pivotHeight: 42,
    boomDepth: 1.5,
    boomWidth: 1.4,
    hookBlockMass: 350,
    hookDrop: 2.6,
    shoe: null,
    mast: true,
    weights: null,
    chart: jibChartOf([3, 5, 8, 10, 12, 14.5, 17, 20, 25, 30, 35, 40, 45, 50, 55], [30, 40, 50, 55], 10000, 160000),
  },
];
