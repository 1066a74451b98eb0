import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import { runCalc } from '../catalogue/run';

interface Shore {
  joist: number;
  at: number;
  spring: number;
  load: number;
  passes: number | null;
}
interface Question {
  span: number;
  stiffness: number;
  joist: { length: number; line: number };
  joists: { x: number; stiffness: number }[];
  shores: Shore[];
  steps: number[][];
}
interface Step {
  shores: number[];
  left: number;
  right: number;
  far: number;
  deflection: number;
}
const strike = (input: Question): Step[] => {
  const outcome = runCalc('shore.strikeThrough', input);
  if (!outcome.ok) throw new Error(`${outcome.path}: ${outcome.error}`);
  return (outcome.output as { steps: Step[] }).steps;
};
const refused = (input: Question) => {
  const outcome = runCalc('shore.strikeThrough', input);
  return outcome.ok ? null : outcome;
};

/** A lopsided floor: joists of 6.5 m, the line at 3.2, two shores on each joist, a beam of 4 m under five joists. */
const floor = (changes: Partial<Question> = {}): Question => ({
  span: 4,
  stiffness: 6e6,
  joist: { length: 6.5, line: 3.2 },
  joists: [0.4, 1.1, 2, 2.7, 3.5].map((x, i) => ({ x, stiffness: i === 2 ? 9e5 : 4.5e5 })),
  shores: [0, 1, 2, 3, 4].flatMap((joist) => [
    { joist, at: 2.4, spring: 8e6, load: 3000 + 100 * joist, passes: null },
    { joist, at: 3.9, spring: 6e6, load: 2600 + 50 * joist, passes: null },
  ]),
  steps: [],
  ...changes,
});

/**
 * The whole floor in one dense matrix, by ml-matrix: every joist and the beam as beam elements that share the deflection where they
 * cross. Loads are what a removed shore carried; standing shores are springs. Gives the change in every spring.
 */
function dense({ span, stiffness, joist, joists, shores }: Question, gone: number[]): { shores: number[]; left: number; right: number } {
  const freedoms: string[] = [];
  const at = (name: string): number => {
    const known = freedoms.indexOf(name);
    return known >= 0 ? known : freedoms.push(name) - 1;
  };
  const elements: { dofs: string[]; length: number; stiffness: number }[] = [];
  const chain = (xs: number[], name: (x: number) => string, turn: (x: number) => string, ei: number) =>
    xs.slice(1).forEach((x, i) => {
      const from = xs[i]!;
      elements.push({ dofs: [name(from), turn(from), name(x), turn(x)], length: x - from, stiffness: ei });
    });
  const crossing = (j: number) => `cross ${j}`;
  chain(
    [0, ...joists.map(({ x }) => x), span],
    (x) => (joists.some((one) => one.x === x) ? crossing(joists.findIndex((one) => one.x === x)) : `beam ${x}`),
    (x) => `beam turn ${x}`,
    stiffness,
  );
  joists.forEach((one, j) => {
    const xs = [...new Set([0, joist.line, joist.length, ...shores.filter((shore) => shore.joist === j).map((shore) => shore.at)])].sort((a, b) => a - b);
    chain(
      xs,
      (x) => (x === joist.line ? crossing(j) : `joist ${j} ${x}`),
      (x) => `joist turn ${j} ${x}`,
      one.stiffness,
    );
  });
  for (const { dofs } of elements) dofs.forEach(at);
  const n = freedoms.length;
  const k = Matrix.zeros(n, n);
  for (const { dofs, length: l, stiffness: ei } of elements) {
    const local = [
      [12, 6 * l, -12, 6 * l],
      [6 * l, 4 * l * l, -6 * l, 2 * l * l],
      [-12, -6 * l, 12, -6 * l],
      [6 * l, 2 * l * l, -6 * l, 4 * l * l],
    ];
    dofs.forEach((a, i) => dofs.forEach((b, j) => k.set(at(a), at(b), k.get(at(a), at(b)) + (local[i]![j]! * ei) / l ** 3)));
  }
  const f = Matrix.zeros(n, 1);
  const node = (shore: Shore) => at(shore.at === joist.line ? crossing(shore.joist) : `joist ${shore.joist} ${shore.at}`);
  shores.forEach((shore, i) => {
    if (!gone.includes(i)) return shore.passes === null && k.set(node(shore), node(shore), k.get(node(shore), node(shore)) + shore.spring);
    if (shore.passes === null) return f.set(node(shore), 0, f.get(node(shore), 0) + shore.load);
    f.set(node(shore), 0, f.get(node(shore), 0) - shore.load);
    return f.set(at(crossing(shore.joist)), 0, f.get(at(crossing(shore.joist)), 0) + shore.passes);
  });
  const held = ['beam 0', `beam ${span}`, ...joists.flatMap((_, j) => [`joist ${j} 0`, `joist ${j} ${joist.length}`])].map(at);
  const bare = k.clone();
  for (const dof of held) k.set(dof, dof, k.get(dof, dof) + 1e15);
  const u = solve(k, f);
  const reaction = (dof: number) => f.get(dof, 0) - bare.getRowVector(dof).mmul(u).get(0, 0);
  return {
    shores: shores.map((shore, i) => (gone.includes(i) ? -shore.load : shore.passes === null ? shore.spring * u.get(node(shore), 0) : 0)),
    left: reaction(at('beam 0')),
    right: reaction(at(`beam ${span}`)),
  };
}

