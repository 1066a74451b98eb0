import { phrase, q } from '../../../calc/work';
import { contactPressure } from '../../../path/contact-pressure.calc';
import type { Rules } from '../../../rules/rule-sets';
import { joistOnShore } from '../../../shoring/joist-on-shore.calc';
import { timberBeam } from '../../../shoring/timber-beam.calc';
import { sizeFactors, timberValues, TIMBER_SOURCE, type TimberGrade } from '../../../shoring/timber-grades';
import { timberPost } from '../../../shoring/timber-post.calc';
import { timberPostEn } from '../../../shoring/timber-post-en.calc';
import type { Trace } from '../../../calc/evidence';
import type { Check } from '../../check';
import { Missing } from '../../missing';
import { joistOf, studPlaces, type JoistAnswer } from '../../shoring';
import type { Plan, ShoreWall, Storey } from '../../schema';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced, type Context } from '../context';
import { shorePlace } from './place';

type Ground = Pick<Context, 'plan' | 'rules'>;

/** Length of a stud: floor to joists, less the plates. */
export const studLength = (wall: ShoreWall, storey: Storey): number | null =>
  storey.height === null ? null : storey.height - wall.plate.count * wall.plate.thickness;

/** What a stud of the wall may carry, braced as it is; a string is why it may carry nothing. */
export function studStrength(wall: ShoreWall, length: number, rules: Rules): { capacity: number; traces: Trace[] } | Missing | string {
  const { width, depth, grade } = wall.stud;
  const values = timberValues(grade, rules.id);
  if (!values) return new Missing(`Grade ${grade} has no values in this rule set: choose a grade of its own tables for ${wall.name}.`);
  // Bracing rows run along the wall: they hold the stud in that direction only.
  const free = { width, depth, unbracedWidth: length / (wall.braces + 1), unbracedDepth: length };
  if (rules.id === 'eu-ls') {
    const run = traced(timberPostEn, { ...free, fc: values.fc, eLow: values.eLow, kmod: rules.value('timberDuration'), gammaM: rules.value('timberGamma') });
    return run.outcome.ok ? { capacity: run.outcome.output.design, traces: run.traces } : run.outcome.error;
  }
  const run = traced(timberPost, {
    ...free,
    fc: values.fc,
    eMin: values.eLow,
    loadDuration: rules.value('timberDuration'),
    sizeFactor: sizeFactors(grade, Math.max(width, depth)).compression,
  });
  return run.outcome.ok ? { capacity: run.outcome.output.allowable, traces: run.traces } : run.outcome.error;
}

/** Bending and shear stress timber may take, with the factors of the rule set. */
function timberStress(grade: TimberGrade, depth: number, rules: Rules): { bending: number; shear: number } | null {
  const values = timberValues(grade, rules.id);
  if (!values) return null;
  const factor = rules.id === 'eu-ls' ? rules.value('timberDuration') / rules.value('timberGamma') : rules.value('timberDuration');
  return {
    bending: values.fb * factor * (rules.id === 'eu-ls' ? 1 : sizeFactors(grade, depth).bending),
    shear: values.fv * factor * (rules.id === 'eu-ls' ? 0.67 : 1),
  };
}

export function wallChecks(context: Ground): Check[] {
  const { plan } = context;
  return plan.shoring.walls.flatMap((wall) => {
    const storey = plan.shoring.storeys.find((one) => one.id === wall.storey);
    return storey ? oneWall(wall, storey, context) : [];
  });
}

function oneWall(wall: ShoreWall, storey: Storey, { plan, rules }: Ground): Check[] {
  const joist = joistOf(plan, wall, rules);
  const places = studPlaces(plan, wall);
  const loadPlace = shorePlace('load', wall.name, joistOnShore);
  if (joist instanceof Missing) return [missingCheck(loadPlace, 'force', joist.questions.join(' '))];
  if (places instanceof Missing) return [missingCheck(loadPlace, 'force', places.questions.join(' '))];
  return [
    ...studChecks(wall, storey, joist, places.length, rules),
    ...plateChecks(wall, joist, rules),
    bracingCheck(wall, joist, places.length, rules),
    ...joistChecks(wall, storey, joist, rules),
  ];
}

