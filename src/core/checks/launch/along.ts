import { stationAt } from '../../launch/sweep';
import type { Rules } from '../../rules/rule-sets';
import { Missing } from '../../verdict/missing';
import type { Launch, Plan } from '../../document/schema';
import { factorOf, launchedOf, onAt, pushedOf, tipAt, type Pushed, type PushedLine } from './pushed';

/** One place of the travel of one girder line. */
export interface LaunchPlace {
  travel: number;
  /** against tipping forward; null: nothing is ahead */
  factor: number | null;
  /** of the tip under the line of the launch [m]; null: it does not stand */
  down: number | null;
  /** the most one roller carries, and which; null: it does not stand */
  most: { load: number; roller: string } | null;
  /** what each roller carries [N], in their order along the launch; null: it does not stand */
  loads: number[] | null;
}

/** A girder line over its travel. */
export interface LaunchTravel {
  line: string;
  mark: string;
  /** by name, from the one farthest behind */
  rollers: string[];
  places: LaunchPlace[];
}

const PLACES = 120;

/** Factor, tip and rollers over the travel of each girder line, for a graph and for the card at the push. */
export function alongLaunch(plan: Plan, launch: Launch, rules: Rules, every?: number): LaunchTravel[] | Missing {
  const pushed = pushedOf(plan, launch, rules);
  if (pushed instanceof Missing) return pushed;
  const step = every ?? pushed.travel / PLACES;
  // From the start by equal steps, and where it ends.
  const travels = [...Array.from({ length: Math.ceil(pushed.travel / step - 1e-9) }, (_, n) => n * step), pushed.travel];
  const name = (id: string): string => launch.rollers.find((one) => one.id === id)?.name ?? id;
  return pushed.lines.map((line) => ({
    line: line.id,
    mark: line.mark,
    rollers: pushed.rollers.map(({ id }) => name(id)),
    places: (every === undefined ? withArrivals(pushed, line, travels) : travels).flatMap((travel): LaunchPlace[] => {
      const on = onAt(line, travel);
      if (on.length === 0) return [];
      const tip = tipAt(pushed, on, travel);
      const [heavy, light] = (['heavy', 'light'] as const).map((which) => launchedOf(pushed, on, rules.steel.modulus, which, 1)) as [
        ReturnType<typeof launchedOf>,
        ReturnType<typeof launchedOf>,
      ];
      const { tipDown, reactions, answer } = stationAt(heavy, tip);
      const load = Math.max(...reactions);
      return [
        {
          travel,
          factor: factorOf(heavy, light, tip)?.factor ?? null,
          down: tipDown,
          loads: answer.stable ? reactions : null,
          most: answer.stable ? { load, roller: name(pushed.rollers[reactions.indexOf(load)]!.id) } : null,
        },
      ];
    }),
  }));
}

/** A hair before its tip comes to a roller [m]. */
const HAIR = 1e-3;

/** With the places at which its tip comes to a roller: there it is nearest to tipping, and a moment later it is carried. */
function withArrivals(pushed: Pushed, line: PushedLine, travels: readonly number[]): number[] {
  const arrivals = pushed.rollers.flatMap(({ x }) =>
    travels.flatMap((travel, n) => {
      const on = onAt(line, travel);
      const next = travels[n + 1];
      if (on.length === 0 || next === undefined) return [];
      const at = travel + x - tipAt(pushed, on, travel);
      return at > travel + HAIR && at <= next ? [at - HAIR, at] : [];
    }),
  );
  return [...travels, ...arrivals].sort((a, b) => a - b);
}
