import { Type } from 'typebox';
import { closed, nonNegative } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { q } from '../calc/work';

/** Everything that hangs below the boom tip, line by line. */
export const grossLoad = defineCalc({
  id: 'crane.grossLoad',
  title: 'Gross load on the hook',
  input: closed({ parts: Type.Array(closed({ what: Type.String(), mass: nonNegative('kg') }), { minItems: 1 }) }),
  output: closed({ mass: nonNegative('kg') }),
  source: { basis: 'practice', text: 'Gross load: piece, packing, rigging and hook block (common practice; the maker’s chart says what it counts)' },
  compute: ({ parts }) => ({ mass: parts.reduce((sum, part) => sum + part.mass, 0) }),
  work: ({ parts }, o) => [
    ...parts.map((part) => ({ label: part.what, result: q(part.mass, 'mass') })),
    { label: 'Gross load', formula: 'Σ', result: q(o.mass, 'mass') },
  ],
});
