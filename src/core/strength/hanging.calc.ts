import { Type } from 'typebox';
import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Room for the last bit when a lift point is typed as exactly a limit; leans to the lower factor. */
const ON_THE_LINE = 1e-9;

function liftFactor(ratio: number): number {
  if (ratio <= 0.225 + ON_THE_LINE) return 2;
  return ratio >= 0.3 - ON_THE_LINE ? 4 : 6;
}

/**
 * Lateral-torsional buckling of an I-girder hanging from two points: the uniform-moment value over the whole length
 * times 2.0, 6.0 or 4.0 for lift points ≤ 0.225 L, between, or ≥ 0.3 L from the ends.
 */
export const hanging = defineCalc({
  id: 'member.hanging',
  title: 'Stability of a hanging girder',
  input: closed({
    modulus: positive('Pa'),
    shearModulus: positive('Pa'),
    iWeak: positive('m4'),
    torsion: positive('m4'),
    warping: nonNegative('m6'),
    length: positive('m'),
    liftFromEnd: nonNegative('m', 'end to lift point'),
  }),
  output: closed({ cb: Type.Number({ unit: '1', minimum: 1, maximum: 3 }), critical: positive('N·m') }),
  source: { basis: 'memory', text: 'Texas girder-lifting research quoted in FHWA-NHI-15-044, from memory' },
  compute(i) {
    if (!(i.liftFromEnd < i.length / 2))
      refuse(
        'liftFromEnd',
        `A lift point ${i.liftFromEnd} m from the end of a ${i.length} m piece is at or past its middle: give the distance to the nearer end.`,
      );
    const cb = liftFactor(i.liftFromEnd / i.length);
    const weak = i.modulus * i.iWeak;
    const uniform = (Math.PI / i.length) * Math.sqrt(weak * i.shearModulus * i.torsion + ((Math.PI * i.modulus) / i.length) ** 2 * i.iWeak * i.warping);
    return { cb, critical: cb * uniform };
  },
  work: (i, o) => [
    {
      label: 'Lift point',
      formula: 'a/L',
      numbers: phrase`${q(i.liftFromEnd, 'length')} / ${q(i.length, 'length')}`,
      result: q(i.liftFromEnd / i.length, 'factor'),
    },
    { label: 'Factor for it', formula: 'C = 2.0 (≤ 0.225), 6.0 between, 4.0 (≥ 0.3)', result: q(o.cb, 'factor') },
    { label: 'Uniform-moment value', formula: 'M₀ = (π/L)·√(EI_w·GJ + (πE/L)²·I_w·C_w)', result: q(o.critical / o.cb, 'moment') },
    { label: 'Critical moment', formula: 'M_cr = C·M₀', result: q(o.critical, 'moment') },
  ],
});
