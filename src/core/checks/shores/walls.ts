import type { SettledPlan } from '../../settle/settle';
import type { LinePlan } from '../../document/views';
import { phrase, q } from '../../calc/work';
import { contactPressure } from '../../path/contact-pressure.calc';
import type { Rules } from '../../rules/rule-sets';
import { joistOnShore } from '../../shoring/joist-on-shore.calc';
import { timberBeam } from '../../shoring/timber-beam.calc';
import { TIMBER_SOURCE } from '../../shoring/timber-grades';
import { timberPost } from '../../shoring/timber-post.calc';
import { timberPostEn } from '../../shoring/timber-post-en.calc';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import type { ShoreWall, Storey } from '../../document/schema';
import type { JoistAnswer } from '../../settle/shoring';
import { joistShare, studLength, studsOf, type KnownStuds, type WallStuds } from '../../settle/wall-studs';
import { type Stud } from '../../settle/shore-layout';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { bracingCheck } from './bracing';
import { headerChecks } from './headers';
import { shorePlace } from './place';
import { timberAcross, timberStress, timberStrut } from './timber';

type Ground = Pick<Context<LinePlan<SettledPlan>>, 'plan' | 'rules'>;

/** What one stud of the wall may carry, braced as it is; a string is why it may carry nothing. */
export const studStrength = (wall: ShoreWall, length: number, rules: Rules) => timberStrut({ ...wall.stud, braces: wall.braces }, wall.name, length, rules);

export function wallChecks(context: Ground, known: KnownStuds): Check[] {
  const { plan } = context;
  return plan.shoring.walls.flatMap((wall) => {
    const storey = plan.shoring.storeys.find((one) => one.id === wall.storey);
    return storey ? oneWall(wall, storey, context, known) : [];
  });
}

function oneWall(wall: ShoreWall, storey: Storey, { plan, rules }: Ground, known: KnownStuds): Check[] {
  const answer = studsOf(plan, wall, rules, known);
  if (answer instanceof Missing) return [missingCheck(shorePlace('load', wall, joistOnShore), 'force', answer.questions.join(' '))];
  return [
    ...studChecks(wall, storey, answer, rules),
    ...headerChecks(wall, answer, rules),
    ...plateChecks(wall, answer, rules),
    bracingCheck(wall, answer, rules),
    ...joistChecks(wall, storey, answer.joist, rules),
  ];
}

/** On each of the studs set together. */
const share = (stud: Stud): number => stud.load / stud.together;

/** The stud with the most on it. */
const hardest = ({ studs }: WallStuds): Stud | null => studs.reduce<Stud | null>((most, stud) => (most && share(most) >= share(stud) ? most : stud), null);

