import { phrase, q } from '../../calc/work';
import type { Check } from '../../verdict/check';
import { yieldOf } from '../../steel/grades';
import { moveFor } from '../context';
import { missingCheck, ratioCheck, sourced, told } from '../../verdict/build';
import { keep } from '../../document/keep';
import { Missing } from '../../verdict/missing';
import type { Joint, Make, Support } from '../../document/schema';
import { dayFault, namesPerson, saysSomething } from '../../document/records';
import { footingChecks } from '../order/order';
import { MEET } from './forces';
import { thickestOf, weightsSaid, type SettledBeam } from '../../settle/model';
import { heightAt, LEAN, pointAt } from '../../document/place';
import type { Ground } from './ground';
import { boltName, boltShearOf, drawnBolt, shearWords } from './joint-bolts';
import { boltShearAisc } from '../../strength/bolt-shear-aisc.calc';
import { holdsNothing } from './at-foot';
import { before, heightsApart } from './as-drawn';
import { about } from './places';
import { braceStill } from './still-brace';

/** What is asked of the structure as it is drawn, before any move: of each thing again only when it, or what it meets, is another. */
export function stillChecks(ground: Ground): Check[] {
  const { context, beams, by } = ground;
  const { plan, rules, today } = context;
  const { supports, makes, braces, joints } = plan.structure;
  const at = (spot: { piece: string } | null) => (spot === null ? null : beams.get(spot.piece));
  return [
    ...[...beams.values()].flatMap((settled) => {
      const carried = by.seats.has(settled.beam.id) || by.joints.has(settled.beam.id);
      return keep('still.beam', settled, [rules, carried], () => beamChecks(ground, settled, carried));
    }),
    ...supports.flatMap((one) =>
      keep('still.support', one, [rules, today, moveFor(plan, 'support.ready', one.id), ...one.seats.map(at)], () => supportStill(ground, one)),
    ),
    ...makes.flatMap((one) => keep('still.make', one, [rules], () => makeChecks(one))),
    ...braces.flatMap((one) => {
      const idle = holdsNothing(ground, one);
      return keep('still.brace', one, [at(one.a), at(one.b), idle], () => braceStill(ground, one, idle));
    }),
    ...joints.flatMap((one) => keep('still.joint', one, [at(one.a), at(one.b), rules, plan.job.units], () => jointStill(ground, one))),
  ];
}

function beamChecks({ context }: Ground, settled: SettledBeam, carried: boolean): Check[] {
  const { rules } = context;
  const checks: Check[] = [];
  const { beam, make, place: stands, section } = settled;
  const of = about('beam', beam, beam.mark);
  if (make.made.kind !== 'plain' && section instanceof Missing)
    checks.push(missingCheck(before('beam.made', of, 'Section tables'), 'count', section.questions.join(' ')));
  if (!stands) {
    checks.push(
      missingCheck(
        before('beam.placed', of, 'Common practice: what is listed is placed'),
        'length',
        `${beam.mark} is listed and has no place. Where are its two ends to be?`,
      ),
    );
    return checks;
  }
  if (Math.abs(stands.length - make.length) > rules.value('lengthDifference'))
    checks.push({
      ...missingCheck(before('beam.length', of, sourced('Two statements of one length', rules, 'lengthDifference')), 'length', ''),
      demand: stands.length,
      finding: told(phrase`${beam.mark} is ${q(make.length, 'length')} long and its ends are drawn ${q(stands.length, 'length')} apart. Which is right?`),
    });
  const said = weightsSaid(settled);
  const [most, fewest] = [Math.max(...said.map(({ mass }) => mass)), Math.min(...said.map(({ mass }) => mass))];
  if (said.length > 1 && most / fewest - 1 > rules.value('statementChoice'))
    checks.push({
      ...missingCheck(before('beam.weight', of, sourced('Two statements of one weight', rules, 'statementChoice')), 'mass', ''),
      demand: most,
      finding: told([
        ...phrase`${beam.mark} weighs `,
        ...said.flatMap(({ by: who, mass }, i) => [...(i ? [', '] : []), ...phrase`${q(mass, 'mass')} by ${who}`]),
        '. Which is right, who says so, and why?',
      ]),
    });
  if (said.length === 0) checks.push(missingCheck(before('beam.weight', of, 'Common practice'), 'mass', `What does ${beam.mark} weigh?`));
  if (stands.upright) {
    const lean = Math.hypot(stands.to.x - stands.from.x, stands.to.y - stands.from.y);
    if (lean > stands.length / LEAN)
      checks.push({
        ...missingCheck(before('column.leans', of, 'Geometry: a column is reckoned plumb, to 1/500 (AISC 303 7.13.1.1, from memory)'), 'length', ''),
        demand: lean,
        finding: told(
          phrase`${beam.mark} is drawn leaning ${q(lean, 'length')} on its height. What a column that leans brings to its foot is not worked out here: is one of its ends in the wrong place?`,
        ),
      });
  }
  if (!carried)
    checks.push(
      missingCheck(
        before('beam.carried', of, 'Common practice: what stands on nothing falls'),
        'count',
        `What carries ${beam.mark}? No support is under it and nothing is joined to it.`,
      ),
    );
  return checks;
}

