import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { Type } from 'typebox';

/**
 * Width of road a trailer needs to keep turning, its outermost corner on the outer edge of the road. The centre of the turn lies
 * square to the trailer at the rear axles; steered against the front as far as they go, square to it half way to the king pin.
 * A turn through a small angle needs less: this is the worst it comes to. The tractor is taken to stay inside the trailer's path.
 */
export const roadTurn = defineCalc({
  id: 'access.roadTurn',
  title: 'Road a long load needs in a turn',
  input: closed({
    outerRadius: positive('m', 'outer edge of the road, or of what stands beside it, from the centre of the turn'),
    width: positive('m', 'of load or deck, whichever is wider'),
    wheelbase: positive('m', 'king pin to the middle of the rear axles'),
    front: nonNegative('m', 'load or deck ahead of the king pin'),
    tail: nonNegative('m', 'load or deck behind the rear axles'),
    steered: Type.Boolean({ description: 'rear axles steered against the front ones' }),
  }),
  output: closed({
    needed: positive('m', 'width of road from outer to inner edge'),
    innerRadius: nonNegative('m'),
    corner: Type.Union([Type.Literal('front'), Type.Literal('tail')], { description: 'which corner runs along the outer edge' }),
  }),
  source: { basis: 'geometry', text: 'Circle through the outermost corner: R + w − √(R² − m²), m the reach along the trailer from the foot of the centre' },
  compute({ outerRadius: R, width, wheelbase, front, tail, steered }) {
    const { ahead, behind } = reaches({ wheelbase, front, tail, steered });
    const reach = Math.max(ahead, behind);
    const inner = R > reach ? Math.sqrt(R ** 2 - reach ** 2) - width : -1;
    if (!(inner >= 0))
      refuse(
        'outerRadius',
        `A load reaching ${reach.toFixed(2)} m along and ${width} m wide does not turn inside a radius of ${R} m: find another road, steer the rear axles or split the piece.`,
      );
    return { needed: R - inner, innerRadius: inner, corner: ahead >= behind ? ('front' as const) : ('tail' as const) };
  },
  work: (i, o) => {
    const { foot, ahead, behind } = reaches(i);
    return [
      { label: 'Foot of the centre, ahead of the rear axles', formula: i.steered ? 'L/2' : '0', result: q(foot, 'length') },
      { label: 'Front corner from it', formula: 'L + f − foot', result: q(ahead, 'length') },
      { label: 'Rear corner from it', formula: 'b + foot', result: q(behind, 'length') },
      { label: 'Inner edge of its path, from the centre', formula: '√(R² − m²) − w', result: q(o.innerRadius, 'length') },
      {
        label: 'Width of road',
        formula: 'R + w − √(R² − m²)',
        numbers: phrase`R = ${q(i.outerRadius, 'length')}, w = ${q(i.width, 'length')}, m = ${q(Math.max(ahead, behind), 'length')}`,
        result: q(o.needed, 'length'),
      },
    ];
  },
});

function reaches({ wheelbase, front, tail, steered }: { wheelbase: number; front: number; tail: number; steered: boolean }) {
  const foot = steered ? wheelbase / 2 : 0;
  return { foot, ahead: wheelbase + front - foot, behind: tail + foot };
}
