'use client';
import { worstOf, type AlongPoint } from '@/core/checks/map/along-way';
import { CartesianGrid, ComposedChart, Line, ReferenceDot, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';

/** Share of the chart from step to step of a way, with where it slews, booms and lowers, and its worst place. */
export default function AlongWayGraph({
  points,
  caution,
  here,
  onHere,
}: {
  points: readonly AlongPoint[];
  caution: number;
  /** the step looked at */
  here: number | null;
  onHere: (at: number) => void;
}) {
  const rows = points.map(({ share, phase }, i) => ({ at: i, share, phase }));
  const begins = rows.filter(({ phase }, i) => i > 0 && rows[i - 1]!.phase !== phase);
  const worst = rows[worstOf(points)]!;
  const most = Math.max(1.1, (worst.share ?? 0) * 1.1);
  return (
    <div className="h-[130px]" aria-hidden>
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart
          accessibilityLayer={false}
          data={rows}
          onClick={({ activeLabel }) => activeLabel !== undefined && onHere(Number(activeLabel))}
          margin={{ top: 14, right: 10, bottom: 0, left: -24 }}
        >
          <CartesianGrid vertical={false} stroke="#e2dbcb" />
          <XAxis dataKey="at" type="number" domain={[0, rows.length - 1]} tick={false} height={6} stroke="#5c6367" />
          <YAxis
            domain={[0, most]}
            ticks={[0, 0.5, 1]}
            tickFormatter={(value: number) => `${Math.round(value * 100)}`}
            tick={{ fontSize: 12, fill: '#5c6367' }}
            stroke="#5c6367"
          />
          <ReferenceLine y={caution} stroke="#8f5a00" strokeDasharray="3 3" />
          <ReferenceLine y={1} stroke="#22282c" strokeWidth={2} />
          {begins.map(({ at, phase }) => (
            <ReferenceLine
              key={at}
              x={at}
              stroke="#b3a98f"
              label={{ value: phase, position: 'top', fontSize: 12, fill: '#5c6367', dx: at > 0.9 * rows.length ? -14 : 0 }}
            />
          ))}
          <Line dataKey="share" stroke="#3d5a6c" strokeWidth={2} dot={false} activeDot={false} isAnimationActive={false} connectNulls={false} />
          {here !== null && <ReferenceLine x={here} stroke="#8a3b12" strokeWidth={2} />}
          {worst.share !== null && <ReferenceDot x={worst.at} y={worst.share} r={4} fill={worst.share > 1 ? '#b3261e' : '#22282c'} stroke="#fbf9f4" />}
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
