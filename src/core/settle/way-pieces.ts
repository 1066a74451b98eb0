import { wayOfMember, type WayPlan } from '../document/views';
import { searchSplit, type SplitAnswer, type SplitQuestion } from '../access/split';
import { attempt } from '../calc/attempt';
import { accessCorner } from '../access/corner.calc';
import { accessOpening } from '../access/opening.calc';
import { accessStairs } from '../access/stairs.calc';
import { accessSwing } from '../access/swing.calc';
import type { Calc } from '../calc/define';
import type { Trace } from '../calc/evidence';
import type { Rules } from '../rules/rule-sets';
import { GRAVITY } from '../units';
import { memberSize, memberWeight, type MemberWeight } from './member-weight';
import { hangsPast, shareBetween, sharesKnown } from './member-parts';
import { Missing } from '../verdict/missing';
import type { Leg, Member, Opening, Plan } from '../document/schema';
import { longestBrought } from '../document/trucks';
import type { Static, TObject } from 'typebox';
import type { SettledPlan } from './settle';

export interface WayPiece {
  name: string;
  from: number;
  to: number;
  /** over all, with what hangs past an end of the member */
  length: number;
  mass: number;
  /** balances at, from its own left end */
  cg: number;
}

export interface Carried {
  member: Member;
  weight: MemberWeight;
  /** packed, plus the room kept round it */
  width: number;
  depth: number;
  pieces: WayPiece[];
  longest: WayPiece;
  heaviest: WayPiece;
  opening: Opening | null;
}

/** A member as it is cut on the way in: each piece over all, with what hangs past the end of the member it is at. */
export function pieceLengths(plan: Plan, member: Member): Pick<WayPiece, 'name' | 'from' | 'to' | 'length'>[] {
  const cuts = (wayOfMember(plan, member.id)?.cuts ?? []).filter((cut) => cut > 0 && cut < member.length).sort((a, b) => a - b);
  const ends = [0, ...cuts, member.length];
  const past = hangsPast(member);
  return ends.slice(1).map((to, i) => {
    const from = ends[i] ?? 0;
    return {
      name: cuts.length === 0 ? member.mark : `${member.mark}/${i + 1}`,
      from,
      to,
      length: to - from + (i === 0 ? past.left : 0) + (i === cuts.length ? past.right : 0),
    };
  });
}

/** What goes the way in: the chosen member as it is cut now. */
export function carriedOf(plan: WayPlan<SettledPlan>, rules: Rules): Carried | Missing {
  const member = plan.members.find((one) => one.id === plan.wayIn.member);
  if (!member) return new Missing('Which piece goes this way? Choose it from the piece list.');
  const weight = memberWeight(member, rules);
  if (weight instanceof Missing) return weight;
  if (!weight.size) {
    const size = memberSize(member);
    if (size instanceof Missing) return size;
    return new Missing(
      member.make.kind === 'parts'
        ? `How wide and deep is ${member.mark} over all its parts?`
        : `${member.mark} is a plain weight: give its section so that its width and depth are known.`,
    );
  }
  const lengths = pieceLengths(plan, member);
  const shares = lengths.length > 1 ? sharesKnown(member) : true;
  if (shares instanceof Missing) return shares;
  const last = lengths.length - 1;
  const pieces = lengths.map(({ name, from, to, length }, i): WayPiece => {
    const splices = (i > 0 ? 1 : 0) + (i < last ? 1 : 0);
    const { share, cg } = shareBetween(member, from, to);
    const body = weight.lifted * share;
    const half = plan.wayIn.splice.mass / 2;
    const mass = body + splices * half;
    // Half of each splice hangs at the end it is bolted to. In one piece it balances where the whole member does.
    const turned = body * (cg - from) + (i < last ? half * (to - from) : 0);
    return { name, from, to, length, mass, cg: last === 0 ? weight.cg : turned / mass };
  });
  const by = (figure: (piece: WayPiece) => number) => pieces.reduce((a, b) => (figure(b) > figure(a) ? b : a));
  const reserve = 2 * rules.value('wayReserve');
  return {
    member,
    weight,
    width: weight.size.width + member.packing.sides + reserve,
    depth: weight.size.depth + member.packing.height + reserve,
    pieces,
    longest: by((piece) => piece.length),
    heaviest: by((piece) => piece.mass),
    opening: plan.survey.openings.find((one) => one.member === member.id) ?? null,
  };
}

/** Longest piece of the carried cross-section that passes a leg; null: length does not matter; Missing: not known. */
export interface LegRoom {
  longest: number | null;
  calc: string;
  source: string;
  traces: Trace[];
}

const answered = <I extends TObject, O extends TObject>(
  calc: Calc<I, O>,
  input: Static<I>,
  longest: (output: Static<O>) => number | null,
): LegRoom | Missing => {
  const outcome = attempt(calc, input);
  // A piece too wide for the corridor is an answer: nothing of that width passes.
  if (!outcome.ok) return { longest: 0, calc: calc.id, source: `${calc.source.text}. ${outcome.error}`, traces: [] };
  return { longest: longest(outcome.output), calc: calc.id, source: calc.source.text, traces: [{ calc: calc.id, input, output: outcome.output }] };
};

