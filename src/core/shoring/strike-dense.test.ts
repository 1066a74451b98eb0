import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import { runCalc } from '../catalogue/run';

interface Shore {
  x: number;
  spring: number;
  load: number;
}

/** Euler beam on two seats with springs, in one dense matrix by ml-matrix: what each standing spring gets more, and both seats. */
function dense(span: number, stiffness: number, shores: readonly Shore[], gone: readonly number[]): { shores: number[]; left: number; right: number } {
  const xs = [...new Set([0, span, ...shores.map((one) => one.x)])].sort((a, b) => a - b);
  const n = 2 * xs.length;
  const node = (x: number) => 2 * xs.indexOf(x);
  const bare = Matrix.zeros(n, n);
  xs.slice(1).forEach((x, e) => {
    const l = x - xs[e]!;
    const local = [
      [12, 6 * l, -12, 6 * l],
      [6 * l, 4 * l * l, -6 * l, 2 * l * l],
      [-12, -6 * l, 12, -6 * l],
      [6 * l, 2 * l * l, -6 * l, 4 * l * l],
    ];
    local.forEach((row, i) => row.forEach((value, j) => bare.set(2 * e + i, 2 * e + j, bare.get(2 * e + i, 2 * e + j) + (value * stiffness) / l ** 3)));
  });
  const f = Matrix.zeros(n, 1);
  const k = bare.clone();
  shores.forEach((one, i) => {
    const at = node(one.x);
    if (gone.includes(i)) f.set(at, 0, f.get(at, 0) + one.load);
    else k.set(at, at, k.get(at, at) + one.spring);
  });
  for (const seat of [node(0), node(span)]) k.set(seat, seat, k.get(seat, seat) + 1e16);
  const u = solve(k, f);
  const reaction = (at: number) => f.get(at, 0) - bare.getRowVector(at).mmul(u).get(0, 0);
  return {
    shores: shores.map((one, i) => (gone.includes(i) ? 0 : one.load + one.spring * u.get(node(one.x), 0))),
    left: reaction(node(0)),
    right: reaction(node(span)),
  };
}

const strike = (span: number, stiffness: number, shores: readonly Shore[], gone: readonly number[]) => {
  const outcome = runCalc('shore.strike', { span, stiffness, shores, steps: [gone] });
  if (!outcome.ok) throw new Error(outcome.error);
  return (outcome.output as { steps: { shores: number[]; left: number; right: number }[] }).steps[0]!;
};

/** Lopsided on purpose: no two shores alike, none in the middle. */
const shores: Shore[] = [
  { x: 0.41, spring: 9e6, load: 4100 },
  { x: 0.93, spring: 4e6, load: 5200 },
  { x: 1.52, spring: 7e6, load: 3900 },
  { x: 2.31, spring: 5e6, load: 6100 },
  { x: 3.47, spring: 8e6, load: 4700 },
];

test.each([
  ['the first', [0]],
  ['one inside', [2]],
  ['two apart', [1, 3]],
  ['all but one', [0, 1, 2, 4]],
])('%s struck: every shore and both seats as a dense matrix has them', (_, gone) => {
  const ours = strike(4, 5e6, shores, gone);
  const theirs = dense(4, 5e6, shores, gone);
  shores.forEach((_one, i) => expect(ours.shores[i]).toBeCloseTo(theirs.shores[i]!, 2));
  expect(ours.left).toBeCloseTo(theirs.left, 2);
  expect(ours.right).toBeCloseTo(theirs.right, 2);
});

test('so for any shores, beam and step in which none has to pull', () =>
  fc.assert(
    fc.property(
      fc.array(fc.record({ spring: fc.integer({ min: 5, max: 200 }), load: fc.integer({ min: 20, max: 90 }) }), { minLength: 2, maxLength: 7 }),
      fc.integer({ min: 5, max: 400 }),
      fc.nat({ max: 127 }),
      (list, beam, mask) => {
        const some = list.map(({ spring, load }, i) => ({ x: 0.3 + 0.5 * i, spring: spring * 1e5, load: load * 100 }));
        const gone = some.flatMap((_one, i) => ((mask >> i) & 1 ? [i] : []));
        const theirs = dense(4, beam * 1e5, some, gone);
        fc.pre(theirs.shores.every((load) => load >= 0));
        const ours = strike(4, beam * 1e5, some, gone);
        some.forEach((_one, i) => expect(ours.shores[i]).toBeCloseTo(theirs.shores[i]!, 1));
        expect(ours.left + ours.right).toBeCloseTo(theirs.left + theirs.right, 1);
      },
    ),
    { numRuns: 60 },
  ));
