import { phrase, q } from '../../calc/work';
import { aboutEdge, baseAnchors } from '../../frame/base-anchors.calc';
import { guyAndBlock } from '../../frame/guy.calc';
import { PLENTY, type SwayLoad, type SwayStands, type Unheld } from '../../frame/sway-frame';
import { frameSway } from '../../frame/sway.calc';
import type { Trace } from '../../calc/evidence';
import type { Check } from '../../verdict/check';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import { type FrameForces, type FrameParts, type Wind } from './frame-forces';
import type { Rules } from '../../rules/rule-sets';
import { AIR_DENSITY, asksStandingGust, windSource } from '../../settle/wind';
import { webAlong, type FrameModel, type Portal, type Stack } from './frame-model';
import { portalRows } from './portal-rows';
import { diagonalRows } from './diagonal-rows';
import { ontoRests, pressedPlaces, pressedRows, type Pressed } from './pressed-beams';
import { riderRows } from './rider-rows';
import { isTold, worstRows, type At, type Row } from './frame-rows';
import type { Ground } from './ground';
import { about, place } from './places';
import type { Support } from '../../document/schema';
import { isMade, jointAt, type StructureMoment } from '../../replay/moment';
import type { Said } from './worst';

/** AISC 360 F6, Ω of bending. */
const OMEGA = 1.67;

/** A row is kept from one edit to the next, and so are its words and its working. */
const words = new WeakMap<Row, Check>();
function inWords(row: Exclude<Row, Check>): Check {
  let known = words.get(row);
  if (!known) words.set(row, (known = row.tell()));
  return known;
}

/** Puts what was found where the rows of a move go. */
export function sayRows(rows: readonly Row[], move: string | null, said: Said): void {
  for (const row of rows) {
    if (isTold(row)) said.put(row);
    else said.ratio(row.id, row.kind, row.thing, row.part, move, row.numbers, () => inWords(row));
  }
}

/** What is said of a frame as wind and lean bring it what they do: what holds it, its columns, feet, ropes and joints. */
export function frameRows(ground: Ground, { columns }: FrameParts, forces: FrameForces, moment: StructureMoment, move: string | null): Row[] {
  const { context, beams, wind } = ground;
  const { rules } = context;
  const source = `${sourced(frameSway.source.text, rules, 'lean', 'windFactor', 'girderDrag', 'strengthCaution')}${windSource(wind)}`;
  const at = (id: string, of: ReturnType<typeof about>, calc: string = frameSway.id) => place(id, of, move, calc, source);
  if (forces === null) return [];
  if ('question' in forces) return [missingCheck(at(forces.check, { subject: forces.name, about: forces.about }), 'force', forces.question)];
  const { model, winds } = forces;
  const head = beams.get(columns[0]!)!.beam;
  const names = columns
    .map((id) => beams.get(id)!.beam.mark)
    .slice(0, 8)
    .join(', ');
  const { gust } = wind;
  if (gust === null || winds === null) return [missingCheck(at('frame.wind', about('beam', head, names)), 'speed', asksStandingGust(names))];
  // Whatever falls in any of the winds is named.
  const fallen = winds.flatMap(({ answer }) => (answer.stable ? [] : [answer]));
  const unheld = fallen.flatMap((answer) => (answer.why === 'unheld' ? answer.unheld : []));
  if (unheld.length > 0) return [heldRow(at('frame.sideways', about('beam', head, names, 'held')), model, unheld)];
  if (fallen.length > 0) {
    const alpha = Math.min(...fallen.map((answer) => (answer.why === 'sways' ? answer.alpha : 1)));
    return [
      ratioCheck(
        at('frame.second', about('beam', head, names)),
        { demand: rules.value('swayLeast'), capacity: Math.max(alpha, 1e-6), quantity: 'factor', caution: null },
        told(phrase`${names} sway over under what they carry: they would stand ${q(alpha, 'factor')} times it. Brace them before more is hung on them.`),
        [],
      ),
    ];
  }
  const answers = winds.map((one) => one.answer as SwayStands);
  const allDrags = dragsOf(model, answers);
  const pressed = pressedPlaces(ground, model, answers, allDrags);
  return [
    alphaRow(at('frame.second', about('beam', head, names)), rules, names, model, winds, answers),
    ...braceRows(ground, model, answers, at),
    ...columnRows(ground, model, answers, { drags: allDrags, gust }, at),
    ...jointRows(ground, model, answers, pressed, moment, at),
    ...portalRows(ground, model, answers, moment, at),
    ...diagonalRows(ground, model, answers, at),
    ...riderRows(ground, model, answers, { drags: allDrags, gust }, moment, at),
    ...pressedRows(ground, pressed, moment, at),
  ];
}

