import { Text, View } from '@react-pdf/renderer';
import { elevationScene } from '@/core/view/elevation-scene';
import { planScene } from '@/core/view/plan-scene';
import { allStanding } from '@/core/view/shore-moment';
import { structurePose } from '@/core/view/structure-shapes';
import { alongLaunch, type LaunchTravel } from '@/core/checks/launch/along';
import { Missing } from '@/core/verdict/missing';
import type { Launch } from '@/core/document/schema';
import { settle } from '@/core/settle/settle';
import { worstFirst } from '@/core/verdict/worst-first';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity, type QuantityKind } from '@/core/units';
import { Block, NotOnThisCard, ToldChecks, UNKNOWN } from './card-parts';
import { DrawingOnPaper } from './drawing';
import { Blank, SheetPage, Signatures, StopBand, styles, type SheetWork } from './parts';

/** Clear checks told on the card. */
const TOLD = 8;
/** Rows of the table of a line, at the most: one for each metre where that is fewer, else for every second, third or later metre. */
const ROWS = 42;
/** Rollers that have a column of their own. */
const COLUMNS = 8;

const cell = { paddingHorizontal: 3, paddingVertical: 1.6, fontSize: 7.4 };

/** What is read at each place of the travel, beside what it is to be, on as many pages as it takes. */
export function LaunchCard({ head, launch, paper, evaluation }: SheetWork & { launch: Launch }) {
  const plan = settle(head.plan);
  const { checks, replay } = evaluation;
  const show = (value: number | null, kind: QuantityKind): string => (value === null ? UNKNOWN : formatQuantity(value, kind, plan.job.units));
  const cursor = replay.steps.findIndex(({ move }) => move.kind === 'launch.push' && move.launch === launch.id);
  const at = replay.steps[cursor]?.after ?? replay.before;
  const structure = structurePose(plan, replay, cursor);
  const rollers = new Set(launch.rollers.map(({ id }) => id));
  const pieces = new Set(launch.pieces.map(({ piece }) => piece));
  const splices = new Set(plan.structure.joints.flatMap(({ id, a, b }) => (pieces.has(a.piece) && pieces.has(b.piece) ? [id] : [])));
  const mine = worstFirst(
    checks.filter(
      ({ id, about }) =>
        (about.kind === 'launch' && about.id === launch.id) ||
        (about.kind === 'roller' && rollers.has(about.id)) ||
        (id.startsWith('launch.') && about.kind === 'beam' && pieces.has(about.id)) ||
        (id === 'launch.splice' && splices.has(about.id)) ||
        id === 'hold.HP20',
    ),
  );
  const told = mine.filter((check, i) => check.verdict !== 'clear' || i < TOLD);
  const demand = (id: string): number | null =>
    checks.find((check) => check.id === id && check.about.id === launch.id && check.quantity === 'force')?.demand ?? null;
  const every = Math.max(1, Math.ceil((launch.travel ?? 0) / ROWS));
  const along = alongLaunch(plan, launch, rulesOf(plan.job.ruleSet, plan.job.thresholds), every);
  return (
    <SheetPage paper={paper} title={`Launch card · ${launch.name}`} head={head}>
      <NotOnThisCard checks={mine} doing="push" />
      <StopBand plan={plan} checks={checks} />
      <View style={[styles.row, { marginTop: 6, gap: 6 }]}>
        <View style={[styles.box, { width: '50%' }]}>
          <DrawingOnPaper drawing={planScene(plan, at, allStanding(plan, {}), 'runSheet', [], structure)} width={262} height={130} />
        </View>
        <View style={[styles.box, { width: '50%' }]}>
          <DrawingOnPaper drawing={elevationScene(plan, at, 'beam', allStanding(plan, {}), 'runSheet', structure)} width={262} height={130} />
        </View>
      </View>
      <View style={[styles.row, { gap: 12 }]}>
        <View style={{ width: '33%' }}>
          <Block
            title="Push"
            entries={[
              { label: 'In all', value: show(launch.travel, 'length'), strong: true },
              { label: 'To break away', value: show(demand('launch.pull'), 'force'), strong: true },
              { label: 'Held back', value: show(demand('launch.brake'), 'force'), strong: true },
              { label: 'Slope, uphill', value: show(launch.slopeDeg, 'angle') },
            ]}
          />
        </View>
        <View style={{ width: '33%' }}>
          <Block
            title="Nose and weight behind"
            entries={[
              { label: 'Nose', value: show(launch.nose?.length ?? null, 'length') },
              { label: 'Weight behind, each line', value: show(launch.tail?.mass ?? null, 'mass') },
              { label: 'Tip taken up by', value: show(launch.nose?.rise ?? null, 'dimension') },
            ]}
          />
        </View>
        <View style={{ width: '33%' }}>
          <Block
            title="Lowered"
            entries={[
              { label: 'In all', value: show(launch.over, 'length') },
              { label: 'In one go', value: show(launch.step, 'dimension'), strong: true },
              { label: 'Packing under it within', value: show(launch.packing, 'dimension'), strong: true },
              { label: 'Answers for it', value: launch.by.trim() || UNKNOWN },
            ]}
          />
        </View>
      </View>
      <Text style={styles.heading}>Checks, worst first</Text>
      <ToldChecks plan={plan} told={told} rest={mine.slice(told.length)} />
      {along instanceof Missing ? (
        <Text style={{ marginTop: 4, fontWeight: 700 }}>{along.questions.join(' ')}</Text>
      ) : (
        alikeTogether(along).map(({ line, mark, rollers: names, places: rows }) => (
          <View key={line}>
            <Text style={styles.heading}>{mark}: to be, and read</Text>
            <View style={[styles.row, { borderBottomWidth: 0.8 }]} wrap={false}>
              <Text style={[cell, styles.bold, { width: 44 }]}>Travel</Text>
              <Text style={[cell, styles.bold, { width: 40 }]}>Factor</Text>
              <Text style={[cell, styles.bold, { width: 48 }]}>Tip down</Text>
              {names.slice(0, COLUMNS).map((name) => (
                <Text key={name} style={[cell, styles.bold, { flex: 1 }]}>
                  {name}
                </Text>
              ))}
              <Text style={[cell, styles.bold, { width: 92 }]}>Read: drift, tip, loads</Text>
            </View>
            {rows.map(({ travel, factor, down, loads }) => (
              <View key={travel} style={[styles.row, { borderBottomWidth: 0.4, borderColor: '#999' }]} wrap={false}>
                <Text style={[cell, styles.bold, { width: 44 }]}>{show(travel, 'length')}</Text>
                <Text style={[cell, { width: 40 }]}>{factor === null ? '–' : factor > 99 ? 'over 99' : factor.toFixed(2)}</Text>
                <Text style={[cell, { width: 48 }]}>{down === null ? 'FALLS' : show(down, 'dimension')}</Text>
                {names.slice(0, COLUMNS).map((name, n) => (
                  <Text key={name} style={[cell, { flex: 1 }]}>
                    {loads === null ? '' : loads[n]! < 1 ? '–' : show(loads[n]!, 'force')}
                  </Text>
                ))}
                <Text style={[cell, { width: 92, borderLeftWidth: 0.4, borderColor: '#999' }]} />
              </View>
            ))}
          </View>
        ))
      )}
      <View wrap={false}>
        <Text style={styles.heading}>Before it moves</Text>
        <Text>
          One caller; lost radio means stop. Nobody under it or beside the ropes. The brake is on whenever it stands still. Halt at every roller: read drift,
          tip and loads, and stop when one of them is not what stands here. Nose and rollers stay until the side stops are on.
        </Text>
        <View style={[styles.row, { flexWrap: 'wrap' }]}>
          <Blank width="25%" label="Caller" value={plan.people.caller} />
          <Blank width="25%" label="Radio channel" value={plan.people.radioChannel} />
          <Blank width="25%" label="Line closed from, until" />
          <Blank width="25%" label="Wind now" />
        </View>
      </View>
      <Signatures plan={plan} />
    </SheetPage>
  );
}

/** Lines of which every figure is the same have one table. */
function alikeTogether(lines: readonly LaunchTravel[]): LaunchTravel[] {
  const told = ({ rollers, places }: LaunchTravel): string =>
    JSON.stringify([
      rollers,
      places.map(({ travel, factor, down, loads }) => [travel, factor?.toFixed(2), down?.toFixed(4), loads?.map((one) => Math.round(one))]),
    ]);
  const found = new Map<string, LaunchTravel>();
  for (const line of lines) {
    const same = found.get(told(line));
    found.set(told(line), same ? { ...same, mark: `${same.mark}; ${line.mark}` } : line);
  }
  return [...found.values()];
}
