import { drawPath, type DrawPath } from './draw-path';
import { placePiece, type PlacePiece } from './place-piece';
import { liftAsOne, type LiftAsOne } from './lift-as-one';
import type { LiftsPlanned } from '../checks/lift/plan-lifts';
import { noCosts, type Costs } from '../document/things/costs';
import { refsOfMove, type Kind } from '../document/things/references';
import type { Draft } from 'immer';
import type { Chart } from '../cranes/chart-shape';
import type {
  Beam,
  Bearing,
  Bent,
  Brace,
  Crane,
  Duty,
  HoldRecord,
  Joint,
  Leg,
  Link,
  Make,
  Member,
  Move,
  Obstruction,
  Opening,
  Overlay,
  Pattern,
  Permit,
  Pick,
  Raise,
  Launch,
  Signaller,
  YardThing,
  Zone,
  Piece,
  Plan,
  PowerLine,
  PutLoad,
  SpanLine,
  ShoredLine,
  ShoreRow,
  ShoreWall,
  Stand,
  StockLine,
  Storey,
  StrikeStep,
  Support,
  Truck,
  Turn,
  Watch,
  WayIn,
} from '../document/schema';
import type { LiftString } from '../document/things/string';
import type { Taken } from '../document/shared-gear';
import { change } from '../document/things/unsaid';
import { standers } from '../document/standing-on';
import { allShores } from '../document/views';
import { isPulled } from '../document/yard';

type Changes<T> = Partial<Omit<T, 'id'>>;
type Packing = Piece['packing'][number];
type Attachment = Piece['attachments'][number];

/** Lists a person adds to, changes and removes from in the same way. */
export interface Lists {
  bearings: Bearing;
  openings: Opening;
  overlays: Overlay;
  patterns: Pattern;
  lines: SpanLine;
  links: Link;
  members: Member;
  ways: WayIn;
  legs: Leg;
  shoredLines: ShoredLine;
  storeys: Storey;
  bents: Bent;
  shoreWalls: ShoreWall;
  shoreRows: ShoreRow;
  strike: StrikeStep;
  stock: StockLine;
  watch: Watch;
  makes: Make;
  beams: Beam;
  supports: Support;
  joints: Joint;
  braces: Brace;
  putLoads: PutLoad;
  cranes: Crane;
  duties: Duty;
  stands: Stand;
  picks: Pick;
  raises: Raise;
  strings: LiftString;
  launches: Launch;
  zones: Zone;
  yard: YardThing;
  signallers: Signaller;
  trucks: Truck;
  turns: Turn;
  permits: Permit;
}
export type ListName = keyof Lists;
/** Lists there is one of in each shored line, or in each way in: what is added says to which, by its id. */
export type PartList = 'legs' | 'storeys' | 'shoreWalls' | 'shoreRows' | 'strike' | 'watch';

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
  withdrawHold: { id: HoldRecord['id'] };
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

/** A command names something the plan does not have: refused, with the name. */
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

const ownList = (plan: Draft<Plan>, name: Exclude<ListName, PartList>): { id: string }[] => {
  switch (name) {
    case 'openings':
    case 'overlays':
    case 'patterns':
    case 'lines':
      return plan.survey[name];
    case 'makes':
    case 'supports':
    case 'joints':
    case 'braces':
      return plan.structure[name];
    case 'beams':
      return plan.structure.pieces;
    case 'putLoads':
      return plan.structure.loads;
    case 'shoredLines':
      return plan.shoring.lines;
    case 'bents':
    case 'stock':
      return plan.shoring[name];
    case 'trucks':
    case 'turns':
    case 'permits':
      return plan.transport[name];
    case 'raises':
      return (plan.raises ??= []);
    case 'strings':
      return (plan.strings ??= []);
    case 'launches':
      return (plan.launches ??= []);
    case 'duties':
      return (plan.duties ??= []);
    case 'yard':
      return (plan.yard ??= []);
    case 'zones':
      return (plan.site.zones ??= []);
    case 'signallers':
      return (plan.site.signallers ??= []);
    default:
      return plan[name];
  }
};

type Loose = { id: string }[];
/** The list of a part in one shored line or one way in. */
const partsOf: { readonly [N in PartList]: (plan: Draft<Plan>) => { id: string; list: Loose }[] } = {
  legs: (plan) => plan.ways.map(({ id, legs }) => ({ id, list: legs })),
  storeys: (plan) => plan.shoring.lines.map(({ id, storeys }) => ({ id, list: storeys })),
  shoreWalls: (plan) => plan.shoring.lines.map(({ id, walls }) => ({ id, list: walls })),
  shoreRows: (plan) => plan.shoring.lines.map(({ id, rows }) => ({ id, list: rows })),
  strike: (plan) => plan.shoring.lines.map(({ id, strike }) => ({ id, list: strike })),
  watch: (plan) => plan.shoring.lines.map(({ id, watch }) => ({ id, list: watch })),
};
const isPart = (name: ListName): name is PartList => name in partsOf;

