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

/** A piece on two bearings under its line load and the point loads on it. */
export const simpleSpan = defineCalc({
  id: 'beam.simpleSpan',
  title: 'Piece on two bearings',
  input: closed({ span: positive('m'), load: nonNegative('N/m'), pointLoads: Type.Array(pointLoad), stiffness: positive('N·m2', 'EI') }),
  output: closed({ left: nonNegative('N'), right: nonNegative('N'), moment: nonNegative('N·m'), at: nonNegative('m'), deflection: nonNegative('m') }),
  source: { basis: 'statics', text: 'Simple span; deflection 5wL⁴/384EI and Pbx(L² − b² − x²)/6EIL at the middle (AISC Table 3-23, cases 1 and 8)' },
  compute(i) {
    i.pointLoads.forEach((one, n) => {
      if (one.x > i.span) refuse(`pointLoads[${n}].x`, `A load at ${one.x} m is past the span of ${i.span} m: put it on the span.`);
    });
    const left = simpleSpanAt(i, 0).shear + i.pointLoads.reduce((sum, one) => sum + (one.x === 0 ? one.force : 0), 0);
    const total = i.load * i.span + i.pointLoads.reduce((sum, one) => sum + one.force, 0);
    const peak = peakOf(i);
    const middle = i.span / 2;
    const even = (5 * i.load * i.span ** 4) / (384 * i.stiffness);
    const points = i.pointLoads.reduce((sum, one) => {
      const b = Math.min(one.x, i.span - one.x);
      return sum + (one.force * b * middle * (i.span ** 2 - b ** 2 - middle ** 2)) / (6 * i.stiffness * i.span);
    }, 0);
    return { left, right: total - left, moment: peak.moment, at: peak.x, deflection: even + points };
  },
  work: (i, o) => [
    {
      label: 'Reaction at the left',
      numbers: phrase`${q(i.load, 'forcePerLength')} over ${q(i.span, 'length')}, ${String(i.pointLoads.length)} point load(s)`,
      result: q(o.left, 'force'),
    },
    { label: 'Reaction at the right', result: q(o.right, 'force') },
    { label: 'Most moment', formula: 'where the shear is nothing', numbers: phrase`at ${q(o.at, 'length')}`, result: q(o.moment, 'moment') },
    { label: 'Sag at the middle', formula: '5wL⁴/384EI + point loads', result: q(o.deflection, 'dimension') },
  ],
});
