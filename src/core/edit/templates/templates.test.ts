import { distance } from '../../geometry/plane';
import { evaluate } from '../../evaluate';
import { openPlan } from '../../document/open';
import { replay } from '../../replay/replay';
import { placeOf } from '../../document/place';
import type { Plan } from '../../document/schema';
import { NotSo, templateIds, templates, type Said, type TemplateId } from './index';

const metric = { name: 'Canopy', place: 'Wrenholm ferry terminal', units: 'metric', ruleSet: 'eu-ls' } as const;
const american = { ...metric, units: 'us', ruleSet: 'us-asd' } as const;

const frame: Said = {
  bays: '6 m; 7.5 m',
  rows: '5 m',
  levels: '4 m',
  column: 'HEB 200',
  beam: 'IPE 300',
  between: '1',
  betweenSection: 'IPE 240',
  grade: 'S355',
};
const bridge: Said = {
  lines: '2',
  apart: '3 m',
  spans: '24 m',
  past: '0.3 m',
  level: '5 m',
  made: 'plate',
  webDepth: '900 mm',
  web: '16 mm',
  flange: '400 mm',
  flangeThick: '30 mm',
  splices: '14 m',
  bents: '12 m',
  crossFrames: '0 m; 8 m; 16 m; 24 m',
  grade: 'S355',
};
const usual: Record<TemplateId, Said> = {
  beam: {},
  opening: { by: 'two mast lifts', shored: 'yes' },
  frame,
  girders: bridge,
  launch: { ...bridge, bents: '', nose: '14 m', built: 'whole' },
};

const opened = (plan: Plan): Plan => {
  const answer = openPlan(plan);
  if (!answer.ok) throw new Error(`${answer.faults[0]?.path}: ${answer.faults[0]?.error}`);
  return answer.plan;
};
const built = (id: TemplateId, said: Said = usual[id], job: typeof metric | typeof american = metric): Plan => opened(templates[id].build(job, said));
const refusal = (id: TemplateId, said: Said): string => {
  try {
    templates[id].build(metric, said);
  } catch (fault) {
    if (fault instanceof NotSo) return fault.message;
    throw fault;
  }
  return '';
};
const lackingAt = (plan: Plan) => replay(plan).steps.flatMap(({ move, needs }) => needs.flatMap((need) => (need.done ? [] : [`${move.id} ${need.what}`])));

describe.each(templateIds)('%s', (id) => {
  test.each([metric, american])('stands in either system of units: nothing stops it, and what nobody has said is asked', (job) => {
    const said: Said =
      job.units === 'us'
        ? { ...usual[id], column: 'W8x31', beam: 'W12x40', betweenSection: 'W10x22', bays: '20 ft; 25 ft', rows: '16 ft', levels: '13 ft' }
        : usual[id];
    const { checks, counts } = evaluate(built(id, said, job), '2026-11-28');
    expect(checks.filter((check) => check.verdict === 'stop').map((check) => check.id)).toEqual([]);
    expect(counts.missing).toBeGreaterThan(10);
    // Every row of the moves can be made in that order.
    expect(checks.filter((check) => check.id === 'move.order' && check.verdict !== 'clear')).toEqual([]);
  });
  test('its moves can be made one after the other', () => {
    expect(lackingAt(built(id))).toEqual([]);
  });
  test('no move leaves anything out: each piece is set, each joint made, each brace fixed, each bent struck', () => {
    const asked = evaluate(built(id), '2026-11-28').checks.flatMap((check) => (check.id.startsWith('moves.') && check.verdict !== 'clear' ? [check.id] : []));
    expect(asked.filter((one) => one !== 'moves.tight' && one !== 'moves.fill')).toEqual([]);
  });
});

