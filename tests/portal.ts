import type { Brace, Joint, Plan } from '../src/core/plan/schema';
import { bare, moves, support } from './spliced-girder';

export const joint = (changes: Partial<Joint> & Pick<Joint, 'id' | 'kind' | 'a' | 'b'>): Joint => ({
  name: changes.id,
  holes: 4,
  boltShear: 50e3,
  moment: null,
  shear: null,
  traffic: false,
  sharesWith: null,
  oneStays: false,
  ...changes,
});

export const guy = (id: string, towardsDeg: number): Brace => ({
  id,
  name: id,
  kind: 'guy',
  a: { piece: 'c1', at: 3.5 },
  b: null,
  anchoredTo: 'block',
  towardsDeg,
  slopeDeg: 45,
  anchor: { kind: 'fixed', carry: 30e3 },
  stops: 'sideways',
  capacity: 20e3,
  stiffness: 3e6,
});

/** Two columns on anchors and a beam between them, carrying a joist at its middle. */
export function portal(): Plan {
  const plan = bare('us-asd');
  const steel = { grade: 'A992', yield: null, mass: null, allowance: null, attachments: [] };
  const anchors = { count: 4, lever: 0.35, toe: 0.175, columnDepth: 0.2, tension: 60e3, repaired: false, under: { kind: 'grouted' as const } };
  plan.structure = {
    makes: [
      { id: 'col', mark: 'C', made: { kind: 'section', section: 'W8x31' }, length: 4, ...steel },
      { id: 'bm', mark: 'B', made: { kind: 'section', section: 'W12x40' }, length: 6, ...steel },
      { id: 'js', mark: 'J', made: { kind: 'section', section: 'W10x22' }, length: 5, ...steel },
    ],
    pieces: [
      { id: 'c1', mark: 'C1', make: 'col', weighed: null, from: { x: 0, y: 0, z: 0 }, to: { x: 0, y: 0, z: 4 } },
      { id: 'c2', mark: 'C2', make: 'col', weighed: null, from: { x: 6, y: 0, z: 0 }, to: { x: 6, y: 0, z: 4 } },
      { id: 'b1', mark: 'B1', make: 'bm', weighed: null, from: { x: 0, y: 0, z: 3.7 }, to: { x: 6, y: 0, z: 3.7 } },
      { id: 'j1', mark: 'J1', make: 'js', weighed: null, from: { x: 3, y: 0, z: 3.7 }, to: { x: 3, y: 5, z: 3.7 } },
    ],
    supports: [
      support('f1', 'Base 1', 'c1', 0, { kind: 'anchors', anchors, along: 'fixed', measured: { level: 0, by: 'T. Hale', on: '2026-11-20' } }),
      support('f2', 'Base 2', 'c2', 0, { kind: 'anchors', anchors: { ...anchors }, along: 'fixed', measured: { level: 0, by: 'T. Hale', on: '2026-11-20' } }),
      support('w', 'Wall pocket', 'j1', 5, { kind: 'pocket', along: 'fixed', measured: { level: 3.7, by: 'T. Hale', on: '2026-11-20' } }),
    ],
    joints: [
      joint({ id: 'n1', kind: 'onColumn', a: { piece: 'b1', at: 0 }, b: { piece: 'c1', at: 3.8 } }),
      joint({ id: 'n2', kind: 'onColumn', a: { piece: 'b1', at: 6 }, b: { piece: 'c2', at: 3.8 } }),
      joint({ id: 'n3', kind: 'onWeb', a: { piece: 'j1', at: 0 }, b: { piece: 'b1', at: 3 } }),
    ],
    braces: [guy('y1', 0), guy('y2', 90)],
    loads: [{ id: 'deck', what: 'Bundle of deck', piece: 'b1', at: 3, force: 9000 }],
  };
  const set = (beam: string, ...joints: string[]) => [
    { kind: 'piece.hang' as const, beam, by: 'mobile crane, lift card 3', checkedBy: 'L. Marsh' },
    ...joints.map((one) => ({ kind: 'joint.make' as const, joint: one, pins: 0, bolts: 4, tight: true, fit: 'drawn' as const })),
    { kind: 'piece.letGo' as const, beam, keeps: 0 },
  ];
  plan.moves = moves(
    ...['f1', 'f2', 'w'].map((one) => ({ kind: 'support.ready' as const, support: one })),
    ...set('c1'),
    ...set('c2'),
    { kind: 'piece.hang', beam: 'b1', by: 'mobile crane, lift card 3', checkedBy: 'L. Marsh' },
    ...['n1', 'n2'].map((one) => ({ kind: 'joint.make' as const, joint: one, pins: 0, bolts: 2, tight: true, fit: 'drawn' as const })),
    { kind: 'piece.letGo', beam: 'b1', keeps: 0 },
    { kind: 'brace.fix', brace: 'y1' },
    { kind: 'brace.fix', brace: 'y2' },
    { kind: 'beam.plumb', beam: 'c1', off: 0.004 },
    { kind: 'beam.plumb', beam: 'c2', off: 0.002 },
    ...['n1', 'n2'].map((one) => ({ kind: 'joint.make' as const, joint: one, pins: 0, bolts: 2, tight: true, fit: 'drawn' as const })),
    ...set('j1', 'n3'),
    { kind: 'load.on', load: 'deck' },
  );
  return plan;
}
