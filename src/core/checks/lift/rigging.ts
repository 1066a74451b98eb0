import { riggingHook } from '../../rigging/hook.calc';
import { slingRating } from '../../rigging/sling-rating.calc';
import { steelWeight } from '../../steel/weight.calc';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import type { Hanging } from '../../settle/hanging';
import type { PieceWeight } from '../../settle/piece-weight';
import { wrapDeg } from '../../geometry/plane';
import { liftTail } from '../../lift/tail.calc';
import { liftTurn } from '../../lift/turn.calc';
import { joinedOf, liesInLine } from '../../document/joined';
import { craneTandem } from '../../cranes/tandem.calc';
import { phrase, q } from '../../calc/work';
import { isTurned, standOf } from '../../document/lookups';
import type { Piece } from '../../document/schema';
import { liftMove, moveFor, type Context, type PickContext, onHook } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, traced, on, told } from '../../verdict/build';
import { barChecks } from './bar';
import { hitchChecks, ratingAsPut, shackleChecks } from './hitch';
import { oneEndChecks } from './one-end';
import { hangingChecks } from './hanging-piece';
import { pairChecks } from './hanging-pair';
import { rollChecks } from './roll';
import { tiltCheck } from './tilt';
import { rigWords } from '../../document/things/rig';
import { isWeighed } from '../structure/unweighed';

export function weightCheck(context: Context, piece: Piece, weight: PieceWeight | Missing, move: string | null): Check {
  const place = {
    id: 'piece.weight',
    ...on('piece', piece, piece.mark),
    station: 'steel' as const,
    move,
    calc: steelWeight.id,
    source: sourced(steelWeight.source.text, context.rules, 'weightAllowance'),
  };
  if (weight instanceof Missing) return missingCheck(place, 'mass', weight.questions.join(' '));
  return {
    ...place,
    demand: weight.mass,
    capacity: null,
    quantity: 'mass',
    ratio: null,
    caution: null,
    verdict: 'clear',
    finding: { code: 'weight', mark: piece.mark, mass: weight.mass, allowance: weight.allowance, cg: weight.cg.x },
    traces: [weight.trace],
  };
}

/** Pieces that are to be spliced on the ground lie so near to their line [m], and so straight [°]. */
const IN_LINE = 0.5;
const IN_LINE_DEG = 5;