describe('a frame', () => {
  test('two bays, two rows, one level and one beam between: six columns and nine beams', () => {
    const { structure } = built('frame');
    expect(structure.pieces.filter(({ mark }) => mark.startsWith('C-')).map(({ mark }) => mark)).toEqual(['C-A1', 'C-A2', 'C-B1', 'C-B2', 'C-C1', 'C-C2']);
    expect(structure.pieces.filter(({ mark }) => !mark.startsWith('C-')).map(({ mark }) => mark)).toEqual([
      ...['B-AB1', 'B-BC1', 'B-AB2', 'B-BC2', 'B-A12', 'B-B12', 'B-C12', 'J-A1.1', 'J-B1.1'],
    ]);
    expect(structure.supports).toHaveLength(6);
    expect(structure.joints).toHaveLength(18);
    expect(structure.makes.map(({ mark, length, made }) => [mark, length, made.kind === 'section' ? made.section : ''])).toEqual([
      ['C', 4, 'HEB 200'],
      ['B', 6, 'IPE 300'],
      ['B2', 7.5, 'IPE 300'],
      ['B3', 5, 'IPE 300'],
      ['J', 5, 'IPE 240'],
    ]);
  });
  test('each beam is as long as it is drawn, its top at its level, each joint where its column or beam is', () => {
    const { structure } = built('frame', { ...frame, levels: '4 m; 7.2 m', between: '2' });
    const makes = new Map(structure.makes.map((one) => [one.id, one]));
    const pieces = new Map(structure.pieces.map((one) => [one.id, one]));
    expect(structure.pieces).toHaveLength(6 + 2 * (4 + 3 + 4));
    for (const piece of structure.pieces) {
      const { from, to } = piece;
      expect(Math.hypot(to!.x - from!.x, to!.y - from!.y, to!.z - from!.z)).toBeCloseTo(makes.get(piece.make)!.length, 9);
      if (piece.mark.startsWith('B')) expect([4 - 0.3, 7.2 - 0.3]).toContainEqual(expect.closeTo(from!.z, 9));
      if (piece.mark.startsWith('J')) expect([4 - 0.24, 7.2 - 0.24]).toContainEqual(expect.closeTo(from!.z, 9));
    }
    for (const { a, b } of structure.joints) {
      const [mine, other] = [pieces.get(a.piece)!, pieces.get(b.piece)!];
      const end = a.at === 0 ? mine.from! : mine.to!;
      const on = placeOf(other)!;
      const spot = on.upright
        ? { x: other.from!.x, y: other.from!.y }
        : {
            x: other.from!.x + ((other.to!.x - other.from!.x) * b.at) / makes.get(other.make)!.length,
            y: other.from!.y + ((other.to!.y - other.from!.y) * b.at) / makes.get(other.make)!.length,
          };
      expect(distance(end, spot)).toBeCloseTo(0, 9);
      // A beam meets its columns at half its depth.
      if (on.upright) expect([4 - 0.15, 7.2 - 0.15]).toContainEqual(expect.closeTo(b.at, 9));
    }
  });
  test('its first bay is held both ways by guys before a third row of columns is set', () => {
    const { moves } = built('frame', { ...frame, bays: '3 x 6 m' });
    const guys = moves.flatMap((move, i) => (move.kind === 'brace.fix' ? [i] : []));
    const third = moves.findIndex((move) => move.kind === 'piece.hang' && move.beam === 'col-2-0');
    expect(guys).toHaveLength(4);
    expect(Math.max(...guys)).toBeLessThan(third);
  });
  test.each<[string, Said, RegExp]>([
    ['no bay', { bays: '' }, /Bays along: one at least/],
    ['a bay of nothing', { bays: '6 m; 0 m' }, /Bays along: 0.*not between/],
    ['a metre typed as a millimetre', { rows: '5000' }, /not between/],
    ['words for a length', { rows: 'five' }, /Bays across:/],
    ['a hole in the list', { bays: '6 m;; 6 m' }, /nothing between/],
    ['a thousand times a bay', { bays: '999 x 6 m' }, /give 1 to 200/],
    ['levels upside down', { levels: '8 m; 4 m' }, /lowest to the highest/],
    ['levels nearer than a beam is deep', { levels: '4 m; 4.2 m' }, /no further apart than the beams are deep/],
    ['a section no table has', { beam: 'IPE 301' }, /“IPE 301” is not in the section tables/],
    ['no section', { column: ' ' }, /Columns: which section/],
    ['beams between of no section', { betweenSection: '' }, /which section/],
    ['half a beam between', { between: '0.5' }, /whole number/],
    ['more pieces than one begins with', { bays: '60 x 6 m', rows: '9 x 6 m' }, /pieces: begin with 1000/],
  ])('%s is refused in words', (_, changes, words) => {
    expect(refusal('frame', { ...frame, ...changes })).toMatch(words);
  });
  test('none between: their section is not asked', () => {
    expect(built('frame', { ...frame, between: '0', betweenSection: '' }).structure.pieces).toHaveLength(13);
  });
});

