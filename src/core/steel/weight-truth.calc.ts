import { closed, nullable, oneOf, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { q } from '../calc/work';

export const weightUses = ['worst', 'calculated', 'drawing', 'weighed'] as const;
export type WeightUse = (typeof weightUses)[number];

const name = { calculated: 'calculated', drawing: 'by drawing', weighed: 'weighed' } as const;

/** Which of the weights that people give the plan goes by. */
export const weightTruth = defineCalc({
  id: 'steel.weightTruth',
  title: 'The weight the plan goes by',
  input: closed({
    calculated: nullable(positive('kg')),
    drawing: nullable(positive('kg')),
    weighed: nullable(positive('kg', 'weighbridge or load cell')),
    use: oneOf(weightUses),
  }),
  output: closed({ mass: positive('kg'), by: oneOf(['calculated', 'drawing', 'weighed']), spread: positive('1', 'heaviest over lightest') }),
  source: { basis: 'practice', text: 'Common practice: the heaviest of what is known, unless a person chooses' },
  compute(i) {
    const known = (['calculated', 'drawing', 'weighed'] as const).flatMap((by) => (i[by] === null ? [] : [{ by, mass: i[by] }]));
    if (known.length === 0) refuse('calculated', 'Nothing says what this weighs: give a section and length, a drawing weight or a weighing.');
    const heaviest = known.reduce((a, b) => (b.mass > a.mass ? b : a));
    const lightest = known.reduce((a, b) => (b.mass < a.mass ? b : a));
    const chosen = i.use === 'worst' ? heaviest : known.find((one) => one.by === i.use);
    if (!chosen) refuse('use', `The plan is to go by the ${name[i.use as 'drawing']} weight, and there is none: give it or go by the worst.`);
    return { mass: (chosen as { mass: number }).mass, by: (chosen as { by: 'calculated' }).by, spread: heaviest.mass / lightest.mass };
  },
  work: (i, o) => [
    ...(['calculated', 'drawing', 'weighed'] as const).map((by) => ({ label: `Weight ${name[by]}`, result: i[by] === null ? 'not known' : q(i[by], 'mass') })),
    { label: 'The plan goes by', formula: i.use === 'worst' ? 'the heaviest known' : 'as chosen', result: q(o.mass, 'mass') },
    { label: 'which is', result: name[o.by] },
    { label: 'Heaviest over lightest', formula: 'max / min of the known', result: q(o.spread, 'factor') },
  ],
});
