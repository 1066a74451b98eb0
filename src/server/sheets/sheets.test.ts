import { stiffPortal } from '../../../tests/portal';
import { pushed } from '../../../tests/pushed';
import { twoLines } from '../../../tests/two-lines';
import { lineIn } from '../../../tests/of-plan';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { noCosts } from '@/core/document/things/costs';
import { demoPlan, passengerCanopy, quayFootbridge, ticketHall, vehicleRamp } from '../../../tests/demo-plan';
import type { Plan } from '@/core/document/schema';
import type { SheetName } from './names';
import { renderSheet } from './render';
import { newSince } from './run-sheet';
import type { Paper } from './parts';

/** The words on the paper, as a reader gets them: by extracting them from the PDF. */
async function wordsOf(name: SheetName, plan: Plan, paper: Paper = 'A4', day?: number): Promise<{ text: string; info: string }> {
  const pdf = await renderSheet(name, { id: 'x', revision: 7, plan, savedAt: new Date('2026-11-20T08:00:00Z') }, { paper, day });
  const file = join(mkdtempSync(join(tmpdir(), 'sheet-')), 'sheet.pdf');
  writeFileSync(file, pdf!);
  const run = (command: string, args: string[]) => execFileSync(command, args, { encoding: 'utf8' });
  return { text: run('pdftotext', ['-layout', file, '-']).replace(/[\s\u00a0]+/g, ' '), info: run('pdfinfo', [file]) };
}

/** The plan with these picks alone: what no pick lifts is hung by whatever is said. */
function keepPicks(plan: Plan, picks: Plan['picks']): void {
  const kept = new Set(picks.map(({ id }) => id));
  plan.picks = picks;
  plan.moves = plan.moves.flatMap((move) => {
    if (!('pick' in move) || !move.pick || kept.has(move.pick)) return [move];
    return move.kind === 'piece.hang' ? [{ ...move, pick: null }] : [];
  });
}

/** The same, page by page. */
async function pagesOf(name: SheetName, plan: Plan): Promise<{ text: string; pages: string[] }> {
  const pdf = await renderSheet(name, { id: 'x', revision: 7, plan, savedAt: new Date('2026-11-20T08:00:00Z') }, { paper: 'A4' });
  const file = join(mkdtempSync(join(tmpdir(), 'sheet-')), 'sheet.pdf');
  writeFileSync(file, pdf!);
  const pages = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })
    .split('\f')
    .slice(0, -1)
    .map((page) => page.replace(/[\s\u00a0]+/g, ' '));
  return { text: pages.join(' '), pages };
}

const caution = 'Temporary works and lifts can kill. This sheet computes and records; it does not approve.';

describe.each(['A4', 'LETTER'] as const)('on %s', (paper) => {
  test('the pick card is one page with its figures, the caution and room to sign', async () => {
    const { text, info } = await wordsOf('pick-card', demoPlan(), paper);
    expect(info).toMatch(/Pages:\s+1\n/);
    expect(info).toMatch(paper === 'A4' ? /595\.\d+ x 841/ : /612 x 792/);
    for (const words of [
      'Pick card · TB1',
      'Revision 7',
      '1 188 kg',
      '10.23 m',
      '1 500 kg',
      '79.2 %',
      'next longer radius',
      '47.3°',
      '4.8 m/s',
      caution,
      'Engineer or appointed competent person',
    ])
      expect(text).toContain(words);
  });
  test('the run sheet has every move in order, the caution and room to sign', async () => {
    const { text } = await wordsOf('run-sheet', demoPlan(), paper);
    const places = ['P1 ready', 'Crane to S1', 'Sling TB1', 'Lift, swing, over', 'Land on P1, P2', 'Let the hook go', 'Crane leaves S1'].map((words) =>
      text.indexOf(words),
    );
    expect(Math.min(...places)).toBeGreaterThan(0);
    expect([...places].sort((a, b) => a - b)).toEqual(places);
    expect(text).toContain(caution);
    expect(text).toContain('Engineer or appointed competent person');
  });
});

