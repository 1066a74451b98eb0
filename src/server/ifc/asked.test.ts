import { readFileSync } from 'node:fs';
import { readIfc } from '.';

/** Two beams and a column, its weights in kilograms. */
const model = readFileSync('tests/files/two-beams.ifc', 'utf8').replace(
  'IFCUNITASSIGNMENT((#1));',
  'IFCUNITASSIGNMENT((#1,#98));\n#98=IFCSIUNIT(*,.MASSUNIT.,.KILO.,.GRAM.);',
);
const read = (text: string) => readIfc(new TextEncoder().encode(text));
/** The model with something changed: what is changed must be there. */
function changed(...pairs: [from: string, to: string][]): string {
  return pairs.reduce((text, [from, to]) => {
    expect(text).toContain(from);
    return text.replaceAll(from, to);
  }, model);
}
const end = 'ENDSEC;\nEND-ISO';
const more = (lines: string, ...pairs: [string, string][]): string => changed([end, `${lines}\n${end}`], ...pairs);
/** B1 told apart: the second of the two has quantities of its own. */
const secondWeighs = (mass: string) =>
  more(
    `#301=IFCQUANTITYWEIGHT('NetWeight',$,$,${mass},$);\n#302=IFCELEMENTQUANTITY('0hVqW0000000000000016A',$,'Q',$,$,(#200,#301));\n#303=IFCRELDEFINESBYPROPERTIES('0hVqW0000000000000017A',$,$,$,(#110),#302);`,
    ['(#100,#110),#202', '(#100),#202'],
  );

