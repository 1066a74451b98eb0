'use client';
import { Maximize, RotateCcw, RotateCw } from 'lucide-react';
import { lazy, Suspense, useCallback, useMemo, useRef, useState, type ReactNode } from 'react';
import { describe } from '@/core/verdict/describe';
import { modelScene } from '@/core/view/model-scene';
import type { ModelHands } from '@/ui/model/model-canvas';
import { VerdictMark } from '@/ui/verdict/verdict-mark';
import { again } from '@/ui/again';
import { useJob } from '@/job/job-context';
import { FindPiece } from './find-piece';

const Canvas = lazy(() => again(() => import('@/ui/model/model-canvas')));
const standsWords = { away: 'not there yet', rolling: 'on rollers', hanging: 'on the hook', set: 'in place' } as const;

/** Whether this browser draws in space at all. */
const drawsSpace = (): boolean => {
  try {
    const canvas = document.createElement('canvas');
    return canvas.getContext('webgl2') !== null;
  } catch {
    return false;
  }
};

/** The structure of the moment in space, and what is asked of the piece that is pointed at. */
export default function ModelView({ title, tools }: { title: ReactNode; tools: ReactNode }) {
  const plan = useJob((state) => state.history.plan);
  const { before, steps } = useJob((state) => state.survey.evaluation.replay);
  const checks = useJob((state) => state.survey.here.checks);
  const cursor = useJob((state) => state.cursor);
  const system = plan.job.units;
  const [picked, setPicked] = useState<string | null>(null);
  const [drawn, setDrawn] = useState(false);
  const hands = useRef<ModelHands | null>(null);
  const [able] = useState(drawsSpace);
  const moment = (steps[Math.min(cursor, steps.length - 1)]?.after ?? before).structure;
  const scene = useMemo(() => modelScene(plan, moment, checks), [plan, moment, checks]);
  const body = scene.bodies.find(({ id }) => id === picked);
  const said = body ? checks.filter(({ about }) => about.kind === 'beam' && about.id === body.id) : [];
  const onHands = useCallback((next: ModelHands) => void (hands.current = next), []);
  const onDrawn = useCallback(() => setDrawn(true), []);
  return (
    <section aria-label="Model" className="relative flex min-h-0 flex-1 flex-col bg-board" data-drawn={drawn || undefined}>
      <header className="absolute inset-x-0 top-0 z-10 flex items-center justify-between gap-2 px-2 py-1">
        <h3 className="sign text-[14px]">{title}</h3>
        <div className="flex items-center border border-line bg-paper">
          {tools}
          <Tool label="Turn it to the left" onClick={() => hands.current?.turn(-1)}>
            <RotateCcw size={14} />
          </Tool>
          <Tool label="Turn it to the right" onClick={() => hands.current?.turn(1)}>
            <RotateCw size={14} />
          </Tool>
          <Tool label="Show all of it" onClick={() => hands.current?.fit()}>
            <Maximize size={14} />
          </Tool>
        </div>
      </header>
      <div
        className="min-h-0 flex-1"
        role="img"
        aria-label={`${scene.bodies.filter(({ stands }) => stands === 'set').length} of ${scene.bodies.length} pieces in place`}
      >
        {able ? (
          <Suspense fallback={<p className="p-10 text-soft">Opening the model …</p>}>
            <Canvas scene={scene} picked={picked} onPick={setPicked} onHands={onHands} onDrawn={onDrawn} />
          </Suspense>
        ) : (
          <p className="p-10 text-soft">This browser draws nothing in space here. Plan and elevation show the same moment.</p>
        )}
      </div>
      <footer className="absolute bottom-0 left-0 z-10 max-w-[420px] border border-line bg-paper/95 px-3 py-1.5 text-[13px]">
        <div className="flex items-center gap-2">
          <span className="text-soft" aria-hidden>
            Piece
          </span>
          <FindPiece pieces={scene.bodies} picked={picked} onPick={setPicked} />
          {body && <b className="sign">{standsWords[body.stands]}</b>}
        </div>
        {body && (
          <ul aria-label={`Asked of ${body.mark} here`} className="mt-1 max-h-[120px] space-y-1 overflow-auto">
            {said.length === 0 && <li className="text-soft">Nothing is asked of it at this move.</li>}
            {said.map((check) => (
              <li key={`${check.id} ${check.about.part ?? ''}`} className="flex items-baseline gap-1.5">
                <VerdictMark verdict={check.verdict} size={12} />
                <span>{describe(check, system)}</span>
              </li>
            ))}
          </ul>
        )}
      </footer>
    </section>
  );
}

function Tool({ label, onClick, children }: { label: string; onClick: () => void; children: ReactNode }) {
  return (
    <button type="button" aria-label={label} title={label} onClick={onClick} className="grid h-6 w-7 place-items-center border-l border-line hover:bg-tray">
      {children}
    </button>
  );
}