/** The list a new thing goes to. */
function listFor(plan: Draft<Plan>, args: CommandArguments['addTo']): Loose {
  if (!isPart(args.list)) return ownList(plan, args.list);
  const { of } = args as { of: string };
  const found = partsOf[args.list](plan).find(({ id }) => id === of);
  if (!found) throw new NoSuchThing(`The plan has no ${args.list === 'legs' ? 'way in' : 'shored line'} “${of}”: it may have been removed.`);
  return found.list;
}

/** The list a thing of that id is in. */
function listWith(plan: Draft<Plan>, name: ListName, id: string): Loose {
  if (!isPart(name)) return ownList(plan, name);
  return partsOf[name](plan).find(({ list }) => list.some((one) => one.id === id))?.list ?? [];
}

const structureWord = { makes: 1, beams: 1, supports: 1, joints: 1, braces: 1, putLoads: 1 } as const;

/** What a thing that went took with it: its pieces, what stood under them, joined and held them, and the moves of all these. */
function dropLoose(plan: Draft<Plan>): void {
  const { structure, moves } = plan;
  const has = <T extends { id: string }>(list: readonly T[]) => {
    const ids = new Set(list.map((one) => one.id));
    return (id: string) => ids.has(id);
  };
  const make = has(structure.makes);
  structure.pieces = structure.pieces.filter((one) => make(one.make));
  const beam = has(structure.pieces);
  for (const support of structure.supports) support.seats = support.seats.filter((seat) => beam(seat.piece));
  structure.supports = structure.supports.filter((one) => one.seats.length > 0);
  structure.joints = structure.joints.filter((one) => beam(one.a.piece) && beam(one.b.piece));
  structure.braces = structure.braces.filter((one) => beam(one.a.piece) && (one.b === null || beam(one.b.piece)));
  structure.loads = structure.loads.filter((one) => beam(one.piece));
  const [support, joint, brace, load] = [has(structure.supports), has(structure.joints), has(structure.braces), has(structure.loads)];
  for (const one of structure.joints) if (one.sharesWith !== null && !joint(one.sharesWith)) one.sharesWith = null;
  plan.stands = plan.stands.filter((one) => has(plan.cranes)(one.crane));
  if (plan.duties) plan.duties = plan.duties.filter((one) => has(plan.cranes)(one.crane));
  plan.picks = plan.picks.filter((one) => has(plan.stands)(one.stand) && (beam(one.piece) || has(plan.pieces)(one.piece)));
  const [stand, pick] = [has(plan.stands), has(plan.picks)];
  if (plan.raises) plan.raises = plan.raises.filter(({ load }) => beam(load) || has(plan.survey.openings)(load));
  // What is no piece any more is not pushed; a launch of nothing is none.
  for (const one of plan.launches ?? []) one.pieces = one.pieces.filter(({ piece }) => beam(piece));
  if (plan.launches) plan.launches = plan.launches.filter(({ pieces }) => pieces.length > 0);
  // A pick whose second crane went is lifted by the first alone, until somebody says otherwise.
  for (const one of plan.picks) if (one.second && !stand(one.second.stand)) one.second = null;
  // What is no piece any more hangs with none.
  for (const one of plan.picks) if (one.joined) one.joined = one.joined.filter((id) => beam(id) && id !== one.piece);
  // What no pick lifts any more hangs in no string; one beam alone is none.
  for (const one of plan.strings ?? []) one.picks = one.picks.filter((id) => pick(id));
  if (plan.strings) plan.strings = plan.strings.filter(({ picks }) => picks.length > 1);
  // A piece whose pick went is still hung: by what, is asked.
  for (const move of moves) if (move.kind === 'piece.hang' && move.pick && !pick(move.pick)) move.pick = null;
  const there: Partial<Record<Kind, (id: string) => boolean>> = { beam, support, joint, brace, load, stand, pick, launch: has(plan.launches ?? []) };
  const left = moves.filter((move) => refsOfMove(move as Move).every(({ kind, id }) => there[kind]?.(id) ?? true));
  moves.splice(0, Infinity, ...left);
}

/** A hoist that hung from what went hangs from nothing that is said. */
function freeHolds(plan: Draft<Plan>): void {
  const held = new Set([...allShores(plan as Plan), ...plan.links, ...plan.bearings, ...plan.structure.supports, ...plan.structure.pieces].map(({ id }) => id));
  for (const raise of plan.raises ?? [])
    for (const point of raise.points) if (point.kind === 'hoist' && point.hangsOn && !held.has(point.hangsOn)) point.hangsOn = null;
}

