import { readFileSync } from 'node:fs';
import { readIfc } from '.';

const text = readFileSync('tests/files/outlines.ifc', 'utf8');
const read = (from = text) => readIfc(new TextEncoder().encode(from));

test('shapes drawn by their outline, and rods along a line: what they are of, how long, and how it is known', async () => {
  const { rows, faults, notes, asked } = await read();
  expect(faults).toEqual([]);
  expect(rows.map(({ mark, section, length }) => [mark, section, Number(length.toFixed(6))])).toEqual([
    ['O-1', 'IPE 300', 4],
    ['O-2', 'IPE 300', 4],
    ['O-3', 'HSS8x8x3/8', 4],
    ['O-4', 'rectangle 120 × 20 mm', 4],
    ['O-5', 'shape 260 × 150 mm', 4],
    ['O-6', 'IPE 300', 4],
    ['O-7', 'IPE 300', 4],
    ['O-8', 'HEA 200', 3],
    ['O-9', 'shape 50 × 100 mm', 1.2],
    ['O-10', 'round 24 mm', 3.4],
    ['O-11', 'tube 88.9 × 5 mm', 2.5],
  ]);
  const said = (notes ?? []).map(({ from, error }) => `${from}: ${error}`);
  expect(asked).toEqual([
    { about: 'section', marks: ['O-6'], question: expect.stringMatching(/names the section IPE 300 and draws it as HEA 200 is: which is right/) },
  ]);
  expect(said).toContainEqual(expect.stringMatching(/^O-5, O-9: .*only the outline/));
  expect(said.some((note) => /O-7/.test(note))).toBe(false);
});
test('an outline of nothing leaves the piece without a section, and says so', async () => {
  const { faults } = await read(text.replace(/IFCARBITRARYCLOSEDPROFILEDEF\(\.AREA\.,\$,#\d+\)/, 'IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,$,#4)'));
  expect(faults).toEqual([{ from: expect.any(String), error: expect.stringContaining('O-1 has neither profile nor shape') }]);
});
test('a curve put together of itself a hundred times over costs no more than another', async () => {
  const [, curve] = /#(\d+)=IFCCOMPOSITECURVE\(/.exec(text) ?? [];
  const [, segment] = /#(\d+)=IFCCOMPOSITECURVESEGMENT\(\.CONTINUOUS\.,\.T\./.exec(text) ?? [];
  const ring = text
    .replace(/(IFCCOMPOSITECURVESEGMENT\(\.CONTINUOUS\.,\.T\.,)#\d+/g, `$1#${curve}`)
    .replace(/IFCCOMPOSITECURVE\(\([^)]*\)/, `IFCCOMPOSITECURVE((${Array(100).fill(`#${segment}`).join(',')})`);
  expect(ring).not.toBe(text);
  const { rows, faults } = await read(ring);
  expect(rows.map((row) => row.mark)).not.toContain('O-9');
  expect(rows.length + faults.length).toBe(11);
}, 20_000);
test('a hundred shapes in one another, each a hundred times, end', async () => {
  const deep = Array.from({ length: 100 }, (_, i) => {
    const [map, item, shape] = [5000 + i, 5200 + i, 5400 + i];
    return `#${shape}=IFCSHAPEREPRESENTATION(#6,'Body','MappedRepresentation',(${Array(100).fill(`#${item}`).join(',')}));\n#${item}=IFCMAPPEDITEM(#${i === 99 ? 5000 : map + 1},#4);\n#${map}=IFCREPRESENTATIONMAP(#5,#${shape});`;
  });
  const nested = text.replace(
    'DATA;',
    `DATA;\n${deep.join('\n')}\n#5600=IFCPRODUCTDEFINITIONSHAPE($,$,(#5400));\n#5601=IFCMEMBER('2kWren0000000000000099',$,'m',$,$,#8,#5600,'O-12',$);`,
  );
  const { rows, faults } = await read(nested);
  expect(rows).toHaveLength(11);
  expect(faults).toEqual([{ from: '#5601', error: expect.stringContaining('O-12 has neither profile nor shape') }]);
}, 20_000);
test('a shell of very many faces is looked at as far as that goes, and nothing stumbles', async () => {
  const faces = Array.from({ length: 160_000 }, () => '#9').join(',');
  const heavy = text.replace(
    'DATA;',
    `DATA;\n#5700=IFCCLOSEDSHELL((${faces}));\n#5701=IFCFACETEDBREP(#5700);\n#5702=IFCSHAPEREPRESENTATION(#6,'Body','Brep',(#5701));\n#5703=IFCPRODUCTDEFINITIONSHAPE($,$,(#5702));\n#5704=IFCMEMBER('2kWren0000000000000098',$,'m',$,$,#8,#5703,'O-13',$);`,
  );
  const { rows, faults } = await read(heavy);
  expect(rows).toHaveLength(11);
  expect(faults).toEqual([{ from: '#5704', error: expect.stringContaining('O-13') }]);
}, 30_000);
