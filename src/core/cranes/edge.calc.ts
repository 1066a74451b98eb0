import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

export const groundEdge = defineCalc({
  id: 'crane.edge',
  title: 'Distance of what presses the ground from an edge',
  input: closed({
    depth: positive('m', 'of the pit, under the ground the crane stands on'),
    run: positive('1', 'level to plumb; 1 is 45°'),
    gap: nonNegative('m'),
  }),
  output: closed({ needed: positive('m'), use: nonNegative('1', 'of the gap there is; 1e9 where there is none') }),
  source: { basis: 'practice', text: 'Common practice: nothing presses the ground inside a line from the foot of the edge at 45°' },
  compute: ({ depth, run, gap }) => ({ needed: depth * run, use: gap > 0 ? Math.min(1e9, (depth * run) / gap) : 1e9 }),
  work: (i, o) => [
    {
      label: 'Distance wanted',
      formula: 'e = n·d',
      numbers: phrase`${q(i.run, 'factor')} · ${q(i.depth, 'length')}`,
      result: q(o.needed, 'length'),
    },
    { label: 'Share of what there is', formula: 'e/a', numbers: phrase`${q(o.needed, 'length')} / ${q(i.gap, 'length')}`, result: q(o.use, 'factor') },
  ],
});
