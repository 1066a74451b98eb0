'use client';
import { Plus } from 'lucide-react';
import { useMemo, useState, type ReactNode } from 'react';
import type { SplitPlan } from '@/core/access/split';
import { settle } from '@/core/settle/settle';
import { Missing } from '@/core/verdict/missing';
import type { Leg } from '@/core/document/schema';
import { carriedOf, splitOf } from '@/core/settle/way-pieces';
import { rulesOf } from '@/core/rules/rule-sets';
import { boltGrades } from '@/core/strength/bolt-en.calc';
import { formatQuantity, type UnitSystem } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { DerivedList } from '@/ui/workings/derived-list';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { LegFields, legKinds, newLeg } from './leg-fields';
import { Group, Panel } from '../shared/panel';
import { newWay } from '@/core/document/things/way-in';
import { viewOfWay, type WayPlan } from '@/core/document/views';
import { SmallButton } from '@/ui/small-button';
import { useWay } from '../shared/parts-of';
import { ThingTools } from '../shared/thing-tools';
import { useField } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

/** How each piece gets from the truck to its place, and in how many parts. */
export function WayInStation() {
  const plan = useWay();
  const all = usePlan();
  const act = useAct();
  const chooseWay = useJob((state) => state.chooseWay);
  const add = () => {
    const id = freshId('wy');
    act('addTo', { list: 'ways', thing: newWay(id, `Way in${all.ways.length === 0 ? '' : ` ${all.ways.length + 1}`}`) });
    chooseWay(id);
  };
  const more = (
    <SmallButton onClick={add}>
      <Plus size={13} aria-hidden /> Way in
    </SmallButton>
  );
  if (plan === null)
    return (
      <Panel title="Way in" about="How a piece gets from the truck to its place" station="wayIn">
        <p className="text-soft">
          Nothing goes in by hand or by lift here. Add a way for each piece that is brought through a door, up a stair or over a floor.
        </p>
        {more}
      </Panel>
    );
  return <OneWay plan={plan} more={more} />;
}

