import { Document, Text, View } from '@react-pdf/renderer';
import { worst, type Check } from '@/core/plan/check';
import { describe } from '@/core/plan/describe';
import { evaluate } from '@/core/plan/evaluate';
import { holdsOf } from '@/core/plan/holds';
import { moveWords } from '@/core/plan/move-words';
import type { Plan } from '@/core/plan/schema';
import { standing } from '@/core/plan/standing';
import { Mark, SheetPage, Signatures, styles, type Paper, type SheetHead } from './parts';
import { localDay } from '../today';

const columns = { number: 20, mark: 52, move: 118, done: 62, time: 44, initials: 40 } as const;

/** The moves in order, each with what it needs, how it stands, and room for who did it and when. */
export function RunSheet({ head, paper }: { head: SheetHead; paper: Paper }) {
  const { plan } = head;
  const { checks, replay } = evaluate(plan, localDay());
  const worth = (list: readonly Check[]) => list.filter((check) => check.verdict !== 'clear');
  const before = checks.filter((check) => check.move === null);
  const cell = { paddingHorizontal: 3, paddingVertical: 3 } as const;
  return (
    <Document title={`Run sheet, ${plan.job.name}`} creator="Keen Trestle">
      <SheetPage paper={paper} title="Run sheet" head={head}>
        {worth(before).map((check, i) => (
          <View key={i} style={[styles.row, { marginTop: 3 }]}>
            <Mark verdict={check.verdict} />
            <Text style={{ marginLeft: 4, fontWeight: 700 }}>
              {check.verdict.toUpperCase()} before work: {describe(check, plan.job.units)}
            </Text>
          </View>
        ))}
        <HoldRecords plan={plan} />
        <View style={[styles.row, { borderBottomWidth: 1, marginTop: 6, fontWeight: 700 }]} fixed>
          <Text style={[cell, { width: columns.number }]}>No</Text>
          <Text style={[cell, { width: columns.mark }]}>Stands</Text>
          <Text style={[cell, { width: columns.move }]}>Move</Text>
          <Text style={[cell, { flex: 1 }]}>Needs, findings, and what stands after it</Text>
          <Text style={[cell, { width: columns.done }]}>Reading or bolts</Text>
          <Text style={[cell, { width: columns.time }]}>Time</Text>
          <Text style={[cell, { width: columns.initials }]}>By</Text>
        </View>
        {replay.steps.map(({ move, needs, after }, i) => {
          const mine = checks.filter((check) => check.move === move.id);
          const verdict = worst(mine.map((check) => check.verdict));
          const { title, about } = moveWords(plan, move);
          const box = { borderLeftWidth: 0.4, borderColor: '#999' } as const;
          return (
            <View key={move.id} style={[styles.row, { borderBottomWidth: 0.6, minHeight: 30 }]} wrap={false}>
              <Text style={[cell, { width: columns.number, fontWeight: 700, fontSize: 10 }]}>{i + 1}</Text>
              <View style={[cell, styles.row, { width: columns.mark, gap: 3 }]}>
                <Mark verdict={verdict} />
                <Text style={{ fontWeight: verdict === 'clear' ? 400 : 700 }}>{verdict === 'clear' ? 'clear' : verdict.toUpperCase()}</Text>
              </View>
              <View style={[cell, { width: columns.move }]}>
                <Text style={styles.bold}>{title}</Text>
                <Text>{about}</Text>
              </View>
              <View style={[cell, box, { flex: 1 }]}>
                {needs.length > 0 && <Text style={styles.small}>Needs: {needs.map((need) => need.what).join('; ')}.</Text>}
                {worth(mine).map((check, n) => (
                  <Text key={n} style={styles.bold}>
                    {check.verdict.toUpperCase()}: {describe(check, plan.job.units)}
                  </Text>
                ))}
                {move.note && <Text>{move.note}</Text>}
                <Text style={styles.small}>{standing(plan, after, checks)}.</Text>
              </View>
              <Text style={[cell, box, { width: columns.done }]}> </Text>
              <Text style={[cell, box, { width: columns.time }]}> </Text>
              <Text style={[cell, box, { width: columns.initials }]}> </Text>
            </View>
          );
        })}
        <Signatures plan={plan} />
      </SheetPage>
    </Document>
  );
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
            <Text style={[cell, { width: 140 }, record ? {} : styles.bold]}>{record ? `${record.by}, ${record.on}` : `NOT RECORDED: ${hold.signs}`}</Text>
          </View>
        );
      })}
    </View>
  );
}
