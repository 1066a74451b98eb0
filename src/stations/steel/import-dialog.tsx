'use client';
import { useMemo, useState } from 'react';
import { previewImport, staysOpen, type ImportPreview } from '@/core/edit/import-members';
import type { Asked, Choice, SteelRows } from '@/core/steel/lists/rows';
import { tableFields, type Columns, type TableField } from '@/core/steel/lists/headings';
import { columnsOf, decimalMark, readSheet, rowsOf } from '@/core/steel/lists/table';
import { weightUnits } from '@/core/steel/lists/weight-words';
import { Modal } from '@/ui/dialogs/modal';
import { ChoiceField } from '@/ui/fields/choice-field';
import { FileField } from '@/ui/fields/file-field';
import { PlainButton } from '@/ui/plain-button';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { ModelPlaces } from './model-places';
import { readSteelFiles } from './steel-files';

const fieldWords: Record<TableField, string> = {
  mark: 'Mark',
  section: 'Section',
  length: 'Length',
  count: 'Number',
  grade: 'Grade',
  mass: 'Weight by drawing',
  order: 'Order',
  place: 'Lies at',
};

const NONE: Asked[] = [];

/** Steel from a spreadsheet, a CSV file, NC files or a model: what it would change, before it changes it. */
export function ImportDialog({ pasted, onClose }: { pasted: string | null; onClose: () => void }) {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const [text, setText] = useState(pasted ?? '');
  const [chosen, setChosen] = useState<Columns | null>(null);
  const [said, setSaid] = useState<Choice>({});
  const [files, setFiles] = useState<SteelRows | null>(null);
  const [reading, setReading] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const sheet = useMemo(() => (text.trim() === '' ? null : readSheet(text)), [text]);
  const columns = useMemo(() => chosen ?? (sheet ? columnsOf(sheet, said) : {}), [chosen, sheet, said]);
  const found = useMemo(() => files ?? (sheet ? rowsOf(sheet, chosen, plan.job.units, said) : null), [files, sheet, chosen, plan.job.units, said]);
  const known = useMemo(() => {
    const out = found ? leftOut(found) : new Set<string>();
    return found ? found.rows.filter(({ mark }) => !out.has(mark)) : [];
  }, [found]);
  const preview: ImportPreview | null = useMemo(
    () => (found ? previewImport(plan, known, found.faults, () => freshId('m'), found.asked) : null),
    [found, known, plan],
  );
  const open = async (list: FileList | null) => {
    if (!list || list.length === 0) return;
    setReading(true);
    const read = await readSteelFiles([...list]).finally(() => setReading(false));
    if ('rows' in read) return setFiles(read.rows);
    setFiles(null);
    setChosen(null);
    setSaid({});
    setText(read.table);
  };
  const take = () => {
    if (!preview) return;
    const faults = act('importMembers', preview.command);
    done();
    if (faults) setProblem(faults[0]?.error ?? 'It was refused.');
    else onClose();
  };
  const unanswered = found?.asked?.filter(stops).length ?? 0;
  const changes = preview ? preview.added.length + preview.changed.length : 0;
  const wide = Math.max(0, ...(sheet?.cells.slice(0, 200) ?? []).map((row) => row.length));
  const heads = Array.from({ length: wide }, (_, i) => sheet?.heads[i] || `column ${i + 1}`);
  return (
    <Modal
      open
      onOpenChange={(next) => !next && onClose()}
      title="Steel from a table or a file"
      about="CSV or pasted cells, NC1 files singly or in a ZIP, or an IFC model, zipped or not. Nothing changes until you take it, and undo takes all of it back at once."
      wide
    >
      <div className="space-y-3">
        <FileField label="Files" many accept=".csv,.txt,.tsv,.nc1,.nc,.zip,.ifc,.ifczip" onFiles={(files) => void open(files)} />
        {!files && (
          <label className="block">
            <span className="text-soft">Or paste the cells here</span>
            <textarea
              value={text}
              onChange={(event) => (setChosen(null), setSaid({}), setText(event.target.value))}
              rows={5}
              spellCheck={false}
              className="mt-1 w-full border border-line bg-white p-2 font-mono text-[12.5px]"
              placeholder={'Mark\tSection\tLength\tNumber'}
            />
          </label>
        )}
        {reading && <p role="status">Reading …</p>}
        {sheet && !files && (
          <fieldset className="grid grid-cols-4 gap-x-4 gap-y-1.5 border-t border-line pt-2">
            <legend className="text-soft">Which column is which</legend>
            {tableFields.map((one) => (
              <Pick
                key={one}
                label={fieldWords[one]}
                value={String(columns[one] ?? '')}
                options={['', ...heads.map((_, i) => String(i))]}
                words={{ '': 'none', ...Object.fromEntries(heads.map((head, i) => [String(i), head])) }}
                onValue={(at) => {
                  const next = { ...columns };
                  if (at === '') delete next[one];
                  else next[one] = Number(at);
                  setChosen(next);
                }}
              />
            ))}
            <Pick
              label="Lengths without a unit are"
              value={said.length ?? ''}
              options={['', 'm', 'mm', 'cm', 'ft', 'in']}
              words={{ '': sheet.units.length ? `as headed: ${sheet.units.length}` : 'as the figures show' }}
              onValue={(length) => setSaid(without({ ...said, length }, length === '' ? 'length' : null))}
            />
            <Pick
              label="Weights are in"
              value={said.mass ?? ''}
              options={['', ...Object.keys(weightUnits)]}
              words={{ '': 'as headed' }}
              onValue={(mass) => setSaid(without({ ...said, mass }, mass === '' ? 'mass' : null))}
            />
            <Pick
              label="Weights are of"
              value={said.per ?? ''}
              options={['', 'one', 'row', 'metre', 'foot']}
              words={{ '': 'as headed', one: 'one piece', row: 'all pieces of the row', metre: 'a metre', foot: 'a foot' }}
              onValue={(per) => setSaid(without({ ...said, per: per as Choice['per'] & string }, per === '' ? 'per' : null))}
            />
            <Pick
              label="Decimals are written with"
              value={said.mark ?? decimalMark(sheet, columns) ?? 'unknown'}
              options={['comma', 'point', ...(said.mark || decimalMark(sheet, columns) ? [] : ['unknown'])]}
              words={{ comma: 'a comma: 6,25', point: 'a point: 6.25', unknown: 'not shown by any figure' }}
              onValue={(mark) => setSaid({ ...said, mark: mark === 'comma' ? 'comma' : 'point' })}
            />
          </fieldset>
        )}
        {found?.asked && found.asked.length > 0 && (
          <Questions
            asked={found.asked}
            onAnswer={(choice) => {
              setChosen(null);
              setSaid({ ...said, ...choice });
            }}
          />
        )}
        {preview && (
          <div aria-label="What it would change" className="border-t border-line pt-2">
            <p className="sign text-[17px]">
              {preview.added.length} new, {preview.changed.length} changed, {preview.same} the same
              {preview.faults.length > 0 && <span className="text-stop">, {preview.faults.length} not read</span>}
            </p>
            {preview.faults.length > 0 && (
              <ul aria-label="Not read" className="my-1 max-h-[140px] overflow-auto border border-stop bg-white px-2 py-1 text-[13px]">
                {preview.faults.slice(0, 200).map((fault, i) => (
                  <li key={i}>
                    <b>{fault.from}</b>: {fault.error}
                  </li>
                ))}
              </ul>
            )}
            {found?.notes && found.notes.length > 0 && (
              <ul aria-label="Read otherwise than written" className="my-1 max-h-[120px] overflow-auto border border-line bg-white px-2 py-1 text-[13px]">
                {found.notes.slice(0, 200).map((note, i) => (
                  <li key={i}>
                    <b>{note.from}</b>: {note.error}
                  </li>
                ))}
              </ul>
            )}
            {preview.readAs.length > 0 && (
              <p className="my-1 text-[13px]" data-read-as>
                Known here by another name: {preview.readAs.slice(0, 12).join('; ')}
                {preview.readAs.length > 12 && ` and ${preview.readAs.length - 12} more`}
              </p>
            )}
            {preview.unknownSections.length > 0 && (
              <p className="my-1 text-[13px] text-missing">
                {preview.unknownSections.length} with a section in no table here, so their weight stays unknown unless the file gives it:{' '}
                {preview.unknownSections.slice(0, 6).join('; ')}
                {preview.unknownSections.length > 6 && ' …'}
              </p>
            )}
            {preview.changed.length > 0 && (
              <ul className="my-1 max-h-[120px] overflow-auto text-[13px]">
                {preview.changed.slice(0, 200).map((one) => (
                  <li key={one.mark}>
                    <b>{one.mark}</b>: {one.what.join(', ')}
                  </li>
                ))}
              </ul>
            )}
            {preview.added.length > 0 && (
              <p className="my-1 text-[13px]">New pieces come without moves: each is asked about until the run sheet sets it, or it is said who does.</p>
            )}
            {preview.added.length > 0 && (
              <p className="text-[13px] text-soft">
                New: {preview.added.slice(0, 30).join(', ')}
                {preview.added.length > 30 && ` and ${preview.added.length - 30} more`}
              </p>
            )}
          </div>
        )}
        {found?.placed && found.placed.pieces.length > 0 && <ModelPlaces rows={known} asked={found.asked ?? NONE} placed={found.placed} onDone={onClose} />}
        {problem && <p className="text-stop">{problem}</p>}
        <div className="flex justify-end gap-2">
          <PlainButton onClick={onClose}>Leave it</PlainButton>
          <PlainButton strong={!found?.placed} disabled={changes === 0 || unanswered > 0} onClick={take}>
            {unanswered > 0 ? `${unanswered} to answer first` : changes === 0 ? 'Nothing to take' : `Take ${changes} into the list`}
          </PlainButton>
        </div>
      </div>
    </Modal>
  );
}

