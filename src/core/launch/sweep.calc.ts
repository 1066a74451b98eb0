import { Type } from 'typebox';
import { defineCalc, refuse } from '../calc/define';
import { closed, frictionCoefficient, nonNegative, nullable, positive, real } from '../calc/fields';
import { phrase, q } from '../calc/work';
import { lengthOf, pullOf, stationAt, weightOf, type Launched } from './sweep';

/** What is pushed out over rollers, at as many places of its tip as are asked. */
export const launchSweep = defineCalc({
  id: 'launch.sweep',
  title: 'Launch over rollers, place by place of the tip',
  input: closed({
    segments: Type.Array(closed({ length: positive('m'), stiffness: positive('N·m2', 'EI'), load: nonNegative('N/m', 'downwards') }), {
      minItems: 1,
      maxItems: 400,
      description: 'from the tip back',
    }),
    supports: Type.Array(closed({ x: real('m'), level: Type.Optional(real('m', { description: 'left out: 0' })) }), { maxItems: 400 }),
    pointLoads: Type.Array(closed({ fromTip: nonNegative('m'), force: nonNegative('N', 'downwards') }), { maxItems: 400 }),
    friction: frictionCoefficient('of the rollers'),
    gradeDeg: real('deg', { minimum: -45, maximum: 45, description: 'uphill positive' }),
    tips: Type.Array(real('m'), { minItems: 1, maxItems: 5000, description: 'places of the tip' }),
  }),
  output: closed({
    stations: Type.Array(
      closed({
        tip: real('m'),
        factor: nullable(nonNegative('1', 'moment of all behind over all ahead of the foremost support reached; null: nothing is ahead', { maximum: 1e12 })),
        pull: real('N'),
        stable: Type.Boolean(),
        reactions: Type.Optional(Type.Array(real('N'))),
        sagging: Type.Optional(nonNegative('N·m')),
        hogging: Type.Optional(nonNegative('N·m')),
        tipDown: Type.Optional(real('m', { description: 'of the tip below level 0' })),
      }),
    ),
  }),
  source: {
    basis: 'statics',
    text: 'Stiffness method on supports that only push; moments about the foremost support reached; pull W(μ·cos β + sin β)',
  },
  compute({ segments, supports, pointLoads, friction, gradeDeg, tips }) {
    const whole = lengthOf(segments);
    supports.forEach(({ x }, i) => {
      const other = supports.findIndex((one, n) => n < i && Math.abs(one.x - x) < 1e-9);
      if (other >= 0) refuse(`supports[${i}].x`, `Supports ${other} and ${i} are both at ${x} m: give one.`);
    });
    pointLoads.forEach(({ fromTip }, i) => {
      if (fromTip > whole + 1e-9)
        refuse(`pointLoads[${i}].fromTip`, `${fromTip} m from the tip is past the tail, ${whole} m from it: keep it on what is pushed.`);
    });
    const launched: Launched = { segments, supports: supports.map(({ x, level }) => ({ x, level: level ?? 0 })), pointLoads };
    const weight = weightOf(launched);
    if (!(weight > 0)) refuse('segments', 'Nothing of it weighs anything: give what each segment weighs.');
    const pull = pullOf(weight, friction, gradeDeg);
    return {
      stations: tips.map((tip) => {
        const { factor, answer, reactions, tipDown } = stationAt(launched, tip);
        return answer.stable
          ? { tip, factor, pull, stable: true, reactions, sagging: answer.sagging, hogging: answer.hogging, tipDown: tipDown! }
          : { tip, factor, pull, stable: false };
      }),
    };
  },
  work(i, o) {
    const least = o.stations.reduce((worst, one) => (one.factor !== null && (worst.factor === null || one.factor < worst.factor) ? one : worst));
    const most = o.stations.reduce((worst, one) => (Math.max(0, ...(one.reactions ?? [])) > Math.max(0, ...(worst.reactions ?? [])) ? one : worst));
    const load = Math.max(0, ...(most.reactions ?? []));
    const rising = i.gradeDeg === 0 ? [] : phrase`, β = ${q(i.gradeDeg, 'angle')}`;
    return [
      {
        label: 'What is pushed is long',
        numbers: phrase`${String(i.segments.length)} segments, its tip at ${String(o.stations.length)} places from ${q(Math.min(...i.tips), 'length')} to ${q(Math.max(...i.tips), 'length')}`,
        result: q(lengthOf(i.segments), 'length'),
      },
      least.factor === null
        ? { label: 'Nothing is ahead of the foremost support', result: 'it cannot tip forward' }
        : {
            label: 'Least factor against tipping forward',
            formula: 'moments behind / moments ahead of the foremost support reached',
            numbers: phrase`tip at ${q(least.tip, 'length')}`,
            result: q(least.factor, 'factor'),
          },
      { label: 'Greatest load on one support', numbers: phrase`tip at ${q(most.tip, 'length')}`, result: q(load, 'force') },
      {
        label: 'Pull',
        formula: 'W·(μ·cos β + sin β)',
        numbers: [...phrase`μ = ${q(i.friction, 'factor')}`, ...rising],
        result: q(o.stations[0]!.pull, 'force'),
      },
    ];
  },
});
