import { memo } from 'react';
import type { Vec } from '@/core/geometry/plane';
import type { Ink, Ref, Shape, Style } from '@/core/view/draw-list';
import { sameRef } from '@/core/view/draw-list';
import { dimensionLine, type PlacedLabel } from '@/core/view/labels';
import { toScreen, type View } from '@/core/view/view';
import { VerdictMark } from '../verdict/verdict-mark';

export const inkColour: Record<Ink, string> = {
  ink: 'var(--color-ink)',
  pencil: 'var(--color-pencil)',
  faint: '#ece6d8',
  steel: 'var(--color-steel)',
  steelEdge: 'var(--color-steel-edge)',
  timber: 'var(--color-timber)',
  timberEdge: 'var(--color-timber-edge)',
  gear: 'var(--color-gear)',
  gearPale: 'var(--color-gear-pale)',
  paper: 'var(--color-paper)',
  ground: 'var(--color-ink)',
  stop: 'var(--color-stop)',
  tight: 'var(--color-tight)',
  clear: 'var(--color-clear)',
};

/** Words are darker than lines of the same ink, for contrast. */
const wordColour = (ink: Ink): string => (ink === 'pencil' ? '#696456' : inkColour[ink]);

const dashes = { dash: '7 5', dot: '2 4', dashdot: '14 4 3 4' } as const;

function paint(style: Style, chosen: boolean, hatchId: string) {
  return {
    fill: style.hatch ? `url(#${hatchId})` : style.fill ? inkColour[style.fill] : 'none',
    stroke: chosen ? 'var(--color-steel)' : style.stroke ? inkColour[style.stroke] : 'none',
    strokeWidth: (style.width ?? 1) + (chosen ? 1 : 0),
    strokeDasharray: style.dash ? dashes[style.dash] : undefined,
    opacity: style.opacity,
    strokeLinejoin: 'round' as const,
  };
}

const list = (points: readonly Vec[], view: View): string =>
  points
    .map((p) => toScreen(view, p))
    .map((p) => `${p.x.toFixed(1)},${p.y.toFixed(1)}`)
    .join(' ');

/** Steel is thin on a small drawing: round it so much takes the pointer too [px]. */
const HOLD = 9;

interface ShapeProps {
  shape: Shape;
  view: View;
  chosen: Ref | null;
  hatchId: string;
}

const isChosen = ({ shape, chosen }: ShapeProps): boolean => 'of' in shape && shape.of !== undefined && sameRef(shape.of, chosen);

/** Painted anew where the shape, the view or whether it is chosen is another: of a large drawing a move changes a few of a thousand. */
export const ShapeView = memo(
  function ShapeView({ shape, view, chosen, hatchId }: ShapeProps) {
    if (shape.shape === 'label') return null;
    if (shape.shape === 'dimension') return <DimensionView shape={shape} view={view} />;
    const picked = shape.of !== undefined && sameRef(shape.of, chosen);
    const look = paint(shape.style, picked, hatchId);
    // What cannot be chosen lets the pointer through to what is under it.
    const data = shape.of ? { 'data-ref': refKey(shape.of) } : { pointerEvents: 'none' as const };
    switch (shape.shape) {
      case 'polygon':
        return (
          <g {...data}>
            {shape.style.hatch && (
              <polygon points={list(shape.points, view)} fill={shape.style.fill ? inkColour[shape.style.fill] : 'none'} opacity={shape.style.opacity} />
            )}
            <polygon points={list(shape.points, view)} {...look} pointerEvents={shape.of ? 'all' : 'none'} />
            {shape.of?.kind === 'beam' && (
              <polygon points={list(shape.points, view)} fill="none" stroke="transparent" strokeWidth={HOLD} strokeLinejoin="round" pointerEvents="stroke" />
            )}
          </g>
        );
      case 'line':
        return <polyline points={list(shape.points, view)} {...look} fill="none" strokeLinecap={shape.style.dash ? 'butt' : 'round'} {...data} />;
      case 'circle': {
        const c = toScreen(view, shape.centre);
        return (
          <circle
            cx={c.x}
            cy={c.y}
            r={shape.radius * view.scale}
            {...look}
            pointerEvents={shape.style.fill && shape.of ? undefined : 'none'}
            {...(shape.of ? data : {})}
          />
        );
      }
      case 'dot': {
        const c = toScreen(view, shape.centre);
        if (shape.verdict && shape.verdict !== 'clear')
          return (
            <g {...data} data-verdict={shape.verdict} transform={`translate(${c.x - 10} ${c.y - 10})`}>
              <circle cx={10} cy={10} r={12} fill="var(--color-board)" stroke={picked ? 'var(--color-steel)' : 'none'} />
              <VerdictMark verdict={shape.verdict} size={20} bare />
            </g>
          );
        return (
          <g {...data}>
            <circle cx={c.x} cy={c.y} r={shape.size} {...look} />
            {(shape.of?.kind === 'pickPoint' || shape.of?.kind === 'path') && <circle cx={c.x} cy={c.y} r={12} fill="transparent" />}
          </g>
        );
      }
    }
  },
  (a, b) => a.shape === b.shape && a.view === b.view && a.hatchId === b.hatchId && isChosen(a) === isChosen(b),
);

