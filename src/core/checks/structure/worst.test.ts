import { quayFootbridge } from '../../../../tests/demo-plan';
import type { Check, Verdict } from '../../verdict/check';
import { evaluate } from '../../evaluate';
import { byMove, rowOver, rowsAt, rowsChanged, Said, verdictsAt } from './worst';

const sample = evaluate(quayFootbridge(), null).checks.find(({ id }) => id === 'support.load')!;
const row = (move: string, verdict: Verdict, ratio: number | null): Check => ({ ...sample, move, verdict, ratio });
const at = (move: string, ...rows: Check[]) => {
  const said = new Said();
  for (const one of rows) said.put(one);
  said.done();
  return { id: move, said };
};

test('of two rows of one thing at one move the worse is told, whichever comes first', () => {
  for (const rows of [
    [row('a', 'clear', 0.2), row('a', 'stop', 1.4)],
    [row('a', 'stop', 1.4), row('a', 'clear', 0.2)],
  ]) {
    const moves = [at('a', ...rows)];
    expect(rowsAt(byMove(new Said(), moves), 'a').map(({ verdict }) => verdict)).toEqual(['stop']);
    expect(verdictsAt(new Said(), moves)).toEqual({ a: 'stop' });
  }
});

test('a row is told again when its verdict is another, though no ratio is', () => {
  const moves = [at('a', row('a', 'missing', null)), at('b', row('b', 'missing', null)), at('c', row('c', 'tight', null)), at('d', row('d', 'tight', 0.5))];
  const changed = rowsChanged(byMove(new Said(), moves), ['a', 'b', 'c', 'd']);
  expect([...changed.keys()]).toEqual(['a', 'c', 'd']);
  expect(rowOver(byMove(new Said(), moves), ['a', 'b', 'c', 'd'], sample)).toEqual([
    { move: 'a', verdict: 'missing', ratio: null },
    { move: 'b', verdict: 'missing', ratio: null },
    { move: 'c', verdict: 'tight', ratio: 0 },
    { move: 'd', verdict: 'tight', ratio: 0.5 },
  ]);
});

test('what is asked of the whole structure stands with its move', () => {
  const { said: whole } = at('', row('a', 'stop', 2), row('z', 'missing', null));
  expect(verdictsAt(whole, [at('a', row('a', 'clear', 0.1)), at('b', row('b', 'clear', 0.1))])).toEqual({ a: 'stop', b: 'clear', z: 'missing' });
});
