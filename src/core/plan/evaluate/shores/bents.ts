import { beamContinuous } from '../../../beams/continuous.calc';
import { phrase, q } from '../../../calc/work';
import { contactPressure } from '../../../path/contact-pressure.calc';
import { yieldOf } from '../../../steel/grades';
import type { SectionRow } from '../../../steel/section-row';
import { findSection } from '../../../steel/sections';
import { columnAisc } from '../../../strength/column-aisc.calc';
import { windRollover } from '../../../strength/wind-rollover.calc';
import type { Trace } from '../../../calc/evidence';
import type { Rules } from '../../../rules/rule-sets';
import type { QuantityKind } from '../../../units';
import type { Check } from '../../check';
import { Missing } from '../../missing';
import type { Bent, Plan } from '../../schema';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced, type Context } from '../context';
import { bendingCapacity, postCapacity, shearCapacity, webCapacity } from '../section-strength';
import { shorePlace } from './place';

type Ground = Pick<Context, 'plan' | 'rules'>;
const AIR_DENSITY = 1.25;

/** What each post of a bent carries, and how the header bends over them. */
export interface BentAnswer {
  reactions: number[];
  moment: number;
  total: number;
  header: SectionRow;
  fy: number;
  traces: Trace[];
}

export function bentOf(bent: Bent, rules: Rules): BentAnswer | Missing | string {
  const open = bent.loads.find((load) => load.force === null);
  if (bent.loads.length === 0) return new Missing(`What comes down on ${bent.name}, and where on its header?`);
  if (open) return new Missing(`What does ${open.what || 'the load'} bring down on ${bent.name}?`);
  const header = findSection(bent.header.section);
  const fy = yieldOf(bent.header.grade);
  if (!header) return new Missing(`“${bent.header.section}” is not in the section tables. What is the header of ${bent.name}?`);
  if (fy === null) return new Missing(`What does grade “${bent.header.grade}” of the header of ${bent.name} yield at?`);
  const posts = [...new Set(bent.posts)].sort((a, b) => a - b);
  const pointLoads = bent.loads.map(({ at, force }) => ({ x: at, force: force ?? 0 }));
  const run = traced(beamContinuous, {
    length: bent.header.length,
    stiffness: rules.steel.modulus * header.iStrong,
    load: header.massPerLength * 9.80665 * rules.value('loadFactor'),
    supports: posts.map((x) => ({ x })),
    pointLoads,
    upliftFree: true,
  });
  if (!run.outcome.ok) return new Missing(run.outcome.error);
  const { reactions = [], maxHogging = 0, maxSagging = 0, stable } = run.outcome.output;
  if (!stable) return `The header of ${bent.name} tips: its loads stand past the posts that hold it. Move a post or a load.`;
  return { reactions, moment: Math.max(maxHogging, maxSagging), total: reactions.reduce((a, b) => a + b, 0), header, fy, traces: run.traces };
}

export function bentChecks(context: Ground): Check[] {
  return context.plan.shoring.bents.flatMap((bent) => oneBent(bent, context));
}

function oneBent(bent: Bent, { plan, rules }: Ground): Check[] {
  const answer = bentOf(bent, rules);
  const place = shorePlace('header', bent.name, beamContinuous, sourced(beamContinuous.source.text, rules, 'strengthCaution'));
  if (answer instanceof Missing) return [missingCheck(place, 'moment', answer.questions.join(' '))];
  if (typeof answer === 'string') return [flatStop(place, 'moment', told([answer]), [])];
  return [
    ...headerChecks(bent, answer, rules, place),
    ...postChecks(bent, answer, rules),
    ...jackChecks(bent, answer, rules),
    lateralCheck(bent, answer, rules),
    ...girderChecks(bent, plan, rules),
  ];
}

function headerChecks(bent: Bent, answer: BentAnswer, rules: Rules, place: ReturnType<typeof shorePlace>): Check[] {
  const caution = rules.value('strengthCaution');
  const most = Math.max(...answer.reactions);
  const spans =
    bent.posts.length > 1 ? Math.max(...[...bent.posts].sort((a, b) => a - b).map((x, i, all) => (i === 0 ? x : x - (all[i - 1] ?? 0)))) : bent.header.length;
  const of = (id: string, quantity: QuantityKind, demand: number, capacity: { capacity: number; traces: Trace[] } | Missing, what: string): Check => {
    const at = { ...place, id: `shore.${id}` };
    return capacity instanceof Missing
      ? missingCheck(at, quantity, capacity.questions.join(' '), answer.traces)
      : ratioCheck(
          at,
          { demand, capacity: capacity.capacity, quantity, caution },
          told(phrase`The header of ${bent.name}, ${answer.header.designation}, ${what} ${q(demand, quantity)}; it takes ${q(capacity.capacity, quantity)}.`),
          [...answer.traces, ...capacity.traces],
        );
  };
  return [
    of('header', 'moment', answer.moment, bendingCapacity(answer.header, answer.fy, rules, { length: spans, factor: 1 }), 'bends with'),
    of('headerShear', 'force', most, shearCapacity(answer.header, answer.fy, rules), 'shears with at most'),
    of(
      'headerWeb',
      'force',
      most,
      webCapacity(answer.header, answer.fy, { length: bent.cap, past: 0, atEnd: true }, rules),
      'presses its web over a post with',
    ),
  ];
}

