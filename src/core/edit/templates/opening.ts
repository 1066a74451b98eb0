import { newLine, newStorey } from '../../document/things/shoring';
import { newOpening } from '../../document/things/survey';
import { newWay } from '../../document/things/way-in';
import { newMember } from '../import-members';
import { newPlan, type NewPlan } from '../../document/new-plan';
import type { Plan } from '../../document/schema';
import { newRaise, type RaiseKind } from '../../document/things/raise';
import { emptyPlan } from './base';

/** A beam brought into a building through a door or over a floor, and what rests on its line held meanwhile: no crane anywhere. */
export interface OpeningAsked {
  /** how it is lifted into place */
  by: RaiseKind;
  /** what rests on the line is held on shores meanwhile */
  shored: boolean;
}

const words: Record<RaiseKind, string> = { mastLift: 'two mast lifts', hoist: 'two chain hoists', jack: 'two jacks and packing', hands: 'a crew, by hand' };

export function openingPlan(job: NewPlan, { by, shored }: OpeningAsked): Plan {
  const plan = emptyPlan(job);
  // The seats are those of any new job: their places serve to draw, and are asked.
  plan.bearings = newPlan(job).bearings;
  const [left, right] = plan.bearings.map(({ id }) => id);
  plan.members = [newMember('b1', { mark: 'B1' })];
  plan.survey.openings = [{ ...newOpening('op1', left!, right!), member: 'b1' }];
  plan.ways = [{ ...newWay('way1', 'Way in'), member: 'b1', gear: { what: words[by], mass: null } }];
  plan.raises = [newRaise('lift1', 'op1', by, 2, (n) => `lp${n + 1}`)];
  if (shored) plan.shoring.lines = [{ ...newLine('line1', 'Opening'), opening: 'op1', storeys: [newStorey('sy1', 0, job.ruleSet === 'us-asd')] }];
  plan.moves = [
    { id: 'm1', kind: 'bearing.ready', bearing: left! },
    { id: 'm2', kind: 'bearing.ready', bearing: right! },
    ...(shored ? [{ id: 'm3', kind: 'line.open' as const, line: 'line1' }] : []),
    { id: 'm4', kind: 'member.set', opening: 'op1' },
  ];
  return plan;
}
