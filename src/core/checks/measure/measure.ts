import { isDoneDay, namesSomebody } from '../../document/records';
import { phrase, q } from '../../calc/work';
import { boltPattern } from '../../fit/bolt-pattern.calc';
import { levelStack } from '../../fit/level-stack.calc';
import { memberLength } from '../../fit/member-length.calc';
import { offDrawing } from '../../fit/off-drawing.calc';
import { spanSum } from '../../fit/span-sum.calc';
import { distance } from '../../geometry/plane';
import { clearOf } from '../../settle/settle';
import type { Check } from '../../verdict/check';
import { lengthInput } from '../../settle/length-input';
import type { Bearing, Opening, Pattern, Plan } from '../../document/schema';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced, on } from '../../verdict/build';
import { measurePlace as place } from './measure-place';
import { bayChecks } from './measure-pocket';
import { standsInChecks } from './measure-stands';
import { cutListCheck, lookedOverCheck, revisionCheck, sheetCheck, staleCheck } from './measure-record';

/** Checks of the survey: what was measured, what differs, what no longer fits. Takes the plan as drawn. */
export function surveyChecks({ plan, rules, today }: Context, drawn: Plan): Check[] {
  return [
    ...drawn.bearings.flatMap((bearing) => bearingChecks(bearing, { plan, rules, today })),
    ...plan.survey.openings.flatMap((opening) => openingChecks(opening, { plan, rules, today })),
    ...cutListCheck({ plan, today }),
    ...revisionCheck(plan),
    ...lookedOverCheck({ plan, today }),
    ...plan.survey.patterns.map((pattern) => patternCheck(pattern, { plan, rules, today })),
    ...plan.survey.lines.flatMap((line) => {
      if (line.stated === null) return [];
      const at = line.bearings.map((id) => plan.bearings.find((one) => one.id === id)).filter((one): one is Bearing => one !== undefined);
      const spans = at.slice(1).map((one, i) => distance(one.at, at[i]?.at ?? one.at));
      const { outcome, traces } = traced(spanSum, { spans, stated: line.stated });
      if (!outcome.ok) return [missingCheck(place('measure.spans', 'spanLine', line, spanSum), 'length', outcome.error)];
      const off = Math.abs(outcome.output.difference);
      const most = rules.value('surveyTolerance');
      return [
        ratioCheck(
          place('measure.spans', 'spanLine', line, spanSum, sourced(spanSum.source.text, rules, 'surveyTolerance')),
          { demand: off, capacity: most, quantity: 'dimension', caution: null, inclusive: true },
          told(
            phrase`${line.name}: the spans make ${q(outcome.output.sum, 'length')}, the drawing says ${q(line.stated, 'length')}; ${q(off, 'dimension')} apart, ${q(most, 'dimension')} may be.`,
          ),
          traces,
        ),
      ];
    }),
  ];
}

type Ground = Pick<Context, 'plan' | 'rules' | 'today'>;

function bearingChecks(bearing: Bearing, { plan, rules, today }: Ground): Check[] {
  const where = place('measure.site', 'bearing', bearing, offDrawing, sourced(offDrawing.source.text, rules, 'surveyTolerance'));
  const { measured } = bearing;
  if (!measured || [measured.x, measured.y, measured.level, measured.seatLength, measured.seatWidth].every((value) => value === null))
    return [missingCheck(where, 'length', `${bearing.name} is as drawn. What did the tape find on site, and who held it?`)];
  const checks: Check[] = [];
  if (!namesSomebody(measured.by) || measured.on.trim() === '')
    checks.push(missingCheck({ ...where, id: 'measure.who' }, 'length', `Who measured ${bearing.name}, and when?`));
  else checks.push(...staleCheck('bearing', bearing, measured.on, { plan, today }));
  const most = rules.value('surveyTolerance');
  const fields = [
    {
      name: 'place',
      known: measured.x !== null && measured.y !== null,
      drawn: 0,
      found: Math.hypot((measured.x ?? bearing.at.x) - bearing.at.x, (measured.y ?? bearing.at.y) - bearing.at.y),
      then: 'the span is another: check the length to cut',
    },
    {
      name: 'seat level',
      known: measured.level !== null,
      drawn: bearing.level,
      found: measured.level ?? bearing.level,
      then: 'shim it, turn the nuts or cut the post to suit',
    },
    {
      name: 'seat along the piece',
      known: measured.seatLength !== null,
      drawn: bearing.seatLength,
      found: measured.seatLength ?? bearing.seatLength,
      then: 'the bearing changes with it',
    },
    {
      name: 'seat across the piece',
      known: measured.seatWidth !== null,
      drawn: bearing.seatWidth,
      found: measured.seatWidth ?? bearing.seatWidth,
      then: 'the pressure on it changes with it',
    },
  ];
  for (const { name, known, drawn, found, then } of fields) {
    if (!known) {
      checks.push(
        missingCheck(
          { ...where, ...on('bearing', bearing, `${bearing.name}, ${name}`, name) },
          'length',
          `The ${name} of ${bearing.name} is as drawn. What did the tape find?`,
        ),
      );
      continue;
    }
    const { outcome, traces } = traced(offDrawing, { drawn, measured: found, tolerance: most });
    if (!outcome.ok) continue;
    const { off, difference } = outcome.output;
    const words =
      off > most
        ? phrase`${bearing.name}, ${name}: ${q(Math.abs(difference), 'dimension')} ${name === 'place' ? 'off the drawing' : difference < 0 ? 'less than drawn' : 'more than drawn'}; ${then}.`
        : phrase`${bearing.name}, ${name}: within ${q(most, 'dimension')} of the drawing.`;
    const check = ratioCheck(
      { ...where, ...on('bearing', bearing, `${bearing.name}, ${name}`, name) },
      { demand: off, capacity: most, quantity: 'dimension', caution: null, ratio: 0 },
      told(words),
      traces,
    );
    checks.push({ ...check, ratio: null, verdict: off > most ? 'tight' : 'clear' });
  }
  return [...checks, ...standsInChecks(bearing, plan)];
}

