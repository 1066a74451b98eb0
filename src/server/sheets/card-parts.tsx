import { Text, View } from '@react-pdf/renderer';
import type { Check } from '@/core/verdict/check';
import { describe } from '@/core/verdict/describe';
import type { Plan } from '@/core/document/schema';
import { Line2, Mark, styles } from './parts';

export const UNKNOWN = 'NOT KNOWN';

export interface Entry {
  label: string;
  value: string;
  strong?: boolean;
}

export function Block({ title, entries }: { title: string; entries: readonly Entry[] }) {
  return (
    <View>
      <Text style={styles.heading}>{title}</Text>
      {entries.map((entry) => (
        <Line2 key={entry.label} {...entry} />
      ))}
    </View>
  );
}

/** Said first and large where nobody may lift or push on this card. */
export function NotOnThisCard({ checks, doing = 'lift' }: { checks: readonly Check[]; doing?: 'lift' | 'push' }) {
  const bad = checks.filter((check) => check.verdict === 'stop' || check.verdict === 'missing');
  if (bad.length === 0) return null;
  return (
    <Text style={{ fontSize: 11, fontWeight: 700, marginTop: 5 }}>
      {bad.some((check) => check.verdict === 'stop') ? `STOP. Do not ${doing} on this card.` : `MISSING. Do not ${doing} on this card.`}
    </Text>
  );
}

/** Checks a line each, and in one line those that are clear and not told. */
export function ToldChecks({ plan, told, rest }: { plan: Plan; told: readonly Check[]; rest: readonly Check[] }) {
  const nextRatio = rest.find((check) => check.ratio !== null && check.quantity !== 'count')?.ratio ?? null;
  return (
    <>
      {told.map((check, i) => (
        <View key={i} style={[styles.row, { borderBottomWidth: 0.4, borderColor: '#999', paddingVertical: 0.9, fontSize: 7.4 }]} wrap={false}>
          <View style={{ width: 13, paddingTop: 1 }}>
            <Mark verdict={check.verdict} />
          </View>
          <Text style={{ width: 40, fontWeight: check.verdict === 'clear' ? 400 : 700 }}>
            {check.verdict === 'clear' ? 'clear' : check.verdict.toUpperCase()}
          </Text>
          <Text style={{ flex: 1, paddingRight: 6 }}>{describe(check, plan.job.units)}</Text>
          <Text style={{ width: 28, textAlign: 'right', fontWeight: 700 }}>
            {check.ratio !== null && check.quantity !== 'count' && Number.isFinite(check.ratio) ? check.ratio.toFixed(2) : ''}
          </Text>
        </View>
      ))}
      {rest.length > 0 && (
        <Text style={styles.small}>
          and {rest.length} more, all clear{nextRatio === null ? '' : `, none over ${nextRatio.toFixed(2)}`}; every one stands in the plan of this revision.
        </Text>
      )}
    </>
  );
}
