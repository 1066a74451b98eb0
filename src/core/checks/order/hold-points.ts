import { phrase, q, type Phrase } from '../../calc/work';
import { metresPer, pascalsPer } from '../../units';
import type { Check } from '../../verdict/check';
import { dayId, holdName, holds, holdsAsked, recordOf, strayRecords, type Asked, type Hold, type HoldReading } from '../../document/holds';
import { readingOf, thingsOf, unread, type HoldThing } from '../../settle/hold-things';
import { standing } from '../../replay/standing';
import { moveWords } from '../../settle/move-words';
import { dayFault, dayOrder, namesPerson, saysSomething } from '../../document/records';
import type { HoldRecord } from '../../document/schema';
import type { Context } from '../context';
import { flatStop, missingCheck, on, told, type Place } from '../../verdict/build';
import { shoreLoad } from '../shores/loads';
import type { Onward } from '../structure/ground';

const SOURCE = 'Record: a named person’s pass with its evidence, its readings and its date';

/** Hold points of the work before the lift: each missing until someone has recorded it with all it asks for, on each day it is passed anew. */
export function holdChecks(context: Context, onward: ReadonlyMap<string, Onward>, lifts: readonly Check[]): Check[] {
  const { plan } = context;
  const order = new Map(plan.moves.map(({ id }, at) => [id, at]));
  const rows = holdsAsked(plan).map((asked): Check => {
    const { hold, waits } = asked;
    const at = waits === null ? undefined : order.get(waits);
    const row: Place = { ...placeOf(hold, dayId(asked)), move: waits };
    const halt = at === undefined ? '' : ` Move ${at + 1}, ${moveWords(plan, plan.moves[at]!).title}, waits for it.`;
    const about = { asked, row, head: holdName(asked), halt };
    const record = recordOf(plan, asked);
    if (!record)
      return missingCheck(row, 'count', `${about.head}: not recorded. It asks for ${hold.evidence}; signed by ${hold.signs}.${leftAs(context, asked)}${halt}`);
    return recordCheck(context, about, record, onward, lifts);
  });
  const strays = strayRecords(plan).map((record, n): Check => {
    const hold = holds.find(({ id }) => id === record.id)!;
    return missingCheck(
      placeOf(hold, `no day ${n + 1}`),
      'count',
      `${hold.id} ${hold.title}: the record of ${record.by || 'nobody'} on ${record.on || 'no day'} is of a day that the run sheet does not have, or on which nothing waits for it. Which day is it of?`,
    );
  });
  return [...rows, ...strays];
}

/** What is left overnight, where the end of a day is what is passed. */
function leftAs({ plan, replayed }: Context, { hold, day }: Asked): string {
  const after = hold.daily === 'ends' && day ? replayed.steps[day.to - 1]?.after : undefined;
  if (!after) return '';
  const cranes = plan.stands.filter(({ id }) => after.cranesSet[id]).map(({ name }) => name);
  const left = [standing(plan, after, null), ...(cranes.length > 0 ? [`a crane at ${cranes.join(' and ')}`] : [])].filter((one) => one !== '');
  return left.length > 0 ? ` It is left so: ${left.join(' · ')}.` : '';
}

const placeOf = (hold: Hold, part: string | null): Place => ({
  id: `hold.${hold.id}`,
  ...on('hold', hold, hold.id, part ?? undefined),
  station: 'runSheet' as const,
  move: null,
  calc: 'record',
  source: SOURCE,
});

interface HoldRow {
  asked: Asked;
  row: Place;
  head: string;
  halt: string;
}

/** One record of a hold point: who, on what evidence, when, and what was read. */
function recordCheck(
  context: Context,
  { asked, row, head, halt }: HoldRow,
  record: HoldRecord,
  onward: ReadonlyMap<string, Onward>,
  lifts: readonly Check[],
): Check {
  const { plan } = context;
  const { hold } = asked;
  const wrong = worse(
    readingFault(context, hold, record, onward),
    dayFaultOf(context, asked, record),
    hold.id === 'HP11' ? windOff(context, asked, record, lifts) : null,
  );
  // What was read and may not be is a stop, whatever else the record lacks.
  if (wrong?.stop) return flatStop(row, 'count', told([`${head}: `, ...wrong.words, halt]), []);
  const faults = recordFaults(context, hold, record);
  const early = dayOrder(record.on, follows(plan, hold));
  if (faults.length === 0 && early !== null) return flatStop(row, 'count', told([`${head}: the record ${early}. Do it again.${halt}`]), []);
  if (faults.length > 0) return missingCheck(row, 'count', `${head}: ${faults.join('; ')}.${halt}`);
  const open = unread(plan, context.rules, hold, record);
  if (hold.reading && open.length > 0)
    return missingCheck(
      row,
      hold.reading.kind,
      `${head}: no number for ${open.map((thing) => thing.name).join(', ')}. It asks for the ${hold.reading.what}.${halt}`,
    );
  if (wrong) return { ...missingCheck(row, 'count', ''), finding: told([`${head}: `, ...wrong.words, halt]) };
  return {
    ...row,
    demand: null,
    capacity: null,
    quantity: 'count' as const,
    ratio: null,
    caution: null,
    verdict: 'clear' as const,
    finding: {
      code: 'told' as const,
      words: [`${head}: passed by ${record.by} on ${record.on} (${record.evidence}${record.value ? `; ${record.value}` : ''}).`],
    },
    traces: [],
  };
}

