import { Type } from 'typebox';
import { closed, nonNegative, oneOf, positive, yieldStress } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/**
 * What of an I-shape counts when it is pressed evenly. A plate wider than it may be for its thickness buckles locally, and no more of it is
 * counted than just past that width counts: the effective width of either code only grows from there.
 */
export const pressedArea = defineCalc({
  id: 'member.pressedArea',
  title: 'Area that counts under pressure',
  input: closed({
    rule: oneOf(['aisc', 'en']),
    yield: yieldStress(),
    modulus: positive('Pa'),
    area: positive('m2'),
    depth: positive('m'),
    width: positive('m'),
    flange: positive('m'),
    web: positive('m'),
    root: nonNegative('m', 'root radius or weld; 0 where it is not known'),
    builtUp: Type.Boolean({ description: 'welded of plates' }),
  }),
  output: closed({ flangeRatio: positive('1'), webRatio: positive('1'), flangeLimit: positive('1'), webLimit: positive('1'), area: positive('m2') }),
  source: {
    basis: 'memory',
    text: 'EN 1993-1-1 Table 5.2 with EN 1993-1-5 Table 4.1; AISC 360 Table B4.1a with E7; from memory',
  },
  compute(i) {
    const clear = i.depth - 2 * i.flange - 2 * i.root;
    if (!(clear > 0)) refuse('depth', `A depth of ${i.depth} m leaves no web between flanges of ${i.flange} m: check the section.`);
    const american = i.rule === 'aisc';
    const outstand = american ? i.width / 2 : (i.width - i.web) / 2 - i.root;
    if (!(outstand > 0)) refuse('width', `A width of ${i.width} m leaves no flange beside a web of ${i.web} m: check the section.`);
    const flangeRatio = outstand / i.flange;
    const webRatio = clear / i.web;
    const root = Math.sqrt(i.modulus / i.yield);
    const epsilon = Math.sqrt(235e6 / i.yield);
    const kc = Math.min(0.76, Math.max(0.35, 4 / Math.sqrt(webRatio)));
    const flangeLimit = american ? (i.builtUp ? 0.64 * Math.sqrt(kc) : 0.56) * root : 14 * epsilon;
    const webLimit = american ? 1.49 * root : 42 * epsilon;
    // Just past 14ε and 42ε, EN 1993-1-5 counts 13.9ε and 39.9ε.
    const [flangeCounts, webCounts] = american ? [flangeLimit, webLimit] : [13.9 * epsilon, 39.9 * epsilon];
    const lostFlange = flangeRatio > flangeLimit ? (flangeRatio - flangeCounts) * i.flange ** 2 : 0;
    const lostWeb = webRatio > webLimit ? (webRatio - webCounts) * i.web ** 2 : 0;
    const area = i.area - 4 * lostFlange - lostWeb;
    if (!(area > 0)) refuse('area', `Of an area of ${i.area} m² nothing is left that does not buckle locally: check the section.`);
    return { flangeRatio, webRatio, flangeLimit, webLimit, area };
  },
  work: (i, o) => [
    { label: 'Flange outstand', formula: 'c/t', numbers: phrase`all of it counts up to ${q(o.flangeLimit, 'factor')}`, result: q(o.flangeRatio, 'factor') },
    { label: 'The limit of a flange', formula: i.rule === 'aisc' ? '0.56·√(E/F_y), welded 0.64·√(k_c·E/F_y)' : '14ε', result: q(o.flangeLimit, 'factor') },
    { label: 'Web', formula: 'c/t', numbers: phrase`all of it counts up to ${q(o.webLimit, 'factor')}`, result: q(o.webRatio, 'factor') },
    { label: 'The limit of a web', formula: i.rule === 'aisc' ? '1.49·√(E/F_y)' : '42ε', result: q(o.webLimit, 'factor') },
    { label: 'Area that counts', formula: 'A − what buckles', numbers: phrase`of ${q(i.area, 'area')}`, result: q(o.area, 'area') },
  ],
});
