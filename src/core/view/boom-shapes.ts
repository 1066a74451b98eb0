import { boomGround, longestBooms } from '../document/boom-laid';
import { craneAt } from '../settle/duties';
import type { Plan } from '../document/schema';
import type { Shape } from './draw-list';

/** Where each boom that is put together on site lies while it is. */
export function boomShapes(plan: Plan): Shape[] {
  const booms = longestBooms(plan);
  return plan.stands.flatMap((stand): Shape[] => {
    const crane = craneAt(plan, stand);
    const points = boomGround(stand, crane, booms);
    if (!points) return [];
    const of = { kind: 'stand' as const, id: stand.id };
    const end = points.slice(1, 3).reduce((sum, { x, y }) => ({ x: sum.x + x / 2, y: sum.y + y / 2 }), { x: 0, y: 0 });
    return [
      { shape: 'polygon', points, style: { stroke: 'gear', width: 1, dash: 'dash' }, of },
      { shape: 'label', at: end, text: `${crane.name}: its boom lies here`, ink: 'gear', sides: ['right', 'above', 'below', 'left'] },
    ];
  });
}