describe('what nobody says of the steel is asked', () => {
  test.each(['frame', 'girders', 'launch'] as const)('%s: the grade', (id) => {
    const grades = (said: Said) => new Set(built(id, said).structure.makes.map(({ grade }) => grade));
    const asked = (said: Said) => evaluate(built(id, said)).checks.filter(({ id: check }) => check === 'make.grade').length;
    expect(grades({ ...usual[id], grade: ' S460 ' })).toEqual(new Set(['S460']));
    expect(asked({ ...usual[id], grade: 'S460' })).toBe(0);
    const { grade: _, ...rest } = usual[id];
    expect(grades(rest)).toEqual(new Set(['']));
    expect(asked(rest)).toBe(built(id, rest).structure.makes.length);
  });
});

describe('girders', () => {
  test('two cranes take each of them, one at each end, and come and go together; all of both is asked', () => {
    const plan = built('girders', { ...bridge, crane: 'two' });
    expect(plan.cranes.map(({ id, name }) => [id, name])).toEqual([
      ['c1', 'Crane 1'],
      ['c2', 'Crane 2'],
    ]);
    expect(plan.picks).toHaveLength(plan.structure.pieces.length);
    expect(plan.picks.every(({ stand, second }) => stand === 's1' && second?.stand === 's2' && second.boom === null)).toBe(true);
    const along = plan.stands.map(({ at }) => at.x);
    expect(along[1]! - along[0]!).toBeGreaterThan(10);
    expect(plan.stands.every(({ unsaid }) => unsaid?.includes('at'))).toBe(true);
    const cranes = plan.moves.filter(({ kind }) => kind === 'crane.set' || kind === 'crane.leave') as { kind: string; stand: string }[];
    expect(cranes.map(({ kind, stand }) => `${kind} ${stand}`)).toEqual(['crane.set s1', 'crane.set s2', 'crane.leave s1', 'crane.leave s2']);
    expect(evaluate(plan).counts.stop).toBe(0);
    const one = built('girders', { ...bridge, crane: 'one' });
    expect([one.cranes.length, one.stands.length, one.picks.some(({ second }) => second)]).toEqual([1, 1, false]);
    expect(built('girders', { ...bridge, crane: 'none' }).cranes).toEqual([]);
  });

  test('two lines on two piers and a bent, each in two pieces', () => {
    const { structure, moves } = built('girders');
    expect(structure.pieces.map(({ mark, from, to }) => [mark, from!.x, to!.x, from!.y, from!.z])).toEqual([
      ['G1.1', -0.3, 14, 0, 5],
      ['G1.2', 14, 24.3, 0, 5],
      ['G2.1', -0.3, 14, 3, 5],
      ['G2.2', 14, 24.3, 3, 5],
    ]);
    expect(structure.supports.map(({ name, kind, along, seats }) => [name, kind, along, seats[0]!.piece, Number(seats[0]!.at.toFixed(6))])).toEqual([
      ['Pier 1, line 1', 'bearing', 'fixed', 'g1-1', 0.3],
      ['Pier 2, line 1', 'bearing', 'free', 'g1-2', 10],
      ['Bent 1, line 1', 'bent', 'free', 'g1-1', 12.3],
      ['Pier 1, line 2', 'bearing', 'fixed', 'g2-1', 0.3],
      ['Pier 2, line 2', 'bearing', 'free', 'g2-2', 10],
      ['Bent 1, line 2', 'bent', 'free', 'g2-1', 12.3],
    ]);
    expect(structure.joints.map(({ a, b }) => [a.piece, Number(a.at.toFixed(6)), b.piece, b.at])).toEqual([
      ['g1-1', 14.3, 'g1-2', 0],
      ['g2-1', 14.3, 'g2-2', 0],
    ]);
    expect(structure.braces.map(({ a, b }) => [a.piece, Number(a.at.toFixed(6)), b!.piece])).toEqual([
      ['g1-1', 0.3, 'g2-1'],
      ['g1-1', 8.3, 'g2-1'],
      ['g1-2', 2, 'g2-2'],
      ['g1-2', 10, 'g2-2'],
    ]);
    expect(moves.slice(-2).map((move) => move.kind === 'support.strike' && move.support)).toEqual(['bent1-1', 'bent1-2']);
  });
  test('one line of three spans in one piece: no splice, no bent, no cross-frame', () => {
    const { structure } = built('girders', {
      ...bridge,
      lines: '1',
      apart: '',
      spans: '3 x 10 m',
      splices: '',
      bents: '',
      crossFrames: '',
      made: 'rolled',
      section: 'HEB 600',
    });
    expect(structure.pieces.map(({ mark }) => mark)).toEqual(['G1']);
    expect(structure.supports.map(({ name }) => name)).toEqual(['Pier 1', 'Pier 2', 'Pier 3', 'Pier 4']);
    expect([structure.joints, structure.braces]).toEqual([[], []]);
    expect(structure.makes[0]!.length).toBeCloseTo(30.6, 9);
  });
  test('parts of one length are of one make, lopsided ones are not', () => {
    expect(built('girders', { ...bridge, splices: '12 m' }).structure.makes.map(({ length }) => length)).toEqual([12.3]);
    expect(built('girders').structure.makes.map(({ length }) => Number(length.toFixed(6)))).toEqual([14.3, 10.3]);
  });
  test.each<[string, Said, RegExp]>([
    ['no span', { spans: '' }, /one girder line and one span/],
    ['two lines nobody has put apart', { apart: '' }, /How far apart/],
    ['a splice past the end', { splices: '25 m' }, /splice at 25.* is off the girder/],
    ['a bent before the start', { bents: '-2 m' }, /bent at|Bents at/],
    ['two splices at one place', { splices: '14 m; 14.2 m' }, /less than half a metre/],
    ['two bents at one place', { bents: '12 m; 12.05 m' }, /at one place/],
    ['a bent at a pier', { bents: '24 m' }, /a bent and a pier/],
    ['two cross-frames at one place', { crossFrames: '8 m; 8 m' }, /Two cross-frames/],
    ['no level', { level: '' }, /Level of the bearings: how much/],
    ['a web of fourteen metres', { web: '14 m' }, /Web, thick:/],
    ['a section no table has', { made: 'rolled', section: 'HEB 601' }, /“HEB 601”/],
    ['half a line', { lines: '1.5' }, /whole number/],
  ])('%s is refused in words', (_, changes, words) => {
    expect(refusal('girders', { ...bridge, ...changes })).toMatch(words);
  });
});

