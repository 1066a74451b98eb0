'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import { rectangle } from '@/core/geometry/plane';
import { chartsOf } from '@/core/settle/duties';
import { Missing } from '@/core/verdict/missing';
import type { Crane } from '@/core/document/schema';
import { settle } from '@/core/settle/settle';
import { bestPlaces, standMap, type StandMap } from '@/core/checks/map/stand-map';
import { settleBeams } from '@/core/settle/model';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { PlainButton } from '@/ui/plain-button';
import { ChoiceField } from '@/ui/fields/choice-field';
import { SmallButton } from '@/ui/small-button';
import { FewestStands } from './fewest-stands';
import { useAct, usePlan } from '@/job/job-context';

/** So long one slice of the work may take before the screen has its turn [ms]. */
const SLICE = 24;

/** The map of a crane, worked out a few rows at a time. */
function useStandMap(crane: string, stand: string | null, setUp: string | null): { map: StandMap | Missing | null; share: number } {
  const plan = usePlan();
  const [state, setState] = useState<{ map: StandMap | Missing | null; share: number }>({ map: null, share: 0 });
  useEffect(() => {
    const rows = standMap(settle(plan), crane, stand, setUp);
    let timer = 0;
    const go = () => {
      const until = performance.now() + SLICE;
      for (;;) {
        const { done, value } = rows.next();
        if (done) return setState({ map: value, share: 1 });
        if (performance.now() > until) {
          setState({ map: null, share: value });
          timer = window.setTimeout(go);
          return;
        }
      }
    };
    timer = window.setTimeout(go);
    return () => window.clearTimeout(timer);
  }, [plan, crane, stand, setUp]);
  return state;
}

/** Every lift of the crane, whichever stand it is made from. */
const ALL = 'all';
/** The charts for how it is set up at its stands. */
const AS_IT_STANDS = 'as it stands';

/** Of the chart, by what it takes of it: ink of the map, told in words below it. */
const BANDS = [
  { to: 0.5, colour: [47, 107, 79, 210], words: 'under half of the chart' },
  { to: 0.8, colour: [132, 172, 142, 210], words: 'under 0.80' },
  { to: 1, colour: [196, 140, 58, 230], words: '0.80 to 1: near its limit' },
] as const;
/** Where only some are served: the more, the darker. */
const PART = [168, 152, 116] as const;
const NONE = [247, 244, 236, 255] as const;
const SHUT = [110, 104, 94, 255] as const;

function paint(canvas: HTMLCanvasElement, map: StandMap): void {
  canvas.width = map.wide;
  canvas.height = map.deep;
  const context = canvas.getContext('2d');
  if (!context) return;
  const image = context.createImageData(map.wide, map.deep);
  map.worst.forEach((worst, cell) => {
    const band = BANDS.find(({ to }) => worst < to);
    const colour = Number.isNaN(worst) ? SHUT : (band?.colour ?? (map.serves[cell]! > 0 ? [...PART, 50 + (205 * map.serves[cell]!) / map.lifts] : NONE));
    // The first row of the map is its south: it is drawn last.
    const at = 4 * ((map.deep - 1 - Math.floor(cell / map.wide)) * map.wide + (cell % map.wide));
    image.data.set(colour, at);
  });
  context.putImageData(image, 0, 0);
}

