import { Text, View } from '@react-pdf/renderer';
import type { ReactElement } from 'react';
import type { Check } from '@/core/verdict/check';
import { dayWords } from '@/core/units/day';
import { describe } from '@/core/verdict/describe';
import { dayId, holdName, holds, holdsAsked, recordOf } from '@/core/document/holds';
import { dayName, workDays, type WorkDay } from '@/core/document/work-days';
import { moveWords } from '@/core/settle/move-words';
import { checksByMove } from '@/core/evaluate';
import type { Step } from '@/core/replay/replay';
import type { Move, Plan } from '@/core/document/schema';
import { Carried } from '@/core/checks/structure/carried';
import { formatQuantity } from '@/core/units';
import { standing } from '@/core/replay/standing';
import { movesStand, type MoveStands } from '@/core/evaluate/waits';
import { Mark, SheetPage, Signatures, StopBand, styles, type SheetWork } from './parts';

const columns = { number: 20, mark: 50, move: 108, done: 54, time: 38, initials: 38 } as const;

/**
 * Pages laid out in one stretch: the layout of a page costs as much as all that still has to be laid out after it. A little less is put
 * on them than is thought to fit, so that no stretch ends with a page of one row.
 */
const STRETCH = { pages: 3, full: 0.96 } as const;
/** Of a page [pt]: what the rows have of it; a line of words; how many letters one holds beside the narrow columns. */
const PAGE = { A4: { rows: 655, letters: 62 }, LETTER: { rows: 605, letters: 66 } } as const;
const LINE = 10.5;
const SMALL = 9;
const LEAST_ROW = 24;
/** The line a day begins with [pt]. */
const DAY_ROW = 20;

/** The moves in order, each with what it needs, how it stands, and room for who did it and when. */
export function runSheetPages({ head, paper, evaluation, structure, day: only }: SheetWork): ReactElement[] {
  const { plan } = head;
  const { checks, replay } = evaluation;
  const stands = movesStand(plan, evaluation);
  const asked = checksByMove({ evaluation, structure });
  const hooks = hookFigures(checks);
  const supports = new Carried(plan.structure.supports, structure.changes);
  let carried = supports.after(-1, replay.before.structure);
  const stretches: { rows: ReactElement[]; height: number }[] = [];
  const { rows: room, letters } = PAGE[paper];
  const days = workDays(plan.moves);
  replay.steps.forEach((step, i) => {
    const before = i === 0 ? replay.before : replay.steps[i - 1]!.after;
    const loads = structure.changes.length === 0 ? '' : loadWords(plan, carried, (carried = supports.after(i, step.after.structure)));
    if (only && (i < only.from || i >= only.to)) return;
    const begins = days.find(({ from }) => from === i);
    const told = toldOf(
      plan,
      step,
      asked(step.move.id),
      [hookWords(plan, step.move, hooks), loads],
      newSince(standing(plan, before, checks), standing(plan, step.after, checks)),
      plan.moves[i]?.note ?? '',
    );
    const height =
      (begins ? DAY_ROW : 0) +
      Math.max(
        LEAST_ROW,
        5 +
          told.reduce(
            (sum, { words, how }) => sum + (how === 'small' ? SMALL * Math.ceil(words.length / (letters * 1.17)) : LINE * Math.ceil(words.length / letters)),
            0,
          ),
      );
    const row = <MoveRow key={step.move.id} plan={plan} step={step} number={i + 1} stands={stands[i]!} told={told} begins={begins} />;
    const open = stretches[stretches.length - 1];
    // What stops the job and the hold points take part of the first page.
    const fits = room * STRETCH.full * (stretches.length <= 1 ? STRETCH.pages - 0.45 : STRETCH.pages);
    if (open && open.height + height <= fits) {
      open.rows.push(row);
      open.height += height;
    } else stretches.push({ rows: [row], height });
  });
  if (stretches.length === 0) stretches.push({ rows: [], height: 0 });
  return stretches.map(({ rows: stretch }, i) => {
    const last = i === stretches.length - 1;
    return (
      <SheetPage key={i} paper={paper} title={only ? `Run sheet, ${dayName(only)}` : 'Run sheet'} head={head}>
        {i === 0 && <StopBand plan={plan} checks={checks} />}
        {i === 0 && <HoldRecords plan={plan} day={only ?? null} />}
        <TableHead />
        {last ? stretch.slice(0, -1) : stretch}
        {last && (
          // Names never stand alone on a page: the last move goes with them.
          <View wrap={false}>
            {stretch[stretch.length - 1]}
            <Signatures plan={plan} />
          </View>
        )}
      </SheetPage>
    );
  });
}

