import { Text, View } from '@react-pdf/renderer';
import type { ReactElement } from 'react';
import { elevationScene } from '@/core/view/elevation-scene';
import { planScene } from '@/core/view/plan-scene';
import { structurePose } from '@/core/view/structure-shapes';
import type { Check } from '@/core/verdict/check';
import { liftMove, onHook, type PickContext, type Spliced } from '@/core/checks/context';
import { markLifted, standsOfPick } from '@/core/document/lookups';
import { levelOf, levelWords } from '@/core/checks/lift/level';
import { hooksOf } from '@/core/checks/lift/pick-context';
import { counterweightOf } from '@/core/settle/duties';
import type { Hanging } from '@/core/settle/hanging';
import type { HookOf } from '@/core/settle/lift-two';
import { worstOutrigger, worstTrack } from '@/core/checks/site/under-crane';
import { describe } from '@/core/verdict/describe';
import { hitchWords, materialWords, type Hitch } from '@/core/document/things/hitch';
import { Missing } from '@/core/verdict/missing';
import type { Move, Pick, Plan, Rig } from '@/core/document/schema';
import { cornerName } from '@/core/cranes/outriggers.calc';
import { allStanding } from '@/core/view/shore-moment';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity, type QuantityKind } from '@/core/units';
import { whatStops } from '@/core/evaluate/waits';
import { worstFirst } from '@/core/verdict/worst-first';
import { DrawingOnPaper } from './drawing';
import { Block, NotOnThisCard, ToldChecks, UNKNOWN, type Entry } from './card-parts';
import { LaunchCard } from './launch-card';
import { RaiseCard } from './raise-card';
import { Blank, MOST_TOLD, SheetPage, Signatures, StopBand, styles, type Paper, type SheetWork } from './parts';
import { yardOf } from '@/core/document/yard';
import { settle, type SettledPlan } from '@/core/settle/settle';

/** Checks told in full, so that a card with nothing wrong stays one page. */
const TOLD: Record<Paper, number> = { A4: 11, LETTER: 7 };

interface Figures {
  hook: HookOf;
  load: Entry[];
  crane: Entry[];
  rigging: Entry[];
}

/** The figures of one hook of a pick, in the order a lift leader reads them. */
function figures(plan: SettledPlan, picked: PickContext, checks: readonly Check[]): Figures {
  const show = (value: number | null, kind: QuantityKind) => (value === null ? UNKNOWN : formatQuantity(value, kind, plan.job.units));
  const { pick, hook, crane, stand, weight, hanging, path, gross } = picked;
  const factor = rulesOf(plan.job.ruleSet, plan.job.thresholds).value('dynamicFactor');
  const mine = onHook(picked, '').about.part ?? '';
  const own = checks.filter(({ about }) => about.kind === 'pick' && about.id === pick.id && (about.part ?? '') === mine);
  const chart = own.find((check) => check.finding.code === 'lift.chart');
  const wind = own.find((check) => check.finding.code === 'lift.wind');
  const hung = hanging instanceof Missing || 'impossible' in hanging ? null : hanging;
  const parts = gross instanceof Missing ? [] : (gross.trace.input as { parts: { what: string; mass: number }[] }).parts;
  const ground =
    crane.tower || path instanceof Missing || gross instanceof Missing
      ? null
      : (crane.tracks ? worstTrack : worstOutrigger)(crane, stand, pick.boom, path, gross, picked.loaded);
  const level = levelOf(
    plan,
    picked.drawn,
    checks.filter(({ about }) => about.kind === 'pick' && about.id === pick.id),
  );
  const load: Entry[] = [
    { label: 'This lift is', value: levelWords(level), strong: level.signed },
    ...(picked.joined ? splicedLines(show, picked.joined, checks) : []),
    ...parts.map((part) => ({ label: part.what, value: show(part.mass, 'mass') })),
    { label: 'On the hook', value: gross instanceof Missing ? UNKNOWN : show(gross.mass, 'mass'), strong: true },
    { label: 'Balance point from the left end', value: weight instanceof Missing ? UNKNOWN : show(weight.cg.x, 'length') },
  ];
  const counterweight = counterweightOf(crane);
  const corner = crane.tower
    ? show(crane.tower.corner, 'force')
    : ground === null || ground instanceof Missing
      ? UNKNOWN
      : 'tipsAtDeg' in ground
        ? 'TIPS'
        : 'corner' in ground
          ? `${cornerName[ground.corner]} ${show(ground.reaction, 'force')}`
          : `${ground.side}, ${show(ground.pressure, 'pressure')}`;
  const craneLines: Entry[] = [
    { label: 'Crane and stand', value: `${crane.name}, ${stand.name}` },
    { label: crane.tower ? 'Jib' : 'Boom', value: show(pick.boom, 'length') },
    { label: 'Radius as set, least to most', value: path instanceof Missing ? UNKNOWN : `${show(path.least, 'reach')} to ${show(path.most, 'reach')}` },
    { label: 'Radius with the load on, at most', value: path instanceof Missing ? UNKNOWN : show(picked.loaded(path.most), 'reach') },
    { label: 'Chart at the worst radius', value: chart?.capacity == null ? UNKNOWN : show(chart.capacity, 'mass'), strong: true },
    { label: 'Used of the chart', value: chart?.ratio == null ? UNKNOWN : show(chart.ratio, 'fraction'), strong: true },
    { label: 'Chart', value: (chart?.finding.code === 'lift.chart' && chart.finding.chart) || crane.chartSource || UNKNOWN },
    {
      label: crane.tower ? 'Foot of its mast' : crane.tracks ? 'Tracks' : 'Outriggers',
      value: `${show(crane.baseLength, 'length')} × ${show(crane.baseWidth, 'length')}`,
    },
    ...(counterweight === null ? [] : [{ label: 'Counterweight on it', value: show(counterweight, 'mass') }]),
    ...(stand.falls ? [{ label: 'Parts of line', value: String(stand.falls) }] : []),
    { label: 'Chart read', value: plan.job.chartRule === 'step' ? 'next longer radius, lower boom' : 'straight line between cells' },
    { label: crane.tower ? 'One leg of its mast, by its maker' : crane.tracks ? 'Worst track' : 'Worst outrigger', value: corner },
    { label: 'Stop lifting at gusts of', value: wind?.capacity == null ? UNKNOWN : show(wind.capacity, 'speed'), strong: true },
  ];
  const rigging = hung ? rigged(show, picked, hung, factor) : [{ label: 'How it hangs', value: UNKNOWN }];
  const yard = yardOf(plan);
  const gear = (pick.gear ?? []).flatMap((id) => yard.get(id)?.name || []);
  const held: Entry = { label: 'Slings hold it', value: pick.hitch ? heldWords(show, pick.hitch) : UNKNOWN };
  return { hook, load, crane: craneLines, rigging: [...(gear.length === 0 ? [] : [{ label: 'Gear', value: gear.join(', ') }]), held, ...rigging] };
}

