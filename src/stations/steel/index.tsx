'use client';
import { later } from '@/ui/later';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { Missing } from '@/core/verdict/missing';
import { pieceWeight } from '@/core/settle/piece-weight';
import { saidOf } from '@/core/document/things/unsaid';
import type { Piece } from '@/core/document/schema';
import { grades, yieldOf } from '@/core/steel/grades';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { again } from '@/ui/again';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { freshId } from '@/job/editing/fresh-id';
import { Group, Panel } from '../shared/panel';
import { SteelOfStructure } from './structure-fields';
import { Fold } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { WeightChoice } from './weight-choice';
import { useInputs } from '@/job/editing/use-inputs';

/** Read when it is opened. */
const PlacesDialog = later(() => again(() => import('./places-dialog')).then((part) => part.PlacesDialog));

const PlacedTableDialog = later(() => again(() => import('./placed-table-dialog')).then((part) => part.PlacedTableDialog));

/** Each piece: what it is, what is packed and bolted to it, and what others say it weighs. */
export function SteelStation() {
  const plan = usePlan();
  const [only, ...others] = plan.pieces;
  if (!only)
    return (
      <Panel title="Steel" about="The list of every piece; weights that differ are told here" station="steel">
        <ListButton />
        <SteelOfStructure />
      </Panel>
    );
  if (others.length === 0)
    return (
      <Panel title={`Steel · ${only.mark}`} about={<AboutPiece piece={only} />} station="steel">
        <ListButton />
        <PieceFields piece={only} />
        <SteelOfStructure />
      </Panel>
    );
  return (
    <Panel title="Steel" about={`${plan.pieces.length} pieces on bearings`} station="steel">
      <ListButton />
      <div className="border-b border-line">
        {plan.pieces.map((piece) => (
          <Fold key={piece.id} thing={piece.id} title={piece.mark} note={<AboutPiece piece={piece} />}>
            <div className="space-y-4 pb-3">
              <PieceFields piece={piece} />
            </div>
          </Fold>
        ))}
      </div>
      <SteelOfStructure />
    </Panel>
  );
}

/** From the drawing to the list of every mark, and back. */
function ListButton() {
  const [placing, setPlacing] = useState(false);
  const [pasting, setPasting] = useState(false);
  const listed = useJob((state) => state.listed ?? false);
  const showList = useJob((state) => state.showList);
  return (
    <span className="flex flex-wrap gap-1.5">
      <SmallButton onClick={() => showList(!listed)}>{listed ? 'Back to the drawing' : 'Open the piece list'}</SmallButton>
      <SmallButton onClick={() => setPlacing(true)}>Pieces and their places</SmallButton>
      <SmallButton onClick={() => setPasting(true)}>Places from a table</SmallButton>
      {pasting && <PlacedTableDialog onClose={() => setPasting(false)} />}
      {placing && <PlacesDialog onClose={() => setPlacing(false)} />}
    </span>
  );
}

function AboutPiece({ piece }: { piece: Piece }) {
  const { job } = usePlan();
  const weight = pieceWeight(piece, rulesOf(job.ruleSet, job.thresholds));
  return weight instanceof Missing
    ? weight.questions[0]
    : `${formatQuantity(weight.mass, 'mass', job.units)} with allowance, ${formatQuantity(weight.weight, 'force', job.units)}`;
}

