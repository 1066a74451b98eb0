'use client';
import { Maximize, Minus, Plus, Ruler } from 'lucide-react';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior } from 'd3-zoom';
import { memo, useCallback, useDeferredValue, useEffect, useId, useMemo, useRef, useState, type ReactNode } from 'react';
import { sameRef, type Drawing, type Ref, type Shape } from '@/core/view/draw-list';
import { placeLabels } from '@/core/view/labels';
import { fit, toScreen, toSite, type Margins, type View } from '@/core/view/view';
import type { Vec } from '@/core/geometry/plane';
import { useFingers } from '../use-running';
import { LabelView, ShapeView, labelWidth, parseRef, refKey } from './shapes';
import { useSize } from './use-size';

export interface Drag {
  ref: Ref;
  /** where the pointer took hold and where it is, on site */
  from: Vec;
  to: Vec;
  free: boolean;
  first: boolean;
}

interface SheetProps {
  title: ReactNode;
  name: string;
  drawing: Drawing;
  /** it is drawn anew: what is seen is of before */
  behind?: boolean;
  chosen: Ref | null;
  margins?: Margins;
  measureText: (metres: number) => string;
  /** round lengths for the scale bar, in metres, from the least */
  roundLengths: readonly number[];
  onChoose: (ref: Ref | null) => void;
  draggable: (ref: Ref) => boolean;
  onDrag: (drag: Drag) => void;
  onDrop: () => void;
  onNudge: (ref: Ref, by: Vec) => void;
  /** metres for one arrow key */
  nudgeStep: number;
  /** by which what is chosen is taken hold of */
  grips?: readonly { ref: Ref; at: Vec }[];
  tools?: ReactNode;
}

/** How far the tools of a drawing reach from its right edge [px]. */
const TOOLS = 300;

const SCREEN_LABELS = { height: 14, largeHeight: 17, gap: 8, widthOf: labelWidth };
/** A pointer that moved less than this pressed, and moved nothing [px]. */
const STILL = 5;
/** Half of a grip [px]. */
const GRIP = 5;
/** Narrower than this a drawing has its tools above its title, this much lower [px]. */
const PHONE = 520;
const LOWER = 50;
/** Tools made for fingers are so much taller [px]. */
const TALLER = 20;
const FIRST = { width: 785, height: 320 };
/** A phone: the page is one column that fingers scroll. */
const narrow = (): boolean => window.matchMedia('(max-width: 900px)').matches;
/** Fitting again is worth it once the drawing has grown this far past the frame it was fitted to. */
const sameExtent = (a: Drawing['extent'], b: Drawing['extent']) =>
  Math.abs(a.min.x - b.min.x) + Math.abs(a.min.y - b.min.y) + Math.abs(a.max.x - b.max.x) + Math.abs(a.max.y - b.max.y) < 1e-9;

let keys = 0;
const known = new WeakMap<Shape, number>();
/** A shape that stays the same thing keeps its place on the page. */
function keyOf(shape: Shape): number {
  let key = known.get(shape);
  if (key === undefined) known.set(shape, (key = keys += 1));
  return key;
}

/** With more shapes than this the words come a moment after what they name: a step is seen at once. */
const MANY = 600;

