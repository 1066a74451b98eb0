import { twoSupports } from '../../beams/two-supports.calc';
import { phrase, q } from '../../calc/work';
import type { Trace } from '../../calc/evidence';
import { contactPressure } from '../../path/contact-pressure.calc';
import { linkLoad } from '../../path/link-load.calc';
import { GRAVITY } from '../../units';
import type { AboutKind, Check, StationId } from '../../verdict/check';
import { memberWeight } from '../../settle/member-weight';
import { Missing } from '../../verdict/missing';
import { saysSomething } from '../../document/records';
import { clearOf } from '../../settle/settle';
import { pieceWeight } from '../../settle/piece-weight';
import type { Bearing, Link } from '../../document/schema';
import { seatOf } from '../../settle/seat-geometry';
import { rollerLoads } from '../launch/roller-loads';
import type { Onward } from '../structure/ground';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced, on } from '../../verdict/build';

interface Onto {
  what: string;
  load: number;
}

/** What a bearing point carries: pieces set on it by their own weight, and what an opening’s member carries. */
export function bearingLoads({ plan, rules }: Pick<Context, 'plan' | 'rules'>, bearing: Bearing): { parts: Onto[]; questions: string[]; traces: Trace[] } {
  const parts: Onto[] = [];
  const questions: string[] = [];
  const traces: Trace[] = [];
  for (const piece of plan.pieces) {
    const end = piece.seat.left === bearing.id ? 'left' : piece.seat.right === bearing.id ? 'right' : null;
    if (!end) continue;
    const weight = pieceWeight(piece, rules);
    const seat = seatOf(plan, piece);
    if (weight instanceof Missing || seat instanceof Missing) {
      questions.push(...[weight, seat].flatMap((one) => (one instanceof Missing ? one.questions : [])));
      continue;
    }
    const reaction = traced(twoSupports, { weight: weight.weight, cg: weight.cg.x, left: seat.contact.left, right: seat.contact.right });
    if (!reaction.outcome.ok) questions.push(reaction.outcome.error);
    else {
      parts.push({ what: piece.mark, load: Math.max(0, reaction.outcome.output[end]) });
      traces.push(...reaction.traces);
    }
  }
  const pieces = parts.length > 0;
  for (const opening of plan.survey.openings) {
    if (opening.left !== bearing.id && opening.right !== bearing.id) continue;
    const clear = clearOf(opening);
    if (opening.lineLoad === null) {
      questions.push(`What does the piece over ${opening.name} carry along its length?`);
      continue;
    }
    if (clear === null) {
      questions.push(`How wide is ${opening.name}?`);
      continue;
    }
    const length = clear + opening.bearing.left + opening.bearing.right;
    parts.push({ what: `load over ${opening.name}`, load: (opening.lineLoad * length) / 2 });
    const member = plan.members.find((one) => one.id === opening.member);
    if (!member && !pieces) questions.push(`Which piece goes over ${opening.name}, and what does it weigh?`);
    const weight = member && !pieces ? memberWeight(member, rules) : null;
    if (weight instanceof Missing) questions.push(...weight.questions);
    else if (member && weight) {
      const [half, far] = [opening.bearing.left / 2, member.length - opening.bearing.right / 2];
      const reaction = traced(twoSupports, { weight: weight.lifted * GRAVITY, cg: weight.cg, left: half, right: far });
      if (!reaction.outcome.ok) questions.push(reaction.outcome.error);
      else {
        parts.push({ what: member.mark, load: Math.max(0, reaction.outcome.output[opening.left === bearing.id ? 'left' : 'right']) });
        traces.push(...weight.traces, ...reaction.traces);
      }
    }
  }
  return { parts, questions, traces };
}

/** Something that brings a load onto the path: a bearing point, a shore. */
export interface Source {
  kind: AboutKind;
  id: string;
  name: string;
  load: number;
  /** why the load is not known */
  question: string | null;
  below: Bearing['standsOn'];
  traces: Trace[];
}

const seatPlace = (context: Pick<Context, 'rules'>, id: string, bearing: Bearing, calc: { id: string; source: { text: string } }) => ({
  id,
  ...on('bearing', bearing, bearing.name),
  station: 'measure' as const,
  move: null,
  calc: calc.id,
  source: sourced(calc.source.text, context.rules, 'contactCaution'),
});

