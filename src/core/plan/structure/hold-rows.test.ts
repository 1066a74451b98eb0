import { demoPlan, quayFootbridge } from '../../../../tests/demo-plan';
import { portal } from '../../../../tests/portal';
import { describe as inWords } from '../describe';
import { evaluate } from '../evaluate';
import type { Plan } from '../schema';

const rows = (plan: Plan, id: string) =>
  evaluate(plan, '2026-11-27')
    .checks.filter((check) => check.id === id)
    .map((check) => `${check.verdict} ${check.about.id} ${check.move}: ${inWords(check, plan.job.units)}`.replace(/\u00a0/g, ' '));

test('every piece that is let go of has its hook release worked out, and passes with its checks', () => {
  const plan = quayFootbridge();
  const found = rows(plan, 'hold.HP15');
  expect(found.map((row) => row.split(':').at(0))).toEqual(['clear g1a m8', 'clear g2a m12', 'clear g1b m15', 'clear g2b m19']);
  expect(found.at(-1)).toMatch(/HP15, hook release of G2b: its \d+ checks stand\./);
});

test('it waits for the worst of them, in its words; the others pass', () => {
  const plan = quayFootbridge();
  for (const move of plan.moves) if (move.kind === 'joint.make' && move.joint === 's2' && move.pins > 0) move.bolts = 0;
  const found = rows(plan, 'hold.HP15');
  expect(found.at(-1)).toMatch(/^stop g2b m19: HP15, hook release of G2b, waits: Splice of girder 2 has 12 of its/);
  expect(found.slice(0, -1).every((row) => row.startsWith('clear'))).toBe(true);
});

test('what is not said is missing here too', () => {
  const plan = quayFootbridge();
  for (const move of plan.moves) if (move.kind === 'joint.make' && move.joint === 's1') move.tight = null;
  expect(rows(plan, 'hold.HP15')).toContainEqual(expect.stringMatching(/^missing g1b m15: .*waits: Are the bolts of Splice of girder 1/));
});

test('a pile on what is not let go of, a level that nothing holds: HP16 and HP18', () => {
  const early = portal();
  early.structure.braces = [];
  early.moves = early.moves.filter((move) => move.kind !== 'brace.fix');
  expect(rows(early, 'hold.HP18').some((row) => /^(stop|missing)/.test(row))).toBe(true);
  expect(rows(portal(), 'hold.HP18').every((row) => row.startsWith('clear'))).toBe(true);
  expect(rows(portal(), 'hold.HP18').length).toBeGreaterThan(0);
});

test('a first girder alone in the wind: HP17', () => {
  const alone = (): Plan => {
    const plan = quayFootbridge();
    for (const support of plan.structure.supports) support.twist = false;
    return plan;
  };
  const found = rows(alone(), 'hold.HP17');
  expect(found.at(0)).toMatch(/^(stop|missing) g1a m8: HP17, standing alone of G1a, waits: /);
  expect(rows(quayFootbridge(), 'hold.HP17').every((row) => row.startsWith('clear'))).toBe(true);
});

test('a piece on bearings: by its bolts', () => {
  const plan = demoPlan();
  const piece = plan.pieces.at(-1)!;
  expect(rows(plan, 'hold.HP15').at(-1)).toMatch(/^clear .*: its check stands/);
  for (const move of plan.moves) if (move.kind === 'end.bolt' && move.piece === piece.id && move.end === 'right') move.bolts = 1;
  expect(rows(plan, 'hold.HP15').at(-1)).toMatch(/^stop .*waits: .*1 at .*; 2 an end are wanted/);
});
