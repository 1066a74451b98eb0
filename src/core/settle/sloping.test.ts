import { evaluated } from '../../../tests/evaluated';
import { portal } from '../../../tests/portal';
import { passengerCanopy, quayFootbridge } from '../../../tests/demo-plan';
import { splicedGirder } from '../../../tests/spliced-girder';
import { solveLine } from '../stage/line';
import { rulesOf } from '../rules/rule-sets';
import { beamBodies } from './bodies';
import { describe as told } from '../verdict/describe';
import { checksAt, evaluateWhole } from '../evaluate';
import { openPlan } from '../document/open';
import type { Plan } from '../document/schema';
import { Missing } from '../verdict/missing';
import { pickContext } from '../checks/lift/pick-context';
import { settle } from './settle';
import { settleBeams } from './model';
import { heightAt, placeOf, pointAt } from '../document/place';

const TODAY = '2026-11-27';
const opened = (plan: Plan): Plan => {
  const done = openPlan(structuredClone(plan));
  if (!done.ok) throw new Error(done.faults.map(({ path, error }) => `${path}: ${error}`).join('\n'));
  return done.plan;
};
const rowsOf = (plan: Plan) => evaluated(opened(plan), TODAY).checks;
const row = (plan: Plan, id: string, about: string) => {
  const found = rowsOf(plan).find((one) => one.id === id && one.about.id === about);
  if (!found) throw new Error(`no ${id} of ${about}`);
  return found;
};
const words = (plan: Plan, id: string) =>
  rowsOf(plan)
    .filter((one) => one.id === id)
    .map((one) => `${one.verdict} ${told(one, 'metric').replace(/\u00a0/g, ' ')}`);

/** The spliced girder of 24 m on three supports, risen about its first end. */
function risen(deg: number, edit: (plan: Plan) => unknown = () => undefined): Plan {
  const plan = splicedGirder('us-asd');
  const [run, up] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  const at = (x: number) => ({ x: x * run, y: 0, z: 5 + x * up });
  Object.assign(plan.structure.pieces[0]!, { from: at(0), to: at(14) });
  Object.assign(plan.structure.pieces[1]!, { from: at(14), to: at(24) });
  for (const support of plan.structure.supports) {
    const place = placeOf(plan.structure.pieces.find(({ id }) => id === support.seats[0]!.piece)!)!;
    support.measured!.level = heightAt(place, support.seats[0]!.at);
  }
  edit(plan);
  return plan;
}
const strike = (plan: Plan) => (plan.moves = plan.moves.filter(({ kind }) => kind !== 'support.strike'));