function studChecks(wall: ShoreWall, storey: Storey, answer: WallStuds, rules: Rules): Check[] {
  const checks: Check[] = [];
  const { studs, joist, headers, bare } = answer;
  const carried = headers.reduce((sum, { gap }) => sum + gap.to - gap.from + 1, 0);
  const count = studs.length + carried + bare.length;
  const lost = [...wall.missing.filter((n) => n <= count), ...bare].sort((a, b) => a - b);
  const everyJoist = shorePlace('everyJoist', wall, joistOnShore, 'Common practice: a stud under every joist');
  checks.push(
    lost.length > 0
      ? flatStop(
          everyJoist,
          'count',
          told([
            bare.length > 0
              ? `${wall.name}: nothing holds joist ${lost.join(', ')} of ${count}. A header wants a stud at each of its ends.`
              : `${wall.name}: no stud under joist ${lost.join(', ')} of ${count}. Put one under every joist before anything is cut.`,
          ]),
          [],
        )
      : {
          ...ratioCheck(
            everyJoist,
            { demand: 0, capacity: 1, quantity: 'count', caution: null, ratio: 0 },
            told([
              carried > 0
                ? `${wall.name}: ${studs.length} joists stand on studs and ${carried} on headers, every joist over the opening.`
                : `${wall.name}: ${count} studs, one under every joist over the opening.`,
            ]),
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
    wall,
    timberPost,
    sourced(rules.id === 'eu-ls' ? timberPostEn.source.text : timberPost.source.text, rules, 'timberDuration', 'contactCaution') +
      ` · ${TIMBER_SOURCE[rules.id]}`,
  );
  if (length === null) return [...checks, missingCheck(place, 'force', `How high is it from the floor to the joists over ${storey.name}?`)];
  if (!(length > 0))
    return [...checks, flatStop(place, 'force', told([`The plates of ${wall.name} fill the height of ${storey.name}: there is no room for a stud.`]), [])];
  const strength = studStrength(wall, length, rules);
  if (strength instanceof Missing) return [...checks, missingCheck(place, 'force', strength.questions.join(' '))];
  const most = hardest(answer);
  if (!most) return [...checks, missingCheck(place, 'force', `No stud of ${wall.name} stands: headers alone hold nothing up.`)];
  if (typeof strength === 'string') return [...checks, flatStop(place, 'force', told([`${wall.name}: ${strength}`]), joist.traces, share(most))];
  const alike = studs.every((stud) => Math.abs(share(stud) - share(most)) < 1e-6);
  const who = alike ? `Each stud of ${wall.name}` : `Stud ${most.number} of ${wall.name}${most.together > 1 ? `, each of ${most.together} together,` : ''}`;
  return [
    ...checks,
    ratioCheck(
      place,
      { demand: share(most), capacity: strength.capacity, quantity: 'force', caution: rules.value('contactCaution') },
      told(
        phrase`${who} carries ${q(share(most), 'force')}; ${q(wall.stud.width, 'dimension')} × ${q(wall.stud.depth, 'dimension')} ${wall.stud.grade}, ${q(length, 'length')} long with ${String(wall.braces)} row(s) of bracing, takes ${q(strength.capacity, 'force')}.`,
      ),
      [...joist.traces, ...headers.map((one) => one.trace), ...strength.traces],
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
  const allowable = timberAcross(grade, rules);
  if (allowable === null) return null;
  const across = Math.min(depth, wall.plate.width);
  if (rules.id === 'eu-ls') return { length: width + 2 * Math.min(0.03, width), width: across, allowable };
  return { length: width, width: across, allowable: (allowable * (width + 0.009525)) / width };
}

/** Under the sole plate, spread at 45° through it and no further than the boards are wide; null: nobody has said what it may take. */
export const soleContact = (wall: ShoreWall): Contact | null =>
  wall.sole.allowable === null ? null : { length: wall.stud.width + 2 * wall.plate.thickness, width: wall.sole.width, allowable: wall.sole.allowable };

/** The plates under a stud crush square to the grain; what is under the sole plate is pressed. */
function plateChecks(wall: ShoreWall, answer: WallStuds, rules: Rules): Check[] {
  const checks: Check[] = [];
  const most = hardest(answer);
  if (!most) return [];
  const load = share(most);
  const caution = rules.value('contactCaution');
  const plate = plateContact(wall, rules);
  if (plate) {
    const run = traced(contactPressure, { load, ...plate });
    const place = shorePlace(
      'plate',
      wall,
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
  const place = shorePlace('sole', wall, contactPressure, sourced(contactPressure.source.text, rules, 'contactCaution'));
  const under = wall.sole.on.trim() || 'what is under it';
  const sole = soleContact(wall);
  if (sole === null) return [...checks, missingCheck(place, 'pressure', `What pressure may ${under} take under the sole plate of ${wall.name}?`)];
  const run = traced(contactPressure, { load, ...sole });
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

/** The joist past its shore: bending over it, and its far end, which may want to rise. */
function joistChecks(wall: ShoreWall, storey: Storey, joist: JoistAnswer, rules: Rules): Check[] {
  const checks: Check[] = [];
  const { width, depth, grade } = storey.joists;
  const place = shorePlace(
    'joist',
    wall,
    timberBeam,
    sourced(`${timberBeam.source.text} · ${TIMBER_SOURCE[rules.id]}`, rules, 'timberDuration', 'strengthCaution'),
  );
  const stress = depth === null ? null : timberStress(grade, depth, rules);
  if (width === null || depth === null) checks.push(missingCheck(place, 'moment', `What size are the joists over ${storey.name}?`));
  else if (!stress)
    checks.push(missingCheck(place, 'moment', `Grade ${grade} has no values in this rule set: which grade are the joists over ${storey.name}?`));
  else {
    const { plies, doubled } = storey.joists;
    // A doubled joist has one ply more and carries more floor: the one nearer its strength decides.
    const worst = Math.max(1 / plies, ...doubled.map((one) => joistShare(storey, one.number) / (plies + 1)));
    const run = traced(timberBeam, { bending: stress.bending, shear: stress.shear, width: width / worst, depth });
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
    const hold = shorePlace('holdDown', wall, joistOnShore);
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

/** All of a wall’s studs together, for the path to ground and the sums. */
export function wallTotal(plan: LinePlan, wall: ShoreWall, rules: Rules, known?: KnownStuds): (WallStuds & { load: number }) | Missing {
  const answer = studsOf(plan, wall, rules, known);
  return answer instanceof Missing ? answer : { ...answer, load: answer.studs.reduce((sum, stud) => sum + stud.load, 0) };
}
