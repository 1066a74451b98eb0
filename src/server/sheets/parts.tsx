import type { WorkDay } from '@/core/document/work-days';
import { Page, Path, Polygon, Rect, StyleSheet, Svg, Text, View, Circle } from '@react-pdf/renderer';
import type { ReactNode } from 'react';
import type { Check, Verdict } from '@/core/verdict/check';
import { dayWords } from '@/core/units/day';
import { describe } from '@/core/verdict/describe';
import type { Evaluation, Whole } from '@/core/evaluate';
import { operatorWords } from '@/core/document/crew';
import type { Pick, Plan } from '@/core/document/schema';
import { ruleSetName } from '@/core/rules/rule-sets';
import { whatStops } from '@/core/evaluate/waits';
import { SHEET_FONT } from './fonts';

export type Paper = 'A4' | 'LETTER';

export const CAUTION =
  'Temporary works and lifts can kill. This sheet computes and records; it does not approve. Local codes, the maker’s own chart, and a licensed engineer or appointed competent person decide. A missing input is never a pass.';

export const styles = StyleSheet.create({
  page: { fontFamily: SHEET_FONT, fontSize: 8.2, lineHeight: 1.28, paddingTop: 26, paddingBottom: 66, paddingHorizontal: 30, color: '#000' },
  title: { fontSize: 17, fontWeight: 700, lineHeight: 1.1 },
  bold: { fontWeight: 700 },
  small: { fontSize: 7, color: '#333' },
  box: { borderWidth: 1, borderColor: '#000' },
  row: { flexDirection: 'row' },
  heading: { fontSize: 9.2, fontWeight: 700, borderBottomWidth: 1, borderColor: '#000', marginTop: 7, marginBottom: 2, paddingBottom: 1 },
  foot: { position: 'absolute', left: 30, right: 30, bottom: 20, height: 40 },
});

export interface SheetHead {
  plan: Plan;
  revision: number;
  sha256: string;
  savedAt: Date;
  /** the day it is printed, year-month-day */
  today: string;
}

/** What a sheet is made from, worked out once for all its pages. */
export interface SheetWork {
  head: SheetHead;
  paper: Paper;
  evaluation: Evaluation;
  structure: Whole['structure'];
  /** the day of work it is for; undefined: all of them */
  day?: WorkDay;
}

/** A page with the job at its head and, at its foot, the caution and the line that says which revision this is. */
export function SheetPage({ paper, title, head, children }: { paper: Paper; title: string; head: SheetHead; children: ReactNode }) {
  const { plan, revision, sha256, savedAt } = head;
  return (
    <Page size={paper} style={styles.page}>
      <View style={[styles.row, { justifyContent: 'space-between', alignItems: 'flex-end', borderBottomWidth: 2, paddingBottom: 4 }]} fixed>
        <View>
          <Text style={styles.title}>{title}</Text>
          <Text>
            {plan.job.name}
            {plan.job.place ? ` · ${plan.job.place}` : ''}
          </Text>
        </View>
        <View style={{ alignItems: 'flex-end' }}>
          <Text style={styles.bold}>Revision {revision}</Text>
          <Text style={styles.small}>
            saved {dayWords(savedAt.toISOString().slice(0, 10))}, {savedAt.toISOString().slice(11, 16)} UTC · {sha256.slice(0, 12)}
          </Text>
          <Text style={styles.small}>{ruleSetName[plan.job.ruleSet]}</Text>
        </View>
      </View>
      {children}
      <View style={styles.foot} fixed>
        <Text style={{ fontSize: 7.2, fontWeight: 700, borderTopWidth: 1, paddingTop: 3 }}>{CAUTION}</Text>
        <Text style={[styles.small, { textAlign: 'right' }]}>
          Keen Trestle · {title} · revision {revision}
        </Text>
      </View>
    </Page>
  );
}

/** Told in full at the head of a sheet; the rest are counted. */
export const MOST_TOLD = 8;