const cell = { paddingHorizontal: 3, paddingVertical: 2 } as const;
const box = { borderLeftWidth: 0.4, borderColor: '#999' } as const;

function TableHead() {
  return (
    <View style={[styles.row, { borderBottomWidth: 1, marginTop: 6, fontWeight: 700 }]} fixed>
      <Text style={[cell, { width: columns.number }]}>No</Text>
      <Text style={[cell, { width: columns.mark }]}>Stands</Text>
      <Text style={[cell, { width: columns.move }]}>Move</Text>
      <Text style={[cell, { flex: 1 }]}>Needs, findings, and what is new after it</Text>
      <Text style={[cell, { width: columns.done }]}>Reading or bolts</Text>
      <Text style={[cell, { width: columns.time }]}>Time</Text>
      <Text style={[cell, { width: columns.initials }]}>By</Text>
    </View>
  );
}

interface Row {
  plan: Plan;
  /** the day it is the first move of */
  begins: WorkDay | undefined;
  step: Step;
  number: number;
  stands: MoveStands;
  told: readonly Told[];
}

/** A line of words on a move. */
interface Told {
  words: string;
  how: 'small' | 'bold' | 'plain';
}

/** All that is said of a move: what it needs, what is not clear, what hangs and what carries, what is new after it. */
function toldOf(plan: Plan, { needs }: Step, mine: readonly Check[], figures: readonly string[], fresh: string, note: string): Told[] {
  return [
    ...(needs.length > 0 ? [{ words: `Needs: ${inShort(needs.map((need) => need.what))}.`, how: 'small' as const }] : []),
    ...mine
      .filter((check) => check.verdict !== 'clear')
      .map((check) => ({ words: `${check.verdict.toUpperCase()}: ${describe(check, plan.job.units)}`, how: 'bold' as const })),
    ...figures.filter(Boolean).map((words) => ({ words: `${words}.`, how: 'plain' as const })),
    ...(note ? [{ words: note, how: 'plain' as const }] : []),
    ...(fresh === '' ? [] : [{ words: `${fresh}.`, how: 'small' as const }]),
  ];
}

interface HookFigures {
  gross?: number;
  radius?: number;
  gust?: number;
}

/** Of each pick what its hook must read, how far out, and the gust that stops it; of two hooks the one that reads more. */
function hookFigures(checks: readonly Check[]): ReadonlyMap<string, HookFigures> {
  const found = new Map<string, HookFigures>();
  for (const { finding, about, capacity } of checks) {
    if (about.kind !== 'pick') continue;
    const known = found.get(about.id) ?? {};
    if (finding.code === 'lift.chart' && finding.gross > (known.gross ?? 0)) found.set(about.id, { ...known, gross: finding.gross, radius: finding.radius });
    if (finding.code === 'lift.wind' && capacity !== null) found.set(about.id, { ...known, gust: Math.min(known.gust ?? Infinity, capacity) });
  }
  return found;
}

const onHookMoves: ReadonlySet<string> = new Set(['pick.trial', 'pick.lift', 'piece.hang']);

