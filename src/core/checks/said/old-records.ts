import { sequenceNeeds } from '../../gates/sequence.calc';
import type { AboutKind, Check, StationId } from '../../verdict/check';
import { addDays, isDay } from '../../units/day';
import { daysBetween } from '../../document/records';
import type { Context } from '../context';
import { ratioCheck, sourced, told, on } from '../../verdict/build';

interface Dated {
  kind: AboutKind;
  id: string;
  station: StationId;
  what: string;
  on: string;
}

/** What somebody measured, agreed or signed before a day, of the ground and of the work: both change with time. */
function recordsBefore({ plan }: Context, day: string): Dated[] {
  const { survey, structure, site } = plan;
  const found: Dated[] = [];
  // Of the many that are of late nothing is made.
  const note = (kind: AboutKind, id: string, station: StationId, on: string | undefined, what: () => string): void => {
    if (on !== undefined && on < day && isDay(on)) found.push({ kind, id, station, what: what(), on });
  };
  for (const { id, name, measured } of plan.bearings) note('bearing', id, 'measure', measured?.on, () => `The measure of ${name}`);
  for (const { id, name, measured } of structure.supports) note('support', id, 'measure', measured?.on, () => `The level of ${name}`);
  for (const { id, name, on } of survey.openings) note('opening', id, 'measure', on, () => `The measure of ${name}`);
  for (const { id, name, on } of survey.patterns) note('pattern', id, 'measure', on, () => `The survey of ${name}`);
  for (const { id, what, on } of survey.overlays) note('overlay', id, 'measure', on, () => `What was agreed of “${what}”`);
  for (const { id, name, guard } of site.powerLines) note('powerLine', id, 'gear', guard?.on, () => `What was agreed about ${name}`);
  note('job', 'site', 'gear', site.walked?.on, () => 'The walk for power lines');
  for (const { id, name, closed, edge } of site.zones ?? []) {
    note('zone', id, 'gear', closed?.on, () => `The closing of ${name}`);
    note('zone', id, 'gear', edge?.on, () => `What was worked out of the edge of ${name}`);
  }
  for (const { id, on } of plan.holds) note('job', id, 'runSheet', on, () => `The record of ${id}`);
  return found;
}

/** A record that is long past is no fault, and is looked at again: the ground has moved, the drawings have changed. */
export function oldRecordChecks(context: Context): Check[] {
  const { today, rules } = context;
  if (today === null) return [];
  const most = rules.value('recordDays');
  return recordsBefore(context, addDays(today, -most)).map(({ kind, id, station, what, on: day }) => {
    const age = daysBetween(day, today);
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
    return { ...row, ratio: null, verdict: 'tight' as const };
  });
}