/** Which pieces hang as one, in their order from the left, and what the splices between them come to feel. */
function splicedLines(
  show: (value: number | null, kind: QuantityKind) => string,
  { members, splices, lines, ties }: Spliced,
  checks: readonly Check[],
): Entry[] {
  const feels = (id: string) => {
    const row = checks.find((one) => one.id === 'pick.splice' && one.about.id === id && one.about.part === 'moment');
    return row?.capacity == null ? UNKNOWN : `${show(row.demand, 'moment')} of ${show(row.capacity, 'moment')}`;
  };
  return [
    {
      label: lines.length > 1 ? 'Joined on the ground, side by side' : 'Spliced on the ground, from the left',
      value: members.map(({ beam, from, to, weight }) => `${beam.mark}, ${show(to - from, 'length')}, ${show(weight.mass, 'mass')}`).join('; '),
      strong: true,
    },
    ...(lines.length > 1
      ? [
          {
            label: 'In before they are lifted',
            value: ties.map(({ brace, at }) => `${brace.name} at ${show(at, 'length')}`).join('; ') || UNKNOWN,
            strong: true,
          },
        ]
      : []),
    ...splices.map(({ joint }) => ({ label: `${joint.name}, filled and tight, bends`, value: feels(joint.id) })),
  ];
}

function heldWords(show: (value: number | null, kind: QuantityKind) => string, hitch: Hitch): string {
  if (hitch.kind === 'lugs' || hitch.kind === 'clamps') return `${hitchWords[hitch.kind]}, ${show(hitch.carries, 'mass')} each`;
  const round = hitch.of === 'wire' && hitch.round !== null ? ` over ${show(hitch.round, 'dimension')}` : '';
  return `${hitch.of ? `${materialWords[hitch.of]}, ` : ''}${hitchWords[hitch.kind]}${round}${hitch.padded ? ', padded' : ', CORNERS BARE'}`;
}