function OneWay({ plan, more }: { plan: WayPlan; more: ReactNode }) {
  const act = useAct();
  const chooseWay = useJob((state) => state.chooseWay);
  const { open, figure, words } = useInputs();
  const field = useField();
  const { system } = field;
  const { wayIn } = plan;
  const { gear, splice } = wayIn;
  const rules = useMemo(() => rulesOf(plan.job.ruleSet, plan.job.thresholds), [plan.job]);
  const settled = useMemo(() => viewOfWay(settle(plan), plan.wayIn), [plan]);
  const carried = useMemo(() => carriedOf(settled, rules), [settled, rules]);
  const split = useMemo(() => splitOf(settled, rules), [settled, rules]);
  const derived = useJob((state) => state.survey.evaluation.derived);
  const mark = plan.members.find((one) => one.id === wayIn.member)?.mark ?? '';
  const bolts = derived.filter((one) => one.id === 'splice' && (plan.ways.length === 1 || one.subject.endsWith(` of ${mark}`)));
  const [kind, setKind] = useState<Leg['kind']>('corner');
  const edit = (changes: Partial<typeof wayIn>, name: string) => act('editIn', { list: 'ways', id: wayIn.id, changes }, `way ${wayIn.id} ${name}`);
  const show = (metres: number) => formatQuantity(metres, 'length', system);
  const about =
    carried instanceof Missing
      ? carried.questions[0]
      : carried.pieces.length === 1
        ? `${carried.member.mark} in one piece, ${show(carried.longest.length)}, ${formatQuantity(carried.heaviest.mass, 'mass', system)}`
        : `${carried.member.mark} in ${carried.pieces.length} pieces, longest ${show(carried.longest.length)}, heaviest ${formatQuantity(carried.heaviest.mass, 'mass', system)}`;
  return (
    <Panel title="Way in" about={about} station="wayIn">
      <Group
        title="What goes in"
        tools={
          <span className="flex items-center gap-2">
            {more}
            <ThingTools station="wayIn" thing={wayIn} list="ways" />
          </span>
        }
      >
        {plan.ways.length > 1 && (
          <ChoiceField
            label="Which way"
            value={wayIn.id}
            choices={plan.ways.map((one, i) => ({ value: one.id, label: one.name || `Way in ${i + 1}` }))}
            onValue={chooseWay}
          />
        )}
        {words('Name of the way', wayIn.name, (name) => edit({ name }, 'name'))}
        <ChoiceField
          label="Piece"
          value={wayIn.member ?? 'none'}
          choices={[{ value: 'none', label: 'not chosen' }, ...plan.members.map((member) => ({ value: member.id, label: member.mark || member.id }))]}
          onValue={(member) => edit({ member: member === 'none' ? null : member, cuts: [] }, 'member')}
        />
        {open('Truck or permit takes', 'length', wayIn.transport, (transport) => edit({ transport }, 'transport'))}
        {words('Lifted into place by', gear.what, (what) => edit({ gear: { ...gear, what } }, 'gear'), { placeholder: 'two mast lifts' })}
        {open('It lifts in one go', 'mass', gear.mass, (mass) => edit({ gear: { ...gear, mass } }, 'gear mass'))}
      </Group>
      {!(split instanceof Missing) && (
        <section aria-label="Fewest pieces">
          <h3 className="mb-1 text-[15px] text-gear">Fewest pieces that pass everything known</h3>
          {split.answer.best ? (
            <SplitChoice plan={split.answer.best} system={system} cuts={wayIn.cuts} best onTake={(cuts) => edit({ cuts }, 'cuts')} />
          ) : (
            <p className="border border-stop px-2 py-1.5 text-stop">
              No number of pieces passes all of it. {blockedWords(split.answer.fewer?.blockers ?? [], system)}
            </p>
          )}
          {split.answer.best && split.answer.fewer && (
            <p className="py-1 text-[13px]">
              {split.answer.fewer.pieces === 1 ? 'One piece' : `${split.answer.fewer.pieces} pieces`} will not do:{' '}
              {blockedWords(split.answer.fewer.blockers, system)}
            </p>
          )}
          {split.answer.runnersUp.map((one, i) => (
            <SplitChoice key={i} plan={one} system={system} cuts={wayIn.cuts} onTake={(cuts) => edit({ cuts }, 'cuts')} />
          ))}
          {wayIn.cuts.length > 0 && <SmallButton onClick={() => edit({ cuts: [] }, 'cuts')}>Keep it in one piece</SmallButton>}
        </section>
      )}
      {wayIn.cuts.length > 0 && (
        <section>
          <h3 className="mb-1 text-[15px] text-gear">Splices, from the left end</h3>
          <div className="grid grid-cols-2 gap-x-4 gap-y-2">
            {wayIn.cuts.map((cut, i) =>
              figure(`Splice ${i + 1} at`, 'length', cut, (at) => edit({ cuts: wayIn.cuts.map((one, n) => (n === i ? (at ?? one) : one)) }, `cut ${i}`)),
            )}
            <ChoiceField
              label="Splice with"
              value={splice.kind}
              choices={[
                { value: 'cover', label: 'cover plates' },
                { value: 'endPlate', label: 'end plates' },
              ]}
              onValue={(kind) => edit({ splice: { ...splice, kind } }, 'splice kind')}
            />
            <ChoiceField
              label="Bolt grade"
              value={splice.grade}
              choices={boltGrades.map((grade) => ({ value: grade, label: grade }))}
              onValue={(grade) => edit({ splice: { ...splice, grade } }, 'grade')}
            />
            {figure('Bolt', 'dimension', splice.diameter, (diameter) => edit({ splice: { ...splice, diameter } }, 'bolt'))}
            {figure('One splice weighs', 'mass', splice.mass, (mass) => edit({ splice: { ...splice, mass } }, 'splice mass'))}
            {figure('Shortest piece worth making', 'length', splice.shortest, (shortest) => edit({ splice: { ...splice, shortest } }, 'shortest'))}
            {open('Bolts in each, by the engineer', 'count', splice.bolts, (bolts) =>
              edit({ splice: { ...splice, bolts: bolts === null ? null : Math.max(1, Math.round(bolts)) } }, 'bolts'),
            )}
            {words('Given by', splice.engineer, (engineer) => edit({ splice: { ...splice, engineer } }, 'engineer'))}
            {open('Keep under, of the peak', 'fraction', splice.peakShare, (peakShare) => edit({ splice: { ...splice, peakShare } }, 'peak'), {
              placeholder: 'by the rule set',
            })}
          </div>
          <div className="mt-1">
            <DerivedList figures={bolts} system={system} />
          </div>
        </section>
      )}
      <section aria-label="The way, leg by leg">
        <div className="mb-1 flex items-end justify-between gap-2">
          <h3 className="text-[15px] text-gear">The way, leg by leg</h3>
          <span className="flex items-end gap-1.5">
            <span className="w-[116px]">
              <ChoiceField label="Next leg" value={kind} choices={legKinds} onValue={setKind} />
            </span>
            <SmallButton onClick={() => act('addTo', { list: 'legs', of: wayIn.id, thing: newLeg(kind, freshId('lg'), plan) })}>
              <Plus size={13} aria-hidden /> Leg
            </SmallButton>
          </span>
        </div>
        {wayIn.legs.length === 0 && (
          <p className="text-soft">Add the legs in order, from the truck to under the pick, and drag each to its place on the plan.</p>
        )}
        {wayIn.legs.map((leg, i) => (
          <LegFields key={leg.id} leg={leg} number={i + 1} />
        ))}
      </section>
    </Panel>
  );
}