function postChecks(bent: Bent, answer: BentAnswer, rules: Rules): Check[] {
  const { post, pad } = bent;
  const most = Math.max(...answer.reactions);
  const place = shorePlace('post', bent.name, columnAisc, sourced(rules.id === 'us-asd' ? 'AISC 360 E3' : 'EN 1993-1-1 6.3.1', rules, 'strengthCaution'));
  const section = findSection(post.section);
  const fy = yieldOf(post.grade);
  const checks: Check[] = [];
  const idle = answer.reactions.findIndex((reaction) => reaction === 0);
  if (!section) checks.push(missingCheck(place, 'force', `“${post.section}” is not in the section tables. What are the posts of ${bent.name}?`));
  else if (fy === null) checks.push(missingCheck(place, 'force', `What does grade “${post.grade}” of the posts of ${bent.name} yield at?`));
  else {
    const capacity = postCapacity(section, fy, { strong: post.height, weak: post.height / (post.braces + 1) }, rules);
    checks.push(
      capacity instanceof Missing
        ? missingCheck(place, 'force', capacity.questions.join(' '))
        : ratioCheck(
            place,
            { demand: most, capacity: capacity.capacity, quantity: 'force', caution: rules.value('strengthCaution') },
            told(
              phrase`The most loaded post of ${bent.name} carries ${q(most, 'force')}; ${section.designation}, ${q(post.height, 'length')} high, takes ${q(capacity.capacity, 'force')}.${idle >= 0 ? ` Post ${String(idle + 1)} lifts off and carries nothing.` : ''}`,
            ),
            [...answer.traces, ...capacity.traces],
          ),
    );
  }
  const under = shorePlace('pad', bent.name, contactPressure, sourced(contactPressure.source.text, rules, 'contactCaution'));
  if (pad.allowable === null) return [...checks, missingCheck(under, 'pressure', `What pressure may the ground take under the pads of ${bent.name}?`)];
  const run = traced(contactPressure, { load: most, length: pad.length, width: pad.width, allowable: pad.allowable });
  if (run.outcome.ok)
    checks.push(
      ratioCheck(
        under,
        { demand: run.outcome.output.pressure, capacity: pad.allowable, quantity: 'pressure', caution: rules.value('contactCaution') },
        told(phrase`A pad of ${bent.name} presses ${q(run.outcome.output.pressure, 'pressure')}; ${q(pad.allowable, 'pressure')} is allowed.`),
        [...answer.traces, ...run.traces],
      ),
    );
  return checks;
}

function jackChecks(bent: Bent, answer: BentAnswer, rules: Rules): Check[] {
  if (!bent.jack) return [];
  const most = Math.max(...answer.reactions);
  const place = shorePlace('jack', bent.name, beamContinuous, sourced('Common practice: a rating that equals its load is a stop', rules, 'contactCaution'));
  return [
    ratioCheck(
      place,
      { demand: most, capacity: bent.jack.capacity, quantity: 'force', caution: rules.value('contactCaution') },
      told(phrase`A jack under the header of ${bent.name} takes ${q(most, 'force')}; ${q(bent.jack.capacity, 'force')} is its rating.`),
      answer.traces,
    ),
    ratioCheck(
      { ...place, id: 'shore.stroke' },
      { demand: bent.jack.need, capacity: bent.jack.stroke, quantity: 'dimension', caution: null, inclusive: true },
      told(phrase`${bent.name} still wants ${q(bent.jack.need, 'dimension')} of height; its jacks have ${q(bent.jack.stroke, 'dimension')}.`),
      [],
    ),
  ];
}

function lateralCheck(bent: Bent, answer: BentAnswer, rules: Rules): Check {
  const place = shorePlace('lateral', bent.name, beamContinuous, rules.source('shoreLateral').text);
  const needed = rules.value('shoreLateral') * answer.total;
  if (bent.lateral === null) return missingCheck(place, 'force', `What sideways force do the bracing, guys and ties of ${bent.name} hold?`);
  return ratioCheck(
    place,
    { demand: needed, capacity: bent.lateral, quantity: 'force', caution: null, inclusive: true },
    told(phrase`${bent.name} is to stand ${q(needed, 'force')} sideways; ${q(bent.lateral, 'force')} is held.`),
    answer.traces,
  );
}

/** The girder alone on the bent before it is braced: what wind would roll it over, and what must hold it down. */
function girderChecks(bent: Bent, plan: Plan, rules: Rules): Check[] {
  if (!bent.girder) return [];
  const place = shorePlace('rollover', bent.name, windRollover, sourced(windRollover.source.text, rules, 'rollover', 'girderDrag'));
  const gust = plan.site.forecastGust;
  if (gust === null || gust === 0) return [missingCheck(place, 'moment', `What gust is forecast while the girder stands unbraced on ${bent.name}?`)];
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
