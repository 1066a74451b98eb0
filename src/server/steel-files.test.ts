import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { keepsOrder, leastLoads, loadsInOrder, type LoadPiece } from '@/core/steel/lists/loads';
import { fewestLoads } from '../../tests/fewest-loads';
import { readIfc } from './ifc';
import { planLoads } from './loads';

const bytes = (text: string) => new TextEncoder().encode(text);

describe('IFC', () => {
  const model = readFileSync('tests/files/two-beams.ifc', 'utf8');
  test('beams and columns with profile, length in the model’s units, weight when given, and counted by mark', async () => {
    const { rows, faults } = await readIfc(bytes(model));
    expect(rows).toEqual([
      {
        from: '#100',
        mark: 'B1',
        section: 'IPE 300',
        length: expect.closeTo(6.2, 9),
        grade: '',
        count: 2,
        mass: expect.closeTo(261.6, 6),
        order: null,
        place: 'model x 0.00 y 0.00 z 0.00 m',
      },
      {
        from: '#120',
        mark: 'C1',
        section: 'HEA 200',
        length: expect.closeTo(3.5, 9),
        grade: '',
        count: 1,
        mass: null,
        order: null,
        place: 'model x 0.00 y 0.00 z 0.00 m',
      },
    ]);
    expect(faults).toEqual([{ from: '#130', error: expect.stringContaining('B9 has neither profile nor shape') }]);
  });
  test('an older schema in feet and pounds: a clipped, mapped shape, and a place through turned placements', async () => {
    const { rows, faults } = await readIfc(new Uint8Array(readFileSync('tests/files/feet-and-pounds.ifc')));
    expect(faults).toEqual([]);
    // The storey is turned a quarter and shifted by (100, 50) ft: (10, 2, 12) in it is (98, 60, 12) ft in the model.
    expect(rows).toEqual([
      {
        from: '#100',
        mark: 'G-7',
        section: 'W10X88',
        length: expect.closeTo(28 * 0.3048, 9),
        grade: '',
        count: 1,
        mass: expect.closeTo(2464 * 0.45359237, 6),
        order: null,
        place: 'model x 29.87 y 18.29 z 3.66 m',
      },
    ]);
  });
  test('names for marks, GUIDs for tags, profiles without a name, faces without a length: read, and told how', async () => {
    const { rows, faults, notes } = await readIfc(new Uint8Array(readFileSync('tests/files/names-without-marks.ifc')));
    expect(faults).toEqual([]);
    expect(rows.map(({ mark, section, length, count, mass, grade }) => [mark, section, Number(length.toFixed(6)), count, mass, grade])).toEqual([
      ['BEAM', 'HEA 200', 4.2, 2, null, ''],
      ['BEAM-2', 'HEA 200', 5.1, 1, null, ''],
      // The assembly’s mark goes before the part’s; a weight without a measure has no unit and is left alone.
      ['TB-12', 'IPE 300', 6.15, 1, 268.4, 'S355J2'],
      ['Post-1', 'shape 160 × 120 mm', 3.2, 1, null, ''],
      ['Sill', 'rectangle 240 × 200 mm', 2.9, 1, null, ''],
    ]);
    expect(notes).toEqual([
      { from: 'BEAM', error: expect.stringContaining('the name of 2 kinds of piece in the model: they are numbered BEAM to BEAM-2') },
      { from: 'BEAM, BEAM-2', error: 'The model names no section: by its measures it is HEA 200.' },
      { from: 'TB-12', error: 'The model calls the section “Träger 6”: by its measures it is IPE 300.' },
      { from: 'Post-1', error: expect.stringContaining('measured on the shape') },
      { from: 'Post-1', error: expect.stringContaining('a guess from the shape') },
    ]);
  });
  test('a number already taken is not given again', async () => {
    const text = readFileSync('tests/files/names-without-marks.ifc', 'utf8').replace("'Sill'", "'BEAM-2'");
    const { rows } = await readIfc(bytes(text));
    expect(rows.map((row) => row.mark)).toEqual(['BEAM', 'BEAM-3', 'TB-12', 'Post-1', 'BEAM-2']);
  });
  test('handles that point at nothing are no members, and break nothing', async () => {
    const text = readFileSync('tests/files/names-without-marks.ifc', 'utf8').replace(/#(20|60|130)=[^\n]*\n/g, '');
    const { rows, faults } = await readIfc(bytes(text));
    expect([...rows, ...faults].length).toBeGreaterThan(0);
    expect(rows.find((row) => row.mark === 'Post-1')).toBeDefined();
  });
  test('CRLF line ends change nothing', async () => expect((await readIfc(bytes(model.replace(/\n/g, '\r\n')))).rows).toHaveLength(2));
  test('a picture is not a model', async () => expect((await readIfc(bytes('\u0089PNG'))).faults[0]?.error).toMatch(/not an IFC file/));
  test('a model cut short does not break anything', async () => {
    const { rows, faults } = await readIfc(bytes(model.slice(0, 900)));
    expect(rows).toEqual([]);
    expect(faults.length).toBeGreaterThan(0);
  });
});

const piece = (name: string, mass: number, order: number, length = 3): LoadPiece => ({ name, length, width: 0.2, mass, order });

describe('lorry loads', () => {
  const lorry = { deckLength: 6, deckWidth: 2, mass: 1000, layers: 2 };
  test('first needed lies on top', () => {
    const { loads } = loadsInOrder([piece('A', 100, 1), piece('B', 100, 2), piece('C', 100, 3)], lorry);
    expect(loads[0]?.pieces.map((one) => one.name)).toEqual(['C', 'B', 'A']);
  });
  test('within one order number the solver packs what filling in order cannot', async () => {
    // 600, 600, 500, 500, 400, 400: heaviest first gives 600 | 600 | 500+500 | 400+400; three loads are possible.
    const pieces = [600, 600, 500, 500, 400, 400].map((mass, i) => piece(`P${i}`, mass, 1));
    expect(loadsInOrder(pieces, lorry).loads).toHaveLength(4);
    const plan = await planLoads(pieces, lorry);
    expect(plan).toMatchObject({ how: 'solver', least: 3 });
    expect(plan.loads).toHaveLength(3);
  });
  test('no plan puts a piece needed sooner on a later lorry, overloads one or loses a piece', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ mass: fc.integer({ min: 50, max: 900 }), order: fc.integer({ min: 0, max: 3 }) }), { minLength: 1, maxLength: 9 }),
        async (list) => {
          const pieces = list.map(({ mass, order }, i) => piece(`P${i}`, mass, order));
          const plan = await planLoads(pieces, lorry);
          expect(plan.loads.flatMap((load) => load.pieces.map((one) => one.name)).sort()).toEqual(pieces.map((one) => one.name).sort());
          expect(keepsOrder(plan.loads)).toBe(true);
          for (const load of plan.loads) {
            expect(load.mass).toBeLessThanOrEqual(1000);
            expect(load.deck).toBeLessThanOrEqual(1 + 1e-9);
          }
          expect(plan.loads.length).toBeLessThanOrEqual(loadsInOrder(pieces, lorry).loads.length);
          expect(plan.loads.length).toBeGreaterThanOrEqual(leastLoads(pieces, lorry));
        },
      ),
      { numRuns: 15 },
    );
  });
  test('the solver finds as few as trying every way does', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ mass: fc.integer({ min: 100, max: 900 }), order: fc.integer({ min: 0, max: 2 }) }), { minLength: 2, maxLength: 7 }),
        async (list) => {
          const pieces = list.map(({ mass, order }, i) => piece(`P${i}`, mass, order));
          expect((await planLoads(pieces, lorry)).loads).toHaveLength(fewestLoads(pieces, lorry));
        },
      ),
      { numRuns: 25 },
    );
  });
});
