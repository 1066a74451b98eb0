import { Text, View } from '@react-pdf/renderer';
import type { ReactElement } from 'react';
import type { Check } from '@/core/plan/check';
import { dayWords } from '@/core/plan/day';
import { describe } from '@/core/plan/describe';
import { holdsOf } from '@/core/plan/holds';
import { moveWords } from '@/core/plan/move-words';
import { checksByMove } from '@/core/plan/evaluate';
import type { Moment, Step } from '@/core/plan/replay';
import type { Plan } from '@/core/plan/schema';
import { standing } from '@/core/plan/standing';
import { movesStand, type MoveStands } from '@/core/plan/waits';
import { Mark, SheetPage, Signatures, StopBand, styles, type SheetWork } from './parts';

const columns = { number: 20, mark: 52, move: 118, done: 62, time: 44, initials: 40 } as const;

/** Rows on one stretch of pages: the layout of a page costs as much as all that still has to be laid out after it. */
const STRETCH = 40;

/** The moves in order, each with what it needs, how it stands, and room for who did it and when. */
export function runSheetPages({ head, paper, evaluation, structure }: SheetWork): ReactElement[] {
  const { plan } = head;
  const { checks, replay } = evaluation;
  const stands = movesStand(plan, evaluation);
  const asked = checksByMove({ evaluation, structure });
  const rows = replay.steps.map((step, i) => {
    const before = i === 0 ? replay.before : replay.steps[i - 1]!.after;
    return <MoveRow key={step.move.id} plan={plan} step={step} number={i + 1} stands={stands[i]!} mine={asked(step.move.id)} before={before} checks={checks} />;
  });
  const stretches = Array.from({ length: Math.max(1, Math.ceil(rows.length / STRETCH)) }, (_, i) => rows.slice(i * STRETCH, (i + 1) * STRETCH));
  return stretches.map((stretch, i) => {
    const last = i === stretches.length - 1;
    return (
      <SheetPage key={i} paper={paper} title="Run sheet" head={head}>
        {i === 0 && <StopBand plan={plan} checks={checks} />}
        {i === 0 && <HoldRecords plan={plan} />}
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

const cell = { paddingHorizontal: 3, paddingVertical: 3 } as const;
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
  step: Step;
  number: number;
  stands: MoveStands;
  mine: readonly Check[];
  before: Moment;
  checks: readonly Check[];
}

function MoveRow({ plan, step: { move, needs, after }, number, stands: { verdict, waitsFor }, mine, before, checks }: Row) {
  const { title, about } = moveWords(plan, move);
  const bad = verdict === 'stop' || verdict === 'missing';
  const waits = waitsFor !== null && !bad;
  const fresh = newSince(standing(plan, before, checks), standing(plan, after, checks));
  return (
    <View style={[styles.row, { borderBottomWidth: 0.6, minHeight: 30 }]} wrap={false}>
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
        {needs.length > 0 && <Text style={styles.small}>Needs: {inShort(needs.map((need) => need.what))}.</Text>}
        {mine
          .filter((check) => check.verdict !== 'clear')
          .map((check, n) => (
            <Text key={n} style={styles.bold}>
              {check.verdict.toUpperCase()}: {describe(check, plan.job.units)}
            </Text>
          ))}
        {move.note && <Text>{move.note}</Text>}
        {fresh !== '' && <Text style={styles.small}>{fresh}.</Text>}
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

/** Of two lines that say what stands, the parts only the later one has. */
function newSince(before: string, after: string): string {
  const had = new Set(before.split(' · '));
  return after
    .split(' · ')
    .filter((part) => !had.has(part))
    .join(' · ');
}

/** Hold points with who passed them, on what evidence, when; a blank line where nobody has. */
function HoldRecords({ plan }: { plan: Plan }) {
  const cell = { paddingHorizontal: 3, paddingVertical: 1.5 } as const;
  return (
    <View wrap={false}>
      <Text style={styles.heading}>Hold points: no work below one before a named person has passed it</Text>
      {holdsOf(plan).map((hold) => {
        const record = plan.holds.find((one) => one.id === hold.id);
        return (
          <View key={hold.id} style={[styles.row, { borderBottomWidth: 0.4, borderColor: '#999' }]}>
            <Text style={[cell, styles.bold, { width: 150 }]}>
              {hold.id} {hold.title}
            </Text>
            <Text style={[cell, { flex: 1 }]}>{record ? [record.evidence, record.value].filter(Boolean).join('; ') : `asks for ${hold.evidence}`}</Text>
            <Text style={[cell, { width: 140 }, record ? {} : styles.bold]}>
              {record ? `${record.by}, ${dayWords(record.on)}` : `NOT RECORDED: ${hold.signs}`}
            </Text>
          </View>
        );
      })}
    </View>
  );
}
