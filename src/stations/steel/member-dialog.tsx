'use client';
import { useMemo } from 'react';
import { memberSize, memberWeight } from '@/core/settle/member-weight';
import { Missing } from '@/core/verdict/missing';
import { nowSaid, saidOf, type Unsaid } from '@/core/document/things/unsaid';
import type { Member } from '@/core/document/schema';
import { rulesOf } from '@/core/rules/rule-sets';
import { weightUses, type WeightUse } from '@/core/steel/weight-truth.calc';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { ChoiceField } from '@/ui/fields/choice-field';
import { Traces } from '@/ui/workings/check-line';
import { usePlan } from '@/job/job-context';
import { freshId } from '@/job/editing/fresh-id';
import { MemberPartsFields } from './member-parts-fields';
import { Group } from '../shared/panel';
import { TravelFields } from './travel-fields';
import { useEdit, useField } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

const useWords: Record<WeightUse, string> = {
  worst: 'the heaviest of them',
  calculated: 'the calculated one',
  drawing: 'the drawing’s',
  weighed: 'the scale’s',
};

const makeOf = (kind: Member['make']['kind'], member: Member): Member['make'] => {
  const { make } = member;
  if (kind === make.kind) return make;
  switch (kind) {
    case 'section':
      return { kind, section: '' };
    case 'plain':
      return { kind, what: '' };
    case 'parts':
      // What it was stands as the first part, from end to end.
      return {
        kind,
        what: '',
        width: null,
        depth: null,
        parts: [{ id: freshId('mp'), what: '', section: make.kind === 'section' ? make.section : '', mass: null, count: 1, from: 0, to: member.length }],
      };
    case 'girder':
      return {
        kind,
        webDepth: 0.6,
        web: 0.01,
        topFlange: { width: 0.2, thickness: 0.02 },
        bottomFlange: { width: 0.2, thickness: 0.02 },
      };
  }
};

const plates: readonly Unsaid[] = [
  'make.webDepth',
  'make.web',
  'make.topFlange.width',
  'make.topFlange.thickness',
  'make.bottomFlange.width',
  'make.bottomFlange.thickness',
];
/** A girder begins with plates that nobody has measured; of another kind of make nothing of them is left to say. */
const kindUnsaid = (kind: Member['make']['kind'], member: Member): Pick<Member, 'unsaid'> => ({
  unsaid: [...(member.unsaid ?? []).filter((key) => !plates.includes(key)), ...(kind === 'girder' ? plates : [])],
});

