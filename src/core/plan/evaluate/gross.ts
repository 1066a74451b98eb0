import { grossLoad } from '../../cranes/gross-load.calc';
import { Missing } from '../missing';
import type { Share } from '../lift-two';
import { GRAVITY } from '../../units';
import { traced, type PickContext } from './context';

/** Everything below the boom tip, each line visible; of a piece on two hooks the most that this one may come to carry. */
export function grossOf(picked: Pick<PickContext, 'crane' | 'piece' | 'pick' | 'weight'>, share: Share | null = null): PickContext['gross'] {
  const { crane, piece, pick, weight } = picked;
  if (weight instanceof Missing) return weight;
  if (pick.riggingMass === null || pick.riggingMass === 0) return new Missing('What do slings and shackles weigh together? They weigh something.');
  if (crane.hookBlockMass === null || crane.hookBlockMass === 0) return new Missing(`What does the hook block of ${crane.name} weigh? It weighs something.`);
  const below = [
    { what: 'Slings and shackles', mass: pick.riggingMass },
    { what: 'Hook block', mass: crane.hookBlockMass },
  ];
  if (share) {
    const { outcome, traces } = traced(grossLoad, { parts: [{ what: `Most of ${piece.mark} that this hook carries`, mass: share.most / GRAVITY }, ...below] });
    const least = share.least / GRAVITY + pick.riggingMass + crane.hookBlockMass;
    return outcome.ok ? { mass: outcome.output.mass, least, trace: traces[0]! } : new Missing(outcome.error);
  }
  const bare = weight.bareMass + weight.packingMass + weight.attachmentMass;
  const { outcome, traces } = traced(grossLoad, {
    parts: [
      { what: `${piece.mark}, bare steel${weight.by === 'computed' ? '' : weight.by === 'drawing' ? ', by drawing' : ', weighed'}`, mass: weight.bareMass },
      { what: 'Packing', mass: weight.packingMass },
      { what: 'Plates, bolts, brackets left on', mass: weight.attachmentMass },
      { what: 'Allowance', mass: weight.mass - bare },
      ...below,
    ],
  });
  const least = weight.light.mass + pick.riggingMass + crane.hookBlockMass;
  return outcome.ok ? { mass: outcome.output.mass, least, trace: traces[0]! } : new Missing(outcome.error);
}
