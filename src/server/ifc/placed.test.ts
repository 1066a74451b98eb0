import { readIfc } from '.';
import { isSound } from './sound';
import { ifcModel, type IfcBar, type IfcModelOptions } from '../../../tests/ifc-model';
import type { PlacedModel } from '@/core/model/placed';

type Point = [number, number, number];
const read = async (bars: IfcBar[], options: IfcModelOptions = {}): Promise<PlacedModel> => {
  const { placed, faults } = await readIfc(new TextEncoder().encode(ifcModel(bars, options)));
  if (!placed) throw new Error(faults.map(({ error }) => error).join());
  return placed;
};
const turned = ([x, y, z]: Point, { turnDeg = 0, moved = [0, 0, 0] }: IfcModelOptions): Point => {
  const turn = (turnDeg * Math.PI) / 180;
  return [x * Math.cos(turn) - y * Math.sin(turn) + moved[0], x * Math.sin(turn) + y * Math.cos(turn) + moved[1], z + moved[2]];
};
/** How far the ends of each piece are from where they were drawn, whichever comes first [m]. */
const off = ({ pieces }: PlacedModel, bars: IfcBar[], options: IfcModelOptions = {}): number =>
  Math.max(
    ...bars.map(({ mark, from, to }) => {
      const found = pieces.find((one) => one.mark === mark);
      if (!found) return Infinity;
      const [a, b] = [turned(from, options), turned(to, options)];
      const gap = (p: Point, q: Point) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
      return Math.min(Math.max(gap(found.from, a), gap(found.to, b)), Math.max(gap(found.from, b), gap(found.to, a)));
    }),
  );
const said = ({ joints }: PlacedModel): string[] => joints.map(({ a, b, kind, declared }) => `${a} ${kind} ${b}${declared ? ' declared' : ''}`).sort();
const feet = ({ supports }: PlacedModel): string[] => supports.map(({ piece, kind }) => `${kind} ${piece}`).sort();

/** Six columns and seven beams, cut 10 mm short of the columns’ faces. */
const frame = (): IfcBar[] => {
  const bars: IfcBar[] = [];
  for (const [i, x] of [0, 6, 12].entries())
    for (const [j, y] of [0, 5].entries()) bars.push({ mark: `C${i}${j}`, kind: 'IFCCOLUMN', from: [x, y, 0], to: [x, y, 4], depth: 0.2, width: 0.2 });
  for (const [i, x] of [0, 6].entries())
    for (const [j, y] of [0, 5].entries()) bars.push({ mark: `B${i}${j}`, from: [x + 0.11, y, 3.7], to: [x + 5.89, y, 3.7] });
  for (const [i, x] of [0, 6, 12].entries()) bars.push({ mark: `G${i}`, from: [x, 0.11, 3.7], to: [x, 4.89, 3.7] });
  return bars;
};

describe('a frame', () => {
  const wanted = [
    ...[0, 1].flatMap((i) => [0, 1].flatMap((j) => [`B${i}${j} onColumn C${i}${j}`, `B${i}${j} onColumn C${i + 1}${j}`])),
    ...[0, 1, 2].flatMap((i) => [0, 1].map((j) => `G${i} onColumn C${i}${j}`)),
  ].sort();

  test.each<[string, IfcModelOptions]>([
    ['in millimetres', {}],
    ['in feet, turned and moved', { metres: 0.3048, turnDeg: 33, moved: [120, -45, 7] }],
    ['in metres, turned', { metres: 1, turnDeg: -117 }],
  ])('%s: ends, joints at both faces of a column, feet', async (_, options) => {
    const placed = await read(frame(), options);
    expect(off(placed, frame(), options)).toBeLessThan(0.001);
    expect(said(placed)).toEqual(wanted);
    expect(feet(placed)).toEqual(['C00', 'C01', 'C10', 'C11', 'C20', 'C21'].map((one) => `foot ${one}`));
    expect(placed.asked).toEqual([]);
    expect(placed.pieces.every(({ by }) => by === 'extrusion')).toBe(true);
  });

  test('drawn from column middle to column middle it is joined alike', async () => {
    const bars = frame().map((one): IfcBar =>
      one.mark.startsWith('B') ? { ...one, from: [one.from[0] - 0.11, one.from[1], 3.7], to: [one.to[0] + 0.11, one.to[1], 3.7] } : one,
    );
    expect(said(await read(bars))).toEqual(wanted);
  });

  test('written as maps, mirrored maps, faces and cut bodies it is the same frame', async () => {
    const ways = ['map', 'mirrored', 'faces', 'cut', 'nested'] as const;
    const bars = frame().map((one, i): IfcBar => ({ ...one, as: ways[i % 5]! }));
    const placed = await read(bars, { turnDeg: 20, metres: 1 });
    expect(off(placed, bars, { turnDeg: 20 })).toBeLessThan(0.002);
    expect(said(placed)).toEqual(wanted);
    const by = (way: string) => new Set(placed.pieces.filter(({ mark }) => bars.find((one) => one.mark === mark)!.as === way).map((one) => one.by));
    expect(ways.map((one) => [...by(one)].join())).toEqual(['extrusion', 'extrusion', 'shape', 'extrusion', 'extrusion']);
  });

  test('a beam 0.1 m short of its column is asked about, not joined; one that hangs in the air too', async () => {
    const bars = frame();
    bars.find(({ mark }) => mark === 'G1')!.to = [6, 4.8, 3.7];
    bars.push({ mark: 'X', from: [20, 0, 3], to: [24, 0, 3] }, { mark: 'UP', kind: 'IFCCOLUMN', from: [30, 0, 5], to: [30, 0, 9], depth: 0.2, width: 0.2 });
    const placed = await read(bars);
    expect(said(placed)).toEqual(wanted.filter((one) => one !== 'G1 onColumn C11'));
    expect(placed.asked.map(({ question }) => question)).toEqual([
      expect.stringMatching(/^The second end of G1 reaches nothing within 60 mm along its line; C11 is 100 mm from it\. Do they meet\?/),
      expect.stringMatching(/^UP ends 5\.00 m over the lowest foot/),
    ]);
    expect(feet(placed)).toContain('bearing X');
  });
});

