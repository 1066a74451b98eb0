import type { Plan } from '../src/core/document/schema';
import { quayFootbridge } from './demo-plan';

/** The quay footbridge in two days that end and a last one, with a forecast for the first two and a go for the first. */
export function inDays(): Plan {
  const plan = quayFootbridge();
  const ends: Record<string, [string, string]> = { c1l: ['d1', '2026-11-20'], c2l: ['d2', '2026-11-21'] };
  plan.moves = plan.moves.flatMap((move) => {
    const end = ends[move.id];
    return end ? [move, { id: end[0], kind: 'day.end' as const, on: end[1] }] : [move];
  });
  plan.site.shift = { from: '2026-11-20T07:00', to: '2026-11-20T15:00' };
  plan.site.forecast = {
    source: 'Harbour office',
    issued: '2026-11-19',
    hours: ['20', '21'].flatMap((day, n) =>
      Array.from({ length: 24 }, (_, hour) => ({ at: `2026-11-${day}T${String(hour).padStart(2, '0')}:00`, gust: 3 + n, rain: 0, temp: 285 })),
    ),
  };
  plan.site.forecastGust = null;
  plan.holds.push({
    id: 'HP11',
    by: 'R. Adeyemi',
    evidence: 'dry, light, rested, area shut',
    value: '',
    on: '2026-11-20',
    day: 'd1',
    readings: [{ of: 'shift', value: 3 }],
  });
  return plan;
}
