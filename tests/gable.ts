import type { Move, Plan } from '../src/core/document/schema';
import { quayFootbridge } from './demo-plan';
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

/** The same rafters joined on the ground and lifted as one, slung so far from their lower ends as seen from above; no tower. */
export function gableAsOne(slung = 4): Plan {
  const plan = gable();
  const { cranes, stands, picks } = quayFootbridge();
  const { structure } = plan;
  plan.cranes = cranes;
  plan.site.forecastGust = 4;
  plan.stands = [{ ...stands[0]!, at: { x: GABLE.span / 2, y: -9 } }];
  structure.supports = structure.supports.filter(({ id }) => id !== 'tw');
  structure.pieces.find(({ id }) => id === 'r1')!.lies = { x: 3, y: -17, azimuthDeg: 0, level: 0, onSide: false, comes: 'before' };
  plan.picks = [
    {
      ...picks[0]!,
      piece: 'r1',
      joined: ['r2'],
      stand: plan.stands[0]!.id,
      left: slung,
      right: slung,
      legs: { left: GABLE.span - 2 * slung, right: GABLE.span - 2 * slung },
      rig: null,
      gear: [],
      unsaid: [],
      liftOver: 0.5,
    },
  ];
  const tower = (move: Move) => 'support' in move && move.support === 'tw';
  const pair = plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.beam === 'r1');
  const rest = plan.moves.slice(pair).filter((move) => !tower(move));
  const ridge = rest.find((move) => move.kind === 'joint.make' && move.joint === 'rg')!;
  const own = (move: Move) => (move.kind === 'piece.hang' || move.kind === 'piece.letGo') && move.beam === 'r2';
  const off = rest.find((move) => move.kind === 'piece.letGo' && move.beam === 'r1')!;
  const hang = { ...rest[0]!, pick: plan.picks[0]!.id, by: '' } as Move;
  const then = rest.slice(1).filter((move) => move !== ridge && move !== off && !own(move));
  const plumb = then.findIndex(({ kind }) => kind === 'beam.plumb');
  plan.moves = [
    ...plan.moves.slice(0, pair).filter((move) => !tower(move)),
    { id: 'cs', kind: 'crane.set', stand: plan.stands[0]!.id },
    ridge,
    hang,
    ...then.slice(0, plumb),
    off,
    ...then.slice(plumb),
    { id: 'cl', kind: 'crane.leave', stand: plan.stands[0]!.id },
  ];
  return plan;
}
