import { Type } from 'typebox';
import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/**
 * A piece on two hooks one end of which has landed: it turns about where it rests, and the hook at the other end carries what the seat
 * does not. Its line was plumb over where the pick comes to be; while the piece slopes it is not.
 */
export const oneEndLanded = defineCalc({
  id: 'crane.oneEnd',
  title: 'One end landed, the other on its hook',
  input: closed({
    weight: positive('N'),
    cg: nonNegative('m', 'from the end that landed'),
    cgHeight: nonNegative('m', 'balance point over the underside'),
    rest: nonNegative('m', 'from the end that landed to where it rests'),
    hook: positive('m', 'from the end that landed to the pick of the other hook'),
    pickHeight: nonNegative('m', 'that pick over the underside'),
    high: nonNegative('m', 'the pick is still so far above its height when set'),
    fall: Type.Optional(positive('m', 'from the pick up to the boom tip')),
  }),
  output: closed({ hook: real('N'), rest: real('N'), slopeDeg: nonNegative('deg'), off: nonNegative('m'), lineDeg: Type.Optional(nonNegative('deg')) }),
  source: { basis: 'statics', text: 'Moments about where it rests; the pick moves on a circle about it' },
  compute({ weight, cg, cgHeight, rest, hook, pickHeight, high, fall }) {
    const arm = hook - rest;
    if (!(arm > 0)) refuse('rest', `It rests ${rest} m from its end and the other hook holds it at ${hook} m: it cannot rest past the hook.`);
    if (!(high < arm)) refuse('high', `An end ${high} m too high on an arm of ${arm} m stands steeper than can be: check both.`);
    const slope = Math.asin(high / arm);
    const turned = (x: number, z: number) => x * Math.cos(slope) - z * Math.sin(slope);
    const reach = turned(arm, pickHeight);
    const share = (weight * turned(cg - rest, cgHeight)) / reach;
    const off = arm - reach;
    const line = fall === undefined ? {} : { lineDeg: (Math.atan2(off, fall) * 180) / Math.PI };
    return { hook: share, rest: weight - share, slopeDeg: (slope * 180) / Math.PI, off, ...line };
  },
  work: (i, o) => [
    {
      label: 'It slopes',
      formula: 'sin δ = h / (b − r)',
      numbers: phrase`${q(i.high, 'dimension')} / (${q(i.hook, 'length')} − ${q(i.rest, 'length')})`,
      result: q(o.slopeDeg, 'angle'),
    },
    {
      label: 'The other hook',
      formula: 'W·((c − r)·cos δ − z·sin δ) / ((b − r)·cos δ − d·sin δ)',
      numbers: phrase`${q(i.weight, 'force')}, balance point ${q(i.cg, 'length')} from the end and ${q(i.cgHeight, 'dimension')} up, pick ${q(i.pickHeight, 'dimension')} up`,
      result: q(o.hook, 'force'),
    },
    { label: 'Where it rests', formula: 'W − hook', result: q(o.rest, 'force') },
    { label: 'The pick is off its place by', formula: '(b − r) − ((b − r)·cos δ − d·sin δ)', result: q(o.off, 'dimension') },
    ...(i.fall === undefined || o.lineDeg === undefined
      ? []
      : [
          {
            label: 'Its line is out of plumb',
            formula: 'arctan(off / fall)',
            numbers: phrase`${q(o.off, 'dimension')} over ${q(i.fall, 'length')}`,
            result: q(o.lineDeg, 'angle'),
          },
        ]),
  ],
});