/** One drawing that can be zoomed, panned, measured on and worked on with the pointer or the arrow keys. */
export const Sheet = memo(function Sheet(props: SheetProps) {
  const { drawing, behind, chosen, title, name, margins, onChoose, draggable, onDrag, onDrop, onNudge, nudgeStep, measureText, roundLengths, tools, grips } =
    props;
  const frame = useRef<HTMLDivElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  const size = useSize(frame, FIRST);
  const hatchId = useId().replace(/[^\w]/g, '');
  const [transform, setTransform] = useState(zoomIdentity);
  const [extent, setExtent] = useState(drawing.extent);
  const [measuring, setMeasuring] = useState(false);
  const [measure, setMeasure] = useState<{ from: Vec; to: Vec } | null>(null);
  const [holding, setHolding] = useState(false);
  const held = useRef<{ ref: Ref; from: Vec; moved: boolean } | null>(null);
  // What cannot be moved is chosen as the pointer lets go, unless it moved the drawing.
  const pressed = useRef<{ ref: Ref | null; x: number; y: number } | null>(null);
  const zoomer = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);

  // While nobody has zoomed and nothing is held, the frame follows the drawing.
  if (transform === zoomIdentity && !sameExtent(extent, drawing.extent) && !holding) setExtent(drawing.extent);

  // On a phone the tools and the title stand one above the other, and the drawing below both.
  const low = size.width < PHONE ? LOWER : 0;
  const taller = useFingers() ? TALLER : 0;
  const base = useMemo(
    () => fit(extent, size.width, size.height, margins && { ...margins, top: margins.top + low + taller }),
    [extent, size.width, size.height, margins, low, taller],
  );
  const view: View = useMemo(() => {
    const scale = base.scale * transform.k;
    return {
      ...base,
      scale,
      centre: {
        x: base.centre.x + (base.width / 2 - (base.width / 2) * transform.k - transform.x) / scale,
        y: base.centre.y - (base.height / 2 - (base.height / 2) * transform.k - transform.y) / scale,
      },
    };
  }, [base, transform]);

  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    const behaviour = zoom<SVGSVGElement, unknown>()
      .scaleExtent([0.4, 14])
      .filter((event: Event) => {
        if (event.type === 'dblclick') return false;
        const target = event.target as Element;
        if (event.type === 'wheel') return true;
        // One finger scrolls the page on a narrow screen; two pinch and move the drawing.
        if ('touches' in event && narrow() && (event as TouchEvent).touches.length < 2) return false;
        return !target.closest('[data-grab]') && !element.hasAttribute('data-measuring');
      })
      .on('zoom', (event: { transform: typeof zoomIdentity }) => setTransform(event.transform));
    zoomer.current = behaviour;
    select(element).call(behaviour).on('dblclick.zoom', null);
    return () => void select(element).on('.zoom', null);
  }, []);

  const zoomBy = (factor: number) => svg.current && zoomer.current && select(svg.current).call(zoomer.current.scaleBy, factor);
  const refit = useCallback(() => {
    if (svg.current && zoomer.current) select(svg.current).call(zoomer.current.transform, zoomIdentity);
    setTransform(zoomIdentity);
    setExtent(drawing.extent);
  }, [drawing.extent]);

  const place = (event: React.PointerEvent): Vec => {
    const box = svg.current!.getBoundingClientRect();
    return toSite(view, { x: event.clientX - box.left, y: event.clientY - box.top });
  };
  const down = (event: React.PointerEvent<SVGSVGElement>) => {
    if (event.button !== 0) return;
    const at = place(event);
    if (measuring) {
      setMeasure({ from: at, to: at });
      event.currentTarget.setPointerCapture(event.pointerId);
      return;
    }
    const key = (event.target as Element).closest('[data-ref]')?.getAttribute('data-ref');
    const ref = key ? parseRef(key) : null;
    pressed.current = null;
    if (!ref || !draggable(ref)) {
      pressed.current = { ref, x: event.clientX, y: event.clientY };
      return;
    }
    onChoose(ref);
    if (!(event.pointerType === 'touch' && narrow())) {
      held.current = { ref, from: at, moved: false };
      setHolding(true);
      event.currentTarget.setPointerCapture(event.pointerId);
    }
  };
  const move = (event: React.PointerEvent<SVGSVGElement>) => {
    if (measuring && measure && event.buttons === 1) return setMeasure({ from: measure.from, to: place(event) });
    const grip = held.current;
    if (!grip) return;
    onDrag({ ref: grip.ref, from: grip.from, to: place(event), free: event.altKey, first: !grip.moved });
    grip.moved = true;
  };
  const up = (event: React.PointerEvent) => {
    const at = pressed.current;
    pressed.current = null;
    if (at && event.type === 'pointerup' && Math.hypot(event.clientX - at.x, event.clientY - at.y) < STILL) onChoose(at.ref);
    if (held.current) onDrop();
    held.current = null;
    setHolding(false);
  };
  const key = (event: React.KeyboardEvent) => {
    const steps: Record<string, Vec> = { ArrowLeft: { x: -1, y: 0 }, ArrowRight: { x: 1, y: 0 }, ArrowUp: { x: 0, y: 1 }, ArrowDown: { x: 0, y: -1 } };
    const step = steps[event.key];
    if (!step || !chosen || !draggable(chosen)) return;
    event.preventDefault();
    event.stopPropagation();
    const size = nudgeStep * (event.shiftKey ? 10 : 1);
    onNudge(chosen, { x: step.x * size, y: step.y * size });
  };

  // Nothing is written under the tools at its head or the scale at its foot.
  const late = useDeferredValue(drawing.shapes);
  const named = drawing.shapes.length > MANY ? late : drawing.shapes;
  const labels = useMemo(
    () =>
      placeLabels(named, view, SCREEN_LABELS, [
        { x: 0, y: 0, width: low ? view.width : 230, height: 28 + low },
        { x: view.width - TOOLS, y: 0, width: TOOLS, height: 30 + taller },
        { x: view.width - 80, y: view.height - 30, width: 80, height: 30 },
      ]),
    [named, view, low, taller],
  );
  const grab = chosen && draggable(chosen);
  return (
    <section ref={frame} className="relative min-h-0 min-w-0 flex-1 overflow-hidden bg-board" aria-label={name}>
      <div className="pointer-events-none absolute top-1.5 left-3 z-10 max-[900px]:top-[56px]">
        <h2 className="text-[16px]">{title}</h2>
      </div>
      <div className="absolute top-1.5 right-2 z-10 flex items-center border border-line bg-paper">
        {tools}
        <Tool label={`Measure on ${name.toLowerCase()}`} pressed={measuring} onClick={() => (setMeasuring(!measuring), setMeasure(null))}>
          <Ruler size={15} />
        </Tool>
        <Tool label={`Smaller, ${name.toLowerCase()}`} onClick={() => zoomBy(1 / 1.3)}>
          <Minus size={15} />
        </Tool>
        <Tool label={`Larger, ${name.toLowerCase()}`} onClick={() => zoomBy(1.3)}>
          <Plus size={15} />
        </Tool>
        <Tool label={`Fit ${name.toLowerCase()}`} onClick={refit}>
          <Maximize size={14} />
        </Tool>
      </div>
      <svg
        ref={svg}
        width="100%"
        height="100%"
        viewBox={`0 0 ${size.width} ${size.height}`}
        preserveAspectRatio="none"
        role="application"
        aria-label={`${name}. Click a thing to choose it; drag it or use the arrow keys to move it.`}
        tabIndex={0}
        data-measuring={measuring ? '' : undefined}
        data-sheet={name}
        className={`block touch-none select-none ${measuring ? '' : 'max-[900px]:touch-pan-y'} ${measuring ? 'cursor-crosshair' : grab ? 'cursor-move' : ''}`}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={up}
        onKeyDown={key}
      >
        <defs>
          <pattern id={hatchId} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="8" stroke="#cfc8b8" strokeWidth="2.5" />
          </pattern>
        </defs>
        {drawing.shapes.map((shape) => {
          const of = 'of' in shape ? shape.of : undefined;
          const view_ = <ShapeView key={keyOf(shape)} shape={shape} view={view} chosen={chosen} hatchId={hatchId} />;
          return of && draggable(of) ? (
            <g key={keyOf(shape)} data-grab="" className="cursor-move">
              {view_}
            </g>
          ) : (
            view_
          );
        })}
        {labels.map((placed, i) => (
          <LabelView key={i} placed={placed} />
        ))}
        {grips?.map(({ ref, at }) => {
          const { x, y } = toScreen(view, at);
          return (
            <g key={refKey(ref)} data-grab="" data-ref={refKey(ref)} className="cursor-move">
              <circle cx={x} cy={y} r={GRIP * 2.2} fill="transparent" />
              <rect
                x={x - GRIP}
                y={y - GRIP}
                width={2 * GRIP}
                height={2 * GRIP}
                rx={ref.kind === 'beam' ? GRIP : 0}
                fill={sameRef(ref, chosen) ? 'var(--color-steel)' : 'var(--color-paper)'}
                stroke="var(--color-ink)"
                strokeWidth={1.5}
              />
            </g>
          );
        })}
        {measure && <MeasureLine view={view} measure={measure} text={measureText(Math.hypot(measure.to.x - measure.from.x, measure.to.y - measure.from.y))} />}
        <ScaleBar view={view} text={measureText} lengths={roundLengths} />
      </svg>
      {behind && <p className="late absolute bottom-2 left-3 text-[13px] text-soft">Drawing …</p>}
    </section>
  );
});

