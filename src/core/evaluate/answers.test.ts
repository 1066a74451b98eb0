import fc from 'fast-check';
import { demoPlan, passengerCanopy, quayFootbridge } from '../../../tests/demo-plan';
import { answerOf, changesOf, type Answer } from './answers';
import { evaluate, type Evaluation } from './';
import { sharing } from '../document/keep';
import type { Plan } from '../document/schema';

const TODAY = '2026-11-29';
/** As it comes out at the other end of a wire. */
const sent = (answer: Answer): Answer => structuredClone(answer);

test('the first answer is sent whole', () => {
  const evaluation = evaluate(demoPlan(), TODAY);
  const answer = changesOf(null, evaluation);
  expect(answer.checks).toEqual(evaluation.checks);
  expect(answerOf(null, sent(answer))).toEqual(evaluation);
});

test('of the next one only what is another: and at the other end it is whole again, with the things of before', () => {
  const plan = passengerCanopy();
  const first = evaluate(plan, TODAY);
  const there = answerOf(null, sent(changesOf(null, first)));
  const edited = structuredClone(plan);
  edited.job.name = 'Canopy, north side';
  const next = evaluate(sharing(plan, edited), TODAY);
  const answer = changesOf(first, next);
  const whole = answerOf(there, sent(answer));
  expect(whole).toEqual(next);
  const kept = answer.checks.filter((one) => typeof one === 'number').length;
  expect(kept).toBeGreaterThan(0.8 * next.checks.length);
  expect(kept).toBeLessThan(next.checks.length);
  answer.checks.forEach((one, i) => typeof one === 'number' && expect(whole.checks[i]).toBe(there.checks[one]));
  expect(JSON.stringify(answer).length).toBeLessThan(0.5 * JSON.stringify(next).length);
});

test('edit after edit, moves put elsewhere and taken out, the other end has what is here', () => {
  const base = quayFootbridge();
  fc.assert(
    fc.property(
      fc.array(fc.record({ at: fc.nat(40), to: fc.nat(40), what: fc.constantFrom('shift', 'take', 'gust', 'level') }), { minLength: 1, maxLength: 5 }),
      (edits) => {
        let plan: Plan = base;
        let here: Evaluation = evaluate(plan, TODAY);
        let there = answerOf(null, sent(changesOf(null, here)));
        for (const { at, to, what } of edits) {
          const next = structuredClone(plan);
          if (what === 'shift') next.moves.splice(to % next.moves.length, 0, ...next.moves.splice(at % next.moves.length, 1));
          if (what === 'take') next.moves.splice(at % next.moves.length, 1);
          if (what === 'gust') next.site.forecastGust = 2 + at;
          if (what === 'level') next.structure.supports[at % next.structure.supports.length]!.level = to / 10;
          plan = sharing(plan, next);
          const now = evaluate(plan, TODAY);
          there = answerOf(there, sent(changesOf(here, now)));
          here = now;
          expect(there).toEqual(here);
        }
      },
    ),
    { numRuns: 25 },
  );
});