function heldRow(where: ReturnType<typeof place>, { stacks }: FrameModel, unheld: readonly Unheld[]): Check {
  const names = [...new Set(unheld.map(({ column }) => stacks[column]!.pieces[0]!.beam.mark))].slice(0, 8).join(', ');
  return flatStop(
    where,
    'count',
    told(
      phrase`Nothing holds ${names} when the wind pushes: no brace or rope that pulls that way, no beam that hands on to one, and no foot that may hold a moment. Brace or guy every line both ways.`,
    ),
    [],
  );
}

function alphaRow(
  where: ReturnType<typeof place>,
  rules: Rules,
  names: string,
  model: FrameModel,
  winds: readonly Wind[],
  answers: readonly SwayStands[],
): Row {
  const worst = answers.reduce((least, one, i) => (one.alpha < answers[least]!.alpha ? i : least), 0);
  const alpha = Math.min(answers[worst]!.alpha, PLENTY);
  const least = rules.value('swayLeast');
  const numbers = { demand: least, capacity: alpha, caution: rules.value('strengthCaution'), inclusive: true, quantity: 'factor' as const };
  return {
    id: 'frame.second',
    kind: where.about.kind,
    thing: where.about.id,
    part: where.about.part,
    numbers,
    tell: () =>
      ratioCheck(
        { ...where, source: `${where.source}; ${rules.source('swayLeast').text}` },
        numbers,
        told(
          phrase`${names} would sway by themselves at ${alpha < PLENTY ? '' : 'no less than '}${q(alpha, 'factor')} times what they carry; ${q(least, 'factor')} is wanted. What they lean further is in all the forces here.`,
        ),
        traceOf(model, winds[worst]!.load),
      ),
  };
}

function traceOf({ frame }: FrameModel, load: SwayLoad): Trace[] {
  const input = {
    columns: frame.columns.map((one, c) => ({
      ...one,
      rides: one.rides ? [...one.rides] : null,
      nodes: one.nodes.map((node, n) => ({ ...node, pushX: load[c]![n]!.x, pushY: load[c]![n]!.y })),
    })),
    ties: frame.ties.map((one) => ({ ...one, a: [...one.a], b: [...one.b] })),
    braces: frame.braces.map((one) => ({ ...one, a: [...one.a], b: one.b && [...one.b] })),
    rails: [...(frame.rails ?? [])],
    rafters: (frame.rafters ?? []).map((one) => ({ ...one, legs: [...one.legs] })),
  };
  return traced(frameSway, input).traces;
}

function braceRows({ context }: Ground, { braces }: FrameModel, answers: readonly SwayStands[], at: At): Row[] {
  const { rules } = context;
  const caution = rules.value('strengthCaution');
  return braces.flatMap(({ brace }, i): Row[] => {
    const pull = Math.max(...answers.map((one) => Math.abs(one.braces[i]!)));
    const of = about('brace', brace, brace.name);
    if (brace.capacity === null)
      return [missingCheck(at('brace.sway', of), 'force', `What may ${brace.name} carry? Wind and lean of the frame go through it.`)];
    const numbers = { demand: pull, capacity: brace.capacity, quantity: 'force' as const, caution };
    const force: Row = {
      id: 'brace.sway',
      kind: 'brace',
      thing: brace.id,
      part: undefined,
      numbers,
      tell: () =>
        ratioCheck(
          at('brace.sway', of),
          numbers,
          told(phrase`Wind and lean of the frame bring ${brace.name} ${q(pull, 'force')}; it carries ${q(brace.capacity ?? 0, 'force')}.`),
          [],
        ),
    };
    return brace.kind === 'guy' && brace.b === null ? [force, anchorRow(brace, Math.max(...answers.map((one) => one.braces[i]!)), caution, at)] : [force];
  });
}

