'use client';
import { CartesianGrid, ComposedChart, Label, Line, ReferenceDot, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Verdict } from '@/core/verdict/check';

/** A lift on the chart, in the units it is drawn in. */
export interface Mark {
  id: string;
  radius: number;
  mass: number;
  verdict: Verdict;
}

const colour: Record<Verdict, string> = { stop: '#b3261e', missing: '#5b5470', tight: '#8f5a00', clear: '#1f6b45' };
const dashes = ['', '7 3', '2 3', '9 3 2 3', '4 4', '12 4', '1 2', '6 2 1 2 1 2'];

/** Capacity against radius, a line for each boom, open where the chart is blank; the lifts read off it as dots. */
export default function ChartGraph({
  rows,
  booms,
  marks,
  units,
}: {
  rows: readonly Record<string, number | null>[];
  booms: readonly { key: string; name: string }[];
  marks: readonly Mark[];
  units: { radius: string; mass: string };
}) {
  const first = ({ key }: { key: string }) => rows.findIndex((row) => row[key] !== null);
  return (
    <div className="h-[210px]" aria-hidden>
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart accessibilityLayer={false} data={[...rows]} margin={{ top: 16, right: 10, bottom: 12, left: -6 }}>
          <CartesianGrid stroke="#e2dbcb" />
          <XAxis dataKey="radius" type="number" domain={[0, 'dataMax']} tick={{ fontSize: 12, fill: '#5c6367' }} stroke="#5c6367">
            <Label value={`radius, ${units.radius}`} position="insideBottom" offset={-8} fontSize={12} fill="#5c6367" />
          </XAxis>
          <YAxis domain={[0, 'dataMax']} tick={{ fontSize: 12, fill: '#5c6367' }} stroke="#5c6367">
            <Label value={units.mass} position="top" offset={6} dx={8} fontSize={12} fill="#5c6367" />
          </YAxis>
          {booms.map((boom, i) => (
            <Line
              key={boom.key}
              dataKey={boom.key}
              stroke="#3d5a6c"
              strokeWidth={1.6}
              strokeDasharray={dashes[i % dashes.length]}
              dot={false}
              isAnimationActive={false}
              connectNulls={false}
              label={({ x, y, index }: { x?: number | string; y?: number | string; index?: number }) =>
                index === first(boom) ? (
                  <text key={boom.key} x={Number(x) - 4} y={Number(y) + 3} fontSize={12} textAnchor="end" fill="#22282c">
                    {boom.name}
                  </text>
                ) : (
                  <g key={`${boom.key} ${index}`} />
                )
              }
            />
          ))}
          {marks.map(({ id, radius, mass, verdict }) => (
            <ReferenceDot key={id} x={radius} y={mass} r={4} fill={colour[verdict]} stroke="#fbf9f4" ifOverflow="extendDomain" />
          ))}
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