test('the steel sheet has the lengths to cut, the pieces, the way leg by leg, and says what is not known', async () => {
  const plan = ticketHall();
  plan.members[5]!.make = { kind: 'section', section: 'ZZ 1' };
  const { text } = await wordsOf('steel', plan);
  for (const words of [
    '4.202 m',
    'TH1 goes in as 3 pieces',
    'TH1/2',
    'Corridor corner',
    'NOT KNOWN',
    'layer 2',
    'MISSING: “ZZ 1” is not in the section tables',
    caution,
  ])
    expect(text).toContain(words);
});
test('the steel sheet tells how the long pieces come, and what of it nobody knows', async () => {
  const { text } = await wordsOf('steel', demoPlan());
  for (const words of [
    'comes on Extending trailer, rear axles steered, 19 Nov 2026, permit 4471',
    'Extending trailer: takes 16.80 m and 24 000 kg',
    'Mole corner: outer radius 14.50 m',
    'road 8.20 m wide',
    'loads up to 17.00 m; escort car ahead from Mole corner',
    '9 Nov 2026 to 4 Dec 2026',
    'stepped eaves girder',
  ])
    expect(text.replace(/\s+/g, ' ')).toContain(words);
  const plan = demoPlan();
  plan.transport.trucks[1]!.steered = null;
  plan.transport.turns[0]!.width = null;
  plan.transport.permits[0]!.until = '';
  const open = (await wordsOf('steel', plan, 'LETTER')).text.replace(/\s+/g, ' ');
  for (const words of ['steering NOT KNOWN', 'road NOT KNOWN wide', 'days NOT KNOWN', 'MISSING: Can the rear axles of Extending trailer be steered?'])
    expect(open).toContain(words);
});
test('the shoring sheet: what each shore carries, the cut list, the strike in order; a stop at its head', async () => {
  const { text } = await wordsOf('shoring', ticketHall());
  for (const words of [
    'Stud 3 of Hall wall, left carries 5.93 kN',
    '2.589 m',
    '45x95 C24',
    'Hall wall, left 1, 10 and Hall wall, right 1, 10',
    'After step 4',
    caution,
  ])
    expect(text).toContain(words);
  const plan = ticketHall();
  lineIn(plan).walls[0]!.missing = [4];
  plan.shoring.stock[0]!.count = 12;
  const stopped = (await wordsOf('shoring', plan, 'LETTER')).text;
  expect(stopped).toContain('STOP: Hall wall, left: no stud under joist 4 of 10');
  expect(stopped).toContain('THE YARD HAS 2');
});
test('two lines: a page for each with its own strike, one cut list; what the first gives back is not bought again', async () => {
  const { text } = await wordsOf('shoring', twoLines());
  expect(text).toContain('Shoring, Hall opening');
  expect(text).toContain('Shoring, Baggage opening');
  expect(text.match(/Strike, in this order/g)).toHaveLength(2);
  expect(text.match(/Cut and pick list/g)).toHaveLength(1);
  expect(text).not.toContain('THE YARD HAS');
  const both = twoLines();
  both.moves.splice(6, 0, ...both.moves.splice(14, 7));
  expect((await wordsOf('shoring', both)).text).toContain('THE YARD HAS');
});
test('the run sheet prints who passed each hold point and leaves the open one open', async () => {
  const { text } = await wordsOf('run-sheet', ticketHall());
  expect(text).toContain('M. Lindqvist, engineer, 5 Oct 2026');
  expect(text).toContain('HP6 Trial fit or works inspection');
  expect(text).toContain('NOT RECORDED: inspector');
});

test('the run sheet prints the note for the crew at its move', async () => {
  const plan = demoPlan();
  const lift = plan.moves.findIndex(({ kind }) => kind === 'pick.lift');
  plan.moves[lift] = { ...plan.moves[lift]!, note: 'Slowly past the kiosk' };
  const { text } = await wordsOf('run-sheet', plan);
  const at = text.indexOf('Slowly past the kiosk');
  expect(at).toBeGreaterThan(text.indexOf('Lift, swing, over'));
  expect(at).toBeLessThan(text.indexOf('Land on P1, P2'));
});

test('a stop stands at the head of the card in words, and on its move in the run sheet', async () => {
  const plan = demoPlan();
  const bolt = plan.moves.find((move) => move.id === 'm10');
  if (bolt?.kind === 'end.bolt') bolt.bolts = 1;
  plan.picks[0]!.slingRating = null;
  const card = (await wordsOf('pick-card', plan)).text;
  expect(card).toContain('STOP. Do not lift on this card.');
  expect(card).toContain('MISSING: What is one sling leg rated for?');
  expect(card).toContain('NOT KNOWN');
  expect((await wordsOf('run-sheet', plan)).text).toContain('STOP: The hook would let go with one bolt at P2.');
});