export function legRoom(leg: Leg, carried: Pick<Carried, 'width' | 'depth'>): LegRoom | Missing | null {
  const { width, depth } = carried;
  switch (leg.kind) {
    case 'truck':
      if (leg.freeRadius === null) return new Missing(`How far is it clear round the truck at ${leg.name}?`);
      return answered(accessSwing, { width, pivotShare: leg.pivotShare, freeRadius: leg.freeRadius }, (o) => o.longest);
    case 'opening': {
      if (leg.width === null || leg.height === null) return new Missing(`How wide and high is ${leg.name}, clear?`);
      const { thickness, yawDeg, tiltDeg, runBeyond } = leg;
      return answered(
        accessOpening,
        { width: leg.width, height: leg.height, thickness, pieceWidth: width, pieceDepth: depth, yawDeg, tiltDeg, runBeyond },
        (o) => o.longest,
      );
    }
    case 'props': {
      if (!leg.standing) return null;
      if (leg.gap === null) return new Missing(`What gap is there between the props at ${leg.name}?`);
      const { thickness, yawDeg, room } = leg;
      return answered(
        accessOpening,
        { width: leg.gap, height: depth * 10, thickness, pieceWidth: width, pieceDepth: depth, yawDeg, tiltDeg: 0, runBeyond: room },
        (o) => o.longest,
      );
    }
    case 'corner':
      if (leg.corridorA === null || leg.corridorB === null) return new Missing(`How wide are both corridors at ${leg.name}?`);
      return answered(accessCorner, { corridorA: leg.corridorA, corridorB: leg.corridorB, width }, (o) => o.longest);
    case 'stairs': {
      if (leg.width === null || leg.headRoom === null) return new Missing(`How wide is the flight at ${leg.name}, and what head room has it?`);
      if (leg.turns && leg.landing === null) return new Missing(`How deep is the landing at ${leg.name}?`);
      const { landing, headRoom, pitchDeg, turns } = leg;
      return answered(accessStairs, { width: leg.width, landing, headRoom, pitchDeg, turns, pieceWidth: width, pieceDepth: depth }, (o) => o.longest);
    }
    case 'hatch': {
      if (leg.length === null || leg.heightBelow === null || leg.width === null)
        return new Missing(`How long and wide is ${leg.name}, and how high is it below?`);
      if (leg.width < width) return { longest: 0, calc: accessCorner.id, source: accessCorner.source.text, traces: [] };
      return answered(accessCorner, { corridorA: leg.length, corridorB: leg.heightBelow, width: depth }, (o) => o.longest);
    }
    default:
      return null;
  }
}

/** The load the finished member carries, as the splice must think of it. */
export function serviceBeam(carried: Carried, rules: Rules): SplitQuestion['beam'] & { leftOverhang: number; known: boolean } {
  const { opening, member, weight } = carried;
  const left = (opening?.bearing.left ?? 0) / 2;
  const right = (opening?.bearing.right ?? 0) / 2;
  const own = (weight.bare / member.length) * GRAVITY;
  const load = ((opening?.lineLoad ?? 0) + own) * rules.value('serviceFactor');
  return { span: member.length - left - right, load, pointLoads: [], leftOverhang: left, known: opening !== null && opening.lineLoad !== null };
}

/** The fewest pieces that pass everything known; Missing when nothing is chosen to go in. */
export function splitOf(plan: WayPlan<SettledPlan>, rules: Rules): { question: SplitQuestion; answer: SplitAnswer } | Missing {
  const carried = carriedOf(plan, rules);
  if (carried instanceof Missing) return carried;
  if (carried.member.make.kind === 'parts')
    return new Missing(`${carried.member.mark} is not alike along its length: choose where it is cut, and each piece is checked as it weighs.`);
  const shares = sharesKnown(carried.member);
  if (shares instanceof Missing) return shares;
  const rooms = plan.wayIn.legs.map((leg) => legRoom(leg, carried)).filter((room): room is LegRoom => room !== null && !(room instanceof Missing));
  const lengths = rooms.flatMap((room) => (room.longest === null ? [] : [room.longest]));
  const { leftOverhang, known: _, ...beam } = serviceBeam(carried, rules);
  const question: SplitQuestion = {
    length: carried.member.length,
    leftOverhang,
    massPerLength: carried.weight.lifted / carried.member.length,
    spliceMass: plan.wayIn.splice.mass,
    limits: { way: lengths.length > 0 ? Math.min(...lengths) : null, transport: longestBrought(plan), mass: plan.wayIn.gear.mass },
    beam,
    peakShare: plan.wayIn.splice.peakShare ?? rules.value('splicePeak'),
    shortest: plan.wayIn.splice.shortest,
    step: Math.max(0.025, carried.member.length / 2000),
    mostPieces: 8,
  };
  return { question, answer: searchSplit(question) };
}
