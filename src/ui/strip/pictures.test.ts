import type { Verdict } from '@/core/verdict/check';
import { picturesOf, setAt } from './pictures';

const fold = (piece: string | null, ...verdicts: Verdict[]) => ({
  key: piece ?? 'none',
  pieces: piece === null ? [] : [piece],
  mark: piece,
  items: verdicts.map((verdict, n) => ({ id: `${piece} ${n}`, verdict })),
});
const strokes = (...pieces: string[]) => ({ wide: 80, high: 28, strokes: new Map(pieces.map((one) => [one, `M${one}`])) });

test('each picture has the strokes of those before it, those that are stopped apart, and its own', () => {
  const pictures = picturesOf([fold('a', 'clear'), fold('b', 'tight', 'stop'), fold(null, 'stop'), fold('c', 'missing')], strokes('a', 'b', 'c', 'd'));
  expect([...pictures].map(([key, { before, stopped, own }]) => [key, before, stopped, own])).toEqual([
    ['a', '', '', 'Ma'],
    ['b', 'Ma', '', 'Mb'],
    ['none', 'Ma', 'Mb', ''],
    ['c', 'Ma', 'Mb', 'Mc'],
  ]);
  expect(pictures.get('c')).toMatchObject({ wide: 80, high: 28, all: 'MaMbMcMd' });
});

test('of a bay the strokes of all its pieces are its own', () => {
  const bay = { ...fold('a', 'clear'), key: 'bay', pieces: ['a', 'c'] };
  const pictures = picturesOf([bay, fold('b', 'clear')], strokes('a', 'b', 'c'));
  expect([pictures.get('bay')!.own, pictures.get('b')!.before]).toEqual(['MaMc', 'MaMc']);
});

test('where no piece has a place there are no pictures', () => expect(picturesOf([fold('a', 'clear')], strokes()).size).toBe(0));

test.each([
  [[7], 7],
  [[1, 15, 16, 17, 80], 17],
  [[3, 4, 9, 10], 4],
  [[3, 9, 20], 3],
])('of moves %j the piece is set at %i', (numbers, at) => expect(setAt(numbers.map((number) => ({ number })))).toBe(at));
