import { offChartWords } from '../cranes/chart-lookup';
import { dayWords } from '../units/day';
import { formatQuantity, spokenIn, type QuantityKind, type UnitSystem } from '../units';
import type { Check } from './check';

const listed = (words: readonly string[]): string => (words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`);
const bolts = (count: number): string => (count === 0 ? 'no bolt' : count === 1 ? 'one bolt' : `${count} bolts`);

/** Where a hook was set, told beside the radius it comes to with the load on. */
const setAt = (set: number | undefined, far: (value: number) => string): string => (set === undefined ? '' : ` with the load on (set at ${far(set)})`);

/** Days as they are stored, wherever they stand in a sentence. */
const DAY = /\b\d{4}-\d{2}-\d{2}\b/g;

/** The sentence of a check, as a foreman would say it, its days with the month in letters. The only place a finding becomes words. */
export const describe = (check: Pick<Check, 'finding' | 'verdict' | 'subject'>, system: UnitSystem): string => sentenceOf(check, system).replace(DAY, dayWords);

function sentenceOf({ finding: f, verdict, subject }: Pick<Check, 'finding' | 'verdict' | 'subject'>, system: UnitSystem): string {
  const show = (value: number, kind: QuantityKind) => formatQuantity(value, kind, system);
  const stops = verdict === 'stop';
  // What stops is told as finely as it is known: an inch may be all that is short.
  const far = (value: number) => show(value, stops ? 'length' : 'reach');
  switch (f.code) {
    case 'told':
      return f.words.map((part) => (typeof part === 'string' ? part : part.kind === 'reach' ? far(part.value) : show(part.value, part.kind))).join('');
    case 'missing':
      return spokenIn(f.question, system);
    case 'weight':
      return `${f.mark} weighs ${show(f.mass, 'mass')} with ${show(f.allowance, 'fraction')} allowed; its balance point is ${show(f.cg, 'length')} from the left end.`;
    case 'moves.lacking':
      return `The run sheet never does this for ${f.mark}: ${listed(f.lacks)}. Add it.`;
    case 'moves.complete':
      return `The run sheet takes ${f.mark} from the truck to its seats and lets go.`;
    case 'concrete':
      return stops
        ? `${f.bearing} is not ready: its concrete tested ${show(f.result, 'strength')} and ${show(f.needed, 'strength')} is needed before steel stands on it.`
        : `${f.bearing}: concrete tested ${show(f.result, 'strength')}; ${show(f.needed, 'strength')} is needed.`;
    case 'ground':
      return `${f.corner} outrigger at ${f.stand} presses ${show(f.pressure, 'pressure')}; the ground may take ${show(f.allowable, 'pressure')}.`;
    case 'crane.tips':
      return `The crane at ${f.stand} tips with the boom ${show(Math.abs(f.overDeg), 'angle')} off the front. Move it or lighten the pick.`;
    case 'crane.tail':
      return `The crane’s tail at ${f.stand} passes ${f.what} by ${far(f.gap)}; keep ${far(f.least)}.`;
    case 'line.clearance':
      return `${f.line}: boom or load comes within ${far(f.distance)}; keep ${far(f.required)} off.`;
    case 'sling.tension':
      return `The legs of ${subject} carry ${show(f.tensions[0], 'force')} and ${show(f.tensions[1], 'force')} with the dynamic factor ${show(f.factor, 'factor')}; each is good for ${show(f.rating, 'force')}.`;
    case 'sling.angle':
      return `The flattest leg of ${subject}, ${f.leg}, stands at ${show(f.angleDeg, 'angle')}; keep it above ${show(f.leastDeg, 'angle')}.`;
    case 'sling.tilt':
      return Math.abs(f.tiltDeg) < 0.05
        ? `${f.mark} hangs level; up to ${show(f.mostDeg, 'angle')} is allowed.`
        : `${f.mark} hangs ${show(Math.abs(f.tiltDeg), 'angle')} low at the ${f.lowEnd} end; up to ${show(f.mostDeg, 'angle')} is allowed.`;
    case 'sling.impossible':
      return spokenIn(f.reason, system);
    case 'lift.chart':
      if (f.shared)
        return `${subject}: up to ${show(f.gross, 'mass')} on this hook, to a radius of ${far(f.radius)}${setAt(f.set, far)}; two cranes together may use ${show(f.shared.share, 'fraction')} of the ${show(f.shared.chart, 'mass')} its chart allows: ${show(f.capacity, 'mass')}.`;
      return `${subject}: ${show(f.gross, 'mass')} on the hook at ${far(f.radius)}${setAt(f.set, far)}, the worst on the way; the chart${f.chart === undefined ? '' : ` “${f.chart}”`} allows ${show(f.capacity, 'mass')}.`;
    case 'lift.offChart':
      return `The chart gives nothing for radius ${far(f.radius)}${setAt(f.set, far)} on ${far(f.boom)} of boom: ${offChartWords(f.off, (value) => far(value))}.`;
    case 'lift.boomShort':
      return `${far(f.boom)} of boom cannot reach a radius of ${far(f.radius)}. Lengthen it or bring the stand nearer.`;
    case 'lift.headRoom':
      return `The hook of ${subject} must be ${far(f.needed)} up${f.over ? ` to pass over ${f.over}` : ''}; under the boom tip it can reach ${far(f.available)}.`;
    case 'lift.boomGap':
      return f.gap < 0 ? `The boom runs into ${f.what} by ${far(-f.gap)}.` : `The boom clears ${f.what} by ${far(f.gap)}; keep ${far(f.least)}.`;
    case 'lift.wind':
      return `Gusts of ${show(f.gust, 'speed')} are forecast; ${subject} may be lifted up to ${show(f.limit, 'speed')}.`;
    case 'pick.bending':
      return `Hanging, ${f.mark} bends ${show(f.moment, 'moment')}; with the slings’ squeeze it is good for ${show(f.capacity, 'moment')}.`;
    case 'pick.hanging':
      return stops
        ? `${f.mark} can buckle sideways while it hangs: ${show(f.moment, 'moment')} against ${show(f.usable, 'moment')}. Bring the picks to about a quarter of the length or brace it.`
        : `Sideways buckling while it hangs: ${show(f.moment, 'moment')} against ${show(f.usable, 'moment')}.`;
    case 'set.bearing':
      return `${f.mark} bears ${show(f.length, 'dimension')} at ${f.at}; ${show(f.least, 'dimension')} is the least.`;
    case 'set.postLoad':
      return `${f.at} takes ${show(f.reaction, 'force')}${f.factored ? ', factored,' : ''} once landed${f.beside.length > 0 ? `, with ${listed(f.beside)} on it too` : ''}; it is good for ${show(f.capacity, 'force')}.`;
    case 'set.uplift':
      return `${f.at} would lift by ${show(f.uplift, 'force')}: tie it down before the hook lets go.`;
    case 'set.web':
      return `${f.mark}’s web takes ${show(f.reaction, 'force')} at ${f.at}; unstiffened it is good for ${show(f.capacity, 'force')}.`;
    case 'set.bending':
      return `Set and unbraced, ${f.mark} carries its own ${show(f.moment, 'moment')}; it is good for ${show(f.capacity, 'moment')}.`;
    case 'order':
      return f.lacking.length > 0 ? `Too early: not yet done is that ${listed(f.lacking)}.` : `What this move needs is done before it.`;
    case 'release': {
      const short = f.ends.filter((end) => end.bolts < f.least);
      if (short.length === 0)
        return `Bolts in before the hook lets go: ${listed(f.ends.map((end) => `${end.bolts} at ${end.at}`))}; ${f.least} an end are needed.`;
      return `The hook would let go with ${listed(short.map((end) => `${bolts(end.bolts)} at ${end.at}`))}. ${f.least} an end are needed.`;
    }
  }
}
