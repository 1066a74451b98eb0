import { add, leftOf, scale, type Vec } from '../geometry/plane';
import { Missing } from '../verdict/missing';
import type { Replay } from '../replay/replay';
import type { SettledPlan } from '../settle/settle';
import { forcesOf, type Line } from '../checks/structure/forces';
import { Carried } from '../checks/structure/carried';
import { settleBeams, type SettledBeam } from '../settle/model';
import { heightAt, pointAt, type Point } from '../document/place';
import { flatOf, riseOf } from '../settle/sloping';
import { rollingPose, type RollingPose } from '../checks/launch/pose';
import { beamAt, braceAt, isMade, jointAt, supportAt, type StructureMoment } from '../replay/moment';
import { rulesOf } from '../rules/rule-sets';
import { formatQuantity } from '../units';
import type { Shape, Style } from './draw-list';

interface Forces {
  beams: Map<string, SettledBeam>;
  /** lines that are another after each move, by its number */
  changes: { at: number; lines: Line[] }[];
}
const known = new WeakMap<Replay, Forces>();

/** The structure with its forces, worked out once for all moments of one replay. */
function forcesIn(plan: SettledPlan, replayed: Replay): Forces {
  let found = known.get(replayed);
  if (!found) {
    const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
    const beams = settleBeams(plan, rules);
    found = {
      beams,
      changes: forcesOf(
        plan,
        beams,
        replayed.steps.map(({ after }) => after.structure),
        rules,
      ).changes,
    };
    known.set(replayed, found);
  }
  return found;
}

/** What the drawings show of the structure at a moment: where each piece is, what each support carries. */
export interface StructurePose {
  moment: StructureMoment;
  beams: ReadonlyMap<string, SettledBeam>;
  /** the same where they are to be: their seats stay there */
  toBe: ReadonlyMap<string, SettledBeam>;
  /** on each support [N], as it is */
  carried: ReadonlyMap<string, number>;
  /** pieces that do not stand */
  falls: ReadonlySet<string>;
  /** what is on the rollers of a launch */
  rolling: RollingPose;
}

export function structurePose(plan: SettledPlan, replayed: Replay, cursor: number): StructurePose | null {
  if (plan.structure.pieces.length === 0) return null;
  const { beams, changes } = forcesIn(plan, replayed);
  const moment = (replayed.steps[Math.min(cursor, replayed.steps.length - 1)]?.after ?? replayed.before).structure;
  const falls = new Set<string>();
  for (const { at, lines } of changes) {
    if (at > cursor) break;
    for (const line of lines) {
      for (const id of line.beams) falls.delete(id);
      if (line.answers && !line.answers.plain.stable) for (const id of line.beams) falls.add(id);
    }
  }
  const rolling = rollingPose(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds), moment);
  const carried = new Carried(plan.structure.supports, changes).after(cursor, moment);
  return { moment, beams: placedNow(beams, rolling), toBe: beams, carried, falls, rolling };
}

/** The pieces where they are now: what is on rollers is not where it is to be yet. */
function placedNow(beams: Map<string, SettledBeam>, { shift }: RollingPose): ReadonlyMap<string, SettledBeam> {
  if (shift.size === 0) return beams;
  const move = ({ x, y, z }: Point, by: Point): Point => ({ x: x + by.x, y: y + by.y, z: z + by.z });
  return new Map(
    [...beams].map(([id, settled]) => {
      const by = shift.get(id);
      const { place } = settled;
      return [id, by && place ? { ...settled, place: { ...place, from: move(place.from, by), to: move(place.to, by) } } : settled];
    }),
  );
}

const depthOf = ({ section }: SettledBeam): number => (section instanceof Missing ? 0.4 : section.depth);
const widthOf = ({ section }: SettledBeam): number => (section instanceof Missing ? 0.3 : section.width);

/** How a piece is drawn: dashed while it is not there, in the colour of a stop where it does not stand. */
function lookOf({ moment, falls }: StructurePose, id: string): { style: Style; there: boolean; hangs: boolean } {
  const { where } = beamAt(moment, id);
  if (where === 'away') return { style: { stroke: 'pencil', width: 1, dash: 'dash' }, there: false, hangs: false };
  if (falls.has(id)) return { style: { fill: 'stop', stroke: 'stop', width: 1.2 }, there: true, hangs: false };
  return { style: { fill: 'steel', stroke: 'steelEdge', width: 1.2 }, there: true, hangs: where === 'hanging' };
}

/** How far above its place a piece that hangs is drawn [m]. */
export const LIFTED = 0.35;

/** More pieces than this are not all called by name: what hangs and what falls is, of the rest what there is room for. */
const MANY = 12;

