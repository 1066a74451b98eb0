'use client';
import { later } from '@/ui/later';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { movesByPiece, setsPiece } from '@/core/evaluate/by-piece';
import { worst, type StationId } from '@/core/verdict/check';
import { baysOf } from '@/core/settle/bays';
import { workDays } from '@/core/document/work-days';
import { moveWords } from '@/core/settle/move-words';
import type { Plan } from '@/core/document/schema';
import { movesStand } from '@/core/evaluate/waits';
import { bayStrokes } from '@/core/view/bay-strokes';
import { Strip, type Card } from '@/ui/strip/strip';
import { PartsAwaited } from '@/ui/parts-awaited';
import { useRunning } from '@/ui/use-running';
import { again } from '@/ui/again';
import { Board } from './board';
import { Header } from './header';
import { JobContext, useJob, useJobStore, usePlan } from '@/job/job-context';
import { createJobStore } from '@/job/job-store';
import type { FirstState } from '@/job/state';
import { MoveTools } from '../run-sheet/move-tools';
import { dialogs, others, stations } from './parts';
import { RunSheetStation } from '../run-sheet/index';
import { standing } from '@/core/replay/standing';
import { StopBand } from './stop-band';
import { useKeys, type OpenDialog } from './use-keys';
import { Walk } from './walk';

const MeasureStation = later(() => again(stations.measure).then((part) => part.MeasureStation));
const SteelStation = later(() => again(stations.steel).then((part) => part.SteelStation));
const WayInStation = later(() => again(stations.wayIn).then((part) => part.WayInStation));
const ShoresStation = later(() => again(stations.shores).then((part) => part.ShoresStation));
const GearStation = later(() => again(stations.gear).then((part) => part.GearStation));
const PicksStation = later(() => again(stations.picks).then((part) => part.PicksStation));
const PieceList = later(() => again(stations.list).then((part) => part.PieceList));
const RulesDialog = later(() => again(dialogs.rules).then((part) => part.RulesDialog));
const RevisionsDialog = later(() => again(dialogs.revisions).then((part) => part.RevisionsDialog));
const KeysDialog = later(() => again(dialogs.keys).then((part) => part.KeysDialog));
const OfferBanner = later(() => again(dialogs.offer).then((part) => part.OfferBanner));
const ConflictBanner = later(() => again(dialogs.conflict).then((part) => part.ConflictBanner));
const CommandPalette = later(() => again(dialogs.palette).then((part) => part.CommandPalette));

/**
 * Once the job stands on the screen and is worked out, the rest of the page is read too: each part is there when it is
 * pressed, also where the server is out of reach by then. What cannot be read now is asked for again when it is opened.
 */
function useReadAhead(): void {
  const reckoning = useJob((state) => state.reckoning);
  useEffect(() => {
    if (reckoning) return undefined;
    const ahead: readonly (() => Promise<unknown>)[] = [...Object.values(stations), ...Object.values(dialogs), ...others];
    const later = setTimeout(() => ahead.forEach((read) => void read().catch(() => undefined)), READ_AHEAD);
    return () => clearTimeout(later);
  }, [reckoning]);
}
const READ_AHEAD = 1500;

/** The frame of every job screen: the walk, the board, the strip of moves, the workings. */
export function JobScreen(first: FirstState) {
  const [store] = useState(() => createJobStore(first));
  useEffect(() => store.start(), [store]);
  return (
    <JobContext.Provider value={store}>
      <Frame />
    </JobContext.Provider>
  );
}

function Frame() {
  const [dialog, setDialog] = useState<OpenDialog>(null);
  useKeys(setDialog);
  const name = usePlan().job.name;
  const running = useRunning();
  const editable = useJob((state) => state.editable);
  useReadAhead();
  useEffect(() => {
    document.title = `${name} · Keen Trestle`;
  }, [name]);
  return (
    <div
      inert={!editable}
      className="grid h-dvh grid-cols-[150px_minmax(0,1fr)_348px] grid-rows-[46px_auto_minmax(0,1fr)_auto] max-[1180px]:grid-cols-[132px_minmax(0,1fr)_318px] max-[900px]:h-auto max-[900px]:grid-cols-1 max-[900px]:grid-rows-none"
    >
      <div className="col-span-full">
        <Header onDialog={setDialog} />
      </div>
      <div className="col-span-full">
        <StopBand />
        <Offer />
        <PartsAwaited />
        <Conflict />
      </div>
      <div className="border-r border-line max-[900px]:border-0">
        <Walk />
      </div>
      <main aria-busy={!running || !editable} className="min-h-0 min-w-0 max-[900px]:h-[72vh]">
        <h1 className="sr-only">{name}</h1>
        <Middle />
      </main>
      <Workings />
      <div className="col-span-full min-h-0 border-t border-line max-[900px]:h-[184px]">
        <Moves />
      </div>
      {dialog === 'rules' && <RulesDialog open onOpenChange={(open) => setDialog(open ? 'rules' : null)} />}
      {dialog === 'revisions' && <RevisionsDialog open onOpenChange={(open) => setDialog(open ? 'revisions' : null)} />}
      {dialog === 'keys' && <KeysDialog open onOpenChange={(open) => setDialog(open ? 'keys' : null)} />}
      {dialog === 'palette' && <CommandPalette open onOpenChange={(open) => setDialog(open ? 'palette' : null)} onDialog={setDialog} />}
    </div>
  );
}