describe('a beam into a building', () => {
  test('nothing of it is a crane, and no row speaks of one', () => {
    const plan = built('opening');
    expect([plan.cranes, plan.stands, plan.picks, plan.pieces]).toEqual([[], [], [], []]);
    expect(evaluate(plan).checks.filter(({ station, calc }) => station === 'gear' || calc.startsWith('crane'))).toEqual([]);
    expect(
      evaluate(plan)
        .checks.filter(({ station }) => station === 'picks')
        .map(({ about }) => about.kind),
    ).toEqual(['raise']);
    expect(plan.raises![0]!.points.map(({ kind }) => kind)).toEqual(['mastLift', 'mastLift']);
    expect(plan.ways[0]!.gear.what).toBe('two mast lifts');
  });
  test('with something on its line the storey is there to be filled; without, no line is opened', () => {
    expect(built('opening').shoring.lines[0]!.storeys).toHaveLength(1);
    const bare = built('opening', { by: 'a crew, by hand', shored: 'no' });
    expect(bare.shoring.lines).toEqual([]);
    expect(bare.moves.map(({ kind }) => kind)).toEqual(['bearing.ready', 'bearing.ready', 'member.set']);
  });
});

test('every field has a key of its own, and an example by which it can be filled', () => {
  for (const id of templateIds) {
    const { fields } = templates[id] as { fields: readonly { key: string; choices?: unknown; example?: unknown }[] };
    expect(new Set(fields.map(({ key }) => key)).size).toBe(fields.length);
    for (const field of fields) expect(Boolean(field.choices) !== Boolean(field.example)).toBe(true);
  }
});
