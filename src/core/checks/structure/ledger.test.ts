import fc from 'fast-check';
import type { Check, Verdict } from '../../verdict/check';
import { emptyLedger, ledgerChanges, readLedger, writeLedger, type Ledger } from '../../replay/ledger';
import { Said, worstOf } from './worst';

const writes = fc.array(fc.tuple(fc.string({ minLength: 1, maxLength: 6 }), fc.option(fc.integer(), { nil: undefined })), { maxLength: 80 });

describe('a ledger', () => {
  test('reads what was written last, as a map does, and never changes what was', () => {
    fc.assert(
      fc.property(writes, (list) => {
        const map = new Map<string, number>();
        let ledger: Ledger<number> = emptyLedger;
        for (const [id, value] of list) {
          const before = ledger;
          const had = readLedger(before, id);
          ledger = writeLedger(ledger, id, value);
          if (value === undefined) map.delete(id);
          else map.set(id, value);
          expect(readLedger(before, id)).toBe(had);
        }
        for (const [id] of list) expect(readLedger(ledger, id)).toBe(map.get(id));
        expect(readLedger(ledger, 'toString')).toBe(map.get('toString'));
      }),
    );
  });

  test('tells what is another, and what is gone', () => {
    const one = writeLedger(writeLedger(emptyLedger as Ledger<number>, 'a', 1), 'b', 2);
    const two = writeLedger(writeLedger(writeLedger(one, 'b', 3), 'c', 4), 'a', undefined);
    expect(ledgerChanges(one, two)).toEqual({ a: null, b: 3, c: 4 });
    expect(ledgerChanges(two, two)).toEqual({});
  });
});

describe('the worst of many moves', () => {
  const check = (verdict: Verdict, ratio: number | null, move: string): Check =>
    ({ id: 'x', subject: 's', about: { kind: 'beam', id: 'a' }, verdict, ratio, move }) as unknown as Check;

  test('keeps the worse verdict, then the greater ratio, then the earlier move; and counts them', () => {
    const rows = new Said();
    for (const one of [
      check('clear', 0.4, 'm1'),
      check('tight', 0.96, 'm2'),
      check('stop', 1.2, 'm3'),
      check('stop', 1.3, 'm4'),
      check('stop', 1.3, 'm5'),
      check('missing', null, 'm6'),
    ])
      rows.put(one);
    const { checks, fared } = worstOf([{ id: 'm', said: rows }]);
    expect(checks.map(({ move }) => move)).toEqual(['m4']);
    expect(fared.get(checks[0]!)).toEqual({ firstBad: 'm3', counts: { stop: 3, missing: 1, tight: 1, clear: 1 } });
  });

  test('tells a ratio only when it is the worst', () => {
    const rows = new Said();
    const told: string[] = [];
    const put = (move: string, demand: number) =>
      rows.ratio('x', 'beam', 'a', undefined, move, { demand, capacity: 10, caution: 0.9 }, () => {
        told.push(move);
        return check('clear', demand / 10, move);
      });
    put('m1', 5);
    put('m2', 7);
    put('m3', 6);
    expect(worstOf([{ id: 'm', said: rows }]).checks.map(({ move }) => move)).toEqual(['m2']);
    expect(told).toEqual(['m2']);
  });
});
