import { expose } from 'comlink';
import { changesOf, type Answer } from '@/core/evaluate/answers';
import { keyOf } from '@/core/verdict/check';
import { checksAt, evaluateWhole, type Whole } from '@/core/evaluate';
import { fixesOf, type Fix } from '@/core/edit/fixes';
import { sharing } from '@/core/document/keep';
import type { Plan } from '@/core/document/schema';
import type { Stand } from '@/core/checks/structure/worst';
import { scenesAt } from '@/core/view/survey';
import type { Looking, Scenes } from '@/core/view/surveyed';

let held: { plan: Plan; whole: Whole } | null = null;

/** Thin shell: the core off the main thread. The plan is sent only when it changed. */
const api = {
  /** The verdicts come first: they are what a person waits for; but for what the answer before said. The drawings follow by `scenes`. */
  check(sent: Plan, today: string): Answer {
    // What came over is all new things: those of before take their place wherever they are the same.
    const plan = sharing(held?.plan ?? null, sent);
    const whole = evaluateWhole(plan, today);
    const answer = changesOf(held?.whole.evaluation ?? null, whole.evaluation);
    held = { plan, whole };
    return answer;
  },
  /** What would settle one row, tried on the plan as it was last checked; none where that is another by now. */
  fixes(key: string, move: string | null, today: string): Fix[] {
    if (!held) return [];
    const { plan, whole } = held;
    const check = checksAt(whole, move).find((one) => keyOf(one) === key);
    return check ? fixesOf(plan, whole, check, today) : [];
  },
  /** One row over the moves at which it is asked. */
  over(key: string, move: string | null): Stand[] {
    const check = held && checksAt(held.whole, move).find((one) => keyOf(one) === key);
    return held && check ? held.whole.structure.over(check) : [];
  },
  scenes(looking: Looking): Scenes | null {
    return held ? scenesAt(held.plan, held.whole, looking) : null;
  },
};

export type SurveyWorker = typeof api;
expose(api);
