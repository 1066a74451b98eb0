import { phrase, q } from '../../calc/work';
import { missingCheck, ratioCheck, told } from '../../verdict/build';
import type { Check } from '../../verdict/check';
import { pointAt } from '../../document/place';
import { saysSomething } from '../../document/records';
import type { Brace } from '../../document/schema';
import { minus, norm3 } from '../../geometry/space';
import { before, heightsApart } from './as-drawn';
import type { Ground } from './ground';
import { about } from './places';

/** A cross-frame further from square than this, as a slope, is askew: 20°. */
const ASKEW = Math.tan(Math.PI / 9);

/** No strut, cross-frame or knee is longer [m]. */
const LONGEST_BRACE = 25;

/** What holds two pieces to each other, and to nothing else. */
const BETWEEN: ReadonlySet<Brace['kind']> = new Set(['crossFrame', 'diaphragm', 'deck']);

/** What pulls or pushes in one line stops no piece from rolling over. */
const ONE_LINE: ReadonlySet<Brace['kind']> = new Set(['strut', 'guy', 'bridging', 'deck']);

/** What is asked of one brace as it is drawn. */
export function braceStill({ beams }: Ground, brace: Brace, idle: boolean): Check[] {
  const checks: Check[] = [];
  const of = about('brace', brace, brace.name);
  if (idle)
    checks.push(
      missingCheck(
        before('brace.atFoot', of, 'Statics: what is fixed where a column stands holds nothing of it'),
        'length',
        `${brace.name} is fixed to ${beams.get(brace.a.piece)?.beam.mark ?? brace.a.piece} at its foot${brace.b ? ' and ends at another foot' : ''}: it holds nothing there. How high up is it?`,
      ),
    );
  if (ONE_LINE.has(brace.kind) && brace.stops !== 'sideways')
    checks.push(
      missingCheck(
        before('brace.stops', of, 'Statics: what holds at one height of a piece stops no twist'),
        'count',
        `${brace.name} holds in one line and is said to stop twist. What keeps the piece from rolling over there, or does it stop sideways movement alone?`,
      ),
    );
  if (brace.b === null) {
    if (BETWEEN.has(brace.kind))
      checks.push(
        missingCheck(
          before('brace.tied', about('brace', brace, brace.name, 'between'), 'Statics: a cross-frame holds two pieces to each other'),
          'count',
          `${brace.name} goes between two pieces by its kind. Which is the other?`,
        ),
      );
    if (!saysSomething(brace.anchoredTo))
      checks.push(missingCheck(before('brace.tied', of, 'Statics: a brace ties to something'), 'count', `What is ${brace.name} tied to at its other end?`));
    return checks;
  }
  const [from, to] = [beams.get(brace.a.piece)?.place, beams.get(brace.b.piece)?.place];
  if (brace.a.piece === brace.b.piece)
    return [
      ...checks,
      missingCheck(
        before('brace.tied', of, 'Statics: a brace ties one thing to another'),
        'count',
        `Both ends of ${brace.name} are on ${beams.get(brace.a.piece)?.beam.mark ?? brace.a.piece}: it holds it to itself. What is it tied to at its other end?`,
      ),
    ];
  const apart = from && to ? norm3(minus(pointAt(from, brace.a.at), pointAt(to, brace.b.at))) : 0;
  if (apart > LONGEST_BRACE && brace.kind !== 'guy')
    checks.push({
      ...missingCheck(before('brace.long', of, 'Common practice: no brace is so long'), 'length', ''),
      demand: apart,
      finding: told(phrase`The two ends of ${brace.name} are drawn ${q(apart, 'length')} apart. Which of them is in the wrong place?`),
    });
  if (!from || !to || from.upright || to.upright || brace.kind === 'knee' || brace.kind === 'guy') return checks;
  const apartInHeight = BETWEEN.has(brace.kind) ? heightsApart(brace.a, brace.b, beams) : 0;
  if (apartInHeight > 0)
    checks.push({
      ...missingCheck(
        { ...before('brace.meets', { ...of, about: { ...of.about, part: 'height' } }, 'Geometry: what is tied across lies at one height') },
        'length',
        '',
      ),
      demand: apartInHeight,
      finding: told(
        phrase`What ${brace.name} ties to each other is drawn ${q(apartInHeight, 'length')} apart in height. Which of the two is in the wrong place?`,
      ),
    });
  const [a, b] = [pointAt(from, brace.a.at), pointAt(to, brace.b.at)];
  const along = Math.abs((b.x - a.x) * from.along.x + (b.y - a.y) * from.along.y);
  const across = Math.abs((b.y - a.y) * from.along.x - (b.x - a.x) * from.along.y);
  if (along <= across && along > ASKEW * across)
    checks.push({
      ...ratioCheck(
        before('brace.askew', of, 'AASHTO LRFD Bridge Design 6.7.4.2: cross-frames askew by 20° at the most, from memory'),
        { demand: along / across, capacity: 1, quantity: 'fraction', caution: null },
        told(
          phrase`${brace.name} runs ${q((Math.atan2(along, across) * 180) / Math.PI, 'angle')} askew between its pieces: what it pushes along them is not worked out. Are both its places right?`,
        ),
        [],
      ),
      verdict: 'tight',
    });
  if (along > across)
    checks.push({
      ...missingCheck(before('brace.meets', of, 'Geometry: a brace goes across'), 'length', ''),
      demand: along,
      finding: told(
        phrase`${brace.name} runs ${q(along, 'length')} along the pieces and ${q(across, 'length')} across between them. Are both its places right?`,
      ),
    });
  return checks;
}