function openingChecks(opening: Opening, { plan, rules, today }: Ground): Check[] {
  const checks: Check[] = [sheetCheck(opening, plan)];
  const cutSource = sourced(memberLength.source.text, rules, 'trapClearance');
  const where = place('measure.cut', 'opening', opening, memberLength, cutSource);
  if (opening.clear.measured === null)
    checks.push(
      missingCheck(
        place('measure.opening', 'opening', opening, memberLength),
        'length',
        `How wide is ${opening.name} on site, clear? Drawing sizes have cut many a piece wrong.`,
      ),
    );
  else {
    if (!namesSomebody(opening.by) || opening.on.trim() === '')
      checks.push(missingCheck(place('measure.who', 'opening', opening, memberLength), 'length', `Who measured ${opening.name}, and when?`));
    else checks.push(...staleCheck('opening', opening, opening.on, { plan, today }));
    if (opening.clear.drawn !== null) {
      const most = rules.value('surveyTolerance');
      const { outcome, traces } = traced(offDrawing, { drawn: opening.clear.drawn, measured: opening.clear.measured, tolerance: most });
      if (outcome.ok) {
        const { difference, off } = outcome.output;
        const words =
          off > most
            ? phrase`${opening.name} is ${q(off, 'dimension')} ${difference < 0 ? 'narrower' : 'wider'} than drawn: a piece cut from the drawing ${difference < 0 ? 'is too long' : 'bears that much less'}.`
            : phrase`${opening.name} is within ${q(most, 'dimension')} of the drawing.`;
        const check = ratioCheck(
          place('measure.differs', 'opening', opening, offDrawing, sourced(offDrawing.source.text, rules, 'surveyTolerance')),
          { demand: off, capacity: most, quantity: 'dimension', caution: null, ratio: 0 },
          told(words),
          traces,
        );
        checks.push({ ...check, ratio: null, verdict: off > most ? 'tight' : 'clear' });
      }
    }
  }
  const clear = clearOf(opening);
  const member = plan.members.find((one) => one.id === opening.member);
  if (!member) checks.push(missingCheck(where, 'length', `Which piece goes over ${opening.name}?`));
  else if (clear !== null) {
    const left = plan.bearings.find((one) => one.id === opening.left);
    const right = plan.bearings.find((one) => one.id === opening.right);
    const clearance = opening.clearance ?? rules.value('trapClearance');
    const cut = traced(memberLength, lengthInput(opening, plan, clear, clearance));
    if (!cut.outcome.ok) checks.push(missingCheck(where, 'length', cut.outcome.error));
    else {
      const wanted = cut.outcome.output.length;
      const room = clear + (left?.seatLength ?? 0) + (right?.seatLength ?? 0) - clearance;
      checks.push(
        ratioCheck(
          where,
          { demand: member.length, capacity: room, quantity: 'length', caution: null, inclusive: true },
          told(
            member.length > room
              ? phrase`${member.mark} is ${q(member.length, 'dimension')} and only ${q(room, 'dimension')} goes between the backs of the seats: ${q(member.length - room, 'dimension')} too long.`
              : phrase`${member.mark} is ${q(member.length, 'dimension')}; cut for this opening it would be ${q(wanted, 'dimension')}.`,
          ),
          cut.traces,
        ),
      );
      const least = rules.value('bearingLeast');
      // At a skew one edge of the piece bears that much less than its middle.
      const bearing = (member.length - clear - (wanted - clear - opening.bearing.left - opening.bearing.right + clearance)) / 2;
      checks.push(
        ratioCheck(
          place('measure.bearing', 'opening', opening, memberLength, sourced(memberLength.source.text, rules, 'bearingLeast')),
          { demand: least, capacity: Math.max(0, bearing), quantity: 'dimension', caution: rules.value('clearanceCaution'), inclusive: true },
          told(
            phrase`Set in the middle, ${member.mark} bears ${q(Math.max(0, bearing), 'dimension')} at each end of ${opening.name}; ${q(least, 'dimension')} is the least.`,
          ),
          cut.traces,
        ),
      );
    }
    checks.push(...bayChecks(opening, plan, rules));
  }
  const { top, layers, meets } = opening.finish;
  if (top !== null && meets !== null) {
    const { outcome, traces } = traced(levelStack, { top, layers: layers.map(({ what, thickness }) => ({ what, thickness })), meets });
    const most = rules.value('stepMost');
    if (outcome.ok)
      checks.push(
        ratioCheck(
          place('measure.step', 'opening', opening, levelStack, sourced(levelStack.source.text, rules, 'stepMost')),
          { demand: Math.abs(outcome.output.step), capacity: most, quantity: 'dimension', caution: null, inclusive: true },
          told(
            phrase`The floor over ${opening.name} finishes ${q(Math.abs(outcome.output.step), 'dimension')} ${outcome.output.step < 0 ? 'below' : 'above'} what is beside it; ${q(most, 'dimension')} passes.`,
          ),
          traces,
        ),
      );
  }
  return checks;
}

