import { allShores } from './views';
import type { QuantityKind } from '../units';
import { temporarySupports } from './things/support-kinds';
import type { HoldId } from './hold-ids';
import type { HoldRecord, Move, MoveKind, Plan } from './schema';
import { dayName, workDays, type WorkDay } from './work-days';

/** A number a hold point asks for, once for each thing it is for. */
export interface HoldReading {
  what: string;
  kind: QuantityKind;
  /** the things it is read of */
  of: 'pours' | 'spans' | 'shores' | 'lineShores' | 'pockets' | 'strikeSteps' | 'shift';
}

/** A hold point: work below it does not begin until a named person has recorded a pass with its evidence and time. */
export interface Hold {
  id: HoldId;
  title: string;
  /** what the person is asked to put down */
  evidence: string;
  signs: string;
  /** asked of every job, only where shores stand, where something is lifted, where something is pushed, or where days end */
  asked: 'always' | 'shores' | 'lifts' | 'launches' | 'days';
  /** passed anew on each day that has work below it; or at the end of each day */
  daily?: 'begins' | 'ends';
  /** the number it asks for; null where a record in words is enough */
  reading: HoldReading | null;
  /** hold points it follows: it is not signed before them */
  after: readonly HoldId[];
  /** the work below it: no move of these kinds before it is passed */
  before: readonly MoveKind[] | 'any';
}

const arrival: readonly MoveKind[] = ['piece.deliver', 'piece.sling', 'pick.lift', 'member.set', 'piece.hang', 'launch.build'];
const onSupports: readonly MoveKind[] = ['bearing.ready', 'piece.land', 'member.set', 'support.ready', 'piece.hang', 'launch.lower'];

export const holds: readonly Hold[] = [
  {
    id: 'HP0',
    title: 'Method and member chosen',
    evidence: 'the method, and why the others were not taken',
    signs: 'owner, engineer, erector',
    asked: 'always',
    reading: null,
    after: [],
    before: 'any',
  },
  { id: 'HP1', title: 'Design issued', evidence: 'drawing numbers and revision', signs: 'engineer', asked: 'always', reading: null, after: [], before: 'any' },
  { id: 'HP2', title: 'Permit held', evidence: 'permit number', signs: 'inspector', asked: 'always', reading: null, after: [], before: 'any' },
  {
    id: 'HP3',
    title: 'Way in and clashes checked',
    evidence: 'longest piece against each turn, opening and gap',
    signs: 'erector, fabricator',
    asked: 'always',
    reading: null,
    after: [],
    before: arrival,
  },
  {
    id: 'HP4',
    title: 'Shop drawings signed',
    evidence: 'drawing numbers and revision',
    signs: 'fabricator',
    asked: 'always',
    reading: null,
    after: ['HP1'],
    before: arrival,
  },
  {
    id: 'HP5',
    title: 'Site measured after the last strip-out',
    evidence: 'date of strip-out, date of measure, who measured',
    signs: 'fabricator',
    asked: 'always',
    reading: null,
    after: [],
    before: arrival,
  },
  {
    id: 'HP6',
    title: 'Trial fit or works inspection passed',
    evidence: 'what was fitted or inspected, and the result',
    signs: 'inspector',
    asked: 'always',
    reading: null,
    after: ['HP4'],
    before: arrival,
  },
  {
    id: 'HP7',
    title: 'Concrete has its strength',
    evidence: 'each pour, its age and test result',
    signs: 'engineer',
    asked: 'always',
    reading: { what: 'strength tested', kind: 'strength', of: 'pours' },
    after: [],
    before: onSupports,
  },
  {
    id: 'HP8',
    title: 'Bearings as built within tolerance',
    evidence: 'place and level of each bearing; sum of spans',
    signs: 'surveyor',
    asked: 'always',
    reading: { what: 'length surveyed', kind: 'length', of: 'spans' },
    after: [],
    before: onSupports,
  },
  {
    id: 'HP9',
    title: 'Temporary works checked and tagged',
    evidence: 'allowed load, applied load, who checked',
    signs: 'temporary works engineer',
    asked: 'shores',
    reading: { what: 'load allowed on it in all', kind: 'force', of: 'shores' },
    after: [],
    before: ['line.open', 'piece.land', 'piece.hang'],
  },
  {
    id: 'HP10',
    title: 'Lift plan signed',
    evidence: 'revision of the lift plan, its heaviest lift and the share used, the gust it stops at',
    signs: 'lift leader',
    asked: 'lifts',
    reading: null,
    after: ['HP1'],
    before: ['piece.sling', 'pick.trial', 'pick.lift', 'piece.hang'],
  },
  {
    id: 'HP11',
    title: 'Go for the day',
    evidence: 'wind against the limit of each lift, rain, water and light; hours the crew has been awake; the area shut and empty; supports still passed',
    signs: 'lift leader, foreman',
    asked: 'lifts',
    daily: 'begins',
    reading: { what: 'strongest gust measured', kind: 'speed', of: 'shift' },
    after: ['HP9', 'HP10'],
    before: ['piece.sling', 'pick.trial', 'pick.lift', 'piece.hang'],
  },
  {
    id: 'HP12',
    title: 'Both sides and all storeys above carry',
    evidence: 'props tight, base readings taken',
    signs: 'foreman',
    asked: 'shores',
    reading: { what: 'base reading', kind: 'dimension', of: 'lineShores' },
    after: ['HP9'],
    before: ['line.open'],
  },
  {
    id: 'HP13',
    title: 'Pocket measured against the packed beam',
    evidence: 'pocket width and packed width',
    signs: 'builder',
    asked: 'shores',
    reading: { what: 'pocket width measured', kind: 'dimension', of: 'pockets' },
    after: [],
    before: ['member.set'],
  },
  {
    id: 'HP14',
    title: 'Safe at the end of the day',
    evidence: 'nothing half taken out; each piece landed, locked or let go, hoists chained off; guys and props looked at; the place shut',
    signs: 'foreman',
    asked: 'days',
    daily: 'ends',
    reading: null,
    after: [],
    before: 'any',
  },
  {
    id: 'HP20',
    title: 'Launch worked out, its line taken',
    evidence: 'factor at every metre, what pulls and what holds it back, roller loads, the hours the line below is closed',
    signs: 'bridge engineer',
    asked: 'launches',
    reading: null,
    after: ['HP1'],
    before: ['launch.push'],
  },
  {
    id: 'HP21',
    title: 'Landing confirmed, side stops on',
    evidence: 'where it lies against where it is to lie, and the stops that keep it there',
    signs: 'bridge engineer',
    asked: 'launches',
    reading: null,
    after: ['HP20'],
    before: ['launch.lower'],
  },
  {
    id: 'HP26',
    title: 'Permission to strike',
    evidence: 'readings before, and after',
    signs: 'engineer, inspector',
    asked: 'shores',
    reading: { what: 'reading before it is struck', kind: 'dimension', of: 'strikeSteps' },
    after: ['HP12', 'HP13'],
    before: ['shore.strike', 'support.strike'],
  },
];

