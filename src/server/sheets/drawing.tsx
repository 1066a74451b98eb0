import { Circle, G, Line, Polygon, Polyline, Rect, Svg, Text } from '@react-pdf/renderer';
import type { Drawing, Ink, Shape, Style } from '@/core/view/draw-list';
import { dimensionLine, placeLabels } from '@/core/view/labels';
import { fit, toScreen, type View } from '@/core/view/view';
import type { Vec } from '@/core/geometry/plane';
import { SHEET_FONT } from './fonts';

/** Greys and line weights that stay apart on a black-and-white print. */
const grey: Record<Ink, string> = {
  ink: '#000000',
  pencil: '#777777',
  faint: '#eeeeee',
  steel: '#333333',
  steelEdge: '#000000',
  timber: '#cccccc',
  timberEdge: '#444444',
  gear: '#222222',
  gearPale: '#dddddd',
  paper: '#ffffff',
  ground: '#000000',
  stop: '#000000',
  tight: '#000000',
  clear: '#000000',
};
const dashes = { dash: '5 3', dot: '1.5 2.5', dashdot: '8 2.5 1.5 2.5' } as const;
/** Screen pixels to paper points. */
const THIN = 0.55;
const FONT = 6.6;

const paint = (style: Style) => ({
  fill: style.fill ? grey[style.fill] : 'none',
  stroke: style.stroke ? grey[style.stroke] : 'none',
  strokeWidth: (style.width ?? 1) * THIN,
  ...(style.dash ? { strokeDasharray: dashes[style.dash] } : {}),
});

const list = (points: readonly Vec[], view: View): string =>
  points
    .map((p) => toScreen(view, p))
    .map((p) => `${p.x.toFixed(1)},${p.y.toFixed(1)}`)
    .join(' ');
const widthOf = (text: string, bold: boolean): number => text.length * (bold ? 3.75 : 3.45);

/** The board's own drawing on paper. */
export function DrawingOnPaper({ drawing, width, height }: { drawing: Drawing; width: number; height: number }) {
  const view = fit(drawing.extent, width, height, { top: 12, right: 12, bottom: 12, left: 16 });
  const labels = placeLabels(drawing.shapes, view, { height: 8.4, largeHeight: 8.4, gap: 4, widthOf });
  return (
    <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
      {drawing.shapes.map((shape, i) => (
        <ShapeOnPaper key={i} shape={shape} view={view} />
      ))}
      {labels.map(({ x, baseline, label }, i) => (
        <Words key={i} x={x} y={baseline} bold={label.bold ?? false} ink={label.ink === 'pencil' ? '#444444' : '#000000'}>
          {label.text}
        </Words>
      ))}
    </Svg>
  );
}

function ShapeOnPaper({ shape, view }: { shape: Shape; view: View }) {
  switch (shape.shape) {
    case 'label':
      return null;
    case 'polygon':
      return <Polygon points={list(shape.points, view)} {...paint(shape.style)} />;
    case 'line':
      return (
        <Polyline
          points={list(
            shape.points.map((p) => inside(p, view)),
            view,
          )}
          {...paint(shape.style)}
          fill="none"
        />
      );
    case 'circle': {
      const c = toScreen(view, shape.centre);
      return <Circle cx={c.x} cy={c.y} r={shape.radius * view.scale} {...paint(shape.style)} />;
    }
    case 'dot': {
      const c = toScreen(view, shape.centre);
      return <Circle cx={c.x} cy={c.y} r={shape.size * 0.55} {...paint(shape.style)} />;
    }
    case 'dimension':
      return <DimensionOnPaper shape={{ ...shape, offset: shape.offset * 0.55 }} view={view} />;
  }
}

/** Paper does not clip: long ground lines and power lines are kept to a little more than the frame. */
function inside(p: Vec, view: View): Vec {
  const half = { x: view.width / 2 / view.scale, y: view.height / 2 / view.scale };
  return {
    x: Math.min(view.centre.x + half.x, Math.max(view.centre.x - half.x, p.x)),
    y: Math.min(view.centre.y + half.y, Math.max(view.centre.y - half.y, p.y)),
  };
}

function DimensionOnPaper({ shape, view }: { shape: Extract<Shape, { shape: 'dimension' }>; view: View }) {
  const line = dimensionLine(shape, view);
  if (!line) return null;
  const { from, to, normal, upright, anchor, text } = line;
  const width = widthOf(shape.text, true);
  const tick = (at: Vec) => ({ x1: at.x - normal.x * 3, y1: at.y - normal.y * 3, x2: at.x + normal.x * 3, y2: at.y + normal.y * 3 });
  const pen = { stroke: '#000000', strokeWidth: 0.5 };
  return (
    <G>
      <Line x1={from.x} y1={from.y} x2={to.x} y2={to.y} {...pen} />
      <Line {...tick(from)} {...pen} />
      <Line {...tick(to)} {...pen} />
      <Words x={text.x - { start: 3, middle: width / 2, end: width - 3 }[anchor]} y={text.y + (upright ? -1 : 1.5)} bold ink="#000000">
        {shape.text}
      </Words>
    </G>
  );
}

/** What is drawn is faded behind words, so that they are read also where they cross it. */
function Words({ x, y, bold, ink, children }: { x: number; y: number; bold: boolean; ink: string; children: string }) {
  return (
    <G>
      <Rect x={x - 1} y={y - FONT * 0.85} width={widthOf(children, bold) + 1} height={FONT * 1.1} fill="#ffffff" fillOpacity={0.8} />
      <Text x={x} y={y} style={{ fontFamily: SHEET_FONT, fontSize: FONT, fontWeight: bold ? 700 : 400 }} fill={ink}>
        {children}
      </Text>
    </G>
  );
}