/**
 * Every bearing point followed down to ground, and its own seat; with them the supports of the structure that stand on links, each
 * with the most it carries at any move.
 */
export function loadPathChecks(context: Context, onward: ReadonlyMap<string, Onward>): Check[] {
  const { plan, rules } = context;
  const caution = rules.value('contactCaution');
  const checks: Check[] = [];
  const sources = plan.bearings.map((bearing): Source => {
    const { parts, questions, traces } = bearingLoads(context, bearing);
    const load = parts.reduce((sum, one) => sum + one.load, 0);
    const question = questions[0] ?? null;
    checks.push(...carriedBy(context, bearing, load, question, traces));
    const place = seatPlace(context, 'path.seat', bearing, contactPressure);
    if (bearing.allowable !== null && question === null && load > 0) checks.push(seatCheck(place, bearing, load, caution, traces));
    else if (bearing.allowable !== null && question !== null)
      checks.push(missingCheck(place, 'strength', `What presses on the seat at ${bearing.name} is not known. ${question}`));
    else if (bearing.material !== null && bearing.allowable === null)
      checks.push(missingCheck(place, 'strength', `What stress may the ${bearing.material} under the piece at ${bearing.name} take?`));
    return { kind: 'bearing', id: bearing.id, name: bearing.name, load, question, below: bearing.standsOn, traces };
  });
  // A seat on a bent goes down through the bent: it carries beside the piers, and one slab may be under both.
  const bents = new Map(plan.shoring.bents.map((bent) => [bent.id, bent.standsOn]));
  const standing = plan.structure.supports.flatMap(({ id, name, standsOn, onBent }): Source[] => {
    const below = [...standsOn, ...((onBent && bents.get(onBent.bent)) ?? [])];
    if (below.length === 0) return [];
    const load = onward.get(id)?.plain;
    const question = load === null ? `What comes down on ${name} cannot be worked out yet.` : null;
    return [{ kind: 'support', id, name, load: load ?? 0, question, below, traces: [] }];
  });
  // Rollers carry before what they are beside does: they are followed down by themselves.
  return [...checks, ...walkDown(context, [...sources, ...standing], 'path', 'measure'), ...underRollers(context), ...footSources(context)];
}

/** What is under a foot may take a figure that somebody gave, or that is taken from somewhere. */
const footSources = ({ plan }: Context): Check[] =>
  plan.links.flatMap((link) =>
    link.foot === null || link.foot.allowable === null || saysSomething(link.foot.source)
      ? []
      : [
          missingCheck(
            {
              id: 'path.footSource',
              ...on('link', link, link.name),
              station: 'measure',
              move: null,
              calc: contactPressure.id,
              source: 'Common practice: a figure for the ground has somebody who gave it, or a table it is from',
            },
            'pressure',
            `Who says what may press what is under ${link.name}, or where is it taken from?`,
          ),
        ],
  );

/** The loads of rollers, down what is under them and no further. */
function underRollers(context: Context): Check[] {
  const { plan } = context;
  const sources = rollerSources(context);
  if (sources.length === 0) return [];
  const links = new Map(plan.links.map((link) => [link.id, link]));
  const under = new Set<string>();
  const waiting = sources.flatMap(({ below }) => below.map(({ link }) => link));
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    if (under.has(next)) continue;
    under.add(next);
    waiting.push(...(links.get(next)?.standsOn ?? []).map(({ link }) => link));
  }
  return walkDown({ ...context, plan: { ...plan, links: plan.links.filter(({ id }) => under.has(id)) } }, sources, 'launchPath', 'picks');
}

/** What each roller of a launch brings down at the most, under all the lines that are pushed over it together. */
function rollerSources({ plan, rules }: Context): Source[] {
  return (plan.launches ?? []).flatMap((launch) => {
    const loads = rollerLoads(plan, launch, rules);
    return launch.rollers.map(({ id, name, standsOn }): Source => ({
      kind: 'roller',
      id,
      name,
      load: loads?.get(id) ?? 0,
      question: loads === null ? `What comes down on ${name} cannot be worked out yet.` : null,
      below: standsOn,
      traces: [],
    }));
  });
}