function supportStill({ context, beams }: Ground, support: Support): Check[] {
  const { plan, rules } = context;
  const checks: Check[] = [];
  const of = about('support', support, support.name);
  if (support.footing !== null)
    checks.push(
      ...footingChecks(context, {
        id: support.id,
        name: support.name,
        footing: support.footing,
        kind: 'support',
        move: moveFor(plan, 'support.ready', support.id),
      }),
    );
  else if (support.onBent === null && support.standsOn.length === 0)
    checks.push(
      missingCheck(
        { ...before('support.footing', of, 'Common practice: a load path ends in the ground'), station: 'measure' },
        'count',
        `What does ${support.name} stand on?`,
      ),
    );
  else {
    // A footing is concrete or masonry that has its strength, or not yet: whichever it is, somebody says so.
    const footing = support.standsOn.flatMap(({ link }) => plan.links.find((one) => one.id === link && one.kind === 'footing') ?? []);
    if (footing.length > 0)
      checks.push(
        missingCheck(
          { ...before('support.footing', of, '29 CFR 1926.752(a): concrete has its strength before steel stands on it'), station: 'measure' },
          'count',
          `${support.name} stands on ${footing.map(({ name }) => name).join(' and ')}. Is that concrete that has its strength, by which test, or what else is it?`,
        ),
      );
  }
  if (support.kind === 'anchors') {
    const bolted = { ...before('support.anchors', of, 'Statics: anchors hold a base where it is'), station: 'measure' as const };
    if (support.anchors === null) checks.push(missingCheck(bolted, 'count', `How many anchors hold ${support.name}, and what may they pull?`));
    if (support.along !== 'fixed')
      checks.push(
        missingCheck(
          bolted,
          'count',
          `${support.name} is on anchors and is said to be free to slide. Do its anchors hold it, or is it another kind of support?`,
        ),
      );
  }
  const { lever = null, toe = null } = support.kind === 'anchors' && support.anchors ? support.anchors : {};
  if (lever !== null && toe !== null && !(lever > toe && lever <= WIDEST_BASE * toe))
    checks.push({
      ...missingCheck(
        { ...before('anchors.lever', of, 'Geometry: a column stands between its anchors and the edge that is pressed'), station: 'measure' },
        'dimension',
        '',
      ),
      demand: lever,
      finding: told(
        phrase`The anchors of ${support.name} that are pulled are ${q(lever, 'dimension')} from its pressed edge, and the axis of its column ${q(toe, 'dimension')}. Which is wrong? The axis is between the two, about in the middle.`,
      ),
    });
  const spots = support.seats.flatMap(({ piece, at }) => {
    const stands = beams.get(piece)?.place;
    return stands ? [pointAt(stands, at)] : [];
  });
  const spread = Math.max(0, ...spots.map((one) => Math.hypot(one.x - spots[0]!.x, one.y - spots[0]!.y)));
  if (spread > ONE_SUPPORT)
    checks.push({
      ...missingCheck({ ...before('support.seats', of, 'Geometry: the seats of one support lie together'), station: 'measure' }, 'length', ''),
      demand: spread,
      finding: told(phrase`The seats of ${support.name} lie ${q(spread, 'length')} apart. Is it one support?`),
    });
  const twice = support.seats.find((one, i) => support.seats.some((other, j) => j < i && other.piece === one.piece && Math.abs(other.at - one.at) < MEET));
  if (twice)
    checks.push(
      missingCheck(
        { ...before('support.seats', about('support', support, support.name, 'twice'), 'Geometry: the seats of one support lie together'), station: 'measure' },
        'count',
        `${support.name} has two seats at one place of ${beams.get(twice.piece)?.beam.mark ?? twice.piece}. Is it one seat?`,
      ),
    );
  const off = Math.max(0, ...spots.map((one) => (support.level === null ? 0 : Math.abs(one.z - support.level))));
  if (off > rules.value('surveyTolerance'))
    checks.push({
      ...missingCheck({ ...before('support.level', of, sourced('Two statements of one level', rules, 'surveyTolerance')), station: 'measure' }, 'length', ''),
      demand: off,
      finding: told(
        phrase`${support.name} is drawn at ${q(support.level ?? 0, 'length')} and what rests on it ${q(off, 'dimension')} from there. Which is right?`,
      ),
    });
  // Props, rollers and blocks are packed to what lies on them; all else has a level that somebody took.
  if (support.kind === 'prop' || support.kind === 'roller' || support.kind === 'block') return checks;
  const { measured } = support;
  const fault = measured === null ? null : dayFault(measured.on, context.today);
  if (measured === null)
    checks.push(
      missingCheck(
        { ...before('support.measured', of, 'Common practice: levels are surveyed before steel'), station: 'measure' },
        'length',
        `${support.name} is as drawn. What level did the survey find, and who took it?`,
      ),
    );
  else if (!namesPerson(measured.by) || fault !== null)
    checks.push(
      missingCheck(
        { ...before('support.measured', of, 'Common practice: levels are surveyed before steel'), station: 'measure' },
        'length',
        `The level of ${support.name} ${fault ?? 'has no name'}. Who took it, and when?`,
      ),
    );
  else {
    const [seat] = support.seats;
    const drawn = support.level ?? (seat && beams.get(seat.piece)?.place ? heightAt(beams.get(seat.piece)!.place!, seat.at) : null);
    if (drawn === null) return checks;
    const most = rules.value('surveyTolerance');
    checks.push(
      ratioCheck(
        { ...before('support.measured', of, sourced('Survey against drawing', rules, 'surveyTolerance')), station: 'measure' },
        { demand: Math.abs(measured.level - drawn), capacity: most, quantity: 'dimension', caution: null, inclusive: true },
        told(
          phrase`${support.name} is drawn at ${q(drawn, 'length')} and was found at ${q(measured.level, 'length')}; ${q(most, 'dimension')} may be. Shim it, or bring the seat to level.`,
        ),
        [],
      ),
    );
  }
  return checks;
}

