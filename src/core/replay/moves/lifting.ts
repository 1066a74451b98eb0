import { loadOf as loadOfPick } from '../../document/joined';
import { liftedBy, standOf, standsOfPick } from '../../document/lookups';
import type { Pick, Plan } from '../../document/schema';
import { beamAt, isMade, jointAt, picksPulling, type StructureMoment } from '../moment';
import type { Doing, Moment, Need } from '../now';
import { knownOf, markOf } from './known';

/** What makes the hook of a pick free. */
export function lettingGo(plan: Plan, pick: Pick): Doing {
  const lifted = liftedBy(plan, pick);
  return lifted.kind === 'piece' ? { kind: 'hook.release', pick: pick.id } : { kind: 'piece.letGo', beam: lifted.beam.id };
}

/** Each crane of a pick stands where the pick is made from. */
export const cranesThere = (plan: Plan, pick: Pick, now: Moment): Need[] =>
  standsOfPick(pick).map((stand) => ({
    what: `the crane is set at ${standOf(plan, stand).name}`,
    done: now.cranesSet[stand] ?? false,
    by: [{ kind: 'crane.set' as const, stand }],
  }));

/** One hook holds one load: what else hangs on the hook of the same crane, or of the second where two lift. */
export function hookNeeds(plan: Plan, pick: Pick, now: Moment): Need[] {
  // Mostly nothing hangs, and of hundreds of lifts one does.
  const pulling = new Set([...picksPulling(now.structure), ...Object.values(now.pieces).flatMap(({ hooks }) => hooks)]);
  if (pulling.size === 0) return [];
  const cranes = standsOfPick(pick).map((stand) => standOf(plan, stand).crane);
  return plan.picks.flatMap((one) => {
    if (one.id === pick.id || !pulling.has(one.id) || !standsOfPick(one).some((stand) => cranes.includes(standOf(plan, stand).crane))) return [];
    const lifted = liftedBy(plan, one);
    const holds = lifted.kind === 'piece' ? now.pieces[lifted.piece.id]!.hooks.includes(one.id) : beamAt(now.structure, lifted.beam.id).pick === one.id;
    return holds
      ? [{ what: `the hook has let go of ${lifted.kind === 'piece' ? lifted.piece.mark : lifted.beam.mark}`, done: false, by: [lettingGo(plan, one)] }]
      : [];
  });
}

/** What a pick lifts as one is spliced before it leaves the ground. */
export const splicedNeeds = (plan: Plan, pick: Pick, moment: Moment): Need[] =>
  pick.joined?.length ? onTheGround(plan, moment.structure, loadOfPick(pick)) : [];

/** What is lifted as one is spliced before, all its holes filled and tight; what is spliced to it is lifted with it. */
export function onTheGround(plan: Plan, now: StructureMoment, all: readonly string[]): Need[] {
  const { splices } = knownOf(plan);
  const needs: Need[] = [];
  for (const joint of new Set(all.flatMap((id) => splices.get(id) ?? []))) {
    const state = jointAt(now, joint.id);
    const other = [joint.a.piece, joint.b.piece].find((id) => !all.includes(id));
    if (other === undefined) {
      const filled = isMade(state) && !state.untold && (joint.holes === null || (state.bolts ?? 0) >= joint.holes);
      needs.push({
        what: `${joint.name} is filled with bolts, all tight, before what it joins is lifted as one`,
        done: filled,
        by: [{ kind: 'joint.make', joint: joint.id }],
      });
    } else if (isMade(state) && beamAt(now, other).where === 'away')
      needs.push({ what: `${markOf(plan, other)} is lifted with it: ${joint.name} joins them already`, done: false });
  }
  return needs;
}
