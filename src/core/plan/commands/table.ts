import type { Draft } from 'immer';
import type { Chart } from '../../cranes/chart-shape';
import type { Bearing, Crane, Move, Obstruction, Pick, Piece, Plan, PowerLine, Stand } from '../schema';

type Changes<T> = Partial<Omit<T, 'id'>>;
type Packing = Piece['packing'][number];
type Attachment = Piece['attachments'][number];

/** Every way a plan may be changed: name → arguments. Small and serialisable; undo, saving and the audit trail all use them. */
export interface CommandArguments {
  editJob: { changes: Partial<Omit<Plan['job'], 'thresholds'>> };
  setThreshold: { key: string; /** null: back to the rule set's own */ value: number | null };
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
  setChart: { id: string; chart: Chart; source: string };
  editStand: { id: string; changes: Changes<Stand> };
  editPick: { id: string; changes: Changes<Pick> };
  setForecast: { gust: number | null };
  addObstruction: { obstruction: Obstruction };
  editObstruction: { id: string; changes: Changes<Obstruction> };
  removeObstruction: { id: string };
  addPowerLine: { line: PowerLine };
  editPowerLine: { id: string; changes: Changes<PowerLine> };
  removePowerLine: { id: string };
  addMove: { move: Move; at: number };
  editMove: { id: string; changes: { bolts?: number | null; note?: string; what?: string } };
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

export const runs: { [N in CommandName]: Run<N> } = {
  editJob: (plan, { changes }) => void Object.assign(plan.job, changes),
  setThreshold: (plan, { key, value }) => {
    if (value === null) delete plan.job.thresholds[key];
    else plan.job.thresholds[key] = value;
  },
  editPeople: (plan, { changes }) => void Object.assign(plan.people, changes),
  editBearing: (plan, { id, changes }) => void Object.assign(within(plan.bearings, id, 'bearing'), changes),
  editPiece: (plan, { id, changes }) => void Object.assign(within(plan.pieces, id, 'piece'), changes),
  addPacking: (plan, { piece, packing }) => void within(plan.pieces, piece, 'piece').packing.push(packing),
  editPacking: (plan, { piece, id, changes }) => void Object.assign(within(within(plan.pieces, piece, 'piece').packing, id, 'packing'), changes),
  removePacking: (plan, { piece, id }) => without(within(plan.pieces, piece, 'piece').packing, id, 'packing'),
  addAttachment: (plan, { piece, attachment }) => void within(plan.pieces, piece, 'piece').attachments.push(attachment),
  editAttachment: (plan, { piece, id, changes }) => void Object.assign(within(within(plan.pieces, piece, 'piece').attachments, id, 'attachment'), changes),
  removeAttachment: (plan, { piece, id }) => without(within(plan.pieces, piece, 'piece').attachments, id, 'attachment'),
  editCrane: (plan, { id, changes }) => void Object.assign(within(plan.cranes, id, 'crane'), changes),
  setChart: (plan, { id, chart, source }) => void Object.assign(within(plan.cranes, id, 'crane'), { chart, chartSource: source }),
  editStand: (plan, { id, changes }) => void Object.assign(within(plan.stands, id, 'stand'), changes),
  editPick: (plan, { id, changes }) => void Object.assign(within(plan.picks, id, 'pick'), changes),
  setForecast: (plan, { gust }) => void (plan.site.forecastGust = gust),
  addObstruction: (plan, { obstruction }) => void plan.site.obstructions.push(obstruction),
  editObstruction: (plan, { id, changes }) => void Object.assign(within(plan.site.obstructions, id, 'obstruction'), changes),
  removeObstruction: (plan, { id }) => without(plan.site.obstructions, id, 'obstruction'),
  addPowerLine: (plan, { line }) => void plan.site.powerLines.push(line),
  editPowerLine: (plan, { id, changes }) => void Object.assign(within(plan.site.powerLines, id, 'power line'), changes),
  removePowerLine: (plan, { id }) => without(plan.site.powerLines, id, 'power line'),
  addMove: (plan, { move, at }) => void plan.moves.splice(at, 0, move),
  editMove: (plan, { id, changes }) => void Object.assign(within(plan.moves, id, 'move'), changes),
  shiftMove: (plan, { id, to }) => {
    const move = within(plan.moves, id, 'move');
    plan.moves.splice(plan.moves.indexOf(move), 1);
    plan.moves.splice(Math.min(Math.max(0, to), plan.moves.length), 0, move);
  },
  removeMove: (plan, { id }) => without(plan.moves, id, 'move'),
};

/** What a person did, for the undo button and the audit trail. */
export const commandTitle: Record<CommandName, string> = {
  editJob: 'Change the job',
  setThreshold: 'Change a threshold',
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
  setForecast: 'Change the forecast',
  addObstruction: 'Add an obstruction',
  editObstruction: 'Change an obstruction',
  removeObstruction: 'Remove an obstruction',
  addPowerLine: 'Add a power line',
  editPowerLine: 'Change a power line',
  removePowerLine: 'Remove a power line',
  addMove: 'Add a move',
  editMove: 'Change a move',
  shiftMove: 'Reorder the moves',
  removeMove: 'Remove a move',
};