function blockedWords(blockers: readonly { limit: string; longest?: number; heaviest?: number; allowed?: number }[], system: UnitSystem): string {
  return blockers
    .map((one) => {
      switch (one.limit) {
        case 'way':
          return `even split evenly, ${formatQuantity(one.longest ?? 0, 'length', system)} is longer than the ${formatQuantity(one.allowed ?? 0, 'length', system)} that passes the way in.`;
        case 'transport':
          return `${formatQuantity(one.longest ?? 0, 'length', system)} is longer than the truck takes.`;
        case 'mass':
          return `${formatQuantity(one.heaviest ?? 0, 'mass', system)} is more than the ${formatQuantity(one.allowed ?? 0, 'mass', system)} that can be lifted.`;
        default:
          return 'a splice would stand too near the peak of the moment.';
      }
    })
    .join(' Also ');
}

function SplitChoice({
  plan,
  system,
  cuts,
  best,
  onTake,
}: {
  plan: SplitPlan;
  system: UnitSystem;
  cuts: readonly number[];
  best?: boolean;
  onTake: (cuts: number[]) => void;
}) {
  const taken = cuts.length === plan.cuts.length && plan.cuts.every((cut, i) => Math.abs(cut - (cuts[i] ?? 0)) < 1e-6);
  const total = plan.pieces.reduce((sum, one) => sum + one.length, 0);
  return (
    <div className={`mb-1.5 border px-2 py-1.5 ${best ? 'border-ink bg-white' : 'border-line'}`} data-split={plan.pieces.length}>
      <div className="flex items-center justify-between gap-2">
        <span className="sign text-[15px]">
          {plan.pieces.length === 1 ? 'One piece' : `${plan.pieces.length} pieces`}
          {!best && <span className="font-text text-[12.5px] font-normal text-soft"> · runner-up</span>}
        </span>
        {taken ? (
          <span className="text-[12.5px] text-soft">cut like this now</span>
        ) : (
          <SmallButton onClick={() => onTake(plan.cuts)}>Cut like this</SmallButton>
        )}
      </div>
      <div className="my-1 flex h-[18px] gap-[2px]" aria-hidden>
        {plan.pieces.map((one, i) => (
          <span key={i} className="bg-steel" style={{ width: `${(one.length / total) * 100}%` }} />
        ))}
      </div>
      <p className="text-[12.5px] leading-[1.35]">
        {plan.pieces.map((one) => `${formatQuantity(one.length, 'length', system)} (${formatQuantity(one.mass, 'mass', system)})`).join(' + ')}
        {plan.cuts.length > 0 && `; worst splice at ${formatQuantity(plan.worstShare, 'fraction', system)} of the peak moment`}
      </p>
    </div>
  );
}
