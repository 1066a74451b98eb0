import { airDensityField, closed, dragCoefficient, gustSpeed, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Wind on the side of a girder alone on its bearings, about the bearing's edge; q = ½·ρ·v². */
export const windRollover = defineCalc({
  id: 'member.windRollover',
  title: 'Roll-over of an unbraced girder in wind',
  input: closed({
    weight: positive('N'),
    length: positive('m'),
    depth: positive('m'),
    bearingWidth: positive('m'),
    gust: gustSpeed(),
    drag: dragCoefficient(),
    airDensity: airDensityField(),
  }),
  output: closed({ overturning: positive('N·m'), righting: positive('N·m'), factor: positive('1') }),
  source: { basis: 'statics', text: 'Statics; wind pressure ½·ρ·v²' },
  compute(i) {
    const overturning = (i.airDensity / 2) * i.gust ** 2 * i.drag * i.length * i.depth * (i.depth / 2);
    const righting = (i.weight * i.bearingWidth) / 2;
    return { overturning, righting, factor: righting / overturning };
  },
  work: (i, o) => [
    { label: 'Wind pressure', formula: 'q = ½·ρ·v²', numbers: phrase`gust ${q(i.gust, 'speed')}`, result: q((i.airDensity / 2) * i.gust ** 2, 'pressure') },
    { label: 'Overturning', formula: 'M_o = q·c·L·d·d/2', result: q(o.overturning, 'moment') },
    {
      label: 'Righting',
      formula: 'M_r = W·b/2',
      numbers: phrase`${q(i.weight, 'force')} × ${q(i.bearingWidth, 'dimension')} / 2`,
      result: q(o.righting, 'moment'),
    },
    { label: 'Factor', formula: 'M_r/M_o', result: q(o.factor, 'factor') },
  ],
});
