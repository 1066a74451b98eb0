import { Text, View } from '@react-pdf/renderer';
import { zonesOf } from '@/core/document/zones';
import type { ReactElement } from 'react';
import { elevationScene } from '@/core/view/elevation-scene';
import { planScene } from '@/core/view/plan-scene';
import { allStanding } from '@/core/view/shore-moment';
import { structurePose } from '@/core/view/structure-shapes';
import type { Check } from '@/core/verdict/check';
import { operatorWords } from '@/core/document/crew';
import { dayWords } from '@/core/units/day';
import { describe } from '@/core/verdict/describe';
import { counterweightOf, craneAt, dutiesAt } from '@/core/settle/duties';
import { holdsAsked, recordOf } from '@/core/document/holds';
import { liftList, type LiftRow } from '@/core/evaluate/lift-list';
import type { Plan } from '@/core/document/schema';
import { levelWords } from '@/core/checks/lift/level';
import { settle } from '@/core/settle/settle';
import { liftsTake } from '@/core/settle/takes';
import { rulesOf } from '@/core/rules/rule-sets';
import { whatStops } from '@/core/evaluate/waits';
import { worstFirst } from '@/core/verdict/worst-first';
import { formatQuantity, type QuantityKind } from '@/core/units';
import { UNKNOWN } from './card-parts';
import { DrawingOnPaper } from './drawing';
import { Blank, Line2, Mark, SheetPage, Signatures, StopBand, styles, type SheetWork } from './parts';

/** A part of the set with the page it begins on. */
export interface Part {
  title: string;
  page: number;
  pages: number;
}

/** What a whole erection plan carries and this product does not make: named, so that nobody thinks it was looked at. */
const BY_HAND = [
  'pre-erection conference and who was there',
  'fall protection and access',
  'what keeps falling objects off people',
  'rescue of a person from height or from under a load',
  'training and certificates of riggers, signal people and operators',
  'certificates of slings, shackles and the crane',
  'other trades on the site meanwhile',
  'emergency numbers and the way for an ambulance',
  'review after the job',
];

/** The front of the set: how it stands, what is in it and on which page, who signs, and what is not in it. */
export function coverPages({ head, paper, evaluation }: SheetWork, parts: readonly Part[]): ReactElement[] {
  const { plan } = head;
  const { checks, replay } = evaluation;
  const bad = whatStops(checks).length > 0;
  const drawn = settle(plan);
  const last = replay.steps.length - 1;
  const at = replay.steps[last]?.after ?? replay.before;
  const count = (verdict: string) => checks.filter((check) => check.verdict === verdict).length;
  const show = shower(plan);
  const lifts = liftList(plan, checks);
  const heaviest = greatest(lifts, ({ mass }) => mass);
  const nearest = greatest(lifts, ({ share }) => share);
  const gusts = lifts.flatMap(({ gust }) => (gust === null ? [] : [gust]));
  const critical = lifts.filter((one) => one.critical !== '');
  const unknown = lifts.filter((one) => one.critical === '' && one.level?.atLeast).length;
  const open = holdsAsked(plan).filter((asked) => !recordOf(plan, asked)).length;
  return [
    <SheetPage key="cover" paper={paper} title="Lift plan" head={head}>
      <StopBand plan={plan} checks={checks} />
      <View style={[styles.row, { gap: 16 }]}>
        <View style={{ width: '50%' }}>
          <Text style={styles.heading}>How it stands</Text>
          <Line2 label="Printed" value={dayWords(head.today)} />
          <Line2 label="Stop" value={String(count('stop'))} strong={count('stop') > 0} />
          <Line2 label="Missing: not known is not clear" value={String(count('missing'))} strong={count('missing') > 0} />
          <Line2 label="Tight" value={String(count('tight'))} />
          <Line2 label="Clear" value={String(count('clear'))} />
          <Line2 label="Hold points nobody has passed yet" value={String(open)} strong={open > 0} />
          <Text style={styles.heading}>The lifts</Text>
          <Line2 label="Lifts" value={String(lifts.length)} />
          <Line2 label={`Most on one hook or place${heaviest ? `, ${heaviest.mark}` : ''}`} value={show(heaviest?.mass ?? null, 'mass')} />
          <Line2 label={`Most of what the gear may carry${nearest ? `, ${nearest.mark}` : ''}`} value={show(nearest?.share ?? null, 'fraction')} />
          <Line2 label="First lift to stop for wind, at gusts of" value={gusts.length === 0 ? UNKNOWN : show(Math.min(...gusts), 'speed')} strong />
          <Line2
            label={plan.job.ruleSet === 'us-asd' ? 'Critical lifts' : 'Complex lifts'}
            value={[
              critical.length === 0 ? 'none found' : critical.map(({ mark }) => mark).join(', '),
              ...(unknown > 0 ? [`${unknown} not known yet`] : []),
            ].join('; ')}
            strong={critical.length + unknown > 0}
          />
        </View>
        <View style={{ width: '50%' }}>
          <Text style={styles.heading}>In this set</Text>
          {parts.map(({ title, page, pages }) => (
            <Line2 key={`${title} ${page}`} label={title} value={pages === 1 ? `page ${page}` : `pages ${page} to ${page + pages - 1}`} />
          ))}
          <Text style={styles.heading}>Not in this set: by hand, by whoever answers for it</Text>
          {BY_HAND.map((what) => (
            <Text key={what} style={{ borderBottomWidth: 0.4, borderColor: '#999', paddingVertical: 1 }}>
              □ {what}
            </Text>
          ))}
        </View>
      </View>
      <View style={[styles.box, { marginTop: 8 }]}>
        <DrawingOnPaper
          drawing={planScene(drawn, at, allStanding(drawn, {}), 'runSheet', [], structurePose(drawn, replay, last))}
          width={530}
          height={bad ? 130 : 220}
        />
      </View>
      <Signatures plan={plan} />
      <View wrap={false}>
        <Text style={styles.heading}>Changed on the day: what, why, by whom; a change is a new revision before anybody lifts by it</Text>
        <View style={[styles.row, { flexWrap: 'wrap' }]}>
          {[1, 2, 3].map((n) => (
            <Blank key={n} width="100%" label={`Change ${n}`} />
          ))}
        </View>
      </View>
    </SheetPage>,
  ];
}

