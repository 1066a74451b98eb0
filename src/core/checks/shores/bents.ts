import { beamContinuous } from '../../beams/continuous.calc';
import { phrase, q } from '../../calc/work';
import type { Trace } from '../../calc/evidence';
import { sequenceNeeds } from '../../gates/sequence.calc';
import { contactPressure } from '../../path/contact-pressure.calc';
import type { Rules } from '../../rules/rule-sets';
import { yieldOf } from '../../steel/grades';
import { findSection } from '../../steel/sections';
import { columnAisc } from '../../strength/column-aisc.calc';
import type { QuantityKind } from '../../units';
import type { Check } from '../../verdict/check';
import { isDay } from '../../units/day';
import { Missing } from '../../verdict/missing';
import type { Bent } from '../../document/schema';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { bendingCapacity, postCapacity, shearCapacity, webCapacity } from '../../settle/section-strength';
import { bentOf, type BentAnswer } from './bent-answer';
import { girderChecks, guyChecks, lateralCheck, sideways, type Sideways } from './bent-sideways';
import { shorePlace } from './place';

type Ground = Pick<Context, 'plan' | 'rules'>;

export function bentChecks(context: Ground): Check[] {
  return context.plan.shoring.bents.flatMap((bent) => oneBent(bent, context));
}

function oneBent(bent: Bent, { plan, rules }: Ground): Check[] {
  const answer = bentOf(bent, rules);
  const place = shorePlace('header', bent, beamContinuous, sourced(beamContinuous.source.text, rules, 'strengthCaution'));
  if (answer instanceof Missing) return [missingCheck(place, 'moment', answer.questions.join(' '))];
  if (typeof answer === 'string') return [flatStop(place, 'moment', told([answer]), [])];
  const side = sideways(bent, plan, answer, rules);
  return [
    ...headerChecks(bent, answer, rules, place),
    ...postChecks(bent, answer, side, rules),
    ...seatChecks(bent, answer, rules),
    ...jackChecks(bent, answer, rules),
    lateralCheck(bent, side, answer, rules),
    ...guyChecks(bent, side),
    ...girderChecks(bent, plan, rules),
    readyCheck(bent, rules),
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

function postChecks(bent: Bent, answer: BentAnswer, side: Sideways, rules: Rules): Check[] {
  const { post, pad } = bent;
  // Guys that pull sideways pull down as well.
  const pulled = side.down;
  const most = Math.max(...answer.reactions) + pulled;
  const place = shorePlace('post', bent, columnAisc, sourced(rules.id === 'us-asd' ? 'AISC 360 E3' : 'EN 1993-1-1 6.3.1', rules, 'strengthCaution'));
  const section = findSection(post.section);
  const fy = yieldOf(post.grade, section?.flange);
  const checks: Check[] = [];
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
              phrase`The most loaded post of ${bent.name}${answer.stages > 1 ? `, at stage ${answer.stage},` : ''} carries ${q(most, 'force')}${pulled > 0 ? ', the pull of the guys with it' : ''}; ${section.designation}, ${q(post.height, 'length')} high, takes ${q(capacity.capacity, 'force')}.${answer.idle.length > 0 ? ` Post ${answer.idle.join(', ')} lifts off and carries nothing.` : ''}`,
            ),
            [...answer.traces, ...capacity.traces],
          ),
    );
  }
  const under = shorePlace('pad', bent, contactPressure, sourced(contactPressure.source.text, rules, 'contactCaution'));
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
  const place = shorePlace('jack', bent, beamContinuous, sourced('Common practice: a rating that equals its load is a stop', rules, 'contactCaution'));
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

/** The web of the header under each seat that stands on it. */
function seatChecks(bent: Bent, answer: BentAnswer, rules: Rules): Check[] {
  return bent.loads.map((load) => {
    const name = load.what || 'the load';
    const place = shorePlace(
      'seat',
      { id: bent.id, name: `${bent.name}, ${name}`, part: load.id },
      columnAisc,
      sourced(rules.id === 'us-asd' ? 'AISC 360 J10.2, J10.3' : 'EN 1993-1-5 section 6', rules, 'strengthCaution'),
    );
    if (load.bearing === null) return missingCheck(place, 'force', `On what length of the header of ${bent.name} does ${name} bear?`);
    const end = Math.max(0, Math.min(load.at, bent.header.length - load.at) - load.bearing / 2);
    const capacity = webCapacity(answer.header, answer.fy, { length: load.bearing, past: end, atEnd: end < answer.header.depth }, rules);
    if (capacity instanceof Missing) return missingCheck(place, 'force', capacity.questions.join(' '));
    return ratioCheck(
      { ...place, calc: capacity.traces[0]?.calc ?? place.calc },
      { demand: load.force ?? 0, capacity: capacity.capacity, quantity: 'force', caution: rules.value('strengthCaution') },
      told(
        phrase`${name} presses the web of the header of ${bent.name} with ${q(load.force ?? 0, 'force')}; on ${q(load.bearing, 'dimension')} it takes ${q(capacity.capacity, 'force')}.`,
      ),
      capacity.traces,
    );
  });
}

/** Accepted so many days before its girder lands on it. */
function readyCheck(bent: Bent, rules: Rules): Check {
  const place = shorePlace('ready', bent, sequenceNeeds, rules.source('bentReadyDays').text);
  if (!isDay(bent.readyOn) || !isDay(bent.girderOn))
    return missingCheck(place, 'count', `When was ${bent.name} accepted, and when does its girder land on it? Year-month-day.`);
  const days = Math.round((Date.parse(bent.girderOn) - Date.parse(bent.readyOn)) / 86_400_000);
  const wanted = rules.value('bentReadyDays');
  return ratioCheck(
    place,
    { demand: wanted, capacity: Math.max(0, days), quantity: 'count', caution: null, inclusive: true },
    told(
      days < 0
        ? [`The girder of ${bent.name} would land on ${bent.girderOn}, before the bent is accepted on ${bent.readyOn}.`]
        : [`${bent.name} is accepted on ${bent.readyOn}, ${days} days before its girder lands; ${wanted} wanted.`],
    ),
    [],
  );
}