/** What stops the job, at the head of every sheet: holds and missing inputs too. Nothing where nothing does. */
export function StopBand({ plan, checks }: { plan: Plan; checks: readonly Check[] }) {
  const bad = whatStops(checks);
  if (bad.length === 0) return null;
  const stops = bad.filter((check) => check.verdict === 'stop').length;
  const told = [stops > 0 && `${stops} ${stops === 1 ? 'stop' : 'stops'}`, bad.length > stops && `${bad.length - stops} missing`].filter(Boolean).join(', ');
  return (
    <View style={{ borderWidth: 2.5, padding: 4, marginTop: 5 }} wrap={false}>
      <Text style={{ fontSize: 11, fontWeight: 700 }}>
        {stops > 0 ? 'STOP.' : 'MISSING.'} This job may not go ahead: {told}. {stops > 0 ? '' : 'Not known is not clear.'}
      </Text>
      {bad.slice(0, MOST_TOLD).map((check, i) => (
        <Text key={i}>
          {check.verdict.toUpperCase()}: {describe(check, plan.job.units)}
        </Text>
      ))}
      {bad.length > MOST_TOLD && <Text>and {bad.length - MOST_TOLD} more.</Text>}
    </View>
  );
}

/** The same shapes as on the screen, told apart without colour. */
export function Mark({ verdict, size = 9 }: { verdict: Verdict; size?: number }) {
  return (
    <Svg width={size} height={size} viewBox="0 0 16 16">
      {verdict === 'clear' && <Circle cx={8} cy={8} r={6} fill="none" stroke="#000" strokeWidth={1.4} />}
      {verdict === 'clear' && <Path d="M5 8.2 L7.2 10.4 L11.2 6" fill="none" stroke="#000" strokeWidth={1.4} />}
      {verdict === 'tight' && <Polygon points="8,1 15,8 8,15 1,8" fill="none" stroke="#000" strokeWidth={1.4} />}
      {verdict === 'tight' && <Polygon points="8,1 15,8 8,15" fill="#000" />}
      {verdict === 'stop' && <Rect x={1} y={1} width={14} height={14} fill="#000" />}
      {verdict === 'stop' && <Rect x={3.5} y={6.5} width={9} height={3} fill="#fff" />}
      {verdict === 'missing' && <Circle cx={8} cy={8} r={6.3} fill="none" stroke="#000" strokeWidth={1.4} strokeDasharray="2.6 1.8" />}
      {verdict === 'missing' && (
        <Path
          d="M6.2 6.4 C6.2 5.2 7 4.5 8.1 4.5 C9.2 4.5 10 5.2 10 6.2 C10 7.5 8.2 7.6 8.2 9.1 M8.1 11.3 L8.1 11.8"
          fill="none"
          stroke="#000"
          strokeWidth={1.4}
        />
      )}
    </Svg>
  );
}

export function Line2({ label, value, strong }: { label: string; value: string; strong?: boolean }) {
  return (
    <View style={[styles.row, { justifyContent: 'space-between', borderBottomWidth: 0.4, borderColor: '#999', paddingVertical: 1 }]}>
      {/* From no width of its own the label takes what the value leaves: a label that only shrinks runs into a long value. */}
      <Text style={[{ flexGrow: 1, flexShrink: 1, flexBasis: 0, paddingRight: 6 }, strong ? styles.bold : {}]}>{label}</Text>
      <Text style={[{ maxWidth: '65%', textAlign: 'right' }, strong ? styles.bold : {}]}>{value}</Text>
    </View>
  );
}

export function Blank({ label, value, width }: { label: string; value?: string; width: string }) {
  return (
    <View style={{ width, paddingRight: 10, marginTop: 5 }}>
      <Text style={{ borderBottomWidth: 0.8, minHeight: 12, paddingTop: 1 }}>{value || ' '}</Text>
      <Text style={styles.small}>{label}</Text>
    </View>
  );
}

export function Signatures({ plan, picks }: { plan: Plan; picks?: readonly Pick[] }) {
  return (
    <View wrap={false}>
      <Text style={styles.heading}>Names and signatures</Text>
      <View style={[styles.row, { flexWrap: 'wrap' }]}>
        <Blank width="50%" label="Planned by, name and signature" value={plan.people.planner} />
        <Blank width="50%" label="Engineer or appointed competent person, name and signature" value={plan.people.checker} />
        <Blank width="25%" label="Date and time" />
        <Blank width="25%" label="Wind now" />
        <Blank width="25%" label="One caller" value={plan.people.caller} />
        <Blank width="25%" label="Operator" value={operatorWords(plan, picks)} />
      </View>
    </View>
  );
}