/** What a guy is tied to at its other end. */
function anchorRow(brace: FrameModel['braces'][number]['brace'], pull: number, caution: number, at: At): Row {
  const of = about('brace', brace, brace.name);
  const anchor = brace.anchor ?? null;
  const where = at('brace.anchor', of, guyAndBlock.id);
  if (anchor === null)
    return missingCheck(where, 'force', `What may the other end of ${brace.name} hold: a block of what weight, or an anchor of what capacity?`);
  if (anchor.kind === 'fixed') {
    if (anchor.carry === null) return missingCheck(where, 'force', `What may the anchor of ${brace.name} carry along the rope, and who says so?`);
    const numbers = { demand: pull, capacity: anchor.carry, quantity: 'force' as const, caution };
    return {
      id: 'brace.anchor',
      kind: 'brace',
      thing: brace.id,
      part: undefined,
      numbers,
      tell: () =>
        ratioCheck(where, numbers, told(phrase`${brace.name} pulls its anchor with ${q(pull, 'force')}; that holds ${q(anchor.carry ?? 0, 'force')}.`), []),
    };
  }
  if (anchor.weight === null || anchor.friction === null)
    return missingCheck(where, 'force', `What does the block of ${brace.name} weigh, and what friction is under it?`);
  const slopeDeg = brace.slopeDeg ?? 0;
  const input = { horizontal: pull * Math.cos((slopeDeg * Math.PI) / 180), slopeDeg, awayDeg: 0, friction: anchor.friction, block: anchor.weight };
  const { needsBlock } = guyAndBlock.compute(input);
  const numbers = { demand: needsBlock, capacity: anchor.weight, quantity: 'force' as const, caution };
  return {
    id: 'brace.anchor',
    kind: 'brace',
    thing: brace.id,
    part: undefined,
    numbers,
    tell: () =>
      ratioCheck(
        where,
        numbers,
        told(
          phrase`The block of ${brace.name} weighs ${q(anchor.weight ?? 0, 'force')}; more than ${q(needsBlock, 'force')} is wanted so that it neither slides nor lifts.`,
        ),
        traced(guyAndBlock, input).traces,
      ),
  };
}

/** What the moments at the ends of a beam bring down at its first end, and lift at the other [N]. */
const shift = ({ length }: Portal, { a, b }: { a: number; b: number }): number => (a - b) / length;

/** Beams and rafters that bring a moment to their ends, each with what it brings in one wind. */
const portalsOf = ({ rails, rafters }: FrameModel, answer: SwayStands): { portal: Portal; felt: { a: number; b: number } }[] => [
  ...rails.map((portal, i) => ({ portal, felt: answer.rails[i]! })),
  ...rafters.map((portal, i) => ({ portal, felt: answer.rafters[i]! })),
];

/** By column and wind: the vertical force of the braces, and of beams that keep their angle, upwards [N]. */
function dragsOf(model: FrameModel, answers: readonly SwayStands[]): number[][] {
  const drags = model.stacks.map(() => answers.map(() => 0));
  const add = (stack: number, wind: number, force: number) => (drags[stack]![wind]! += force);
  answers.forEach((answer, wind) => {
    model.braces.forEach((brace, i) => {
      for (const { stack, share } of brace.drags) add(stack, wind, share * answer.braces[i]!);
    });
    model.diagonals.all.forEach(({ drags: ends }, i) => {
      for (const { stack, share } of ends) add(stack, wind, share * answer.braces[model.diagonals.from + i]!);
    });
    for (const { portal, felt } of portalsOf(model, answer)) {
      const down = shift(portal, felt);
      add(portal.ends.a.stack, wind, -down);
      add(portal.ends.b.stack, wind, down);
    }
  });
  // What pulls at a column that stands on a beam pulls at the columns under that: from the highest down.
  const riding = [...model.rides].sort(([a], [b]) => model.stacks[b]!.foot.z - model.stacks[a]!.foot.z);
  for (const [s, spot] of riding) for (const { column, share } of spot) drags[s]!.forEach((force, wind) => add(column, wind, share * force));
  return drags;
}