/** A bearing under an opening's piece against what it may carry: its own weight is checked when it lands, what it carries later here. */
function carriedBy(context: Context, bearing: Bearing, load: number, question: string | null, traces: Trace[]): Check[] {
  const { plan, rules } = context;
  if (!plan.survey.openings.some((one) => one.left === bearing.id || one.right === bearing.id)) return [];
  const place = {
    ...seatPlace(context, 'path.bearing', bearing, twoSupports),
    source: sourced('Sum of all that stands on it', rules, 'serviceFactor', 'contactCaution'),
  };
  if (question !== null) return [missingCheck(place, 'force', `What comes down on ${bearing.name} is not known. ${question}`)];
  if (bearing.capacity === null) return [missingCheck(place, 'force', `What may ${bearing.name} carry? Ask who designed it.`, traces)];
  const demand = bearing.capacityBasis === 'design' ? load * (rules.id === 'us-asd' ? STRENGTH_LIVE_FACTOR : rules.value('serviceFactor')) : load;
  return [
    ratioCheck(
      place,
      { demand, capacity: bearing.capacity, quantity: 'force', caution: rules.value('contactCaution') },
      told(
        phrase`${bearing.name} takes ${q(demand, 'force')}${bearing.capacityBasis === 'design' ? ', factored,' : ''} in service; it is good for ${q(bearing.capacity, 'force')}.`,
      ),
      traces,
    ),
  ];
}

/** A design strength given to a job run in allowable stress is met with strength-level loads; where dead and live are not told apart, ASCE 7 2.3.1: 1.6. */
const STRENGTH_LIVE_FACTOR = 1.6;

/**
 * Follow loads down to ground, summing at each link; a link that is missing, overloaded or unknown says so. What stands for good
 * and the shores are walked one apart from the other: they do not carry at the same time.
 */