const Conflict = () => (useJob((state) => state.saving.state === 'conflict') ? <ConflictBanner /> : null);
const Offer = () => (useJob((state) => state.offer) ? <OfferBanner /> : null);

/** Of a plan with no piece to lift or set there is only its list to look at. */
const nothingDrawn = ({ pieces, structure }: Plan): boolean => pieces.length + structure.pieces.length === 0;

/** The drawing, or the piece list when the steel is looked at as a list. */
function Middle() {
  const listed = useJob((state) => state.station === 'steel' && (state.listed ?? nothingDrawn(state.history.plan)));
  return listed ? <PieceList /> : <Board />;
}

/** The workings open at their title: whatever was scrolled to belongs to another station or another move. */
function Workings() {
  const station = useJob((state) => state.station);
  const cursor = useJob((state) => (state.station === 'runSheet' ? state.cursor : null));
  const page = useRef<HTMLElement>(null);
  useEffect(() => {
    page.current?.scrollTo({ top: 0 });
  }, [station, cursor]);
  return (
    <aside ref={page} aria-label="Workings" className="min-h-0 overflow-y-auto border-l border-line bg-paper">
      <StationOf station={station} />
    </aside>
  );
}

function StationOf({ station }: { station: StationId }) {
  switch (station) {
    case 'measure':
      return <MeasureStation />;
    case 'steel':
      return <SteelStation />;
    case 'wayIn':
      return <WayInStation />;
    case 'shores':
      return <ShoresStation />;
    case 'gear':
      return <GearStation />;
    case 'picks':
      return <PicksStation />;
    default:
      return <RunSheetStation />;
  }
}

const moveTools = <MoveTools />;

/** A list that stays the same object while what it says stays the same, so that what shows it need not draw again. */
function useSteady<T>(value: T): T {
  const text = JSON.stringify(value);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the text stands for the value
  return useMemo(() => value, [text]);
}

function Moves() {
  const plan = usePlan();
  const store = useJobStore();
  const evaluation = useJob((state) => state.survey.evaluation);
  const { checks, replay } = evaluation;
  const cursor = useJob((state) => state.cursor);
  const reckoning = useJob((state) => state.reckoning);
  const stands = useMemo(() => movesStand(plan, evaluation), [plan, evaluation]);
  const pieces = useMemo(() => movesByPiece(plan), [plan]);
  const cards = useSteady(
    plan.moves.map((move, i): Card => {
      const { title, about } = moveWords(plan, move);
      const { verdict, waitsFor } = stands[i] ?? { verdict: 'missing' as const, waitsFor: null };
      const piece = pieces[i] ?? null;
      return {
        id: move.id,
        number: i + 1,
        title,
        about,
        piece,
        sets: setsPiece(move),
        verdict: reckoning ? 'missing' : verdict,
        waitsFor: reckoning ? null : waitsFor,
      };
    }),
  );
  const { structure, launches } = plan;
  const bays = useMemo(() => baysOf({ structure }), [structure]);
  const days = workDays(plan.moves);
  const strokes = useMemo(() => bayStrokes({ structure, launches }, 80, 28), [structure, launches]);
  const start = reckoning ? 'missing' : worst(checks.filter((check) => check.move === null).map((check) => check.verdict));
  const moment = replay.steps[cursor]?.after ?? replay.before;
  const go = useCallback(
    (to: number) => {
      store.getState().goTo(to);
      store.getState().openStation('runSheet');
    },
    [store],
  );
  const shift = useCallback(
    (id: string, to: number) => {
      store.getState().act({ name: 'shiftMove', args: { id, to } });
      go(to);
    },
    [store, go],
  );
  const known = plan.pieces.every((piece) => moment.pieces[piece.id]) && plan.bearings.every((bearing) => bearing.id in moment.bearingsReady);
  return (
    <Strip
      cards={cards}
      strokes={strokes}
      bays={bays}
      days={days}
      start={start}
      cursor={cursor}
      standing={known ? standing(plan, moment, checks) : ''}
      tools={moveTools}
      onGo={go}
      onShift={shift}
    />
  );
}