export const refKey = (ref: Ref): string => `${ref.kind}:${ref.id}${'end' in ref ? `:${ref.end}` : ''}`;

export function parseRef(key: string): Ref | null {
  const [kind, id, end] = key.split(':');
  if (!kind || !id) return null;
  return (end ? { kind, id, end } : { kind, id }) as Ref;
}

export const labelFont = (bold: boolean, large: boolean): string =>
  bold ? `600 ${large ? 16 : 14}px "Barlow Condensed", sans-serif` : `400 ${large ? 14 : 12.5}px "Source Sans 3", sans-serif`;

/** Width of a label in pixels, near enough to keep labels apart without measuring. */
export const labelWidth = (text: string, bold: boolean, large: boolean): number => text.length * (bold ? (large ? 7.1 : 6.3) : large ? 6.9 : 6.15);

export function LabelView({ placed }: { placed: PlacedLabel }) {
  const { label } = placed;
  return (
    <text
      x={placed.x}
      y={placed.baseline}
      fill={wordColour(label.ink)}
      stroke="var(--color-board)"
      strokeWidth={3.5}
      paintOrder="stroke"
      style={{ font: labelFont(label.bold ?? false, label.large ?? false) }}
      {...(label.of ? { 'data-ref': refKey(label.of) } : { pointerEvents: 'none' as const })}
    >
      {label.text}
    </text>
  );
}

function DimensionView({ shape, view }: { shape: Extract<Shape, { shape: 'dimension' }>; view: View }) {
  const line = dimensionLine(shape, view);
  if (!line) return null;
  const { from, to, normal, anchor, text } = line;
  const a = toScreen(view, shape.from);
  const b = toScreen(view, shape.to);
  const side = Math.sign(shape.offset);
  const tick = (at: Vec) => <line x1={at.x - normal.x * 5} y1={at.y - normal.y * 5} x2={at.x + normal.x * 5} y2={at.y + normal.y * 5} />;
  const colour = wordColour(shape.ink);
  return (
    <g stroke={colour} strokeWidth={1} fill="none" pointerEvents="none">
      {side !== 0 && (
        <g strokeWidth={0.6} opacity={0.7}>
          <line x1={a.x + normal.x * 6 * side} y1={a.y + normal.y * 6 * side} x2={from.x} y2={from.y} />
          <line x1={b.x + normal.x * 6 * side} y1={b.y + normal.y * 6 * side} x2={to.x} y2={to.y} />
        </g>
      )}
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} />
      {tick(from)}
      {tick(to)}
      <text
        x={text.x}
        y={text.y}
        textAnchor={anchor}
        fill={colour}
        stroke="var(--color-board)"
        strokeWidth={4}
        paintOrder="stroke"
        style={{ font: labelFont(true, false) }}
      >
        {shape.text}
      </text>
    </g>
  );
}
