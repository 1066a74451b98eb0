import { newPlan } from '../src/core/document/new-plan';
import type { Move, Plan, Support } from '../src/core/document/schema';

/** A plan of the harbour footbridge: nothing but what the structure has. */
export function bare(ruleSet: Plan['job']['ruleSet'] = 'eu-ls'): Plan {
  const plan = newPlan({ name: 'Quay footbridge, girder', place: 'Wrenholm ferry terminal', units: 'metric', ruleSet });
  return { ...plan, bearings: [], pieces: [], cranes: [], stands: [], picks: [], moves: [], site: { ...plan.site, forecastGust: 6, standingGust: 15 } };
}

export const support = (id: string, name: string, piece: string, at: number, changes: Partial<Support> = {}): Support => ({
  id,
  name,
  kind: 'bearing',
  seats: [{ piece, at }],
  onBent: null,
  level: null,
  measured: { level: 5, by: 'T. Hale', on: '2026-11-20' },
  spring: null,
  holdsDown: null,
  twist: true,
  along: 'free',
  seatLength: 0.4,
  seatWidth: 0.4,
  capacity: 400e3,
  capacityBasis: 'design',
  stiffened: true,
  anchors: null,
  footing: { kind: 'concrete', intended: 30e6, result: 28e6, by: 'K. Osei', on: '2026-11-18' },
  standsOn: [],
  ...changes,
});

let count = 0;
type Bare = Move extends infer M ? (M extends Move ? Omit<M, 'id'> : never) : never;
export const moves = (...list: Bare[]): Move[] => list.map((move) => ({ id: `s${(count += 1)}`, ...move }) as Move);

/** One girder in two pieces on two piers, spliced in the air beside a bent that is then struck. */
export function splicedGirder(ruleSet: Plan['job']['ruleSet'] = 'eu-ls'): Plan {
  const plan = bare(ruleSet);
  const steel = { grade: ruleSet === 'us-asd' ? 'A992' : 'S355', yield: null, mass: null, allowance: null, attachments: [] };
  const made = {
    kind: 'girder' as const,
    webDepth: 0.9,
    web: 0.014,
    topFlange: { width: 0.4, thickness: 0.03 },
    bottomFlange: { width: 0.4, thickness: 0.03 },
  };
  plan.structure = {
    makes: [
      { id: 'long', mark: 'G1a', made, length: 14, ...steel },
      { id: 'short', mark: 'G1b', made, length: 10, ...steel },
    ],
    pieces: [
      { id: 'a', mark: 'G1a', make: 'long', weighed: null, from: { x: 0, y: 0, z: 5 }, to: { x: 14, y: 0, z: 5 } },
      { id: 'b', mark: 'G1b', make: 'short', weighed: null, from: { x: 14, y: 0, z: 5 }, to: { x: 24, y: 0, z: 5 } },
    ],
    supports: [support('A', 'Pier 1', 'a', 0.3, { along: 'fixed' }), support('T', 'Bent seat', 'a', 12, { kind: 'bent' }), support('B', 'Pier 2', 'b', 9.7)],
    joints: [
      {
        id: 's',
        name: 'Splice 1',
        kind: 'splice',
        a: { piece: 'a', at: 14 },
        b: { piece: 'b', at: 0 },
        holes: 48,
        bolt: { diameter: 0.022225, grade: 'A325', planes: 2 },
        boltShear: null,
        moment: 2.4e6,
        shear: 900e3,
        traffic: false,
        sharesWith: null,
        oneStays: false,
      },
    ],
    braces: [],
    loads: [],
  };
  plan.moves = moves(
    { kind: 'support.ready', support: 'A' },
    { kind: 'support.ready', support: 'T' },
    { kind: 'support.ready', support: 'B' },
    { kind: 'piece.hang', beam: 'a', by: 'mobile crane, lift card 1', checkedBy: 'L. Marsh' },
    { kind: 'piece.letGo', beam: 'a', keeps: 0 },
    { kind: 'piece.hang', beam: 'b', by: 'mobile crane, lift card 2', checkedBy: 'L. Marsh' },
    { kind: 'joint.make', joint: 's', pins: 12, bolts: 12, tight: true, fit: 'asLies' },
    { kind: 'piece.letGo', beam: 'b', keeps: 0 },
    { kind: 'joint.make', joint: 's', pins: 0, bolts: 36, tight: true, fit: 'asLies' },
    { kind: 'support.strike', support: 'T' },
  );
  return plan;
}
