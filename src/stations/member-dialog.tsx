'use client';
import { useMemo } from 'react';
import { memberSize, memberWeight } from '@/core/plan/member-weight';
import { Missing } from '@/core/plan/missing';
import type { Member } from '@/core/plan/schema';
import { rulesOf } from '@/core/rules/rule-sets';
import { weightUses, type WeightUse } from '@/core/steel/weight-truth.calc';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { SectionField } from '@/ui/fields/section-field';
import { TextField } from '@/ui/fields/text-field';
import { Traces } from '@/ui/workings/check-line';
import { usePlan } from './job-context';
import { Group } from './panel';
import { useEdit, useField } from './use-edit';

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

/** Everything about one mark that has no room in a row: what it is made of, what is bolted to it, whose weight goes, how it lies. */
export function MemberDialog({ member, onClose }: { member: Member; onClose: () => void }) {
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
  const calculated = known ? known.massPerLength * member.length : null;
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
              { value: 'plain', label: 'a plain weight' },
            ]}
            onValue={(kind) => edit({ make: makeOf(kind, member) }, 'kind')}
          />
          {make.kind === 'section' && (
            <SectionField label="Section" value={make.section} system={system} onValue={(section) => edit({ make: { kind: 'section', section } }, 'section')} />
          )}
          {make.kind === 'plain' && (
            <TextField {...field} label="What it is" value={make.what} onValue={(what) => edit({ make: { kind: 'plain', what } }, 'what')} />
          )}
          {make.kind === 'girder' && (
            <>
              <span />
              <QuantityField
                {...field}
                label="Web, deep"
                kind="dimension"
                value={make.webDepth}
                onValue={(webDepth) => edit({ make: { ...make, webDepth: webDepth ?? 0 } }, 'web depth')}
              />
              <QuantityField
                {...field}
                label="Web, thick"
                kind="dimension"
                value={make.web}
                onValue={(web) => edit({ make: { ...make, web: web ?? 0 } }, 'web')}
              />
              {(['topFlange', 'bottomFlange'] as const).flatMap((side) =>
                (['width', 'thickness'] as const).map((way) => (
                  <QuantityField
                    {...field}
                    key={`${side} ${way}`}
                    label={`${side === 'topFlange' ? 'Top' : 'Bottom'} flange, ${way === 'width' ? 'wide' : 'thick'}`}
                    kind="dimension"
                    value={make[side][way]}
                    onValue={(value) => edit({ make: { ...make, [side]: { ...make[side], [way]: value ?? 0 } } }, `${side} ${way}`)}
                  />
                )),
              )}
            </>
          )}
        </Group>
        <Group title="Packed and bolted on">
          <QuantityField {...field} label="Packing weighs" kind="mass" value={packing.mass} onValue={(mass) => pack({ mass: mass ?? 0 }, 'mass')} />
          <QuantityField
            {...field}
            label="Brackets, bolts and plates left on"
            kind="mass"
            value={member.attachments}
            onValue={(attachments) => edit({ attachments: attachments ?? 0 }, 'attachments')}
          />
          <QuantityField
            {...field}
            label="Packing, both sides together"
            kind="dimension"
            value={packing.sides}
            onValue={(sides) => pack({ sides: sides ?? 0 }, 'sides')}
          />
          <QuantityField
            {...field}
            label="Packing, above and below"
            kind="dimension"
            value={packing.height}
            onValue={(height) => pack({ height: height ?? 0 }, 'height')}
          />
          <QuantityField
            {...field}
            label="Packing against the web, high"
            kind="dimension"
            value={packing.web}
            clearable
            placeholder={packing.sides > 0 ? 'not known' : 'none'}
            onValue={(web) => pack({ web }, 'web')}
          />
          <QuantityField
            {...field}
            label="Balances at, from the left end"
            kind="length"
            value={member.cg}
            clearable
            placeholder="the middle"
            onValue={(cg) => edit({ cg }, 'cg')}
          />
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
            {!(weight instanceof Missing) && (
              <details className="self-end pb-1 text-[13px]">
                <summary className="cursor-pointer text-soft">working</summary>
                <Traces traces={weight.traces} system={system} sources />
              </details>
            )}
          </div>
        </section>
        <Group title="How it travels and lies">
          <TextField {...field} label="Line or group" value={member.line} onValue={(line) => edit({ line }, 'line')} />
          <TextField {...field} label="Supplier" value={member.supplier} onValue={(supplier) => edit({ supplier }, 'supplier')} />
          <TextField {...field} label="Lies at" value={member.place} onValue={(place) => edit({ place }, 'place')} />
          <QuantityField
            {...field}
            label="Layer there, 1 at the bottom"
            kind="count"
            value={member.stack}
            clearable
            onValue={(stack) => edit({ stack: stack === null ? null : Math.max(1, Math.round(stack)) }, 'stack')}
          />
          <TextField {...field} label="Face up, and care of the coat" value={member.faceUp} onValue={(faceUp) => edit({ faceUp }, 'face')} />
          <TextField {...field} label="Transport permit" value={member.permit} placeholder="none" onValue={(permit) => edit({ permit }, 'permit')} />
        </Group>
      </div>
    </Modal>
  );
}
