import { Type } from 'typebox';
import { closed, nonNegative, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const place = () => closed({ x: real('m', { minimum: -50, maximum: 50 }), y: real('m', { minimum: -50, maximum: 50 }) });

/** What each bolt of a group takes of a force in the plane of the group that need not go through its middle. */
export const boltGroup = defineCalc({
  id: 'connection.boltGroup',
  title: 'Bolt group under a force off its middle',
  input: closed({
    bolts: Type.Array(place(), { minItems: 1, maxItems: 1000 }),
    fx: real('N'),
    fy: real('N'),
    at: place(),
  }),
  output: closed({ force: Type.Array(nonNegative('N'), { description: 'on each bolt' }), most: nonNegative('N') }),
  source: { basis: 'published', text: 'Elastic (vector) method, AISC Manual part 7' },
  compute({ bolts, fx, fy, at }) {
    const n = bolts.length;
    const middle = { x: bolts.reduce((sum, one) => sum + one.x, 0) / n, y: bolts.reduce((sum, one) => sum + one.y, 0) / n };
    const polar = bolts.reduce((sum, one) => sum + (one.x - middle.x) ** 2 + (one.y - middle.y) ** 2, 0);
    const moment = (at.x - middle.x) * fy - (at.y - middle.y) * fx;
    bolts.forEach((one, i) => {
      const other = bolts.findIndex((two, k) => k < i && Math.hypot(one.x - two.x, one.y - two.y) < 1e-9);
      if (other >= 0) refuse(`bolts[${i}]`, `Bolts ${other + 1} and ${i + 1} are in one hole: give each its own place.`);
    });
    if (polar < 1e-12 && Math.abs(moment) > 1e-9 * Math.hypot(fx, fy))
      refuse('bolts', 'One bolt cannot hold a force that does not go through it: the plate turns about it. Give more bolts, or the force at the bolt.');
    const turn = polar < 1e-12 ? 0 : moment / polar;
    const force = bolts.map((one) => Math.hypot(fx / n - turn * (one.y - middle.y), fy / n + turn * (one.x - middle.x)));
    return { force, most: Math.max(...force) };
  },
  work: (i, o) => [
    {
      label: 'Direct, on each bolt',
      formula: 'F / n',
      numbers: phrase`${q(Math.hypot(i.fx, i.fy), 'force')} / ${String(i.bolts.length)}`,
      result: q(Math.hypot(i.fx, i.fy) / i.bolts.length, 'force'),
    },
    ...o.force.map((force, n) => ({ label: `Bolt ${n + 1}`, formula: 'F/n + M·r/Σr², as vectors', result: q(force, 'force') })),
    { label: 'Most', result: q(o.most, 'force') },
  ],
});