/** The hold points a plan is asked for. */
export const holdsOf = (plan: Plan): readonly Hold[] => {
  const shored = allShores(plan).length > 0;
  // Where steel alone stands for a time there is no line to open and no pocket; there is temporary works to check and to strike.
  const temporary = plan.structure.supports.some((one) => temporarySupports.includes(one.kind));
  const lifts = plan.picks.length + (plan.raises?.length ?? 0) > 0;
  return holds.filter((hold) => {
    if (hold.asked === 'lifts') return lifts;
    if (hold.asked === 'days') return workDays(plan.moves).some(({ end }) => end !== null);
    if (hold.asked === 'launches') return (plan.launches ?? []).length > 0;
    return hold.asked === 'always' || shored || (temporary && (hold.id === 'HP9' || hold.id === 'HP26'));
  });
};

/** The moves that wait for a hold point, by what they do. */
function waiting(plan: Plan, hold: Hold): (move: Move) => boolean {
  const kinds = hold.before;
  // What is raised without a crane comes up with the move that sets it.
  const raised = new Set(hold.asked === 'lifts' ? plan.raises?.map(({ load }) => load) : []);
  return (move) => kinds === 'any' || kinds.includes(move.kind) || (move.kind === 'member.set' && raised.has(move.opening));
}

/** A hold point as it is asked: once in a job, or once for each day. */
export interface Asked {
  hold: Hold;
  /** null: of the whole job, which has one of it */
  day: WorkDay | null;
  /** the first move of the run sheet that waits for it; null when none does */
  waits: string | null;
}

/** Each hold point of a plan as often as it has to be passed. */
export const holdsAsked = (plan: Plan): readonly Asked[] =>
  holdsOf(plan).flatMap((hold): Asked[] => {
    const waits = waiting(plan, hold);
    const days = hold.daily ? workDays(plan.moves) : [];
    if (days.length === 0) return [{ hold, day: null, waits: plan.moves.find(waits)?.id ?? null }];
    if (hold.daily === 'ends') return days.flatMap((day): Asked[] => (day.end ? [{ hold, day, waits: plan.moves[day.to]?.id ?? null }] : []));
    return days.flatMap((day): Asked[] => {
      const first = plan.moves.slice(day.from, day.to).find(waits);
      return first ? [{ hold, day, waits: first.id }] : [];
    });
  });

/** Which day a hold point is passed for, by the move that ends it; null: for the whole job, or for the last day, which nothing ends. */
export const dayId = ({ day }: { day: WorkDay | null }): string | null => day?.end?.id ?? null;

/** What was recorded of a hold point. */
export const recordOf = (plan: Plan, asked: Asked): HoldRecord | undefined =>
  plan.holds.find((one) => one.id === asked.hold.id && (!asked.hold.daily || (one.day ?? null) === dayId(asked)));

/** Records that are of no hold point this plan asks for: of a day that its run sheet does not have. */
export const strayRecords = (plan: Plan): readonly HoldRecord[] => {
  const asked = holdsAsked(plan);
  const daily = new Set(asked.flatMap(({ hold }) => (hold.daily ? [hold.id] : [])));
  return plan.holds.filter((record) => daily.has(record.id) && !asked.some((one) => one.hold.id === record.id && dayId(one) === (record.day ?? null)));
};

/** A hold point by its number and name, and the day. */
export const holdName = ({ hold, day }: { hold: Hold; day: WorkDay | null }): string => `${hold.id} ${hold.title}${day ? `, ${dayName(day)}` : ''}`;
