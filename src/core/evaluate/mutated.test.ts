import fc from 'fast-check';
import { demoPlan, quayFootbridge, ticketHall } from '../../../tests/demo-plan';
import { gable, gableAsOne } from '../../../tests/gable';
import { braced } from '../../../tests/diagonal';
import { inDays } from '../../../tests/in-days';
import { planted } from '../../../tests/planted';
import { portal, square } from '../../../tests/portal';
import { openPlan } from '../document/open';
import { report } from '../view/report';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** Every place in a document, as the way to it. */
function places(value: Json, way: (string | number)[] = []): (string | number)[][] {
  const inside = Array.isArray(value)
    ? value.flatMap((one, i) => places(one, [...way, i]))
    : value !== null && typeof value === 'object'
      ? Object.entries(value).flatMap(([key, one]) => places(one, [...way, key]))
      : [];
  return [way, ...inside];
}

/** What a hand may do to a value: nought, less, far more, a thousandth, other text, nothing, twice, gone. */
const harms: ((value: Json) => Json | undefined)[] = [
  () => null,
  () => undefined,
  (value) => (typeof value === 'number' ? 0 : value),
  (value) => (typeof value === 'number' ? -value : value),
  (value) => (typeof value === 'number' ? value * 1000 : value),
  (value) => (typeof value === 'number' ? value / 1000 : value),
  (value) => (typeof value === 'string' ? '' : value),
  (value) => (typeof value === 'string' ? `${value} ` : value),
  (value) => (typeof value === 'string' ? 'nowhere' : value),
  (value) => (Array.isArray(value) ? [] : value),
  (value) => (Array.isArray(value) ? [...value, ...value] : value),
  (value) => (Array.isArray(value) ? [...value].reverse() : value),
  (value) => (typeof value === 'boolean' ? !value : value),
];

function harmed(document: Json, way: readonly (string | number)[], harm: number): Json {
  if (way.length === 0) return document;
  const copy = structuredClone(document);
  let holder = copy as Record<string | number, Json>;
  for (const step of way.slice(0, -1)) holder = holder[step] as Record<string | number, Json>;
  const last = way.at(-1)!;
  const next = harms[harm]!(holder[last]!);
  if (next === undefined) {
    if (Array.isArray(holder)) holder.splice(Number(last), 1);
    else delete holder[last];
  } else holder[last] = next;
  return copy;
}

const demos = [demoPlan, ticketHall, quayFootbridge, portal, square, gable, () => gableAsOne(), planted, () => braced(), inDays].map(
  (make) => make() as unknown as Json,
);
const ways = demos.map((demo) => places(demo));
const mutated = fc
  .tuple(fc.nat(demos.length - 1), fc.array(fc.tuple(fc.nat(1e6), fc.nat(harms.length - 1)), { minLength: 1, maxLength: 3 }))
  .map(([which, list]) =>
    list.reduce<Json>((document, [at, harm]) => {
      const all = document === demos[which] ? ways[which]! : places(document);
      return harmed(document, all[at % all.length]!, harm);
    }, demos[which]!),
  );

/** How many are tried; the whole run is `KEEN_TRESTLE_PLANS=3000`. */
const RUNS = Number(process.env.KEEN_TRESTLE_PLANS ?? 60);

test('a plan changed anywhere is refused with its place, or evaluated: no throw, no hang, every check with its words', () => {
  let longest = 0;
  fc.assert(
    fc.property(mutated, (document) => {
      const opened = openPlan(document);
      if (!opened.ok) {
        expect(opened.faults.length).toBeGreaterThan(0);
        expect(opened.faults.length).toBeLessThanOrEqual(101);
        return;
      }
      const started = performance.now();
      const { moves, verdict } = report(opened.plan, '2026-10-01');
      longest = Math.max(longest, performance.now() - started);
      expect(['stop', 'missing', 'tight', 'clear']).toContain(verdict);
      for (const { sentence, about, ratio } of moves.flatMap(({ checks }) => checks)) {
        expect(Number.isNaN(ratio)).toBe(false);
        expect(sentence.length).toBeGreaterThan(5);
        expect(sentence).not.toMatch(/NaN|undefined|Infinity|\[object/);
        expect(about.kind).toBeTruthy();
      }
    }),
    { numRuns: RUNS },
  );
  // Far above what a plan of this size takes, and far below what hangs.
  expect(longest).toBeLessThan(20_000);
}, 1_200_000);
