import { phrase, q } from '../../calc/work';
import { contactPressure } from '../../path/contact-pressure.calc';
import type { Rules } from '../../rules/rule-sets';
import { timberBeam } from '../../shoring/timber-beam.calc';
import { TIMBER_SOURCE } from '../../shoring/timber-grades';
import type { Check } from '../../verdict/check';
import type { ShoreWall } from '../../document/schema';
import type { Header, WallStuds } from '../../settle/wall-studs';
import { missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { shorePlace } from './place';
import { timberAcross, timberStress } from './timber';

/** Headers that carry joists past a gap: bending, shear, and how they press the studs they lie on. */
export const headerChecks = (wall: ShoreWall, { headers, traces }: WallStuds, rules: Rules): Check[] =>
  headers.flatMap((one) => oneHeader(wall, one, rules).map((check) => ({ ...check, traces: [...traces, one.trace, ...check.traces] })));

function oneHeader(wall: ShoreWall, { gap, span, left, right, moment }: Header, rules: Rules): Check[] {
  const { depth, plies, grade } = gap.header;
  const width = gap.header.width * plies;
  const name = `${wall.name}, header over ${gap.from === gap.to ? `joist ${gap.from}` : `joists ${gap.from} to ${gap.to}`}`;
  const place = shorePlace(
    'header',
    { id: wall.id, name, part: gap.id },
    timberBeam,
    sourced(`${timberBeam.source.text} · ${TIMBER_SOURCE[rules.id]}`, rules, 'timberDuration', 'strengthCaution'),
  );
  const stress = timberStress(grade, depth, rules);
  const allowable = timberAcross(grade, rules);
  if (!stress || allowable === null)
    return [missingCheck(place, 'moment', `Grade ${grade} has no values in this rule set: which grade is the header of ${wall.name}?`)];
  const shear = Math.max(left, right);
  const takes = traced(timberBeam, { bending: stress.bending, shear: stress.shear, width, depth });
  if (!takes.outcome.ok) return [missingCheck(place, 'moment', takes.outcome.error)];
  const { output } = takes.outcome;
  const bends = moment / output.moment >= shear / output.shear;
  // It lies on the studs that do not run up beside it; a single one it lies on whole.
  const seat = wall.stud.width * Math.max(1, gap.posts - 1);
  const press = traced(contactPressure, { load: shear, length: seat, width, allowable });
  if (!press.outcome.ok) return [missingCheck(place, 'strength', press.outcome.error)];
  const { pressure } = press.outcome.output;
  return [
    ratioCheck(
      place,
      {
        demand: bends ? moment : shear,
        capacity: bends ? output.moment : output.shear,
        quantity: bends ? 'moment' : 'force',
        caution: rules.value('strengthCaution'),
      },
      told(
        bends
          ? phrase`${name}, ${q(span, 'length')} long, bends with ${q(moment, 'moment')}; it takes ${q(output.moment, 'moment')}.`
          : phrase`${name}, ${q(span, 'length')} long, shears with ${q(shear, 'force')}; it takes ${q(output.shear, 'force')}.`,
      ),
      takes.traces,
    ),
    ratioCheck(
      shorePlace(
        'headerSeat',
        { id: wall.id, name, part: gap.id },
        contactPressure,
        sourced(`Header on its studs, square to the grain · ${TIMBER_SOURCE[rules.id]}`, rules, 'contactCaution'),
      ),
      { demand: pressure, capacity: allowable, quantity: 'strength', caution: rules.value('contactCaution') },
      told(phrase`${name} presses the studs it lies on with ${q(pressure, 'strength')}; the wood takes ${q(allowable, 'strength')} across the grain.`),
      press.traces,
    ),
  ];
}