/** So many times the tolerance of one bolt a whole group is not merely off: it is another group than was drawn. */
const GROUP_OFF = 2;

function patternCheck(pattern: Pattern, { rules, today }: Ground): Check {
  const where = place('measure.bolts', 'pattern', pattern, boltPattern, sourced(boltPattern.source.text, rules, 'boltGroupTolerance'));
  const lacking = pattern.bolts.filter(({ cast }) => cast.x === null || cast.y === null).length;
  if (lacking > 0)
    return missingCheck(
      where,
      'dimension',
      `${lacking} of ${pattern.bolts.length} bolts of ${pattern.name} are not surveyed as cast. Survey them before the steel leaves the yard.`,
    );
  if (!namesSomebody(pattern.by) || !isDoneDay(pattern.on, today))
    return missingCheck(where, 'dimension', `Who surveyed the bolts of ${pattern.name} as cast, and when?`);
  if (!(pattern.hole >= pattern.bolt))
    return flatStop(
      where,
      'dimension',
      told(phrase`${pattern.name}: the holes are ${q(pattern.hole, 'dimension')} for bolts of ${q(pattern.bolt, 'dimension')}.`),
      [],
    );
  const play = (pattern.hole - pattern.bolt) / 2;
  const { outcome, traces } = traced(boltPattern, {
    drawn: pattern.bolts.map((bolt) => bolt.drawn),
    cast: pattern.bolts.map(({ cast, drawn }) => ({ x: cast.x ?? drawn.x, y: cast.y ?? drawn.y })),
    play,
  });
  if (!outcome.ok) return missingCheck(where, 'dimension', outcome.error);
  const { worst, offDrawn, shift, turnDeg, goesOn } = outcome.output;
  const most = rules.value('boltGroupTolerance');
  // Turned or shifted as one, the plate goes on and what stands on it stands turned and shifted: somebody has to want that.
  if (goesOn && offDrawn > GROUP_OFF * most)
    return {
      ...missingCheck(where, 'dimension', '', traces),
      demand: offDrawn,
      finding: told(
        phrase`${pattern.name} is cast ${q(offDrawn, 'dimension')} from where it is drawn, shifted ${q(Math.hypot(shift.x, shift.y), 'dimension')} and turned ${q(turnDeg, 'angle')}: what stands on it stands so too. Does the engineer take it, or is it drawn or surveyed the wrong way round?`,
      ),
    };
  const check = ratioCheck(
    where,
    { demand: worst, capacity: play, quantity: 'dimension', caution: null },
    told(
      goesOn
        ? phrase`The plate goes on ${pattern.name} shifted ${q(Math.hypot(shift.x, shift.y), 'dimension')} and turned ${q(turnDeg, 'angle')}; the worst bolt then stands ${q(worst, 'dimension')} off in ${q(play, 'dimension')} of play. The furthest is ${q(offDrawn, 'dimension')} from its drawn place.`
        : phrase`The plate will not go on ${pattern.name}: fitted as well as can be, a bolt still stands ${q(worst, 'dimension')} off and a hole has ${q(play, 'dimension')} of play.`,
    ),
    traces,
  );
  return goesOn && offDrawn > most ? { ...check, verdict: 'tight' } : check;
}