/** How the piece hangs on this hook: on two legs, on one sling turned upright, or at one of its ends. */
function rigged(show: (value: number | null, kind: QuantityKind) => string, picked: PickContext, hung: Hanging, factor: number): Entry[] {
  const { pick, hook, turned, weight } = picked;
  const legs = hung.way === 'two' && !(weight instanceof Missing) && weight.pair !== undefined;
  const rating = {
    label: hung.way === 'slung' || hung.way === 'bar' || legs ? 'Rating of one leg' : 'Rating of the sling',
    value: show(pick.slingRating, 'mass'),
  };
  const each = (values: readonly number[], kind: QuantityKind, times = 1) => values.map((value) => show(value * times, kind)).join(', ');
  if (hung.way === 'slung' || hung.way === 'bar')
    return [
      ...rigLines(show, pick.rig ?? null, hung, factor),
      { label: 'Picks from the left, right end', value: `${show(pick.left, 'length')}, ${show(pick.right, 'length')}` },
      { label: 'Legs, left and right', value: `${show(pick.legs.left, 'length')}, ${show(pick.legs.right, 'length')}` },
      { label: 'Tension at rest', value: each(hung.tension, 'force') },
      { label: `Tension moving, × ${show(factor, 'factor')}`, value: each(hung.tension, 'force', factor) },
      { label: 'Leg angles from the horizontal', value: each(hung.angleDeg, 'angle') },
      rating,
      { label: 'Tilt while hanging', value: `${show(Math.abs(hung.tiltDeg), 'angle')} low at the ${hung.tiltDeg > 0 ? 'left' : 'right'}` },
    ];
  const end = hung.way === 'two' && hook === 'second' ? 1 : 0;
  const tension = hung.tension[end]!;
  return [
    ...(turned
      ? [
          { label: 'Slung from the upper end', value: show(pick.turned?.top ?? null, 'length') },
          { label: 'Tail held from the lower end', value: show(turned.tail, 'length') },
        ]
      : [{ label: `Slung from the ${hook === 'main' ? 'left' : 'right'} end`, value: show(hook === 'main' ? pick.left : pick.right, 'length') }]),
    legs
      ? { label: 'A leg to each line', value: `${show(end === 0 ? pick.legs.left : pick.legs.right, 'length')} at ${show(hung.angleDeg[end]!, 'angle')}` }
      : { label: 'Sling', value: show(hung.hookAbovePick, 'length') },
    { label: `Tension moving, × ${show(factor, 'factor')}`, value: show(tension * factor, 'force') },
    rating,
  ];
}

/** What is between hook and slings, or that there are more than two legs. */
function rigLines(show: (value: number | null, kind: QuantityKind) => string, rig: Rig | null, { bar }: Hanging, factor: number): Entry[] {
  if (!rig) return [];
  if (rig.kind === 'legs')
    return [
      {
        label: 'Legs across, left and right pick',
        value: [rig.leftApart, rig.rightApart].map((apart) => (apart ? `two, ${show(apart, 'length')} apart` : 'one')).join('; '),
      },
    ];
  if (!bar) return [];
  return [
    {
      label: rig.kind === 'spreader' ? 'Spreader' : 'Lifting beam',
      value: `${rig.name ? `${rig.name}, ` : ''}${show(bar.length, 'length')}, plate ${show(rig.rating, 'mass')}`,
      strong: true,
    },
    ...(bar.top
      ? [
          { label: 'Slings above it', value: `${show(rig.kind === 'spreader' ? rig.top : null, 'length')} at ${show(bar.top.angleDeg, 'angle')}` },
          { label: `Tension above it, × ${show(factor, 'factor')}`, value: show(bar.top.tension * factor, 'force') },
        ]
      : []),
  ];
}

/** One page for each pick. */
export function pickCardPages(work: SheetWork): ReactElement[] {
  const { plan } = work.head;
  const { day } = work;
  const today = day ? plan.moves.slice(day.from, day.to) : [];
  const isOf = (does: (move: Move) => boolean) => !day || today.some(does);
  return [
    ...plan.picks.filter((pick) => isOf(({ id }) => id === liftMove(plan, pick))).map((pick) => <PickCard key={pick.id} {...work} pick={pick} />),
    ...(plan.raises ?? []).filter(({ load }) => isOf((move) => sets(move, load))).map((raise) => <RaiseCard key={raise.id} {...work} raise={raise} />),
    ...(plan.launches ?? [])
      .filter(({ id }) => isOf((move) => 'launch' in move && move.launch === id))
      .map((launch) => <LaunchCard key={launch.id} {...work} launch={launch} />),
  ];
}

/** Whether a move raises what is lifted by hands, hoist, lifts or jacks. */
const sets = (move: Move, load: string): boolean => (move.kind === 'member.set' && move.opening === load) || (move.kind === 'piece.hang' && move.beam === load);

/** Where the operator does not see the load, and who signals there: on every card, also where that is settled. */
const blindLines = (plan: Plan, checks: readonly Check[]): string[] =>
  (plan.site.signallers ?? []).length === 0 ? [] : checks.flatMap((check) => (check.id === 'lift.sight' ? [describe(check, plan.job.units)] : []));

