import { Type } from 'typebox';
import { closed, nonNegative } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/**
 * What comes down on a line at one storey, per metre: half of each joist span where joists break over the line; 5/8 of each
 * where they run through two spans unbroken (the larger share the middle support of two spans takes); what stands on the line above.
 */
export const takedown = defineCalc({
  id: 'shore.takedown',
  title: 'Load on the line to be opened',
  input: closed({
    through: Type.Boolean({ description: 'joists run through over the line' }),
    left: closed({ span: nonNegative('m'), dead: nonNegative('Pa'), live: nonNegative('Pa') }),
    right: closed({ span: nonNegative('m'), dead: nonNegative('Pa'), live: nonNegative('Pa') }),
    aboveDead: nonNegative('N/m', 'what stands on the line over this storey'),
    aboveLive: nonNegative('N/m'),
  }),
  output: closed({ share: nonNegative('1'), dead: nonNegative('N/m'), live: nonNegative('N/m') }),
  source: { basis: 'statics', text: 'Tributary widths; middle support of two equal spans 1.25·w·L (AISC Table 3-22c)' },
  compute(i) {
    const share = i.through && i.left.span > 0 && i.right.span > 0 ? 0.625 : 0.5;
    return {
      share,
      dead: share * (i.left.span * i.left.dead + i.right.span * i.right.dead) + i.aboveDead,
      live: share * (i.left.span * i.left.live + i.right.span * i.right.live) + i.aboveLive,
    };
  },
  work: (i, o) => [
    { label: 'Share of each span', formula: o.share > 0.5 ? 'joists run through: 5/8' : 'joists broken, or on one side: half', result: q(o.share, 'factor') },
    {
      label: 'Dead',
      formula: `${o.share}·(L₁·g₁ + L₂·g₂) + above`,
      numbers: phrase`${q(i.left.span, 'length')} of ${q(i.left.dead, 'pressure')}, ${q(i.right.span, 'length')} of ${q(i.right.dead, 'pressure')}, ${q(i.aboveDead, 'forcePerLength')} above`,
      result: q(o.dead, 'forcePerLength'),
    },
    {
      label: 'Live',
      formula: `${o.share}·(L₁·q₁ + L₂·q₂) + above`,
      numbers: phrase`${q(i.left.live, 'pressure')}, ${q(i.right.live, 'pressure')}, ${q(i.aboveLive, 'forcePerLength')} above`,
      result: q(o.live, 'forcePerLength'),
    },
  ],
});