/** Over the whole site: how near its limit the crane is at each place, for all its lifts; a press puts a stand there. */
export function StandMapDialog({ crane, onClose }: { crane: Crane; onClose: () => void }) {
  const plan = usePlan();
  const act = useAct();
  const stands = plan.stands.filter((one) => one.crane === crane.id);
  const [of, setOf] = useState(ALL);
  const stand = of === ALL ? (stands[0]?.id ?? '') : of;
  const charts = chartsOf(plan, crane).filter(({ chart }) => chart !== null);
  const [setUp, setSetUp] = useState(AS_IT_STANDS);
  const read = charts.find(({ id }) => id === setUp);
  const { map, share } = useStandMap(crane.id, of === ALL ? null : of, read?.id ?? null);
  const known = map !== null && !(map instanceof Missing) ? map : null;
  const best = useMemo(() => (known ? bestPlaces(known) : []), [known]);
  const show = (value: number) => formatQuantity(value, 'length', plan.job.units);
  const put = (at: { x: number; y: number }) => {
    act('editStand', { id: stand, changes: { at: { x: Math.round(at.x * 100) / 100, y: Math.round(at.y * 100) / 100 } } }, 'stand from the map');
    onClose();
  };
  return (
    <Modal
      wide
      open
      onOpenChange={onClose}
      title={`Where ${crane.name} may stand`}
      about="At every place, for every lift: the chart, head room, the boom over its load and over what stands by then, power lines, zones nobody closes, the ground under its mats or tracks as it is said at its stand and the crane turned as there, and its way out. How a truck reaches it, pads beside a wall and how its boom is put together are checked once it stands there."
    >
      {charts.length > 1 && (
        <ChoiceField
          label="Set up"
          value={setUp}
          choices={[{ value: AS_IT_STANDS, label: 'as it is at its stands' }, ...charts.map(({ id, name }) => ({ value: id, label: name }))]}
          onValue={(next) => (setSetUp(next), null)}
        />
      )}
      {read?.chartOver && !(read.chartOver.from === 0 && read.chartOver.to === 180) && (
        <p className="text-[13px] font-semibold text-missing">
          {read.name} is not good all round: the map reads it as if the carrier were turned so that every lift is where it is good.
        </p>
      )}
      {map === null && (
        <div className="space-y-2">
          <p role="status">Reading the chart over the site …</p>
          <progress className="h-2 w-full" value={share} max={1} />
          <PlainButton onClick={onClose}>Break it off</PlainButton>
        </div>
      )}
      {map instanceof Missing && <p className="font-semibold text-missing">{map.questions.join(' ')}</p>}
      {known && (
        <div className="space-y-3">
          <Picture map={known} crane={crane} onPlace={put} />
          <ul className="flex flex-wrap gap-x-4 gap-y-1 text-[12.5px]">
            {BANDS.map(({ colour, words }) => (
              <Key key={words} colour={colour} words={words} />
            ))}
            <Key colour={PART} words="some lifts, the darker the more" />
            <Key colour={NONE} words="none" />
            <Key colour={SHUT} words="no room for it" />
          </ul>
          {stands.length > 1 && (
            <ChoiceField
              label="Lifts on the map"
              value={of}
              choices={[
                { value: ALL, label: `all of ${crane.name}; a press puts ${stands[0]?.name ?? ''} there` },
                ...stands.map(({ id, name }) => ({ value: id, label: `those from ${name}; a press puts it there` })),
              ]}
              onValue={(next) => (setOf(next), null)}
            />
          )}
          <table className="w-full border-collapse text-[14px]">
            <caption className="sr-only">The best places</caption>
            <thead>
              <tr className="border-b border-ink text-left text-[12.5px] text-soft">
                <th className="py-1 font-normal">East, north</th>
                <th className="px-2 text-right font-normal">Lifts served</th>
                <th className="px-2 text-right font-normal">Worst of the chart</th>
                <th>
                  <span className="sr-only">Choose</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {best.map(({ at, serves, worst }) => (
                <tr key={`${at.x} ${at.y}`} className="border-b border-line" data-place>
                  <th scope="row" className="py-1 text-left font-semibold">
                    {show(at.x)}, {show(at.y)}
                  </th>
                  <td className="px-2 text-right">
                    {serves} of {known.lifts}
                  </td>
                  <td className="px-2 text-right">{Number.isFinite(worst) ? worst.toFixed(2) : 'not all served'}</td>
                  <td className="py-1 text-right">
                    <SmallButton onClick={() => put(at)}>Stand here</SmallButton>
                  </td>
                </tr>
              ))}
              {best.length === 0 && (
                <tr>
                  <td colSpan={4} className="py-2 text-stop">
                    No place serves any of its lifts: a longer boom, a lighter load, or another crane.
                  </td>
                </tr>
              )}
            </tbody>
          </table>
          {of === ALL && known.lifts > 1 && <FewestStands map={known} crane={crane} onDone={onClose} />}
          {known.unhung.length > 0 && (
            <p className="text-[13px] font-semibold text-missing">
              How {known.unhung.join(', ')} hangs is not said: for it only the chart is read, and what is under the boom is not known.
            </p>
          )}
          {known.groundAsks.length > 0 && (
            <p className="text-[13px] font-semibold text-missing">Nothing is known of the ground under it: {known.groundAsks.join(' ')}</p>
          )}
          {known.zones.length > 0 && (
            <p className="text-[13px] text-soft">
              No lift is served from inside, or over, {known.zones.join(', ')}: nobody says how {known.zones.length === 1 ? 'it is' : 'they are'} kept closed
              meanwhile.
            </p>
          )}
          {known.lines.unknown.length > 0 && (
            <p className="text-[13px] font-semibold text-missing">
              Nobody says where {known.lines.unknown.join(', ')} runs, how high, or what it carries: the map keeps clear of nothing there.
            </p>
          )}
          {known.lines.kept.length > 0 && (
            <p className="text-[13px] text-soft">No lift is served where its boom, rope or load comes nearer than it may to {known.lines.kept.join(', ')}.</p>
          )}
          {known.left.length > 0 && (
            <p className="text-[13px] text-soft">Not on this map: {known.left.map(({ mark, why }) => `${mark} (${why.replace(/\.$/, '')})`).join('; ')}.</p>
          )}
        </div>
      )}
    </Modal>
  );
}

