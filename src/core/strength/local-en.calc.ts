import { Type } from 'typebox';
import { closed, nonNegative, positive, yieldStress } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Limits of Table 5.2 in ε: an outstanding flange pressed evenly, a web in bending. */
const FLANGE = [9, 10, 14] as const;
const WEB = [72, 83, 124] as const;

const classOf = (ratio: number, [one, two, three]: readonly [number, number, number], epsilon: number): number =>
  ratio <= one * epsilon ? 1 : ratio <= two * epsilon ? 2 : ratio <= three * epsilon ? 3 : 4;

/**
 * What of an I-shape may be counted in bending about its strong axis before its plates buckle locally: plastic in classes 1 and 2, elastic
 * in class 3; of a web of class 4 nothing is counted, and the flanges alone carry. A flange of class 4 is refused.
 */
export const localEn = defineCalc({
  id: 'member.localEn',
  title: 'Class of a section in bending, limit state',
  input: closed({
    yield: yieldStress(),
    depth: positive('m'),
    width: positive('m'),
    flange: positive('m'),
    web: positive('m'),
    root: nonNegative('m', 'root radius or weld; 0 where it is not known'),
    wPlastic: positive('m3'),
    wElastic: positive('m3'),
  }),
  output: closed({
    epsilon: positive('1'),
    flangeRatio: positive('1'),
    webRatio: positive('1'),
    flangeClass: Type.Integer({ minimum: 1, maximum: 3 }),
    webClass: Type.Integer({ minimum: 1, maximum: 4 }),
    modulus: positive('m3'),
  }),
  source: { basis: 'memory', text: 'EN 1993-1-1 Table 5.2; a web of class 4 left out whole, as EN 1993-1-5 5.4 lets the flanges carry alone; from memory' },
  compute(i) {
    const outstand = (i.width - i.web) / 2 - i.root;
    const clear = i.depth - 2 * i.flange - 2 * i.root;
    if (!(outstand > 0)) refuse('width', `A width of ${i.width} m leaves no flange beside a web of ${i.web} m: check the section.`);
    if (!(clear > 0)) refuse('depth', `A depth of ${i.depth} m leaves no web between flanges of ${i.flange} m: check the section.`);
    const epsilon = Math.sqrt(235e6 / i.yield);
    const flangeRatio = outstand / i.flange;
    const webRatio = clear / i.web;
    const flangeClass = classOf(flangeRatio, FLANGE, epsilon);
    const webClass = classOf(webRatio, WEB, epsilon);
    if (flangeClass === 4)
      refuse(
        'flange',
        `A flange that stands out ${flangeRatio.toFixed(1)} times its thickness buckles locally (over ${(14 * epsilon).toFixed(1)}): the engineer decides what of it counts.`,
      );
    const flanges = i.width * i.flange * (i.depth - i.flange);
    const modulus = webClass === 4 ? Math.min(flanges, i.wElastic) : flangeClass === 3 || webClass === 3 ? i.wElastic : i.wPlastic;
    return { epsilon, flangeRatio, webRatio, flangeClass, webClass, modulus };
  },
  work: (i, o) => [
    { label: 'Strain factor', formula: 'ε = √(235/f_y)', numbers: phrase`f_y = ${q(i.yield, 'stress')}`, result: q(o.epsilon, 'factor') },
    { label: 'Flange outstand', formula: 'c/t against 9ε, 10ε, 14ε', numbers: phrase`class ${String(o.flangeClass)}`, result: q(o.flangeRatio, 'factor') },
    { label: 'Web in bending', formula: 'c/t against 72ε, 83ε, 124ε', numbers: phrase`class ${String(o.webClass)}`, result: q(o.webRatio, 'factor') },
    {
      label: o.webClass === 4 ? 'The flanges alone' : Math.max(o.flangeClass, o.webClass) === 3 ? 'Elastic modulus' : 'Plastic modulus',
      formula: o.webClass === 4 ? 'b·t·(h − t)' : 'W',
      result: q(o.modulus, 'sectionModulus'),
    },
  ],
});
