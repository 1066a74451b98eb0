import { Type } from 'typebox';
import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { q } from '../calc/work';
import { solveContinuous } from './continuous';

export const beamContinuous = defineCalc({
  id: 'beam.continuous',
  title: 'Continuous beam on supports that may lift off',
  input: closed({
    length: positive('m'),
    stiffness: positive('N·m2', 'EI'),
    load: nonNegative('N/m'),
    supports: Type.Array(closed({ x: nonNegative('m'), spring: Type.Optional(positive('N/m')) }), { minItems: 1 }),
    pointLoads: Type.Array(closed({ x: nonNegative('m'), force: real('N', { description: 'downwards' }) })),
    runs: Type.Optional(
      Type.Array(closed({ from: nonNegative('m'), to: positive('m'), load: nonNegative('N/m') }), { description: 'even loads on part of it, beside `load`' }),
    ),
    upliftFree: Type.Boolean({ description: 'true: a support cannot hold down' }),
  }),
  output: closed({
    reactions: Type.Optional(Type.Array(real('N'))),
    maxSagging: Type.Optional(nonNegative('N·m')),
    maxHogging: Type.Optional(nonNegative('N·m')),
    stable: Type.Boolean(),
  }),
  source: { basis: 'statics', text: 'Stiffness method (Euler beam), contact by active set' },
  compute(input) {
    const seen = new Map<number, number>();
    input.supports.forEach(({ x }, i) => {
      if (x > input.length) refuse(`supports[${i}].x`, `Support ${i + 1} at ${x} m is past the end of the ${input.length} m beam.`);
      const other = seen.get(x);
      if (other !== undefined) refuse(`supports[${i}].x`, `Supports ${other + 1} and ${i + 1} are both at ${x} m: give one.`);
      seen.set(x, i);
    });
    input.pointLoads.forEach(({ x }, i) => {
      if (x > input.length) refuse(`pointLoads[${i}].x`, `Load ${i + 1} at ${x} m is past the end of the ${input.length} m beam.`);
    });
    (input.runs ?? []).forEach(({ from, to }, i) => {
      if (!(to > from)) refuse(`runs[${i}].to`, `Run ${i + 1} goes from ${from} m to ${to} m: make “to” the larger.`);
      if (to > input.length) refuse(`runs[${i}].to`, `Run ${i + 1} to ${to} m is past the end of the ${input.length} m beam.`);
    });
    const result = solveContinuous(input);
    if (!result.stable) return { stable: false };
    return { reactions: result.reactions, maxSagging: result.maxSagging, maxHogging: result.maxHogging, stable: true };
  },
  work: (i, o) =>
    o.stable
      ? [
          ...(o.reactions ?? []).map((reaction, n) => ({
            label: `Support ${n + 1}`,
            formula: reaction === 0 ? 'lifted off' : 'reaction',
            result: q(reaction, 'force'),
          })),
          { label: 'Largest sagging', formula: 'M = M₀ + V·x − w·x²/2', result: q(o.maxSagging ?? 0, 'moment') },
          { label: 'Largest hogging', result: q(o.maxHogging ?? 0, 'moment') },
        ]
      : [{ label: 'Standing', result: 'it tips: the supports that touch cannot hold it' }],
});