function columnRows(
  ground: Ground,
  model: FrameModel,
  answers: readonly SwayStands[],
  { drags: allDrags, gust }: { drags: readonly (readonly number[])[]; gust: number },
  at: At,
): Row[] {
  const { rules } = ground.context;
  const caution = rules.value('strengthCaution');
  const strengths: { row: Row; ratio: number }[] = [];
  const rows: Row[] = [];
  model.stacks.forEach((stack, s) => {
    const drags = allDrags[s]!;
    const [up, down] = [Math.max(0, ...drags), Math.max(0, ...drags.map((one) => -one))];
    if ('support' in stack.on)
      rows.push(...footRows(ground, stack, stack.on.support, { up, down, answers: answers.map((one, i) => ({ ...one.columns[s]!, drag: drags[i]! })) }, at));
    const strength = columnRow(ground, stack, { down, moments: answers.map((one) => one.columns[s]!.moments), gust }, at);
    if (strength) strengths.push(strength);
  });
  return [...rows, ...worstRows(strengths, caution)];
}

/** A column pressed and bent as the frame leans: of pieces one above the other the one that has least to spare, under all of it. */
function columnRow(
  ground: Ground,
  { pieces, down, heights }: Stack,
  feels: { down: number; moments: readonly { x: number; y: number }[]; gust: number },
  at: At,
): { row: Row; ratio: number } | null {
  const { rules } = ground.context;
  const gaps = heights.map((z, n) => z - (heights[n - 1] ?? 0));
  const free = Math.max(...gaps);
  const pressure = 0.5 * AIR_DENSITY * feels.gust ** 2 * rules.value('girderDrag') * rules.value('windFactor');
  const axial = down + feels.down;
  const rated = pieces.flatMap((one) => columnUse(ground, one, strongOf(pieces), { axial, moments: feels.moments, pressure, free }, at) ?? []);
  return rated.reduce<(typeof rated)[number] | null>((most, one) => (most === null || one.ratio > most.ratio ? one : most), null);
}

function columnUse(
  { context: { rules }, strengthOf }: Ground,
  settled: Stack['pieces'][number],
  strongWay: 'x' | 'y' | null,
  { axial, moments, pressure, free }: { axial: number; moments: readonly { x: number; y: number }[]; pressure: number; free: number },
  at: At,
): { row: Row; ratio: number } | null {
  const { beam, section, fy } = settled;
  if (section instanceof Missing || !(fy > 0)) return null;
  const strength = strengthOf(settled, section, free);
  const post = strength.post();
  const where = () => at('column.sway', about('beam', beam, beam.mark));
  const asks = (missing: Missing) => ({ row: missingCheck(where(), 'fraction', missing.questions.join(' ')), ratio: Infinity });
  if (post instanceof Missing) return asks(post);
  // The wind on the column itself bends it as it likes: about its weaker axis.
  const own = (pressure * Math.max(section.depth, section.width) * free ** 2) / 8;
  const weak = (fy * 2 * section.iWeak) / section.width / (rules.id === 'us-asd' ? OMEGA : rules.value('gammaM1'));
  const strong = strongWay === null ? null : strength.bending();
  if (strong instanceof Missing) return asks(strong);
  /** Bent about its stronger axis, about its weaker one, and what both use of it. */
  const bent = moments.map(({ x, y }) => {
    const about = strongWay === null ? { strong: 0, weak: Math.hypot(x, y) } : strongWay === 'x' ? { strong: x, weak: y } : { strong: y, weak: x };
    return { ...about, used: (strong === null ? 0 : about.strong / strong.capacity) + (about.weak + own) / weak };
  });
  const worst = bent.reduce((most, one) => (one.used > most.used ? one : most));
  const used = axial / post.capacity + worst.used;
  const numbers = { demand: used, capacity: 1, quantity: 'fraction' as const, caution: rules.value('strengthCaution') };
  const why = (beam.webDeg ?? null) === null ? 'Nobody has said which way its web runs.' : 'Its web is not said to run along x or y over its whole height.';
  return {
    ratio: used,
    row: {
      id: 'column.sway',
      kind: 'beam',
      thing: beam.id,
      part: undefined,
      numbers,
      tell: () =>
        ratioCheck(
          where(),
          numbers,
          told(
            strong === null
              ? phrase`${beam.mark} carries ${q(axial, 'force')} of ${q(post.capacity, 'force')} and, as the frame leans in the wind, bends ${q(worst.weak + own, 'moment')} of ${q(weak, 'moment')} about its weaker axis: together ${q(used, 'fraction')}. ${why}`
              : phrase`${beam.mark} carries ${q(axial, 'force')} of ${q(post.capacity, 'force')} and, as the frame leans in the wind, bends ${q(worst.strong, 'moment')} of ${q(strong.capacity, 'moment')} about its stronger axis and ${q(worst.weak + own, 'moment')} of ${q(weak, 'moment')} about its weaker one: together ${q(used, 'fraction')}.`,
          ),
          [...post.traces, ...(strong?.traces ?? [])],
        ),
    },
  };
}

