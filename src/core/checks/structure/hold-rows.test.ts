import { demoPlan, quayFootbridge } from '../../../../tests/demo-plan';
import { portal } from '../../../../tests/portal';
import { describe as inWords } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import type { Plan } from '../../document/schema';

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

test('one whose checks do not stand is not passed, and the check says why; the others pass', () => {
  const plan = quayFootbridge();
  for (const move of plan.moves) if (move.kind === 'joint.make' && move.joint === 's2' && move.pins > 0) move.bolts = 0;
  expect(rows(plan, 'hold.HP15').map((row) => row.split(':').at(0))).toEqual(['clear g1a m8', 'clear g2a m12', 'clear g1b m15']);
  expect(rows(plan, 'joint.filled')).toContainEqual(expect.stringMatching(/^stop s2 m19: Splice of girder 2 has 12 of its/));
});

test('what is not said does not pass', () => {
  const plan = quayFootbridge();
  for (const move of plan.moves) if (move.kind === 'joint.make' && move.joint === 's1') move.tight = null;
  expect(rows(plan, 'hold.HP15').map((row) => row.split(':').at(0))).toEqual(['clear g1a m8', 'clear g2a m12', 'clear g2b m19']);
});

test('a group that is braced passes HP18 by its braces; with a brace too weak it does not', () => {
  const passes = (plan: Plan) => rows(plan, 'hold.HP18').map((row) => row.split(':').at(0));
  const sound = passes(quayFootbridge());
  expect(sound).toContain('clear g2b m19');
  const weak = quayFootbridge();
  for (const brace of weak.structure.braces) brace.capacity = 10;
  expect(passes(weak)).not.toContain('clear g2b m19');
  // A frame passes by its guys, and with none not at all.
  expect(passes(portal()).map((row) => row?.split(' ').at(1))).toEqual(['j1', 'b1']);
  // A rope that the wind breaks lets nobody pass from there on.
  const torn = portal();
  torn.structure.braces[0]!.capacity = 300;
  expect(passes(torn)).toEqual([]);
  const loose = portal();
  loose.structure.braces = [];
  loose.moves = loose.moves.filter((move) => move.kind !== 'brace.fix');
  expect(passes(loose)).toEqual([]);
});

test('a girder alone in wind is passed by the wind worked out, never by what its seats are said to hold', () => {
  const alone = quayFootbridge();
  for (const support of alone.structure.supports) support.twist = false;
  expect(rows(quayFootbridge(), 'hold.HP17')).toHaveLength(1);
  expect(rows(alone, 'hold.HP17')).toEqual([]);
  expect(rows(alone, 'line.roll').length).toBeGreaterThan(0);
});

test('a piece on bearings: by its bolts', () => {
  expect(rows(demoPlan(), 'hold.HP15').at(-1)).toMatch(/^clear .*: its check stands/);
  const plan = demoPlan();
  const piece = plan.pieces.at(-1)!;
  for (const move of plan.moves) if (move.kind === 'end.bolt' && move.piece === piece.id && move.end === 'right') move.bolts = 1;
  expect(rows(plan, 'hold.HP15')).toEqual([]);
});
