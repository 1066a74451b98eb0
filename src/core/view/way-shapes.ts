import { add, angleOf, direction, distance, leftOf, mix, rectangle, scale, sub, type Vec } from '../geometry/plane';
import { memberSize } from '../settle/member-weight';
import { Missing } from '../verdict/missing';
import type { Bearing, Opening, Plan, WayIn } from '../document/schema';
import { wayOfMember, wayViews, type WayPlan } from '../document/views';
import { liesThere, type ShoresMoment } from './shore-moment';
import type { Check } from '../verdict/check';
import { legVerdict } from '../checks/way-in/leg-verdict';
import { carriedOf } from '../settle/way-pieces';
import { sweepOf } from '../settle/way-sweep';
import { rulesOf } from '../rules/rule-sets';
import { formatQuantity } from '../units';
import type { Shape, Style } from './draw-list';
import type { SettledPlan } from '../settle/settle';

/** The piece over an opening, from its place between the bearings: cut where the way in cuts it. */
function lyingOn(plan: Plan, opening: Opening) {
  const left = plan.bearings.find((one) => one.id === opening.left);
  const right = plan.bearings.find((one) => one.id === opening.right);
  const member = plan.members.find((one) => one.id === opening.member);
  if (!left || !right || !member || !(distance(left.at, right.at) > 0)) return null;
  const size = memberSize(member);
  if (size === null || size instanceof Missing) return null;
  const along = direction(angleOf(sub(right.at, left.at)));
  const start = add(mix(left.at, right.at, 0.5), scale(along, -member.length / 2));
  const cuts = (wayOfMember(plan, member.id)?.cuts ?? []).filter((cut) => cut > 0 && cut < member.length);
  return { left, right, member, size, along, start, cuts };
}

/** Set already by a piece with a lift of its own: drawn there. */
const liftedThere = (plan: Plan, opening: Opening) => plan.pieces.some((piece) => piece.seat.left === opening.left && piece.seat.right === opening.right);

const label = (member: { mark: string }, make: { designation: string } | null) => (make ? `${member.mark} · ${make.designation}` : member.mark);

/** A piece in its place, or only where it will lie. */
const lies = (there: boolean): Style => (there ? { fill: 'steel', stroke: 'steelEdge', width: 1.2 } : { stroke: 'steel', width: 1.2, dash: 'dash' });

export function openingsAbove(plan: Plan, shores: ShoresMoment): Shape[] {
  return plan.survey.openings.flatMap((opening): Shape[] => {
    const lying = liftedThere(plan, opening) ? null : lyingOn(plan, opening);
    if (!lying) return [];
    const { left, right, member, size, along, start, cuts } = lying;
    const of = { kind: 'opening' as const, id: opening.id };
    const across = leftOf(along);
    return [
      {
        shape: 'polygon',
        points: rectangle(add(start, scale(along, member.length / 2)), member.length, size.width, angleOf(along)),
        style: lies(liesThere(shores, opening.id)),
        of,
      },
      ...cuts.map((cut): Shape => {
        const at = add(start, scale(along, cut));
        return { shape: 'line', points: [add(at, scale(across, 0.28)), add(at, scale(across, -0.28))], style: { stroke: 'ink', width: 2.4 } };
      }),
      {
        shape: 'label',
        at: add(start, scale(along, member.length * 0.5)),
        text: label(member, size.section),
        ink: 'steel',
        bold: true,
        sides: ['below', 'above'],
        of,
      },
      { shape: 'dimension', from: left.at, to: right.at, offset: 34, text: formatQuantity(distance(left.at, right.at), 'length', plan.job.units), ink: 'ink' },
    ];
  });
}

