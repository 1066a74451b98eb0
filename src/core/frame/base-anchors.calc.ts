import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Moments about the pressed edge: pressed with less than nothing, the base is lifted clear of it. */
export function aboutEdge({ axial, moment, lever, toe }: { axial: number; moment: number; lever: number; toe: number }) {
  const tension = Math.max(0, (moment - axial * toe) / lever);
  return { tension, presses: axial + tension };
}

/** What the anchors of a base pull, and what its pressed edge takes, under a moment and what stands on it. */
export const baseAnchors = defineCalc({
  id: 'frame.baseAnchors',
  title: 'Anchors of a base under a moment',
  input: closed({
    axial: real('N', { description: 'downwards on the base; negative: it lifts' }),
    moment: nonNegative('N·m'),
    lever: positive('m', 'anchors in tension to the pressed edge', { maximum: 10 }),
    toe: positive('m', 'line of the axial load to the pressed edge', { maximum: 10 }),
  }),
  output: closed({ tension: nonNegative('N', 'of all anchors in tension together'), presses: nonNegative('N', 'on the pressed edge') }),
  source: { basis: 'statics', text: 'Moments about the pressed edge; 29 CFR 1926.755(a)(2) asks for 300 lb at 18 in from the outer face of the column' },
  compute(input) {
    const { axial } = input;
    const { tension, presses } = aboutEdge(input);
    if (presses < 0)
      refuse('axial', `The base is lifted with ${-axial} N and nothing presses: all of it hangs in its anchors, and no edge is there to turn about.`);
    return { tension, presses };
  },
  work: (i, o) => [
    {
      label: 'Anchors pull',
      formula: 'T = (M − N·a) / d, never under 0',
      numbers: phrase`(${q(i.moment, 'moment')} − ${q(i.axial, 'force')} × ${q(i.toe, 'dimension')}) / ${q(i.lever, 'dimension')}`,
      result: q(o.tension, 'force'),
    },
    { label: 'The edge is pressed with', formula: 'N + T', result: q(o.presses, 'force') },
  ],
});
