import type { SwayFrame } from '../frame/sway-frame';
import { leaningsOf } from './answers';

const EI = 3e6;
const frame = (changes: Partial<SwayFrame> = {}): SwayFrame => ({
  columns: [0, 6].map((x) => ({ id: `c${x}`, x, y: 0, stiffness: EI, ways: { x: EI, y: EI }, canStand: true, nodes: [{ z: 4, down: 1000 }] })),
  ties: [{ id: 't', a: [{ column: 0, node: 0, share: 1 }], b: [{ column: 1, node: 0, share: 1 }], stiffness: 1e9 }],
  braces: [],
  rails: [{ id: 'r', a: { column: 0, node: 0 }, b: { column: 1, node: 0 }, stiffness: EI, keeps: { a: true, b: true }, ends: { a: 100, b: 200 } }],
  ...changes,
});
const rail = frame().rails![0]!;
const push = [[{ x: 500, y: 300 }], [{ x: 500, y: 300 }]];
const told = (of: SwayFrame) => leaningsOf(of, [push])[0]!;

describe('the same frame leans the same, and another does not', () => {
  test('the same', () => expect(told(frame())).toEqual(told(frame())));
  test.each([
    ['no rail', { rails: [] }],
    ['a stiffer one', { rails: [{ ...rail, stiffness: 2 * EI }] }],
    ['stiff at one end', { rails: [{ ...rail, keeps: { a: true, b: false } }] }],
    ['stiff at the other', { rails: [{ ...rail, keeps: { a: false, b: true } }] }],
    ['more on its first end', { rails: [{ ...rail, ends: { a: 150, b: 200 } }] }],
    ['more on its other end', { rails: [{ ...rail, ends: { a: 100, b: 250 } }] }],
    ['columns that stand along x', { columns: frame().columns.map((one) => ({ ...one, ways: { x: 3 * EI, y: EI } })) }],
    ['columns that stand along y', { columns: frame().columns.map((one) => ({ ...one, ways: { x: EI, y: 3 * EI } })) }],
  ] satisfies [string, Partial<SwayFrame>][])('%s', (_, changes) => expect(told(frame(changes))).not.toEqual(told(frame())));
});

test('a column that stands elsewhere on a beam is another frame', () => {
  const riding = (share: number): SwayFrame => ({
    columns: [
      { id: 'a', x: 0, y: 0, stiffness: 3e6, canStand: true, nodes: [{ z: 4, down: 0 }] },
      { id: 'b', x: 6, y: 0, stiffness: 3e6, canStand: true, nodes: [{ z: 4, down: 0 }] },
      {
        id: 'post',
        x: 3,
        y: 0,
        stiffness: 3e6,
        canStand: false,
        rides: [
          { column: 0, node: 0, share: 1 - share },
          { column: 1, node: 0, share },
        ],
        nodes: [
          { z: 1.5, down: 0 },
          { z: 3, down: 0 },
        ],
      },
    ],
    ties: [],
    braces: [0, 1].map((way) => ({
      id: `${way}`,
      a: [{ column: 2, node: 1, share: 1 }],
      b: null,
      towards: { x: 1 - way, y: way, z: 0 },
      stiffness: 5e6,
      pullsOnly: false,
    })),
  });
  const atPost = [
    [{ x: 0, y: 0 }],
    [{ x: 0, y: 0 }],
    [
      { x: 1000, y: 0 },
      { x: 0, y: 0 },
    ],
  ];
  const foot = (share: number) => {
    const [answer] = leaningsOf(riding(share), [atPost]);
    if (!answer?.stable) throw new Error('it stands');
    return answer.columns[0]!.shear;
  };
  expect([foot(0.25), foot(0.75)].map((one) => Math.round(one))).toEqual([375, 125]);
});
