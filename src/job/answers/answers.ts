import { wrap, type Remote } from 'comlink';
import { dayOf } from '@/core/units/day';
import type { Plan } from '@/core/document/schema';
import type { Evaluation } from '@/core/evaluate';
import { answerOf } from '@/core/evaluate/answers';
import { keyOf } from '@/core/verdict/check';
import { keptShapes } from '@/core/view/kept-shapes';
import { openingMove, type Scenes } from '@/core/view/surveyed';
import type { SurveyWorker } from '@/workers/survey.worker';
import type { AnswerActions, FirstState, Hands } from '../state';
import { lookingOf, sameLook } from '../view/looking';

const nextFrame = () => new Promise<void>((resolve) => requestAnimationFrame(() => setTimeout(resolve)));

/** The drawings, with what of them is as it was. */
const keptScenes = (before: Scenes, now: Scenes): Scenes => ({
  ...now,
  above: { ...now.above, shapes: keptShapes(before.above.shapes, now.above.shapes) },
  side: { ...now.side, shapes: keptShapes(before.side.shapes, now.side.shapes) },
});

/** What the worker makes of the plan on screen: its verdicts, then its drawings. */
export function answersOf({ get, set }: Hands, first: Pick<FirstState, 'plan' | 'survey'>) {
  let worker: Remote<SurveyWorker> | null = null;
  let surveyed = 0;
  /** somebody went to a move: the page no longer chooses one */
  let went = false;
  let checking = false;
  /** the plan of which the verdicts on screen are */
  let answered: Plan | null = first.survey === null ? null : first.plan;
  let waiting: Plan | null = null;
  /** what the worker said last: it says no more than what is another since then */
  let heard: Evaluation | null = null;

  const ask = async (of: Remote<SurveyWorker>, plan: Plan): Promise<Evaluation> => {
    const answer = await of.check(plan, dayOf(new Date()));
    // What was said last by now, not when it was asked: two questions may be on their way.
    heard = answerOf(heard, answer);
    return heard;
  };

  /** Ask the worker; an answer overtaken by a newer question is dropped. */
  const resurvey = async (plan: Plan): Promise<void> => {
    const ticket = (surveyed += 1);
    if (!worker) return;
    // One plan is worked out at a time; of those asked for meanwhile only the newest is next.
    if (checking) {
      waiting = plan;
      return;
    }
    checking = true;
    const evaluation = await ask(worker, plan).finally(() => (checking = false));
    const newer = waiting;
    waiting = null;
    if (newer) return void resurvey(newer);
    if (ticket !== surveyed) return;
    answered = plan;
    // Whoever has gone to a move meanwhile stays there.
    const opening = get().reckoning && !went;
    set((state) => ({ survey: { ...state.survey, evaluation }, reckoning: false, ...(opening ? { cursor: openingMove(plan, evaluation) } : {}) }));
    // The verdict is on screen before the drawings are asked for: they cost more to paint and hurt nobody by coming a frame later.
    await nextFrame();
    const asked = lookingOf(get());
    const scenes = ticket === surveyed ? await worker?.scenes(asked) : null;
    if (scenes && ticket === surveyed) set((state) => ({ survey: { ...state.survey, ...keptScenes(state.survey, scenes) }, drawn: { ...asked, plan } }));
  };

  const redraw = async (): Promise<void> => {
    const ticket = surveyed;
    const asked = lookingOf(get());
    const scenes = await worker?.scenes(asked);
    const plan = answered;
    if (scenes && plan && ticket === surveyed && sameLook(asked, lookingOf(get())))
      set((state) => ({ survey: { ...state.survey, ...keptScenes(state.survey, scenes) }, drawn: { ...asked, plan } }));
  };

  const actions: AnswerActions = {
    resurvey: () => void resurvey(get().history.plan),
    overMoves: async (check) => (worker && answered === get().history.plan ? worker.over(keyOf(check), check.move) : []),
    async fixesOf(check) {
      const { plan } = get().history;
      // Found on another plan than the one on screen they would put a move in another place.
      if (!worker || answered !== plan) return [];
      const fixes = await worker.fixes(keyOf(check), check.move, dayOf(new Date()));
      return get().history.plan === plan ? fixes : [];
    },
  };

  /** Start the worker, and stop it by what comes back. */
  const start = (): (() => void) => {
    const thread = new Worker(new URL('../../workers/survey.worker.ts', import.meta.url), { type: 'module' });
    worker = wrap<SurveyWorker>(thread);
    heard = null;
    if (get().reckoning) actions.resurvey();
    else void ask(worker, get().history.plan);
    return () => {
      thread.terminate();
      worker = null;
    };
  };

  return { actions, start, resurvey: (plan: Plan) => void resurvey(plan), redraw: () => void redraw(), went: () => void (went = true) };
}
export type Answers = ReturnType<typeof answersOf>;