describe('a line that slopes', () => {
  test.each([12, 30, 50])('rises %i°: its supports carry what they carry of a level one, it bends by levers as they are seen from above', (deg) => {
    const flat = Math.cos((deg * Math.PI) / 180);
    const [level, steep] = [risen(0, strike), risen(deg, strike)];
    for (const id of ['A', 'T', 'B']) expect(row(steep, 'support.load', id).demand!).toBeCloseTo(row(level, 'support.load', id).demand!, 1);
    for (const id of ['a', 'b']) expect(row(steep, 'beam.bending', id).demand! / row(level, 'beam.bending', id).demand!).toBeCloseTo(flat, 4);
    for (const id of ['a', 'b']) expect(row(steep, 'beam.shear', id).demand! / row(level, 'beam.shear', id).demand!).toBeCloseTo(flat, 4);
  });

  test('its splice bends and shears cos as much', () => {
    const feels = (deg: number, part: string) =>
      rowsOf(risen(deg, strike)).find(({ id, about }) => id === 'joint.strength' && about.id === 's' && about.part === part)!.demand!;
    for (const part of ['moment', 'shear']) expect(feels(30, part) / feels(0, part)).toBeCloseTo(Math.cos(Math.PI / 6), 4);
  });

  test('a seat that is high takes what it takes of the same line seen from above, with EI·cos', () => {
    const high = 0.0004;
    // The first piece alone, on a third seat in its middle.
    const plan = risen(30, (p) => {
      strike(p);
      const { structure } = p;
      Object.assign(structure, { pieces: structure.pieces.slice(0, 1), makes: structure.makes.slice(0, 1), joints: [] });
      const place = placeOf(structure.pieces[0]!)!;
      [0.3, 7, 13.7].forEach((at, n) => {
        const support = structure.supports[n]!;
        Object.assign(support, { seats: [{ piece: 'a', at }], capacityBasis: 'allowable' });
        support.measured!.level = heightAt(place, at) + (n === 1 ? high : 0);
      });
      p.moves = p.moves.filter((move) => !('beam' in move && move.beam === 'b') && !('joint' in move));
    });
    const run = Math.cos(Math.PI / 6);
    const settled = settleBeams(plan, rulesOf('us-asd', {})).get('a')!;
    if (!('perLength' in settled.heavy) || !('iStrong' in settled.section)) throw new Error('no weight');
    const own = settled.heavy.perLength;
    const seen = solveLine(
      [
        {
          id: 'a',
          from: 0,
          to: 14 * run,
          stretches: [{ to: 14 * run, stiffness: rulesOf('us-asd', {}).steel.modulus * settled.section.iStrong * run, load: own / run }],
          loads: [],
        },
      ],
      [
        { id: 'A', x: 0.3 * run, level: 0, spring: null, tie: false },
        { id: 'T', x: 7 * run, level: high, spring: null, tie: false },
        { id: 'B', x: 13.7 * run, level: 0, spring: null, tie: false },
      ],
      [],
    );
    if (!seen.stable) throw new Error('does not stand');
    const level = seen.reactions.get('T')!;
    expect(level / (own * 14)).toBeGreaterThan(0.7);
    for (const id of ['A', 'T', 'B']) expect(row(plan, 'support.load', id).demand!).toBeCloseTo(seen.reactions.get(id)!, 3);
  });

  test('is pressed along by tan of its slope of what shears it, and bent at once; a level one is not', () => {
    const plan = risen(30, strike);
    const end = checksAt(evaluateWhole(opened(plan), TODAY), plan.moves.at(-1)!.id);
    const of = (id: string) => end.find((one) => one.id === id && one.about.id === 'a')!;
    const [pressed, bends, shear] = [of('beam.pressed'), of('beam.bending'), of('beam.shear')];
    const along = shear.demand! * Math.tan(Math.PI / 6);
    const said = (pressed.finding as never as { words: (string | { kind: string; value: number })[] }).words.flatMap((one) =>
      typeof one === 'object' && one.kind === 'force' ? [one.value] : [],
    );
    expect(said[0]).toBeCloseTo(along, 3);
    expect(pressed.demand!).toBeCloseTo(along / said[1]! + bends.demand! / bends.capacity!, 6);
    expect(rowsOf(risen(0)).some(({ id }) => id === 'beam.pressed')).toBe(false);
    expect(rowsOf(risen(2)).some(({ id }) => id === 'beam.pressed')).toBe(false);
    expect(rowsOf(risen(4)).some(({ id }) => id === 'beam.pressed')).toBe(true);
  });

  test('bent at its splice, seen from above, it is asked about', () => {
    const [found] = words(
      risen(10, (p) => (p.structure.pieces[1]!.to!.y += 1)),
      'line.stands',
    ).filter((one) => one.startsWith('missing'));
    expect(found).toMatch(/G1a and G1b are joined end to end and do not lie in one upright plane/);
  });

  test('bent at its splice, seen from the side, on seats that let it move along it carries by what is seen from above', () => {
    const bent = risen(0, (p) => {
      strike(p);
      const fallen = p.structure.pieces[1]!;
      fallen.to!.z -= 1;
      const end = p.structure.supports.find(({ id }) => id === 'B')!;
      end.measured!.level = heightAt(placeOf(fallen)!, end.seats[0]!.at);
    });
    expect(words(bent, 'line.stands').filter((one) => one.startsWith('missing'))).toEqual([]);
    const loads = (plan: Plan) => ['A', 'T', 'B'].map((id) => row(plan, 'support.load', id).demand!);
    // 10 m that fall by 1 m are 9.95 m seen from above: next to nothing less.
    loads(risen(0, strike)).forEach((one, n) => expect(loads(bent)[n]! / one).toBeCloseTo(1, 1));
    const sum = (plan: Plan) => loads(plan).reduce((all, one) => all + one, 0);
    expect(sum(bent) / sum(risen(0, strike))).toBeCloseTo(1, 2);
    const twoFixed = structuredClone(bent);
    for (const one of twoFixed.structure.supports) one.along = 'fixed';
    expect(words(twoFixed, 'line.stands').join()).toMatch(/missing G1a and G1b are bent, and more than one seat keeps them from moving along/);
  });

  test('so little bent as girders are set, it is not', () => {
    const plan = risen(0, (p) => (p.structure.pieces[1]!.to!.z += 0.3));
    expect(words(plan, 'line.stands').filter((one) => one.startsWith('missing'))).toEqual([]);
  });
});

