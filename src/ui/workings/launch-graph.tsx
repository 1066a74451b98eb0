'use client';
import { CartesianGrid, ComposedChart, Line, ReferenceDot, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';

/** A figure over the travel of a launch, with the limit it has to keep and its worst place. */
export default function LaunchGraph({
  points,
  limit,
  most,
  worst,
  tick,
  far,
}: {
  points: readonly { travel: number; value: number | null }[];
  /** null: there is none */
  limit: number | null;
  /** of what is drawn */
  most: number;
  worst: { travel: number; value: number; bad: boolean } | null;
  tick: (value: number) => string;
  far: (travel: number) => string;
}) {
  // What is drawn ends at the top of the graph.
  const rows = points.map(({ travel, value }) => ({ travel, value: value === null ? null : Math.min(value, most) }));
  return (
    <div className="h-[120px]" aria-hidden>
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart accessibilityLayer={false} data={rows} margin={{ top: 8, right: 12, bottom: 0, left: -8 }}>
          <CartesianGrid vertical={false} stroke="#e2dbcb" />
          <XAxis
            dataKey="travel"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={far}
            tickCount={4}
            tick={{ fontSize: 12, fill: '#5c6367' }}
            height={18}
            stroke="#5c6367"
          />
          <YAxis domain={[0, most]} tickCount={4} tickFormatter={tick} tick={{ fontSize: 12, fill: '#5c6367' }} stroke="#5c6367" />
          {limit !== null && <ReferenceLine y={limit} stroke="#22282c" strokeWidth={2} />}
          <Line dataKey="value" stroke="#3d5a6c" strokeWidth={2} dot={false} activeDot={false} isAnimationActive={false} connectNulls={false} />
          {worst && <ReferenceDot x={worst.travel} y={Math.min(worst.value, most)} r={4} fill={worst.bad ? '#b3261e' : '#22282c'} stroke="#fbf9f4" />}
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
