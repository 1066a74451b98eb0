import { quayFootbridge } from '../../../tests/demo-plan';
import { leansOn } from './leans-on';

const about = (id: string, part?: string) => ({ kind: 'pick' as const, id, ...(part === undefined ? {} : { part }) });

test('a lift leans on its stand, the crane there, its piece and what that is made of', () => {
  const plan = quayFootbridge();
  const [pick] = plan.picks;
  const piece = plan.structure.pieces.find(({ id }) => id === pick!.piece)!;
  expect(leansOn(plan, about(pick!.id))).toEqual([pick!.id, pick!.stand, 'c1', piece.id, piece.make]);
});

test('on two cranes it leans on both, each once; what is named as a part comes after', () => {
  const plan = quayFootbridge();
  const [pick] = plan.picks;
  plan.cranes.push({ ...plan.cranes[0]!, id: 'c2' });
  plan.stands.push({ ...plan.stands[0]!, id: 'w9', crane: 'c2' });
  pick!.second = { stand: 'w9', boom: null, slingRating: null, riggingMass: null };
  const ids = leansOn(plan, about(pick!.id, plan.structure.supports[0]!.id));
  expect(ids.slice(0, 5)).toEqual([pick!.id, pick!.stand, 'c1', 'w9', 'c2']);
  expect(ids.at(-1)).toBe(plan.structure.supports[0]!.id);
  expect(new Set(ids).size).toBe(ids.length);
});

test('a thing of which nothing is known leans on itself alone', () => {
  expect(leansOn(quayFootbridge(), about('gone'))).toEqual(['gone']);
});
