import { drawPath, type DrawPath } from './draw-path';
import { placePiece, type PlacePiece } from './place-piece';
import { liftAsOne, type LiftAsOne } from './lift-as-one';
import type { LiftsPlanned } from '../checks/lift/plan-lifts';
import { noCosts, type Costs } from '../document/things/costs';
import { original, type Draft } from 'immer';
import type { Chart } from '../cranes/chart-shape';
import type {
  Beam,
  Bearing,
  Brace,
  Crane,
  Duty,
  HoldRecord,
  Joint,
  Make,
  Member,
  Move,
  Obstruction,
  Pick,
  Piece,
  Plan,
  PowerLine,
  Stand,
  Support,
} from '../document/schema';
import { heldBy, listsOf, things, type Loose } from '../document/listed';
import type { ListName, PartList, ThingIn } from '../document/listed/paths';
import { sweep } from '../document/listed/sweep';
import type { Taken } from '../document/shared-gear';
import { change } from '../document/things/unsaid';

type Changes<T> = Partial<Omit<T, 'id'>>;
type Packing = Piece['packing'][number];
type Attachment = Piece['attachments'][number];

/** Lists a person adds to, changes and removes from in the same way. */
export type Lists = { [N in ListName]: ThingIn<N> };
export type { ListName } from '../document/listed/paths';

/** Every way a plan may be changed: name → arguments. Small and serialisable; undo, saving and the audit trail all use them. */
export interface CommandArguments {
  editJob: { changes: Partial<Omit<Plan['job'], 'thresholds'>> };
  /** an earlier revision, or an edit that was not saved, brought back whole */
  replacePlan: { plan: Plan };
  setThreshold: { key: string; /** null: back to the rule set's own */ value: number | null };
  addTo: { [N in ListName]: { list: N; thing: Lists[N] } & (N extends PartList ? { of: string } : object) }[ListName];
  editIn: { [N in ListName]: { list: N; id: string; changes: Changes<Lists[N]> } }[ListName];
  removeFrom: { list: ListName; id: string };
  /** one step, however many */
  importMembers: { add: Member[]; change: { id: string; changes: Changes<Member> }[] };
  /** one step, however many: what is new of the structure, and its moves before the one that is at that place; last where it is not said */
  addStructure: { makes: Make[]; pieces: Beam[]; supports: Support[]; joints: Joint[]; braces?: Brace[]; moves: Move[]; at?: number };
  editSurvey: { changes: Partial<Omit<Plan['survey'], 'openings' | 'overlays' | 'patterns' | 'lines'>> };
  /** earlier or later in its list */
  shiftIn: { list: 'legs' | 'strike'; id: string; to: number };
  recordHold: { hold: HoldRecord };
  /** of a hold point passed each day: which, by the move that ends it */
  withdrawHold: { id: HoldRecord['id']; day?: string | null };
  editPeople: { changes: Partial<Plan['people']> };
  editBearing: { id: string; changes: Changes<Bearing> };
  editPiece: { id: string; changes: Changes<Piece> };
  addPacking: { piece: string; packing: Packing };
  editPacking: { piece: string; id: string; changes: Changes<Packing> };
  removePacking: { piece: string; id: string };
  addAttachment: { piece: string; attachment: Attachment };
  editAttachment: { piece: string; id: string; changes: Changes<Attachment> };
  removeAttachment: { piece: string; id: string };
  editCrane: { id: string; changes: Changes<Crane> };
  /** of a crane, or one of its further charts */
  setChart: { id: string; chart: Chart; source: string };
  editStand: { id: string; changes: Changes<Stand> };
  editPick: { id: string; changes: Changes<Pick> };
  /** what is spliced on the ground to the piece of a pick and lifted with it */
  liftAsOne: LiftAsOne;
  /** the way of a pick goes by a place it is drawn to */
  drawPath: DrawPath;
  /** a piece of the structure, put where a hand puts it */
  placePiece: PlacePiece;
  setForecast: { gust: number | null };
  setStandingGust: { gust: number | null };
  /** a forecast by the hour, or none; a shift that it does not have goes */
  setForecastHours: { forecast: Plan['site']['forecast'] };
  setShift: { shift: Plan['site']['shift'] };
  editCosts: { changes: Partial<Costs> };
  setWalked: { walked: Plan['site']['walked'] };
  setTogether: { together: Plan['site']['together'] };
  /** one step: gear of another job, with ids of its own */
  takeGear: Taken;
  addObstruction: { obstruction: Obstruction };
  editObstruction: { id: string; changes: Changes<Obstruction> };
  removeObstruction: { id: string };
  addPowerLine: { line: PowerLine };
  editPowerLine: { id: string; changes: Changes<PowerLine> };
  removePowerLine: { id: string };
  addMove: { move: Move; at: number };
  /** one step, however many */
  addMoves: { moves: Move[]; at: number };
  /** one step: picks, the moves that lift by them, and the moves these need, each lot before a move or last */
  planLifts: LiftsPlanned;
  editMove: {
    id: string;
    changes: {
      bolts?: number | null;
      tight?: boolean | null;
      note?: string;
      what?: string;
      by?: string;
      pick?: string | null;
      checkedBy?: string;
      keeps?: number;
      level?: number;
      off?: number | null;
      on?: string | null;
      to?: number;
      pins?: number;
      fit?: 'asLies' | 'drawn';
    };
  };
  /** one step, however many things and moves it says the same of */
  editEach: { edits: { list: ListName; id: string; changes: object }[]; moves: { id: string; changes: CommandArguments['editMove']['changes'] }[] };
  shiftMove: { id: string; to: number };
  removeMove: { id: string };
}

