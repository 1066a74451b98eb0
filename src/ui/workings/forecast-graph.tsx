'use client';
import { Bar, BarChart, CartesianGrid, Cell, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';

/** Gusts hour by hour: those of the shift dark, those over the limit in the colour of a stop. */
export default function ForecastGraph({ hours, limit }: { hours: readonly { at: string; gust: number; works: boolean }[]; limit: number | null }) {
  return (
    <div className="h-[120px]" aria-hidden>
      <ResponsiveContainer width="100%" height="100%">
        <BarChart accessibilityLayer={false} data={[...hours]} margin={{ top: 8, right: 6, bottom: 0, left: -22 }} barCategoryGap={1}>
          <CartesianGrid vertical={false} stroke="#e2dbcb" />
          <XAxis dataKey="at" interval={Math.max(0, Math.floor(hours.length / 4) - 1)} tick={{ fontSize: 11, fill: '#5c6367' }} height={18} stroke="#5c6367" />
          <YAxis tick={{ fontSize: 12, fill: '#5c6367' }} stroke="#5c6367" />
          {limit !== null && <ReferenceLine y={limit} stroke="#22282c" strokeWidth={2} />}
          <Bar dataKey="gust" isAnimationActive={false}>
            {hours.map(({ at, gust, works }) => (
              <Cell key={at} fill={limit !== null && gust > limit && works ? '#b3261e' : works ? '#3d5a6c' : '#b9c4ca'} />
            ))}
          </Bar>
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
