import type { Brace, Joint, Move, Plan } from '../src/core/document/schema';
import { bare, moves, support } from './spliced-girder';

export const joint = (changes: Partial<Joint> & Pick<Joint, 'id' | 'kind' | 'a' | 'b'>): Joint => ({
  name: changes.id,
  holes: 4,
  bolt: { diameter: 0.02, grade: '8.8', planes: 1 },
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
    // A rope only pulls: to each side one.
    braces: [guy('y1', 0), guy('y2', 90), guy('y3', 180), guy('y4', 270)],
    loads: [{ id: 'deck', what: 'Bundle of deck', piece: 'b1', at: 3, force: 9000, liftedBy: 'the crane, K. Osei' }],
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
    ...['y1', 'y2', 'y3', 'y4'].map((one) => ({ kind: 'brace.fix' as const, brace: one })),
    { kind: 'beam.plumb', beam: 'c1', off: 0.004 },
    { kind: 'beam.plumb', beam: 'c2', off: 0.002 },
    ...['n1', 'n2'].map((one) => ({ kind: 'joint.make' as const, joint: one, pins: 0, bolts: 2, tight: true, fit: 'drawn' as const })),
    ...set('j1', 'n3'),
    { kind: 'load.on', load: 'deck' },
  );
  return plan;
}

/** The same, its beam stiffly joined to both columns, that stand with their webs along it; ropes only square to it. */
export function stiffPortal(): Plan {
  const plan = portal();
  const { structure } = plan;
  for (const one of structure.joints) if (one.kind === 'onColumn') one.moment = 60e3;
  for (const one of structure.pieces) if (one.make === 'col') one.webDeg = 0;
  structure.braces = structure.braces.filter(({ towardsDeg }) => towardsDeg === 90 || towardsDeg === 270);
  plan.moves = plan.moves.filter((move) => move.kind !== 'brace.fix' || structure.braces.some(({ id }) => id === move.brace));
  return plan;
}

/** Girders along x on columns at its ends, an edge beam at each end and one between their middles. */
export function square(): Plan {
  const plan = portal();
  const at = (piece: string, spot: number) => ({ piece, at: spot });
  const { structure } = plan;
  structure.pieces = [
    ...(
      [
        ['c1', 0, 0],
        ['c2', 6, 0],
        ['c3', 0, 5],
        ['c4', 6, 5],
      ] as const
    ).map(([id, x, y]) => ({ id, mark: id.toUpperCase(), make: 'col', weighed: null, from: { x, y, z: 0 }, to: { x, y, z: 4 } })),
    ...([0, 5] as const).map((y) => ({ id: `b${y}`, mark: `B${y}`, make: 'bm', weighed: null, from: { x: 0, y, z: 3.7 }, to: { x: 6, y, z: 3.7 } })),
    ...([0, 6, 3] as const).map((x) => ({ id: `j${x}`, mark: `J${x}`, make: 'js', weighed: null, from: { x, y: 0, z: 3.7 }, to: { x, y: 5, z: 3.7 } })),
  ];
  const anchors = { count: 4, lever: 0.35, toe: 0.175, columnDepth: 0.2, tension: 60e3, repaired: false, under: { kind: 'grouted' as const } };
  structure.supports = ['c1', 'c2', 'c3', 'c4'].map((id) =>
    support(`f-${id}`, `Base ${id}`, id, 0, {
      kind: 'anchors',
      anchors: { ...anchors },
      along: 'fixed',
      measured: { level: 0, by: 'T. Hale', on: '2026-11-20' },
    }),
  );
  structure.joints = [
    joint({ id: 'b0a', kind: 'onColumn', a: at('b0', 0), b: at('c1', 3.8) }),
    joint({ id: 'b0b', kind: 'onColumn', a: at('b0', 6), b: at('c2', 3.8) }),
    joint({ id: 'b5a', kind: 'onColumn', a: at('b5', 0), b: at('c3', 3.8) }),
    joint({ id: 'b5b', kind: 'onColumn', a: at('b5', 6), b: at('c4', 3.8) }),
    joint({ id: 'j0a', kind: 'onColumn', a: at('j0', 0), b: at('c1', 3.8) }),
    joint({ id: 'j0b', kind: 'onColumn', a: at('j0', 5), b: at('c3', 3.8) }),
    joint({ id: 'j6a', kind: 'onColumn', a: at('j6', 0), b: at('c2', 3.8) }),
    joint({ id: 'j6b', kind: 'onColumn', a: at('j6', 5), b: at('c4', 3.8) }),
    joint({ id: 'j3a', kind: 'onWeb', a: at('j3', 0), b: at('b0', 3) }),
    joint({ id: 'j3b', kind: 'onWeb', a: at('j3', 5), b: at('b5', 3) }),
  ];
  const guys = (piece: string, ...ways: number[]) => ways.map((way) => ({ ...guy(`${piece} ${way}`, way), a: at(piece, 3.8) }));
  structure.braces = [...guys('c1', 0, 180, 90, 270), ...guys('c3', 0, 180), ...guys('c2', 90, 270)];
  structure.loads = [];
  let count = 0;
  const put = (list: object[]) => list.map((one) => ({ id: `q${(count += 1)}`, ...one }) as Move);
  const set = (beam: string) => [
    { kind: 'piece.hang', beam, by: 'mobile crane', checkedBy: 'L. Marsh' },
    ...structure.joints.filter(({ a }) => a.piece === beam).map(({ id }) => ({ kind: 'joint.make', joint: id, pins: 0, bolts: 2, tight: true, fit: 'drawn' })),
    { kind: 'piece.letGo', beam, keeps: 0 },
  ];
  plan.moves = put([
    ...structure.supports.map(({ id }) => ({ kind: 'support.ready', support: id })),
    ...structure.pieces.slice(0, 4).flatMap(({ id }) => set(id)),
    ...structure.braces.map(({ id }) => ({ kind: 'brace.fix', brace: id })),
    ...structure.pieces.slice(4).flatMap(({ id }) => set(id)),
    ...['c1', 'c2', 'c3', 'c4'].map((beam) => ({ kind: 'beam.plumb', beam, off: 0.003 })),
    ...structure.joints.map(({ id }) => ({ kind: 'joint.make', joint: id, pins: 0, bolts: 2, tight: true, fit: 'drawn' })),
  ]);
  return plan;
}
