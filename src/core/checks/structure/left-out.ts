import { sequenceNeeds } from '../../gates/sequence.calc';
import type { Check } from '../../verdict/check';
import { moveFor } from '../context';
import { missingCheck } from '../../verdict/build';
import { keep, keepOne } from '../../document/keep';
import { temporarySupports } from '../../document/things/support-kinds';
import { allHungWith, loadOf } from '../../document/joined';
import { markLifted, standsOfPick } from '../../document/lookups';
import { namesPerson, saysSomething } from '../../document/records';
import type { Brace, Joint, Move, MoveKind, Support } from '../../document/schema';
import { beamAt, braceAt, jointAt, standsAt, type JointState } from '../../replay/moment';
import type { Ground } from './ground';
import { loadUnlifted, unlifted, unweighed } from './unweighed';
import { about, place } from './places';

/** The same words for what holds a piece, whatever the number of the card. */
const sameGear = (a: string, b: string): boolean => {
  const bare = (text: string) => text.toLowerCase().replace(/[^\p{L}]/gu, '');
  return bare(a) === bare(b);
};

/** What the structure has and no move does. */
export function leftOutOf(ground: Ground): Check[] {
  const { context, beams } = ground;
  const { plan, replayed } = context;
  const { structure, moves } = plan;
  const checks: Check[] = [];
  const last = replayed.steps.at(-1)?.after.structure;
  const ask = (id: string, of: ReturnType<typeof about>, question: string) =>
    checks.push(missingCheck(place(id, of, null, sequenceNeeds.id, 'Common practice: what no move does is not done'), 'count', question));
  const done = (kind: MoveKind, id: string): boolean => moveFor(plan, kind, id) !== null;
  // What is pushed is set where its launch is lowered; whether it is, is asked of the launch.
  const pushed = new Set((plan.launches ?? []).flatMap(({ pieces }) => pieces.map(({ piece }) => piece)));
  const along = allHungWith(plan);
  for (const { beam, place: stands } of beams.values()) {
    const of = about('beam', beam, beam.mark);
    if (!stands) continue;
    if (!done('piece.hang', beam.id) && !along.has(beam.id)) {
      if (!pushed.has(beam.id)) ask('moves.beam', of, `No move hangs ${beam.mark} in place. When and how is it set, or who sets it elsewhere?`);
    } else if (stands.upright && !done('beam.plumb', beam.id))
      ask('moves.plumb', of, `No move plumbs ${beam.mark}. When is it plumbed, and what does it read?`);
    else if (last && beamAt(last, beam.id).where !== 'set') ask('moves.letGo', of, `No move lets go of ${beam.mark}. What holds it, and until when?`);
    else if (last && beamAt(last, beam.id).kept > 0) ask('moves.letGo', of, `The hook still pulls ${beam.mark} at the end. When does it let go?`);
  }
  // Of the plan these are read from its pieces, its lifts and the moves, and from nothing else.
  checks.push(
    ...keepOne('left.lifts', [structure.pieces, structure.makes, structure.joints, moves, plan.picks, plan.stands, plan.raises], () => [
      ...hooksTwice(ground),
      ...liftsLeftOut(context, beams),
    ]),
  );
  for (const one of structure.supports) {
    const ready = done('support.ready', one.id);
    // Struck and made ready again it stands at the end: what was done last counts.
    const stands = last ? standsAt(last, one.id) : ready;
    checks.push(...keep('left.support', one, [ready, stands], () => supportLeft(one, ready, stands)));
  }
  checks.push(...keepOne('left.holes', [structure.joints, moves], () => overfull(structure.joints, moves)));
  for (const one of structure.joints) {
    const [made, state] = [done('joint.make', one.id), last && jointAt(last, one.id)];
    checks.push(...keep('left.joint', one, [made, state], () => jointLeft(one, made, state)));
  }
  for (const load of structure.loads) {
    checks.push(...loadUnlifted(load, beams.get(load.piece)!.beam, context.rules));
    if (!done('load.on', load.id))
      ask(
        'moves.load',
        about('beam', beams.get(load.piece)!.beam, load.what, load.id),
        `No move puts ${load.what} on. When does it come, or is it not for this job?`,
      );
  }
  const marks = (piece: string): string => beams.get(piece)?.beam.mark ?? piece;
  for (const brace of structure.braces) {
    const [fixed, held] = [done('brace.fix', brace.id), last ? braceAt(last, brace.id) : false];
    checks.push(...keep('left.brace', brace, [fixed, held], () => braceLeft(brace, fixed, held)));
    const [a, b] = [marks(brace.a.piece), brace.b && marks(brace.b.piece)];
    checks.push(...keep('left.weight', brace, [a, b, context.rules], () => [...unweighed(brace, marks), ...unlifted(brace, context.rules)]));
  }
  return checks;
}

