import { ticketHall } from '../../../tests/demo-plan';
import { evaluate } from '../evaluate';
import { pathPicture } from './path-picture';
import { storeyTotals } from './storey-totals';

test('each thing stands below everything that stands on it, and every line is drawn once', () => {
  const plan = ticketHall();
  const picture = pathPicture(plan, evaluate(plan).checks);
  expect(picture.boxes).toHaveLength(plan.bearings.length + plan.links.length);
  const row = new Map(picture.boxes.map((box) => [box.id, box.row]));
  for (const line of picture.lines) expect(row.get(line.to)!).toBeGreaterThan(row.get(line.from)!);
  expect(picture.lines).toHaveLength([...plan.bearings, ...plan.links].reduce((sum, one) => sum + one.standsOn.length, 0));
  const spots = new Set(picture.boxes.map((box) => `${box.row}/${box.column}`));
  expect(spots.size).toBe(picture.boxes.length);
});
test('the load and the worst verdict of each link stand in its box', () => {
  const plan = ticketHall();
  const { checks } = evaluate(plan);
  const check = checks.find((one) => one.id === 'path.link' && one.subject === 'Brick pier A')!;
  expect(pathPicture(plan, checks).boxes.find((box) => box.name === 'Brick pier A')).toMatchObject({ load: check.demand, verdict: check.verdict });
  plan.links.find((one) => one.name === 'Brick pier A')!.capacity = 1000;
  expect(pathPicture(plan, evaluate(plan).checks).boxes.find((box) => box.name === 'Brick pier A')!.verdict).toBe('stop');
});
test('a ring ends, a forgotten link is drawn, a link that is gone is not followed', () => {
  const plan = ticketHall();
  plan.links.find((one) => one.id === 'footA')!.standsOn = [{ link: 'pierA', share: 1 }];
  plan.links.push({ ...plan.links[0]!, id: 'lost', name: 'Lost', standsOn: [{ link: 'nowhere', share: 1 }] });
  const picture = pathPicture(plan, []);
  expect(picture.boxes.find((box) => box.id === 'lost')).toBeTruthy();
  expect(picture.lines.some((line) => line.to === 'nowhere')).toBe(false);
});
test('with nothing written down there is one row of bearings', () => {
  const plan = ticketHall();
  plan.links = [];
  plan.bearings.forEach((one) => (one.standsOn = []));
  expect(pathPicture(plan, evaluate(plan).checks)).toMatchObject({ rows: 1, lines: [] });
});

describe('summed by storey', () => {
  const totals = (plan: ReturnType<typeof ticketHall>) => storeyTotals(plan, pathPicture(plan, evaluate(plan).checks));
  test('by hand: both seats and the pier, then the cellar, then the sand', () => {
    const plan = ticketHall();
    const load = (id: string, name: string) => evaluate(plan).checks.find((one) => one.id === id && one.subject === name)!.demand!;
    const [hall, cellar, sand] = totals(plan);
    // The hall: what the padstone and the post take, less what they weigh themselves, and everything of that storey’s own.
    expect(hall).toMatchObject({ storey: 0, links: 5 });
    const seats = load('path.link', 'Brick pier A') - 220 - 9000 + (load('path.link', 'Cellar beam') - 600 - 120 - 3500);
    expect(hall!.load).toBeCloseTo(seats + 220 + 9000 + 600 + 120, 3);
    expect(cellar!.load).toBeCloseTo(hall!.load! + 6000 + 3500 + 5000 + 5000, 3);
    expect(sand!.load).toBeCloseTo(cellar!.load!, 3);
  });
  test('a load nobody knows is not summed over', () => {
    const plan = ticketHall();
    plan.survey.openings[0]!.lineLoad = null;
    expect(totals(plan).map((one) => one.load)).toEqual([null, null, null]);
  });
  test('no links, no storeys', () => {
    const plan = ticketHall();
    plan.links = [];
    plan.bearings.forEach((one) => (one.standsOn = []));
    expect(totals(plan)).toEqual([]);
  });
});
