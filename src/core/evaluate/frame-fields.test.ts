import { braced } from '../../../tests/diagonal';
import { gable } from '../../../tests/gable';
import { square } from '../../../tests/portal';
import { afresh, sharing } from '../document/keep';
import type { Plan } from '../document/schema';
import { evaluate } from './';

const TODAY = '2026-11-27';
const told = (plan: Plan): string[] =>
  evaluate(plan, TODAY)
    .checks.map(({ traces: _, ...check }) => JSON.stringify(check))
    .sort();

type Thing = Record<string, unknown>;
/** Another value of the same kind, or one where there was none. */
function another(value: unknown): unknown {
  if (typeof value === 'number') return value * 1.07 + 0.01;
  if (typeof value === 'boolean') return !value;
  if (value === null || value === undefined || typeof value === 'string' || Array.isArray(value)) return undefined;
  const [field, first] = Object.entries(value).find(([, one]) => typeof one === 'number') ?? [];
  return field === undefined ? undefined : { ...value, [field]: (first as number) * 1.07 + 0.01 };
}

/**
 * Whatever figure of a frame is another: asked of the plan as it was before, and of it as if it had never been seen. What is kept from
 * one edit to the next goes by lists of fields that move no frame; a field that is wrongly on one is found here.
 */
describe.each([
  ['four columns and their ropes', square],
  ['a portal with a diagonal', () => braced()],
  ['rafters', gable],
])('each field of a frame, edited: %s', (_, make) => {
  const plan = make();
  const before = told(plan);
  const lists = ['supports', 'joints', 'braces', 'makes', 'pieces'] as const;
  const cases = lists.flatMap((list) => {
    const kinds = new Map<string, number>();
    (plan.structure[list] as unknown as Thing[]).forEach((one, i) => {
      const kind = String(one.kind ?? '');
      if (!kinds.has(kind)) kinds.set(kind, i);
    });
    return [...kinds].flatMap(([kind, i]) =>
      Object.entries((plan.structure[list] as unknown as Thing[])[i]!).flatMap(([field, value]) => {
        const next = another(value);
        return next === undefined ? [] : [[`${list} ${kind} ${field}`, list, i, field, next] as const];
      }),
    );
  });
  test('there are fields of every list', () => expect(new Set(cases.map(([, list]) => list)).size).toBe(lists.length));
  test.each(cases)('%s', (_, list, i, field, next) => {
    const edited = structuredClone(plan);
    (edited.structure[list] as unknown as Thing[])[i]![field] = next;
    evaluate(plan, TODAY);
    const shared = sharing(plan, edited);
    expect(told(shared)).toEqual(afresh(() => told(structuredClone(shared))));
  });
  /** Edits of what stood open or was said in words, of winds, rules and moves. */
  const set = (list: (typeof lists)[number], changes: Thing) => (edited: Plan) => void Object.assign(edited.structure[list][0]!, changes);
  const named: [string, (edited: Plan) => void][] = [
    ['a foot that holds a moment', set('supports', { holdsMoment: 9e3 })],
    ['a foot that is held down', set('supports', { holdsDown: 5e3 })],
    ['a foot that gives', set('supports', { spring: 4e7 })],
    ['a foot of another kind', (edited) => void Object.assign(edited.structure.supports[0]!, { kind: 'bearing', anchors: null })],
    ['a foot with one anchor', (edited) => edited.structure.supports[0]!.anchors && (edited.structure.supports[0]!.anchors.count = 1)],
    ['a joint of another kind', set('joints', { kind: 'seat' })],
    ['a joint whose holes nobody counted', set('joints', { holes: null })],
    ['a joint that holds a moment', set('joints', { moment: 40e3 })],
    ['a brace nobody knows how stiff', set('braces', { stiffness: null })],
    ['a brace nobody knows which way', set('braces', { towardsDeg: null })],
    ['a brace nobody knows how steep', set('braces', { slopeDeg: null })],
    ['a brace that pushes too', set('braces', { kind: 'strut' })],
    ['a brace against twist alone', set('braces', { stops: 'twist' })],
    ['a piece on the scale', set('pieces', { weighed: 900 })],
    ['a column turned about its axis', (edited) => edited.structure.pieces.forEach((one) => void (one.webDeg = 90))],
    ['a make of another section', set('makes', { made: { kind: 'section', section: 'W12x40' } })],
    ['a stronger gust', (edited) => void (edited.site.standingGust = 31)],
    ['a gust nobody knows', (edited) => void (edited.site.standingGust = null)],
    ['another forecast', (edited) => void (edited.site.forecastGust = 11)],
    ['a greater lean', (edited) => void (edited.job.thresholds = { ...edited.job.thresholds, lean: 0.02 })],
    ['more wind on a girder', (edited) => void (edited.job.thresholds = { ...edited.job.thresholds, girderDrag: 3.3 })],
    ['the other school', (edited) => void (edited.job.ruleSet = edited.job.ruleSet === 'us-asd' ? 'eu-ls' : 'us-asd')],
    ...plan.moves.flatMap((move, i): [string, (edited: Plan) => void][] => {
      if (move.kind === 'joint.make')
        return [
          [`move ${i}: one bolt`, (edited) => void Object.assign(edited.moves[i]!, { bolts: 1, pins: 0 })],
          [`move ${i}: as they lie`, (edited) => void Object.assign(edited.moves[i]!, { fit: 'asLies' })],
        ];
      return move.kind === 'brace.fix' || move.kind === 'support.ready' ? [[`move ${i}: left out`, (edited) => void edited.moves.splice(i, 1)]] : [];
    }),
  ];
  test.each(named)('%s', (_, change) => {
    const edited = structuredClone(plan);
    change(edited);
    evaluate(plan, TODAY);
    const shared = sharing(plan, edited);
    expect(told(shared)).toEqual(afresh(() => told(structuredClone(shared))));
  });
  test('and back again', () => expect(told(plan)).toEqual(before));
});
