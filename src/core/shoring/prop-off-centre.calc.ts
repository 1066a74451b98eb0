import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/**
 * What is left of a post’s or prop’s strength when its load sits off its middle, or it is not plumb. Straight interaction of axial
 * load and bending: N/N₀ + N·e/M₀ = 1. A leaning prop with both ends held bends by what its own line is off at half height.
 */
export const propOffCentre = defineCalc({
  id: 'shore.offCentre',
  title: 'Prop with its load off the middle, or out of plumb',
  input: closed({
    strength: positive('N', 'plumb and loaded in the middle'),
    moment: positive('N·m', 'what its section takes in bending'),
    off: nonNegative('m', 'load off the middle'),
    free: nonNegative('m', 'off the middle that the strength already allows for'),
    leanDeg: nonNegative('deg'),
    length: positive('m'),
    freeLeanDeg: nonNegative('deg', 'lean that the strength already allows for'),
  }),
  output: closed({ eccentricity: nonNegative('m'), strength: positive('N'), share: positive('1'), sideways: nonNegative('1') }),
  source: { basis: 'statics', text: 'Axial load and bending together, N/N₀ + N·e/M₀ = 1; thrust of a leaning prop N·tan(lean)' },
  compute(i) {
    const lean = (degrees: number) => Math.tan((degrees * Math.PI) / 180);
    const leaning = Math.max(0, lean(i.leanDeg) - lean(i.freeLeanDeg)) * (i.length / 2);
    const eccentricity = Math.max(0, i.off - i.free) + leaning;
    const strength = 1 / (1 / i.strength + eccentricity / i.moment);
    return { eccentricity, strength, share: strength / i.strength, sideways: lean(i.leanDeg) };
  },
  work: (i, o) => [
    {
      label: 'Off the middle, beyond what is allowed for',
      formula: '(e − e₀) + (tan θ − tan θ₀)·l/2',
      numbers: phrase`${q(i.off, 'dimension')} less ${q(i.free, 'dimension')}; ${q(i.leanDeg, 'angle')} less ${q(i.freeLeanDeg, 'angle')} over ${q(i.length, 'length')}`,
      result: q(o.eccentricity, 'dimension'),
    },
    { label: 'Bending its section takes', result: q(i.moment, 'moment') },
    { label: 'Strength left', formula: '1/(1/N₀ + e/M₀)', numbers: phrase`N₀ = ${q(i.strength, 'force')}`, result: q(o.strength, 'force') },
    { label: 'of what it takes plumb and in the middle', formula: 'N/N₀', result: q(o.share, 'fraction') },
    { label: 'Pushes sideways, share of its load', formula: 'tan θ', result: q(o.sideways, 'fraction') },
  ],
});