function hookWords({ job }: Plan, move: Move, hooks: ReadonlyMap<string, HookFigures>): string {
  const pick = 'pick' in move ? move.pick : null;
  const figures = pick && onHookMoves.has(move.kind) ? hooks.get(pick) : undefined;
  if (!figures) return '';
  const { gross, radius, gust } = figures;
  return [
    gross === undefined
      ? 'On the hook: NOT KNOWN'
      : `On the hook ${formatQuantity(gross, 'mass', job.units)}, out to ${formatQuantity(radius!, 'reach', job.units)}`,
    gust === undefined ? 'gust that stops it: NOT KNOWN' : `stop at gusts of ${formatQuantity(gust, 'speed', job.units)}`,
  ].join('; ');
}

/** Told with a move; the rest are counted. */
const MOST_LOADS = 5;
/** A load is another when it differs by this share and this much [N]. */
const OTHER = { share: 0.02, force: 500 } as const;

/** Supports that carry another load after a move than before it. */
function loadWords({ structure, job }: Plan, before: ReadonlyMap<string, number>, after: ReadonlyMap<string, number>): string {
  const show = (force: number) => formatQuantity(force, 'force', job.units);
  const other = structure.supports.flatMap(({ id, name }) => {
    const [was, is] = [before.get(id) ?? 0, after.get(id) ?? 0];
    if (Math.abs(is - was) <= Math.max(OTHER.force, OTHER.share * Math.abs(was))) return [];
    return [`${name} ${show(is)}${Math.abs(was) > OTHER.force ? ` (was ${show(was)})` : ''}`];
  });
  if (other.length === 0) return '';
  return `Carries now: ${other.slice(0, MOST_LOADS).join('; ')}${other.length > MOST_LOADS ? `; and ${other.length - MOST_LOADS} more` : ''}`;
}

function MoveRow({ begins, ...row }: Row) {
  if (!begins) return <PlainRow {...row} />;
  // A day never begins at the foot of a page with no move of it.
  return (
    <View wrap={false}>
      <Text style={[styles.bold, { height: DAY_ROW, paddingTop: 5, paddingHorizontal: 3, fontSize: 10, borderBottomWidth: 0.6 }]}>{dayName(begins)}</Text>
      <PlainRow {...row} />
    </View>
  );
}

function PlainRow({ plan, step: { move }, number, stands: { verdict, waitsFor }, told }: Omit<Row, 'begins'>) {
  const { title, about } = moveWords(plan, move);
  const bad = verdict === 'stop' || verdict === 'missing';
  const waits = waitsFor !== null && !bad;
  return (
    <View style={[styles.row, { borderBottomWidth: 0.6, minHeight: LEAST_ROW }]} wrap={false}>
      <Text style={[cell, { width: columns.number, fontWeight: 700, fontSize: 10 }]}>{number}</Text>
      <View style={[cell, styles.row, { width: columns.mark, gap: 3 }]}>
        {!waits && <Mark verdict={verdict} />}
        <Text style={{ fontWeight: verdict === 'clear' ? 400 : 700 }}>
          {waits ? `waits for ${waitsFor}` : verdict === 'clear' ? 'clear' : verdict.toUpperCase()}
        </Text>
      </View>
      <View style={[cell, { width: columns.move }]}>
        <Text style={styles.bold}>{title}</Text>
        <Text>{about}</Text>
      </View>
      <View style={[cell, box, { flex: 1 }]}>
        {told.map(({ words, how }, n) => (
          <Text key={n} style={how === 'plain' ? {} : styles[how]}>
            {words}
          </Text>
        ))}
      </View>
      <Text style={[cell, box, { width: columns.done }]}> </Text>
      <Text style={[cell, box, { width: columns.time }]}> </Text>
      <Text style={[cell, box, { width: columns.initials }]}> </Text>
    </View>
  );
}