/** Slings, tilt, and the piece’s own strength and stability while it hangs. */
export function riggingChecks(context: Context, picked: PickContext): Check[] {
  const { plan, rules } = context;
  const { pick, piece, weight, hanging, hook, turned, drawn, joined } = picked;
  const sling = moveFor(plan, 'piece.sling', pick.id) ?? liftMove(plan, pick);
  const place = (id: string, calc: string, source: string): Place => ({ id, ...onHook(picked, piece.mark), station: 'picks', move: sling, calc, source });
  const calc = turned ? liftTail : drawn.second ? craneTandem : riggingHook;
  const source = calc.source.text;
  const asked =
    drawn.turned && !isTurned(plan, drawn)
      ? [
          missingCheck(
            place('pick.turned', liftTail.id, liftTail.source.text),
            'count',
            `${piece.mark} is set level, and its pick turns it upright. Which is it?`,
          ),
        ]
      : [];
  if (joined && hook === 'main')
    for (const part of joined.members) {
      const [spot, lies] = [liesInLine(joined, drawn.piece, part), part.beam.lies];
      if (part.beam.id === drawn.piece || !lies) continue;
      const main = joined.members.find(({ beam }) => beam.id === drawn.piece)!.beam;
      const { x, y, azimuthDeg, onSide = null } = lies;
      // What nobody says of it is as it is of the piece it is spliced to.
      const off = spot ? Math.hypot((x ?? spot.x) - spot.x, (y ?? spot.y) - spot.y) : 0;
      const skew = spot ? Math.abs(wrapDeg((azimuthDeg ?? spot.azimuthDeg) - spot.azimuthDeg)) : 0;
      const up = main.lies?.onSide ?? null;
      if (off < IN_LINE && skew < IN_LINE_DEG && (onSide === null || up === null || onSide === up)) continue;
      asked.push(
        missingCheck(
          { ...place('pick.lies', liftTurn.id, liftTurn.source.text), ...on('pick', drawn, part.beam.mark, part.beam.id) },
          'length',
          `${part.beam.mark} is said to lie elsewhere than in line with ${main.mark}, or another way up, and is spliced to it on the ground. Where are they joined, and how does it come there?`,
        ),
      );
    }
  // The weight that is not known says so wherever it counts; here it is asked of the brace itself.
  const tied = hook === 'main' && drawn.joined ? joinedOf(plan, drawn) : null;
  if (tied && !(tied instanceof Missing))
    for (const { brace } of tied.ties)
      if (!brace.mass && !isWeighed(brace))
        asked.push(
          missingCheck(
            { ...place('brace.weight', steelWeight.id, steelWeight.source.text), ...on('brace', brace, brace.name, drawn.id) },
            'mass',
            `What does ${brace.name} weigh? It hangs with what it ties.`,
          ),
        );
  const paired = weight instanceof Missing || !weight.pair ? null : weight;
  // Two hooks, or one sling on what is turned up, have no bar or legs of their own between them and the piece, but to two lines.
  if (drawn.rig && hook === 'main' && !(paired && drawn.rig.kind === 'legs') && (drawn.second || turned || isTurned(plan, drawn)))
    asked.push(
      missingCheck(
        place('pick.rig', calc.id, source),
        'count',
        `${piece.mark} is said to hang by ${drawn.rig.kind === 'legs' ? 'three or four legs' : `a ${rigWords[drawn.rig.kind]}`}, and ${drawn.second ? 'on two hooks' : 'is turned upright on one sling'}. Which is it?`,
      ),
    );
  if (hanging instanceof Missing)
    return [...asked, missingCheck(place('rigging.tension', calc.id, source), 'force', `The slings cannot be worked out. ${hanging.questions.join(' ')}`)];
  if ('impossible' in hanging)
    return [...asked, flatStop(place('rigging.closes', calc.id, source), 'length', { code: 'sling.impossible', reason: hanging.impossible }, [])];
  const tensionAt = place('rigging.tension', slingRating.id, sourced(slingRating.source.text, rules, 'dynamicFactor', 'slingCaution'));
  const body =
    hook === 'main' && !(weight instanceof Missing) ? [...rollChecks(context, picked, weight, sling), ...bodyChecks(context, picked, weight, hanging)] : [];
  const angleAt = () => place('rigging.angle', riggingHook.id, sourced(riggingHook.source.text, rules, 'slingLeastAngle', 'slingCautionAngle'));
  const held = [...hitchChecks(context, picked, hanging, place), ...shackleChecks(context, picked, hanging, place)];
  if (hanging.way !== 'slung' && hanging.way !== 'bar')
    return [
      ...asked,
      plumbTension(context, picked, hanging, tensionAt),
      ...(paired ? [angleCheck(context, hanging, hook === 'main' ? 0 : 1, angleAt()), acrossCheck(context, picked, paired, hanging, place)] : []),
      ...held,
      ...sharedChecks(context, picked, place),
      ...oneEndChecks(context, picked),
      ...body,
    ];
  const checks: Check[] = [tensionCheck(context, picked, hanging, tensionAt)];
  checks.push(
    ...(hanging.way === 'slung' ? [angleCheck(context, hanging, hanging.angleDeg[0]! <= hanging.angleDeg[1]! ? 0 : 1, angleAt())] : []),
    ...barChecks(context, picked, hanging, place),
    tiltCheck(context, picked, hanging, place),
  );
  if (!(weight instanceof Missing) && weight.bent) checks.push(topHeavyCheck(context, picked, weight, weight.bent, place));
  if (paired) checks.push(acrossCheck(context, picked, paired, hanging, place));
  return [...asked, ...checks, ...held, ...body];
}

/** What is bent turns over about its two slings where it balances above them. */
function topHeavyCheck(
  { rules }: Context,
  { piece }: PickContext,
  weight: PieceWeight,
  { slung }: { slung: number },
  place: (id: string, calc: string, source: string) => Place,
): Check {
  const [balances, held] = [weight.cg.z + slung, weight.section.depth + slung];
  return ratioCheck(
    place(
      'rigging.topHeavy',
      'record',
      sourced('Statics: what is slung at two places turns about the line between them until it balances below it', rules, 'strengthCaution'),
    ),
    { demand: balances, capacity: held, quantity: 'dimension', caution: rules.value('strengthCaution') },
    told(
      balances < held
        ? phrase`${piece.mark} balance ${q(balances, 'dimension')} above their lower ends and are slung ${q(held, 'dimension')} above them: they hang upright.`
        : phrase`${piece.mark} balance ${q(balances, 'dimension')} above their lower ends and are slung ${q(held, 'dimension')} above them: slung below where they balance they turn over. Sling them nearer their ridge.`,
    ),
    [weight.trace],
  );
}

/** Two lines of unlike weight hang with the heavier one low: legs of one length, the balance point plumb below the hook. */
function acrossCheck(
  { rules }: Context,
  { piece }: PickContext,
  weight: PieceWeight,
  hanging: Hanging,
  place: (id: string, calc: string, source: string) => Place,
): Check {
  const { offCentre, apart } = weight.pair!;
  const tiltDeg = (Math.atan2(offCentre, hanging.hookAbovePick + weight.section.depth - weight.cg.z) * 180) / Math.PI;
  return ratioCheck(
    place('rigging.across', hanging.trace.calc, sourced(riggingHook.source.text, rules, 'tiltMost', 'tiltCaution')),
    { demand: tiltDeg, capacity: rules.value('tiltMost'), quantity: 'angle', caution: rules.value('tiltCaution') / rules.value('tiltMost'), inclusive: true },
    told(
      phrase`${piece.mark} balance ${q(offCentre, 'dimension')} off the middle between their lines, ${q(apart, 'length')} apart: across they hang ${q(tiltDeg, 'angle')} out of level; ${q(rules.value('tiltMost'), 'angle')} may be.`,
    ),
    [hanging.trace],
  );
}