describe('against a dense grillage', () => {
  test.each([
    ['one shore of the middle joist', [4]],
    ['both shores of one joist', [2, 3]],
    ['one side whole', [0, 2, 4, 6, 8]],
    ['a lopsided handful', [1, 4, 5, 8]],
  ])('%s struck: every shore and both seats agree', (_, gone) => {
    const question = floor({ steps: [gone] });
    const [step] = strike(question);
    const other = dense(question, gone);
    question.shores.forEach((shore, i) => expect(step!.shores[i]).toBeCloseTo(gone.includes(i) ? 0 : shore.load + other.shores[i]!, 2));
    expect(step!.left).toBeCloseTo(other.left, 2);
    expect(step!.right).toBeCloseTo(other.right, 2);
  });
  test('a shore of the storey above, which takes its load off the joist and lets it down on the line', () => {
    const question = floor();
    question.shores.push({ joist: 1, at: 2.4, spring: 0, load: 1500, passes: 1100 });
    const [step] = strike({ ...question, steps: [[10]] });
    const other = dense(question, [10]);
    question.shores.slice(0, 10).forEach((shore, i) => expect(step!.shores[i]).toBeCloseTo(shore.load + other.shores[i]!, 2));
    expect(step!.left + step!.right).toBeCloseTo(other.left + other.right, 2);
  });
});

test('a shore that would have to pull lets go: none is ever below nothing', () => {
  const question = floor({ steps: [[0, 2, 4, 6, 8], [1]] });
  for (const shore of question.shores) if (shore.at === 3.9) shore.load = 200;
  for (const step of strike(question)) for (const load of step.shores) expect(load).toBeGreaterThanOrEqual(-1e-6);
});

test('shores, seats and far bearings always sum to what was there', () =>
  fc.assert(
    fc.property(
      fc.array(fc.nat({ max: 9 }), { minLength: 1, maxLength: 10 }),
      fc.double({ min: 1e5, max: 1e8, noNaN: true }),
      fc.double({ min: 0.6, max: 3, noNaN: true }),
      (order, stiffness, at) => {
        const question = floor({ stiffness, steps: [...new Set(order)].map((i) => [i]) });
        for (const shore of question.shores) if (shore.at < 3.2) shore.at = at;
        const total = question.shores.reduce((sum, one) => sum + one.load, 0);
        for (const step of strike(question)) expect(step.shores.reduce((a, b) => a + b, 0) + step.left + step.right + step.far).toBeCloseTo(total, 3);
      },
    ),
    { numRuns: 40 },
  ));

