import { add, direction, rectangle, scale, type Vec } from '../geometry/plane';
import type { Bent, Plan } from '../document/schema';
import { findSection } from '../steel/sections';
import { formatQuantity } from '../units';
import type { Shape, Style } from './draw-list';
import type { ShoresMoment } from './shore-moment';

const steel: Style = { fill: 'steel', stroke: 'steelEdge', width: 1 };
const ghost: Style = { stroke: 'steelEdge', width: 1, dash: 'dash' };

const styleOf = (bent: Bent, { bents }: ShoresMoment): Style => (bents && !bents.has(bent.id) ? ghost : steel);

/** Along the header from its left end, on the plan. */
const spot = (bent: Bent, at: Vec, x: number): Vec => add(at, scale(direction(bent.azimuthDeg), x - bent.header.length / 2));

/** Bents that have a place: header, posts, pads and guys from above. */
export function bentsAbove(plan: Plan, moment: ShoresMoment): Shape[] {
  return plan.shoring.bents.flatMap((bent): Shape[] => {
    if (!bent.at) return [];
    const { at } = bent;
    const of = { kind: 'shore' as const, id: bent.id };
    const style = styleOf(bent, moment);
    const width = findSection(bent.header.section)?.width ?? 0.2;
    const ends = [spot(bent, at, 0), spot(bent, at, bent.header.length)] as const;
    return [
      ...bent.posts.map((x): Shape => ({
        shape: 'polygon',
        points: rectangle(spot(bent, at, x), bent.pad.length, bent.pad.width, bent.azimuthDeg),
        style: { fill: 'timber', stroke: 'timberEdge', width: 1, ...(style === ghost ? { fill: undefined, dash: 'dash' as const } : {}) },
        of,
        solid: true,
      })),
      { shape: 'polygon', points: rectangle(at, bent.header.length, width, bent.azimuthDeg), style, of, solid: true },
      ...bent.guys.flatMap((guy): Shape[] => {
        const run = bent.post.height / Math.tan((guy.angleDeg * Math.PI) / 180);
        const out = direction(bent.azimuthDeg + 90);
        return ends.map((end, i) => ({
          shape: 'line',
          points: [end, add(end, scale(out, i === 0 ? run : -run))],
          style: { stroke: 'gear', width: 1.2, dash: 'dashdot' },
        }));
      }),
      ...bent.loads.map((load): Shape => ({ shape: 'dot', centre: spot(bent, at, load.at), size: 5, style: { fill: 'ink', stroke: 'paper', width: 1 } })),
      { shape: 'label', at: ends[1], text: bent.name, ink: 'steel', bold: true, sides: ['right', 'above', 'below', 'left'], of },
    ];
  });
}

const box = (x: number, width: number, low: number, high: number): Vec[] => [
  { x: x - width / 2, y: low },
  { x: x + width / 2, y: low },
  { x: x + width / 2, y: high },
  { x: x - width / 2, y: high },
];

/** The same from the side: pads, posts with their rows of bracing, header, and what it carries over each post. */
export function bentsBeside(plan: Plan, along: (p: Vec) => number, moment: ShoresMoment): Shape[] {
  return plan.shoring.bents.flatMap((bent): Shape[] => {
    if (!bent.at) return [];
    const { at, baseLevel, post, header } = bent;
    const of = { kind: 'shore' as const, id: bent.id };
    const style = styleOf(bent, moment);
    const foot = baseLevel + 0.12;
    const top = foot + post.height;
    const deep = findSection(header.section)?.depth ?? 0.2;
    const thick = findSection(post.section)?.width ?? 0.15;
    const places = bent.posts.map((x) => along(spot(bent, at, x)));
    const ends = [along(spot(bent, at, 0)), along(spot(bent, at, header.length))].sort((a, b) => a - b) as [number, number];
    const wide = Math.max(ends[1] - ends[0], findSection(header.section)?.width ?? 0.2);
    const middle = (ends[0] + ends[1]) / 2;
    const sorted = [...places].sort((a, b) => a - b);
    const braces = Array.from({ length: post.braces }, (_, i) => foot + (post.height * (i + 1)) / (post.braces + 1));
    return [
      ...places.map((x): Shape => ({
        shape: 'polygon',
        points: box(x, bent.pad.length, baseLevel, foot),
        style: { fill: 'timber', stroke: 'timberEdge', width: 1 },
        of,
      })),
      ...places.map((x): Shape => ({ shape: 'polygon', points: box(x, thick, foot, top), style, of, solid: true })),
      ...braces.map((y): Shape => ({
        shape: 'line',
        points: [
          { x: sorted[0] ?? middle, y },
          { x: sorted[sorted.length - 1] ?? middle, y },
        ],
        style: { stroke: 'steelEdge', width: 1.4, dash: 'dash' },
        of,
      })),
      { shape: 'polygon', points: box(middle, wide, top, top + deep), style, of, solid: true },
      ...bent.loads.flatMap((load): Shape[] =>
        load.force === null
          ? []
          : [
              {
                shape: 'label',
                at: { x: along(spot(bent, at, load.at)), y: top + deep },
                text: `${load.what} ${formatQuantity(load.force, 'force', plan.job.units)}`,
                ink: 'ink',
                sides: ['above', 'right', 'left'],
              },
            ],
      ),
      { shape: 'label', at: { x: ends[0], y: (foot + top) / 2 }, text: bent.name, ink: 'steel', bold: true, sides: ['left', 'right'], of },
    ];
  });
}
