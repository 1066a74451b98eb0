'use client';
import { useEffect, useState } from 'react';
import { describe } from '@/core/verdict/describe';
import { inWind } from '@/core/verdict/in-wind';
import { EVERY, madeUpReadings, readReadings, windNow, type Reading, type WindNow } from '@/core/weather/anemometer';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { PasteTable } from '@/ui/fields/paste-table';
import { SmallButton } from '@/ui/small-button';
import { VerdictMark } from '@/ui/verdict/verdict-mark';
import { useJob, usePlan } from '@/job/job-context';

/** Local time as readings have it: the clock on the wall, in ms. */
const wall = (): number => Date.now() - new Date().getTimezoneOffset() * 60e3;
const clock = (at: number): string => new Date(at).toISOString().slice(11, 19);

/** The wind at an anemometer held against what every lift stops at: a made-up one that is read as it blows, or readings of any, pasted. */
export function WindNowDialog({ onClose }: { onClose: () => void }) {
  const [pasted, setPasted] = useState<Reading[] | null>(null);
  const [now, setNow] = useState(wall);
  useEffect(() => {
    const timer = setInterval(() => setNow(wall()), EVERY / 2);
    return () => clearInterval(timer);
  }, []);
  const read = (text: string): string | null => {
    const found = readReadings(text, new Date(wall()).toISOString().slice(0, 10));
    if (!found.ok) return found.error;
    setPasted(found.readings);
    return null;
  };
  const wind = windNow(pasted ?? madeUpReadings(now), now);
  return (
    <Modal
      open
      onOpenChange={(next) => !next && onClose()}
      wide
      title="Wind at the anemometer"
      about="The greatest reading of the last ten minutes, against the gust each lift stops at. Read it at boom tip, not on the ground. Nothing of it is kept in the plan."
    >
      <p className="text-[15px]" role="status">
        <Told wind={wind} now={now} />
        {pasted === null && <span className="ml-2 text-[13px] text-soft">A made-up anemometer, to try with.</span>}
      </p>
      <Lifts wind={wind} />
      <div className="mt-3 border-t border-line pt-2">
        <PasteTable
          label="Readings of an anemometer: a row of headings (time, and gust with its unit), then a row for each reading"
          example={'time,gust (m/s)\n06:20:10,4.2'}
          rows={3}
          onRead={read}
        >
          {pasted && <SmallButton onClick={() => setPasted(null)}>The made-up one again</SmallButton>}
        </PasteTable>
      </div>
    </Modal>
  );
}

function Told({ wind, now }: { wind: WindNow; now: number }) {
  const { units } = usePlan().job;
  if ('gust' in wind)
    return (
      <>
        <b className="sign text-[20px]">{formatQuantity(wind.gust, 'speed', units)}</b> at {clock(wind.at)}, the most in ten minutes.
      </>
    );
  return (
    <b className="text-missing">
      {wind.newest === null
        ? 'Nothing has been read: nobody knows the wind.'
        : `The newest reading is of ${clock(wind.newest)}, ${Math.round((now - wind.newest) / 60e3)} minutes ago: nobody knows the wind now.`}
    </b>
  );
}

function Lifts({ wind }: { wind: WindNow }) {
  const { units } = usePlan().job;
  const checks = useJob((state) => state.survey.evaluation.checks);
  const rows = inWind(checks, wind);
  if (rows.length === 0) return <p className="mt-2 text-[13.5px]">Nothing of this job is lifted by a crane or pushed.</p>;
  return (
    <div className="mt-2 max-h-[45vh] overflow-y-auto" tabIndex={0} role="region" aria-label="Lifts and their limits">
      <table className="w-full text-[13.5px]">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className="py-1 font-semibold">What is lifted</th>
            <th className="pr-3 text-right font-semibold">Stops at</th>
            <th className="font-semibold">Now</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ check, limit, may }) => (
            <tr
              key={`${check.id} ${check.about.id} ${check.about.part ?? ''}`}
              data-wind={may === null ? 'unknown' : may ? 'may' : 'waits'}
              className="border-b border-dotted border-line"
            >
              <td className="py-1.5 pr-3 font-semibold">{check.subject}</td>
              <td className="py-1.5 pr-3 text-right">{limit === null ? 'not known' : formatQuantity(limit, 'speed', units)}</td>
              <td className="py-1.5">
                <span className="inline-flex items-center gap-1.5">
                  <VerdictMark verdict={may === null ? 'missing' : may ? 'clear' : 'stop'} />
                  {may === null ? (limit === null ? describe(check, units) : 'not known') : may ? 'under its limit' : 'waits'}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
