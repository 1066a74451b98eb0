'use client';
import { textOf } from '@/core/steel/lists/text-of';
import { ClipboardPaste } from 'lucide-react';
import { useMemo, useState } from 'react';
import { capacityUnits, radiusUnits, readChartCsv, writeChartCsv, type CapacityUnit, type RadiusUnit } from '@/core/cranes/chart-csv';
import type { ChartOf } from '@/core/settle/duties';
import { Modal } from '@/ui/dialogs/modal';
import { FileField } from '@/ui/fields/file-field';
import { PlainButton } from '@/ui/plain-button';
import { ChoiceField } from '@/ui/fields/choice-field';
import { SmallButton } from '@/ui/small-button';
import { saveFile } from '../shared/save-file';
import { useAct, useJob } from '@/job/job-context';

const example = 'radius m / capacity kg, 10, 14, 18\n4, 9000, 8200, 6900\n6, 5200, 5000, 4800\n8, , 3100, 3050';

/** Paste or import a chart as CSV: what it says, what is wrong and where, before anything changes. */
export function ChartDialog({ chart: of, crane }: { chart: ChartOf; crane: string }) {
  const act = useAct();
  const done = useJob((state) => state.done);
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [source, setSource] = useState('');
  const [radius, setRadius] = useState<RadiusUnit | null>(null);
  const [capacity, setCapacity] = useState<CapacityUnit | null>(null);
  const corner = useMemo(() => readChartCsv(text, { radius: null, capacity: null }), [text]);
  const radiusUnit = radius ?? corner.radiusUnit;
  const capacityUnit = capacity ?? corner.capacityUnit;
  const reading = useMemo(() => readChartCsv(text, { radius: radiusUnit, capacity: capacityUnit }), [text, radiusUnit, capacityUnit]);
  const ready = reading.chart !== null;

  const asks = (about: string) => reading.asked.some((one) => one.about === about);

  const begin = (next: boolean) => {
    setOpen(next);
    if (next) {
      setText('');
      setSource('');
      setRadius(null);
      setCapacity(null);
    }
  };
  const load = async (file: File | undefined) => {
    if (!file) return;
    setText(textOf(new Uint8Array(await file.arrayBuffer())));
    setSource(file.name);
  };
  const use = () => {
    if (!reading.chart) return;
    act('setChart', { id: of.id, chart: reading.chart, source: source || 'pasted' });
    done();
    setOpen(false);
  };
  return (
    <Modal
      wide
      title={`Chart of ${crane}`}
      about="First row the boom lengths, first column the radii, rated capacities between. Copy it from the maker’s own chart for this set-up; that chart decides."
      open={open}
      onOpenChange={begin}
      trigger={
        <button type="button" className="inline-flex items-center gap-1 border border-line px-1.5 py-0.5 text-[12.5px] hover:border-ink hover:bg-white">
          <ClipboardPaste size={13} aria-hidden /> Paste or import
        </button>
      }
    >
      <div className="grid gap-4 md:grid-cols-[1fr_300px]">
        <div>
          <label className="block text-[12.5px] text-soft" htmlFor="chart-text">
            Table, as comma-, semicolon- or tab-separated text
          </label>
          <textarea
            id="chart-text"
            value={text}
            onChange={(event) => setText(event.target.value)}
            placeholder={example}
            rows={13}
            spellCheck={false}
            className="w-full border-[1.5px] border-ink bg-white p-2 font-mono text-[12.5px] leading-5 placeholder:text-pencil"
          />
          <div className="mt-1 flex flex-wrap items-center gap-2">
            <FileField label="or a file" accept=".csv,.txt,.tsv,text/csv,text/plain" onFiles={(files) => void load(files?.[0])} />
            {of.chart && (
              <SmallButton onClick={() => saveFile(`${crane} chart.csv`, writeChartCsv(of.chart!), 'text/csv')}>Save the present chart as CSV</SmallButton>
            )}
          </div>
        </div>
        <div className="space-y-3">
          {radiusUnit ? (
            <ChoiceField
              label="Radii and booms are in"
              value={radiusUnit}
              choices={Object.keys(radiusUnits).map((unit) => ({ value: unit as RadiusUnit, label: unit }))}
              onValue={setRadius}
            />
          ) : (
            asks('radius') && (
              <UnitQuestion<RadiusUnit>
                words="In which unit are the radii and the booms?"
                units={{ m: 'metres', ft: 'feet' }}
                onUnit={(unit) => setRadius(unit)}
              />
            )
          )}
          {capacityUnit ? (
            <ChoiceField
              label="Capacities are in"
              value={capacityUnit}
              choices={Object.keys(capacityUnits).map((unit) => ({ value: unit as CapacityUnit, label: unit === 't' ? 't (metric tonne)' : unit }))}
              onValue={setCapacity}
            />
          ) : reading.bareTon ? (
            <UnitQuestion<CapacityUnit>
              words="The table says “ton”. Which?"
              units={{ 'short ton': 'short ton, 2000 lb', t: 'metric tonne, 1000 kg', 'long ton': 'long ton, 2240 lb' }}
              onUnit={(unit) => setCapacity(unit)}
            />
          ) : (
            asks('capacity') && (
              <UnitQuestion<CapacityUnit>
                words="In which unit are the capacities?"
                units={{ kg: 'kg', t: 'metric tonnes', lb: 'lb', 'short ton': 'short tons', kip: 'kip', kN: 'kN', 'long ton': 'long tons' }}
                onUnit={(unit) => setCapacity(unit)}
              />
            )
          )}
          <div aria-live="polite" className="text-[13px]">
            {text.trim() === '' ? (
              <p className="text-soft">Nothing pasted yet.</p>
            ) : reading.faults.length > 0 ? (
              <>
                <p className="font-semibold text-stop">
                  {reading.faults.length} {reading.faults.length === 1 ? 'cell' : 'cells'} to put right:
                </p>
                <ul className="mt-1 max-h-52 space-y-1 overflow-auto">
                  {reading.faults.slice(0, 30).map((fault, i) => (
                    <li key={i}>
                      <span className="sign">
                        Row {fault.row}, column {fault.column}
                      </span>{' '}
                      {fault.error}
                    </li>
                  ))}
                </ul>
              </>
            ) : reading.asked.length > 0 ? (
              <ul aria-label="Asked" className="space-y-1 border-2 border-missing px-2 py-1">
                {reading.asked.map(({ question }) => (
                  <li key={question}>{question}</li>
                ))}
              </ul>
            ) : reading.chart ? (
              <>
                <p className="font-semibold text-clear">
                  {reading.chart.radii.length} radii, {reading.chart.booms.length} booms read.
                </p>
                {reading.holes.map((hole) => (
                  <p key={hole} className="mt-1 text-tight-ink">
                    {hole}
                  </p>
                ))}
              </>
            ) : null}
          </div>
          <PlainButton strong disabled={!ready} onClick={use}>
            Use this chart
          </PlainButton>
          <p className="text-[12.5px] text-soft">It replaces the chart of {crane}; undo brings the old one back.</p>
        </div>
      </div>
    </Modal>
  );
}

/** Which unit a table is in, where neither its corner nor its cells say it. */
function UnitQuestion<Unit extends RadiusUnit | CapacityUnit>({
  words,
  units,
  onUnit,
}: {
  words: string;
  units: Partial<Record<Unit, string>>;
  onUnit: (unit: Unit) => void;
}) {
  return (
    <div role="alert" className="text-[13px]">
      <p className="font-semibold text-stop">{words}</p>
      <span className="mt-1 flex flex-wrap gap-1">
        {(Object.entries(units) as [Unit, string][]).map(([unit, label]) => (
          <SmallButton key={unit} onClick={() => onUnit(unit)}>
            {label}
          </SmallButton>
        ))}
      </span>
    </div>
  );
}