function makeChecks(make: Make): Check[] {
  const checks: Check[] = [];
  const of = about('make', make, make.mark);
  for (const one of make.attachments)
    if (one.mass === 0)
      checks.push(
        missingCheck(
          before('make.weightless', { ...of, about: { ...of.about, part: one.id } }, 'Common practice'),
          'mass',
          `0 kg for ${one.what} on ${make.mark}? What does it weigh?`,
        ),
      );
  if (make.made.kind === 'plain') {
    const { made } = make;
    const what = made.what.trim() === '' || made.what.trim() === make.mark ? make.mark : `${make.mark} (${made.what.trim()})`;
    if ((made.depth ?? null) === null || (made.width ?? null) === null)
      checks.push(
        missingCheck(
          before('make.size', of, 'Common practice: what stands takes up room'),
          'dimension',
          `How deep and how wide is ${what}, outside to outside? What is lifted past it has to clear it.`,
        ),
      );
    if ((made.balance ?? null) === null)
      checks.push(missingCheck(before('make.balance', of, 'Statics'), 'length', `Where does ${what} balance, from its first end?`));
    else if (made.balance! > make.length)
      checks.push({
        ...missingCheck(before('make.balance', of, 'Geometry'), 'length', ''),
        demand: made.balance!,
        finding: told(
          phrase`${make.mark} is ${q(make.length, 'length')} long and is said to balance ${q(made.balance!, 'length')} from its first end. Which is right?`,
        ),
      });
  }
  const known = yieldOf(make.grade, thickestOf(make));
  if (make.made.kind !== 'plain' && known === null && !saysSomething(make.grade))
    checks.push(missingCheck(before('make.grade', of, 'Common practice'), 'stress', `Of what grade is ${make.mark}?`));
  else if (make.made.kind !== 'plain' && known === null && make.yield === null)
    checks.push({
      ...missingCheck(before('make.grade', of, 'The table of the grade: EN 1993-1-1 Table 3.1, ASTM minimums, from memory'), 'stress', ''),
      finding: told(
        phrase`What does “${make.grade}” of ${make.mark} yield at in parts of ${q(thickestOf(make), 'dimension')}? The tables here do not say: read it off the certificate.`,
      ),
    });
  if (known !== null && make.yield !== null && Math.abs(make.yield / known - 1) > GRADE_OFF)
    checks.push({
      ...missingCheck(before('make.grade', of, 'Two statements of one strength'), 'stress', ''),
      demand: make.yield,
      finding: told(
        phrase`${make.mark} is ${make.grade}, which yields at ${q(known, 'stress')}, and is said to yield at ${q(make.yield, 'stress')}. Which is right?`,
      ),
    });
  return checks;
}

