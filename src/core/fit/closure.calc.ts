import { closed, nonNegative, nullable, pair, positive, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** The gap a closing piece finds once the steel has warmed, what draws it shut, and what an overlap presses. */
export const fitClosure = defineCalc({
  id: 'fit.closure',
  title: 'Closing a gap between two arms',
  input: closed({
    gap: real('m', { minimum: -5, maximum: 5, description: 'as measured' }),
    left: nonNegative('m', 'length of steel from the gap to what holds it along', { maximum: 5000 }),
    right: nonNegative('m', undefined, { maximum: 5000 }),
    deltaT: real('K', { description: 'warmer than when it was measured' }),
    coefficient: positive('1/K', 'of expansion', { maximum: 1e-4 }),
    stiffness: pair(positive('N/m'), 'of the arms, along'),
  }),
  output: closed({
    gap: real('m', { description: 'after warming; negative: they overlap' }),
    force: nonNegative('N', 'pulls the gap shut'),
    thrust: nonNegative('N', 'an overlap presses back'),
    closesAt: nullable(real('K', { description: 'rise that shuts it; null: arms without length never do' })),
  }),
  source: { basis: 'statics', text: 'αLΔT of both arms; two springs in series' },
  compute({ gap, left, right, deltaT, coefficient, stiffness }) {
    const perKelvin = coefficient * (left + right);
    const after = gap - perKelvin * deltaT;
    const [a, b] = stiffness as [number, number];
    const series = (a * b) / (a + b);
    return {
      gap: after,
      force: Math.max(0, after) * series,
      thrust: Math.max(0, -after) * series,
      closesAt: perKelvin > 0 ? gap / perKelvin : null,
    };
  },
  work: (i, o) => [
    {
      label: 'Gap after warming',
      formula: 'g − α·(L₁ + L₂)·ΔT',
      numbers: phrase`${q(i.gap, 'dimension')} − ${String(i.coefficient)} × (${q(i.left, 'length')} + ${q(i.right, 'length')}) × ${q(i.deltaT, 'temperature')}`,
      result: q(o.gap, 'dimension'),
    },
    { label: o.gap >= 0 ? 'Pulled shut with' : 'An overlap presses with', formula: 'k₁·k₂ / (k₁ + k₂) · g', result: q(Math.max(o.force, o.thrust), 'force') },
    {
      label: 'Shut by a rise of',
      formula: 'g / (α·(L₁ + L₂))',
      result: o.closesAt === null ? 'nothing: the arms have no length' : q(o.closesAt, 'temperature'),
    },
  ],
});