function Tool({ label, pressed, onClick, children }: { label: string; pressed?: boolean; onClick: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      aria-pressed={pressed}
      onClick={onClick}
      className={`grid h-6 w-7 place-items-center ${pressed ? 'bg-ink text-white' : 'hover:bg-tray'}`}
    >
      {children}
    </button>
  );
}

function MeasureLine({ view, measure, text }: { view: View; measure: { from: Vec; to: Vec }; text: string }) {
  const shapes = [{ shape: 'dimension' as const, from: measure.from, to: measure.to, offset: 0, text, ink: 'stop' as const }];
  return (
    <>
      {shapes.map((shape, i) => (
        <ShapeView key={i} shape={shape} view={view} chosen={null} hatchId="" />
      ))}
    </>
  );
}

function ScaleBar({ view, text, lengths }: { view: View; text: (metres: number) => string; lengths: readonly number[] }) {
  const metres = lengths.find((m) => m * view.scale >= 46) ?? lengths.at(-1) ?? 1;
  const width = metres * view.scale;
  const x = view.width - width - 14;
  const y = view.height - 12;
  return (
    <g pointerEvents="none" fill="none" stroke="var(--color-pencil)">
      <path d={`M${x} ${y - 4}v4h${width}v-4`} />
      <text x={x + width / 2} y={y - 3} textAnchor="middle" stroke="none" fill="#696456" style={{ font: '12px "Source Sans 3"' }}>
        {text(metres)}
      </text>
    </g>
  );
}