/** The same from the side: real depth on its seats, posts or wall under them, splices marked. */
export function openingsBeside(plan: Plan, along: (p: Vec) => number, shores: ShoresMoment): Shape[] {
  return plan.survey.openings.flatMap((opening): Shape[] => {
    const lying = liftedThere(plan, opening) ? null : lyingOn(plan, opening);
    if (!lying) return [];
    const { left, right, member, size, cuts } = lying;
    const from = (along(left.at) + along(right.at)) / 2 - member.length / 2;
    const low = (left.level + right.level) / 2;
    const box = (a: number, b: number, bottom: number, top: number): Vec[] => [
      { x: a, y: bottom },
      { x: b, y: bottom },
      { x: b, y: top },
      { x: a, y: top },
    ];
    const of = { kind: 'opening' as const, id: opening.id };
    const flange = size.section?.flange ?? size.depth * 0.05;
    const seats = (seat: Bearing) => along(seat.at);
    return [
      {
        shape: 'polygon',
        points: box(from, from + member.length, low, low + size.depth),
        style: lies(liesThere(shores, opening.id)),
        of,
        solid: true,
      },
      ...[low + flange, low + size.depth - flange].map((y): Shape => ({
        shape: 'line',
        points: [
          { x: from, y },
          { x: from + member.length, y },
        ],
        style: { stroke: 'steelEdge', width: 0.8 },
      })),
      ...cuts.map((cut): Shape => ({
        shape: 'line',
        points: [
          { x: from + cut, y: low - 0.08 },
          { x: from + cut, y: low + size.depth + 0.08 },
        ],
        style: { stroke: 'ink', width: 2.4 },
      })),
      ...cuts.map((cut, i): Shape => ({
        shape: 'label',
        at: { x: from + cut, y: low + size.depth + 0.1 },
        text: `splice ${i + 1}`,
        ink: 'ink',
        sides: ['above', 'right', 'left'],
      })),
      {
        shape: 'label',
        at: { x: from + member.length / 2, y: low },
        text: label(member, size.section),
        ink: 'steel',
        bold: true,
        large: true,
        sides: ['below', 'above'],
        of,
      },
      {
        shape: 'dimension',
        from: { x: seats(left), y: low },
        to: { x: seats(right), y: low },
        offset: 46,
        text: formatQuantity(Math.abs(seats(right) - seats(left)), 'length', plan.job.units),
        ink: 'ink',
      },
    ];
  });
}

/** The longest piece where it is at each point of the way, as far as it gets. */
export const carriedShapes = (plan: SettledPlan): Shape[] => wayViews(plan).flatMap(oneCarried);

function oneCarried(plan: WayPlan<SettledPlan>): Shape[] {
  const carried = carriedOf(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds));
  if (carried instanceof Missing || plan.wayIn.legs.length < 2) return [];
  const { outcome } = sweepOf(plan, carried);
  if (!outcome.ok) return [];
  const { poses, passes } = outcome.output;
  return poses.map(({ at, headingDeg }, i): Shape => ({
    shape: 'polygon',
    points: rectangle(at, carried.longest.length, carried.width, headingDeg),
    style: !passes && i === poses.length - 1 ? { stroke: 'stop', width: 2.4 } : { stroke: 'steel', width: 1.2, dash: 'dash' },
  }));
}

/** The way in, from leg to leg. Where it is what one looks at, each has its name and its verdict; elsewhere a number is enough. */
export const wayShapes = (plan: SettledPlan, named: boolean, checks: readonly Check[]): Shape[] => plan.ways.flatMap((way) => oneWay(way, named, checks));

function oneWay({ legs }: WayIn, named: boolean, checks: readonly Check[]): Shape[] {
  if (legs.length === 0) return [];
  const ends = legs.slice(0, -1).map((leg, i) => ({ from: leg.at, to: legs[i + 1]?.at ?? leg.at }));
  return [
    ...ends.map(({ from, to }): Shape => ({ shape: 'line', points: [from, to], style: { stroke: 'gear', width: 2.2, dash: 'dash' } })),
    ...ends.flatMap(({ from, to }): Shape[] => {
      const long = distance(from, to);
      if (!(long > 0.6)) return [];
      const toward = scale(sub(to, from), 1 / long);
      const tip = add(mix(from, to, 0.5), scale(toward, 0.12));
      const back = add(tip, scale(toward, -0.24));
      return [{ shape: 'polygon', points: [tip, add(back, scale(leftOf(toward), 0.1)), add(back, scale(leftOf(toward), -0.1))], style: { fill: 'gear' } }];
    }),
    ...legs.flatMap((leg, i): Shape[] => {
      const of = { kind: 'leg' as const, id: leg.id };
      return [
        {
          shape: 'dot',
          centre: leg.at,
          size: named ? 7 : 4,
          verdict: named ? (legVerdict(leg, checks) ?? undefined) : undefined,
          style: { fill: 'gear', stroke: 'paper', width: 1.5 },
          of,
          solid: true,
        },
        {
          shape: 'label',
          at: leg.at,
          text: named ? `${i + 1} ${leg.name || leg.kind}` : `${i + 1}`,
          ink: 'gear',
          bold: named,
          sides: ['above', 'right', 'below', 'left'],
          of,
        },
      ];
    }),
  ];
}