export function structureAbove(plan: SettledPlan, pose: StructurePose): Shape[] {
  const shapes: Shape[] = [];
  const many = pose.beams.size > MANY;
  for (const [id, settled] of pose.beams) {
    const { place, beam } = settled;
    if (!place) continue;
    const { style, there, hangs } = lookOf(pose, id);
    const half = widthOf(settled) / 2;
    const side = place.upright ? { x: 0, y: half } : scale(leftOf(place.along), half);
    const [a, b]: [Vec, Vec] = place.upright ? [add(place.from, { x: -half, y: 0 }), add(place.from, { x: half, y: 0 })] : [place.from, place.to];
    shapes.push({
      shape: 'polygon',
      points: [add(a, side), add(b, side), add(b, scale(side, -1)), add(a, scale(side, -1))],
      style,
      solid: true,
      of: { kind: 'beam', id },
    });
    shapes.push({
      shape: 'label',
      at: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 },
      text: hangs ? `${beam.mark} on the hook` : beam.mark,
      ink: there ? 'steel' : 'pencil',
      bold: there && !(many && !hangs),
      near: many && !hangs && !pose.falls.has(id),
      sides: ['above', 'below', 'right', 'left'],
    });
  }
  for (const brace of plan.structure.braces) {
    const from = pose.beams.get(brace.a.piece)?.place;
    const to = brace.b ? pose.beams.get(brace.b.piece)?.place : null;
    if (!from || !to || !brace.b) continue;
    shapes.push({
      shape: 'line',
      points: [pointAt(from, brace.a.at), pointAt(to, brace.b.at)],
      style: braceAt(pose.moment, brace.id) ? { stroke: 'ink', width: 2 } : { stroke: 'pencil', width: 1, dash: 'dash' },
      solid: true,
    });
  }
  for (const support of plan.structure.supports) {
    const { stands, struck } = supportAt(pose.moment, support.id);
    for (const { piece, at } of support.seats) {
      const place = pose.toBe.get(piece)?.place;
      if (!place) continue;
      const { x, y } = pointAt(place, at);
      const size = (support.seatWidth ?? 0.4) / 2;
      shapes.push({
        shape: 'polygon',
        points: [
          { x: x - size, y: y - size },
          { x: x + size, y: y - size },
          { x: x + size, y: y + size },
          { x: x - size, y: y + size },
        ],
        style: { ...(stands ? { fill: 'timber' as const } : { dash: 'dash' as const }), stroke: struck ? 'pencil' : 'timberEdge', width: 1.2 },
        solid: true,
      });
    }
  }
  for (const { from, to } of pose.rolling.noses) shapes.push({ shape: 'line', points: [from, to], style: { stroke: 'gear', width: 3 }, solid: true });
  for (const { at, load } of pose.rolling.rollers)
    shapes.push({ shape: 'dot', centre: at, size: 5, style: { fill: load !== null && load > 1 ? 'gear' : 'paper', stroke: 'gear', width: 1.2 } });
  return [...shapes, ...jointDots(plan, pose, (place, at) => pointAt(place, at))];
}

export function structureBeside(plan: SettledPlan, pose: StructurePose, along: (p: Vec) => number): Shape[] {
  const shapes: Shape[] = [];
  const many = pose.beams.size > MANY;
  const seats: Shape[] = [];
  // Where two stand behind one another, the one that carries more is named.
  const heaviestFirst = [...plan.structure.supports].sort((a, b) => (pose.carried.get(b.id) ?? 0) - (pose.carried.get(a.id) ?? 0));
  for (const support of heaviestFirst) {
    const { stands, struck } = supportAt(pose.moment, support.id);
    support.seats.forEach(({ piece, at }, n) => {
      const place = pose.toBe.get(piece)?.place;
      if (!place) return;
      const level = heightAt(place, at);
      const u = along(pointAt(place, at));
      const half = (support.seatLength ?? 0.4) / 2;
      const foot = level > 0.2 ? 0 : level - 0.3;
      const style: Style = stands
        ? { fill: 'timber', stroke: 'timberEdge', width: 1.2 }
        : { stroke: struck ? 'pencil' : 'timberEdge', width: 1, dash: struck ? 'dot' : 'dash' };
      seats.push({
        shape: 'polygon',
        points: [
          { x: u - half, y: foot },
          { x: u + half, y: foot },
          { x: u + half, y: level },
          { x: u - half, y: level },
        ],
        style,
        solid: stands,
      });
      if (n > 0) return;
      const load = pose.carried.get(support.id);
      const words = struck
        ? `${support.name}, struck`
        : !stands
          ? `${support.name}, not ready`
          : load !== undefined && load > 1
            ? `${support.name} ${formatQuantity(load, 'force', plan.job.units)}`
            : support.name;
      seats.push({ shape: 'label', at: { x: u, y: foot }, text: words, ink: struck ? 'pencil' : 'ink', bold: !struck, optional: true, sides: ['below'] });
    });
  }
  for (const [id, settled] of pose.beams) {
    const { place, beam } = settled;
    if (!place) continue;
    const { style, there, hangs } = lookOf(pose, id);
    const up = hangs ? LIFTED : 0;
    const [a, b] = [along(place.from), along(place.to)];
    const deep = depthOf(settled);
    // Its depth is square to its length, also where it slopes.
    const rise = riseOf(place);
    const thick = deep * flatOf(place);
    const back = along({ x: place.from.x - place.along.x * rise * deep, y: place.from.y - place.along.y * rise * deep }) - a;
    const points = place.upright
      ? [
          { x: a - deep / 2, y: place.from.z + up },
          { x: a + deep / 2, y: place.from.z + up },
          { x: a + deep / 2, y: place.to.z + up },
          { x: a - deep / 2, y: place.to.z + up },
        ]
      : [
          { x: a, y: place.from.z + up },
          { x: b, y: place.to.z + up },
          { x: b + back, y: place.to.z + thick + up },
          { x: a + back, y: place.from.z + thick + up },
        ];
    shapes.push({ shape: 'polygon', points, style, solid: true, of: { kind: 'beam', id } });
    const top = Math.max(place.from.z, place.to.z) + (place.upright ? 0 : deep) + up;
    if (hangs)
      shapes.push({
        shape: 'line',
        points: [
          { x: (a + b) / 2, y: top },
          { x: (a + b) / 2, y: top + 1.6 },
        ],
        style: { stroke: 'gear', width: 2 },
      });
    shapes.push({
      shape: 'label',
      at: { x: (a + b) / 2, y: hangs ? top + 1.6 : top },
      text: pose.falls.has(id) ? `${beam.mark} does not stand` : hangs ? `${beam.mark} on the hook` : beam.mark,
      ink: pose.falls.has(id) ? 'stop' : there ? 'steel' : 'pencil',
      bold: there && !(many && !hangs),
      large: there && !(many && !hangs),
      // What falls is always said.
      optional: !pose.falls.has(id),
      near: many && !hangs && !pose.falls.has(id),
      sides: ['above', 'below', 'right', 'left'],
    });
  }
  return [
    ...seats,
    ...shapes,
    ...rollingBeside(plan, pose, along),
    ...jointDots(plan, pose, (place, at, deep) => ({ x: along(pointAt(place, at)), y: heightAt(place, at) + deep / 2 })),
  ];
}