test('by hand: one joist in the middle of a very stiff beam takes its shore’s load as a propped span does', () => {
  // Two equal spans of 3 m, load P at 2 m from the far bearing of the left one: the middle support takes P·a(3L² − a²)/2L³ with a from
  // the far end (AISC Table 3-23, case 29, unyielding middle), the right far bearing is pulled up.
  const question: Question = {
    span: 4,
    stiffness: 1e12,
    joist: { length: 6, line: 3 },
    joists: [{ x: 2, stiffness: 5e5 }],
    shores: [{ joist: 0, at: 2, spring: 8e6, load: 1000, passes: null }],
    steps: [[0]],
  };
  const [step] = strike(question);
  // By moments and the three-moment theorem: M = −P·a·(L² − a²)/(4·L²), then the middle reaction from both spans.
  const [l, a, p] = [3, 2, 1000];
  const m = (p * a * (l * l - a * a)) / (4 * l * l);
  const middle = (p * a) / l + m / l + m / l;
  expect(step!.left + step!.right).toBeCloseTo(middle, 3);
  expect(step!.left).toBeCloseTo(step!.right, 6);
});

describe('refused', () => {
  test.each([
    ['a line past the joist', floor({ joist: { length: 3, line: 3.2 } }), 'joist.line'],
    ['a joist past the beam', floor({ joists: [{ x: 5, stiffness: 1e5 }], shores: [] }), 'joists[0].x'],
    ['a shore under no joist', floor({ shores: [{ joist: 9, at: 1, spring: 1, load: 1, passes: null }] }), 'shores[0].joist'],
    ['a shore past its joist', floor({ shores: [{ joist: 0, at: 7, spring: 1, load: 1, passes: null }] }), 'shores[0].at'],
    ['a shore that holds up and gives altogether', floor({ shores: [{ joist: 0, at: 1, spring: 0, load: 1, passes: null }] }), 'shores[0].spring'],
    ['a step that strikes what is not there', floor({ steps: [[99]] }), 'steps[0][0]'],
  ])('%s, with its place', (_, input, path) => expect(refused(input)).toMatchObject({ path }));
});

describe('storeys above where the floor is cut', () => {
  const steps = (shores: unknown[], order: number[][]) => {
    const outcome = runCalc('shore.strike', { span: 4, stiffness: 4e6, shores, steps: order });
    if (!outcome.ok) throw new Error(outcome.error);
    return (outcome.output as { steps: Step[] }).steps;
  };
  const lower = [1, 2, 3].map((x) => ({ x, spring: 5e6, load: 4000 }));
  test('what it lets down is what it laid there: nothing changes for the shores below', () => {
    const [first] = steps([...lower, { x: 2, spring: 0, load: 1500, passes: 1500 }], [[3]]);
    expect(first!.shores.slice(0, 3)).toEqual([4000, 4000, 4000]);
    expect(first!.left + first!.right).toBeCloseTo(0, 9);
  });
  test('what it lets down beyond that comes on beam and shores', () => {
    const [first] = steps([...lower, { x: 2, spring: 0, load: 1500, passes: 1800 }], [[3]]);
    expect(first!.shores.slice(0, 3).reduce((a, b) => a + b, 0) + first!.left + first!.right).toBeCloseTo(12e3 + 300, 6);
    expect(first!.shores[1]).toBeGreaterThan(4000);
  });
  test('a shore that gives altogether is refused unless it stands above', () =>
    expect(runCalc('shore.strike', { span: 4, stiffness: 4e6, shores: [{ x: 1, spring: 0, load: 1 }], steps: [] })).toMatchObject({
      ok: false,
      path: 'shores[0].spring',
    }));
});
