import { closed, positive, positiveInteger } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** What a team may lift together: two about two thirds of their sum, three or more about half. */
export const teamShare = (people: number): number => (people <= 1 ? 1 : people === 2 ? 2 / 3 : 1 / 2);

export const teamCarry = defineCalc({
  id: 'handling.team',
  title: 'People needed to carry a piece',
  input: closed({ mass: positive('kg'), perPerson: positive('kg', 'guideline for one person'), people: positiveInteger('at hand') }),
  output: closed({ capability: positive('kg'), needed: positiveInteger() }),
  source: {
    basis: 'memory',
    text: 'HSE L23 guideline, 25 kg for one man close at waist height; two people ⅔ of their sum, three ½; from memory. A guideline, not a limit',
  },
  compute({ mass, perPerson, people }) {
    const good = (n: number) => n * perPerson * teamShare(n);
    let needed = 1;
    if (mass > good(1)) needed = mass <= good(2) ? 2 : Math.max(3, Math.ceil(mass / (perPerson / 2) - 1e-9));
    return { capability: good(people), needed };
  },
  work: (i, o) => [
    {
      label: 'Team at hand may lift',
      formula: 'people × guideline × share',
      numbers: phrase`${String(i.people)} × ${q(i.perPerson, 'mass')} × ${q(teamShare(i.people), 'fraction')}`,
      result: q(o.capability, 'mass'),
    },
    { label: 'People needed', numbers: phrase`for ${q(i.mass, 'mass')}`, result: q(o.needed, 'count') },
  ],
});