/** The way along which all pieces of a column bend about their stronger axis, where it is said. */
function strongOf(pieces: Stack['pieces']): 'x' | 'y' | null {
  const [first, ...rest] = pieces.map(webAlong);
  return rest.every((one) => one === first) ? (first ?? null) : null;
}

/** What wind brings to the foot of a column: a moment where it stands by itself, uplift and thrust of the braces that end there. */
function footRows(
  { context }: Ground,
  { light, down }: Stack,
  support: Support,
  feels: { up: number; down: number; answers: readonly { footMoment: number; drag: number; stands: { x: boolean; y: boolean } }[] },
  at: At,
): Row[] {
  const { rules } = context;
  const caution = rules.value('strengthCaution');
  const of = (part?: string) => about('support', support, support.name, part);
  const rows: Row[] = [];
  const standing = feels.answers.some(({ stands }) => stands.x || stands.y);
  if (support.kind === 'anchors') {
    if (standing || feels.up > light) {
      const lever = support.anchors?.lever ?? null;
      const toe = support.anchors?.toe ?? null;
      const tension = support.anchors?.tension ?? null;
      const where = () => at('anchors.sway', of(), baseAnchors.id);
      if (lever === null || toe === null || tension === null)
        rows.push(
          missingCheck(
            where(),
            'force',
            `How far are the anchors of ${support.name} in tension, and the axis of its column, from the pressed edge, and what may they pull?`,
          ),
        );
      else {
        // What anchors may pull is an allowable figure: the wind as it is, not factored.
        const times = rules.value('windFactor');
        const pulls = feels.answers.map(({ footMoment, drag }) => {
          const input = { axial: light - drag / times, moment: footMoment / times, lever, toe };
          const { tension, presses } = aboutEdge(input);
          // Lifted clear of its edge all of it hangs in the anchors.
          return { pull: presses < 0 ? -input.axial + input.moment / lever : tension, input };
        });
        const worst = pulls.reduce((most, one) => (one.pull > most.pull ? one : most));
        const numbers = { demand: worst.pull, capacity: tension, quantity: 'force' as const, caution };
        rows.push({
          id: 'anchors.sway',
          kind: 'support',
          thing: support.id,
          part: undefined,
          numbers,
          tell: () =>
            ratioCheck(
              where(),
              numbers,
              told(
                phrase`In the wind its column bends ${support.name} with ${q(worst.input.moment, 'moment')}: its anchors pull ${q(worst.pull, 'force')} and may pull ${q(tension, 'force')}. Guy or brace the column before the hook lets go, or stronger anchors.`,
              ),
              traced(baseAnchors, worst.input).traces,
            ),
        });
      }
    }
  } else if (standing) {
    const moment = Math.max(...feels.answers.map(({ footMoment }) => footMoment));
    const numbers = { demand: moment, capacity: support.holdsMoment ?? 0, quantity: 'moment' as const, caution };
    rows.push({
      id: 'support.sway',
      kind: 'support',
      thing: support.id,
      part: 'moment',
      numbers,
      tell: () =>
        ratioCheck(
          at('support.sway', of('moment')),
          numbers,
          told(phrase`In the wind its column bends ${support.name} with ${q(moment, 'moment')}; it holds ${q(support.holdsMoment ?? 0, 'moment')}.`),
          [],
        ),
    });
  }
  if (support.kind !== 'anchors' && feels.up > light) {
    const numbers = { demand: feels.up - light, capacity: support.holdsDown ?? 0, quantity: 'force' as const, caution };
    rows.push({
      id: 'support.sway',
      kind: 'support',
      thing: support.id,
      part: 'up',
      numbers,
      tell: () =>
        ratioCheck(
          at('support.sway', of('up')),
          numbers,
          told(
            phrase`As the frame leans in the wind its column is lifted off ${support.name} with ${q(feels.up - light, 'force')} more than rests on it; ${q(support.holdsDown ?? 0, 'force')} holds it down.`,
          ),
          [],
        ),
    });
  }
  if (feels.down > 0 && support.capacity !== null) {
    const numbers = { demand: down + feels.down, capacity: support.capacity, quantity: 'force' as const, caution };
    rows.push({
      id: 'support.sway',
      kind: 'support',
      thing: support.id,
      part: 'down',
      numbers,
      tell: () =>
        ratioCheck(
          at('support.sway', of('down')),
          numbers,
          told(
            phrase`${support.name} carries ${q(down, 'force')} and ${q(feels.down, 'force')} more as the frame leans in the wind; it may carry ${q(support.capacity ?? 0, 'force')}.`,
          ),
          [],
        ),
    });
  }
  return rows;
}