/** Everything about one mark that has no room in a row: what it is made of, what is bolted to it, whose weight goes, how it lies. */
export function MemberDialog({ member, onClose }: { member: Member; onClose: () => void }) {
  const { open, figure, words, section } = useInputs();
  const plan = usePlan();
  const field = useField();
  const { system } = field;
  const edit = useEdit('members', member.id);
  const rules = useMemo(() => rulesOf(plan.job.ruleSet, plan.job.thresholds), [plan.job]);
  const weight = useMemo(() => memberWeight(member, rules), [member, rules]);
  const size = useMemo(() => memberSize(member), [member]);
  const { make, packing, stated } = member;
  const kg = (mass: number) => formatQuantity(mass, 'mass', system);
  const known = size && !(size instanceof Missing) ? size : null;
  const calculated = weight instanceof Missing ? null : weight.calculated;
  const statements = [
    { use: 'calculated', name: 'Calculated', mass: calculated },
    { use: 'drawing', name: 'By drawing', mass: stated.drawing },
    { use: 'weighed', name: 'On the scale', mass: stated.weighed },
  ] as const;
  const taken = weight instanceof Missing ? null : weight.by;
  const pack = (changes: Partial<typeof packing>, name: string) => edit({ packing: { ...packing, ...changes } }, `packing ${name}`);
  return (
    <Modal
      wide
      open
      onOpenChange={onClose}
      title={member.mark || 'Member without a mark'}
      about={
        weight instanceof Missing
          ? weight.questions.join(' ')
          : `${kg(weight.lifted)} to lift, each; the bare weight is ${weight.by === 'weighed' ? 'the scale’s' : weight.by === 'drawing' ? 'the drawing’s' : 'calculated'}`
      }
    >
      <div className="space-y-4">
        <Group title="Made of">
          <ChoiceField
            label="Kind"
            value={make.kind}
            choices={[
              { value: 'section', label: 'a listed section' },
              { value: 'girder', label: 'plates, welded' },
              { value: 'parts', label: 'several parts, stepped or put together' },
              { value: 'plain', label: 'a plain weight' },
            ]}
            onValue={(kind) => edit({ make: makeOf(kind, member), ...(kind === make.kind ? {} : kindUnsaid(kind, member)) }, 'kind')}
          />
          {make.kind === 'section' && section('Section', make.section, (section) => edit({ make: { kind: 'section', section } }, 'section'))}
          {make.kind === 'plain' && words('What it is', make.what, (what) => edit({ make: { kind: 'plain', what } }, 'what'))}
          {make.kind === 'parts' && <MemberPartsFields member={member} make={make} />}
          {make.kind === 'girder' && (
            <>
              <span />
              {figure('Web, deep', 'dimension', saidOf(member, 'make.webDepth', make.webDepth), (webDepth) =>
                edit({ make: { ...make, webDepth }, ...nowSaid(member, 'make.webDepth') }, 'web depth'),
              )}
              {figure('Web, thick', 'dimension', saidOf(member, 'make.web', make.web), (web) =>
                edit({ make: { ...make, web }, ...nowSaid(member, 'make.web') }, 'web'),
              )}
              {(['topFlange', 'bottomFlange'] as const).flatMap((side) =>
                (['width', 'thickness'] as const).map((way) =>
                  figure(
                    `${side === 'topFlange' ? 'Top' : 'Bottom'} flange, ${way === 'width' ? 'wide' : 'thick'}`,
                    'dimension',
                    saidOf(member, `make.${side}.${way}`, make[side][way]),
                    (value) =>
                      edit({ make: { ...make, [side]: { ...make[side], [way]: value } }, ...nowSaid(member, `make.${side}.${way}`) }, `${side} ${way}`),
                  ),
                ),
              )}
            </>
          )}
        </Group>
        <Group title="Packed and bolted on">
          {figure('Packing weighs', 'mass', packing.mass, (mass) => pack({ mass }, 'mass'))}
          {figure('Brackets, bolts and plates left on', 'mass', member.attachments, (attachments) => edit({ attachments }, 'attachments'))}
          {figure('Packing, both sides together', 'dimension', packing.sides, (sides) => pack({ sides }, 'sides'))}
          {figure('Packing, above and below', 'dimension', packing.height, (height) => pack({ height }, 'height'))}
          {open('Packing against the web, high', 'dimension', packing.web, (web) => pack({ web }, 'web'), {
            placeholder: packing.sides > 0 ? 'not known' : 'none',
          })}
          {open('Balances at, from the left end', 'length', member.cg, (cg) => edit({ cg }, 'cg'), {
            placeholder: weight instanceof Missing || make.kind !== 'parts' ? 'the middle' : `${formatQuantity(weight.cg, 'length', system)}, by its parts`,
          })}
          <p className="self-end pb-1 text-[13px] text-soft">
            {known?.surfacePerLength
              ? `Surface to coat ${formatQuantity(known.surfacePerLength * member.length, 'floorArea', system)}, fillets left out`
              : 'Surface not known for this shape'}
          </p>
        </Group>
        <section>
          <h3 className="mb-1 text-[15px] text-gear">Whose weight</h3>
          <table className="mb-2 w-full text-[14px]">
            <tbody>
              {statements.map(({ use, name, mass }) => (
                <tr key={use} className={`border-b border-line ${taken === use ? 'bg-white font-semibold' : ''}`} data-weight={use}>
                  <th scope="row" className={`px-1 py-1 text-left ${taken === use ? 'font-semibold' : 'font-normal'}`}>
                    {name}
                  </th>
                  <td className={`px-1 text-right ${mass === null ? 'text-missing' : ''}`}>{mass === null ? 'not known' : kg(mass)}</td>
                  <td className="w-[45%] px-2 text-[12.5px] text-soft">{taken === use ? 'the plan goes by this one' : ''}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="grid grid-cols-2 gap-x-4 gap-y-2">
            <ChoiceField
              label="The plan goes by"
              value={member.use}
              choices={weightUses.map((use) => ({ value: use, label: useWords[use] }))}
              onValue={(use) => edit({ use }, 'use')}
            />
            {member.use !== 'worst' && words('Chosen by', member.useBy ?? '', (useBy) => edit({ useBy }, 'use by'))}
            {member.use !== 'worst' && words('Because', member.useWhy ?? '', (useWhy) => edit({ useWhy }, 'use why'))}
            {!(weight instanceof Missing) && (
              <details className="self-end pb-1 text-[13px]">
                <summary className="cursor-pointer text-soft">working</summary>
                <Traces traces={weight.traces} system={system} sources />
              </details>
            )}
          </div>
        </section>
        <Group title="How it travels and lies">
          {words('Line or group', member.line, (line) => edit({ line }, 'line'))}
          {words('Supplier', member.supplier, (supplier) => edit({ supplier }, 'supplier'))}
          {words('Lies at', member.place, (place) => edit({ place }, 'place'))}
          {open('Layer there, 1 at the bottom', 'count', member.stack, (stack) =>
            edit({ stack: stack === null ? null : Math.max(1, Math.round(stack)) }, 'stack'),
          )}
          {words('Set by, where no move here does', member.elsewhere ?? '', (elsewhere) => edit({ elsewhere }, 'elsewhere'))}
          {words('Face up, and care of the coat', member.faceUp, (faceUp) => edit({ faceUp }, 'face'))}
          <TravelFields member={member} bare />
        </Group>
      </div>
    </Modal>
  );
}
