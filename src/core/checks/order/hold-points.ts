import { phrase, q, type Phrase } from '../../calc/work';
import { metresPer, pascalsPer } from '../../units';
import type { Check } from '../../verdict/check';
import { holdsOf, waitsFor, type Hold, type HoldReading } from '../../document/holds';
import { readingOf, thingsOf, unread, type HoldThing } from '../../settle/hold-things';
import { moveWords } from '../../settle/move-words';
import { dayFault, dayOrder, namesPerson, saysSomething } from '../../document/records';
import type { HoldRecord } from '../../document/schema';
import type { Context } from '../context';
import { flatStop, missingCheck, on, told } from '../../verdict/build';
import { shoreLoad } from '../shores/loads';
import type { Onward } from '../structure/ground';

const SOURCE = 'Record: a named person’s pass with its evidence, its readings and its date';

/** Hold points of the work before the lift: each missing until someone has recorded it with all it asks for. */
export function holdChecks(context: Context, onward: ReadonlyMap<string, Onward>, lifts: readonly Check[]): Check[] {
  const { plan } = context;
  return holdsOf(plan).map((hold) => {
    const place = {
      id: `hold.${hold.id}`,
      ...on('hold', hold, hold.id),
      station: 'runSheet' as const,
      move: waitsFor(plan, hold),
      calc: 'record',
      source: SOURCE,
    };
    const record = plan.holds.find((one) => one.id === hold.id);
    const waiting = plan.moves.findIndex((move) => move.id === place.move);
    const halt = waiting < 0 ? '' : ` Move ${waiting + 1}, ${moveWords(plan, plan.moves[waiting]!).title}, waits for it.`;
    const head = `${hold.id} ${hold.title}`;
    if (!record) return missingCheck(place, 'count', `${head}: not recorded. It asks for ${hold.evidence}; signed by ${hold.signs}.${halt}`);
    const wrong = readingFault(context, hold, record, onward) ?? (hold.id === 'HP11' ? dayOff(context, record, lifts) : null);
    // What was read and may not be is a stop, whatever else the record lacks.
    if (wrong?.stop) return flatStop(place, 'count', told([`${head}: `, ...wrong.words, halt]), []);
    const faults = recordFaults(context, hold, record);
    const early = dayOrder(record.on, follows(plan, hold));
    if (faults.length === 0 && early !== null) return flatStop(place, 'count', told([`${head}: the record ${early}. Do it again.${halt}`]), []);
    if (faults.length > 0) return missingCheck(place, 'count', `${head}: ${faults.join('; ')}.${halt}`);
    const open = unread(plan, context.rules, hold, record);
    if (hold.reading && open.length > 0)
      return missingCheck(
        place,
        hold.reading.kind,
        `${head}: no number for ${open.map((thing) => thing.name).join(', ')}. It asks for the ${hold.reading.what}.${halt}`,
      );
    if (wrong) return { ...missingCheck(place, 'count', ''), finding: told([`${head}: `, ...wrong.words, halt]) };
    return {
      ...place,
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
  });
}

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

/** A day that is not the one of the shift, and a gust that a lift of this plan stops at. */
function dayOff({ plan }: Context, record: HoldRecord, lifts: readonly Check[]): { stop: boolean; words: Phrase } | null {
  const day = plan.site.shift?.from.slice(0, 10);
  if (day !== undefined && day !== record.on) return { stop: false, words: [`it is of ${record.on}, and the shift is on ${day}. Who says go on that day?`] };
  const gust = readingOf(record, 'shift');
  if (gust !== null && gust <= 0)
    return {
      stop: false,
      words: ['a strongest gust of nothing or less is no reading: the air is never that still for a shift. What did the anemometer show?'],
    };
  const first = lifts
    .filter((one) => one.id === 'lift.wind' && one.capacity !== null)
    .sort((a, b) => a.capacity! - b.capacity!)
    .find(({ capacity }) => gust !== null && gust > capacity!);
  if (!first || gust === null) return null;
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
