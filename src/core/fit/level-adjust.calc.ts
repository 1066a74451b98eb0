import { closed, positive, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** What to turn or to pack so that a seat comes to its level. */
export const levelAdjust = defineCalc({
  id: 'fit.levelAdjust',
  title: 'Levelling nuts or shims',
  input: closed({
    wanted: real('m'),
    found: real('m'),
    pitch: positive('m', 'of the levelling nuts’ thread'),
    shim: positive('m', 'thinnest shim at hand'),
  }),
  output: closed({
    raise: real('m'),
    turns: real('1', { description: 'of every nut, up positive' }),
    shims: real('1'),
    left: real('m', { description: 'still out after whole shims' }),
  }),
  source: { basis: 'geometry', text: 'Turns = level difference / thread pitch' },
  compute({ wanted, found, pitch, shim }) {
    const raise = wanted - found;
    const shims = Math.max(0, Math.round(raise / shim));
    return { raise, turns: raise / pitch, shims, left: raise - shims * shim };
  },
  work: (i, o) => [
    { label: 'To raise', formula: 'wanted − found', numbers: phrase`${q(i.wanted, 'length')} − ${q(i.found, 'length')}`, result: q(o.raise, 'dimension') },
    { label: 'Turns of each nut', formula: 'raise / pitch', numbers: phrase`pitch ${q(i.pitch, 'dimension')}`, result: q(o.turns, 'factor') },
    { label: 'Or whole shims', numbers: phrase`of ${q(i.shim, 'dimension')}`, result: q(o.shims, 'count') },
    { label: 'Left over with shims', result: q(o.left, 'dimension') },
  ],
});