/** Joints carry what a beam brings from above and what it hands on sideways, at once. */
function jointRows(ground: Ground, model: FrameModel, answers: readonly SwayStands[], pressed: readonly Pressed[], moment: StructureMoment, at: At): Row[] {
  const { rules } = ground.context;
  const caution = rules.value('strengthCaution');
  const most = new Map<string, { joint: FrameModel['ties'][number]['joints'][number]['joint']; brings: number; along: number }>();
  const put = (joints: FrameModel['ties'][number]['joints'], along: number) => {
    for (const { joint, brings } of joints) {
      const had = most.get(joint.id);
      if (!had || along > had.along) most.set(joint.id, { joint, brings, along });
    }
  };
  model.ties.forEach(({ joints }, i) => put(joints, Math.max(...answers.map((one) => Math.abs(one.ties[i]!)))));
  const which = rules.id === 'us-asd' ? 'plain' : 'factored';
  model.diagonals.all.forEach(({ diagonal: { settled, low, high } }, i) => {
    const own = ground.latest.get(settled.beam.id)?.carried[which];
    const brings = [low, high].map((joint) => ({ joint, brings: Math.abs(own?.get(joint.id) ?? 0) }));
    put(brings, Math.max(...answers.map((one) => Math.abs(one.braces[model.diagonals.from + i]!))));
  });
  model.rafters.forEach(({ line, ends }, i) =>
    put(
      [ends.a, ends.b].map(({ joint }) => ({ joint, brings: Math.abs(line.carried[which].get(joint.id) ?? 0) })),
      Math.max(...answers.map((one) => Math.abs(one.rafters[i]!.thrust))),
    ),
  );
  // What the moments at the ends of a beam bring down at one of them comes on top.
  const more = new Map<string, number>();
  for (const answer of answers)
    for (const { portal, felt } of portalsOf(model, answer)) {
      const down = shift(portal, felt);
      for (const [{ joint }, one] of [
        [portal.ends.a, down],
        [portal.ends.b, -down],
      ] as const)
        more.set(joint.id, Math.max(more.get(joint.id) ?? 0, one));
    }
  // So does what presses it between them.
  for (const { key, force } of ontoRests(pressed)) more.set(key, (more.get(key) ?? 0) + force);
  const rows: { row: Row; ratio: number }[] = [];
  for (const { joint, brings: rests, along } of most.values()) {
    const brings = rests + (more.get(joint.id) ?? 0);
    const state = jointAt(moment, joint.id);
    // How many bolts are in, and what one carries, is asked where the beam hangs on them.
    if (!isMade(state) || state.bolts === null || joint.boltShear === null) continue;
    const numbers = { demand: Math.hypot(brings, along), capacity: (state.bolts + state.pins) * joint.boltShear, quantity: 'force' as const, caution };
    rows.push({
      ratio: numbers.capacity > 0 ? numbers.demand / numbers.capacity : Infinity,
      row: {
        id: 'joint.sway',
        kind: 'joint',
        thing: joint.id,
        part: undefined,
        numbers,
        tell: () =>
          ratioCheck(
            at('joint.sway', about('joint', joint, joint.name)),
            numbers,
            told(
              phrase`${joint.name} carries ${q(brings, 'force')} and in the wind hands on ${q(along, 'force')} along the beam: ${q(numbers.demand, 'force')} on bolts and pins good for ${q(numbers.capacity, 'force')}.`,
            ),
            [],
          ),
      },
    });
  }
  return worstRows(rows, caution);
}
