'use client';
import { lazy, Suspense, useEffect, useState } from 'react';
import type { Check } from '@/core/verdict/check';
import { moveWords } from '@/core/settle/move-words';
import type { Stand } from '@/core/checks/structure/worst';
import { again } from '@/ui/again';
import { useJob, useJobStore, usePlan } from '@/job/job-context';

// The chart library is read only when somebody opens a row that has moves to show.
const Graph = lazy(() => again(() => import('@/ui/workings/over-moves-graph')));

/** A row over the moves at which it is asked: where it is worst, where it is first bad, and a way to walk there. */
export function OverMoves({ check }: { check: Check }) {
  const store = useJobStore();
  const plan = usePlan();
  const cursor = useJob((state) => state.cursor);
  const evaluation = useJob((state) => state.survey.evaluation);
  const [stands, setStands] = useState<Stand[]>([]);
  useEffect(() => {
    let left = false;
    void store
      .getState()
      .overMoves(check)
      .then((found) => !left && setStands(found));
    return () => {
      left = true;
    };
  }, [check, evaluation, store]);
  if (stands.length < 2) return null;
  const places = new Map(plan.moves.map((move, i) => [move.id, i]));
  const points = stands.flatMap(({ move, verdict, ratio }) => {
    const at = places.get(move);
    return at === undefined ? [] : [{ at, number: at + 1, verdict, ratio, title: moveWords(plan, plan.moves[at]!).title }];
  });
  const known = points.filter((one) => one.ratio !== null);
  const worst = known.reduce<(typeof known)[number] | undefined>((most, one) => (!most || one.ratio! > most.ratio! ? one : most), undefined);
  const bad = points.find(({ verdict }) => verdict === 'stop' || verdict === 'missing');
  const go = (at: number) => {
    store.getState().goTo(at);
    store.getState().openStation('runSheet');
  };
  const walk = (label: string, { at, number, title }: { at: number; number: number; title: string }) => (
    <button
      type="button"
      onClick={() => go(at)}
      disabled={at === cursor}
      className="min-h-6 text-left underline decoration-faint underline-offset-2 hover:decoration-ink disabled:no-underline"
    >
      {label} at move {number}, {title}
      {at === cursor && ': here'}
    </button>
  );
  return (
    <section aria-label="Over the moves" className="border-t border-dotted border-line bg-white/60 px-3.5 pt-2 pb-2.5 text-[12.5px]">
      <h4 className="sign text-[14px] text-gear">Over the moves</h4>
      {known.length > 1 && (
        <Suspense fallback={<div className="h-[92px]" />}>
          <Graph points={points} cursor={cursor} caution={check.caution} moves={plan.moves.length} onGo={go} />
        </Suspense>
      )}
      <p className="flex flex-col items-start">
        {worst && walk('Worst', worst)}
        {bad && bad !== worst && walk('First not clear', bad)}
      </p>
    </section>
  );
}