const without = (choice: Choice, key: keyof Choice | null): Choice =>
  Object.fromEntries(Object.entries(choice).filter(([name, value]) => name !== key && value !== undefined));

/** What is asked of the whole file stands in the way of all of it. */
const stops = (one: Asked): boolean => one.marks === undefined;

/** What a plan can hold open of named pieces comes in open, and the plan asks on; anything else asked of them leaves them out. */
function leftOut({ asked = [] }: SteelRows): Set<string> {
  return new Set(asked.flatMap((one) => (staysOpen(one) ? [] : (one.marks ?? []))));
}

/** What the file does not settle, each with the first rows under each answer. */
function Questions({ asked, onAnswer }: { asked: readonly Asked[]; onAnswer: (choice: Choice) => void }) {
  return (
    <ul aria-label="Asked" className="space-y-2 border-2 border-missing bg-white px-3 py-2 text-[13.5px]">
      {asked.slice(0, 40).map((one, i) => (
        <li key={i}>
          <p className="font-semibold">
            {one.marks && `${one.marks.slice(0, 6).join(', ')}${one.marks.length > 6 ? ' …' : ''}: `}
            {one.question}
            {one.marks && (staysOpen(one) ? ' It comes in open, and the plan asks on.' : ' Left out until it is answered.')}
          </p>
          <div className="mt-1 flex flex-col items-start gap-1">
            {one.answers?.map(({ label, choice }) => (
              <PlainButton key={label} onClick={() => onAnswer(choice)}>
                {label}
              </PlainButton>
            ))}
          </div>
        </li>
      ))}
    </ul>
  );
}

/** What stands in the list for nothing said. */
const UNSAID = 'unsaid';

function Pick({
  label,
  value,
  options,
  words,
  onValue,
}: {
  label: string;
  value: string;
  options: readonly string[];
  words?: Record<string, string>;
  onValue: (value: string) => void;
}) {
  return (
    <ChoiceField
      label={label}
      value={value || UNSAID}
      choices={options.map((one) => ({ value: one || UNSAID, label: words?.[one] ?? one }))}
      onValue={(one) => onValue(one === UNSAID ? '' : one)}
    />
  );
}
