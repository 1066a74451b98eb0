import { Type } from 'typebox';
import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const pointLoad = closed({ x: nonNegative('m', 'from the left support'), force: nonNegative('N') });

export interface SimpleSpan {
  span: number;
  load: number;
  pointLoads: readonly { x: number; force: number }[];
}

/** Moment and shear at a place along a simply supported span; shear just right of it. */
export function simpleSpanAt({ span, load, pointLoads }: SimpleSpan, x: number): { moment: number; shear: number } {
  const left = (load * span) / 2 + pointLoads.reduce((sum, one) => sum + one.force * (1 - one.x / span), 0);
  const passed = pointLoads.filter((one) => one.x <= x);
  return {
    moment: left * x - (load * x * x) / 2 - passed.reduce((sum, one) => sum + one.force * (x - one.x), 0),
    shear: left - load * x - passed.reduce((sum, one) => sum + one.force, 0),
  };
}

/** Where the moment of a simple span peaks: where the shear passes through nothing. */
export function peakOf(beam: SimpleSpan): { x: number; moment: number } {
  const places = [0, ...beam.pointLoads.map((one) => one.x), beam.span].sort((a, b) => a - b);
  let best = { x: 0, moment: 0 };
  const look = (x: number) => {
    const { moment } = simpleSpanAt(beam, x);
    if (moment > best.moment) best = { x, moment };
  };
  places.forEach((from, i) => {
    look(from);
    const to = places[i + 1];
    const { shear } = simpleSpanAt(beam, from);
    if (to !== undefined && beam.load > 0 && shear > 0 && from + shear / beam.load < to) look(from + shear / beam.load);
  });
  return best;
}

/** Sag and slope of a simple span at a place: w·x(L³ − 2L·x² + x³)/24EI and, left of a load, P·b·x(L² − b² − x²)/6EI·L. */
function sagAt({ span, load, pointLoads, stiffness }: SimpleSpan & { stiffness: number }, x: number): { sag: number; slope: number } {
  let sag = (load * x * (span ** 3 - 2 * span * x ** 2 + x ** 3)) / (24 * stiffness);
  let slope = (load * (span ** 3 - 6 * span * x ** 2 + 4 * x ** 3)) / (24 * stiffness);
  for (const { x: a, force } of pointLoads) {
    const left = x <= a;
    // Right of the load the span is read from its other end.
    const b = left ? span - a : a;
    const y = left ? x : span - x;
    const scale = (force * b) / (6 * stiffness * span);
    sag += scale * y * (span ** 2 - b ** 2 - y ** 2);
    slope += (left ? 1 : -1) * scale * (span ** 2 - b ** 2 - 3 * y ** 2);
  }
  return { sag, slope };
}

/** The greatest sag: all loads act downwards, so the slope falls from left to right and passes through nothing once. */
function greatestSag(beam: SimpleSpan & { stiffness: number }): number {
  let [low, high] = [0, beam.span];
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (sagAt(beam, middle).slope > 0) low = middle;
    else high = middle;
  }
  return sagAt(beam, (low + high) / 2).sag;
}

/** A piece on two bearings under its line load and the point loads on it. */
export const simpleSpan = defineCalc({
  id: 'beam.simpleSpan',
  title: 'Piece on two bearings',
  input: closed({ span: positive('m'), load: nonNegative('N/m'), pointLoads: Type.Array(pointLoad), stiffness: positive('N·m2', 'EI') }),
  output: closed({ left: nonNegative('N'), right: nonNegative('N'), moment: nonNegative('N·m'), at: nonNegative('m'), deflection: nonNegative('m') }),
  source: { basis: 'statics', text: 'Simple span; greatest deflection of wx(L³ − 2Lx² + x³)/24EI and Pbx(L² − b² − x²)/6EIL (AISC Table 3-23, cases 1 and 8)' },
  compute(i) {
    i.pointLoads.forEach((one, n) => {
      if (one.x > i.span) refuse(`pointLoads[${n}].x`, `A load at ${one.x} m is past the span of ${i.span} m: put it on the span.`);
    });
    const left = simpleSpanAt(i, 0).shear + i.pointLoads.reduce((sum, one) => sum + (one.x === 0 ? one.force : 0), 0);
    const total = i.load * i.span + i.pointLoads.reduce((sum, one) => sum + one.force, 0);
    const peak = peakOf(i);
    return { left, right: total - left, moment: peak.moment, at: peak.x, deflection: greatestSag(i) };
  },
  work: (i, o) => [
    {
      label: 'Reaction at the left',
      numbers: phrase`${q(i.load, 'forcePerLength')} over ${q(i.span, 'length')}, ${String(i.pointLoads.length)} point load(s)`,
      result: q(o.left, 'force'),
    },
    { label: 'Reaction at the right', result: q(o.right, 'force') },
    { label: 'Most moment', formula: 'where the shear is nothing', numbers: phrase`at ${q(o.at, 'length')}`, result: q(o.moment, 'moment') },
    { label: 'Most sag', formula: 'where the slope passes through nothing', result: q(o.deflection, 'dimension') },
  ],
});
