'use client';
import { Play, Square } from 'lucide-react';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { alongWay, worstOf } from '@/core/checks/map/along-way';
import { Missing } from '@/core/verdict/missing';
import { hooksOf } from '@/core/checks/lift/pick-context';
import type { Pick } from '@/core/document/schema';
import { settle } from '@/core/settle/settle';
import { walkAt, walkTo } from '@/core/settle/walk-way';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { SmallButton } from '@/ui/small-button';
import { again } from '@/ui/again';
import { useJob, useJobStore, usePlan } from '@/job/job-context';
import { drawnBehind } from '@/job/view/looking';

// The chart library is read only when somebody wants to see the way.
const Graph = lazy(() => again(() => import('@/ui/workings/along-way-graph')));

/** How much of the chart a lift takes along its way, a graph for each hook, with its worst place. */
export function AlongWay({ pick }: { pick: Pick }) {
  const store = useJobStore();
  const [open, setOpen] = useState(false);
  // Closed, or gone with its station, the drawing is of the move again.
  useEffect(() => (open ? () => store.getState().walkTo(null) : undefined), [open, store]);
  return (
    <div>
      <SmallButton onClick={() => setOpen(!open)}>{open ? 'Close the graph of its way' : 'Of the chart, along its way'}</SmallButton>
      {open && <Graphs pick={pick} />}
    </div>
  );
}

/** A whole way is played in so many steps of the slider, one to each drawing. */
const STEPS = 100;

function Graphs({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const store = useJobStore();
  const system = plan.job.units;
  const at = useJob(({ walk }) => (walk?.pick === pick.id ? walk.at : null));
  const hooks = useMemo(() => {
    const settled = settle(plan);
    const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
    return hooksOf(settled, pick).map((picked) => ({
      hook: picked.hook,
      path: picked.path,
      found: alongWay(settled, picked, rules),
      caution: rules.value('chartCaution'),
    }));
  }, [plan, pick]);
  const go = (to: number) => {
    const { history, cursor, goTo, walkTo: walk } = store.getState();
    // On its way it does not lie where it is set as well.
    const lift = history.plan.moves.findIndex((move) => (move.kind === 'pick.lift' || move.kind === 'piece.hang') && move.pick === pick.id);
    if (lift >= 0 && cursor >= lift) goTo(lift - 1);
    walk({ pick: pick.id, at: Math.min(1, Math.max(0, to)) });
  };
  return (
    <>
      {hooks.map(({ hook, path, found, caution }) => {
        const name = hooks.length > 1 ? (hook === 'main' ? 'First hook: ' : 'Second hook: ') : '';
        if (found instanceof Missing || path instanceof Missing)
          return (
            <p key={hook} className="mt-1 font-semibold text-missing">
              {name}
              {[found, path].flatMap((one) => (one instanceof Missing ? one.questions : [])).join(' ')}
            </p>
          );
        const off = found.find(({ share }) => share === null);
        const worst = found[worstOf(found)]!;
        const here = at === null ? null : walkAt(path, at).index;
        const point = here === null ? null : found[here]!;
        return (
          <figure key={hook} className="mt-1">
            <Suspense fallback={<div className="h-[130px]" />}>
              <Graph points={found} caution={caution} here={here} onHere={(index) => go(walkTo(path, index))} />
            </Suspense>
            <figcaption className="text-[12.5px]">
              {name}
              {off
                ? `The chart gives nothing at ${formatQuantity(off.radius, 'reach', system)}, ${off.phase}.`
                : `Most ${formatQuantity(worst.share!, 'fraction', system)} of the chart, at ${formatQuantity(worst.radius, 'reach', system)}, ${worst.phase}.`}
              {point && (
                <span className="block" role="status">
                  Here: {point.phase}, {formatQuantity(point.radius, 'reach', system)},{' '}
                  {point.share === null ? 'off the chart' : `${formatQuantity(point.share, 'fraction', system)} of the chart`}.
                </span>
              )}
            </figcaption>
          </figure>
        );
      })}
      {hooks.some(({ path }) => !(path instanceof Missing)) && <Player at={at} onAt={go} />}
    </>
  );
}

/** The lift played on the drawings, or put anywhere on its way by hand. */
function Player({ at, onAt }: { at: number | null; onAt: (at: number) => void }) {
  const store = useJobStore();
  const [playing, setPlaying] = useState(false);
  const step = useRef(onAt);
  useEffect(() => {
    step.current = onAt;
  });
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    const next = () => {
      const { walk } = store.getState();
      const now = walk?.at ?? 0;
      // Each step waits until the one before is drawn: none is left out, however long it takes.
      if (!drawnBehind(store.getState())) {
        if (now >= 1) return setPlaying(false);
        step.current(Math.round(now * STEPS + 1) / STEPS);
      }
      frame = requestAnimationFrame(next);
    };
    frame = requestAnimationFrame(next);
    return () => cancelAnimationFrame(frame);
  }, [playing, store]);
  return (
    <div className="mt-1 flex items-center gap-2">
      <SmallButton
        onClick={() => {
          if (!playing && (at === null || at >= 1)) onAt(0);
          setPlaying(!playing);
        }}
      >
        {playing ? <Square size={13} aria-hidden /> : <Play size={13} aria-hidden />} {playing ? 'Stop' : 'Play the lift'}
      </SmallButton>
      <input
        type="range"
        aria-label="Along its way"
        min={0}
        max={STEPS}
        value={Math.round((at ?? 0) * STEPS)}
        onChange={(event) => {
          setPlaying(false);
          onAt(Number(event.target.value) / STEPS);
        }}
        className="min-w-0 flex-1 accent-ink max-[900px]:h-11"
      />
    </div>
  );
}
