import fc from 'fast-check';
import { formatForInput, formatPlain, formatQuantity, kilogramsPer, metresPer, parseQuantity, spokenIn, type QuantityKind, type UnitSystem } from '.';

const read = (text: string, kind: QuantityKind, system: UnitSystem): number => {
  const parsed = parseQuantity(text, kind, system);
  if (!parsed.ok) throw new Error(parsed.reason);
  return parsed.value;
};

test('how far something reaches is told to the inch, what is nearer than a foot to a sixteenth', () => {
  const said = (inches: number) => formatQuantity(inches * 0.0254, 'reach', 'us').replace(/\u00a0/g, ' ');
  expect([600.4, 599.6, -30.6, 12.4, 11.9, 0.3].map(said)).toEqual([`50' 0"`, `50' 0"`, `−2' 7"`, `1' 0"`, `0' 11 7/8"`, `0' 5/16"`]);
  expect(formatQuantity(14.006, 'reach', 'metric').replace(/\u00a0/g, ' ')).toBe('14.01 m');
});

describe('lengths as people write them', () => {
  test.each([
    [`23' 6 1/2"`, 'us', 7.1755],
    ['23-6.5', 'us', 7.1755],
    [`23'6.5`, 'us', 7.1755],
    ['23 ft 6 1/2 in', 'us', 7.1755],
    ['23′ 6½″', 'us', 7.1755],
    [`-3' 6"`, 'us', -1.0668],
    ['12 ft', 'metric', 3.6576],
    [`6 1/2"`, 'metric', 0.1651],
    ['7.18', 'metric', 7.18],
    ['7,18', 'metric', 7.18],
    ['7180mm', 'us', 7.18],
    ['7 180 mm', 'metric', 7.18],
    ['718 cm', 'metric', 7.18],
    ['10', 'us', 3.048],
    ['1,234.5 mm', 'us', 1.2345],
    ['1.234,5 mm', 'metric', 1.2345],
  ] as const)('%s in %s is %d m', (text, system, metres) => expect(read(text, 'length', system)).toBeCloseTo(metres, 12));

  test('a bare number of a dimension is mm or inches', () => {
    expect(read('150', 'dimension', 'metric')).toBeCloseTo(0.15, 12);
    expect(read('6', 'dimension', 'us')).toBeCloseTo(0.1524, 12);
    expect(read('6 1/2', 'dimension', 'us')).toBeCloseTo(0.1651, 12);
  });

  test.each(['', 'abc', '12 parsecs', '1/0"', '7..2', '--3', `5' 14"`, 'NaN', 'Infinity', '1e999', '5 kg', `'`])('“%s” is refused with a remedy', (text) => {
    const parsed = parseQuantity(text, 'length', 'us');
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.reason.length).toBeGreaterThan(15);
  });

  test('one comma before three digits is asked about in metric and read as thousands in US', () => {
    const parsed = parseQuantity('7,180', 'length', 'metric');
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.choices?.map((choice) => choice.value)).toEqual([7.18, 7180]);
    expect(read('7,180 mm', 'length', 'us')).toBeCloseTo(7.18, 12);
  });
});

describe('a bare ton is asked about', () => {
  test.each(['2 ton', '2 tons', '2 T'])('%s offers the three tons', (text) => {
    const parsed = parseQuantity(text, 'mass', 'us');
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.choices?.map((choice) => Number(choice.value.toFixed(6)))).toEqual([1814.36948, 2000, 2032.093818]);
  });
  test('a named one is not', () => {
    expect(read('2 short tons', 'mass', 'metric')).toBe(2 * kilogramsPer.shortTon);
    expect(read('2 long tons', 'mass', 'metric')).toBe(2 * kilogramsPer.longTon);
    expect(read('2 t', 'mass', 'us')).toBe(2000);
  });
  test('a mass where a force is asked offers its weight', () => {
    const parsed = parseQuantity('1000 kg', 'force', 'metric');
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.choices?.[0]?.value).toBeCloseTo(9806.65, 9);
  });
});