const greatest = (lifts: readonly LiftRow[], of: (row: LiftRow) => number | null): LiftRow | null =>
  lifts.reduce<LiftRow | null>((best, row) => (of(row) !== null && (best === null || of(row)! > of(best)!) ? row : best), null);

const shower =
  ({ job }: Plan) =>
  (value: number | null, kind: QuantityKind): string =>
    value === null ? UNKNOWN : formatQuantity(value, kind, job.units);

/** What comes nearest to its limit, told to the gang; names there is room for. */
const TOLD = 8;
const NAMES = 18;

/** What the gang is told before anybody lifts, and room for each of them to sign. */
export function briefingPages({ head, paper, evaluation }: SheetWork): ReactElement[] {
  const { plan } = head;
  const { checks } = evaluation;
  const lifts = liftList(plan, checks);
  const gusts = lifts.flatMap(({ gust, mark }) => (gust === null ? [] : [{ gust, mark }])).sort((a, b) => a.gust - b.gust);
  const show = shower(plan);
  const bad = whatStops(checks);
  const near = onePerKind(worstFirst(checks.filter(({ verdict, ratio }) => verdict === 'tight' || (verdict === 'clear' && ratio !== null && ratio > 0.75))));
  const zones = zonesOf(plan);
  const stopWhen = [
    gusts[0]
      ? `a gust reaches ${show(gusts[0].gust, 'speed')} (${gusts[0].mark}; each lift has its own figure)`
      : 'the wind is over the figure of the lift; none is known yet',
    'the hook reads more than its card says',
    'the caller is not heard or not seen: no signal is a stop signal, and anybody may give it',
    'anybody is under the load, in the swing or inside the rope of a winch',
    'the load snags, turns by itself, or hangs out of level',
    'the hook is not plumb over the load',
    'a shore, bent, guy or the ground under an outrigger moves',
    'it does not fit: nobody cuts, burns or drifts a hole that the engineer has not approved',
  ];
  return [
    <SheetPage key="briefing" paper={paper} title="Before anybody lifts" head={head}>
      <StopBand plan={plan} checks={checks} />
      <View style={[styles.row, { gap: 16 }]}>
        <View style={{ width: '52%' }}>
          <Text style={styles.heading}>Stop at once when</Text>
          {stopWhen.map((words) => (
            <Text key={words} style={{ paddingVertical: 1 }}>
              ■ {words}
            </Text>
          ))}
          <Text style={styles.heading}>Nearest to their limits{bad.length > 0 ? ', beside what stops it above' : ''}</Text>
          {near.length === 0 && <Text>Nothing is over three quarters of its limit.</Text>}
          {near.slice(0, TOLD).map(({ check, alike }, i) => (
            <View key={i} style={[styles.row, { gap: 4, paddingVertical: 1 }]} wrap={false}>
              <Mark verdict={check.verdict} />
              <Text style={{ flex: 1 }}>
                {describe(check, plan.job.units)}
                {alike > 0 ? ` And ${alike} alike.` : ''}
              </Text>
            </View>
          ))}
        </View>
        <View style={{ width: '48%' }}>
          <Text style={styles.heading}>Who says what</Text>
          <Line2 label="One caller" value={plan.people.caller || UNKNOWN} strong />
          <Line2 label="Operator" value={operatorWords(plan) || UNKNOWN} />
          <Line2 label="Radio channel" value={plan.people.radioChannel || UNKNOWN} strong />
          <Line2 label="Planned by" value={plan.people.planner || UNKNOWN} />
          <Line2 label="Checked by" value={plan.people.checker || UNKNOWN} />
          <Line2 label="Gusts forecast" value={show(plan.site.forecastGust, 'speed')} />
          {(plan.site.signallers ?? []).map(({ id, name, at }) => (
            <Line2 key={id} label="Signals" value={`${name || UNKNOWN}, at ${show(at.x, 'length')} east, ${show(at.y, 'length')} north`} />
          ))}
          {(zones.length > 0 || plan.site.powerLines.length > 0) && <Text style={styles.heading}>Nobody and nothing there</Text>}
          {zones.map((zone) => (
            <Line2 key={zone.id} label={zone.name} value={zone.closed ? `closed: ${zone.closed.how} (${zone.closed.by})` : 'OPEN: not lifted over'} />
          ))}
          {plan.site.powerLines.map((line) => (
            <Line2 key={line.id} label={line.name} value={line.volts === null ? `${UNKNOWN}: taken as live` : `${show(line.volts / 1000, 'count')} kV, live`} />
          ))}
          <View style={{ marginTop: 8 }}>
            <Text style={styles.heading}>If a load cannot be set</Text>
            <Blank width="100%" label="Where it is put down meanwhile" />
            <Blank width="100%" label="Where everybody meets" />
          </View>
        </View>
      </View>
      <View wrap={false}>
        <Text style={styles.heading}>Told and understood, each by name</Text>
        <View style={[styles.row, { flexWrap: 'wrap' }]}>
          {Array.from({ length: NAMES }, (_, n) => (
            <Blank key={n} width="33%" label="Name, signature" />
          ))}
        </View>
      </View>
    </SheetPage>,
  ];
}

