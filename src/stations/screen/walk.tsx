'use client';
import { allShores } from '@/core/document/views';
import { worst, type Check, type StationId } from '@/core/verdict/check';
import { VerdictMark } from '@/ui/verdict/verdict-mark';
import { useJob, usePlan } from '@/job/job-context';
import { walk } from './station-words';

function about(
  id: StationId,
  counts: { pieces: number; legs: number; shores: number; bearings: number; picks: number; raises: number; moves: number; crane: string },
): string {
  const many = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;
  switch (id) {
    case 'measure':
      return many(counts.bearings, 'support');
    case 'steel':
      return many(counts.pieces, 'piece');
    case 'wayIn':
      return many(counts.legs, 'leg');
    case 'gear':
      return counts.crane;
    case 'picks':
      return counts.raises > 0 ? many(counts.picks + counts.raises, 'lift') : many(counts.picks, 'pick');
    case 'shores':
      return many(counts.shores, 'shore');
    case 'runSheet':
      return many(counts.moves, 'move');
    default:
      return '';
  }
}

/** The stations in the order people work, each with its worst verdict and what is still missing. */
export function Walk() {
  const plan = usePlan();
  const checks = useJob((state) => state.survey.evaluation.checks);
  const reckoning = useJob((state) => state.reckoning);
  const station = useJob((state) => state.station);
  const open = useJob((state) => state.openStation);
  const counts = {
    pieces: plan.members.length + plan.structure.pieces.length,
    legs: plan.ways.reduce((sum, way) => sum + way.legs.length, 0),
    bearings: plan.bearings.length + plan.structure.supports.length,
    shores: allShores(plan).length,
    picks: plan.picks.length,
    raises: (plan.raises?.length ?? 0) + (plan.launches?.length ?? 0),
    moves: plan.moves.length,
    crane: plan.cranes.length === 1 ? plan.cranes.map(({ name }) => name).join() : plan.cranes.length === 0 ? 'no crane' : `${plan.cranes.length} cranes`,
  };
  return (
    <nav aria-label="Stations" className="flex h-full flex-col overflow-y-auto bg-board max-[900px]:h-auto max-[900px]:flex-row max-[900px]:overflow-x-auto">
      {walk.map((one) => (
        <StationButton
          key={one.id}
          number={walk.indexOf(one) + 1}
          name={one.name}
          note={about(one.id, counts)}
          // The run sheet stands as its moves do: what stops a move stops it, whichever station the check belongs to.
          checks={checks.filter((check) => check.station === one.id || (one.id === 'runSheet' && check.move !== null))}
          reckoning={reckoning}
          here={station === one.id}
          onOpen={() => open(one.id)}
        />
      ))}
      <div className="mt-auto max-[900px]:hidden">
        <p className="border-t border-line px-3.5 py-2.5 text-[12.5px] leading-[1.35] text-soft">
          <span className="sign block text-[14px] text-ink">Not checked here</span>
          Hours of the crew, and the log of what was done.
        </p>
        <p className="border-t border-line px-3.5 py-2.5 text-[12.5px] leading-[1.35] text-soft">
          Plans are checked here, not approved. Local codes, the maker’s chart and the engineer decide.
        </p>
      </div>
    </nav>
  );
}

function StationButton({
  number,
  name,
  note,
  checks,
  reckoning,
  here,
  onOpen,
}: {
  number: number;
  name: string;
  note: string;
  checks: Check[];
  reckoning: boolean;
  here: boolean;
  onOpen: () => void;
}) {
  const verdict = reckoning ? 'missing' : checks.length > 0 ? worst(checks.map((check) => check.verdict)) : null;
  const missing = checks.filter((check) => check.verdict === 'missing').length;
  const stops = checks.filter((check) => check.verdict === 'stop').length;
  const trouble = [stops > 0 && `${stops} ${stops === 1 ? 'stop' : 'stops'}`, missing > 0 && `${missing} missing`].filter(Boolean).join(', ');
  return (
    <button
      type="button"
      onClick={onOpen}
      aria-current={here ? 'page' : undefined}
      className={`grid w-full grid-cols-[20px_1fr_22px] items-center gap-x-1.5 py-2.5 pr-2.5 pl-2.5 text-left max-[900px]:w-auto max-[900px]:shrink-0 ${here ? 'bg-ink text-white shadow-[inset_4px_0_0_var(--color-steel)]' : 'hover:bg-tray'}`}
    >
      <span className={`sign text-[14px] ${here ? 'text-faint' : 'text-pencil'}`}>{number}</span>
      <span className="min-w-0">
        <span className="sign block text-[18px] leading-5">{name}</span>
        <span className={`block text-[12.5px] leading-4 ${here ? 'text-[#d8d3c6]' : 'text-soft'}`}>{trouble || note}</span>
      </span>
      <span className={here ? 'grid place-items-center rounded-sm bg-white p-0.5' : 'grid place-items-center'}>
        {verdict && <VerdictMark verdict={verdict} size={16} />}
      </span>
    </button>
  );
}