export type CommandName = keyof CommandArguments;
export type Command = { [N in CommandName]: { name: N; args: CommandArguments[N] } }[CommandName];

type Run<N extends CommandName> = (plan: Draft<Plan>, args: CommandArguments[N]) => void;

/** A record of a hold point, passed once in a job or for a day. */
const isRecord = (record: HoldRecord, id: HoldRecord['id'], day: string | null | undefined): boolean =>
  record.id === id && (record.day ?? null) === (day ?? null);

/** A command names something the plan does not have, or what may not go: refused, with the reason. */
export class NoSuchThing extends Error {}

function within<T extends { id: string }>(list: T[], id: string, what: string): T {
  const one = list.find((candidate) => candidate.id === id);
  if (!one) throw new NoSuchThing(`The plan has no ${what} “${id}”: it may have been removed.`);
  return one;
}

function without<T extends { id: string }>(list: T[], id: string, what: string): void {
  list.splice(list.indexOf(within(list, id, what)), 1);
}

function shift<T extends { id: string }>(list: T[], id: string, to: number, what: string): void {
  const one = within(list, id, what);
  list.splice(list.indexOf(one), 1);
  list.splice(Math.min(Math.max(0, to), list.length), 0, one);
}

/** The list a new thing goes to. */
function listFor(plan: Draft<Plan>, args: CommandArguments['addTo']): Loose {
  const lists = listsOf(plan, args.list);
  const of = 'of' in args ? args.of : null;
  const found = lists.find(({ owner }) => owner === of);
  if (!found) throw new NoSuchThing(`The plan has no ${args.list === 'legs' ? things.ways.word : things.shoredLines.word} “${of}”: it may have been removed.`);
  return (found.holder[found.field] ??= []);
}

/** The list a thing of that id is in. */
const listWith = (plan: Draft<Plan>, name: ListName, id: string): Loose => {
  const found = listsOf(plan, name).find(({ list }) => list.some((one) => one.id === id));
  return found?.holder[found.field] ?? [];
};