describe('what is drawn out of its place', () => {
  test('a column that leans further than plumbing leaves it is asked about', () => {
    const lean = (by: number) => {
      const plan = portal();
      plan.structure.pieces[0]!.to!.x += by;
      return words(plan, 'column.leans');
    };
    expect(lean(0.0079)).toEqual([]);
    expect(lean(0.0081)[0]).toMatch(/missing C1 is drawn leaning/);
    const across = portal();
    across.structure.pieces[1]!.to!.y -= 0.05;
    expect(words(across, 'column.leans')).toHaveLength(1);
  });

  test.each([
    ['over where it is joined', 0.25, false],
    ['further over', 0.35, true],
    ['under where it is joined', -0.19, false],
    ['further under', -0.25, true],
  ])('a beam %s', (_, by, asked) => {
    const plan = portal();
    // W12x40 is 0.302 m deep; both joints are at 3.80 m.
    const beam = plan.structure.pieces[2]!;
    beam.from!.z = beam.to!.z = 3.6 + by;
    const found = words(plan, 'joint.meets').filter((one) => /n1|n2/.test(one));
    expect(found.length > 0).toBe(asked);
  });

  test('a joist that hangs over or under its girder', () => {
    const at = (z: number) => {
      const plan = portal();
      Object.assign(plan.structure.pieces[3]!, { from: { x: 3, y: 0, z }, to: { x: 3, y: 5, z } });
      return words(plan, 'joint.meets').filter((one) => /n3/.test(one)).length;
    };
    // The girder reaches from 3.70 to 4.00 m; the joist is 0.26 m deep.
    expect([at(3.7), at(4.0), at(4.09), at(4.12), at(3.36), at(3.3)]).toEqual([0, 0, 0, 1, 0, 1]);
  });
});

test.each([
  [0.9, 0],
  [1.07, 1],
  [-0.9, 0],
  [-1.07, 1],
])('a cross-frame between girders of which one is %d m higher', (by, asked) => {
  const plan = quayFootbridge();
  for (const one of plan.structure.pieces.filter(({ id }) => id.startsWith('g2'))) {
    one.from!.z += by;
    one.to!.z += by;
  }
  const found = words(plan, 'brace.meets');
  // Each girder is 0.96 m deep, and there are three cross-frames.
  expect(found).toHaveLength(3 * asked);
  if (asked) expect(found[0]).toMatch(/is drawn 0\.11 m apart in height/);
});