describe('girders', () => {
  const lines = (): IfcBar[] =>
    [0, 3].flatMap((y, n): IfcBar[] => [
      { mark: `G${n}a`, from: [0, y, 5], to: [13.995, y, 5], depth: 0.96, width: 0.4 },
      { mark: `G${n}b`, from: [14.005, y, 5], to: [24, y, 5], depth: 0.96, width: 0.4 },
    ]);
  test('in two pieces each, turned, in feet: a splice a line and a bearing at each end', async () => {
    const options = { metres: 0.3048, turnDeg: 62, moved: [500, 800, 0] as Point };
    const placed = await read(lines(), options);
    expect(off(placed, lines(), options)).toBeLessThan(0.001);
    expect(said(placed)).toEqual(['G0a splice G0b', 'G1a splice G1b']);
    expect(feet(placed)).toEqual(['bearing G0a', 'bearing G0b', 'bearing G1a', 'bearing G1b']);
    expect(placed.asked).toEqual([]);
  });
  test('beams that come to both faces of one web are two joints on it, however near their ends', async () => {
    const placed = await read([
      { mark: 'G', from: [0, 0, 5], to: [10, 0, 5], depth: 0.9, width: 0.3 },
      { mark: 'L', from: [5, -4, 5.1], to: [5, -0.012, 5.1] },
      { mark: 'R', from: [5, 0.012, 5.1], to: [5, 4, 5.1] },
    ]);
    expect(said(placed)).toEqual(['L onWeb G', 'R onWeb G']);
  });
  test('a joist that lies on top of a girder does not reach it along its line: it is asked about', async () => {
    const placed = await read([
      { mark: 'G', from: [0, 0, 5], to: [10, 0, 5], depth: 0.9, width: 0.3 },
      { mark: 'J', from: [5, -0.1, 5.7], to: [5, 4, 5.7], depth: 0.3 },
    ]);
    expect(said(placed)).toEqual([]);
    expect(feet(placed)).toEqual(['bearing G', 'bearing G', 'bearing J', 'bearing J']);
  });
});

test('a column on a column goes on as a splice, with the beams that end there on the column', async () => {
  const placed = await read([
    { mark: 'LOW', kind: 'IFCCOLUMN', from: [0, 0, 0], to: [0, 0, 4], depth: 0.2, width: 0.2 },
    { mark: 'TOP', kind: 'IFCCOLUMN', from: [0, 0, 4.01], to: [0, 0, 8], depth: 0.2, width: 0.2 },
    { mark: 'B', from: [0.11, 0, 3.9], to: [6, 0, 3.9] },
  ]);
  expect(said(placed)).toEqual(['B onColumn LOW', 'LOW splice TOP']);
  expect(feet(placed)).toEqual(['foot LOW']);
  expect(placed.asked).toHaveLength(1);
});