describe('showing', () => {
  test.each([
    [7.1755, 'length', 'us', `23'\u00a06 1/2"`],
    [9.63, 'length', 'metric', '9.63\u00a0m'],
    [4903.325, 'force', 'metric', '4.90\u00a0kN'],
    [1187, 'mass', 'metric', '1\u00a0187\u00a0kg'],
    [0.225, 'dimension', 'metric', '225\u00a0mm'],
    [null, 'force', 'metric', '—'],
    [NaN, 'force', 'metric', '—'],
    [-0.0001, 'mass', 'metric', '0.0\u00a0kg'],
  ] as const)('%p %s %s', (value, kind, system, text) => expect(formatQuantity(value, kind, system)).toBe(text));

  test('what cannot be shown short is marked as rounded, never passed off as typed', () => {
    expect(formatForInput(7.18, 'length', 'us')).toMatch(/^≈23'/);
    expect(formatForInput(7.18, 'length', 'metric')).toBe('7.18');
  });
  test('what was typed in other units is rounded and says so, never written out to the last figure', () => {
    expect(formatForInput(220, 'mass', 'us')).toBe('≈485.02');
    expect(formatForInput(0.24, 'dimension', 'us')).toBe('≈9.449');
    expect(formatForInput(220.4 * 0.45359237, 'mass', 'us')).toBe('220.4');
    expect(formatForInput(0.0254 * 9.4375, 'dimension', 'us')).toBe('9.4375');
    expect(formatForInput(0.0001234, 'factor', 'us')).toBe('0.0001234');
    // A sixteenth of an inch is a long figure in metres, and none that was typed in metres.
    expect(formatForInput(23 * 0.3048 + 6.0625 * 0.0254, 'length', 'metric')).toBe('≈7.1644');
    expect(formatForInput(-6.0625 * 0.0254, 'length', 'metric')).toBe('≈-0.154');
  });
  test('a long figure that was typed here comes back as it was typed', () => {
    expect(formatForInput(9.0123457, 'length', 'metric')).toBe('9.0123457');
    expect(formatForInput(1234.56789 * 0.45359237, 'mass', 'us')).toBe('1234.56789');
  });
  test('for other programs a bare number in the unit named, good to a millionth', () => {
    expect(formatPlain(220, 'mass', 'us')).toBe('485.016977');
    expect(formatPlain(3.048, 'length', 'us')).toBe('10');
    expect(formatPlain(6.25, 'length', 'metric')).toBe('6.25');
    expect(formatPlain(null, 'mass', 'us')).toBe('');
    expect(formatPlain(Number.NaN, 'mass', 'us')).toBe('');
  });
});

describe('round trips', () => {
  const metric = fc.integer({ min: -9_999_999, max: 9_999_999 }).map((n) => n / 10_000);
  test('a typed decimal comes back as typed, whatever system was looked at between', () => {
    fc.assert(fc.property(metric, (typed) => expect(read(formatForInput(typed, 'length', 'metric'), 'length', 'metric')).toBeCloseTo(typed, 9)));
  });
  test('sixteenths of an inch come back exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: -50_000, max: 50_000 }), (sixteenths) => {
        const value = (sixteenths / 16) * metresPer.in;
        expect(read(formatForInput(value, 'length', 'us'), 'length', 'us')).toBeCloseTo(value, 9);
      }),
    );
  });
  test('nothing a person can type makes the parser throw', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom<QuantityKind>('length', 'mass', 'force', 'stress', 'angle'),
        fc.constantFrom<UnitSystem>('us', 'metric'),
        (text, kind, system) => {
          const parsed = parseQuantity(text, kind, system);
          if (parsed.ok) expect(Number.isFinite(parsed.value)).toBe(true);
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe('figures in a sentence', () => {
  test.each([
    ['A load at 12.400000000000001 m is past the span of 9 m.', 'metric', 'A load at 12.4\u00a0m is past the span of 9 m.'],
    ['It takes 0.1 kN to start.', 'us', 'It takes 22\u00a0lb to start.'],
    ['The right bearing at 3.048 m, 200 kPa under it.', 'us', 'The right bearing at 10\'\u00a00", 4,177\u00a0psf under it.'],
    ['“wall 3 m” is 29 CFR 1926.752(a) and ρ = 350 kg/m³', 'us', '“wall 3 m” is 29 CFR 1926.752(a) and ρ = 350 kg/m³'],
  ] as const)('%s (%s)', (words, system, wanted) => expect(spokenIn(words, system)).toBe(wanted));
});