/** The first that is a stop, or else the first that is asked about. */
const worse = (...found: readonly (Wrong | null)[]): Wrong | null => found.find((one) => one?.stop) ?? found.find((one) => one !== null) ?? null;

/** What is wrong with who signed, what was put down, and when. */
function recordFaults({ today }: Context, hold: Hold, record: HoldRecord): string[] {
  const faults: string[] = [];
  if (!namesPerson(record.by)) faults.push(record.by.trim() === '' ? 'the record lacks who' : `“${record.by.trim()}” is not a person’s name: who signed?`);
  if (!saysSomething(record.evidence))
    faults.push(record.evidence.trim() === '' ? 'the record lacks evidence' : `“${record.evidence.trim()}” is no evidence: it asks for ${hold.evidence}`);
  const date = dayFault(record.on, today);
  if (date !== null) faults.push(record.on.trim() === '' ? 'the record lacks when' : `the record ${date}`);
  return faults;
}

/** What a hold point comes after: other hold points, and the tests and measures it speaks of. */
function follows(plan: Context['plan'], hold: Hold): { on: string; what: string }[] {
  const signed = hold.after.flatMap((id) => plan.holds.filter((one) => one.id === id).map((one) => ({ on: one.on, what: id })));
  const measured = [
    ...[...plan.bearings, ...plan.structure.supports].flatMap((one) => (one.measured ? [{ on: one.measured.on, what: `the measure of ${one.name}` }] : [])),
    ...plan.survey.openings.map((one) => ({ on: one.on, what: `the measure of ${one.name}` })),
  ];
  switch (hold.id) {
    case 'HP5':
      return [...signed, { on: plan.survey.strippedOn, what: 'the strip-out' }, ...measured];
    case 'HP7':
      return [
        ...signed,
        ...[...plan.bearings, ...plan.structure.supports].flatMap((one) =>
          one.footing?.kind === 'concrete' ? [{ on: one.footing.on, what: `the test of ${one.name}` }] : [],
        ),
      ];
    case 'HP8':
      return [...signed, ...measured];
    case 'HP10':
    case 'HP11':
      return [...signed, { on: plan.survey.changedOn, what: 'the last change of the layout' }];
    default:
      return signed;
  }
}

/** Two figures for one strength or pocket, as shares of each other; two lengths, in metres. */
const SAME_SHARE = 0.02;
const SAME_LENGTH = 0.01;

const agree = (kind: string, a: number, b: number): boolean =>
  kind === 'length' ? Math.abs(a - b) <= SAME_LENGTH : Math.abs(a - b) <= SAME_SHARE * Math.max(Math.abs(a), Math.abs(b));

/** What the tags of shores allow wherever they were met (common practice) [N]. */
const TAG = { least: 500, most: 5e6 };

interface Wrong {
  stop: boolean;
  words: Phrase;
}

/** A number that is under its limit, or that the plan contradicts: a stop before whatever is only asked. */
function readingFault(context: Context, hold: Hold, record: HoldRecord, onward: ReadonlyMap<string, Onward>): Wrong | null {
  const { reading } = hold;
  if (!reading) return null;
  const wrong = thingsOf(context.plan, context.rules, reading.of).flatMap((thing) => {
    const value = readingOf(record, thing.id);
    return value === null ? [] : wrongOf(context, reading, thing, value, onward);
  });
  return wrong.find(({ stop }) => stop) ?? wrong[0] ?? contradicts(context, hold, record);
}

/** What is wrong with one number read. */
function wrongOf(context: Context, { kind, what, of }: HoldReading, thing: HoldThing, value: number, onward: ReadonlyMap<string, Onward>): Wrong[] {
  const applied = of === 'shores' ? (shoreLoad(context, thing.id) ?? onward.get(thing.id)?.plain ?? null) : null;
  if (applied !== null && !(applied < value))
    return [{ stop: true, words: phrase`${thing.name} takes ${q(applied, kind)}; its tag allows ${q(value, kind)}.` }];
  if (of === 'shores' && (value < TAG.least || value > TAG.most))
    return [
      {
        stop: false,
        words: phrase`the tag of ${thing.name} allows ${q(value, kind)}, it says. Shores are good for ${q(TAG.least, kind)} to ${q(TAG.most, kind)} wherever they were met. Which unit was meant?`,
      },
    ];
  if (thing.least !== null && value < thing.least)
    return [{ stop: true, words: phrase`${what} of ${thing.name} is ${q(value, kind)}; ${q(thing.least, kind)} is needed.` }];
  if (thing.says !== null && !agree(kind, value, thing.says))
    return [{ stop: false, words: phrase`${what} of ${thing.name} is ${q(value, kind)} here, and ${q(thing.says, kind)} in the plan. Which is right?` }];
  return [];
}

