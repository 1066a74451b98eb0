import type { Placed, PlacedModel } from '../model/placed';
import type { SteelRow, SteelRows } from '../steel/lists/rows';
import { findSection } from '../steel/sections';
import { placeOf } from '../document/place';
import { jointBy } from './meeting';
import { newJoint, newMake, newSupport, RunSheet } from './templates/base';
import type { CommandArguments } from './table';
import type { Beam, Joint, Make, Plan, Support } from '../document/schema';

/** What a person refuses of what was found, by its place in the list. */
export interface Refused {
  joints: ReadonlySet<number>;
  supports: ReadonlySet<number>;
}

export interface StructureImport {
  command: CommandArguments['addStructure'];
  /** what of it does not come in, and why */
  left: string[];
}

/** Steeper than this a piece is a column, whose place is its axis; a beam’s is its underside [sine of the slope]. */
const STEEP = Math.sin((70 * Math.PI) / 180);

interface Come {
  piece: Beam;
  length: number;
  /** whether its ends are the other way about than in the model */
  turned: boolean;
}

/** The pieces of a model where they stand, with the joints and supports a person takes: as they lie, nothing moved to meet. */
export function structureOf(
  plan: Plan,
  { rows, asked = [] }: Pick<SteelRows, 'rows' | 'asked'>,
  found: PlacedModel,
  refused: Refused,
  sheet: boolean,
  freshId: (prefix: string) => string,
): StructureImport {
  const left: string[] = [];
  // A section that the model says two ways is neither until somebody has chosen.
  const doubted = new Set(asked.filter(({ about }) => about === 'section').flatMap(({ marks }) => marks ?? rows.map(({ mark }) => mark)));
  const there = new Set(plan.structure.pieces.map(({ mark }) => mark));
  const come = new Map<string, Come>();
  const makes = new Map<string, Make>();
  const byMark = new Map(rows.map((row) => [row.mark, row]));
  let before = 0;
  for (const one of found.pieces) {
    const row = byMark.get(one.mark);
    if (!row) continue;
    if (there.has(one.name)) {
      before += 1;
      continue;
    }
    const make = makes.get(row.mark) ?? makeOf(row, doubted.has(row.mark), freshId('mk'));
    makes.set(row.mark, make);
    come.set(one.name, placed(one, make.id, freshId('pc')));
  }
  if (before > 0) left.push(`${before} of these marks stand in the structure already and are left as they are.`);
  // What the model lists and puts nowhere is listed here, not placed.
  const unplaced = rows.flatMap((row): Beam[] => {
    const missing = row.count - found.pieces.filter(({ mark }) => mark === row.mark).length;
    if (!(missing > 0) || there.has(row.mark)) return [];
    const make = makes.get(row.mark) ?? makeOf(row, doubted.has(row.mark), freshId('mk'));
    makes.set(row.mark, make);
    return Array.from({ length: Math.min(missing, 1000) }, () => ({ id: freshId('pc'), mark: row.mark, make: make.id, weighed: null, from: null, to: null }));
  });
  const at = ({ turned, length }: Come, along: number) => Math.min(length, Math.max(0, turned ? length - along : along));
  const joints: Joint[] = [];
  let other = 0;
  found.joints.forEach((one, i) => {
    const [a, b] = [come.get(one.a), come.get(one.b)];
    if (refused.joints.has(i) || !a || !b) return;
    const [from, to] = [a, b].map(({ piece }) => placeOf(piece));
    const joint =
      from && to ? jointBy(one.kind, { piece: a.piece.id, at: at(a, one.atA), place: from }, { piece: b.piece.id, at: at(b, one.atB), place: to }) : null;
    if (!joint) {
      other += 1;
      return;
    }
    const [carried, carries] = joint.a.piece === a.piece.id ? [a, b] : [b, a];
    const name = `${carried.piece.mark} ${joint.kind === 'splice' ? 'to' : 'on'} ${carries.piece.mark}`;
    joints.push(newJoint(freshId('jt'), name, joint.kind, joint.a, joint.b));
  });
  if (other > 0) left.push(`${other} meet neither in line, nor on a web, nor on a column: what joins them is for you to say.`);
  const supports: Support[] = [];
  found.supports.forEach((one, i) => {
    const piece = come.get(one.piece);
    if (refused.supports.has(i) || !piece) return;
    const foot = one.kind === 'foot';
    supports.push({
      ...newSupport(
        freshId('su'),
        `${foot ? 'Base' : 'Bearing'} of ${piece.piece.mark}${foot || !piece.piece.from ? '' : at(piece, one.at) > 0 ? ', second end' : ', first end'}`,
        foot ? 'anchors' : 'bearing',
        piece.piece.id,
        at(piece, one.at),
      ),
      ...(foot ? { along: 'fixed' as const } : {}),
    });
  });
  const pieces = [...[...come.values()].map(({ piece }) => piece), ...unplaced];
  return {
    command: {
      makes: [...makes.values()],
      pieces,
      supports,
      joints,
      moves: sheet
        ? fromTheGroundUp(
            [...come.values()].map(({ piece }) => piece),
            supports,
            joints,
            freshId,
          )
        : [],
    },
    left,
  };
}

