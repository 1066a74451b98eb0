import { liftedBy, standOf, standsOfPick } from '../../document/lookups';
import { beamAt } from '../moment';
import { again, atLeast, type Need } from '../now';
import { onBearings, type MovesOf } from './contract';
import { lettingGo } from './lifting';

/** Cranes come to a stand and leave it. */
export const craneMoves: MovesOf<'crane.set' | 'crane.leave'> = {
  'crane.set': {
    ...onBearings,
    needs: (plan, move, now) => {
      const { crane, name } = standOf(plan, move.stand);
      const others = plan.stands.filter((one) => one.crane === crane && one.id !== move.stand && now.cranesSet[one.id]);
      return [
        ...others.map((one) => ({ what: `the same crane has left ${one.name}`, done: false, by: [{ kind: 'crane.leave' as const, stand: one.id }] })),
        ...(now.cranesSet[move.stand] ? [again(`the crane is not at ${name} yet (it was set there before)`)] : []),
      ];
    },
    after: (_, move, now) => ({ ...now, cranesSet: { ...now.cranesSet, [move.stand]: true } }),
  },
  'crane.leave': {
    ...onBearings,
    needs: (plan, move, now) => {
      const here = plan.picks.filter((pick) => standsOfPick(pick).includes(move.stand));
      const stands = now.cranesSet[move.stand]
        ? []
        : [{ what: `the crane stands at ${standOf(plan, move.stand).name}`, done: false, by: [{ kind: 'crane.set' as const, stand: move.stand }] }];
      const free = here.map((pick): Need => {
        const lifted = liftedBy(plan, pick);
        const by = [lettingGo(plan, pick)];
        if (lifted.kind === 'piece') return { what: `the hook has let go of ${lifted.piece.mark}`, done: atLeast(now.pieces[lifted.piece.id]!, 'free'), by };
        const { where, kept } = beamAt(now.structure, lifted.beam.id);
        return { what: `the hook has let go of ${lifted.beam.mark}`, done: where === 'set' && kept === 0, by };
      });
      return [...stands, ...free];
    },
    after: (_, move, now) => ({ ...now, cranesSet: { ...now.cranesSet, [move.stand]: false } }),
  },
};
