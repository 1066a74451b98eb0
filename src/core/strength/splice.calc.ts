import { closed, nonNegative, oneOf, positive, positiveInteger } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

const even = (count: number): number => 2 * Math.ceil(count / 2 - 1e-9);

/**
 * Bolts an erector needs in a splice for the moment and shear there while the piece is temporary.
 * cover: the flange plates take the moment as a couple, the web plates take the shear; single shear at the flange, double at the web.
 * endPlate: the bolts at one flange take the couple in tension with a share added for prying, the rest take the shear.
 */
export const splice = defineCalc({
  id: 'connection.splice',
  title: 'Bolts in a splice, temporary condition',
  input: closed({
    kind: oneOf(['cover', 'endPlate']),
    moment: nonNegative('N·m'),
    shear: nonNegative('N'),
    depth: positive('m', 'of the section'),
    flange: positive('m', 'flange thickness'),
    boltShear: positive('N', 'one bolt, one plane'),
    boltTension: positive('N'),
    prying: nonNegative('1', 'share added to the bolt tension', { maximum: 2 }),
  }),
  output: closed({
    couple: nonNegative('N', 'flange force'),
    flangeBolts: positiveInteger('each side of the joint, each flange; for an end plate, at the tension flange'),
    webBolts: positiveInteger('each side of the joint; for an end plate, the bolts kept for shear'),
    perJoint: positiveInteger('to bring to site for one splice'),
  }),
  source: {
    basis: 'practice',
    text: 'Couple over the flange centres, shear on the web; bolt values AISC 360 J3 or EN 1993-1-8 Table 3.4. Final design by the engineer',
  },
  compute(i) {
    const lever = i.depth - i.flange;
    if (i.kind === 'cover') {
      const couple = i.moment / i.depth;
      const flangeBolts = Math.max(4, even(couple / i.boltShear));
      const webBolts = Math.max(2, Math.ceil(i.shear / (2 * i.boltShear) - 1e-9));
      return { couple, flangeBolts, webBolts, perJoint: 2 * (2 * flangeBolts + webBolts) };
    }
    const couple = i.moment / lever;
    const flangeBolts = Math.max(4, even((couple * (1 + i.prying)) / i.boltTension));
    const webBolts = Math.max(2, even(i.shear / i.boltShear));
    return { couple, flangeBolts, webBolts, perJoint: 2 * flangeBolts + webBolts };
  },
  work: (i, o) => [
    {
      label: 'Flange force',
      formula: i.kind === 'cover' ? 'M/d (plates outside the flanges)' : 'M/(d − t_f)',
      numbers: phrase`${q(i.moment, 'moment')}, d = ${q(i.depth, 'dimension')}`,
      result: q(o.couple, 'force'),
    },
    {
      label: 'Bolts at a flange',
      formula: i.kind === 'cover' ? 'force / bolt shear, even, at least 4' : 'force·(1 + prying) / bolt tension, even, at least 4',
      numbers: phrase`${q(i.kind === 'cover' ? i.boltShear : i.boltTension, 'force')} a bolt`,
      result: q(o.flangeBolts, 'count'),
    },
    {
      label: 'Bolts for shear',
      formula: i.kind === 'cover' ? 'V / (2 planes × bolt shear), at least 2' : 'V / bolt shear, even, at least 2',
      numbers: phrase`${q(i.shear, 'force')}`,
      result: q(o.webBolts, 'count'),
    },
    { label: 'Bolts for one splice', formula: i.kind === 'cover' ? '2 sides × (2 flanges + web)' : '2 flanges + shear', result: q(o.perJoint, 'count') },
    { label: 'Left to the engineer', result: 'plates, edge distances, slip, prying and the finished building: final design by the engineer' },
  ],
});