function studChecks(wall: ShoreWall, storey: Storey, joist: JoistAnswer, count: number, rules: Rules): Check[] {
  const checks: Check[] = [];
  const lost = wall.missing.filter((n) => n <= count);
  const everyJoist = shorePlace('everyJoist', wall.name, joistOnShore, 'Common practice: a stud under every joist');
  checks.push(
    lost.length > 0
      ? flatStop(
          everyJoist,
          'count',
          told([`${wall.name}: no stud under joist ${lost.join(', ')} of ${count}. Put one under every joist before anything is cut.`]),
          [],
        )
      : {
          ...ratioCheck(
            everyJoist,
            { demand: 0, capacity: 1, quantity: 'count', caution: null, ratio: 0 },
            told([`${wall.name}: ${count} studs, one under every joist over the opening.`]),
            [],
          ),
          demand: null,
          capacity: null,
          ratio: null,
        },
  );
  const length = studLength(wall, storey);
  const place = shorePlace(
    'stud',
    wall.name,
    timberPost,
    sourced(rules.id === 'eu-ls' ? timberPostEn.source.text : timberPost.source.text, rules, 'timberDuration', 'contactCaution') +
      ` · ${TIMBER_SOURCE[rules.id]}`,
  );
  if (length === null) return [...checks, missingCheck(place, 'force', `How high is it from the floor to the joists over ${storey.name}?`)];
  if (!(length > 0))
    return [...checks, flatStop(place, 'force', told([`The plates of ${wall.name} fill the height of ${storey.name}: there is no room for a stud.`]), [])];
  const strength = studStrength(wall, length, rules);
  if (strength instanceof Missing) return [...checks, missingCheck(place, 'force', strength.questions.join(' '))];
  if (typeof strength === 'string') return [...checks, flatStop(place, 'force', told([`${wall.name}: ${strength}`]), joist.traces, joist.shore)];
  return [
    ...checks,
    ratioCheck(
      place,
      { demand: joist.shore, capacity: strength.capacity, quantity: 'force', caution: rules.value('contactCaution') },
      told(
        phrase`Each stud of ${wall.name} carries ${q(joist.shore, 'force')}; ${q(wall.stud.width, 'dimension')} × ${q(wall.stud.depth, 'dimension')} ${wall.stud.grade}, ${q(length, 'length')} long with ${String(wall.braces)} row(s) of bracing, takes ${q(strength.capacity, 'force')}.`,
      ),
      [...joist.traces, ...strength.traces],
    ),
  ];
}

interface Contact {
  length: number;
  width: number;
  allowable: number;
}

/**
 * A stud on its plate, square to the grain. The fibres past the stud help: NDS 3.10.4 by its C_b of (l + 9.5 mm)/l; EN 1995-1-1
 * 6.1.5 by 30 mm more at each side, no more than the stud is thick, with k_c,90 taken as 1.
 */
export function plateContact(wall: ShoreWall, rules: Rules): Contact | null {
  const { width, depth, grade } = wall.stud;
  const values = timberValues(grade, rules.id);
  if (!values) return null;
  const across = Math.min(depth, wall.plate.width);
  if (rules.id === 'eu-ls')
    return {
      length: width + 2 * Math.min(0.03, width),
      width: across,
      allowable: (values.fcPerp * rules.value('timberDuration')) / rules.value('timberGamma'),
    };
  return { length: width, width: across, allowable: (values.fcPerp * (width + 0.009525)) / width };
}

/** Under the sole plate, spread at 45° through it and no further than the boards are wide; null: nobody has said what it may take. */
export const soleContact = (wall: ShoreWall): Contact | null =>
  wall.sole.allowable === null ? null : { length: wall.stud.width + 2 * wall.plate.thickness, width: wall.sole.width, allowable: wall.sole.allowable };

/** The plates under a stud crush square to the grain; what is under the sole plate is pressed. */
function plateChecks(wall: ShoreWall, joist: JoistAnswer, rules: Rules): Check[] {
  const checks: Check[] = [];
  const caution = rules.value('contactCaution');
  const plate = plateContact(wall, rules);
  if (plate) {
    const run = traced(contactPressure, { load: joist.shore, ...plate });
    const place = shorePlace(
      'plate',
      wall.name,
      contactPressure,
      sourced(`Stud on plate, square to the grain: NDS 3.10.4, EN 1995-1-1 6.1.5 · ${TIMBER_SOURCE[rules.id]}`, rules, 'contactCaution'),
    );
    if (run.outcome.ok)
      checks.push(
        ratioCheck(
          place,
          { demand: run.outcome.output.pressure, capacity: plate.allowable, quantity: 'strength', caution },
          told(
            phrase`A stud of ${wall.name} presses its plates ${q(run.outcome.output.pressure, 'strength')}; the wood takes ${q(plate.allowable, 'strength')} across the grain.`,
          ),
          run.traces,
        ),
      );
  }
  const place = shorePlace('sole', wall.name, contactPressure, sourced(contactPressure.source.text, rules, 'contactCaution'));
  const under = wall.sole.on.trim() || 'what is under it';
  const sole = soleContact(wall);
  if (sole === null) return [...checks, missingCheck(place, 'pressure', `What pressure may ${under} take under the sole plate of ${wall.name}?`)];
  const run = traced(contactPressure, { load: joist.shore, ...sole });
  if (run.outcome.ok)
    checks.push(
      ratioCheck(
        place,
        { demand: run.outcome.output.pressure, capacity: sole.allowable, quantity: 'pressure', caution },
        told(phrase`Under ${wall.name} a stud presses ${under} ${q(run.outcome.output.pressure, 'pressure')}; ${q(sole.allowable, 'pressure')} is allowed.`),
        run.traces,
      ),
    );
  return checks;
}

