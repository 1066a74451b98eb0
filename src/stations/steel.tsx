'use client';
import { Plus, X } from 'lucide-react';
import { Missing } from '@/core/plan/missing';
import { pieceWeight } from '@/core/plan/piece-weight';
import type { Piece } from '@/core/plan/schema';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { SectionField } from '@/ui/fields/section-field';
import { TextField } from '@/ui/fields/text-field';
import { useAct, useJob, usePlan } from './job-context';
import { freshId } from './fresh-id';
import { Group, Panel, SmallButton } from './panel';

const grades: readonly { name: string; yield: number }[] = [
  { name: 'S235', yield: 235e6 },
  { name: 'S275', yield: 275e6 },
  { name: 'S355', yield: 355e6 },
  { name: 'A36', yield: 248211262.55 },
  { name: 'A992', yield: 344737864.66 },
  { name: 'A572-50', yield: 344737864.66 },
];

/** The piece: what it is, what is packed and bolted to it, and what others say it weighs. */
export function SteelStation() {
  const plan = usePlan();
  const piece = plan.pieces[0];
  if (!piece) return <Panel title="Steel" about="The list of every piece; weights that differ are told here" station="steel" />;
  return <PieceFields key={piece.id} piece={piece} />;
}

function PieceFields({ piece }: { piece: Piece }) {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const system = plan.job.units;
  const listed = useJob((state) => state.listed ?? false);
  const showList = useJob((state) => state.showList);
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const weight = pieceWeight(piece, rules);
  const edit = (changes: Partial<Omit<Piece, 'id'>>, field: string) => act('editPiece', { id: piece.id, changes }, field);
  const grade = grades.find((one) => one.name === piece.grade)?.name ?? 'other';
  const about =
    weight instanceof Missing
      ? weight.questions[0]
      : `${formatQuantity(weight.mass, 'mass', system)} with allowance, ${formatQuantity(weight.weight, 'force', system)}`;
  return (
    <Panel title={`Steel · ${piece.mark}`} about={about} station="steel">
      <span className="flex gap-1.5">
        <SmallButton onClick={() => showList(!listed)}>{listed ? 'Back to the drawing' : 'Open the piece list'}</SmallButton>
      </span>
      <Group title="The piece">
        <TextField label="Mark" value={piece.mark} onValue={(mark) => edit({ mark }, 'mark')} onDone={done} />
        <QuantityField
          label="Length"
          kind="length"
          system={system}
          value={piece.length}
          onValue={(length) => edit({ length: length ?? 0 }, 'length')}
          onDone={done}
        />
        <div className="col-span-2">
          <SectionField label="Section" value={piece.section} system={system} onValue={(section) => (edit({ section }, 'section'), done())} />
        </div>
        <ChoiceField
          label="Grade"
          value={grade}
          choices={[...grades.map((one) => ({ value: one.name, label: one.name })), { value: 'other', label: 'other' }]}
          onValue={(name) => {
            const known = grades.find((one) => one.name === name);
            edit({ grade: name, ...(known ? { yield: known.yield } : {}) }, 'grade');
          }}
        />
        <QuantityField
          label="Yield strength"
          kind="stress"
          system={system}
          value={piece.yield}
          onValue={(strength) => edit({ yield: strength ?? 0 }, 'yield')}
          onDone={done}
        />
        <QuantityField
          label="Allowance on the weight"
          kind="fraction"
          system={system}
          value={piece.allowance}
          clearable
          placeholder={formatQuantity(rules.value('weightAllowance'), 'fraction', system).replace('%', '').trim()}
          note={piece.allowance === null ? 'by the rule set' : 'set for this piece'}
          onValue={(allowance) => edit({ allowance }, 'allowance')}
          onDone={done}
        />
      </Group>
      <Group title="What others say" tools={<span className="text-[12px] text-soft">two figures that differ are both shown</span>}>
        <QuantityField
          label="Bare weight, stated"
          kind="mass"
          system={system}
          value={piece.stated.mass}
          clearable
          onValue={(mass) => edit({ stated: { ...piece.stated, mass } }, 'stated mass')}
          onDone={done}
        />
        <QuantityField
          label="Length by drawing"
          kind="length"
          system={system}
          value={piece.stated.length}
          clearable
          onValue={(length) => edit({ stated: { ...piece.stated, length } }, 'stated length')}
          onDone={done}
        />
      </Group>
      <PackingFields piece={piece} />
      <AttachmentFields piece={piece} />
      <Group title="Where it lies before the lift">
        <QuantityField
          label="Middle, east"
          kind="length"
          system={system}
          value={piece.start.x}
          onValue={(x) => edit({ start: { ...piece.start, x: x ?? 0 } }, 'start x')}
          onDone={done}
        />
        <QuantityField
          label="Middle, north"
          kind="length"
          system={system}
          value={piece.start.y}
          onValue={(y) => edit({ start: { ...piece.start, y: y ?? 0 } }, 'start y')}
          onDone={done}
        />
        <QuantityField
          label="Turned from east"
          kind="angle"
          system={system}
          value={piece.start.azimuthDeg}
          onValue={(azimuthDeg) => edit({ start: { ...piece.start, azimuthDeg: azimuthDeg ?? 0 } }, 'start turn')}
          onDone={done}
        />
        <QuantityField
          label="Underside level"
          kind="length"
          system={system}
          value={piece.start.level}
          onValue={(level) => edit({ start: { ...piece.start, level: level ?? 0 } }, 'start level')}
          onDone={done}
        />
      </Group>
    </Panel>
  );
}

