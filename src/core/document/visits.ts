import type { Rules } from '../rules/rule-sets';
import { noCosts } from './things/costs';
import { standOf, standsOfPick } from './lookups';
import type { Crane, Plan } from './schema';

/** A crane that comes to the site, stands at some places, lifts and leaves. */
export interface Visit {
  /** the move that sets it up first */
  move: string;
  stands: string[];
  lifts: number;
  hours: number;
  /** whole shifts it is paid for; null: nobody says how long one is */
  days: number | null;
  money: number | null;
}

export interface Visits {
  crane: Crane;
  visits: Visit[];
  /** all its lifts made in one visit */
  together: Visit;
  /** prices nobody has said */
  asks: string[];
}

interface Coming {
  move: string;
  stands: string[];
  tandem: Set<string>;
  alone: Set<string>;
}

/**
 * How often each crane comes, by the moves. A crane that is set up again straight after it left its last stand has only moved on; with
 * other work between, it was sent away and comes again.
 */
export function craneVisits(plan: Plan, rules: Rules): Visits[] {
  const picks = new Map(plan.picks.map((pick) => [pick.id, pick]));
  const comings = new Map<string, Coming[]>(plan.cranes.map(({ id }) => [id, []]));
  /** cranes that left a stand and nothing else was done since */
  const leaving = new Set<string>();
  const standing = new Map<string, Set<string>>();
  for (const move of plan.moves) {
    if (move.kind === 'crane.set') {
      const { crane } = standOf(plan, move.stand);
      const list = comings.get(crane)!;
      const here = standing.get(crane) ?? new Set();
      standing.set(crane, here.add(move.stand));
      const last = list.at(-1);
      if (last && (leaving.has(crane) || here.size > 1)) last.stands.push(move.stand);
      else list.push({ move: move.id, stands: [move.stand], tandem: new Set(), alone: new Set() });
      continue;
    }
    if (move.kind === 'crane.leave') {
      const { crane } = standOf(plan, move.stand);
      standing.get(crane)?.delete(move.stand);
      leaving.add(crane);
      continue;
    }
    leaving.clear();
    const pick = move.kind === 'piece.hang' || move.kind === 'pick.lift' ? picks.get(move.pick ?? '') : undefined;
    if (!pick) continue;
    for (const id of standsOfPick(pick)) {
      const last = comings.get(standOf(plan, id).crane)!.at(-1);
      if (last) (pick.second ? last.tandem : last.alone).add(pick.id);
    }
  }
  return plan.cranes.flatMap((crane) => {
    const list = comings.get(crane.id)!;
    if (list.length === 0) return [];
    const asks: string[] = [];
    const costs = plan.costs ?? noCosts();
    if (costs.shift === null) asks.push('How many hours has a shift?');
    const { day = null, bring = null } = crane.hire ?? {};
    if (day === null) asks.push(`What does ${crane.name} cost for a day?`);
    if (bring === null) asks.push(`What does it cost to bring ${crane.name} and take it away?`);
    const visit = ({ move, stands, tandem, alone }: Coming): Visit => {
      const hours = stands.length * rules.value('hoursStand') + alone.size * rules.value('hoursPick') + tandem.size * rules.value('hoursTandem');
      const days = costs.shift === null ? null : Math.ceil(hours / costs.shift - 1e-9);
      return { move, stands, lifts: tandem.size + alone.size, hours, days, money: days === null || day === null || bring === null ? null : days * day + bring };
    };
    const all: Coming = {
      move: list[0]!.move,
      stands: [...new Set(list.flatMap(({ stands }) => stands))],
      tandem: new Set(list.flatMap(({ tandem }) => [...tandem])),
      alone: new Set(list.flatMap(({ alone }) => [...alone])),
    };
    return [{ crane, visits: list.map(visit), together: visit(all), asks }];
  });
}