function PieceFields({ piece }: { piece: Piece }) {
  const plan = usePlan();
  const act = useAct();
  const { open, figure, words, section } = useInputs();
  const done = useJob((state) => state.done);
  const system = plan.job.units;
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const edit = (changes: Partial<Omit<Piece, 'id'>>, field: string) => act('editPiece', { id: piece.id, changes }, `${piece.id} ${field}`);
  const unsaid = piece.unsaid?.includes('grade');
  const grade = unsaid ? 'unsaid' : (grades.find((one) => one.name === piece.grade)?.name ?? 'other');
  return (
    <>
      <Group title="The piece">
        {words('Mark', piece.mark, (mark) => edit({ mark }, 'mark'))}
        {figure('Length', 'length', saidOf(piece, 'length', piece.length), (length) => edit({ length }, 'length'))}
        <div className="col-span-2">
          {section('Section', saidOf(piece, 'section', piece.section) ?? '', (designation) => {
            const faults = edit({ section: designation }, 'section');
            done();
            return faults;
          })}
        </div>
        <ChoiceField
          label="Grade"
          value={grade}
          choices={[
            ...(unsaid ? [{ value: 'unsaid', label: 'not said yet' }] : []),
            ...grades.map((one) => ({ value: one.name, label: one.name })),
            { value: 'other', label: 'other' },
          ]}
          onValue={(name) => {
            if (name === 'unsaid') return;
            // In thick flanges it yields at less; the tables come when they are needed.
            void again(() => import('@/core/steel/sections')).then(({ findSection }) => {
              const known = yieldOf(name, findSection(piece.section)?.flange);
              edit({ grade: name, ...(known === null ? {} : { yield: known }) }, 'grade');
            });
          }}
        />
        {figure('Yield strength', 'stress', piece.yield, (strength) => edit({ yield: strength }, 'yield'))}
        {open('Allowance on the weight', 'fraction', piece.allowance, (allowance) => edit({ allowance }, 'allowance'), {
          placeholder: formatQuantity(rules.value('weightAllowance'), 'fraction', system).replace('%', '').trim(),
          note: piece.allowance === null ? 'by the rule set' : 'set for this piece',
        })}
      </Group>
      <Group title="What others say" tools={<span className="text-[12px] text-soft">two figures that differ are both shown</span>}>
        {open('Bare weight, stated', 'mass', piece.stated.mass, (mass) => edit({ stated: { ...piece.stated, mass } }, 'stated mass'))}
        {open('Bare weight, on the scale', 'mass', piece.stated.weighed ?? null, (weighed) => edit({ stated: { ...piece.stated, weighed } }, 'weighed'))}
        {open('Length by drawing', 'length', piece.stated.length, (length) => edit({ stated: { ...piece.stated, length } }, 'stated length'))}
      </Group>
      <WeightChoice piece={piece} />
      <PackingFields piece={piece} />
      <AttachmentFields piece={piece} />
      <Group title="Where it lies before the lift">
        {figure('Middle, east', 'length', saidOf(piece, 'start', piece.start.x), (x) => edit({ start: { ...piece.start, x } }, 'start x'))}
        {figure('Middle, north', 'length', saidOf(piece, 'start', piece.start.y), (y) => edit({ start: { ...piece.start, y } }, 'start y'))}
        {figure('Turned from east', 'angle', piece.start.azimuthDeg, (azimuthDeg) => edit({ start: { ...piece.start, azimuthDeg } }, 'start turn'))}
        {figure('Underside level', 'length', saidOf(piece, 'start', piece.start.level), (level) => edit({ start: { ...piece.start, level } }, 'start level'))}
      </Group>
    </>
  );
}

function PackingFields({ piece }: { piece: Piece }) {
  const act = useAct();
  const { figure, words } = useInputs();
  const add = () =>
    act('addPacking', {
      piece: piece.id,
      packing: {
        id: freshId('pk'),
        unsaid: ['massPerLength', 'thickness'],
        what: 'Timber packing',
        massPerLength: 6,
        from: 0,
        to: piece.length,
        side: 'top',
        thickness: 0.05,
      },
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
              <div className="col-span-2">{words('What', one.what, (what) => edit({ what }, 'what'))}</div>
              {figure('Weight along it', 'massPerLength', saidOf(one, 'massPerLength', one.massPerLength), (massPerLength) => edit({ massPerLength }, 'mass'))}
              {figure('Thickness', 'dimension', saidOf(one, 'thickness', one.thickness), (thickness) => edit({ thickness }, 'thickness'))}
              {figure('From the left end', 'length', one.from, (from) => edit({ from }, 'from'))}
              {figure('to', 'length', one.to, (to) => edit({ to }, 'to'))}
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
  const { figure, words } = useInputs();
  const add = () => act('addAttachment', { piece: piece.id, attachment: { id: freshId('at'), unsaid: ['mass', 'at'], what: 'Cleat', mass: 10, at: 0.1 } });
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
            {words('What', one.what, (what) => edit({ what }, 'what'))}
            {figure('Weight', 'mass', saidOf(one, 'mass', one.mass), (mass) => edit({ mass }, 'mass'))}
            {figure('At', 'length', saidOf(one, 'at', one.at), (at) => edit({ at }, 'at'))}
            <SmallButton danger label={`Remove ${one.what}`} onClick={() => act('removeAttachment', { piece: piece.id, id: one.id })}>
              <X size={14} />
            </SmallButton>
          </div>
        );
      })}
    </section>
  );
}
