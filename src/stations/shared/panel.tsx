'use client';
import { useMemo, type ReactNode } from 'react';
import type { Check, StationId } from '@/core/verdict/check';
import { worstFirst } from '@/core/verdict/worst-first';
import { CheckList } from '@/ui/workings/check-list';
import { OverMoves } from './over-moves';
import { useFixes } from '@/job/editing/use-fixes';
import { useGoTo } from '@/job/view/go-to';
import { useJob, usePlan } from '@/job/job-context';

const overMoves = (check: Check) => <OverMoves check={check} />;

/** Head of the workings: what it is about, what stops it, its inputs, then the other checks, worst first. */
export function Panel({
  title,
  about,
  children,
  station,
  move,
}: {
  title: ReactNode;
  about: ReactNode;
  children?: ReactNode;
  station?: StationId;
  /** the checks of one move; null: before the first */ move?: string | null;
}) {
  const system = usePlan().job.units;
  const goTo = useGoTo();
  const all = useJob((state) => state.survey.evaluation.checks);
  // What a move is asked and what is worse at another comes with its drawing; until then its own rows.
  const here = useJob((state) => (move !== undefined && state.survey.here.move === move ? state.survey.here.checks : null));
  const checks = useMemo(
    () => (station ? all.filter((check) => check.station === station) : (here ?? all.filter((check) => move !== undefined && check.move === move))),
    [all, here, station, move],
  );
  // What stops the job, what nobody knows and what is tight stands above the fields, or else the nearest to its limit; the rest below.
  const urgent = useMemo(() => {
    const open = checks.filter((check) => check.verdict !== 'clear');
    return open.length > 0 ? open : worstFirst(checks.filter((check) => check.ratio !== null && check.quantity !== 'count')).slice(0, 1);
  }, [checks]);
  const { fixes, fix } = useFixes(urgent);
  const rest = useMemo(() => (children ? checks.filter((check) => !urgent.includes(check)) : checks), [checks, children, urgent]);
  return (
    <div className="pb-6">
      <header className="px-3.5 pt-3 pb-2">
        <h2 className="text-[22px] leading-6">{title}</h2>
        <p className="text-[13px] text-soft">{about}</p>
      </header>
      {urgent.length > 0 && children && (
        <div className="mb-3">
          <CheckList checks={urgent} system={system} empty="" onGo={goTo} fixes={fixes} onFix={fix} beyond={overMoves} />
        </div>
      )}
      {children && <div className="space-y-4 px-3.5 pb-3.5">{children}</div>}
      {(rest.length > 0 || urgent.length === 0) && (
        <CheckList checks={rest} system={system} empty="Nothing is checked here yet." onGo={goTo} fixes={fixes} onFix={fix} beyond={overMoves} />
      )}
    </div>
  );
}

export function Group({
  title,
  tools,
  thing,
  children,
}: {
  title: string;
  tools?: ReactNode;
  /** id of the thing it is about, so that a check of it can be shown here */
  thing?: string;
  children: ReactNode;
}) {
  return (
    <section data-thing={thing}>
      <div className="mb-1 flex flex-wrap items-baseline justify-between gap-x-2">
        <h3 className="whitespace-nowrap text-[15px] text-gear">{title}</h3>
        {tools}
      </div>
      <div className="grid grid-cols-2 gap-x-4 gap-y-2">{children}</div>
    </section>
  );
}
