import { meet, type ModelPiece } from './meet';

/** A piece 0.2 m broad and 0.3 m deep from place to place. */
function piece(id: string, from: [number, number, number], to: [number, number, number]): ModelPiece {
  const [x, y, z] = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  const [flat, length] = [Math.hypot(x, y), Math.hypot(x, y, z)];
  const across = flat > 0 ? { x: -y / flat, y: x / flat, z: 0 } : { x: 1, y: 0, z: 0 };
  const deep = flat > 0 ? { x: (-z * x) / flat / length, y: (-z * y) / flat / length, z: flat / length } : { x: 0, y: 1, z: 0 };
  return {
    id,
    mark: id.toUpperCase(),
    from: { x: from[0], y: from[1], z: from[2] },
    to: { x: to[0], y: to[1], z: to[2] },
    sides: [across, deep],
    half: [0.1, 0.15],
    off: [0, 0],
  };
}
const columns = [piece('c1', [0, 0, 0], [0, 0, 4]), piece('c2', [12, 0, 0], [12, 0, 4])];
const gable = (rise: number, gap = 0, aside = 0) => [
  ...columns,
  piece('r1', [0, 0, 4], [6 - gap, 0, 4 + rise]),
  piece('r2', [12, aside, 4], [6 + gap, aside, 4 + rise]),
];
const joint = (pieces: readonly ModelPiece[], a: string, b: string) =>
  meet(pieces, []).joints.find((one) => [one.a, one.b].sort().join() === [a, b].sort().join());

describe('two rafters that meet at a ridge', () => {
  test.each([1, 1.7, 3])('rising %s m over 6 m are spliced there, and each rests on its column', (rise) => {
    const pieces = gable(rise);
    expect(joint(pieces, 'r1', 'r2')).toMatchObject({ kind: 'splice', declared: false });
    expect(joint(pieces, 'r1', 'r2')!.why).toMatch(/rafters to a ridge/);
    expect(joint(pieces, 'r1', 'c1')).toMatchObject({ kind: 'onColumn' });
    expect(joint(pieces, 'r2', 'c2')).toMatchObject({ kind: 'onColumn' });
    expect(meet(pieces, []).joints).toHaveLength(3);
  });

  test('drawn a little apart they still meet, where their outlines reach', () => expect(joint(gable(1.7, 0.02), 'r1', 'r2')).toMatchObject({ kind: 'splice' }));

  test('side by side in two planes they do not', () => expect(joint(gable(1.7, 0, 0.6), 'r1', 'r2')).toBeUndefined());

  test('so steep that they may be the diagonals of a truss nobody says what they are', () =>
    expect(joint(gable(4), 'r1', 'r2')).toMatchObject({ kind: 'other' }));

  test('one much steeper than the other, or one level: nobody says', () => {
    const crooked = [...columns, piece('r1', [0, 0, 4], [6, 0, 4.6]), piece('r2', [9, 0, 3.1], [6, 0, 4.6])];
    expect(joint(crooked, 'r1', 'r2')).toMatchObject({ kind: 'other' });
    const level = [...columns, piece('r1', [0, 0, 4], [6, 0, 4]), piece('r2', [12, 0, 1.8], [6, 0, 4])];
    expect(joint(level, 'r1', 'r2')).toMatchObject({ kind: 'other' });
  });

  test('in one line, one up and one down, they are spliced as any two, and not told as a ridge', () => {
    const line = [piece('a', [0, 0, 4], [6, 0, 5]), piece('b', [6, 0, 5], [12, 0, 6])];
    expect(joint(line, 'a', 'b')).toMatchObject({ kind: 'splice' });
    expect(joint(line, 'a', 'b')!.why).not.toMatch(/ridge/);
  });

  test('nearly level, or in one line that hardly slopes, they are no ridge; one that ends along the other is none either', () => {
    const low = [piece('a', [0, 0, 4], [6, 0, 4.1]), piece('b', [12, 0, 4], [6, 0, 4.1])];
    const line = [piece('a', [0, 0, 4], [6, 0, 4.3]), piece('b', [6, 0, 4.3], [12, 0, 4.6])];
    for (const pieces of [low, line]) {
      expect(joint(pieces, 'a', 'b')).toMatchObject({ kind: 'splice' });
      expect(joint(pieces, 'a', 'b')!.why).not.toMatch(/ridge/);
    }
    const past = [piece('a', [0, 0, 4], [6, 0, 5.5]), piece('b', [10, 0, 4], [5, 0, 5.25])];
    expect(joint(past, 'a', 'b')!.kind).not.toBe('splice');
  });

  test('turned by a right angle seen from above they are a corner', () => {
    const corner = [piece('a', [0, 0, 4], [6, 0, 5]), piece('b', [6, 6, 4], [6, 0, 5])];
    expect(joint(corner, 'a', 'b')!.kind).not.toBe('splice');
  });
});

test('the diagonals of a truss are not spliced to each other', () => {
  const truss = [
    piece('low', [0, 0, 0], [12, 0, 0]),
    piece('d1', [0, 0, 0.15], [3, 0, 3]),
    piece('d2', [6, 0, 0.15], [3, 0, 3]),
    piece('top', [3, 0, 3.15], [9, 0, 3.15]),
  ].map((one) => ({ ...one, half: [0.05, 0.15] as const }));
  expect(meet(truss, []).joints.filter(({ kind }) => kind === 'splice')).toEqual([]);
});
