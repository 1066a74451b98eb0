import { quayFootbridge } from '../../../../tests/demo-plan';
import { keyOf } from '../../verdict/check';
import { evaluateWhole, checksAt } from '../../evaluate';
import { report, reportMove } from '../../view/report';
import { scenesAt } from '../../view/survey';
import { movesStand } from '../../evaluate/waits';
import type { Plan } from '../../document/schema';

const TODAY = '2026-11-27';
/** The bent under girder 1 may carry less than it is brought already when the first piece lands, and more when it is let go. */
const weakBent = (): Plan => {
  const plan = quayFootbridge();
  for (const one of plan.structure.braces) one.mass = null;
  plan.structure.supports.find((one) => one.id === 't-1')!.capacity = 30e3;
  return plan;
};
const ofBent = ({ id, about }: { id: string; about: { id: string } }) => id === 'support.load' && about.id === 't-1';

describe('what is worse at another move is told at this one too', () => {
  test('the strip stops where the support is first overloaded, not only where it is loaded most', () => {
    const plan = weakBent();
    const { evaluation } = evaluateWhole(plan, TODAY);
    expect(evaluation.checks.find(ofBent)).toMatchObject({ verdict: 'stop', move: 'm15' });
    const stands = movesStand(plan, evaluation);
    const at = (id: string) => stands[plan.moves.findIndex((move) => move.id === id)]!.verdict;
    expect([at('m8'), at('m15'), at('m19')]).toEqual(['stop', 'stop', 'clear']);
    expect(evaluation.standing.m8).toBe('stop');
    // Of the sound plan the same moves are clear.
    const sound = evaluateWhole(quayFootbridge(), TODAY).evaluation;
    expect([sound.standing.m8, sound.standing.m15]).toEqual(['clear', 'clear']);
  });

  test('the panel of a move has all that is asked there, each once', () => {
    const plan = weakBent();
    const whole = evaluateWhole(plan, TODAY);
    const here = checksAt(whole, 'm8');
    expect(here.find(ofBent)).toMatchObject({ verdict: 'stop', move: 'm8' });
    expect(here.find(ofBent)!.demand!).toBeLessThan(whole.evaluation.checks.find(ofBent)!.demand!);
    expect(new Set(here.map(keyOf)).size).toBe(here.length);
    expect(scenesAt(plan, whole, { cursor: plan.moves.findIndex((move) => move.id === 'm8'), look: 'beam', about: 'runSheet' }).here).toEqual({
      move: 'm8',
      checks: here,
    });
    expect(checksAt(whole, null).every((check) => check.move === null)).toBe(true);
  });

  test('the report lists a row only where its value is another than when last asked', () => {
    const { moves, checks } = report(weakBent(), TODAY);
    expect(moves.flatMap((move) => move.checks.filter(ofBent).map(() => move.id))).toEqual(['m8', 'm15']);
    expect(checks.find(ofBent)).toMatchObject({ firstBad: 'm8', move: 'm15', moves: { stop: 7, clear: 0 } });
    for (const row of checks) expect(moves.find(({ id }) => id === (row.move ?? 'before'))!.checks.map((one) => keyOf(one))).toContain(row.key);
  });

  test('a row over the moves: as often as it is asked, each with its own ratio', () => {
    const { evaluation, structure } = evaluateWhole(weakBent(), TODAY);
    const check = evaluation.checks.find(ofBent)!;
    const over = structure.over(check);
    expect(over.map(({ move }) => move)).toEqual(['m8', 'm10', 'm11', 'm14', 'm15', 'm18', 'm20']);
    expect(over.every(({ verdict }) => verdict === 'stop')).toBe(true);
    expect(over.find(({ move }) => move === 'm15')!.ratio).toBeCloseTo(check.ratio!, 9);
    expect(over.at(0)!.ratio!).toBeCloseTo(checksAt({ evaluation, structure }, 'm8').find(ofBent)!.ratio!, 9);
    expect(Math.max(...over.map(({ ratio }) => ratio!))).toBeCloseTo(check.ratio!, 9);
    // Another seat of the same kind is another row; what is asked once or never has no course.
    expect(structure.over({ ...check, about: { kind: 'support', id: 't-2' } }).every(({ verdict }) => verdict === 'clear')).toBe(true);
    expect(structure.over({ ...check, about: { kind: 'support', id: 'none' } })).toEqual([]);
  });

  test('one move asked for by its id is told whole', () => {
    const plan = weakBent();
    const changed = report(plan, TODAY).moves.find(({ id }) => id === 'm14')!.checks;
    const whole = reportMove(plan, TODAY, 'm14')!.checks;
    expect(changed.some(ofBent)).toBe(false);
    expect(whole.find(ofBent)).toMatchObject({ verdict: 'stop' });
    for (const row of changed) expect(whole).toContainEqual(row);
  });
});