/** Where another crane reaches into the circle of one of this lift: who gives the word to both. */
const wordLines = (plan: Plan, checks: readonly Check[], stands: ReadonlySet<string>): string[] =>
  checks.flatMap((check) =>
    check.id === 'crane.together' && check.ratio === null && [check.about.id, check.about.part ?? ''].some((id) => stands.has(id))
      ? [describe(check, plan.job.units)]
      : [],
  );

function PickCard({ head, pick, paper, evaluation }: SheetWork & { pick: Pick }) {
  const plan = settle(head.plan);
  const { checks, replay } = evaluation;
  const lift = liftMove(plan, pick);
  const cursor = replay.steps.findIndex((step) => step.move.id === lift);
  const at = replay.steps[cursor]?.after ?? replay.before;
  const structure = structurePose(plan, replay, cursor);
  const mark = markLifted(plan, pick);
  const hooks = hooksOf(plan, pick).map((picked) => figures(plan, picked, checks));
  const stopped = whatStops(checks).length;
  // The band of what stops the job takes its lines from the clear ones.
  const room = TOLD[paper] - (hooks.length - 1) * 7 - (stopped === 0 ? 0 : Math.min(stopped, MOST_TOLD) + 2);
  // Other lifts and shores are no matter of this one: what of them stops the job stands in the band above.
  const mineBy: Partial<Record<Check['about']['kind'], string>> = { pick: pick.id, piece: pick.piece, beam: pick.piece };
  const seats = new Set(plan.structure.supports.flatMap((one) => (one.seats.some(({ piece }) => piece === pick.piece) ? [one.id] : [])));
  const stands = new Set(standsOfPick(pick));
  const cranes = new Set(plan.stands.flatMap((one) => (stands.has(one.id) ? [one.crane] : [])));
  const aboutPick = ({ about, station }: Check) =>
    mineBy[about.kind] === about.id ||
    (about.kind === 'crane' && cranes.has(about.id)) ||
    (about.kind === 'stand' && stands.has(about.id) && about.part === undefined) ||
    about.part === pick.id ||
    about.part === pick.piece ||
    (about.kind === 'support' ? seats.has(about.id) : station === 'measure' && about.kind !== 'piece' && about.kind !== 'beam');
  const mine = worstFirst(checks.filter(aboutPick));
  // Everything that is not clear is told, however long; of the clear ones the nearest to their limits.
  const told = mine.filter((check, i) => check.verdict !== 'clear' || i < room);
  const rest = mine.slice(told.length);
  return (
    <SheetPage paper={paper} title={`Pick card · ${mark}`} head={head}>
      <NotOnThisCard checks={mine} />
      <StopBand plan={plan} checks={checks} />
      <View style={[styles.row, { marginTop: 6, gap: 6 }]}>
        <View style={[styles.box, { width: '50%' }]}>
          <DrawingOnPaper drawing={planScene(plan, at, allStanding(plan, {}), 'runSheet', [], structure)} width={262} height={200} />
        </View>
        <View style={[styles.box, { width: '50%' }]}>
          <DrawingOnPaper drawing={elevationScene(plan, at, 'beam', allStanding(plan, {}), 'runSheet', structure)} width={262} height={200} />
        </View>
      </View>
      {hooks.map(({ hook, load, crane, rigging }) => (
        <View key={hook} style={[styles.row, { gap: 12 }]}>
          <View style={{ width: '33%' }}>
            <Block title={hook === 'main' ? 'Load' : 'Load of the second hook'} entries={load} />
          </View>
          <View style={{ width: '35%' }}>
            <Block title={hook === 'main' ? 'Crane' : 'Second crane'} entries={crane} />
          </View>
          <View style={{ width: '32%' }}>
            <Block title="Rigging" entries={rigging} />
          </View>
        </View>
      ))}
      <Text style={styles.heading}>Checks, worst first</Text>
      <ToldChecks plan={plan} told={told} rest={rest} />
      <View wrap={false}>
        <Text style={styles.heading}>Before the hook goes up</Text>
        <Text>
          One caller; lost radio means stop. Nobody under the load. Tag lines held. Read the hook weight on the short raise and write it down; stop if it is
          over the figure above.
        </Text>
        {[...blindLines(plan, mine), ...wordLines(plan, checks, stands)].map((words) => (
          <Text key={words} style={{ fontWeight: 600 }}>
            {words}
          </Text>
        ))}
        <View style={[styles.row, { flexWrap: 'wrap' }]}>
          <Blank width="25%" label="Radio channel" value={plan.people.radioChannel} />
          <Blank width="25%" label="Tag lines held by" value={pick.tags && pick.tags.lines > 0 ? pick.tags.by : ''} />
          <Blank width="25%" label="Exclusion set by" />
          <Blank width="25%" label="Hook weight read" />
        </View>
      </View>
      <Signatures plan={plan} picks={[pick]} />
    </SheetPage>
  );
}
