'use client';
import { CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Verdict } from '@/core/verdict/check';

export interface Point {
  /** its place among the moves, from 0 */
  at: number;
  number: number;
  verdict: Verdict;
  /** demand against capacity; null where nobody can say */
  ratio: number | null;
}

const colour: Record<Verdict, string> = { stop: '#b3261e', missing: '#5b5470', tight: '#8f5a00', clear: '#1f6b45' };

/** Demand against capacity from move to move, as it stands until it is another. A press goes to the nearest move it is asked at. */
export default function OverMovesGraph({
  points,
  cursor,
  caution,
  moves,
  onGo,
}: {
  points: readonly Point[];
  cursor: number;
  caution: number | null;
  moves: number;
  onGo: (at: number) => void;
}) {
  const most = Math.max(1.15, ...points.map(({ ratio }) => (ratio ?? 0) * 1.08));
  const nearest = (label: unknown) => {
    const number = Number(label);
    if (!Number.isFinite(number)) return;
    const one = points.reduce((best, point) => (Math.abs(point.number - number) < Math.abs(best.number - number) ? point : best));
    onGo(one.at);
  };
  return (
    <div className="h-[92px] cursor-pointer" aria-hidden>
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart
          accessibilityLayer={false}
          data={[...points]}
          margin={{ top: 4, right: 6, bottom: 0, left: -26 }}
          onClick={({ activeLabel }) => nearest(activeLabel)}
        >
          <CartesianGrid vertical={false} stroke="#e2dbcb" />
          <XAxis
            dataKey="number"
            type="number"
            domain={[1, Math.max(2, moves)]}
            allowDecimals={false}
            tick={{ fontSize: 11, fill: '#5c6367' }}
            stroke="#5c6367"
          />
          <YAxis domain={[0, most]} ticks={most > 2 ? [0, 1, Math.floor(most)] : [0, 0.5, 1]} tick={{ fontSize: 11, fill: '#5c6367' }} stroke="#5c6367" />
          {caution !== null && caution < 1 && <ReferenceLine y={caution} stroke="#8f5a00" strokeDasharray="3 3" />}
          <ReferenceLine y={1} stroke="#22282c" strokeWidth={2} />
          {cursor >= 0 && <ReferenceLine x={cursor + 1} stroke="#22282c" strokeDasharray="2 2" />}
          <Line
            dataKey="ratio"
            type="stepAfter"
            stroke="#3d5a6c"
            strokeWidth={2}
            isAnimationActive={false}
            connectNulls={false}
            dot={({ cx, cy, payload }: { cx?: number; cy?: number; payload?: Point }) => (
              <circle key={payload?.at} cx={cx ?? 0} cy={cy ?? 0} r={payload?.ratio === null ? 0 : 3.2} fill={colour[payload?.verdict ?? 'missing']} />
            )}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