export function walkDown(
  { plan, rules }: Pick<Context, 'plan' | 'rules'>,
  sources: readonly Source[],
  prefix: 'path' | 'shorePath' | 'launchPath',
  station: StationId,
): Check[] {
  const checks: Check[] = [];
  const place = (id: string, thing: { kind: AboutKind; id: string; name: string }, calc: { id: string; source: { text: string } }) => ({
    id: `${prefix}.${id}`,
    ...on(thing.kind, thing, thing.name),
    station,
    move: null,
    calc: calc.id,
    source: sourced(calc.source.text, rules, 'contactCaution'),
  });
  const about = (link: Link) => ({ kind: 'link' as const, id: link.id, name: link.name });
  const links = new Map(plan.links.map((link) => [link.id, link]));
  const onto = new Map<string, { what: string; load: number; share: number }[]>(plan.links.map((link) => [link.id, []]));
  const unknown = new Map<string, string>();
  const caution = rules.value('contactCaution');
  const put = (what: string, load: number, question: string | null, below: Bearing['standsOn']) => {
    for (const { link, share } of below) {
      onto.get(link)?.push({ what, load, share });
      if (question !== null) unknown.set(link, question);
    }
  };
  const shares = (thing: { kind: AboutKind; id: string; name: string }, below: Bearing['standsOn']) => {
    const sum = below.reduce((total, one) => total + one.share, 0);
    if (below.length > 0 && sum < 1 - 1e-6)
      checks.push(
        flatStop(
          place('shares', thing, linkLoad),
          'fraction',
          told(phrase`Only ${q(sum, 'fraction')} of ${thing.name} is carried further down. Where does the rest go?`),
          [],
        ),
      );
  };

  for (const source of sources) {
    const { name, load, question, below, traces } = source;
    if (below.length === 0) {
      checks.push(missingCheck(place('gap', source, linkLoad), 'force', `What does ${name} stand on? Follow its load down to ground.`, traces));
      continue;
    }
    shares(source, below);
    put(name, load, question, below);
    if (prefix !== 'shorePath') checks.push(...below.flatMap((one) => standsOddly(place('foot', source, contactPressure), source, links.get(one.link))));
  }

  for (const link of inOrder(plan.links)) {
    if (link === 'loop') {
      checks.push(
        flatStop(
          place('loop', { kind: 'job', id: 'path', name: 'Load path' }, linkLoad),
          'count',
          told(['The load path runs in a ring: something stands on itself. Take one link out.']),
          [],
        ),
      );
      break;
    }
    const from = onto.get(link.id) ?? [];
    const reached = from.length > 0;
    const { outcome, traces } = traced(linkLoad, { from, own: link.own });
    if (!outcome.ok) {
      checks.push(missingCheck(place('link', about(link), linkLoad), 'force', outcome.error));
      continue;
    }
    const { load } = outcome.output;
    const question = unknown.get(link.id) ?? null;
    if (reached && question !== null)
      // The sum of what is known is no sum: it is not shown.
      checks.push(missingCheck(place('link', about(link), linkLoad), 'force', `What comes down on ${link.name} is not known. ${question}`));
    else if (reached) {
      if (link.capacity !== null)
        checks.push(
          ratioCheck(
            place('link', about(link), linkLoad),
            { demand: load, capacity: link.capacity, quantity: 'force', caution },
            told(phrase`${link.name}, storey ${String(link.storey)}, takes ${q(load, 'force')}; it may carry ${q(link.capacity, 'force')}.`),
            traces,
          ),
        );
      if (link.foot) checks.push(footCheck(place('foot', about(link), contactPressure), link, link.foot, load, caution, traces));
      // A foot says what is under it; of a post or a beam, and of a slab that is the end of the path, it says nothing.
      const itself = CARRIES_ITSELF.has(link.kind) || (!link.foot && link.kind !== 'soil');
      if (link.capacity === null && itself)
        checks.push(missingCheck(place('link', about(link), linkLoad), 'force', `What may ${link.name} carry? It takes a load and nobody has said.`, traces));
    }
    if (reached && link.kind === 'soil' && !link.ground)
      checks.push(missingCheck(place('ground', about(link), linkLoad), 'count', `${link.name} is soil and is not said to be the end of the path. What is it?`));
    if (reached && link.ground) checks.push(...groundChecks(place('ground', about(link), linkLoad), link, links));
    if (link.ground || (prefix === 'shorePath' && !reached)) continue;
    if (link.standsOn.length === 0) {
      if (reached)
        checks.push(
          flatStop(
            place('gap', about(link), linkLoad),
            'force',
            told(
              question === null
                ? phrase`${link.name} takes ${q(load, 'force')} and stands on nothing. Follow it to ground or block it.`
                : phrase`${link.name} takes a load and stands on nothing. Follow it to ground or block it.`,
            ),
            question === null ? traces : [],
            question === null ? load : null,
          ),
        );
      continue;
    }
    shares(about(link), link.standsOn);
    if (reached) checks.push(...link.standsOn.flatMap((one) => standsOddly(place('stands', about(link), contactPressure), link, links.get(one.link))));
    if (reached || link.own > 0)
      for (const below of link.standsOn) {
        onto.get(below.link)?.push({ what: link.name, load, share: below.share });
        if (question !== null) unknown.set(below.link, question);
      }
    if (!link.standsOn.every((below) => links.has(below.link))) throw new RangeError(`link ${link.id} stands on something the plan does not have`);
  }
  return checks;
}

/** More than this no soil takes; rock does [Pa] (common practice). */
const NO_SOIL = 1e6;

/** What is laid on the ground or on what lies there; it does not stand on a post. */
const LAID: ReadonlySet<Link['kind']> = new Set(['footing']);

/**
 * What stands on another as nothing does: on the soil with no foot whose pressure could be worked out, a footing on a post, or on
 * something a storey higher.
 */
function standsOddly(where: Parameters<typeof missingCheck>[0], above: Link | Source, below: Link | undefined): Check[] {
  if (!below) return [];
  // Of several things it stands on each is asked about by itself.
  const ask = (question: string): Check[] => [missingCheck({ ...where, about: { ...where.about, part: below.id } }, 'pressure', question)];
  if (!('standsOn' in above))
    return below.kind === 'soil' ? ask(`${above.name} is said to stand on ${below.name} itself. On what footing, and how large is it?`) : [];
  if (below.kind === 'soil' && !above.foot)
    return ask(`${above.name} is said to stand on ${below.name} itself. How large is its foot, and what may the ground take?`);
  if (below.kind === 'soil' && above.foot && (above.foot.allowable ?? 0) > NO_SOIL)
    return ask(`${above.name} stands on ${below.name}, which is said to take more than any soil does. Is that figure of what lies on the soil?`);
  if (LAID.has(above.kind) && CARRIES_ITSELF.has(below.kind))
    return ask(`${above.name} is a footing and is said to stand on ${below.name}, a ${below.kind}. Which of the two stands on the other?`);
  return below.storey > above.storey
    ? ask(`${above.name} is in storey ${above.storey} and is said to stand on ${below.name} in storey ${below.storey}, above it. Which of the two is wrong?`)
    : [];
}

