import type { Plan } from '../src/core/document/schema';
import { guy, joint, portal } from './portal';
import { moves, support } from './spliced-girder';

export const GABLE = { span: 12, eaves: 3.7, rise: 1.5 };

/** Two columns and two rafters between them, set with their ridge on a tower that is struck once they are joined there; ropes square to them. */
export function gable(): Plan {
  const plan = portal();
  const { structure } = plan;
  const { span, eaves, rise } = GABLE;
  const length = Math.hypot(span / 2, rise);
  const [column, beam] = structure.makes;
  structure.makes = [column!, { ...beam!, id: 'rf', mark: 'R', length }];
  const at = (x: number, z: number) => ({ x, y: 0, z });
  structure.pieces = [
    { ...structure.pieces[0]!, webDeg: 0 },
    { ...structure.pieces[1]!, from: at(span, 0), to: at(span, 4), webDeg: 0 },
    { id: 'r1', mark: 'R1', make: 'rf', weighed: null, from: at(0, eaves), to: at(span / 2, eaves + rise) },
    { id: 'r2', mark: 'R2', make: 'rf', weighed: null, from: at(span, eaves), to: at(span / 2, eaves + rise) },
  ];
  const on = '2026-11-20';
  structure.supports = [
    ...structure.supports.filter(({ id }) => id !== 'w'),
    support('tw', 'Ridge tower', 'r1', length, {
      kind: 'prop',
      along: 'free',
      twist: true,
      twistHolds: 40e3,
      seats: [
        { piece: 'r1', at: length },
        { piece: 'r2', at: length },
      ],
      measured: { level: eaves + rise, by: 'T. Hale', on },
    }),
  ];
  structure.joints = [
    joint({ id: 'n1', kind: 'onColumn', a: { piece: 'r1', at: 0 }, b: { piece: 'c1', at: 3.8 }, moment: 60e3 }),
    joint({ id: 'n2', kind: 'onColumn', a: { piece: 'r2', at: 0 }, b: { piece: 'c2', at: 3.8 }, moment: 60e3 }),
    joint({ id: 'rg', kind: 'splice', a: { piece: 'r1', at: length }, b: { piece: 'r2', at: length }, holes: 8, moment: 60e3, shear: 200e3 }),
  ];
  structure.braces = [guy('y2', 90), guy('y4', 270), { ...guy('y6', 90), a: { piece: 'c2', at: 3.5 } }, { ...guy('y8', 270), a: { piece: 'c2', at: 3.5 } }];
  structure.loads = [];
  const hang = (beam: string) => ({ kind: 'piece.hang' as const, beam, by: 'mobile crane, lift card 3', checkedBy: 'L. Marsh' });
  const make = (one: string, bolts: number) => ({ kind: 'joint.make' as const, joint: one, pins: 0, bolts, tight: true, fit: 'drawn' as const });
  const off = (beam: string) => ({ kind: 'piece.letGo' as const, beam, keeps: 0 });
  plan.moves = moves(
    ...['f1', 'f2', 'tw'].map((one) => ({ kind: 'support.ready' as const, support: one })),
    hang('c1'),
    off('c1'),
    hang('c2'),
    off('c2'),
    ...structure.braces.map(({ id }) => ({ kind: 'brace.fix' as const, brace: id })),
    hang('r1'),
    make('n1', 2),
    off('r1'),
    hang('r2'),
    make('n2', 2),
    make('rg', 8),
    off('r2'),
    { kind: 'beam.plumb', beam: 'c1', off: 0.004 },
    { kind: 'beam.plumb', beam: 'c2', off: 0.002 },
    make('n1', 2),
    make('n2', 2),
    { kind: 'support.strike', support: 'tw' },
  );
  return plan;
}
