import { Type, type Static } from 'typebox';
import { closed, nonNegative, pair, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const input = closed({
  length: positive('m'),
  left: nonNegative('m', 'left end to left pick'),
  right: nonNegative('m', 'right end to right pick'),
  runs: Type.Array(closed({ weightPerLength: nonNegative('N/m'), from: real('m'), to: real('m') })),
  lumps: Type.Array(closed({ weight: nonNegative('N'), at: real('m') })),
});

/** Sagging-positive moment at x from everything to its left. */
function momentAt(i: Static<typeof input>, reactions: readonly [number, number], x: number): number {
  let m = 0;
  for (const run of i.runs) {
    const reach = Math.min(run.to, x);
    if (reach > run.from) m -= run.weightPerLength * (reach - run.from) * (x - (run.from + reach) / 2);
  }
  for (const lump of i.lumps) if (lump.at < x) m -= lump.weight * (x - lump.at);
  if (x > i.left) m += reactions[0] * (x - i.left);
  if (x > i.length - i.right) m += reactions[1] * (x - (i.length - i.right));
  return m;
}

function shearAt(i: Static<typeof input>, reactions: readonly [number, number], x: number): number {
  let v = 0;
  for (const run of i.runs) v -= run.weightPerLength * Math.max(0, Math.min(run.to, x) - run.from);
  for (const lump of i.lumps) if (lump.at <= x) v -= lump.weight;
  if (x >= i.left) v += reactions[0];
  if (x >= i.length - i.right) v += reactions[1];
  return v;
}

/** A piece with runs and lumps of weight hung at two picks: exact at the picks, at every lump and where the shear is zero. */
export const pickMoments = defineCalc({
  id: 'rigging.pickMoments',
  title: 'Bending of the piece with all that hangs on it',
  input,
  output: closed({ reaction: pair(real('N')), hogging: pair(nonNegative('N·m')), sagging: nonNegative('N·m'), governing: nonNegative('N·m') }),
  source: { basis: 'statics', text: 'Statics of a beam on two picks' },
  compute(i) {
    i.runs.forEach(({ from, to }, n) => {
      if (!(to > from)) refuse(`runs[${n}].to`, `Run ${n + 1} goes from ${from} m to ${to} m: make “to” the larger.`);
      if (from < 0 || to > i.length)
        refuse(
          `runs[${n}].${from < 0 ? 'from' : 'to'}`,
          `Run ${n + 1}, ${from} m to ${to} m, is past the end of the ${i.length} m piece: keep it on the piece.`,
        );
    });
    i.lumps.forEach(({ at }, n) => {
      if (at < 0 || at > i.length) refuse(`lumps[${n}].at`, `Lump ${n + 1} at ${at} m is past the end of the ${i.length} m piece: keep it on the piece.`);
    });
    const pickRight = i.length - i.right;
    if (!(pickRight > i.left))
      refuse('right', `Picks ${i.left} m and ${i.right} m from the ends of a ${i.length} m piece cross over: bring them nearer the ends.`);
    const parts = [
      ...i.runs.map((r) => ({ w: r.weightPerLength * (r.to - r.from), x: (r.from + r.to) / 2 })),
      ...i.lumps.map((l) => ({ w: l.weight, x: l.at })),
    ];
    const weight = parts.reduce((sum, p) => sum + p.w, 0);
    const r2 = parts.reduce((sum, p) => sum + p.w * (p.x - i.left), 0) / (pickRight - i.left);
    const reaction: [number, number] = [weight - r2, r2];
    if (reaction[0] < 0 || r2 < 0)
      refuse(r2 < 0 ? 'left' : 'right', 'The centre of gravity is outside the picks: the piece would tip out of its slings. Straddle it.');
    const breaks = [...new Set([0, i.left, pickRight, i.length, ...i.runs.flatMap((r) => [r.from, r.to]), ...i.lumps.map((l) => l.at)])].sort((a, b) => a - b);
    let sagging = 0;
    breaks.slice(0, -1).forEach((a, k) => {
      const b = breaks[k + 1]!;
      const va = shearAt(i, reaction, a);
      const w = i.runs.reduce((sum, r) => sum + (r.from <= a && r.to >= b ? r.weightPerLength : 0), 0);
      const zero = w > 0 ? a + va / w : b;
      for (const x of [a, b, ...(zero > a && zero < b ? [zero] : [])]) sagging = Math.max(sagging, momentAt(i, reaction, x));
    });
    const hogging = [Math.max(0, -momentAt(i, reaction, i.left)), Math.max(0, -momentAt(i, reaction, pickRight))];
    return { reaction, hogging, sagging, governing: Math.max(...hogging, sagging) };
  },
  work: (i, o) => [
    {
      label: 'Picks carry',
      formula: 'by lever',
      numbers: phrase`${q(o.reaction[0]!, 'force')} at ${q(i.left, 'length')} from the left`,
      result: q(o.reaction[1]!, 'force'),
    },
    { label: 'Hogging over the left pick', formula: 'M = Σ w·x of the overhang', result: q(o.hogging[0]!, 'moment') },
    { label: 'Hogging over the right pick', result: q(o.hogging[1]!, 'moment') },
    { label: 'Sagging between the picks', formula: 'where the shear is zero', result: q(o.sagging, 'moment') },
  ],
});
