'use client';
import { lazy, Suspense, useState } from 'react';
import type { Forecast } from '@/core/document/schema';
import { hoursIn, shiftGust } from '@/core/settle/shift';
import { formatQuantity, shownIn } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { PasteTable } from '@/ui/fields/paste-table';
import { SmallButton } from '@/ui/small-button';
import { again } from '@/ui/again';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { Group } from '../shared/panel';
import { useInputs } from '@/job/editing/use-inputs';

// The chart library is read only where there is a forecast.
const Graph = lazy(() => again(() => import('@/ui/workings/forecast-graph')));
const WindNowDialog = lazy(() => again(() => import('./wind-now')).then((part) => ({ default: part.WindNowDialog })));

const clock = (at: string): string => `${at.slice(5, 10)} ${at.slice(11, 16)}`;
const after = (at: string): string => new Date(Date.parse(`${at}Z`) + 3600e3).toISOString().slice(0, 13) + ':00';

/** A forecast by the hour, pasted from any service or made up to try the program; the hours of it that somebody works in. */
export function ForecastFields() {
  const { site } = usePlan();
  const { forecast = null } = site;
  const [wind, setWind] = useState(false);
  return (
    <Group title="Forecast by the hour">
      <div className="col-span-2 space-y-2">
        {forecast ? <Taken forecast={forecast} /> : <Take />}
        <div>
          <SmallButton onClick={() => setWind(true)}>Wind at the anemometer</SmallButton>
          {wind && (
            <Suspense>
              <WindNowDialog onClose={() => setWind(false)} />
            </Suspense>
          )}
        </div>
      </div>
    </Group>
  );
}

function Take() {
  const act = useAct();
  const [pasting, setPasting] = useState(false);
  const take = (hours: Forecast['hours'], issued: string) => act('setForecastHours', { forecast: { source: '', issued, hours } });
  const today = new Date().toISOString().slice(0, 10);
  const read = async (text: string) => {
    const { readForecast } = await again(() => import('@/core/weather/read'));
    const found = readForecast(text);
    if (!found.ok) return found.error;
    take(found.hours, today);
    return null;
  };
  return (
    <>
      <div className="flex flex-wrap gap-1.5">
        <SmallButton onClick={() => setPasting(!pasting)}>Paste a forecast</SmallButton>
        <SmallButton onClick={() => void again(() => import('@/core/weather/made-up')).then(({ madeUpHours }) => take(madeUpHours(today), today))}>
          A made-up one, to try
        </SmallButton>
      </div>
      {pasting && (
        <PasteTable
          label="A row of headings (time, gust, rain, temperature, each with its unit), then a row for each hour"
          example={'time,gust (m/s),rain (mm),temperature (°C)\n2026-11-29 06:00,6,0,4'}
          rows={5}
          onRead={read}
        />
      )}
    </>
  );
}

function Taken({ forecast }: { forecast: Forecast }) {
  const act = useAct();
  const { site, job } = usePlan();
  const { date, words } = useInputs();
  const shift = site.shift ?? null;
  const limit = useJob((state) =>
    state.survey.evaluation.checks.reduce<number | null>(
      (least, { id, capacity }) =>
        (id === 'lift.wind' || id === 'launch.wind') && capacity !== null && (least === null || capacity < least) ? capacity : least,
      null,
    ),
  );
  const edit = (changes: Partial<Forecast>, field: string) => act('setForecastHours', { forecast: { ...forecast, ...changes } }, field);
  const set = (from: string, to: string) => act('setShift', { shift: from === '' && to === '' ? null : { from: from || to, to: to || after(from) } }, 'shift');
  const most = shiftGust(site);
  const starts = forecast.hours.map(({ at }) => ({ value: at, label: clock(at) }));
  const ends = forecast.hours.map(({ at }) => ({ value: after(at), label: clock(after(at)) }));
  const none = { value: '', label: 'not said yet' };
  return (
    <>
      <div className="grid grid-cols-2 gap-x-4 gap-y-2">
        {words('Forecast issued by', forecast.source, (source) => edit({ source }, 'forecast source'), { placeholder: 'nobody yet' })}
        {date('Forecast of', forecast.issued, (issued) => edit({ issued }, 'forecast issued'))}
        <ChoiceField label="Shift begins" value={shift?.from ?? ''} choices={[none, ...starts]} onValue={(from) => set(from, shift?.to ?? '')} />
        <ChoiceField label="Shift ends" value={shift?.to ?? ''} choices={[none, ...ends]} onValue={(to) => set(shift?.from ?? '', to)} />
      </div>
      <figure>
        <Suspense fallback={<div className="h-[120px]" />}>
          <Graph
            hours={forecast.hours.map(({ at, gust }) => ({
              at: clock(at),
              gust: gust / shownIn.speed[job.units].factor,
              works: shift !== null && at >= shift.from && at < shift.to,
            }))}
            limit={limit === null ? null : limit / shownIn.speed[job.units].factor}
          />
        </Suspense>
        <figcaption className="text-[12.5px]">
          {forecast.hours.length} hours from {clock(forecast.hours[0]?.at ?? '')}.{' '}
          {shift && most !== null
            ? `In the shift, ${hoursIn(forecast, shift).length} h, gusts up to ${formatQuantity(most, 'speed', job.units)}`
            : 'No shift yet'}
          {limit === null ? '.' : `; ${formatQuantity(limit, 'speed', job.units)} may be.`}
        </figcaption>
      </figure>
      <SmallButton danger onClick={() => act('setForecastHours', { forecast: null })}>
        Take this forecast out
      </SmallButton>
    </>
  );
}
