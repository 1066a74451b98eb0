import { yieldOf } from '../steel/grades';
import { bearingMore, nothingYet } from './migrations';
import { PLAN_VERSION, type Crane, type Plan } from './schema';

export interface NewPlan {
  name: string;
  place: string;
  units: Plan['job']['units'];
  ruleSet: Plan['job']['ruleSet'];
}

/** A crane of which nobody has said anything yet: its measures only serve to draw it. */
export const unknownCrane = (): Omit<Crane, 'id'> => ({
  unsaid: ['pivotBack', 'pivotHeight', 'boomDepth', 'boomWidth', 'hookDrop', 'baseLength', 'baseWidth', 'tailRadius'],
  name: 'Crane',
  chart: null,
  chartSource: '',
  chartGust: null,
  pivotBack: 1,
  pivotHeight: 2,
  boomDepth: 0.6,
  boomWidth: 0.5,
  hookBlockMass: null,
  hookDrop: 1.5,
  baseLength: 6,
  baseWidth: 6,
  tailRadius: 3,
  parts: [],
});

/**
 * One beam on two bearings with one crane: geometry to drag into place, and every figure that only the site,
 * the tag or the maker's chart can give left missing.
 */
export function newPlan({ name, place, units, ruleSet }: NewPlan): Plan {
  const us = ruleSet === 'us-asd';
  const bearing = (id: string, label: string, x: number): Plan['bearings'][number] => ({
    id,
    unsaid: ['at', 'level', 'seatLength', 'seatWidth'],
    name: label,
    at: { x, y: 0 },
    level: 3,
    seatLength: 0.2,
    seatWidth: 0.2,
    carriedBy: '',
    capacity: null,
    capacityBasis: us ? 'allowable' : 'design',
    footing: { kind: 'concrete', intended: null, result: null, by: '', on: '' },
    ...bearingMore(),
  });
  return {
    format: 'keen-trestle/plan',
    version: PLAN_VERSION,
    job: { name, place, units, ruleSet, chartRule: 'step', thresholds: {} },
    bearings: [bearing('p1', 'P1', 0), bearing('p2', 'P2', 6)],
    pieces: [
      {
        id: 'b1',
        unsaid: ['section', 'length', 'start', 'grade'],
        mark: 'B1',
        section: us ? 'W12x40' : 'IPE 300',
        length: 6.2,
        grade: us ? 'A992' : 'S355',
        yield: yieldOf(us ? 'A992' : 'S355') ?? 235e6,
        allowance: null,
        packing: [],
        attachments: [],
        stated: { mass: null, length: null },
        start: { x: 11, y: 4, azimuthDeg: 0, level: 1.2 },
        seat: { left: 'p1', right: 'p2', leftBearing: null, statedSpan: null },
      },
    ],
    cranes: [{ ...unknownCrane(), id: 'c1' }],
    stands: [{ id: 's1', unsaid: ['at', 'azimuthDeg'], name: 'S1', crane: 'c1', at: { x: 8, y: -6 }, azimuthDeg: 180, padArea: null, groundAllowable: null }],
    picks: [
      {
        id: 'k1',
        unsaid: ['left', 'right', 'legs', 'boom', 'liftOver'],
        piece: 'b1',
        stand: 's1',
        left: 1.5,
        right: 1.5,
        legs: { left: 3, right: 3 },
        slingRating: null,
        riggingMass: null,
        boom: 18,
        swing: 'short',
        swingRadius: null,
        liftOver: 0.5,
      },
    ],
    site: { obstructions: [], powerLines: [], forecastGust: null },
    moves: [
      { id: 'm1', kind: 'bearing.ready', bearing: 'p1' },
      { id: 'm2', kind: 'bearing.ready', bearing: 'p2' },
      { id: 'm3', kind: 'crane.set', stand: 's1' },
      { id: 'm4', kind: 'piece.deliver', piece: 'b1' },
      { id: 'm5', kind: 'piece.sling', pick: 'k1' },
      { id: 'm6', kind: 'pick.trial', pick: 'k1' },
      { id: 'm7', kind: 'pick.lift', pick: 'k1' },
      { id: 'm8', kind: 'piece.land', pick: 'k1' },
      { id: 'm9', kind: 'end.bolt', piece: 'b1', end: 'left', bolts: null },
      { id: 'm10', kind: 'end.bolt', piece: 'b1', end: 'right', bolts: null },
      { id: 'm11', kind: 'hook.release', pick: 'k1' },
      { id: 'm12', kind: 'piece.plumb', piece: 'b1' },
      { id: 'm13', kind: 'piece.tighten', piece: 'b1' },
      { id: 'm14', kind: 'crane.leave', stand: 's1' },
    ],
    ...nothingYet(),
    people: { planner: '', checker: '', caller: '', operator: '', radioChannel: '' },
  };
}
