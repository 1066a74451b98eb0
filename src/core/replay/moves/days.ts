import { pickTies, pieceOf } from '../../document/lookups';
import { workDays } from '../../document/work-days';
import type { Plan } from '../../document/schema';
import { beamAt } from '../moment';
import type { Need } from '../now';
import type { MovesOf } from './contract';
import { lettingGo } from './lifting';

/** Nobody leaves a crane, or goes home, with a load on the hook: 29 CFR 1926.1417(e), from memory. */
const NIGHT = 'before the night: no load is left on a hook (29 CFR 1926.1417(e))';

/** The end of a day: what stands then stands by itself. */
export const dayMoves: MovesOf<'day.end'> = {
  'day.end': {
    by: () => [],
    // Which day it ends is told by its name.
    reads: (plan: Plan, move) => [pickTies(plan), plan.pieces, plan.structure.pieces, workDays(plan.moves).find(({ end }) => end === move)?.number],
    needs: (plan, _, now): Need[] => {
      const held = plan.structure.pieces.flatMap(({ id, mark }): Need[] => {
        const { where, kept, with: other } = beamAt(now.structure, id);
        if (where !== 'hanging' && kept === 0) return [];
        return [{ what: `the hook has let go of ${mark} ${NIGHT}`, done: false, by: [{ kind: 'piece.letGo', beam: other ?? id }] }];
      });
      const lifted = plan.pieces.flatMap(({ id }): Need[] => {
        const { where, hooks } = now.pieces[id]!;
        if (where !== 'hanging' && where !== 'landed') return [];
        return hooks.flatMap((hook) => {
          const pick = plan.picks.find((one) => one.id === hook);
          return pick ? [{ what: `the hook has let go of ${pieceOf(plan, id).mark} ${NIGHT}`, done: false, by: [lettingGo(plan, pick)] }] : [];
        });
      });
      const needs = [...held, ...lifted];
      return needs.length > 0 ? needs : [{ what: 'no hook holds anything', done: true }];
    },
    after: (_, __, now) => now,
  },
};