const Key = ({ colour, words }: { colour: readonly number[]; words: string }) => (
  <li className="flex items-center gap-1.5">
    <span
      aria-hidden
      className="inline-block h-3 w-4 border border-line"
      style={{ background: `rgba(${colour.slice(0, 3).join(',')},${(colour[3] ?? 255) / 255})` }}
    />
    {words}
  </li>
);

/** The map with what is built, where loads lie and where the crane stands now. */
function Picture({ map, crane, onPlace }: { map: StandMap; crane: Crane; onPlace: (at: { x: number; y: number }) => void }) {
  const plan = usePlan();
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (canvas.current) paint(canvas.current, map);
  }, [map]);
  const west = map.at.x - map.step / 2;
  const south = map.at.y - map.step / 2;
  const [long, high] = [map.wide * map.step, map.deep * map.step];
  const north = south + high;
  /** of letters on it: the map is as high as it may be, whatever it is of */
  const size = Math.max(high / 28, long / 70);
  const line = (points: readonly { x: number; y: number }[]) => points.map(({ x, y }) => `${x - west},${north - y}`).join(' ');
  const beams = useMemo(
    () => [...settleBeams(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds)).values()].flatMap(({ place }) => (place ? [place] : [])),
    [plan],
  );
  return (
    <div className="relative mx-auto border border-ink" style={{ aspectRatio: `${long} / ${high}`, maxHeight: '46vh' }}>
      <canvas ref={canvas} className="absolute inset-0 h-full w-full" style={{ imageRendering: 'pixelated' }} />
      <svg
        role="img"
        aria-label={`Map of ${map.wide} by ${map.deep} places; the best are listed below`}
        viewBox={`0 0 ${long} ${high}`}
        className="absolute inset-0 h-full w-full cursor-crosshair"
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          onPlace({ x: west + ((event.clientX - box.left) / box.width) * long, y: north - ((event.clientY - box.top) / box.height) * high });
        }}
      >
        {(plan.site.zones ?? []).map((one) => (
          <polygon
            key={one.id}
            points={line(rectangle(one.at, one.length, one.width, one.azimuthDeg))}
            fill="none"
            stroke={one.closed ? '#6B6458' : '#A3261B'}
            strokeWidth={size / 8}
            strokeDasharray={`${size / 2} ${size / 3}`}
          />
        ))}
        {plan.site.obstructions.map((one) => (
          <polygon key={one.id} points={line(rectangle(one.at, one.length, one.width, one.azimuthDeg))} fill="#22282C" opacity={0.6} />
        ))}
        {beams.map(({ from, to }, i) => (
          <line
            key={i}
            x1={from.x - west}
            y1={north - from.y}
            x2={to.x - west}
            y2={north - to.y}
            stroke="#A5452F"
            strokeWidth={size / 6}
            strokeLinecap="round"
          />
        ))}
        {plan.stands.map(({ id, crane: of, at, name }) => (
          <g key={id} opacity={of === crane.id ? 1 : 0.4}>
            <circle cx={at.x - west} cy={north - at.y} r={size / 3} fill="#3B4F5C" stroke="#fff" strokeWidth={size / 12} />
            <text
              x={at.x - west}
              y={north - at.y - size * 0.6}
              textAnchor="middle"
              fontSize={size}
              fill="#22282C"
              stroke="#FBF9F4"
              strokeWidth={size / 6}
              paintOrder="stroke"
            >
              {name}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}
