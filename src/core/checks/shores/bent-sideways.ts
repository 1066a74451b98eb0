import { phrase, q } from '../../calc/work';
import type { Trace } from '../../calc/evidence';
import type { Rules } from '../../rules/rule-sets';
import { windForce } from '../../strength/wind-force.calc';
import { windRollover } from '../../strength/wind-rollover.calc';
import type { Check } from '../../verdict/check';
import { AIR_DENSITY, asksStandingGust, standingGust } from '../../settle/wind';
import type { Bent, Plan } from '../../document/schema';
import { missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import type { BentAnswer } from './bent-answer';
import { shorePlace } from './place';

/** What pushes the bent sideways, and what of it the guys take. */
export interface Sideways {
  /** null: not known */
  needed: number | null;
  wind: number | null;
  question: string;
  /** along the ground, by all guys at their capacity; null: one is not known */
  guys: number | null;
  /** what the guys bring down on the posts while they hold their share */
  down: number;
  traces: Trace[];
}

export function sideways(bent: Bent, plan: Plan, answer: BentAnswer, rules: Rules): Sideways {
  const gust = standingGust(plan);
  const { sail } = bent;
  const run =
    sail === null || (gust === null && sail > 0)
      ? null
      : traced(windForce, { gust: gust ?? 0, area: sail, drag: rules.value('bentDrag'), airDensity: AIR_DENSITY });
  const wind = run?.outcome.ok ? run.outcome.output.force * rules.value('liveFactor') : null;
  const needed = wind === null ? null : Math.max(wind, rules.value('shoreLateral') * answer.total);
  const unknown = bent.guys.some((guy) => guy.capacity === null);
  const flat = bent.guys.map((guy) => ({ pull: guy.count * (guy.capacity ?? 0) * Math.cos(radians(guy.angleDeg)), slope: Math.tan(radians(guy.angleDeg)) }));
  const guys = unknown ? null : flat.reduce((sum, one) => sum + one.pull, 0);
  const theirs = Math.max(0, (needed ?? 0) - (bent.lateral ?? 0));
  const steepest = Math.max(0, ...flat.map((one) => one.slope));
  return {
    needed,
    wind,
    question: sail === null ? `What area of ${bent.name} and of what stands on it does the wind see?` : asksStandingGust(bent.name),
    guys,
    down: Math.min(theirs, guys ?? theirs) * steepest,
    traces: run?.traces ?? [],
  };
}

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

export function lateralCheck(bent: Bent, side: Sideways, answer: BentAnswer, rules: Rules): Check {
  const place = shorePlace('lateral', bent, windForce, sourced(rules.source('shoreLateral').text, rules, 'bentDrag'));
  if (side.needed === null || side.wind === null) return missingCheck(place, 'force', side.question);
  if (bent.lateral === null && bent.guys.length === 0)
    return missingCheck(place, 'force', `What sideways force do the bracing, guys and ties of ${bent.name} hold?`);
  const held = (bent.lateral ?? 0) + (side.guys ?? 0);
  const windy = side.wind > rules.value('shoreLateral') * answer.total;
  return ratioCheck(
    place,
    { demand: side.needed, capacity: held, quantity: 'force', caution: null, inclusive: true },
    told(
      phrase`${bent.name} is to stand ${q(side.needed, 'force')} sideways, ${windy ? 'by the wind' : 'by its share of the load'}; ${q(held, 'force')} is held, ${q(side.guys ?? 0, 'force')} of it by guys.`,
    ),
    [...answer.traces, ...side.traces],
  );
}

/** A guy nobody has rated holds nothing. */
export const guyChecks = (bent: Bent, side: Sideways): Check[] =>
  bent.guys
    .filter((guy) => guy.capacity === null)
    .map((guy) =>
      missingCheck(
        shorePlace('guy', { id: bent.id, name: `${bent.name}, ${guy.what || guy.id}`, part: guy.id }, windForce),
        'force',
        `What may ${guy.what || 'the guy'} of ${bent.name} pull: line, shackles and anchor, the least of them?`,
        side.traces,
      ),
    );

/** The girder alone on the bent before it is braced: what wind would roll it over, and what must hold it down. */
export function girderChecks(bent: Bent, plan: Plan, rules: Rules): Check[] {
  if (!bent.girder) return [];
  const place = shorePlace('rollover', bent, windRollover, sourced(windRollover.source.text, rules, 'rollover', 'girderDrag'));
  const gust = standingGust(plan);
  if (gust === null) return [missingCheck(place, 'moment', asksStandingGust(`the girder on ${bent.name}`))];
  const { weight, length, depth, bearingWidth } = bent.girder;
  const run = traced(windRollover, { weight, length, depth, bearingWidth, gust, drag: rules.value('girderDrag'), airDensity: AIR_DENSITY });
  if (!run.outcome.ok) return [missingCheck(place, 'moment', run.outcome.error)];
  const { overturning, righting } = run.outcome.output;
  const wanted = rules.value('rollover');
  const tie = Math.max(0, (wanted * overturning - righting) / bearingWidth);
  if (tie > 0 && bent.tieDown === null)
    return [missingCheck(place, 'moment', `Wind could roll the girder off ${bent.name} before it is braced. What holds it down?`, run.traces)];
  const held = righting + (bent.tieDown ?? 0) * bearingWidth;
  return [
    ratioCheck(
      place,
      { demand: wanted * overturning, capacity: held, quantity: 'moment', caution: null, inclusive: true },
      told(
        tie > 0
          ? phrase`In a gust of ${q(gust, 'speed')} the girder on ${bent.name} wants ${q(tie, 'force')} of tie-down on each side; ${q(bent.tieDown ?? 0, 'force')} is there.`
          : phrase`In a gust of ${q(gust, 'speed')} the girder stands on ${bent.name} by its own weight, ${q(righting / overturning, 'factor')} times.`,
      ),
      run.traces,
    ),
  ];
}