/** The first few of a list of needs, and how many more. */
const MOST_NEEDS = 8;
const inShort = (needs: readonly string[]): string =>
  needs.slice(0, MOST_NEEDS).join('; ') + (needs.length > MOST_NEEDS ? `; and ${needs.length - MOST_NEEDS} more` : '');

/** Of two lines that say what stands, the parts only the later one has; of a list of pieces those that are new in it. */
export function newSince(before: string, after: string): string {
  const had = new Set(before.split(' · '));
  const listed = (parts: Iterable<string>, as: string) =>
    [...parts].filter((part) => part.endsWith(as)).flatMap((part) => part.slice(0, -as.length).split(', '));
  return after
    .split(' · ')
    .filter((part) => !had.has(part))
    .flatMap((part) => {
      const as = LISTED.find((one) => part.endsWith(one));
      if (as === undefined) return [part];
      const known = new Set(listed(had, as));
      const fresh = listed([part], as).filter((name) => !known.has(name));
      return fresh.length > 0 ? [fresh.join(', ') + as] : [];
    })
    .join(' · ');
}
const LISTED = [' set', ' on the hook'] as const;

/**
 * Hold points with who passed them, on what evidence, when; a blank line where nobody has. For one day: of those passed anew each day its
 * own, and those its moves wait for. For all days these are one line.
 */
function HoldRecords({ plan, day: only }: { plan: Plan; day: WorkDay | null }) {
  const ofDay = new Set(only ? plan.moves.slice(only.from, only.to).map(({ id }) => id) : []);
  // The end of the day before is what its first move waits for.
  const asked = holdsAsked(plan).filter(
    ({ day, waits }) => only === null || day === null || day.number === only.number || (waits !== null && ofDay.has(waits)),
  );
  const daily =
    only === null ? holds.flatMap((hold) => [asked.filter((one) => one.hold.id === hold.id && one.day !== null)].filter((days) => days.length > 1)) : [];
  const inOne = new Set(daily.flat());
  return (
    <View wrap={false}>
      <Text style={styles.heading}>Hold points: no work below one before a named person has passed it</Text>
      {asked.map((one) => {
        const { hold } = one;
        const record = recordOf(plan, one);
        if (!inOne.has(one))
          return (
            <HoldLine
              key={`${hold.id} ${dayId(one) ?? ''}`}
              name={holdName(one)}
              evidence={record ? [record.evidence, record.value].filter(Boolean).join('; ') : `asks for ${hold.evidence}`}
              by={record ? `${record.by}, ${dayWords(record.on)}` : `NOT RECORDED: ${hold.signs}`}
              open={!record}
            />
          );
        const days = daily.find(([first]) => first === one);
        if (!days) return null;
        const open = days.filter((each) => !recordOf(plan, each)).map(({ day }) => `day ${day!.number}`);
        return (
          <HoldLine
            key={hold.id}
            name={`${hold.id} ${hold.title}, each of ${days.length} days`}
            evidence={`asks for ${hold.evidence}`}
            by={
              open.length === 0
                ? 'recorded for each of them'
                : `NOT RECORDED: ${open.slice(0, NAMED_DAYS).join(', ')}${open.length > NAMED_DAYS ? ` and ${open.length - NAMED_DAYS} more` : ''}`
            }
            open={open.length > 0}
          />
        );
      })}
    </View>
  );
}
/** Of days on which something is not recorded so many are named. */
const NAMED_DAYS = 4;

function HoldLine({ name, evidence, by, open }: { name: string; evidence: string; by: string; open: boolean }) {
  const cell = { paddingHorizontal: 3, paddingVertical: 1.5 } as const;
  return (
    <View style={[styles.row, { borderBottomWidth: 0.4, borderColor: '#999' }]}>
      <Text style={[cell, styles.bold, { width: 150 }]}>{name}</Text>
      <Text style={[cell, { flex: 1 }]}>{evidence}</Text>
      <Text style={[cell, { width: 140 }, open ? styles.bold : {}]}>{by}</Text>
    </View>
  );
}
