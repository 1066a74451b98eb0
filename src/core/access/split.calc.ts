import { Type } from 'typebox';
import { closed, nonNegative, nullable, positive, positiveInteger, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { q } from '../calc/work';
import { searchSplit } from './split';

const limit = (unit: string) => nullable(positive(unit));
const plan = () =>
  closed({
    cuts: Type.Array(positive('m')),
    pieces: Type.Array(closed({ from: real('m'), to: positive('m'), length: positive('m'), mass: positive('kg') })),
    worstShare: nonNegative('1'),
  });

/** Fewest pieces that can be got there, spliced away from the peak moment. */
export const splitSearch = defineCalc({
  id: 'piece.split',
  title: 'Fewest pieces and where to splice',
  input: closed({
    length: positive('m'),
    leftOverhang: nonNegative('m', 'left end to the middle of its left bearing'),
    span: positive('m'),
    load: nonNegative('N/m', 'on the span when finished'),
    pointLoads: Type.Array(closed({ x: nonNegative('m'), force: nonNegative('N') })),
    massPerLength: positive('kg/m'),
    spliceMass: nonNegative('kg'),
    way: limit('m'),
    transport: limit('m'),
    mass: limit('kg'),
    peakShare: nonNegative('1', undefined, { maximum: 1 }),
    shortest: positive('m'),
    step: positive('m', undefined, { minimum: 0.005 }),
    mostPieces: positiveInteger(),
  }),
  output: closed({ pieces: Type.Integer({ minimum: 0 }), best: nullable(plan()), runnersUp: Type.Array(plan()), blocked: Type.Array(Type.String()) }),
  source: { basis: 'geometry', text: 'Search over every splice place at the given step: fewest pieces first, then the least moment at a splice' },
  compute(i) {
    if (i.span + i.leftOverhang > i.length + 1e-9) refuse('span', `A span of ${i.span} m does not fit on a member of ${i.length} m: measure again.`);
    if (i.length / i.step > 4000) refuse('step', `A step of ${i.step} m is too fine for ${i.length} m: use ${(i.length / 4000).toFixed(3)} m or more.`);
    const answer = searchSplit({
      length: i.length,
      leftOverhang: i.leftOverhang,
      massPerLength: i.massPerLength,
      spliceMass: i.spliceMass,
      limits: { way: i.way, transport: i.transport, mass: i.mass },
      beam: { span: i.span, load: i.load, pointLoads: i.pointLoads },
      peakShare: i.peakShare,
      shortest: i.shortest,
      step: i.step,
      mostPieces: i.mostPieces,
    });
    return {
      pieces: answer.best?.pieces.length ?? 0,
      best: answer.best,
      runnersUp: answer.runnersUp,
      blocked: (answer.fewer?.blockers ?? []).map((one) => one.limit),
    };
  },
  work: (i, o) => [
    {
      label: 'Limits on a piece',
      numbers: [
        ...(i.way === null ? [] : ['way in ', q(i.way, 'length'), ' ']),
        ...(i.transport === null ? [] : ['transport ', q(i.transport, 'length'), ' ']),
        ...(i.mass === null ? [] : ['weight ', q(i.mass, 'mass')]),
      ],
      result: q(i.length, 'length'),
    },
    { label: 'Splice only where the moment is under', result: q(i.peakShare, 'fraction') },
    { label: 'Fewest pieces', result: o.best ? q(o.pieces, 'count') : 'none within the limits' },
    ...(o.best?.pieces ?? []).map((one, n) => ({ label: `Piece ${n + 1}`, numbers: [q(one.mass, 'mass')], result: q(one.length, 'length') })),
    ...(o.best && o.best.cuts.length > 0 ? [{ label: 'Worst moment at a splice, of the peak', result: q(o.best.worstShare, 'fraction') }] : []),
  ],
});
