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
  stretches: Type.Optional(Type.Array(closed({ from: real('m'), to: real('m') }), { description: 'parts of it to be looked at one by one' })),
  cuts: Type.Optional(Type.Array(real('m'), { description: 'places at which it is spliced' })),
});

/** This side of a cut [m]. */
const JUST = 1e-9;

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

/** Where the moment may be at its greatest from one place to another: at its ends, at whatever sits in between, where the shear is zero. */
function peaks(i: Static<typeof input>, reactions: readonly [number, number], from: number, to: number): number[] {
  const all = [from, to, i.left, i.length - i.right, ...i.runs.flatMap((r) => [r.from, r.to]), ...i.lumps.map((l) => l.at)];
  const breaks = [...new Set(all)].filter((x) => x >= from && x <= to).sort((a, b) => a - b);
  return breaks.flatMap((a, k) => {
    const b = breaks[k + 1];
    if (b === undefined) return [a];
    const w = i.runs.reduce((sum, r) => sum + (r.from <= a && r.to >= b ? r.weightPerLength : 0), 0);
    const zero = w > 0 ? a + shearAt(i, reactions, a) / w : b;
    return zero > a && zero < b ? [a, zero] : [a];
  });
}

/** A piece with runs and lumps of weight hung at two picks: exact at the picks, at every lump and where the shear is zero. */
export const pickMoments = defineCalc({
  id: 'rigging.pickMoments',
  title: 'Bending of the piece with all that hangs on it',
  input,
  output: closed({
    reaction: pair(real('N')),
    hogging: pair(nonNegative('N·m')),
    sagging: nonNegative('N·m'),
    governing: nonNegative('N·m'),
    greatest: Type.Optional(Type.Array(nonNegative('N·m', 'in each stretch, whichever way it bends'))),
    felt: Type.Optional(
      Type.Array(closed({ moment: real('N·m', { description: 'sagging positive' }), shear: nonNegative('N', 'the greater of both sides of the cut') })),
    ),
  }),
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
    const onPiece = (x: number, path: string) => {
      if (x < 0 || x > i.length) refuse(path, `${x} m is past the end of the ${i.length} m piece: keep it on the piece.`);
    };
    const sagging = Math.max(0, ...peaks(i, reaction, 0, i.length).map((x) => momentAt(i, reaction, x)));
    const hogging: [number, number] = [Math.max(0, -momentAt(i, reaction, i.left)), Math.max(0, -momentAt(i, reaction, pickRight))];
    const greatest = i.stretches?.map(({ from, to }, n) => {
      if (!(to > from)) refuse(`stretches[${n}].to`, `Stretch ${n + 1} goes from ${from} m to ${to} m: make “to” the larger.`);
      onPiece(from, `stretches[${n}].from`);
      onPiece(to, `stretches[${n}].to`);
      return Math.max(...peaks(i, reaction, from, to).map((x) => Math.abs(momentAt(i, reaction, x))));
    });
    const felt = i.cuts?.map((x, n) => {
      onPiece(x, `cuts[${n}]`);
      // A pick or a lump at the cut itself is on one side of it or the other: whichever shears it more.
      const sides = [shearAt(i, reaction, x - JUST), shearAt(i, reaction, x)];
      return { moment: momentAt(i, reaction, x), shear: Math.max(...sides.map(Math.abs)) };
    });
    return {
      reaction,
      hogging,
      sagging,
      governing: Math.max(...hogging, sagging),
      ...(greatest ? { greatest } : {}),
      ...(felt ? { felt } : {}),
    };
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
    ...(o.greatest ?? []).map((moment, n) => ({
      label: `Greatest in stretch ${n + 1}`,
      numbers: phrase`${q(i.stretches![n]!.from, 'length')} to ${q(i.stretches![n]!.to, 'length')}`,
      result: q(moment, 'moment'),
    })),
    ...(o.felt ?? []).map(({ moment, shear }, n) => ({
      label: `At splice ${n + 1}`,
      numbers: phrase`at ${q(i.cuts![n]!, 'length')}: shear ${q(shear, 'force')}`,
      result: q(Math.abs(moment), 'moment'),
    })),
  ],
});