test('US units print in feet, inches and pounds, and no glyph is lost', async () => {
  const plan = demoPlan();
  plan.job.units = 'us';
  plan.job.place = 'glyphs ≤ ≥ ² ⁴ √ → − × Δ σ φ';
  const { text } = await wordsOf('pick-card', plan);
  expect(text).toContain('glyphs ≤ ≥ ² ⁴ √ → − × Δ σ φ');
  expect(text).toMatch(/2,619 lb/);
  expect(text).toMatch(/33' 6 1\d*\/?\d*"|33' \d+/);
});

describe('the whole set', () => {
  test('its cover says on which page each part begins, and what nobody looked at here', async () => {
    const { text, pages } = await pagesOf('lift-plan', quayFootbridge());
    expect(text).toContain('In this set');
    for (const [title, heading] of [
      ['Before anybody lifts', 'Stop at once when'],
      ['The job and its lifts', 'How the cranes stand'],
      ['Cards of the lifts', 'Pick card ·'],
      ['Run sheet', 'Hold points: no work below one'],
      ['Connections', 'Bolts to take up'],
    ] as const) {
      const first = Number(new RegExp(`${title} pages? (\\d+)`).exec(pages[0]!)![1]);
      expect([title, pages[first - 1]!.includes(heading)]).toEqual([title, true]);
      expect([title, pages[first - 2]!.includes(heading)]).toEqual([title, false]);
    }
    expect(pages[0]).toContain('rescue of a person from height');
    expect(pages[0]).toMatch(/Missing: not known is not clear 13/);
    expect(pages[0]).toContain('MISSING. This job may not go ahead');
    expect(pages.every((page, i) => page.includes(`page ${i + 1} of ${pages.length}`))).toBe(true);
    expect(text).not.toContain('Shoring ·');
    expect(text).not.toContain('Boom put together');
  });
  test('the briefing names caller and channel, the first gust that stops a lift, closed zones and live lines', async () => {
    const plan = vehicleRamp();
    plan.people.radioChannel = '';
    plan.site.zones = [
      { id: 'z1', name: 'Harbour line', kind: 'railway', at: { x: 0, y: 90 }, length: 5, width: 5, azimuthDeg: 0, closed: null },
      {
        id: 'z2',
        name: 'Ferry road',
        kind: 'road',
        at: { x: 0, y: 80 },
        length: 5,
        width: 5,
        azimuthDeg: 0,
        closed: { how: 'barrier', by: 'K. Osei', on: '2026-11-20' },
      },
    ];
    const { pages } = await pagesOf('lift-plan', plan);
    expect(pages[1]).toContain('One caller R. Adeyemi');
    expect(pages[1]).toContain('Radio channel NOT KNOWN');
    expect(pages[1]).toMatch(/a gust reaches 11\.8 mph/);
    expect(pages[1]).toContain('Harbour line OPEN: not lifted over');
    expect(pages[1]).toContain('closed: barrier (K. Osei)');
    // Over three quarters of its chart: marked in the list and on the cover.
    expect(pages[0]).toContain('Critical lifts G4.1');
    expect(pages[2]).toMatch(/G4\.1 crane at Stand 1 .* 76\.9 % .* over 75 % of the/);
  });
  test('a boom that is put together on site: which way it lies, under whom, held by what; what nobody said stands open', async () => {
    const plan = quayFootbridge();
    plan.cranes[0]!.assembled = true;
    plan.stands[0]!.assembly = { towardsDeg: 200, director: 'S. Aune', held: 'blocks under each section' };
    const { text } = await pagesOf('lift-plan', plan);
    const words = text.replace(/\s+/g, ' ');
    expect(words).toMatch(/Boom put together here: lies out 200\.0\s*° from east, under S\. Aune; held while pins are out by blocks under each section/);
    // The other stand says nothing of it.
    expect(words.split('Boom put together here').length - 1).toBe(plan.stands.filter(({ crane }) => crane === 'c1').length);
  });
  test('what the lifts take is told after the last of them: hours, days and money as far as they are priced', async () => {
    const plan = quayFootbridge();
    plan.costs = { ...noCosts(), currency: 'EUR', person: 40, shift: 8 };
    plan.cranes[0]!.hire = { day: 1600, bring: null };
    const { pages } = await pagesOf('lift-plan', plan);
    const words = pages.find((page) => page.includes('How the cranes stand'))!.replace(/\s+/g, ' ');
    expect(words).toMatch(
      /What the lifts take.* Curlew 50: 4 lifts from 2 stands, 8 h, one day\. Not priced: What does it cost to bring Curlew 50 and take it away\?/,
    );
  });
  test('a plan without a structure has shoring and no connections; without lifts it still has a cover', async () => {
    const { pages } = await pagesOf('lift-plan', ticketHall());
    expect(pages[0]).toMatch(/Shoring pages? \d+/);
    expect(pages[0]).not.toMatch(/Connections pages? \d+/);
    const bare = quayFootbridge();
    Object.assign(bare, { picks: [], stands: [], cranes: [] });
    keepPicks(bare, []);
    bare.moves = bare.moves.filter((move) => !('stand' in move));
    const none = await pagesOf('lift-plan', bare);
    expect(none.pages[0]).toMatch(/Lifts 0 .* Complex lifts none found/);
    expect(none.pages[1]).toContain('none is known yet');
  });
});

