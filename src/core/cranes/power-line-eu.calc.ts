import { closed, nonNegative, nullable, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { q } from '../calc/work';

/** Approach distance for building work near bare conductors: nominal voltage up to [V] → distance [m]. */
export const approachEu: readonly { upTo: number; metres: number }[] = [
  { upTo: 1e3, metres: 1 },
  { upTo: 110e3, metres: 3 },
  { upTo: 220e3, metres: 4 },
  { upTo: 380e3, metres: 5 },
];

/** Distance to a power line in Europe: the table, or what the owner of the line asks, whichever is more. */
export const powerLineEu = defineCalc({
  id: 'crane.powerLineEu',
  title: 'Distance to a power line, European practice',
  input: closed({ volts: positive('V', 'nominal, phase to phase', { maximum: 1e7 }), owner: nullable(positive('m', 'what the owner of the line asks')) }),
  output: closed({ clearance: nonNegative('m') }),
  source: {
    basis: 'memory',
    text: 'EN 50110-1 and DIN VDE 0105-100, building work: 1, 3, 4 and 5 m up to 1, 110, 220 and 380 kV, from memory; the owner’s figure where it is more',
  },
  compute({ volts, owner }) {
    const row = approachEu.find(({ upTo }) => volts <= upTo);
    if (!row && owner === null) refuse('volts', `${volts / 1000} kV is above the table’s 380 kV: the owner of the line sets the distance.`);
    return { clearance: Math.max(row?.metres ?? 0, owner ?? 0) };
  },
  work: (i, o) => [
    {
      label: `Table at ${i.volts / 1000} kV`,
      formula: 'least distance of any part of crane, line or load',
      result: q(approachEu.find(({ upTo }) => i.volts <= upTo)?.metres ?? 0, 'length'),
    },
    { label: 'The owner asks', result: i.owner === null ? 'not known' : q(i.owner, 'length') },
    { label: 'Kept', formula: 'the larger', result: q(o.clearance, 'length') },
  ],
});
