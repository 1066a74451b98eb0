import { phrase, q } from '../../calc/work';
import type { Rules } from '../../rules/rule-sets';
import { steelWeight } from '../../steel/weight.calc';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { teamCarry } from '../../handling/team.calc';
import { missingCheck, sourced, told } from '../../verdict/build';
import { saysSomething } from '../../document/records';
import type { Brace, PutLoad } from '../../document/schema';
import { about, place } from './places';

/** Rods and ropes weigh next to nothing beside what they hold; everything else that ties two pieces is weighed. */
const LIGHT: ReadonlySet<Brace['kind']> = new Set(['guy', 'bridging']);
export const isWeighed = ({ kind }: Brace): boolean => !LIGHT.has(kind);

/** A brace rests on what it ties: one that nobody weighed is missing in every sum there. */
export function unweighed(brace: Brace, markOf: (piece: string) => string): Check[] {
  if (brace.mass || !isWeighed(brace)) return [];
  const [first, second] = [markOf(brace.a.piece), brace.b && markOf(brace.b.piece)];
  const rests = second === null ? `Half of it hangs on ${first}.` : `Half of it rests on ${first} and half on ${second}.`;
  return [
    missingCheck(
      place('brace.weight', about('brace', brace, brace.name), null, steelWeight.id, steelWeight.source.text, 'steel'),
      'mass',
      `What does ${brace.name} weigh, with its bolts? ${rests}`,
    ),
  ];
}

const LIFTED = 'Common practice: a hook that holds a girder lifts nothing else; what people cannot put up by hand has a lift of its own';

/** A brace that two people do not put up by hand: what lifts it while the hook holds the piece it ties. */
export function unlifted(brace: Brace, rules: Rules): Check[] {
  const most = 2 * rules.value('personLift');
  if (!brace.mass || brace.mass <= most || saysSomething(brace.liftedBy ?? '')) return [];
  return [
    {
      ...missingCheck(place('brace.lifted', about('brace', brace, brace.name), null, teamCarry.id, sourced(LIFTED, rules, 'personLift'), 'steel'), 'mass', ''),
      demand: brace.mass,
      finding: told(
        phrase`${brace.name} weighs ${q(brace.mass, 'mass')}, and two people put up ${q(most, 'mass')} by hand. What lifts it to its place, and who worked that out?`,
      ),
    },
  ];
}

/** So much and more does not come onto steel by hand, nor on its own feet [N]. */
const CRANED = 5000;

/** A bundle, or any other load of half a tonne, that nobody says how it comes onto the steel. */
export function loadUnlifted(load: PutLoad, beam: { id: string }, rules: Rules): Check[] {
  const whole = load.bundle?.force ?? load.force;
  const heavy = load.bundle ? whole > 2 * rules.value('personLift') * GRAVITY : whole > CRANED;
  if (!heavy || load.unsaid?.includes('force') || saysSomething(load.liftedBy ?? '')) return [];
  return [
    {
      ...missingCheck(
        place('load.lifted', about('beam', beam, load.what, load.id), null, teamCarry.id, sourced(LIFTED, rules, 'personLift'), 'steel'),
        'force',
        '',
      ),
      demand: whole,
      finding: told(phrase`${load.what} weighs ${q(whole, 'force')}. What lifts it onto the steel, and who worked that out?`),
    },
  ];
}