test('connections: a joint that holds a moment says so, one that holds none does not', async () => {
  const plan = stiffPortal();
  plan.structure.joints.find(({ id }) => id === 'n2')!.moment = null;
  const { text } = await wordsOf('connections', plan);
  expect(text).toMatch(/n1 on a column .*filled holds .*60\.0.*n2 on a column/);
  expect(text.match(/filled\s+holds/g)).toHaveLength(1);
});

test('connections: each joint in its order with its bolts, counted by size; what nobody said is said', async () => {
  const plan = vehicleRamp();
  const { text } = await wordsOf('connections', plan);
  // Twelve splices of 120 holes a side.
  expect(text).toContain('7/8" A325, in 12 joints 2,880');
  expect(text).toMatch(/Splice 1, line 1 splice 7\/8" A325, 2 planes 120 48: 30 pins, 30 bolts, tight; 63: .*90 bolts, tight/);
  expect(text).toContain('fixed at 30');
  plan.structure.joints[0]!.bolt = null;
  plan.structure.joints[1]!.holes = null;
  const id = plan.structure.joints[2]!.id;
  plan.moves = plan.moves.filter((move) => move.kind !== 'joint.make' || move.joint !== id);
  const open = (await wordsOf('connections', plan)).text;
  expect(open).toContain('Joints whose bolts have no size here: 1 NOT KNOWN');
  expect(open).toContain('7/8" A325, in 11 joints NOT KNOWN');
  expect(open).toContain('NEVER MADE');
  expect(await renderSheet('connections', { id: 'x', revision: 7, plan: demoPlan(), savedAt: new Date() }, { paper: 'A4' })).toBeNull();
});

test('the run sheet tells what hangs on the hook and what supports come to carry, and of the pieces only what is new', async () => {
  const { text } = await wordsOf('run-sheet', quayFootbridge());
  expect(text).toMatch(/On the hook 5 249 kg, out to 11\.\d\d m; stop at gusts of \d+\.\d m\/s/);
  expect(text).toMatch(/Carries now: .* kN \(was /);
  expect(newSince('a · G1, G2 set', 'a · G1, G2, G3 set · G4 on the hook')).toBe('G3 set · G4 on the hook');
  expect(newSince('G1 set', 'G1 set')).toBe('');
  expect(newSince('12 pieces set', '13 pieces set')).toBe('13 pieces set');
  const plan = quayFootbridge();
  plan.cranes[0]!.chart = null;
  expect((await wordsOf('run-sheet', plan)).text).toContain('On the hook: NOT KNOWN');
});

test('a card of one lift is one page: of supports it tells of its own', async () => {
  const plan = passengerCanopy();
  keepPicks(plan, plan.picks.slice(0, 2));
  const { text, info } = await wordsOf('pick-card', plan);
  expect(text).toContain('Base A1: concrete tested');
  expect(text.split('Pick card ·')[1]).not.toContain('Base B1: concrete tested');
  expect(info).toMatch(/Pages:\s+2\n/);
});

test('a launch has a card: what is to be read at every metre of each line, what pulls and holds it, and when it stops', async () => {
  const { text, pages } = await pagesOf('pick-card', pushed());
  expect(pages.length).toBeLessThanOrEqual(3);
  for (const words of [
    'Launch card · Launch',
    'MISSING. Do not push on this card.',
    'To break away',
    'G1.1 + G1.2 + G1.3; G2.1 + G2.2 + G2.3: to be, and read',
    'Roller on pier 2',
  ])
    expect(text).toContain(words);
  // A line that weighs more at its end has a table of its own.
  const heavier = pushed((_, { structure }) => void (structure.pieces.find(({ id }) => id === 'g2-1')!.weighed = 4600));
  expect((await wordsOf('pick-card', heavier)).text).toContain('G2.1 + G2.2 + G2.3: to be, and read');
  expect(text).toContain('Halt at every roller');
  const tips = pushed((launch) => void (launch.nose!.mass = 9000));
  const card = (await wordsOf('pick-card', tips)).text;
  expect(card).toContain('STOP. Do not push on this card.');
  expect(card).toContain('FALLS');
  const unsaid = pushed((launch) => void (launch.nose = null));
  expect((await wordsOf('pick-card', unsaid)).text).toContain('Has Launch a launching nose');
});

test('the papers of one day: its cards and its run sheet, and on the whole run sheet a line where each day begins', async () => {
  const plan = quayFootbridge();
  const at = plan.moves.findIndex(({ id }) => id === 'c1l');
  plan.moves.splice(at + 1, 0, { id: 'd1', kind: 'day.end', on: '2026-12-01' });
  const [first, second, whole] = [await wordsOf('run-sheet', plan, 'A4', 1), await wordsOf('run-sheet', plan, 'A4', 2), await wordsOf('run-sheet', plan)];
  expect(first.text).toContain('Day 1 · 1 Dec 2026');
  expect(first.text).not.toContain('Hang G1b');
  expect(second.text).toMatch(/Run sheet, Day 2/);
  // Of the day before only that it ended safely, which its first move waits for.
  expect(second.text).not.toContain('Day 1 · 1 Dec 2026 1 ');
  expect(second.text).not.toContain('HP11 Go for the day, Day 1');
  expect(second.text).toContain('HP14 Safe at the end of the day, Day 1');
  expect(first.text).toContain('HP11 Go for the day, Day 1');
  expect(first.text).not.toContain('HP11 Go for the day, Day 2');
  // Moves keep their numbers.
  expect(second.text).toContain(` ${at + 3} `);
  // Past the hold points, which name the days too, each day begins with its line.
  const lines = ['Day 1 · 1 Dec 2026', 'Day 2'].map((day) => whole.text.lastIndexOf(day));
  expect(lines[0]).toBeGreaterThan(whole.text.indexOf('No Stands Move'));
  expect(lines[1]).toBeGreaterThan(lines[0]!);
  const cards = [await wordsOf('pick-card', plan, 'A4', 1), await wordsOf('pick-card', plan, 'A4', 2)].map(({ text }) => text);
  expect(cards.map((text) => ['G1a', 'G2a', 'G1b', 'G2b'].filter((mark) => text.includes(`Pick card · ${mark}`)))).toEqual([
    ['G1a', 'G2a'],
    ['G1b', 'G2b'],
  ]);
});

test('a run sheet of forty days says in one line of what is passed on each of them how far it is', async () => {
  const plan = quayFootbridge();
  const days = Array.from({ length: 40 }, (_, n): Plan['moves'] => [
    { id: `w${n}`, kind: 'other', what: `Work of day ${n + 1}` },
    { id: `d${n}`, kind: 'day.end', on: null },
  ]);
  plan.moves = [...days.flat(), ...plan.moves];
  const passed = (n: number): Plan['holds'][number] => ({
    id: 'HP14',
    by: 'R. Adeyemi',
    evidence: 'all landed, place shut',
    value: '',
    on: '2026-11-20',
    day: `d${n}`,
  });
  plan.holds.push(passed(1));
  const line = async () => /HP14 Safe at the end of the .*?HP26/.exec((await wordsOf('run-sheet', plan)).text)![0];
  expect(await line()).toMatch(/NOT RECORDED: day 1, day 3, each of 40 days .* day 4, day 5 and 35 more/);
  plan.holds.push(...days.flatMap((_, n) => (n === 1 ? [] : [passed(n)])));
  expect(await line()).toContain('recorded for each of them');
});
