import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, linkSpan, quayFootbridge, ticketHall, vehicleRamp } from '../../../../tests/demo-plan';
import { describe as words } from '../../verdict/describe';
import { namesSomebody } from '../../document/records';
import type { Member, Plan } from '../../document/schema';

const TODAY = '2026-11-29';
const say = (plan: Plan, id: string, today: string | null = TODAY): string[] =>
  evaluated(plan, today).checks.flatMap((one) => (one.id === id ? [`${one.verdict} ${one.subject}: ${words(one, 'metric')}`] : []));
const with_ = (mark: string, changes: Partial<Member>, plan = demoPlan()): Plan => {
  Object.assign(
    plan.members.find((one) => one.mark === mark)!,
    changes,
  );
  return plan;
};

describe('how far a mark of the list is', () => {
  test.each(['set', 'braced', 'bolted', 'torqued', 'accepted'] as const)('%s, and set by somebody else later: which of the two is asked', (state) =>
    expect(say(with_('EG1', { state, travel: { truck: null, permit: null, on: '' } }), 'steel.state')).toEqual([
      `missing EG1: EG1 is said to be ${state}, and it is “edge girders of the quay side, set by the ferry berth crew after this job”. Does it stand already?`,
    ]),
  );
  test('set, and lifted by a pick or set by hand by a move of this plan: asked too', () => {
    expect(say(with_('TB1', { state: 'set' }), 'steel.state')).toEqual([
      'missing TB1: TB1 is said to be set, and a move of this plan sets it. Does it stand already?',
    ]);
    expect(say(with_('TH1', { state: 'bolted' }, ticketHall()), 'steel.state')).toEqual([
      'missing TH1: TH1 is said to be bolted, and a move of this plan sets it. Does it stand already?',
    ]);
  });
  test('set by nobody who is still to come it stands; what is stored, shipped or made is not there yet', () => {
    expect(say(demoPlan(), 'steel.state')).toEqual([]);
    expect(say(ticketHall(), 'steel.state')).toEqual([]);
    for (const state of ['listed', 'made', 'trial fitted', 'shipped', 'stored'] as const) expect(say(with_('TB1', { state }), 'steel.state')).toEqual([]);
    expect(say(with_('EG1', { state: 'set', elsewhere: '-', travel: { truck: null, permit: null, on: '' } }), 'steel.state')).toEqual([]);
  });
  test('a piece of the structure that a move still hangs is asked about too', () => {
    const plan = quayFootbridge();
    plan.members = [{ ...demoPlan().members[0]!, id: 'm1', mark: 'G1a', state: 'bolted', elsewhere: '' }];
    expect(say(plan, 'steel.state')).toEqual(['missing G1a: G1a is said to be bolted, and a move of this plan sets it. Does it stand already?']);
    plan.moves = plan.moves.filter((move) => move.kind !== 'piece.hang' || move.beam !== 'g1a');
    expect(say(plan, 'steel.state')).toEqual([]);
    for (const demo of [quayFootbridge, vehicleRamp, linkSpan]) expect(say(demo(), 'steel.state')).toEqual([]);
  });
  test('here, and to arrive on a day still to come: asked; on the day itself, or where nobody knows the day, not', () => {
    const arrives = (on: string, state: Member['state'] = 'stored') => with_('EG2', { state, travel: { truck: null, permit: null, on } });
    expect(say(arrives('2026-11-30'), 'steel.state')).toEqual(['missing EG2: EG2 is said to be stored, and to arrive on 30 Nov 2026. Is it here?']);
    expect(say(arrives('2026-11-29'), 'steel.state')).toEqual([]);
    expect(say(arrives('2026-11-30'), 'steel.state', null)).toEqual([]);
    expect(say(arrives('soon'), 'steel.state')).toEqual([]);
    expect(say(arrives('2026-11-30', 'shipped'), 'steel.state')).toEqual([]);
  });
});

test.each(['computed', 'by the drawing', 'Weighed', 'measured by tape', 'plan', 'x', '-', 'tbd'])('“%s” names nobody', (text) =>
  expect(namesSomebody(text)).toBe(false),
);
test.each(['K. Osei', 'the quay gang', 'Site laboratory', 'tape crew', '陈伟', 'Osei, from the drawing'])('“%s” names somebody', (text) =>
  expect(namesSomebody(text)).toBe(true),
);
test('a bearing measured by “drawing” was measured by nobody', () => {
  const plan = demoPlan();
  plan.bearings[0]!.measured!.by = 'drawing';
  const asked = (one: Plan) => evaluated(one, TODAY).checks.filter(({ verdict, about }) => verdict === 'missing' && about.id === one.bearings[0]!.id).length;
  expect(asked(demoPlan())).toBe(0);
  expect(asked(plan)).toBeGreaterThan(0);
});