/** The strength of what hangs: of one line, or of two that cross-frames tie to each other. */
const bodyChecks = (context: Context, picked: PickContext, weight: PieceWeight, hanging: Hanging): Check[] =>
  weight.pair && picked.joined
    ? pairChecks(context, { ...picked, joined: picked.joined }, weight.pair, hanging)
    : hangingChecks(context, picked, weight, hanging);

/** The flattest of the legs on a hook: at the left pick, or at the right. */
function angleCheck({ rules }: Context, hanging: Hanging, flattest: 0 | 1, place: Place): Check {
  const angleDeg = hanging.angleDeg[flattest]!;
  const leastDeg = rules.value('slingLeastAngle');
  return ratioCheck(
    place,
    { demand: leastDeg, capacity: angleDeg, quantity: 'angle', caution: leastDeg / rules.value('slingCautionAngle'), inclusive: true },
    { code: 'sling.angle', leg: flattest === 0 ? 'the left one' : 'the right one', angleDeg, leastDeg },
    [hanging.trace],
  );
}

/** One sling that carries all that hangs on its hook, plumb; of two legs that run in to it the one of the heavier line. */
function plumbTension({ rules }: Context, { pick, piece, hook, turned, weight }: PickContext, hanging: Hanging, place: Place): Check {
  const sling = `${weight instanceof Missing || !weight.pair ? 'the sling' : 'one leg'} of ${piece.mark}${hook === 'second' ? ' on the second hook' : ''}`;
  const put = ratingAsPut(pick, rules, turned !== null);
  if (put === null) return missingCheck(place, 'force', `What is ${sling} rated for${turned ? ', as it is put round it' : ''}? Read its tag.`, [hanging.trace]);
  const dynamicFactor = rules.value('dynamicFactor');
  const tension = hanging.way === 'two' && hook === 'second' ? hanging.tension[1]! : hanging.tension[0]!;
  const { outcome, traces } = traced(slingRating, { tension, dynamicFactor, rating: put.rating });
  if (!outcome.ok) return missingCheck(place, 'force', outcome.error);
  const { demand, capacity } = outcome.output;
  return ratioCheck(
    place,
    { demand, capacity, quantity: 'force', caution: rules.value('slingCaution') },
    told(
      phrase`${capital(sling)} carries ${q(demand, 'force')} with the dynamic factor ${q(dynamicFactor, 'factor')}; it is good for ${q(capacity, 'force')}.`,
    ),
    [hanging.trace, ...put.traces, ...traces],
  );
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** What the second of two hooks carries of one piece; two hooks of one crane are one hook. */
function sharedChecks({ plan, rules }: Context, picked: PickContext, place: (id: string, calc: string, source: string) => Place): Check[] {
  const { drawn, share, turned, hook, piece, crane } = picked;
  if (!drawn.second || hook === 'main') return [];
  const calc = turned ? liftTail : craneTandem;
  const at = place('pick.hooks', calc.id, sourced(calc.source.text, rules, 'hookDifference'));
  if (standOf(plan, drawn.stand).crane === standOf(plan, drawn.second.stand).crane)
    return [flatStop(at, 'count', told(phrase`Both hooks of ${piece.mark} are of ${crane.name}. Give the second its own crane.`), [])];
  if (!share) return [];
  const words = turned
    ? phrase`As it leaves the ground the second hook holds ${q(share.most, 'force')} of ${piece.mark}; from there the first takes more until it carries all.`
    : phrase`Level, the second hook carries ${q(share.level, 'force')} of ${piece.mark}; with one hook lagging by ${q(rules.value('hookDifference'), 'angle')}, up to ${q(share.most, 'force')}.`;
  const row = ratioCheck(at, { demand: share.most, capacity: share.most, quantity: 'force', caution: null, inclusive: true }, told(words), share.traces);
  return [{ ...row, capacity: null, ratio: null }];
}

type Place = Parameters<typeof missingCheck>[0];

function tensionCheck({ rules }: Context, { pick }: PickContext, hanging: Hanging, place: Place): Check {
  const put = ratingAsPut(pick, rules, false);
  if (put === null) return missingCheck(place, 'force', 'What is one sling leg rated for? Read its tag.', [hanging.trace]);
  const dynamicFactor = rules.value('dynamicFactor');
  const { outcome, traces } = traced(slingRating, { tension: Math.max(...hanging.tension), dynamicFactor, rating: put.rating });
  if (!outcome.ok) return missingCheck(place, 'force', outcome.error);
  const { demand, capacity } = outcome.output;
  return ratioCheck(
    place,
    { demand, capacity, quantity: 'force', caution: rules.value('slingCaution') },
    { code: 'sling.tension', tensions: [hanging.tension[0]! * dynamicFactor, hanging.tension[1]! * dynamicFactor], factor: dynamicFactor, rating: capacity },
    [hanging.trace, ...put.traces, ...traces],
  );
}