describe('what a piece that slopes takes up', () => {
  test.each([
    [0, 8],
    [3, 8],
    [6, 6],
    [-4, 5],
    [0.4, 4],
  ])('rising %d m on a run of %d m it is in its boxes, and they reach no more than a box out of it', (rise, run) => {
    const plan = portal();
    const beam = plan.structure.pieces[3]!;
    Object.assign(beam, { from: { x: 3, y: 0, z: 6 }, to: { x: 3 + run * 0.6, y: run * 0.8, z: 6 + rise } });
    const bodies = beamBodies(plan, rulesOf('us-asd', {})).filter(({ id }) => id === 'j1');
    const place = placeOf(beam)!;
    const deep = 0.259;
    const flat = Math.hypot(run) / place.length;
    expect(bodies.length).toBe(Math.max(1, Math.ceil(Math.abs(rise) / 0.25)));
    const inside = (x: number, y: number, z: number) =>
      bodies.some(({ outline, from, to }) => {
        const along = (v: { x: number; y: number }) => v.x * 0.6 + v.y * 0.8;
        const s = outline.map(along);
        return z > from - 1e-6 && z < to + 1e-6 && along({ x, y }) > Math.min(...s) - 0.011 && along({ x, y }) < Math.max(...s) + 0.011;
      });
    for (let n = 0; n <= 40; n += 1)
      for (const up of [0, deep / 2, deep]) {
        const under = pointAt(place, (place.length * n) / 40);
        // Square to its length.
        const back = (up * rise) / place.length;
        expect(inside(under.x - back * 0.6, under.y - back * 0.8, under.z + up * flat)).toBe(true);
        expect(inside(under.x, under.y, under.z - 0.3)).toBe(false);
        expect(inside(under.x, under.y, under.z + deep / flat + 0.3)).toBe(false);
      }
  });

  test('two that are in each other are told once, whichever boxes of theirs meet', () => {
    const plan = portal();
    const { pieces } = plan.structure;
    Object.assign(pieces[3]!, { from: { x: 20, y: 0, z: 6 }, to: { x: 23, y: 0, z: 10 } });
    pieces.push({ ...pieces[3]!, id: 'j2', mark: 'J2', from: { x: 20.3, y: 0, z: 6.4 }, to: { x: 23.3, y: 0, z: 10.4 } });
    const found = rowsOf(plan).filter(({ id, about }) => id === 'beam.inTheWay' && [about.id, about.part].sort().join() === 'j1,j2');
    expect(found).toHaveLength(1);
    const shed = portal();
    Object.assign(shed.structure.pieces[3]!, { from: { x: 20, y: 0, z: 1 }, to: { x: 24, y: 0, z: 4 } });
    shed.site.obstructions.push({ id: 'o9', name: 'a shed', at: { x: 22, y: 0 }, length: 4, width: 2, azimuthDeg: 0, height: 3 });
    expect(rowsOf(shed).filter(({ id, about }) => id === 'beam.inTheWay' && about.part === 'o9')).toHaveLength(1);
  });

  test('a leaning column is where it leans', () => {
    const plan = portal();
    plan.structure.pieces[0]!.to!.x = 1;
    const bodies = beamBodies(plan, rulesOf('us-asd', {})).filter(({ id }) => id === 'c1');
    expect(bodies).toHaveLength(4);
    const at = (z: number) => bodies.find(({ from, to }) => z >= from && z < to)!.outline.map(({ x }) => x);
    expect(Math.min(...at(0.5))).toBeLessThan(0);
    expect(Math.max(...at(3.5))).toBeGreaterThan(1);
    expect(Math.min(...at(3.5))).toBeGreaterThan(0.5);
  });
});