/** Anchors further from the pressed edge than so many times the axis of the column are on no base that was met (common practice). */
const WIDEST_BASE = 3.5;

/** What is said of one bolt, against what its size and grade carry. */
function boltSays({ context }: Ground, joint: Joint): Check[] {
  const { bolt, boltShear, name } = joint;
  if (!bolt)
    return (joint.holes ?? 0) > 0
      ? [
          missingCheck(
            before('joint.boltSays', about('joint', joint, name), 'Common practice: the drawing names the bolts of each joint'),
            'count',
            `Of which size and grade are the bolts of ${name}? What goes in has to be what is drawn.`,
          ),
        ]
      : [];
  // What is not said of them is asked of the joint, and nothing is worked out from it.
  if (boltShear === null || drawnBolt(joint) === null) return [];
  const { rules, plan } = context;
  const found = boltShearOf(bolt, rules);
  const of = about('joint', joint, name);
  if ('why' in found)
    return [
      missingCheck(
        before('joint.boltSays', of, boltShearAisc.source.text),
        'force',
        `What do the bolts of ${name} carry? Not known by their size: ${found.why}.`,
      ),
    ];
  const place = { ...before('joint.boltSays', of, found.source), calc: found.calc };
  const words = shearWords(name, bolt, plan.job.units, found.shear);
  const more = boltShear > found.shear * (1 + SAME_SHEAR);
  const check = ratioCheck(
    place,
    { demand: boltShear, capacity: found.shear, quantity: 'force', caution: null, ratio: more ? boltShear / found.shear : 0 },
    told([...phrase`One bolt of ${name} is said to carry ${q(boltShear, 'force')}. `, ...words, more ? '. Which is wrong?' : '.']),
    found.traces,
  );
  // What is said of a bolt is no load on it: a figure near what its size gives is as it should be.
  return [more ? check : { ...check, ratio: null }];
}

/** Figures this close are the same but for rounding. */
const SAME_SHEAR = 0.02;

/** Beyond the flange bolts stand no further out than this [m]. */
const OUTSIDE = 0.075;
/** Pulled, a bolt carries no more than so much of what one shear plane of it does: 90/50 of EN 1993-1-8 Table 3.4 for 10.9, less for others and in AISC 360 J3. */
const PULLED = 1.8;

/**
 * What the engineer says a splice carries, or a joint that holds a beam stiffly to its column or a column upright on a beam, against what all its bolts could at the
 * very most: every one of them as far from the middle as the piece is deep. It is no design: a figure over it is wrong, one under it may be.
 */
function engineerSays({ context, beams }: Ground, joint: Joint): Check[] {
  const bolt = drawnBolt(joint);
  const splice = joint.kind === 'splice';
  if (bolt === null || joint.holes === null) return [];
  const ends = splice ? [joint.a, joint.b] : [joint.a];
  const found = boltShearOf(bolt, context.rules);
  if ('why' in found) return [];
  const depths = ends.flatMap(({ piece }) => {
    const section = beams.get(piece)?.section;
    return section === undefined || section instanceof Missing ? [] : [section.depth];
  });
  const each = Math.max(found.shear, (PULLED * found.shear) / bolt.planes);
  const lever = Math.max(...depths) / 2 + OUTSIDE;
  const most = { moment: joint.holes * each * lever, shear: joint.holes * found.shear };
  const size = boltName(bolt, context.plan.job.units);
  return (splice ? (['moment', 'shear'] as const) : (['moment'] as const)).flatMap((part): Check[] => {
    const said = joint[part];
    if (said === null || (part === 'moment' && depths.length < ends.length) || said <= most[part]) return [];
    const kind = part === 'moment' ? ('moment' as const) : ('force' as const);
    return [
      ratioCheck(
        { ...before('joint.boltSays', { ...about('joint', joint, joint.name, part) }, found.source), calc: found.calc },
        { demand: said, capacity: most[part], quantity: kind, caution: null },
        told(
          phrase`${joint.name} is said to carry ${part === 'moment' ? 'a moment of' : 'a shear of'} ${q(said, kind)}; its ${String(joint.holes)} bolts${splice ? ' a side' : ''}, ${size}, could carry ${q(most[part], kind)} at the very most. Which is wrong?`,
        ),
        found.traces,
      ),
    ];
  });
}