/** Of each kind of check the nearest to its limit, and how many more of that kind there are. */
function onePerKind(checks: readonly Check[]): { check: Check; alike: number }[] {
  const kinds = new Map<string, { check: Check; alike: number }>();
  for (const check of checks) {
    const known = kinds.get(check.id);
    if (known) known.alike += 1;
    else kinds.set(check.id, { check, alike: 0 });
  }
  return [...kinds.values()];
}

const cell = { paddingHorizontal: 3, paddingVertical: 2 } as const;
const widths = { move: 30, mark: 76, how: 130, mass: 62, radius: 52, share: 44, gust: 56 } as const;
/** Rows on one stretch of pages: the layout of a page costs as much as all that still has to be laid out after it. */
const STRETCH = 60;

/** The job from the side with everything in place, how each crane stands, and every lift in its order. */
export function overviewPages({ head, paper, evaluation }: SheetWork): ReactElement[] {
  const plan = settle(head.plan);
  const { checks, replay } = evaluation;
  const rows = liftList(plan, checks).map((row) => <LiftLine key={row.id} plan={plan} row={row} />);
  const last = replay.steps.length - 1;
  const at = replay.steps[last]?.after ?? replay.before;
  const structure = structurePose(plan, replay, last);
  const stretches = Array.from({ length: Math.max(1, Math.ceil(rows.length / STRETCH)) }, (_, i) => rows.slice(i * STRETCH, (i + 1) * STRETCH));
  return stretches.map((stretch, i) => (
    <SheetPage key={`overview ${i}`} paper={paper} title="The job and its lifts" head={head}>
      {i === 0 && (
        <>
          <View style={[styles.box, { marginTop: 6 }]}>
            <DrawingOnPaper drawing={elevationScene(plan, at, 'beam', allStanding(plan, {}), 'runSheet', structure)} width={530} height={150} />
          </View>
          <StandList plan={plan} />
        </>
      )}
      {stretch.length > 0 && (
        <View style={[styles.row, { borderBottomWidth: 1, marginTop: 6, fontWeight: 700 }]} fixed>
          <Text style={[cell, { width: widths.move }]}>Move</Text>
          <Text style={[cell, { width: widths.mark }]}>Load</Text>
          <Text style={[cell, { width: widths.how }]}>Lifted by</Text>
          <Text style={[cell, { width: widths.mass, textAlign: 'right' }]}>On the hook</Text>
          <Text style={[cell, { width: widths.radius, textAlign: 'right' }]}>Radius</Text>
          <Text style={[cell, { width: widths.share, textAlign: 'right' }]}>Used</Text>
          <Text style={[cell, { width: widths.gust, textAlign: 'right' }]}>Gust limit</Text>
          <Text style={[cell, { flex: 1 }]}>{plan.job.ruleSet === 'us-asd' ? 'Critical' : 'Planned as'}</Text>
        </View>
      )}
      {stretch}
      {i === stretches.length - 1 && <WhatItTakes plan={plan} />}
    </SheetPage>
  ));
}