describe('how a piece that is set on a slope hangs', () => {
  const sloped = (rise: number, legs?: { left: number; right: number }): Plan => {
    const plan = passengerCanopy();
    const beam = plan.structure.pieces.find(({ id }) => id === 'along-0-0-0')!;
    beam.to!.z += rise;
    const pick = plan.picks.find((one) => one.piece === beam.id)!;
    if (legs) pick.legs = legs;
    return plan;
  };
  const tilt = (plan: Plan) => rowsOf(plan).find(({ id, finding }) => id === 'rigging.tilt' && JSON.stringify(finding).includes('B-AB1'))!;

  test('level where it is set at 30°: a stop that says with which legs it hangs as it is set, and with those it does', () => {
    const rise = 5 * Math.tan(Math.PI / 6);
    const level = tilt(sloped(rise));
    const said = told(level, 'metric').replace(/\u00a0/g, ' ');
    expect(level.verdict).toBe('stop');
    expect(level.demand!).toBeCloseTo(30, 0);
    expect(said).toMatch(/B-AB1 is set 30\.0° low at the left end and hangs level: 30\.0° apart/);
    const [left, right] = [/legs of ([\d.]+) m left and ([\d.]+) m right/.exec(said)!].flatMap((found) => [Number(found[1]), Number(found[2])]);
    expect(left!).toBeGreaterThan(right!);
    const mended = tilt(sloped(rise, { left: left!, right: right! }));
    expect(mended.demand!).toBeLessThan(0.6);
    expect(mended.verdict).toBe('clear');
    // The other way round it is further off than level.
    expect(tilt(sloped(rise, { left: right!, right: left! })).demand!).toBeGreaterThan(45);
    expect(told(tilt(sloped(-rise)), 'metric')).toMatch(/low at the right end/);
  });

  test('it does not come down past what is over its lower end, however high its upper end is; told once of what slopes too', () => {
    const over = (rise: number) => {
      const plan = passengerCanopy();
      const piece = (id: string) => plan.structure.pieces.find((one) => one.id === id)!;
      const below = plan.structure.pieces.find(({ mark }) => mark === 'B-AB1')!;
      below.to!.z += rise;
      // Over the column head, where the lower end of the other comes.
      piece('across-0-0-0').from!.z += 1;
      piece('across-0-0-0').to!.z += 1.6;
      const pick = plan.picks.find((one) => one.piece === below.id)!.id;
      return rowsOf(plan).filter(({ id, about }) => id === 'lift.down' && about.id === pick && about.part === 'across-0-0-0').length;
    };
    expect([over(0), over(2.6), over(-1)]).toEqual([1, 1, 1]);
  });

  test('its hook is over its balance point as it lies there', () => {
    const rise = 5 * Math.tan(Math.PI / 6);
    const plan = settle(opened(sloped(rise)));
    const { path, weight } = pickContext(
      plan,
      plan.picks.find(({ piece }) => piece === 'along-0-0-0')!,
    );
    if (path instanceof Missing || weight instanceof Missing) throw new Error('not known');
    // From x = 0, 30° up: what of its length up to the balance point is seen from above.
    expect(path.stations.at(-1)!.hook.x).toBeCloseTo(weight.cg.x * Math.cos(Math.PI / 6), 3);
  });

  test('on two hooks, set steeper than 20°, it is asked about', () => {
    const on = (rise: number) => {
      const plan = sloped(rise);
      const pick = plan.picks.find((one) => one.piece === 'along-0-0-0')!;
      const [one, other] = plan.stands as [Plan['stands'][number], Plan['stands'][number]];
      const second = { stand: pick.stand === one.id ? other.id : one.id, boom: 22, slingRating: 40e3, riggingMass: 60, via: null, lands: null };
      pick.second = second as never;
      return words(plan, 'rigging.tension')
        .filter((one) => /B-AB1/.test(one))
        .join();
    };
    expect(on(2)).toMatch(/missing .*B-AB1 is set inclined, by two hooks/);
    expect(on(0.5)).not.toMatch(/inclined/);
  });

  test('hardly out of level it is held against level', () => {
    expect(told(tilt(sloped(0.08)), 'metric')).toMatch(/hangs level/);
    expect(told(tilt(sloped(0.2)), 'metric')).toMatch(/is set 2\.3° low/);
  });
});