test('beams drawn to the middle of a column that goes on: the column is spliced all the same, and they hang on it', async () => {
  const placed = await read([
    { mark: 'LOW', kind: 'IFCCOLUMN', from: [0, 0, 0], to: [0, 0, 4], depth: 0.2, width: 0.2 },
    { mark: 'TOP', kind: 'IFCCOLUMN', from: [0, 0, 4.01], to: [0, 0, 8], depth: 0.2, width: 0.2 },
    { mark: 'B', from: [0, 0, 3.95], to: [6, 0, 3.95] },
  ]);
  expect(said(placed)).toEqual(['B onColumn LOW', 'LOW splice TOP']);
});

test('the nearest is met: a web before the column behind it; at a corner one joint, not two; of a slope the low end rests', async () => {
  const web = await read([
    { mark: 'G', from: [-3, 0, 3], to: [3, 0, 3], width: 0.02 },
    { mark: 'C', kind: 'IFCCOLUMN', from: [0, 0.14, 0], to: [0, 0.14, 5], depth: 0.2, width: 0.2 },
    { mark: 'B', from: [0, -4, 3], to: [0, -0.015, 3] },
  ]);
  expect(said(web).filter((one) => one.startsWith('B'))).toEqual(['B onWeb G']);
  const corner = await read([
    { mark: 'A', from: [0, 0, 3], to: [5, 0, 3] },
    { mark: 'B', from: [5, 0, 3], to: [5, 4, 3] },
  ]);
  expect(corner.joints).toHaveLength(1);
  const slope = await read([{ mark: 'S', from: [0, 0, 1], to: [5, 0, 3] }]);
  expect(slope.supports.map(({ at, kind }) => [kind, at])).toEqual([['bearing', 0]]);
  expect(slope.asked.map(({ question }) => question)).toEqual(['What holds the second end of S? Nothing is near it.']);
});

test('a truss of mirrored maps: its posts and diagonals meet the chords, and what it stands on is asked', async () => {
  const bars: IfcBar[] = [
    { mark: 'BC', kind: 'IFCMEMBER', from: [0, 0, 0], to: [8, 0, 0], depth: 0.2, width: 0.2 },
    { mark: 'TC', kind: 'IFCMEMBER', from: [0, 0, 2], to: [8, 0, 2], depth: 0.2, width: 0.2, as: 'mirrored' },
    ...[0, 1, 2, 3, 4].map((n): IfcBar => ({
      mark: `P${n}`,
      kind: 'IFCMEMBER',
      from: [2 * n, 0, 0.1],
      to: [2 * n, 0, 1.9],
      depth: 0.1,
      width: 0.1,
      as: n % 2 ? 'mirrored' : 'map',
    })),
    ...[0, 1, 2, 3].map((n): IfcBar => ({
      mark: `D${n}`,
      kind: 'IFCMEMBER',
      from: [2 * n + 0.1, 0, 0.1],
      to: [2 * n + 1.9, 0, 1.9],
      depth: 0.1,
      width: 0.1,
      as: n < 2 ? 'map' : 'mirrored',
    })),
  ];
  const placed = await read(bars, { metres: 1 });
  expect(off(placed, bars)).toBeLessThan(0.001);
  const pairs = said(placed);
  for (const n of [1, 2, 3]) expect(pairs).toEqual(expect.arrayContaining([`P${n} other BC`, `P${n} other TC`]));
  for (const n of [0, 1, 2, 3]) expect(pairs.filter((one) => one.startsWith(`D${n} `))).toHaveLength(2);
});

describe('what the model says itself', () => {
  const pair = (gap: number): IfcBar[] => [
    { mark: 'C', kind: 'IFCCOLUMN', from: [0, 0, 0], to: [0, 0, 4], depth: 0.2, width: 0.2 },
    { mark: 'B', from: [0.1 + gap, 0, 3.8], to: [6, 0, 3.8] },
  ];
  test('goes before what is found, also where a plate lies between', async () => {
    expect(said(await read(pair(0.2)))).toEqual([]);
    const placed = await read(pair(0.2), {
      connects: [
        ['B', 'C'],
        ['C', 'B'],
      ],
    });
    expect(said(placed)).toEqual(['B onColumn C declared']);
    expect(placed.joints[0]!.atB).toBeCloseTo(3.8, 6);
  });
  test('over metres it is asked about', async () => {
    const placed = await read(pair(3), { connects: [['C', 'B']] });
    expect(said(placed)).toEqual([]);
    expect(placed.asked[0]!.question).toMatch(/The model says that C and B meet, and they are 2\.\d\d m apart: do they\?/);
  });
  test('its own line goes before the body; where they end apart it is told', async () => {
    const line: IfcBar = {
      mark: 'B',
      from: [0.1, 0, 3.85],
      to: [5.9, 0, 3.85],
      axis: [
        [0, 0, 4],
        [6, 0, 4],
      ],
    };
    const { placed, notes } = await readIfc(new TextEncoder().encode(ifcModel([line])));
    expect(placed!.pieces[0]).toMatchObject({ by: 'axis', differs: expect.closeTo(0.1, 6) as number });
    expect(placed!.pieces[0]!.from.map((one) => Number(one.toFixed(6)))).toEqual([0, 0, 4]);
    expect(placed!.pieces[0]!.up).toBeCloseTo(0.3, 6);
    expect(notes!.map(({ error }) => error).join()).toMatch(/own line and the body end up to 0\.100 m apart/);
  });
});

