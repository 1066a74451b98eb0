import { judge, type Verdict } from '../verdict/check';
import type { Strikes } from '../checks/shores';
import type { StrikeAnswer } from '../checks/shores/strike';
import type { Moment } from '../replay/now';
import type { Plan } from '../document/schema';
import type { SettledPlan } from '../settle/settle';
import { lineViews, type LinePlan } from '../document/views';
import { shoreState, type ShoreState } from '../replay/shore-state';
import { rulesOf } from '../rules/rule-sets';
import type { Style } from './draw-list';

/** The shores of one line as they stand at a moment of the strip. */
export interface ShoreMoment {
  line: LinePlan<SettledPlan>;
  strike: StrikeAnswer | null;
  state: ShoreState;
  /** share of its capacity from which a shore is tight */
  caution: number;
  /** the new piece is in its place */
  memberIn: boolean;
}

/** The lines that are drawn, and the bents that stand; null as the bents: the run sheet does not set them, they are taken as standing. */
export interface ShoresMoment {
  lines: ShoreMoment[];
  bents: ReadonlySet<string> | null;
}

const cautionOf = (plan: Plan): number => rulesOf(plan.job.ruleSet, plan.job.thresholds).value('contactCaution');

/** @param only the line to draw; null: all */
export function shoresAt(plan: SettledPlan, moment: Moment, strikes: Strikes, only: string | null = null): ShoresMoment {
  const setting = plan.moves.some((move) => move.kind === 'shore.set');
  return {
    lines: lineViews(plan)
      .filter(({ shoring }) => only === null || shoring.id === only)
      .map((line) => {
        const over = line.shoring.opening;
        const told = plan.moves.some((move) => move.kind === 'member.set' && move.opening === over);
        return {
          line,
          strike: strikes[line.shoring.id] ?? null,
          state: shoreState(line, moment),
          caution: cautionOf(plan),
          memberIn: !told || (over !== null && (moment.membersSet[over] ?? false)),
        };
      }),
    bents: setting ? new Set(Object.keys(moment.shoresSet).filter((id) => moment.shoresSet[id])) : null,
  };
}

/** Every shore up, every line open, nothing struck: what a sheet draws. */
export const allStanding = (plan: SettledPlan, strikes: Strikes, only: string | null = null): ShoresMoment => ({
  lines: lineViews(plan)
    .filter(({ shoring }) => only === null || shoring.id === only)
    .map((line) => ({
      line,
      strike: strikes[line.shoring.id] ?? null,
      state: { set: null, open: true, struck: 0 },
      caution: cautionOf(plan),
      memberIn: true,
    })),
  bents: null,
});

/** The piece over an opening lies there: no line waits for it, or it was put in. */
export const liesThere = ({ lines }: ShoresMoment, opening: string): boolean =>
  lines.every(({ line, memberIn }) => line.shoring.opening !== opening || memberIn);

export type Bearing = 'toCome' | 'idle' | 'carries' | 'gone';

export interface Standing {
  now: Bearing;
  verdict: Verdict;
  /** what it carries itself; null: not known */
  load: number | null;
}

/** How one stud or needle stands now. */
export function standingOf({ strike, state, caution }: ShoreMoment, shore: string, number: number): Standing {
  if (state.set && !state.set.has(shore)) return { now: 'toCome', verdict: 'clear', load: null };
  const i = strike?.units.findIndex((unit) => unit.shore === shore && unit.number === number) ?? -1;
  const unit = strike?.units[i];
  if (!state.open) return { now: 'idle', verdict: 'clear', load: 0 };
  if (!strike || !unit) return { now: 'carries', verdict: 'missing', load: null };
  const load = state.struck === 0 ? unit.load : (strike.steps[state.struck - 1]?.loads[i] ?? 0);
  if (state.struck > 0 && Math.abs(load) < 1e-6) return { now: 'gone', verdict: 'clear', load: 0 };
  return { now: 'carries', verdict: judge(load, Math.max(unit.capacity, 1e-9), caution).verdict, load: load * unit.lever };
}

/** Colour and pattern say the same: solid timber holds, hatched is tight, red is a stop, dotted is not known, gone or still to come. */
const looks: Record<Verdict, Style> = {
  clear: { fill: 'timber', stroke: 'timberEdge', width: 1 },
  tight: { fill: 'tight', stroke: 'ink', width: 1, hatch: true },
  stop: { fill: 'stop', stroke: 'stop', width: 2 },
  missing: { fill: 'paper', stroke: 'timberEdge', width: 1, dash: 'dot' },
};
const ghosts: Record<'toCome' | 'gone', Style> = {
  toCome: { stroke: 'timberEdge', width: 1, dash: 'dash' },
  gone: { stroke: 'pencil', width: 1, dash: 'dot' },
};

export const lookOf = ({ now, verdict }: Standing): Style =>
  now === 'toCome' || now === 'gone' ? ghosts[now] : now === 'idle' ? { fill: 'paper', stroke: 'timberEdge', width: 1 } : looks[verdict];

/** The most that one of them carries; null: not known, or none stands. */
export const heaviest = (units: readonly Standing[]): number | null =>
  units.reduce<number | null>((most, one) => (one.load !== null && one.now === 'carries' && one.load > (most ?? 0) ? one.load : most), null);

/** What to write beside a shore: up to how much, or how it stands. */
export function standsAs(name: string, units: readonly Standing[], force: (newtons: number) => string): string {
  const most = heaviest(units);
  if (most !== null) return `${name}: up to ${force(most)}`;
  if (units.length > 0 && units.every((one) => one.now === 'toCome')) return `${name}: not set yet`;
  if (units.length > 0 && units.every((one) => one.now === 'idle')) return `${name}: tapped in, carries nothing yet`;
  return units.length > 0 && units.every((one) => one.now === 'gone') ? `${name}: struck` : name;
}