test('two of one mark with different weights are two kinds, and their weights are asked', async () => {
  const { rows, asked } = await read(secondWeighs('420.5'));
  expect(rows.filter(({ mark }) => mark.startsWith('B1')).map(({ mark, mass, count }) => [mark, mass, count])).toEqual([
    ['B1', null, 1],
    ['B1-2', null, 1],
  ]);
  expect(asked).toEqual([{ about: 'mass', marks: ['B1', 'B1-2'], question: expect.stringContaining('261.6 and 420.5 kg') }]);
  expect((await read(secondWeighs('261.6'))).rows[0]).toMatchObject({ mark: 'B1', count: 2, mass: expect.closeTo(261.6, 6) });
});
test.each([100, 40, 2])('a file cut off before its last %i letters is refused', async (short) => {
  const { rows, faults } = await read(model.slice(0, model.length - short));
  expect(rows).toEqual([]);
  expect(faults[0]!.error).toMatch(/cut short/);
});
test('plates and proxies beside the beams are counted and told', async () => {
  const plate = (n: number, kind: string) => `#${400 + n}=${kind}('0hVqW00000000000000${20 + n}A',$,'P',$,$,#7,$,'P${n}',$);`;
  const { faults } = await read(more([plate(0, 'IFCPLATE'), plate(1, 'IFCPLATE'), plate(2, 'IFCBUILDINGELEMENTPROXY')].join('\n')));
  expect(faults.map(({ from }) => from)).toEqual(expect.arrayContaining(['2 plates', '1 building element proxies']));
});
test('what is left after the holes goes before what was bought, in whichever set; two that are as sure are asked', async () => {
  const set = (name: string, mass: string) =>
    `#301=IFCQUANTITYWEIGHT('${name}',$,$,${mass},$);\n#302=IFCELEMENTQUANTITY('0hVqW0000000000000016A',$,'Q',$,$,(#301));\n#303=IFCRELDEFINESBYPROPERTIES('0hVqW0000000000000017A',$,$,$,(#100,#110),#302);`;
  const grossFirst = more(set('NetWeight', '258.4'), ["'NetWeight',$,$,261.6", "'GrossWeight',$,$,270.0"]);
  expect((await read(grossFirst)).rows[0]!.mass).toBeCloseTo(258.4, 6);
  const both = await read(more(set('NetWeight', '300.0')));
  expect(both.rows[0]!.mass).toBeNull();
  expect(both.asked).toEqual([{ about: 'mass', marks: ['B1'], question: expect.stringContaining('two weights, 261.6 kg and 300.0 kg') }]);
});
test('a quantity with a unit of its own is read in it', async () => {
  const pounds = more(
    "#310=IFCDIMENSIONALEXPONENTS(0,1,0,0,0,0,0);\n#311=IFCSIUNIT(*,.MASSUNIT.,.KILO.,.GRAM.);\n#312=IFCMEASUREWITHUNIT(IFCMASSMEASURE(0.45359237),#311);\n#313=IFCCONVERSIONBASEDUNIT(#310,.MASSUNIT.,'POUND',#312);",
    ["'NetWeight',$,$,261.6", "'NetWeight',$,#313,576.7"],
  );
  expect((await read(pounds)).rows[0]!.mass).toBeCloseTo(261.59, 1);
});
test('weights in no unit are asked unless the listed section shows kilograms', async () => {
  const { rows, asked } = await read(changed(['(#1,#98)', '(#1)'], ["'NetWeight',$,$,261.6", "'NetWeight',$,$,576.7"]));
  expect((await read(changed(['(#1,#98)', '(#1)']))).rows[0]!.mass).toBeCloseTo(261.6, 6);
  expect(rows[0]!.mass).toBeNull();
  expect(asked).toMatchObject([{ about: 'mass', marks: ['B1'] }]);
});
test.each(['6.2E6', '1.E297', '9.'])('a length of %s mm is refused', async (length) => {
  const { rows, faults } = await read(changed(["'Length',$,$,6200.", `'Length',$,$,${length}`]));
  expect(rows.some(({ mark }) => mark === 'B1')).toBe(false);
  expect(faults.some(({ error }) => /B1 would be .* m long/.test(error))).toBe(true);
});
test('a length said and another drawn are asked', async () => {
  const { asked } = await read(changed(["'Length',$,$,6200.", "'Length',$,$,9200."]));
  expect(asked).toMatchObject([{ about: 'length', marks: ['B1'] }]);
});
test('a model that names no unit of length is asked', async () => {
  for (const text of [changed(['((#1,#98))', '((#98))']), changed(['.MILLI.,.METRE.', '.LIGHT.,.METRE.'])]) {
    const { rows, asked } = await read(text);
    expect(rows).toEqual([]);
    expect(asked).toMatchObject([{ about: 'length' }]);
  }
});
test.each(['Concrete C30/37', 'Beton', 'GL 28h timber', 'Aluminium'])('a beam of %s is told and not read', async (name) => {
  const { rows, faults } = await read(more(`#320=IFCMATERIAL('${name}',$,$);\n#321=IFCRELASSOCIATESMATERIAL('0hVqW0000000000000018A',$,$,$,(#120),#320);`));
  expect(rows.map(({ mark }) => mark)).toEqual(['B1']);
  expect(faults.some(({ error }) => error.includes(`C1 is of`) && error.includes('not of steel'))).toBe(true);
});
test('a section renamed to its neighbour in another table is asked', async () => {
  const { asked } = await read(changed(["'HEA 200'", "'HEB 200'"]));
  expect(asked).toEqual([{ about: 'section', marks: ['C1'], question: expect.stringContaining('names the section HEB 200 and draws it as HEA 200 is') }]);
  expect((await read(changed(["'IPE 300'", "'IPE 330'"]))).asked).toMatchObject([{ about: 'section', marks: ['B1'] }]);
});
test('the same piece twice is asked, by its number or by where it stands', async () => {
  const twice = await read(changed(["'Beam',$,$,#72,", "'Beam',$,$,#7,"]));
  expect(twice.asked).toMatchObject([{ about: 'count', marks: ['B1'], question: expect.stringContaining('#100 and #110 stand in the same place') }]);
  expect((await read(changed(['0hVqW0000000000000003A', '0hVqW0000000000000002A']))).asked).toMatchObject([{ about: 'count' }]);
  // One of the two weighed and the other not: still the same piece.
  const unweighed = await read(changed(["'Beam',$,$,#72,", "'Beam',$,$,#7,"], ['(#100,#110),#202', '(#100),#202']));
  expect(unweighed.asked).toMatchObject([{ about: 'count', marks: ['B1', 'B1-2'] }]);
  // Turned a quarter, it is another.
  const crossed = more('#90=IFCDIRECTION((0.,1.,0.));\n#91=IFCDIRECTION((1.,0.,0.));\n#92=IFCAXIS2PLACEMENT3D(#3,#91,#90);\n#93=IFCLOCALPLACEMENT($,#92);', [
    "'Beam',$,$,#72,",
    "'Beam',$,$,#93,",
  ]);
  expect((await read(crossed)).asked).toBeUndefined();
});
test('a beam of no placement, or of no length, is told', async () => {
  const { faults } = await read(changed(["'C1',$,$,#7,#23", "'C1',$,$,$,#23"]));
  expect(faults.some(({ from, error }) => from === 'C1' && /place is not read/.test(error))).toBe(true);
  const none = await read(changed(["'C1',$,$,#7,#23", "'C1',$,$,#7,$"]));
  expect(none.rows.some(({ mark }) => mark === 'C1')).toBe(false);
  expect(none.faults.some(({ error }) => error.startsWith('C1 has neither'))).toBe(true);
});