/** Hours, people and money, as far as somebody has said prices; no check hangs on them. */
function WhatItTakes({ plan }: { plan: Plan }) {
  const takes = liftsTake(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds));
  if (takes.length === 0) return null;
  return (
    <View wrap={false}>
      <Text style={styles.heading}>What the lifts take, by the hours of the rule set</Text>
      {takes.map(({ crane, name, visits, together, saved, asks }) => (
        <View key={crane ?? 'none'} style={{ borderBottomWidth: 0.4, borderColor: '#999', paddingVertical: 1.5 }}>
          <Text>
            <Text style={styles.bold}>{name}</Text>: {[...visits, ...(together ? [together] : [])].join('; ')}. {saved ?? ''}
          </Text>
          {asks.length > 0 && <Text>Not priced: {asks.join(' ')}</Text>}
        </View>
      ))}
    </View>
  );
}

function LiftLine({ plan, row }: { plan: Plan; row: LiftRow }) {
  const show = shower(plan);
  const crane = row.radius !== null || row.gust !== null || row.how.startsWith('crane');
  return (
    <View style={[styles.row, { borderBottomWidth: 0.4, borderColor: '#999' }]} wrap={false}>
      <Text style={[cell, styles.bold, { width: widths.move }]}>{row.move ?? 'none'}</Text>
      <Text style={[cell, { width: widths.mark }]}>{row.mark}</Text>
      <Text style={[cell, { width: widths.how }]}>{row.how}</Text>
      <Text style={[cell, { width: widths.mass, textAlign: 'right' }]}>{show(row.mass, 'mass')}</Text>
      <Text style={[cell, { width: widths.radius, textAlign: 'right' }]}>{crane ? show(row.radius, 'reach') : ''}</Text>
      <Text style={[cell, { width: widths.share, textAlign: 'right' }]}>{show(row.share, 'fraction')}</Text>
      <Text style={[cell, { width: widths.gust, textAlign: 'right' }]}>{crane ? show(row.gust, 'speed') : ''}</Text>
      <Text style={[cell, styles.bold, { flex: 1 }]}>
        {row.level === null ? '' : plan.job.ruleSet === 'us-asd' ? row.critical || (row.level.atLeast ? 'not known yet' : '') : levelWords(row.level)}
      </Text>
    </View>
  );
}

/** How each crane stands at each of its stands, as the operator sets it up. */
function StandList({ plan }: { plan: ReturnType<typeof settle> }) {
  const show = shower(plan);
  if (plan.stands.length === 0) return null;
  return (
    <View>
      <Text style={styles.heading}>How the cranes stand</Text>
      {plan.stands.map((stand) => {
        const crane = craneAt(plan, stand);
        const counterweight = counterweightOf(crane);
        const charts = dutiesAt(plan, stand).usable.map(({ chart }) => chart.name);
        return (
          <View key={stand.id} style={{ borderBottomWidth: 0.4, borderColor: '#999', paddingVertical: 1.5 }} wrap={false}>
            <Text>
              <Text style={styles.bold}>
                {stand.name}: {crane.name}
              </Text>
              , {crane.tower ? 'foot of its mast' : crane.tracks ? 'tracks' : 'outriggers'} {show(crane.baseLength, 'length')} ×{' '}
              {show(crane.baseWidth, 'length')}
              {counterweight === null ? '' : `, counterweight ${show(counterweight, 'mass')}`}
              {stand.falls ? `, ${stand.falls} parts of line` : ''};{' '}
              {crane.tower
                ? `one leg brings down ${show(crane.tower.corner, 'force')}, may bring down ${show(crane.tower.carries, 'force')}`
                : crane.tracks
                  ? `each ${show(crane.tracks.shoe, 'length')} wide`
                  : `mat ${stand.padArea === null ? UNKNOWN : show(stand.padArea, 'floorArea')} under each`}
              {crane.tower ? '' : `, ground may take ${show(stand.groundAllowable, 'pressure')}`}
            </Text>
            {crane.assembled && (
              <Text style={styles.small}>
                Boom put together here: lies out {show(stand.assembly?.towardsDeg ?? null, 'angle')} from east, under{' '}
                {stand.assembly?.director.trim() || UNKNOWN}; held while pins are out by {stand.assembly?.held.trim() || UNKNOWN}
              </Text>
            )}
            <Text style={styles.small}>Chart: {charts.length === 0 ? 'NONE FOR HOW IT STANDS' : charts.join('; ')}</Text>
          </View>
        );
      })}
    </View>
  );
}
