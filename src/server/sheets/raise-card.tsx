import { Text, View } from '@react-pdf/renderer';
import { elevationScene } from '@/core/view/elevation-scene';
import { planScene } from '@/core/view/plan-scene';
import { allStanding } from '@/core/view/shore-moment';
import { structurePose } from '@/core/view/structure-shapes';
import type { Check } from '@/core/verdict/check';
import { moveFor } from '@/core/checks/context';
import type { Plan, Raise, RaisePoint } from '@/core/document/schema';
import { settle } from '@/core/settle/settle';
import { worstFirst } from '@/core/verdict/worst-first';
import { formatQuantity, type QuantityKind } from '@/core/units';
import { Block, NotOnThisCard, ToldChecks, UNKNOWN, type Entry } from './card-parts';
import { DrawingOnPaper } from './drawing';
import { Blank, SheetPage, Signatures, StopBand, styles, type SheetWork } from './parts';

type Show = (value: number | null, kind: QuantityKind) => string;

/** What a place has to be, in the order a crew reads it. */
function entriesOf(show: Show, point: RaisePoint, carries: Check | undefined): Entry[] {
  const share: Entry[] =
    carries?.demand == null || carries.quantity !== 'mass' ? [] : [{ label: 'Comes to carry', value: show(carries.demand, 'mass'), strong: true }];
  const at: Entry = { label: 'From the left end', value: show(point.at, 'length') };
  switch (point.kind) {
    case 'mastLift':
      return [
        at,
        ...share,
        { label: 'May lift so far from its mast', value: carries?.capacity == null ? UNKNOWN : show(carries.capacity, 'mass'), strong: true },
        { label: 'Mast to middle of the load', value: show(point.centre, 'dimension') },
        { label: 'Forks go up to', value: show(point.reach, 'length') },
      ];
    case 'hoist':
      return [
        at,
        ...share,
        { label: 'Rated', value: show(point.rating, 'mass'), strong: true },
        { label: 'Hangs at', value: show(point.hangsAt, 'length') },
        { label: 'Closed, hanger to hook', value: show(point.closed, 'length') },
        { label: 'Out of plumb', value: show(point.sideDeg, 'angle') },
        ...(point.arm ? [{ label: 'Post to hoist, out', value: show(point.arm.reach, 'length') }] : []),
      ];
    case 'jack':
      return [
        at,
        ...share,
        { label: 'Rated', value: show(point.rating, 'mass'), strong: true },
        { label: 'Raised in one go', value: show(point.step, 'dimension'), strong: true },
        { label: 'Packing follows within', value: show(point.packing, 'dimension') },
        { label: 'Locks by itself', value: point.locks === null ? UNKNOWN : point.locks ? 'yes' : 'NO' },
      ];
    case 'hands':
      return [
        at,
        { label: 'People', value: point.people === null ? UNKNOWN : String(point.people), strong: true },
        { label: 'Rest to rest', value: show(point.rung, 'length') },
        { label: 'Keeper at each rest', value: point.keepers === null ? UNKNOWN : point.keepers ? 'yes' : 'NO' },
      ];
  }
}

const nameOf = (plan: Plan, load: string): string => {
  const opening = plan.survey.openings.find(({ id }) => id === load);
  if (opening) return plan.members.find(({ id }) => id === opening.member)?.mark || opening.name;
  return plan.structure.pieces.find(({ id }) => id === load)?.mark ?? load;
};

/** Clear checks told on the card. */
const TOLD = 14;

/** One lift by mast lifts, hoists, jacks or hands, on one page. */
export function RaiseCard({ head, raise, paper, evaluation }: SheetWork & { raise: Raise }) {
  const plan = settle(head.plan);
  const { checks, replay } = evaluation;
  const show: Show = (value, kind) => (value === null ? UNKNOWN : formatQuantity(value, kind, plan.job.units));
  const move = moveFor(plan, 'member.set', raise.load) ?? moveFor(plan, 'piece.hang', raise.load);
  const cursor = replay.steps.findIndex((step) => step.move.id === move);
  const at = replay.steps[cursor]?.after ?? replay.before;
  const structure = structurePose(plan, replay, cursor);
  const own = checks.filter(({ about }) => about.kind === 'raise' && about.id === raise.id);
  const mine = worstFirst(checks.filter((check) => check.verdict !== 'clear' || own.includes(check)));
  const told = mine.filter((check, i) => check.verdict !== 'clear' || i < TOLD);
  return (
    <SheetPage paper={paper} title={`Lift card · ${nameOf(plan, raise.load)}`} head={head}>
      <NotOnThisCard checks={mine} />
      <StopBand plan={plan} checks={checks} />
      <View style={[styles.row, { marginTop: 6, gap: 6 }]}>
        <View style={[styles.box, { width: '50%' }]}>
          <DrawingOnPaper drawing={planScene(plan, at, allStanding(plan, {}), 'runSheet', [], structure)} width={262} height={180} />
        </View>
        <View style={[styles.box, { width: '50%' }]}>
          <DrawingOnPaper drawing={elevationScene(plan, at, 'beam', allStanding(plan, {}), 'runSheet', structure)} width={262} height={180} />
        </View>
      </View>
      <View style={[styles.row, { gap: 12, flexWrap: 'wrap' }]}>
        <View style={{ width: '31%' }}>
          <Block
            title="Whole"
            entries={[
              { label: 'Lies at, underside', value: show(raise.lies, 'length') },
              { label: 'Floor of the gear', value: show(raise.floor, 'length') },
              { label: 'One above the next, most', value: show(raise.uneven, 'dimension'), strong: true },
              { label: 'Answers for it', value: raise.by.trim() || UNKNOWN },
            ]}
          />
        </View>
        {raise.points.map((point) => (
          <View key={point.id} style={{ width: '31%' }}>
            <Block
              title={point.name}
              entries={entriesOf(
                show,
                point,
                own.find(({ id, about }) => id === 'raise.share' && about.part === point.id),
              )}
            />
          </View>
        ))}
      </View>
      <Text style={styles.heading}>Checks, worst first</Text>
      <ToldChecks plan={plan} told={told} rest={mine.slice(told.length)} />
      <View wrap={false}>
        <Text style={styles.heading}>Before it goes up</Text>
        <Text>
          One caller; nobody under the load. Raise a hand’s height, stop, look at every place. Stop when one place runs ahead by more than the figure above, or
          when anything creaks, tilts or slips.
        </Text>
        <View style={[styles.row, { flexWrap: 'wrap' }]}>
          <Blank width="33%" label="Caller" value={plan.people.caller} />
          <Blank width="33%" label="Exclusion set by" />
          <Blank width="33%" label="Level read by" />
        </View>
      </View>
      <Signatures plan={plan} />
    </SheetPage>
  );
}