/** Half the length a roller is drawn, and how high [m]. */
const ROLLER = { half: 0.5, high: 0.35 };
/** Rollers nearer than this in the drawing stand behind one another [m]. */
const BEHIND = 0.2;

/** Rollers with what they carry now, and the nose ahead with how far its tip hangs. */
function rollingBeside(plan: SettledPlan, { rolling }: StructurePose, along: (p: Vec) => number): Shape[] {
  const shapes: Shape[] = [];
  const { units } = plan.job;
  const named: number[] = [];
  const heaviest = [...rolling.rollers].sort((a, b) => (b.load ?? 0) - (a.load ?? 0));
  for (const { name, at, load } of heaviest) {
    const u = along(at);
    // Of several lines behind one another the roller that carries most is named.
    if (named.some((one) => Math.abs(one - u) < BEHIND)) continue;
    named.push(u);
    const touches = load !== null && load > 1;
    shapes.push({
      shape: 'polygon',
      points: [
        { x: u - ROLLER.half, y: at.z - ROLLER.high },
        { x: u + ROLLER.half, y: at.z - ROLLER.high },
        { x: u + ROLLER.half, y: at.z },
        { x: u - ROLLER.half, y: at.z },
      ],
      style: touches ? { fill: 'gearPale', stroke: 'gear', width: 1.4 } : { stroke: 'gear', width: 1, dash: 'dash' },
      solid: true,
    });
    shapes.push({
      shape: 'label',
      at: { x: u, y: at.z - ROLLER.high },
      text: touches ? `${name} ${formatQuantity(load, 'force', units)}` : name,
      ink: touches ? 'gear' : 'pencil',
      bold: touches,
      optional: !touches,
      sides: ['below', 'right', 'left'],
    });
  }
  for (const { line, from, to } of rolling.noses) {
    const down = rolling.tips.get(line) ?? 0;
    const tip = { x: along(to), y: to.z - down };
    shapes.push({
      shape: 'polygon',
      points: [{ x: along(from), y: from.z }, tip, { x: tip.x, y: tip.y + 0.3 }, { x: along(from), y: from.z + 0.8 }],
      style: { fill: 'gearPale', stroke: 'gear', width: 1.4 },
      solid: true,
    });
    if (down > 0.005)
      shapes.push({ shape: 'label', at: tip, text: `tip ${formatQuantity(down, 'dimension', units)} down`, ink: 'ink', bold: true, sides: ['below', 'right'] });
  }
  return shapes;
}

/** Joints as dots: full when something holds them, hollow before. */
function jointDots(plan: SettledPlan, pose: StructurePose, spot: (place: NonNullable<SettledBeam['place']>, at: number, deep: number) => Vec): Shape[] {
  return plan.structure.joints.flatMap((joint): Shape[] => {
    const settled = pose.beams.get(joint.a.piece);
    if (!settled?.place) return [];
    const made = isMade(jointAt(pose.moment, joint.id));
    return [
      {
        shape: 'dot',
        centre: spot(settled.place, joint.a.at, depthOf(settled)),
        size: 4,
        style: made ? { fill: 'ink', stroke: 'paper', width: 1.2 } : { fill: 'paper', stroke: 'pencil', width: 1.2 },
      },
    ];
  });
}