function bracingCheck(wall: ShoreWall, joist: JoistAnswer, count: number, rules: Rules): Check {
  const needed = rules.value('shoreLateral') * joist.shore * count;
  const place = shorePlace('bracing', wall.name, joistOnShore, rules.source('shoreLateral').text);
  if (wall.bracing === null)
    return missingCheck(place, 'force', `What sideways force does the diagonal bracing of ${wall.name} hold? Boards and screws, by the maker or the engineer.`);
  return ratioCheck(
    place,
    { demand: needed, capacity: wall.bracing, quantity: 'force', caution: null, inclusive: true },
    told(phrase`${wall.name} is to be braced for ${q(needed, 'force')} sideways; its diagonals hold ${q(wall.bracing, 'force')}.`),
    joist.traces,
  );
}

/** The joist past its shore: bending over it, and its far end, which may want to rise. */
function joistChecks(wall: ShoreWall, storey: Storey, joist: JoistAnswer, rules: Rules): Check[] {
  const checks: Check[] = [];
  const { width, depth, grade } = storey.joists;
  const place = shorePlace(
    'joist',
    wall.name,
    timberBeam,
    sourced(`${timberBeam.source.text} · ${TIMBER_SOURCE[rules.id]}`, rules, 'timberDuration', 'strengthCaution'),
  );
  const stress = depth === null ? null : timberStress(grade, depth, rules);
  if (width === null || depth === null) checks.push(missingCheck(place, 'moment', `What size are the joists over ${storey.name}?`));
  else if (!stress)
    checks.push(missingCheck(place, 'moment', `Grade ${grade} has no values in this rule set: which grade are the joists over ${storey.name}?`));
  else {
    const run = traced(timberBeam, { bending: stress.bending, shear: stress.shear, width, depth });
    if (run.outcome.ok) {
      const { moment, shear } = run.outcome.output;
      const bends = joist.moment / moment >= joist.shear / shear;
      checks.push(
        ratioCheck(
          place,
          {
            demand: bends ? joist.moment : joist.shear,
            capacity: bends ? moment : shear,
            quantity: bends ? 'moment' : 'force',
            caution: rules.value('strengthCaution'),
          },
          told(
            bends
              ? phrase`The joists over ${wall.name} bend with ${q(joist.moment, 'moment')} at ${q(wall.setback, 'length')} from the line; they take ${q(moment, 'moment')}.`
              : phrase`The joists over ${wall.name} shear with ${q(joist.shear, 'force')}; they take ${q(shear, 'force')}.`,
          ),
          [...joist.traces, ...run.traces],
        ),
      );
    }
  }
  if (joist.farBearing < 0) {
    const up = -joist.farBearing;
    const hold = shorePlace('holdDown', wall.name, joistOnShore);
    checks.push(
      wall.holdDown === null
        ? missingCheck(hold, 'force', `The joists over ${wall.name} lift at their far bearing. What holds them down there?`, joist.traces)
        : ratioCheck(
            hold,
            { demand: up, capacity: wall.holdDown, quantity: 'force', caution: rules.value('strengthCaution') },
            told(phrase`The joists over ${wall.name} lift ${q(up, 'force')} each at their far bearing; ${q(wall.holdDown, 'force')} holds them down.`),
            joist.traces,
          ),
    );
  }
  return checks;
}

/** All of a wall's studs together, for the path to ground and the sums. */
export function wallTotal(plan: Plan, wall: ShoreWall, rules: Rules): { load: number; each: number; count: number; traces: Trace[] } | Missing {
  const joist = joistOf(plan, wall, rules);
  const places = studPlaces(plan, wall);
  if (joist instanceof Missing) return joist;
  if (places instanceof Missing) return places;
  return { load: joist.shore * places.length, each: joist.shore, count: places.length, traces: joist.traces };
}