export const runs: { [N in CommandName]: Run<N> } = {
  editJob: (plan, { changes }) => void Object.assign(plan.job, changes),
  setThreshold: (plan, { key, value }) => {
    if (value === null) delete plan.job.thresholds[key];
    else plan.job.thresholds[key] = value;
  },
  addTo: (plan, args) => void listFor(plan, args).push(args.thing),
  editIn: (plan, { list, id, changes }) => change(within(listWith(plan, list, id), id, things[list].word), changes),
  removeFrom: (plan, { list, id }) => {
    const own = listWith(plan, list, id);
    const by = heldBy((original(plan) ?? plan) as Plan, list, id);
    if (by !== null) throw new NoSuchThing(`This ${things[list].word} may not go while ${by} needs it: change that first.`);
    without(own, id, things[list].word);
    sweep(plan);
  },
  importMembers: (plan, { add, change: changed }) => {
    const known = new Map(plan.members.map((member) => [member.id, member]));
    for (const { id, changes } of changed) {
      const member = known.get(id);
      if (!member) throw new NoSuchThing(`The plan has no member “${id}”: it may have been removed.`);
      change(member, changes);
    }
    plan.members.push(...add);
  },
  addStructure: (plan, { makes, pieces, supports, joints, braces = [], moves, at = plan.moves.length }) => {
    plan.structure.makes.push(...makes);
    plan.structure.pieces.push(...pieces);
    plan.structure.supports.push(...supports);
    plan.structure.joints.push(...joints);
    plan.structure.braces.push(...braces);
    plan.moves.splice(at, 0, ...moves);
  },
  editSurvey: (plan, { changes }) => void Object.assign(plan.survey, changes),
  shiftIn: (plan, { list, id, to }) => shift(listWith(plan, list, id), id, to, things[list].word),
  recordHold: (plan, { hold }) => {
    plan.holds = [...plan.holds.filter((one) => !isRecord(one, hold.id, hold.day)), hold];
  },
  withdrawHold: (plan, { id, day }) => {
    const kept = plan.holds.filter((one) => !isRecord(one, id, day));
    if (kept.length === plan.holds.length) throw new NoSuchThing(`The plan has no record of ${id}: it may have been withdrawn.`);
    plan.holds = kept;
  },
  replacePlan: (plan, { plan: other }) => void Object.assign(plan, other),
  editPeople: (plan, { changes }) => void Object.assign(plan.people, changes),
  editBearing: (plan, { id, changes }) => change(within(plan.bearings, id, 'bearing'), changes),
  editPiece: (plan, { id, changes }) => change(within(plan.pieces, id, 'piece'), changes),
  addPacking: (plan, { piece, packing }) => void within(plan.pieces, piece, 'piece').packing.push(packing),
  editPacking: (plan, { piece, id, changes }) => change(within(within(plan.pieces, piece, 'piece').packing, id, 'packing'), changes),
  removePacking: (plan, { piece, id }) => without(within(plan.pieces, piece, 'piece').packing, id, 'packing'),
  addAttachment: (plan, { piece, attachment }) => void within(plan.pieces, piece, 'piece').attachments.push(attachment),
  editAttachment: (plan, { piece, id, changes }) => change(within(within(plan.pieces, piece, 'piece').attachments, id, 'attachment'), changes),
  removeAttachment: (plan, { piece, id }) => without(within(plan.pieces, piece, 'piece').attachments, id, 'attachment'),
  editCrane: (plan, { id, changes }) => change(within(plan.cranes, id, 'crane'), changes),
  setChart: (plan, { id, chart, source }) =>
    void Object.assign(within<Crane | Duty>([...plan.cranes, ...(plan.duties ?? [])], id, 'crane or chart'), { chart, chartSource: source }),
  editStand: (plan, { id, changes }) => change(within(plan.stands, id, 'stand'), changes),
  editPick: (plan, { id, changes }) => change(within(plan.picks, id, 'pick'), changes),
  drawPath: (plan, args) => {
    within(plan.picks, args.pick, 'pick');
    drawPath(plan, args);
  },
  placePiece: (plan, args) => {
    within(plan.structure.pieces, args.id, 'piece');
    runs.editEach(plan, placePiece(plan, args));
  },
  liftAsOne: (plan, args) => {
    within(plan.picks, args.pick, 'pick');
    liftAsOne(plan, args);
    sweep(plan);
  },
  setForecast: (plan, { gust }) => void (plan.site.forecastGust = gust),
  setStandingGust: (plan, { gust }) => void (plan.site.standingGust = gust),
  setForecastHours: (plan, { forecast }) => {
    plan.site.forecast = forecast;
    const { shift } = plan.site;
    if (shift && !forecast?.hours.some(({ at }) => at === shift.from)) plan.site.shift = null;
  },
  setShift: (plan, { shift }) => void (plan.site.shift = shift),
  editCosts: (plan, { changes }) => void (plan.costs = { ...(plan.costs ?? noCosts()), ...changes }),
  setWalked: (plan, { walked }) => void (plan.site.walked = walked),
  setTogether: (plan, { together }) => void (plan.site.together = together),
  takeGear: (plan, { cranes, duties, yard }) => {
    plan.cranes.push(...cranes);
    if (duties.length > 0) (plan.duties ??= []).push(...duties);
    if (yard.length > 0) (plan.yard ??= []).push(...yard);
  },
  addObstruction: (plan, { obstruction }) => void plan.site.obstructions.push(obstruction),
  editObstruction: (plan, { id, changes }) => change(within(plan.site.obstructions, id, 'obstruction'), changes),
  removeObstruction: (plan, { id }) => without(plan.site.obstructions, id, 'obstruction'),
  addPowerLine: (plan, { line }) => void plan.site.powerLines.push(line),
  editPowerLine: (plan, { id, changes }) => change(within(plan.site.powerLines, id, 'power line'), changes),
  removePowerLine: (plan, { id }) => without(plan.site.powerLines, id, 'power line'),
  addMove: (plan, { move, at }) => void plan.moves.splice(at, 0, move),
  addMoves: (plan, { moves, at }) => void plan.moves.splice(at, 0, ...moves),
  editMove: (plan, { id, changes }) => change(within(plan.moves, id, 'move'), changes),
  planLifts: (plan, { picks, hangs, put }) => {
    plan.picks.push(...picks);
    const known = new Map(plan.moves.map((move) => [move.id, move]));
    for (const { id, pick } of hangs) change(known.get(id) ?? within(plan.moves, id, 'move'), { pick });
    for (const { moves, before } of put) {
      const at = before === null ? plan.moves.length : plan.moves.indexOf(within(plan.moves, before, 'move'));
      plan.moves.splice(at, 0, ...moves);
    }
  },
  editEach: (plan, { edits, moves }) => {
    for (const { list, id, changes } of edits) change(within(listWith(plan, list, id), id, things[list].word), changes);
    const known = new Map(plan.moves.map((move) => [move.id, move]));
    for (const { id, changes } of moves) change(known.get(id) ?? within(plan.moves, id, 'move'), changes);
  },
  shiftMove: (plan, { id, to }) => shift(plan.moves, id, to, 'move'),
  removeMove: (plan, { id }) => without(plan.moves, id, 'move'),
};