const asked = (id: string, of: ReturnType<typeof about>, question: string): Check[] => [
  missingCheck(place(id, of, null, sequenceNeeds.id, 'Common practice: what no move does is not done'), 'count', question),
];

function supportLeft(support: Support, ready: boolean, stands: boolean): Check[] {
  const of = about('support', support, support.name);
  if (!ready) return asked('moves.support', of, `No move makes ${support.name} ready. When does it stand?`);
  if (temporarySupports.includes(support.kind) && stands)
    return asked('moves.strike', of, `${support.name} stands for a time only and no move strikes it. When is it struck?`);
  if (!temporarySupports.includes(support.kind) && !stands)
    return asked('moves.strike', of, `${support.name} is there for good by its kind, and at the end it is struck. What carries in its place?`);
  return [];
}

/** What is part of the finished work by its kind, unless somebody says that it is for the erection only. */
const STAYING: ReadonlySet<Brace['kind']> = new Set(['bridging', 'deck', 'diaphragm']);

/** What stays, stays to the end; what is there for a time goes. */
function braceLeft(brace: Brace, fixed: boolean, held: boolean): Check[] {
  const of = about('brace', brace, brace.name);
  const { stays = null } = brace;
  if (!fixed) return asked('moves.brace', of, `No move fixes ${brace.name}. When is it put in?`);
  if (held && stays === false) return asked('moves.unbrace', of, `${brace.name} is there for a time only and no move takes it away. When does it go?`);
  if (!held && stays === null && STAYING.has(brace.kind))
    return asked('moves.unbrace', of, `${brace.name} is taken away and not put back. Is it for the erection only, or is it part of the finished work?`);
  if (!held && stays === true)
    return asked('moves.unbrace', of, `${brace.name} is part of the finished work, and at the end it is taken away. When is it put back?`);
  return [];
}

/** In one hole there is one pin or one bolt: at a move that puts in more of both than a joint has holes one of the figures is wrong. */
function overfull(joints: readonly Joint[], moves: readonly Move[]): Check[] {
  const all = new Map(joints.map((one) => [one.id, one]));
  return moves.flatMap((move) => {
    if (move.kind !== 'joint.make') return [];
    const joint = all.get(move.joint);
    if (!joint || joint.holes === null || move.pins === 0) return [];
    const here = move.pins + (move.bolts ?? 0);
    if (here <= joint.holes) return [];
    const of = about('joint', joint, joint.name, move.id);
    const where = place('joint.holes', of, move.id, sequenceNeeds.id, 'Common practice: in one hole there is one pin or one bolt');
    return [
      missingCheck(
        where,
        'count',
        `${joint.name} has ${joint.holes} holes, and ${move.pins} pins and ${move.bolts ?? 0} bolts go in at one move. Which of them is wrong?`,
      ),
    ];
  });
}

function jointLeft(joint: Joint, made: boolean, state: JointState | undefined): Check[] {
  const of = about('joint', joint, joint.name);
  const { holes } = joint;
  const bolts = state?.bolts ?? null;
  if (!made) return asked('moves.joint', of, `No move joins ${joint.name}. When is it made?`);
  if (state?.untold) return asked('moves.tight', of, `Are all bolts of ${joint.name} of the drawn size and grade, and wrench-tight at the end?`);
  // What bolts carry is asked of them; on a seat they only hold.
  if (bolts === null)
    return joint.kind === 'seat' ? asked('moves.fill', of, `How many bolts does ${joint.name} end with? A move does not say how many go in.`) : [];
  // Of a splice its holes are asked where they carry.
  if (holes === null)
    return bolts > 0 && joint.kind !== 'splice'
      ? asked('joint.holes', of, `How many holes has ${joint.name}? It ends with ${bolts} bolts, and whether all are filled is not known.`)
      : [];
  if (bolts > holes) return asked('joint.holes', of, `${joint.name} has ${holes} holes and ends with ${bolts} bolts. Which of the two is wrong?`);
  if (bolts < holes)
    return asked('moves.fill', of, `${joint.name} ends with ${bolts} bolts tight in ${holes} holes. When are the others filled, and the pins driven out?`);
  return [];
}