test('a piece drawn twice joins nothing to itself', async () => {
  const bars = [...frame(), { ...frame().find(({ mark }) => mark === 'B00')!, mark: 'B00again' }];
  const placed = await read(bars);
  expect(said(placed).filter((one) => one.includes('B00') && !one.includes('onColumn'))).toEqual([]);
});

describe('a model that does not hold together', () => {
  const text = () => ifcModel(frame());
  const rows = async (broken: string) => readIfc(new TextEncoder().encode(broken));
  test.each<[string, (text: string) => string]>([
    ['a line that stands on itself', (t) => t.replace(/=IFCPLANE\(#\d+\)/, '=IFCPLANE(#1)').replace(/^#(\d+)=IFCDIRECTION\(.*$/m, '#$1=IFCPLANE(#$1);')],
    ['a line that is not there', (t) => t.replace(/^#1=.*$/m, '')],
    ['a line broken off', (t) => t.replace(/^(#9=.*)\);$/m, '$1')],
    ['a line twice', (t) => t.replace(/^(#9=.*)$/m, '$1\n$1')],
  ])('%s: its shapes are left alone, and it ends', async (_, harm) => {
    expect(harm(text())).not.toBe(text());
    const { notes = [], faults, asked = [] } = await rows(harm(text()));
    expect([...[...notes, ...faults].map(({ error }) => error), ...asked.map(({ question }) => question)].join()).toMatch(
      /do not hold together|In which unit|no beams/,
    );
  });
  test('a last line broken off is refused in words', async () => {
    const { faults } = await rows(text().replace(/\nENDSEC;\nEND-ISO/, '\n#2\nENDSEC;\nEND-ISO'));
    expect(faults[0]!.error).toMatch(/last line is not whole/);
  });
  test('words with brackets, signs and remarks in them hold together', () => {
    const sound = (line: string) => isSound(new TextEncoder().encode(`ISO-10303-21;\nDATA;\n${line}\nENDSEC;\nEND-ISO-10303-21;`));
    expect(sound("#1=A('it''s (#9;');/* #2 */\n#2 = B(#1,(#1,$));")).toBe(true);
    for (const bad of ["#1=A('x);", '#1=A((1);', '#1=A(1));', '#1=A(#);', '1=A(1);', '#1=A;', '#1=A(#2);', '#1=A(#1);', '#1=A(#2);#2=B(#1);'])
      expect([bad, sound(bad)]).toEqual([bad, false]);
  });
});

test('turned any way the same is found', async () => {
  const plain = said(await read(frame()));
  for (const turnDeg of [7, 45, 90, 181, 299]) expect(said(await read(frame(), { turnDeg, moved: [turnDeg, -turnDeg, 3] }))).toEqual(plain);
});

test('many pieces: 1,500 in one model', async () => {
  const bars: IfcBar[] = [];
  for (let i = 0; i < 20; i += 1)
    for (let j = 0; j < 15; j += 1) {
      bars.push({ mark: `C${i}.${j}`, kind: 'IFCCOLUMN', from: [6 * i, 5 * j, 0], to: [6 * i, 5 * j, 4], depth: 0.2, width: 0.2 });
      for (const level of [2, 3.7]) {
        if (i < 19) bars.push({ mark: `X${i}.${j}.${level}`, from: [6 * i + 0.1, 5 * j, level], to: [6 * i + 5.9, 5 * j, level] });
        if (j < 14) bars.push({ mark: `Y${i}.${j}.${level}`, from: [6 * i, 5 * j + 0.1, level], to: [6 * i, 5 * j + 4.9, level] });
      }
    }
  const placed = await read(bars);
  expect(placed.joints).toHaveLength(2 * bars.filter(({ kind }) => kind !== 'IFCCOLUMN').length);
  expect(placed.supports).toHaveLength(300);
  expect(placed.asked).toEqual([]);
}, 60_000);