/** Gear that left the yard is in no lift and on no way. */
function freeGear(plan: Draft<Plan>): void {
  const yard = new Set((plan.yard ?? []).map(({ id }) => id));
  const legs = plan.ways.flatMap((way) => way.legs).filter(isPulled);
  for (const one of [...plan.picks, ...(plan.raises ?? []), ...legs]) if (one.gear) one.gear = one.gear.filter((id) => yard.has(id));
}

const listWord: Record<ListName, string> = {
  bearings: 'bearing',
  openings: 'opening',
  overlays: 'drawing clash',
  patterns: 'bolt pattern',
  lines: 'line of spans',
  links: 'link',
  members: 'member',
  ways: 'way in',
  legs: 'leg of the way in',
  shoredLines: 'shored line',
  storeys: 'storey',
  bents: 'bent',
  shoreWalls: 'temporary wall',
  shoreRows: 'row of props',
  strike: 'step of the strike',
  stock: 'line of the stock',
  watch: 'reading',
  makes: 'make',
  beams: 'piece of the structure',
  supports: 'support',
  joints: 'joint',
  braces: 'brace',
  putLoads: 'load',
  cranes: 'crane',
  duties: 'chart',
  stands: 'stand',
  picks: 'pick',
  raises: 'lift without a crane',
  strings: 'string of beams',
  launches: 'launch',
  zones: 'zone',
  yard: 'thing of the yard',
  signallers: 'signal person',
  trucks: 'truck',
  turns: 'turn of the road',
  permits: 'permit',
};

export const runs: { [N in CommandName]: Run<N> } = {
  editJob: (plan, { changes }) => void Object.assign(plan.job, changes),
  setThreshold: (plan, { key, value }) => {
    if (value === null) delete plan.job.thresholds[key];
    else plan.job.thresholds[key] = value;
  },
  addTo: (plan, args) => void listFor(plan, args).push(args.thing),
  editIn: (plan, { list, id, changes }) => change(within(listWith(plan, list, id), id, listWord[list]), changes),
  removeFrom: (plan, { list, id }) => {
    without(listWith(plan, list, id), id, listWord[list]);
    if (list in structureWord || list === 'cranes' || list === 'stands' || list === 'picks' || list === 'openings' || list === 'launches') dropLoose(plan);
    if (list === 'yard') freeGear(plan);
    freeHolds(plan);
    // What stood on a link that went stands on nothing that is said.
    if (list === 'links') for (const one of standers(plan as Plan)) one.standsOn = one.standsOn.filter((below) => below.link !== id);
    const { shoring } = plan;
    // What stands in a storey goes with it, and so do the steps that strike what is gone.
    if (list === 'storeys' || list === 'shoreWalls' || list === 'shoreRows')
      for (const line of shoring.lines) {
        const storeys = new Set(line.storeys.map((one) => one.id));
        line.walls = line.walls.filter((one) => storeys.has(one.storey));
        line.rows = line.rows.filter((one) => storeys.has(one.storey));
        const left = new Set([...line.walls, ...line.rows].map((one) => one.id));
        line.strike = line.strike.filter((step) => left.has(step.shore));
      }
    // What no longer is there carries or covers nothing.
    if (list === 'trucks' || list === 'permits') {
      const key = list === 'trucks' ? 'truck' : 'permit';
      for (const { travel } of plan.members) if (travel[key] === id) travel[key] = null;
    }
    // A move that sets or strikes what is gone goes too.
    if (list === 'shoredLines' || list === 'storeys' || list === 'shoreWalls' || list === 'shoreRows' || list === 'bents' || list === 'strike') {
      const lines = new Set(shoring.lines.map((one) => one.id));
      const shores = new Set([...shoring.lines.flatMap((line) => [...line.walls, ...line.rows]), ...shoring.bents].map((one) => one.id));
      const steps = new Set(shoring.lines.flatMap((line) => line.strike.map((one) => one.id)));
      plan.moves = plan.moves.filter(
        (move) =>
          !(('shore' in move && !shores.has(move.shore)) || ('step' in move && !steps.has(move.step)) || (move.kind === 'line.open' && !lines.has(move.line))),
      );
    }
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
  shiftIn: (plan, { list, id, to }) => shift(listWith(plan, list, id), id, to, listWord[list]),
  recordHold: (plan, { hold }) => {
    plan.holds = [...plan.holds.filter((one) => one.id !== hold.id), hold];
  },
  withdrawHold: (plan, { id }) => without(plan.holds, id, 'hold point record'),
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
    dropLoose(plan);
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
    for (const { list, id, changes } of edits) change(within(listWith(plan, list, id), id, listWord[list]), changes);
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
