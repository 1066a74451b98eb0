import { Type } from 'typebox';
import { closed } from '../calc/fields';
import { defineCalc } from '../calc/define';

/** A move may start when everything it needs has been done by an earlier one. */
export const sequenceNeeds = defineCalc({
  id: 'sequence.needs',
  title: 'What must be done before this move',
  input: closed({ needs: Type.Array(closed({ what: Type.String(), done: Type.Boolean() })) }),
  output: closed({ lacking: Type.Array(Type.String()) }),
  source: { basis: 'practice', text: 'Order of work (common practice): what a move needs is done by an earlier move' },
  compute: ({ needs }) => ({ lacking: needs.filter(({ done }) => !done).map(({ what }) => what) }),
  work: ({ needs }) =>
    needs.length > 0
      ? needs.map(({ what, done }) => ({ label: what, result: done ? 'done before' : 'not done yet' }))
      : [{ label: 'Needs', result: 'nothing before it' }],
});
