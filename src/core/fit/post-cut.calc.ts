import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Length of a post between what it stands on and the seat it makes. */
export const postCut = defineCalc({
  id: 'fit.postCut',
  title: 'Length to cut a post',
  input: closed({
    seatLevel: real('m', { description: 'underside of the piece' }),
    baseLevel: real('m', { description: 'top of what the post stands on' }),
    plates: nonNegative('m', 'cap, base plate, grout and packs together'),
    tightFit: real('m', { description: 'added to drive it in tight; 0 for steel' }),
  }),
  output: closed({ length: positive('m') }),
  source: { basis: 'practice', text: 'Level difference less plates; timber posts 3 to 6 mm (⅛ to ¼ in) long and tapped in, common practice' },
  compute({ seatLevel, baseLevel, plates, tightFit }) {
    const length = seatLevel - baseLevel - plates + tightFit;
    if (!(length > 0)) refuse('seatLevel', `The seat at ${seatLevel} m leaves no room for a post on ${baseLevel} m: check both levels.`);
    return { length };
  },
  work: (i, o) => [
    {
      label: 'Length to cut',
      formula: 'seat − base − plates + tight fit',
      numbers: phrase`${q(i.seatLevel, 'length')} − ${q(i.baseLevel, 'length')} − ${q(i.plates, 'dimension')} + ${q(i.tightFit, 'dimension')}`,
      result: q(o.length, 'length'),
    },
  ],
});