/** Each piece is hung by a pick of the plan, or somebody has worked its lift out elsewhere; each pick is made, the first at a stand as a trial. */
function liftsLeftOut({ plan }: Ground['context'], beams: Ground['beams']): Check[] {
  const checks: Check[] = [];
  const lifting = plan.picks.filter((pick) => beams.has(pick.piece));
  const ask = (id: string, of: ReturnType<typeof about>, move: string | null, question: string) =>
    checks.push(missingCheck(place(id, of, move, sequenceNeeds.id, 'Common practice: every lift is worked out before it is made'), 'count', question));
  const used = new Set<string>();
  const tried = new Set<string>();
  const raised = new Set((plan.raises ?? []).map(({ load }) => load));
  for (const move of plan.moves) {
    if (move.kind === 'pick.trial') tried.add(move.pick);
    if (move.kind !== 'piece.hang') continue;
    const { beam } = beams.get(move.beam)!;
    const of = about('beam', beam, beam.mark);
    if (move.pick) used.add(move.pick);
    else if (raised.has(beam.id)) continue;
    else if (!saysSomething(move.by))
      ask('lift.by', of, move.id, `What lifts ${beam.mark} and holds it in place: crane, hoist, lifts or hands, and who has checked that lift?`);
    else if (lifting.some((pick) => pick.piece === beam.id))
      ask('lift.plan', of, move.id, `${beam.mark} has a pick, and the move that hangs it goes by “${move.by.trim()}”. Is it lifted by that pick?`);
    else if (!namesPerson(move.checkedBy ?? ''))
      ask('lift.plan', of, move.id, `No pick of this plan lifts ${beam.mark} by “${move.by.trim()}”. Give it its pick, or say who worked that lift out.`);
  }
  for (const pick of lifting)
    if (!used.has(pick.id)) {
      const { beam } = beams.get(pick.piece)!;
      ask('moves.pick', about('pick', pick, beam.mark), null, `A pick of ${beam.mark} is planned and no move hangs it by that pick. When is it lifted?`);
    }
  for (const pick of lifting)
    for (const id of pick.joined ?? []) {
      const beam = beams.get(id)?.beam;
      const others = [
        ...plan.picks.filter((one) => one.id !== pick.id && loadOf(one).includes(id)).map((one) => `a pick of ${markLifted(plan, one)}`),
        ...(raised.has(id) ? ['a lift without a crane'] : []),
        ...plan.moves.filter((move) => move.kind === 'piece.hang' && move.beam === id).map(() => 'a move of its own'),
      ];
      if (beam && others.length > 0)
        ask(
          'pick.joined',
          about('pick', pick, beam.mark, id),
          null,
          `${beam.mark} is lifted spliced to ${beams.get(pick.piece)!.beam.mark}, and by ${[...new Set(others)].join(' and ')} too. Which is it?`,
        );
    }
  for (const stand of plan.stands) {
    const here = lifting.filter((pick) => standsOfPick(pick).includes(stand.id));
    if (here.length > 0 && !here.some((pick) => tried.has(pick.id)))
      ask(
        'moves.trial',
        about('stand', stand, stand.name),
        null,
        `No trial lift is made at ${stand.name}. Which of its picks is lifted a hand high first, and watched?`,
      );
  }
  return checks;
}

/** One hook that is to hold a second piece before it let go of the first. */
function hooksTwice({ context, beams }: Ground): Check[] {
  const { replayed } = context;
  const checks: Check[] = [];
  const hanging = new Map<string, Extract<Move, { kind: 'piece.hang' }>>();
  replayed.steps.forEach(({ move, after }) => {
    if (move.kind === 'piece.letGo' && beamAt(after.structure, move.beam).where !== 'hanging') hanging.delete(move.beam);
    if (move.kind !== 'piece.hang') return;
    // Two picks of the plan say by themselves whether they are of one crane.
    const other = [...hanging.values()].find((one) => one.beam !== move.beam && !(one.pick && move.pick) && sameGear(one.by, move.by));
    hanging.set(move.beam, move);
    if (!other) return;
    const [beam, hung] = [beams.get(move.beam)!.beam, beams.get(other.beam)!.beam];
    checks.push(
      missingCheck(
        place('lift.hooks', about('beam', beam, beam.mark, hung.id), move.id, sequenceNeeds.id, 'Common practice: one hook holds one load'),
        'count',
        `${hung.mark} still hangs when ${beam.mark} is hung, both by ${move.by.trim() || 'nothing named'}. Is it another hook, or does the first let go before?`,
      ),
    );
  });
  return checks;
}