/** What has a strength of its own beside what its foot presses. */
const CARRIES_ITSELF: ReadonlySet<Link['kind']> = new Set(['post', 'wall', 'beam', 'blocking', 'plate']);

/** The end of a path is the ground, or something that lies on it; and it stands on nothing else. */
function groundChecks(where: Parameters<typeof missingCheck>[0], link: Link, links: ReadonlyMap<string, Link>): Check[] {
  const [below] = link.standsOn;
  if (below)
    return [
      missingCheck(
        where,
        'count',
        `${link.name} is said to be the end of the path, and to stand on ${links.get(below.link)?.name ?? below.link}. Which is it?`,
      ),
    ];
  return CARRIES_ITSELF.has(link.kind)
    ? [missingCheck(where, 'count', `${link.name} is said to be the end of the path. On what does this ${link.kind} stand: a footing, a slab, the soil?`)]
    : [];
}

/** The seat itself: the load over its area, taken as even. */
function seatCheck(where: Parameters<typeof missingCheck>[0], bearing: Bearing, load: number, caution: number, above: Trace[]): Check {
  const allowable = bearing.allowable ?? 0;
  const { outcome, traces } = traced(contactPressure, { load, length: bearing.seatLength, width: bearing.seatWidth, allowable });
  if (!outcome.ok) return missingCheck(where, 'strength', outcome.error, above);
  return ratioCheck(
    where,
    { demand: outcome.output.pressure, capacity: allowable, quantity: 'strength', caution },
    told(
      phrase`The seat at ${bearing.name} is pressed ${q(outcome.output.pressure, 'strength')} by ${q(load, 'force')}; ${q(allowable, 'strength')} is allowed.`,
    ),
    [...above, ...traces],
  );
}

function footCheck(
  where: Parameters<typeof missingCheck>[0],
  link: Link,
  foot: NonNullable<Link['foot']>,
  load: number,
  caution: number,
  above: Trace[],
): Check {
  if (foot.allowable === null)
    return missingCheck(where, 'pressure', `What pressure may what is under ${link.name} take? Ask for the ground or slab figure.`, above);
  const { outcome, traces } = traced(contactPressure, { load, length: foot.length, width: foot.width, allowable: foot.allowable });
  if (!outcome.ok) return missingCheck(where, 'pressure', outcome.error, above);
  return ratioCheck(
    { ...where, source: foot.source.trim() === '' ? where.source : `${where.source} · ${foot.source}` },
    { demand: outcome.output.pressure, capacity: foot.allowable, quantity: 'pressure', caution },
    told(phrase`${link.name} presses ${q(outcome.output.pressure, 'pressure')} under its foot; ${q(foot.allowable, 'pressure')} is allowed.`),
    [...above, ...traces],
  );
}

/** Links from the top down: each after everything that stands on it. `loop` last when they run in a ring. */
function inOrder(links: readonly Link[]): (Link | 'loop')[] {
  const above = new Map<string, number>(links.map((link) => [link.id, 0]));
  for (const link of links) for (const { link: below } of link.standsOn) above.set(below, (above.get(below) ?? 0) + 1);
  const ready = links.filter((link) => above.get(link.id) === 0);
  const order: (Link | 'loop')[] = [];
  const byId = new Map(links.map((link) => [link.id, link]));
  for (let link = ready.shift(); link; link = ready.shift()) {
    order.push(link);
    for (const { link: id } of link.standsOn) {
      const left = (above.get(id) ?? 0) - 1;
      above.set(id, left);
      const below = byId.get(id);
      if (left === 0 && below) ready.push(below);
    }
  }
  return order.length < links.length ? [...order, 'loop'] : order;
}
