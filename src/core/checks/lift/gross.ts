import { grossLoad } from '../../cranes/gross-load.calc';
import { Missing } from '../../verdict/missing';
import type { Share } from '../../settle/lift-two';
import { GRAVITY } from '../../units';
import { rigWords } from '../../document/things/rig';
import type { Pick as Lift, Rig } from '../../document/schema';
import type { PickContext } from '../context';
import { traced } from '../../verdict/build';

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** The bar between a hook and the slings on the piece, where there is one. */
const barOver = ({ rig }: Lift): Exclude<Rig, { kind: 'legs' }> | null => (rig && rig.kind !== 'legs' ? rig : null);

/** Everything below the boom tip, each line visible; of a piece on two hooks the most that this one may come to carry. */
export function grossOf(picked: Pick<PickContext, 'crane' | 'piece' | 'pick' | 'weight' | 'above'>, share: Share | null = null): PickContext['gross'] {
  const { crane, piece, pick, weight, above } = picked;
  if (weight instanceof Missing) return weight;
  if (pick.riggingMass === null || pick.riggingMass === 0) return new Missing('What do slings and shackles weigh together? They weigh something.');
  if (crane.hookBlockMass === null || crane.hookBlockMass === 0) return new Missing(`What does the hook block of ${crane.name} weigh? It weighs something.`);
  const bar = barOver(pick);
  if (bar !== null && (bar.own === null || bar.own === 0))
    return new Missing(`What does the ${rigWords[bar.kind]} of ${piece.mark} weigh? It weighs something.`);
  const below = [
    ...(bar ? [{ what: bar.name.trim() || capital(rigWords[bar.kind]), mass: bar.own! }] : []),
    { what: 'Slings and shackles', mass: pick.riggingMass },
    { what: 'Hook block', mass: crane.hookBlockMass },
  ];
  if (share) {
    const { outcome, traces } = traced(grossLoad, { parts: [{ what: `Most of ${piece.mark} that this hook carries`, mass: share.most / GRAVITY }, ...below] });
    const least = share.least / GRAVITY + (bar?.own ?? 0) + pick.riggingMass + crane.hookBlockMass;
    return outcome.ok ? { mass: outcome.output.mass, least, trace: traces[0]! } : new Missing(outcome.error);
  }
  const bare = weight.bareMass + weight.packingMass + weight.attachmentMass;
  const { outcome, traces } = traced(grossLoad, {
    parts: [
      { what: `${piece.mark}, bare steel${weight.by === 'computed' ? '' : weight.by === 'drawing' ? ', by drawing' : ', weighed'}`, mass: weight.bareMass },
      { what: 'Packing', mass: weight.packingMass },
      { what: 'Plates, bolts, brackets left on', mass: weight.attachmentMass },
      { what: 'Allowance', mass: weight.mass - bare },
      ...above.map((one) => ({ what: `${one.mark} above it in the string, with its slings`, mass: one.weight.mass + one.rigging })),
      ...below,
    ],
  });
  const strung = above.reduce((sum, one) => sum + one.weight.light.mass + one.rigging, 0);
  const least = weight.light.mass + strung + (bar?.own ?? 0) + pick.riggingMass + crane.hookBlockMass;
  return outcome.ok ? { mass: outcome.output.mass, least, trace: traces[0]! } : new Missing(outcome.error);
}
