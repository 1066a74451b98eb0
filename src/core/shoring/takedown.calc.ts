import { Type } from 'typebox';
import { closed, nonNegative, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Joists, partitions and people on one side of the line never weigh more than this, about two storeys of stored water. */
const MOST_AREA_LOAD = 20000;
const MOST_SPAN = 60;

const side = () =>
  closed({
    span: nonNegative('m', undefined, { maximum: MOST_SPAN }),
    dead: nonNegative('Pa', undefined, { maximum: MOST_AREA_LOAD }),
    live: nonNegative('Pa', undefined, { maximum: MOST_AREA_LOAD }),
  });

/**
 * Share of the load on each span that the middle support of two unbroken spans takes, by the three-moment equation:
 * a load w on span L1 alone gives M = w·L1³/8(L1 + L2) over the line, so R/(w·L1) = 1/2 + L1²/8(L1 + L2)·(1/L1 + 1/L2)
 * = 1/2 + L1/8·L2. Equal spans give 5/8.
 */
export const throughShare = (own: number, other: number): number => 0.5 + own / (8 * other);

/**
 * What comes down on a line at one storey, per metre. Where joists break over the line: half of each span. Where they run through
 * unbroken: the middle reaction of two spans, by three moments, each side with its own load. Every load on either span adds to the
 * middle reaction, so the live load is worst on both sides at once; the far bearing of the short span may lift meanwhile.
 */
export const takedown = defineCalc({
  id: 'shore.takedown',
  title: 'Load on the line to be opened',
  input: closed({
    through: Type.Boolean({ description: 'joists run through over the line' }),
    left: side(),
    right: side(),
    aboveDead: nonNegative('N/m', 'what stands on the line over this storey'),
    aboveLive: nonNegative('N/m'),
  }),
  output: closed({
    share: nonNegative('1', 'of the loads on both spans together'),
    shareLeft: nonNegative('1', 'of the load on the left span'),
    shareRight: nonNegative('1', 'of the load on the right span'),
    dead: nonNegative('N/m'),
    live: nonNegative('N/m'),
    farLeast: closed({
      left: real('N/m', { description: 'least reaction at the left far bearing, live load on the worse side; negative: it lifts' }),
      right: real('N/m', { description: 'least reaction at the right far bearing' }),
    }),
  }),
  source: { basis: 'statics', text: 'Tributary widths; three-moment equation for two spans, M = w·(L1³ + L2³)/8(L1 + L2) (AISC Table 3-22c for equal spans)' },
  compute(i) {
    const unbroken = i.through && i.left.span > 0 && i.right.span > 0;
    const shareLeft = unbroken ? throughShare(i.left.span, i.right.span) : 0.5;
    const shareRight = unbroken ? throughShare(i.right.span, i.left.span) : 0.5;
    // A load on the far span lifts the far bearing of this one: its moment over the line, by the lever of this span.
    const far = (own: typeof i.left, other: typeof i.left) => {
      if (!(own.span > 0)) return 0;
      if (!unbroken) return (own.span * own.dead) / 2;
      const over = (w: number, span: number) => (w * span ** 3) / (8 * (own.span + other.span));
      const keeps = (own.dead * own.span) / 2 - over(own.dead, own.span) / own.span;
      return keeps - over(other.dead + other.live, other.span) / own.span;
    };
    const onLeft = i.left.span * (i.left.dead + i.left.live);
    const onRight = i.right.span * (i.right.dead + i.right.live);
    return {
      share: onLeft + onRight > 0 ? (shareLeft * onLeft + shareRight * onRight) / (onLeft + onRight) : 0.5,
      shareLeft,
      shareRight,
      dead: shareLeft * i.left.span * i.left.dead + shareRight * i.right.span * i.right.dead + i.aboveDead,
      live: shareLeft * i.left.span * i.left.live + shareRight * i.right.span * i.right.live + i.aboveLive,
      farLeast: { left: far(i.left, i.right), right: far(i.right, i.left) },
    };
  },
  work: (i, o) => [
    {
      label: 'Share of each span',
      formula: o.shareLeft > 0.5 ? 'joists run through: 1/2 + L₁/(8·L₂), and 1/2 + L₂/(8·L₁)' : 'joists broken, or on one side: half',
      numbers: phrase`${q(i.left.span, 'length')} and ${q(i.right.span, 'length')}: ${q(o.shareLeft, 'factor')} of the left span’s load, ${q(o.shareRight, 'factor')} of the right one’s`,
      result: q(o.share, 'factor'),
    },
    {
      label: 'Dead',
      formula: 's₁·L₁·g₁ + s₂·L₂·g₂ + above',
      numbers: phrase`${q(i.left.span, 'length')} of ${q(i.left.dead, 'pressure')}, ${q(i.right.span, 'length')} of ${q(i.right.dead, 'pressure')}, ${q(i.aboveDead, 'forcePerLength')} above`,
      result: q(o.dead, 'forcePerLength'),
    },
    {
      label: 'Live, on both sides at once',
      formula: 's₁·L₁·q₁ + s₂·L₂·q₂ + above',
      numbers: phrase`${q(i.left.live, 'pressure')}, ${q(i.right.live, 'pressure')}, ${q(i.aboveLive, 'forcePerLength')} above`,
      result: q(o.live, 'forcePerLength'),
    },
    {
      label: 'Left far bearing, least',
      formula: 'dead load on both spans, live load on the other one alone',
      result: q(o.farLeast.left, 'forcePerLength'),
    },
    { label: 'Right far bearing, least', result: q(o.farLeast.right, 'forcePerLength') },
  ],
});
