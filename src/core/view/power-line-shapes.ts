import { attempt } from '../calc/attempt';
import { cranePowerLine } from '../cranes/power-line.calc';
import { powerLineEu } from '../cranes/power-line-eu.calc';
import { distance, mix, sub, type Vec } from '../geometry/plane';
import type { Plan, PowerLine } from '../document/schema';
import { formatQuantity } from '../units';
import type { Shape } from './draw-list';

/** Of a long line this much either side of the nearest stand is drawn [m]: the rest would shrink the site to a dot. */
const LINE_SHOWN = 30;

/** A power line where it truly runs, cut off far from the cranes; one without a place is not drawn and is asked about. */
export function powerLineShapes(plan: Plan, line: PowerLine): Shape[] {
  const { from, to } = line;
  if (from === null || to === null) return [];
  const european = plan.job.ruleSet === 'eu-ls';
  const needed =
    line.volts === null
      ? null
      : european
        ? attempt(powerLineEu, { volts: line.volts, owner: line.ownerAsks ?? null })
        : attempt(cranePowerLine, { volts: line.volts });
  const keep = needed?.ok
    ? `: keep ${formatQuantity(Math.max(needed.output.clearance, line.ownerAsks ?? 0), 'reach', plan.job.units)} off`
    : ': voltage not known';
  const length = distance(from, to);
  const feet = plan.stands.map(({ at }) => footOn(from, to, at));
  const [low, high] =
    length > 0 && feet.length > 0 ? [Math.max(0, Math.min(...feet) - LINE_SHOWN / length), Math.min(1, Math.max(...feet) + LINE_SHOWN / length)] : [0, 1];
  const [a, b] = [mix(from, to, low), mix(from, to, high)];
  const style = { stroke: 'ink', width: 1.4, dash: 'dashdot' } as const;
  const end = (at: Vec, which: 'from' | 'to'): Shape => ({
    shape: 'dot',
    centre: at,
    size: 5,
    style: { fill: 'paper', stroke: 'ink', width: 1.2 },
    of: { kind: 'powerLineEnd', id: line.id, end: which },
  });
  return [
    { shape: 'line', points: [a, b], style, of: { kind: 'powerLine', id: line.id } },
    ...(low === 0 ? [end(from, 'from')] : []),
    ...(high === 1 ? [end(to, 'to')] : []),
    { shape: 'label', at: mix(a, b, 0.32), text: line.name + keep, ink: 'ink', sides: ['below', 'above'] },
  ];
}

/** How far along from `a` to `b`, 0 to 1, the foot of the perpendicular from `p` lies. */
function footOn(a: Vec, b: Vec, p: Vec): number {
  const along = sub(b, a);
  const square = along.x ** 2 + along.y ** 2;
  return square > 0 ? Math.min(1, Math.max(0, ((p.x - a.x) * along.x + (p.y - a.y) * along.y) / square)) : 0;
}