function PackingFields({ piece }: { piece: Piece }) {
  const act = useAct();
  const done = useJob((state) => state.done);
  const system = usePlan().job.units;
  const add = () =>
    act('addPacking', {
      piece: piece.id,
      packing: { id: freshId('pk'), what: 'Timber packing', massPerLength: 6, from: 0, to: piece.length, side: 'top', thickness: 0.05 },
    });
  return (
    <section>
      <div className="mb-1 flex items-baseline justify-between">
        <h3 className="text-[15px] text-gear">Packing</h3>
        <SmallButton onClick={add}>
          <Plus size={13} aria-hidden /> Packing
        </SmallButton>
      </div>
      {piece.packing.length === 0 && <p className="text-soft">None. Packing can use up the whole margin of a small hoist.</p>}
      {piece.packing.map((one) => {
        const edit = (changes: Partial<Omit<typeof one, 'id'>>, field: string) =>
          act('editPacking', { piece: piece.id, id: one.id, changes }, `${one.id} ${field}`);
        return (
          <div key={one.id} className="mb-2 grid grid-cols-[1fr_auto] gap-2">
            <div className="grid grid-cols-2 gap-x-4 gap-y-2">
              <div className="col-span-2">
                <TextField label="What" value={one.what} onValue={(what) => edit({ what }, 'what')} onDone={done} />
              </div>
              <QuantityField
                label="Weight along it"
                kind="massPerLength"
                system={system}
                value={one.massPerLength}
                onValue={(massPerLength) => edit({ massPerLength: massPerLength ?? 0 }, 'mass')}
                onDone={done}
              />
              <QuantityField
                label="Thickness"
                kind="dimension"
                system={system}
                value={one.thickness}
                onValue={(thickness) => edit({ thickness: thickness ?? 0 }, 'thickness')}
                onDone={done}
              />
              <QuantityField
                label="From the left end"
                kind="length"
                system={system}
                value={one.from}
                onValue={(from) => edit({ from: from ?? 0 }, 'from')}
                onDone={done}
              />
              <QuantityField label="to" kind="length" system={system} value={one.to} onValue={(to) => edit({ to: to ?? 0 }, 'to')} onDone={done} />
              <ChoiceField
                label="On the"
                value={one.side}
                choices={[
                  { value: 'top', label: 'top flange' },
                  { value: 'bottom', label: 'bottom flange' },
                  { value: 'web', label: 'web' },
                ]}
                onValue={(side) => edit({ side }, 'side')}
              />
            </div>
            <SmallButton danger label={`Remove ${one.what}`} onClick={() => act('removePacking', { piece: piece.id, id: one.id })}>
              <X size={14} />
            </SmallButton>
          </div>
        );
      })}
    </section>
  );
}

function AttachmentFields({ piece }: { piece: Piece }) {
  const act = useAct();
  const done = useJob((state) => state.done);
  const system = usePlan().job.units;
  const add = () => act('addAttachment', { piece: piece.id, attachment: { id: freshId('at'), what: 'Cleat', mass: 10, at: 0.1 } });
  return (
    <section>
      <div className="mb-1 flex items-baseline justify-between">
        <h3 className="text-[15px] text-gear">Bolted or welded on</h3>
        <SmallButton onClick={add}>
          <Plus size={13} aria-hidden /> Attachment
        </SmallButton>
      </div>
      {piece.attachments.map((one) => {
        const edit = (changes: Partial<Omit<typeof one, 'id'>>, field: string) =>
          act('editAttachment', { piece: piece.id, id: one.id, changes }, `${one.id} ${field}`);
        return (
          <div key={one.id} className="mb-1.5 grid grid-cols-[1.6fr_1fr_1fr_auto] items-end gap-2 [&>button]:self-end">
            <TextField label="What" value={one.what} onValue={(what) => edit({ what }, 'what')} onDone={done} />
            <QuantityField label="Weight" kind="mass" system={system} value={one.mass} onValue={(mass) => edit({ mass: mass ?? 0 }, 'mass')} onDone={done} />
            <QuantityField label="At" kind="length" system={system} value={one.at} onValue={(at) => edit({ at: at ?? 0 }, 'at')} onDone={done} />
            <SmallButton danger label={`Remove ${one.what}`} onClick={() => act('removeAttachment', { piece: piece.id, id: one.id })}>
              <X size={14} />
            </SmallButton>
          </div>
        );
      })}
    </section>
  );
}
