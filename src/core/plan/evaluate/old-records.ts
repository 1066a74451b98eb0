import { sequenceNeeds } from '../../checks/sequence.calc';
import type { AboutKind, Check, StationId } from '../check';
import { isDay } from '../day';
import { daysBetween } from '../records';
import { ratioCheck, sourced, told, on, type Context } from './context';

interface Dated {
  kind: AboutKind;
  id: string;
  station: StationId;
  what: string;
  on: string;
}

/** What somebody measured, agreed or signed on a day, of the ground and of the work: both change with time. */
function recordsOf({ plan }: Context): Dated[] {
  const { survey, structure, site } = plan;
  return [
    ...plan.bearings.flatMap(({ id, name, measured }): Dated[] =>
      measured ? [{ kind: 'bearing', id, station: 'measure', what: `The measure of ${name}`, on: measured.on }] : [],
    ),
    ...structure.supports.flatMap(({ id, name, measured }): Dated[] =>
      measured ? [{ kind: 'support', id, station: 'measure', what: `The level of ${name}`, on: measured.on }] : [],
    ),
    ...survey.openings.map(({ id, name, on: day }): Dated => ({ kind: 'opening', id, station: 'measure', what: `The measure of ${name}`, on: day })),
    ...survey.patterns.map(({ id, name, on: day }): Dated => ({ kind: 'pattern', id, station: 'measure', what: `The survey of ${name}`, on: day })),
    ...survey.overlays.map(({ id, what, on: day }): Dated => ({ kind: 'overlay', id, station: 'measure', what: `What was agreed of “${what}”`, on: day })),
    ...site.powerLines.flatMap(({ id, name, guard }): Dated[] =>
      guard ? [{ kind: 'powerLine', id, station: 'gear', what: `What was agreed about ${name}`, on: guard.on }] : [],
    ),
    ...(site.walked ? [{ kind: 'job' as const, id: 'site', station: 'gear' as const, what: 'The walk for power lines', on: site.walked.on }] : []),
    ...(site.zones ?? []).flatMap(({ id, name, closed }): Dated[] =>
      closed ? [{ kind: 'zone', id, station: 'gear', what: `The closing of ${name}`, on: closed.on }] : [],
    ),
    ...plan.holds.map(({ id, on: day }): Dated => ({ kind: 'job', id, station: 'runSheet', what: `The record of ${id}`, on: day })),
  ];
}

/** A record that is long past is no fault, and is looked at again: the ground has moved, the drawings have changed. */
export function oldRecordChecks(context: Context): Check[] {
  const { today, rules } = context;
  if (today === null) return [];
  const most = rules.value('recordDays');
  return recordsOf(context).flatMap(({ kind, id, station, what, on: day }) => {
    if (!isDay(day)) return [];
    const age = daysBetween(day, today);
    if (age <= most) return [];
    const place = {
      id: 'said.old',
      ...on(kind, { id }, what),
      station,
      move: null,
      calc: sequenceNeeds.id,
      source: sourced('Common practice: what was measured or signed long ago is looked at again', rules, 'recordDays'),
    };
    const row = ratioCheck(
      place,
      { demand: age, capacity: most, quantity: 'count', caution: null, ratio: 0 },
      told([`${what} is of ${day}, ${age} days ago. Is it still so?`]),
      [],
    );
    return [{ ...row, ratio: null, verdict: 'tight' as const }];
  });
}
