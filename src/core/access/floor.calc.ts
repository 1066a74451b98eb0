import { Type } from 'typebox';
import { closed, nonNegative, positive, positiveInteger } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';
import { GRAVITY } from '../units';

/** What a piece, its gear and the people with it put on the floor they cross. */
export const accessFloor = defineCalc({
  id: 'access.floor',
  title: 'Floor load on the way in',
  input: closed({
    mass: positive('kg', 'the piece'),
    gear: nonNegative('kg', 'skates, trolley, rollers'),
    people: Type.Integer({ minimum: 0, maximum: 1000 }),
    personMass: positive('kg'),
    length: positive('m', 'of floor that carries it'),
    width: positive('m'),
    supports: positiveInteger('skates or points it stands on'),
  }),
  output: closed({ pressure: positive('Pa'), point: positive('N') }),
  source: { basis: 'statics', text: 'Weight over the strip of floor that carries it; a point takes its share of piece and gear' },
  compute: (i) => ({
    pressure: ((i.mass + i.gear + i.people * i.personMass) * GRAVITY) / (i.length * i.width),
    point: ((i.mass + i.gear) * GRAVITY) / i.supports,
  }),
  work: (i, o) => [
    {
      label: 'All of it',
      formula: 'piece + gear + people',
      numbers: phrase`${q(i.mass, 'mass')} + ${q(i.gear, 'mass')} + ${String(i.people)} × ${q(i.personMass, 'mass')}`,
      result: q(i.mass + i.gear + i.people * i.personMass, 'mass'),
    },
    { label: 'Over the strip', numbers: phrase`${q(i.length, 'length')} × ${q(i.width, 'length')}`, result: q(o.pressure, 'pressure') },
    { label: 'Each point', formula: '(piece + gear) / points', result: q(o.point, 'force') },
  ],
});
