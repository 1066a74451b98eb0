import { quayFootbridge } from '../../../tests/demo-plan';
import { boomShapes } from './boom-shapes';

describe('where a boom lies on the ground', () => {
  const made = () => {
    const plan = quayFootbridge();
    plan.cranes[0]!.assembled = true;
    plan.stands[0]!.assembly = { towardsDeg: 90, director: '', held: '' };
    return plan;
  };
  test('a strip from the crane out as long as its longest boom, with its name at the far end', () => {
    const plan = made();
    const [strip, label] = boomShapes(plan);
    const { at } = plan.stands[0]!;
    const { pivotBack, boomWidth } = plan.cranes[0]!;
    const long = Math.max(...plan.picks.filter(({ stand }) => stand === 'w1').map(({ boom }) => boom)) - pivotBack;
    if (strip?.shape !== 'polygon' || label?.shape !== 'label') throw new Error('a strip and its label');
    const [xs, ys] = [strip.points.map(({ x }) => x - at.x), strip.points.map(({ y }) => y - at.y)];
    expect(Math.max(...ys)).toBeCloseTo(long, 9);
    expect(Math.min(...ys)).toBeCloseTo(0, 9);
    expect(Math.max(...xs)).toBeCloseTo(boomWidth / 2 + 0.6, 9);
    expect(label.at.y - at.y).toBeCloseTo(long, 9);
    expect(label.at.x).toBeCloseTo(at.x, 9);
    expect(strip.of).toEqual({ kind: 'stand', id: 'w1' });
  });
  test('none where it comes whole, where nobody says which way it lies, or where nothing is lifted', () => {
    const whole = made();
    whole.cranes[0]!.assembled = false;
    expect(boomShapes(whole)).toEqual([]);
    const open = made();
    open.stands[0]!.assembly = null;
    expect(boomShapes(open)).toEqual([]);
    const idle = made();
    idle.picks = [];
    expect(boomShapes(idle)).toEqual([]);
  });
});
