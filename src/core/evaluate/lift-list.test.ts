import { evaluated } from '../../../tests/evaluated';
import { demoPlan, vehicleRamp, quayFootbridge } from '../../../tests/demo-plan';
import { raised } from '../../../tests/raised';
import { liftList } from './lift-list';
import type { Plan } from '../document/schema';

const listOf = (plan: Plan) => liftList(plan, evaluated(plan, '2026-11-27').checks);

test('lifts stand in the order they are made, each with what its checks say', () => {
  const plan = quayFootbridge();
  const list = listOf(plan);
  expect(list.map(({ id }) => id)).toEqual(['k1', 'k2', 'k3', 'k4']);
  expect(list[0]).toMatchObject({
    mark: expect.any(String),
    how: 'crane at W1',
    mass: expect.closeTo(5249.17, 1),
    share: expect.closeTo(5249.17 / 8610, 3),
    critical: '',
  });
  expect(list.map(({ move }) => move)).toEqual([...list.map(({ move }) => move)].sort((a, b) => a! - b!));
  // Turned round in the run sheet, they are turned round here.
  const hang = (id: string) => plan.moves.find((move) => move.kind === 'piece.hang' && move.pick === id)! as { pick?: string | null; beam: string };
  const [first, second] = [hang('k1'), hang('k2')];
  [first.pick, second.pick, first.beam, second.beam] = [second.pick, first.pick, second.beam, first.beam];
  expect(listOf(plan).map(({ id }) => id)).toEqual(['k2', 'k1', 'k3', 'k4']);
});

test('over three quarters of the chart, or on two cranes, a lift is critical; what is not known stays open', () => {
  expect(
    listOf(vehicleRamp())
      .filter(({ critical }) => critical !== '')
      .map(({ mark, critical }) => [mark, critical]),
  ).toEqual([['G4.1', 'over 75 % of the chart']]);
  const two = quayFootbridge();
  two.picks[0]!.second = { stand: 'w2', boom: 27, slingRating: 5000, riggingMass: 95 };
  const row = listOf(two).find(({ id }) => id === 'k1')!;
  expect(row).toMatchObject({ how: 'crane at W1 and crane at W2', critical: expect.stringContaining('two cranes') });
  two.picks[0]!.second.boom = null;
  expect(listOf(two).find(({ id }) => id === 'k1')).toMatchObject({ mass: null, share: null });
  const blank = demoPlan();
  blank.picks[0]!.riggingMass = null;
  expect(listOf(blank)[0]).toMatchObject({ mass: null, radius: null, share: null, gust: null });
  const never = demoPlan();
  never.moves = never.moves.filter(({ kind }) => kind !== 'pick.lift');
  expect(listOf(never)[0]!.move).toBeNull();
});

test('a lift without a crane has its gear counted, no radius and no gust', () => {
  const list = listOf(raised('mastLift'));
  expect(list[0]).toMatchObject({ radius: null, gust: null, how: expect.stringMatching(/^\d × /) });
  expect(list[0]!.share).toBeGreaterThan(0);
});