/** What is passed for a day is passed on it. */
function dayFaultOf({ plan }: Context, { hold, day }: Asked, record: HoldRecord): Wrong | null {
  if (!hold.daily) return null;
  const ends = day?.end?.on ?? null;
  if (ends !== null) return ends === record.on ? null : { stop: false, words: [`it is of ${record.on}, and that day is ${ends}. Who says so on that day?`] };
  const shift = plan.site.shift?.from.slice(0, 10);
  // Of several days the shift is of one of them.
  return day !== null || hold.daily === 'ends' || shift === undefined || shift === record.on
    ? null
    : { stop: false, words: [`it is of ${record.on}, and the shift is on ${shift}. Who says go on that day?`] };
}

/** Smoke rises straight up under this (Beaufort 0, from memory) [m/s]: no shift has no stronger gust. */
const CALM = 0.3;

/** A gust that a lift of that day stops at. */
function windOff({ plan }: Context, { day }: Asked, record: HoldRecord, lifts: readonly Check[]): Wrong | null {
  const gust = readingOf(record, 'shift');
  if (gust === null) return null;
  if (gust < CALM)
    return {
      stop: false,
      words: ['a strongest gust of next to nothing is no reading: the air is never that still for a shift. What did the anemometer show?'],
    };
  const ofDay = new Set(day ? plan.moves.slice(day.from, day.to).map(({ id }) => id) : []);
  const first = lifts
    .filter((one) => one.id === 'lift.wind' && one.capacity !== null && (day === null || one.move === null || ofDay.has(one.move)))
    .sort((a, b) => a.capacity! - b.capacity!)
    .find(({ capacity }) => gust > capacity!);
  if (!first) return null;
  return { stop: true, words: phrase`gusts of ${q(gust, 'speed')} were measured; ${first.subject} may be lifted up to ${q(first.capacity!, 'speed')}. Wait.` };
}

const pascals: Record<string, number> = { mpa: 1e6, 'n/mm²': 1e6, 'n/mm2': 1e6, psi: pascalsPer.psi, ksi: pascalsPer.ksi };
const metres: Record<string, number> = { m: 1, mm: 1e-3, ft: metresPer.ft };
const FIGURES = String.raw`((?:\d+(?:[.,]\d+)?\s*(?:,|;|/|and|to|und|et)\s*)*\d+(?:[.,]\d+)?)\s*`;

/** Figures with their unit in a text, in SI: “34 and 33 MPa” is two. */
function figuresIn(text: string, units: Record<string, number>): number[] {
  const names = Object.keys(units)
    .sort((a, b) => b.length - a.length)
    .map((one) => one.replace('/', '\\/'));
  const found = text.toLowerCase().matchAll(new RegExp(`${FIGURES}(${names.join('|')})(?![\\p{L}²2³3/])`, 'gu'));
  return [...found].flatMap(([, list = '', unit = '']) =>
    (list.match(/\d+(?:[.,]\d+)?/g) ?? []).map((one) => Number(one.replace(',', '.')) * (units[unit] ?? 1)),
  );
}

/** The words of a record against the figures of the plan: a strength or a span that the plan does not know is asked about. */
function contradicts({ plan, rules }: Context, hold: Hold, record: HoldRecord): { stop: boolean; words: Phrase } | null {
  if (hold.id !== 'HP7' && hold.id !== 'HP8') return null;
  const kind = hold.id === 'HP7' ? 'strength' : 'length';
  const known = [
    ...thingsOf(plan, rules, hold.id === 'HP7' ? 'pours' : 'spans').flatMap((one) => (one.says === null ? [] : [one.says])),
    ...(record.readings ?? []).map((one) => one.value),
    ...(hold.id === 'HP8'
      ? [...plan.bearings.map((one) => one.level), ...plan.bearings.map((one) => one.seatLength), ...plan.bearings.map((one) => one.seatWidth)]
      : []),
  ];
  if (known.length === 0) return null;
  const said = figuresIn(`${record.evidence}; ${record.value}`, hold.id === 'HP7' ? pascals : metres);
  const odd = said.find((one) => !known.some((two) => agree(kind, one, two)));
  return odd === undefined ? null : { stop: false, words: phrase`its words say ${q(odd, kind)}, which nothing in the plan is. Which is right?` };
}