function jointStill(ground: Ground, joint: Joint): Check[] {
  const { beams } = ground;
  const checks: Check[] = [...boltSays(ground, joint), ...engineerSays(ground, joint)];
  if (joint.opened && !namesPerson(joint.opened.by))
    checks.push(
      missingCheck(
        before(
          'joint.opened',
          about('joint', joint, joint.name),
          'AISC 303 7.14, RCSC 3.3: holes that do not meet are opened as the engineer approves, from memory',
        ),
        'count',
        `Holes of ${joint.name} were ${joint.opened.how === 'burnt' ? 'opened by flame' : 'reamed'} to make them meet. Who of the engineers of record approved it?`,
      ),
    );
  const [a, b] = [joint.a, joint.b].map(({ piece, at }) => {
    const spot = beams.get(piece)?.place;
    return spot ? pointAt(spot, at) : null;
  });
  if (!a || !b) return checks;
  const carrier = beams.get(joint.b.piece);
  if (carrier?.place && (joint.kind === 'onColumn' || joint.kind === 'onWeb') && carrier.place.upright !== (joint.kind === 'onColumn'))
    checks.push(
      missingCheck(
        before('joint.kind', about('joint', joint, joint.name), 'Geometry: what is joined to what'),
        'count',
        `${joint.name} is said to be ${joint.kind === 'onColumn' ? 'on a column' : 'on the web of a beam'}, and ${carrier.beam.mark} ${carrier.place.upright ? 'stands upright' : 'lies'}. Which is right?`,
      ),
    );
  const beside = joint.kind === 'onWeb' ? besideWeb(joint, beams) : null;
  if (beside)
    checks.push(
      missingCheck(
        before('joint.kind', about('joint', joint, joint.name, 'height'), 'Geometry: what is joined to what'),
        'length',
        `${joint.name} is said to be on the web of ${carrier!.beam.mark}, and ${beams.get(joint.a.piece)!.beam.mark} lies wholly ${beside} it there. At which height does it come to it, or does it rest on a seat?`,
      ),
    );
  // A beam comes to the face of what carries it, and lies on top of it or within its depth: seen from above they meet.
  const gap = Math.hypot(a.x - b.x, a.y - b.y);
  const reach = joint.kind === 'splice' ? MEET : MEET + Math.max(0, ...[joint.a, joint.b].map(({ piece }) => widthOf(beams.get(piece)) / 2));
  const drop = joint.kind === 'splice' ? Math.abs(a.z - b.z) : heightsApart(joint.a, joint.b, beams);
  if (gap > reach || drop > MEET)
    checks.push({
      ...missingCheck(before('joint.meets', about('joint', joint, joint.name), 'Geometry: what is joined meets'), 'length', ''),
      demand: Math.hypot(gap, drop),
      finding: told(phrase`The two ends of ${joint.name} are drawn ${q(Math.hypot(gap, drop), 'length')} apart. Which of them is in the wrong place?`),
    });
  if (joint.kind === 'splice')
    for (const spot of [joint.a, joint.b]) {
      const length = beams.get(spot.piece)?.place?.length ?? 0;
      if (Math.min(spot.at, Math.abs(length - spot.at)) > MEET)
        checks.push(
          missingCheck(
            before('joint.end', about('joint', joint, joint.name, spot.piece), 'Geometry'),
            'length',
            `${joint.name} is a splice and is not at an end of ${beams.get(spot.piece)?.beam.mark}. Where is it?`,
          ),
        );
    }
  return checks;
}

/** Bolted to the web of another, a beam shares some height with it; null where it does, or nobody knows how deep one is. */
function besideWeb({ a, b }: Joint, beams: Ground['beams']): 'over' | 'under' | null {
  const [one, other] = [a, b].map(({ piece, at }) => {
    const { place: lies, section } = beams.get(piece)!;
    const { z } = pointAt(lies!, at);
    return section instanceof Missing || lies!.upright ? null : { from: z, to: z + section.depth };
  });
  if (!one || !other) return null;
  if (one.from > other.to - SHARED) return 'over';
  return one.to < other.from + SHARED ? 'under' : null;
}
/** Less height than this is none [m]. */
const SHARED = 0.01;

/** A yield this far from that of its grade is of another grade. */
const GRADE_OFF = 0.05;

/** The seats of one pier or bent lie within this of each other [m]. */
const ONE_SUPPORT = 3;

const widthOf = (settled: SettledBeam | undefined): number =>
  settled && !(settled.section instanceof Missing) ? Math.max(settled.section.width, settled.section.depth) : 0.3;