function makeOf(row: SteelRow, doubted: boolean, id: string): Make {
  const known = !doubted && findSection(row.section);
  return {
    ...newMake(
      id,
      row.mark,
      known ? { kind: 'section', section: row.section } : { kind: 'plain', what: doubted ? `${row.section}, or as it is drawn?` : row.section },
      row.length,
      row.grade,
    ),
    mass: row.mass,
  };
}

/** A column by its axis, from its foot up; a beam by its underside. */
function placed({ name, from, to, up }: Placed, make: string, id: string): Come {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
  const steep = Math.abs(to[2] - from[2]) / length > STEEP;
  const turned = steep && from[2] > to[2];
  const point = ([x, y, z]: Placed['from']) => ({ x: round(x), y: round(y), z: round(steep ? z : z - up) });
  const [first, second] = turned ? [to, from] : [from, to];
  return { piece: { id, mark: name, make, weighed: null, from: point(first), to: point(second) }, length, turned };
}
/** To the hundredth of a millimetre: what a model says beyond that is its own arithmetic. */
const round = (value: number): number => Math.round(value * 1e5) / 1e5;

/** An order that can be made: what stands on supports first, then what hangs on what stands, the lowest first. For a person to put right. */
function fromTheGroundUp(come: readonly Beam[], supports: readonly Support[], joints: readonly Joint[], freshId: (prefix: string) => string) {
  const sheet = new RunSheet();
  for (const { id } of supports) sheet.put({ kind: 'support.ready', support: id });
  const carriers = new Map<string, string[]>();
  const own = new Map<string, string[]>();
  const push = (map: Map<string, string[]>, key: string, value: string) => map.set(key, [...(map.get(key) ?? []), value]);
  const seated = new Set(supports.flatMap(({ seats }) => seats.map(({ piece }) => piece)));
  for (const { kind, a, b } of joints) {
    if (kind !== 'splice') push(carriers, a.piece, b.piece);
    else if (!seated.has(a.piece)) push(carriers, a.piece, b.piece);
    else if (!seated.has(b.piece)) push(carriers, b.piece, a.piece);
  }
  for (const { id, a, b } of joints) for (const piece of [a.piece, b.piece]) push(own, piece, id);
  const low = ({ from, to }: Beam) => Math.min(from?.z ?? 0, to?.z ?? 0);
  const waiting = [...come].sort((a, b) => low(a) - low(b) || (a.from?.x ?? 0) - (b.from?.x ?? 0) || (a.from?.y ?? 0) - (b.from?.y ?? 0));
  const standing = new Set<string>();
  const made = new Set<string>();
  const ends = new Map(joints.map(({ id, a, b }) => [id, [a.piece, b.piece] as const]));
  for (let turn = true; turn;) {
    turn = false;
    for (const one of waiting) {
      const { id } = one;
      if (standing.has(id) || !(carriers.get(id) ?? []).every((other) => standing.has(other))) continue;
      standing.add(id);
      turn = true;
      const now = (own.get(id) ?? []).filter((joint) => !made.has(joint) && ends.get(joint)!.every((piece) => standing.has(piece)));
      for (const joint of now) made.add(joint);
      sheet.set(id, now);
    }
  }
  sheet.fill([...made]);
  return sheet.moves.map((move) => ({ ...move, id: freshId('mv') }));
}

/** The same for pieces that are in the plan and that no move sets yet, with the supports and joints they are to have. */
export function firstRunSheet(plan: Plan, supports: readonly Support[], joints: readonly Joint[], freshId: (prefix: string) => string) {
  const ready = new Set(plan.moves.flatMap((move) => (move.kind === 'support.ready' ? [move.support] : [])));
  return fromTheGroundUp(
    plan.structure.pieces.filter(({ from, to }) => from !== null && to !== null),
    supports.filter(({ id }) => !ready.has(id)),
    joints,
    freshId,
  );
}
