import { Type } from 'typebox';
import { closed, nonNegative, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const place = () => closed({ x: real('m'), y: real('m') });

/**
 * The shift and turn of a base plate that come nearest to the bolts as cast (least squares, no stretching), and what is left
 * at each bolt. The plate goes on when no bolt is further out than its hole has play.
 */
export const boltPattern = defineCalc({
  id: 'fit.boltPattern',
  title: 'Anchor bolts as cast against the plate',
  input: closed({
    drawn: Type.Array(place(), { minItems: 2, maxItems: 64 }),
    cast: Type.Array(place(), { minItems: 2, maxItems: 64 }),
    play: nonNegative('m', 'how far a bolt may stand off the middle of its hole'),
  }),
  output: closed({
    shift: place(),
    turnDeg: real('deg', { description: 'counter-clockwise' }),
    residuals: Type.Array(nonNegative('m')),
    worst: nonNegative('m'),
    offDrawn: nonNegative('m', 'the furthest bolt from where it is drawn'),
    goesOn: Type.Boolean(),
  }),
  source: { basis: 'geometry', text: 'Least-squares rigid fit (shift of the means, turn from the cross products); tolerances of AISC 303 §7.5, from memory' },
  compute({ drawn, cast, play }) {
    if (drawn.length !== cast.length) refuse('cast', `${drawn.length} bolts are drawn and ${cast.length} surveyed: give one surveyed place for each bolt.`);
    const middle = (list: readonly { x: number; y: number }[]) => ({
      x: list.reduce((sum, one) => sum + one.x, 0) / list.length,
      y: list.reduce((sum, one) => sum + one.y, 0) / list.length,
    });
    const from = middle(drawn);
    const to = middle(cast);
    let along = 0;
    let across = 0;
    drawn.forEach((one, i) => {
      const a = { x: one.x - from.x, y: one.y - from.y };
      const b = { x: (cast[i]?.x ?? 0) - to.x, y: (cast[i]?.y ?? 0) - to.y };
      along += a.x * b.x + a.y * b.y;
      across += a.x * b.y - a.y * b.x;
    });
    const turn = Math.atan2(across, along);
    const residuals = drawn.map((one, i) => {
      const x = to.x + (one.x - from.x) * Math.cos(turn) - (one.y - from.y) * Math.sin(turn);
      const y = to.y + (one.x - from.x) * Math.sin(turn) + (one.y - from.y) * Math.cos(turn);
      return Math.hypot((cast[i]?.x ?? 0) - x, (cast[i]?.y ?? 0) - y);
    });
    const worst = Math.max(...residuals);
    const offDrawn = Math.max(...drawn.map((one, i) => Math.hypot((cast[i]?.x ?? 0) - one.x, (cast[i]?.y ?? 0) - one.y)));
    return { shift: { x: to.x - from.x, y: to.y - from.y }, turnDeg: (turn * 180) / Math.PI, residuals, worst, offDrawn, goesOn: worst < play };
  },
  work: (i, o) => [
    {
      label: 'Shift of the pattern',
      formula: 'mean of cast − mean of drawn',
      numbers: phrase`east ${q(o.shift.x, 'dimension')}`,
      result: q(Math.hypot(o.shift.x, o.shift.y), 'dimension'),
    },
    { label: 'Turn of the pattern', formula: 'atan2(Σ a×b, Σ a·b)', result: q(o.turnDeg, 'angle') },
    ...o.residuals.map((left, n) => ({ label: `Bolt ${n + 1} after the fit`, result: q(left, 'dimension') })),
    { label: 'Worst bolt after the fit', formula: 'max', result: q(o.worst, 'dimension') },
    { label: 'Furthest from its drawn place, before the fit', result: q(o.offDrawn, 'dimension') },
    { label: 'Play in a hole', result: q(i.play, 'dimension') },
    { label: 'The plate', result: o.goesOn ? 'goes on' : 'does not go on' },
  ],
});
