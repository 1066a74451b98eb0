import { Type, type Static } from 'typebox';
import { closed, nullable, oneOf } from '../../calc/fields';
import { positive, size, text } from './fields';

export const slingMaterials = ['wire', 'chain', 'fabric'] as const;

const fastened = <K extends string>(kind: K) =>
  closed({ kind: Type.Literal(kind), carries: nullable(positive('kg', 'what one of them may carry, as it is pulled here')) });

/** How the slings hold the piece itself. */
export const hitchSchema = Type.Union([
  fastened('lugs'),
  fastened('clamps'),
  closed({
    kind: oneOf(['basket', 'choker']),
    of: nullable(oneOf(slingMaterials)),
    thick: nullable(size('of a wire rope, its diameter', 0.2)),
    round: nullable(size('diameter of the corner, pipe or pad it bends round', 2)),
    padded: nullable(Type.Boolean({ description: 'the corners it goes round are rounded off or padded' })),
    heldBy: text('what keeps it from sliding along the piece'),
  }),
]);
export type Hitch = Static<typeof hitchSchema>;
export type HitchKind = Hitch['kind'];
export type Laid = Extract<Hitch, { kind: 'basket' | 'choker' }>;

export const hitchWords: Record<HitchKind, string> = {
  lugs: 'shackled to lugs or holes',
  clamps: 'by beam clamps',
  basket: 'in a basket round it',
  choker: 'choked round it',
};
export const materialWords: Record<(typeof slingMaterials)[number], string> = { wire: 'wire rope', chain: 'chain', fabric: 'fabric' };

/** A hitch of a kind, of which nothing is said yet. */
export function newHitch(kind: HitchKind): Hitch {
  switch (kind) {
    case 'lugs':
    case 'clamps':
      return { kind, carries: null };
    case 'basket':
    case 'choker':
      return { kind, of: null, thick: null, round: null, padded: null, heldBy: '' };
  }
}