/** What a person did, for the undo button and the audit trail. */
export const commandTitle: Record<CommandName, string> = {
  editJob: 'Change the job',
  replacePlan: 'Bring back a revision',
  setThreshold: 'Change a threshold',
  addTo: 'Add to a list',
  editIn: 'Change one of a list',
  removeFrom: 'Remove from a list',
  importMembers: 'Import members',
  addStructure: 'Add to the structure',
  editSurvey: 'Change the survey',
  shiftIn: 'Reorder a list',
  recordHold: 'Record a hold point',
  withdrawHold: 'Withdraw a hold point',
  editPeople: 'Change people',
  editBearing: 'Change a bearing',
  editPiece: 'Change the piece',
  addPacking: 'Add packing',
  editPacking: 'Change packing',
  removePacking: 'Remove packing',
  addAttachment: 'Add an attachment',
  editAttachment: 'Change an attachment',
  removeAttachment: 'Remove an attachment',
  editCrane: 'Change the crane',
  setChart: 'Replace the chart',
  editStand: 'Move the stand',
  editPick: 'Change the pick',
  liftAsOne: 'Change what is lifted as one',
  drawPath: 'Draw the way of the lift',
  placePiece: 'Put a piece in its place',
  setForecast: 'Change the forecast',
  setStandingGust: 'Change the gust that may come',
  setForecastHours: 'Take a forecast',
  setShift: 'Change the shift',
  editCosts: 'Say what something costs',
  setWalked: 'Say who looked for power lines',
  setTogether: 'Say who gives the word to cranes in one circle',
  takeGear: 'Take gear of another job',
  addObstruction: 'Add an obstruction',
  editObstruction: 'Change an obstruction',
  removeObstruction: 'Remove an obstruction',
  addPowerLine: 'Add a power line',
  editPowerLine: 'Change a power line',
  removePowerLine: 'Remove a power line',
  addMove: 'Add a move',
  addMoves: 'Add moves',
  editMove: 'Change a move',
  planLifts: 'Plan the lifts',
  editEach: 'Say the same of others',
  shiftMove: 'Reorder the moves',
  removeMove: 'Remove a move',
};
