import { guy, stiffPortal } from '../../../../tests/portal';
import { support } from '../../../../tests/spliced-girder';
import { describe as told } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import { openPlan } from '../../document/open';
import { applyCommand } from '../../edit/apply';
import type { Command } from '../../edit/table';
import { sameForOthers } from '../../edit/alike';
import { copyPieces, movePieces } from '../../edit/many-places';
import type { Joint, Move, Plan } from '../../document/schema';

const rowsOf = (plan: Plan) => {
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(opened.faults.map(({ path, error }) => `${path}: ${error}`).join('\n'));
  return evaluate(opened.plan, '2026-11-27').checks;
};
const edited = (edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = stiffPortal();
  edit(plan);
  return plan;
};
const row = (plan: Plan, id: string, about: string) => rowsOf(plan).find((one) => one.id === id && one.about.id === about);
const bad = (plan: Plan): string =>
  rowsOf(plan)
    .filter(({ id, verdict }) => (verdict === 'stop' || verdict === 'missing') && !id.startsWith('hold.'))
    .map((one) => `${one.verdict} ${one.id} ${told(one, 'metric')}`)
    .join('\n');
const joint = (plan: Plan, id: string): Joint => plan.structure.joints.find((one) => one.id === id)!;
/** The two moves that fill its holes. */
const fills = (plan: Plan, id: string) =>
  plan.moves.filter((move): move is Extract<Move, { kind: 'joint.make' }> => move.kind === 'joint.make' && move.joint === id);

const G = 9.80665;
const LB_FT = 1.48816;
const IN = 0.0254;
const PRESSURE = 0.5 * 1.25 * 15 ** 2 * 2.2;
/** W8x31: 110 in⁴; W12x40: 307 in⁴. */
/** At each head: half the wind on its column, half of that on the joist, all of which is taken to come to the frame, and half the lean. */
const sideways = (above: number): number => (PRESSURE * 8 * IN * 4) / 2 + (PRESSURE * 10.2 * IN * 5) / 2 + (above + 31 * LB_FT * 4 * G * 1.05) / 500 / 2;
const [COLUMN, BEAM] = [110 * IN ** 4, 307 * IN ** 4];

describe('a beam stiffly joined to both its columns', () => {
  test('holds them along itself: no rope does, and nothing is stopped or asked', () => {
    expect(stiffPortal().structure.braces.every(({ towardsDeg }) => towardsDeg === 90 || towardsDeg === 270)).toBe(true);
    expect(bad(stiffPortal())).toBe('');
  });

  test('its joints feel what lies on it and the wind, by hand', () => {
    const found = row(stiffPortal(), 'joint.portal', 'n2')!;
    const [h, L] = [3.8, 6];
    const own = 40 * LB_FT * G * 1.05;
    const joist = 22 * LB_FT * 5 * G * 1.05;
    const held = (own * L ** 2) / 12 + ((9000 + joist / 2) * L) / 8;
    const takes = (3 * COLUMN) / h / ((3 * COLUMN) / h + (2 * BEAM) / L);
    const moment = held * takes + sideways(own * L + 9000 + joist / 2) * h;
    expect(found.demand! / moment).toBeGreaterThan(0.97);
    expect(found.demand! / moment).toBeLessThan(1.04);
    expect(found.capacity).toBe(60e3);
    expect(told(found, 'metric')).toMatch(/n2 keeps the angle between beam and column/);
  });

  const faults: [string, (plan: Plan) => unknown, RegExp][] = [
    [
      'no moment by the engineer',
      (p) => ['n1', 'n2'].forEach((id) => (joint(p, id).moment = null)),
      /stop frame.sideways Nothing holds C1, C2 sideways, along B1/,
    ],
    ['holes left open', (p) => ['n1', 'n2'].forEach((id) => (fills(p, id)[1]!.bolts = 1)), /stop frame.sideways Nothing holds C1, C2 sideways, along B1/],
    ['bolts nobody calls tight', (p) => ['n1', 'n2'].forEach((id) => (fills(p, id)[1]!.tight = null)), /stop frame.sideways/],
    ['bolts that are not tight', (p) => ['n1', 'n2'].forEach((id) => (fills(p, id)[1]!.tight = false)), /stop frame.sideways/],
    ['holes nobody counted', (p) => (joint(p, 'n1').holes = null), /missing [a-z.]+ .*n1/],
    ['a joint taken apart again', (p) => p.moves.push({ id: 'z1', kind: 'joint.free', joint: 'n1' }), /stop/],
    ['seats, whatever moment somebody wrote', (p) => ['n1', 'n2'].forEach((id) => (joint(p, id).kind = 'seat')), /stop frame.sideways/],
    [
      'a prop under its middle: it is no portal',
      (p) => {
        p.structure.supports.push(support('pr', 'Prop', 'b1', 3, { kind: 'prop', along: 'free', measured: { level: 3.7, by: 'T. Hale', on: '2026-11-20' } }));
        p.moves.unshift({ id: 'z2', kind: 'support.ready', support: 'pr' });
      },
      /stop frame.sideways Nothing holds C1, C2 sideways, along B1/,
    ],
    [
      'a beam that slopes: it is no portal',
      (p) => (p.structure.pieces.find(({ id }) => id === 'b1')!.to!.z = 4.4),
      /stop frame.sideways Nothing holds C1, C2 sideways, along B1/,
    ],
    [
      'a moment no bolts of it could hold: kN·m typed as N·m',
      (p) => (joint(p, 'n2').moment = 60e6),
      /stop joint.boltSays n2 is said to carry a moment of 60.000.kN·m; its \d+ bolts, M20 8.8, could carry/,
    ],
    [
      'a beam that is no section: how stiff it is nobody knows',
      (p) =>
        Object.assign(p.structure.makes[1]!, {
          made: { kind: 'plain', what: 'truss', depth: 0.5, width: 0.3, balance: 3, chords: 0.01, standsBy: 'T. Hale' },
          mass: 300,
        }),
      /stop frame.sideways Nothing holds C1, C2 sideways, along B1/,
    ],
    [
      'a beam that hangs over its columns: it is no portal',
      (p) => {
        p.structure.makes[1]!.length = 8;
        const beam = p.structure.pieces.find(({ id }) => id === 'b1')!;
        [beam.from!.x, beam.to!.x] = [-1, 7];
        for (const [id, at] of [
          ['n1', 1],
          ['n2', 7],
        ] as const)
          joint(p, id).a.at = at;
        joint(p, 'n3').b.at = 4;
        p.structure.loads[0]!.at = 4;
      },
      /stop frame.sideways Nothing holds C1, C2 sideways, along B1/,
    ],
    ['a beam of a grade nobody knows', (p) => (p.structure.makes[1]!.grade = 'what'), /missing beam.bending What yield has B1/],
    ['both columns drawn at one place', (p) => (p.structure.pieces[1]!.from!.x = p.structure.pieces[1]!.to!.x = 0), /missing joint.meets The two ends of n2/],
    ['a joint that holds little', (p) => (joint(p, 'n2').moment = 4e3), /stop joint.portal n2 keeps the angle/],
    ['the other that holds little', (p) => (joint(p, 'n1').moment = 4e3), /stop joint.portal n1 keeps the angle/],
    ['a gale', (p) => (p.site.standingGust = 90), /stop joint.portal/],
    [
      'a slender beam under a heavy load',
      (p) => Object.assign(p.structure.makes[1]!, { made: { kind: 'section', section: 'W6x9' } }),
      /stop beam.(portal|bending)/,
    ],
  ];
  test.each(faults)('%s', (_, edit, wanted) => expect(bad(edited(edit))).toMatch(wanted));

  test('stiff at one end alone it still holds both columns: what lies on it leans it until it brings no moment, and that end takes all of the wind', () => {
    const plan = edited((p) => (joint(p, 'n1').moment = null));
    expect(bad(plan)).toBe('');
    expect(row(plan, 'joint.portal', 'n1')).toBeUndefined();
    const all = 2 * sideways(13_000) * 3.85;
    expect(row(plan, 'joint.portal', 'n2')!.demand! / all).toBeGreaterThan(0.97);
    expect(row(plan, 'joint.portal', 'n2')!.demand! / all).toBeLessThan(1.08);
  });

  test('drawn from the other end it is the same frame', () => {
    const turned = edited((p) => {
      const beam = p.structure.pieces.find(({ id }) => id === 'b1')!;
      [beam.from, beam.to] = [beam.to, beam.from];
      for (const id of ['n1', 'n2']) joint(p, id).a.at = 6 - joint(p, id).a.at;
    });
    for (const id of ['n1', 'n2']) expect(row(turned, 'joint.portal', id)!.demand!).toBeCloseTo(row(edited(), 'joint.portal', id)!.demand!, 3);
  });

  test('loaded near one end it leans until both ends hog alike, by the middle of the two: by hand', () => {
    const near = edited((p) => (p.structure.loads[0]!.at = 1));
    expect(bad(near)).toBe('');
    const own = 40 * LB_FT * G * 1.05;
    const joist = (22 * LB_FT * 5 * G * 1.05) / 2;
    const held = (own * 36) / 12 + (joist * 6) / 8 + (9000 * 1 * 5) / 6 / 2;
    const takes = (3 * COLUMN) / 3.8 / ((3 * COLUMN) / 3.8 + (2 * BEAM) / 6);
    // The worst of the two is told.
    const ratio = Math.max(...['n1', 'n2'].map((id) => row(near, 'joint.portal', id)!.demand!)) / (held * takes + sideways(own * 6 + 9000 + joist) * 3.85);
    expect(ratio).toBeGreaterThan(0.97);
    expect(ratio).toBeLessThan(1.04);
  });

  test('sagging it is no less than if it turned freely; in a gale, held from buckling at its middle, its ends govern', () => {
    const [portal, bends] = [row(edited(), 'beam.portal', 'b1')!, row(edited(), 'beam.bending', 'b1')!];
    expect(portal.demand!).toBeGreaterThanOrEqual(bends.demand!);
    expect(told(portal, 'metric')).toMatch(/sags up to 17\.5/);
    const gale = edited((p) => {
      p.site.standingGust = 60;
      p.moves = p.moves.filter(({ kind }) => kind !== 'load.on');
      p.structure.braces.push({ ...guy('mid', 90), kind: 'strut', slopeDeg: 0, a: { piece: 'b1', at: 3 }, stops: 'both' });
      p.moves.splice(
        p.moves.findIndex(({ kind }) => kind === 'beam.plumb'),
        0,
        { id: 'z3', kind: 'brace.fix', brace: 'mid' },
      );
    });
    expect(told(row(gale, 'beam.portal', 'b1')!, 'metric')).toMatch(/B1 hogs .* at an end as the frame leans, its lower flange free over 6\.00.m/);
  });

  test('the joint that is filled last is looked at when it is filled', () => {
    const plan = edited((p) => {
      const last = fills(p, 'n2')[1]!;
      p.moves = [...p.moves.filter((move) => move !== last), last];
      joint(p, 'n1').moment = null;
      joint(p, 'n2').moment = 2e3;
    });
    expect(bad(plan)).toMatch(/stop joint.portal n2/);
  });

  test('European: what lies on it and the wind, each by its factor', () => {
    const eu = row(
      edited((p) => (p.job.ruleSet = 'eu-ls')),
      'joint.portal',
      'n2',
    )!.demand!;
    const us = row(edited(), 'joint.portal', 'n2')!.demand!;
    expect(eu / us).toBeGreaterThan(1.35);
    expect(eu / us).toBeLessThan(1.75);
  });
});

describe('which way the web of a column runs', () => {
  const used = (webDeg: number | null) =>
    row(
      edited((p) => p.structure.pieces.filter(({ make }) => make === 'col').forEach((one) => (one.webDeg = webDeg))),
      'column.sway',
      'c2',
    )!;

  test('along the beam it bends about its stronger axis; square to it, or where nobody says, about its weaker', () => {
    expect(told(used(0), 'metric')).toMatch(/of 91\.4.kN·m about its stronger axis and .* about its weaker one/);
    expect(told(used(null), 'metric')).toMatch(/about its weaker axis: .* Nobody has said which way its web runs/);
    expect(used(90).ratio!).toBeGreaterThan(used(0).ratio! * 1.1);
    expect(used(null).ratio!).toBeGreaterThanOrEqual(used(90).ratio! * 0.999);
  });

  test('askew it says so, and not that nobody said it', () => {
    expect(told(used(45), 'metric')).toMatch(/Its web is not said to run along x or y/);
    expect(told(used(null), 'metric')).toMatch(/Nobody has said which way its web runs/);
  });

  test('of two pieces one above the other the weaker is told, wherever it stands', () => {
    const spliced = (upper: string) => {
      const plan = stiffPortal();
      const { structure } = plan;
      const half = { ...structure.makes[0]!, length: 2 };
      structure.makes.push({ ...half, id: 'low' }, { ...half, id: 'up', made: { kind: 'section', section: upper } });
      const c2 = structure.pieces.find(({ id }) => id === 'c2')!;
      c2.make = 'low';
      structure.pieces.push({ ...c2, id: 'c2u', mark: 'C2U', make: 'up', from: { x: 6, y: 0, z: 2 }, to: { x: 6, y: 0, z: 4 } });
      c2.to = { x: 6, y: 0, z: 2 };
      Object.assign(joint(plan, 'n2').b, { piece: 'c2u', at: 1.8 });
      structure.joints.push({
        ...joint(plan, 'n1'),
        id: 'cs',
        name: 'cs',
        kind: 'splice',
        moment: 80e3,
        shear: 100e3,
        a: { piece: 'c2', at: 2 },
        b: { piece: 'c2u', at: 0 },
      });
      const at = plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.beam === 'b1');
      plan.moves.splice(
        at,
        0,
        { id: 'u1', kind: 'piece.hang', beam: 'c2u', by: 'mobile crane', checkedBy: 'L. Marsh' },
        { id: 'u2', kind: 'joint.make', joint: 'cs', pins: 0, bolts: 4, tight: true, fit: 'drawn' },
        { id: 'u3', kind: 'piece.letGo', beam: 'c2u', keeps: 0 },
      );
      return plan;
    };
    expect(row(spliced('W8x31'), 'column.sway', 'c2')).toBeDefined();
    expect(row(spliced('W6x9'), 'column.sway', 'c2u')!.ratio!).toBeGreaterThan(row(spliced('W8x31'), 'column.sway', 'c2')!.ratio! * 1.5);
  });

  test('half a turn is the same, a quarter is the other, and askew is neither', () => {
    expect(used(180).ratio!).toBeCloseTo(used(0).ratio!, 9);
    expect(used(-176).ratio!).toBeCloseTo(used(0).ratio!, 9);
    expect(used(270).ratio!).toBeCloseTo(used(90).ratio!, 9);
    expect(used(45).ratio!).toBeCloseTo(used(null).ratio!, 9);
  });

  test('said of one column it may be said of the others, and of no beam', () => {
    const plan = edited((p) => p.structure.pieces.forEach((one) => delete one.webDeg));
    plan.structure.pieces[0]!.webDeg = 30;
    expect(sameForOthers(plan, 'beams', 'c1')).toEqual({ edits: [{ list: 'beams', id: 'c2', changes: { webDeg: 30 } }], moves: [] });
    expect(sameForOthers(plan, 'beams', 'b1')).toBeNull();
  });

  test('it is turned by a mirror and by no shift; a column of which nobody has said it stays so', () => {
    const plan = edited((p) => {
      p.structure.pieces[0]!.webDeg = 30;
      delete p.structure.pieces[1]!.webDeg;
    });
    const both = new Set(['c1', 'c2']);
    const webs = (across: 'x' | 'y') =>
      movePieces(plan, both, { kind: 'mirror', across, at: 3 }).edits.flatMap(({ changes }) => ('webDeg' in changes ? [changes.webDeg] : []));
    expect(webs('x')).toEqual([150]);
    expect(webs('y')).toEqual([330]);
    expect(movePieces(plan, both, { kind: 'by', x: 1, y: 0, z: 0 }).edits.some(({ changes }) => 'webDeg' in changes)).toBe(false);
    let n = 0;
    const copied = (shift: Parameters<typeof copyPieces>[2]) =>
      copyPieces(plan, both, shift, 1, (prefix) => `${prefix}-${(n += 1)}`).pieces.map(({ webDeg }) => webDeg);
    expect(copied({ kind: 'mirror', across: 'x', at: 30 })).toEqual([150, undefined]);
    expect(copied({ kind: 'by', x: 20, y: 0, z: 0 })).toEqual([30, undefined]);
  });
});

describe('what the moments at its ends shift from one end to the other', () => {
  test('comes down on bolts and foot of the one and off the other: the wind along it, by the lever of its length', () => {
    const portal = row(edited(), 'joint.portal', 'n2')!;
    const [bolts, foot] = [row(edited(), 'joint.sway', 'n1')!, row(edited(), 'support.sway', 'f2')!];
    expect(row(edited(), 'support.sway', 'f1')!.demand!).toBeCloseTo(foot.demand!, -1);
    // Along the beam the wind bends the heads by twice what it adds at one, over 6 m.
    const wind = sideways(13_000) * 3.85;
    expect(foot.demand! - 8660).toBeGreaterThan(((2 * wind) / 6) * 0.95);
    expect(foot.demand! - 8660).toBeLessThan(((2 * wind) / 6) * 1.1);
    expect(bolts.demand!).toBeGreaterThan(6760 + ((2 * wind) / 6) * 0.95);
    expect(portal.demand!).toBeGreaterThan(wind);
  });
});

test('edited step by step it says what the same plan says anew', () => {
  let plan = stiffPortal();
  const steps: Command[] = [
    { name: 'editIn', args: { list: 'joints', id: 'n2', changes: { moment: 4e3 } } },
    { name: 'editIn', args: { list: 'beams', id: 'c2', changes: { webDeg: 90 } } },
    { name: 'editIn', args: { list: 'joints', id: 'n1', changes: { moment: null } } },
    { name: 'editIn', args: { list: 'putLoads', id: 'deck', changes: { at: 1 } } },
    { name: 'editIn', args: { list: 'joints', id: 'n2', changes: { kind: 'seat' } } },
    { name: 'editIn', args: { list: 'joints', id: 'n2', changes: { kind: 'onColumn', moment: 60e3 } } },
    { name: 'editMove', args: { id: fills(plan, 'n2')[1]!.id, changes: { tight: null } } },
    { name: 'editMove', args: { id: fills(plan, 'n2')[1]!.id, changes: { tight: true } } },
    { name: 'removeFrom', args: { list: 'beams', id: 'j1' } },
    { name: 'removeFrom', args: { list: 'joints', id: 'n1' } },
  ];
  const words = (of: Plan) =>
    evaluate(of, '2026-11-27')
      .checks.map((one) => `${one.verdict} ${one.id} ${one.about.id} ${one.move} ${told(one, 'metric')}`)
      .sort();
  words(plan);
  for (const step of steps) {
    const done = applyCommand(plan, step);
    if (!done.ok) throw new Error(JSON.stringify(done.faults));
    plan = done.plan;
    expect(words(plan)).toEqual(words(structuredClone(plan)));
  }
});

describe('a beam in two pieces, spliced, stiffly joined to both its columns', () => {
  /** The same portal, its beam spliced so far from its first end on the ground before it is hung. */
  const spliced = (at: number, edit: (plan: Plan) => unknown = () => undefined): Plan =>
    edited((plan) => {
      const { structure } = plan;
      const whole = structure.pieces.find(({ id }) => id === 'b1')!;
      const make = structure.makes.find(({ id }) => id === 'bm')!;
      structure.makes.push({ ...structuredClone(make), id: 'bm2', mark: 'B2', length: 6 - at });
      make.length = at;
      structure.pieces.push({ ...structuredClone(whole), id: 'b2', mark: 'B2', make: 'bm2', from: { x: at, y: 0, z: 3.7 } });
      whole.to = { x: at, y: 0, z: 3.7 };
      joint(plan, 'n2').a = { piece: 'b2', at: 6 - at };
      const middle = joint(plan, 'n3').b;
      if (at < 3) Object.assign(middle, { piece: 'b2', at: 3 - at });
      const load = structure.loads[0]!;
      if (at < 3) Object.assign(load, { piece: 'b2', at: 3 - at });
      structure.joints.push({
        ...structuredClone(joint(plan, 'n1')),
        id: 'sp',
        name: 'Splice',
        kind: 'splice',
        holes: 8,
        moment: 40e3,
        shear: 90e3,
        a: { piece: 'b1', at },
        b: { piece: 'b2', at: 0 },
      });
      // On a bent by the splice until that is filled, and the joints at both ends.
      structure.supports.push(
        support('bt', 'Bent', 'b1', at - 0.2, { kind: 'bent', along: 'free', measured: { level: 3.7, by: 'T. Hale', on: '2026-11-20' } }),
      );
      plan.moves.unshift({ id: 'bt1', kind: 'support.ready', support: 'bt' });
      const letsGo = plan.moves.findIndex((move) => move.kind === 'piece.letGo' && move.beam === 'b1');
      const [first, second] = ['n1', 'n2'].map((id) => plan.moves.find((move) => move.kind === 'joint.make' && move.joint === id)!);
      plan.moves = plan.moves.filter((move) => move !== first && move !== second);
      const hang = plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.beam === 'b1');
      plan.moves.splice(
        hang + 1,
        1,
        first!,
        plan.moves[hang + 1]!,
        { id: 'h2', kind: 'piece.hang', beam: 'b2', by: 'mobile crane, lift card 3', checkedBy: 'L. Marsh' },
        second!,
        { id: 'sp1', kind: 'joint.make', joint: 'sp', pins: 0, bolts: 8, tight: true, fit: 'drawn' },
        { id: 'l2', kind: 'piece.letGo', beam: 'b2', keeps: 0 },
      );
      expect(letsGo).toBeGreaterThan(hang);
      const last = plan.moves.findLastIndex((move) => move.kind === 'joint.make' && (move.joint === 'n1' || move.joint === 'n2'));
      plan.moves.splice(last + 1, 0, { id: 'bt2', kind: 'support.strike', support: 'bt' });
      edit(plan);
    });
  const notHolds = (plan: Plan) =>
    rowsOf(plan)
      .filter(({ id, verdict }) => (verdict === 'stop' || verdict === 'missing') && /frame|portal|sway|line\.stands/.test(id))
      .map((one) => `${one.verdict} ${one.id} ${told(one, 'metric')}`);

  test('is the same frame as in one piece, wherever it is spliced', () => {
    for (const at of [2, 4.5]) {
      const plan = spliced(at);
      expect(notHolds(plan)).toEqual([]);
      const [one, two] = [edited(), plan].map((of) => Math.max(...['n1', 'n2'].map((id) => row(of, 'joint.portal', id)?.demand ?? 0)));
      expect(one).toBeGreaterThan(5e3);
      expect(two! / one!).toBeCloseTo(1, 3);
      expect(row(plan, 'beam.portal', 'b1') ?? row(plan, 'beam.portal', 'b2')).toBeDefined();
    }
  });
  test('its splice feels what it sags there, less what the ends hog: by hand', () => {
    // The line between its ends bends it M0 at 2 m; both ends hog what the joints feel without wind, and lean either way with it.
    const found = row(spliced(2), 'splice.portal', 'sp')!;
    const own = 40 * LB_FT * G * 1.05;
    const joist = (22 * LB_FT * 5 * G * 1.05) / 2;
    const free = (own * 2 * 4) / 2 + ((9000 + joist) * 2) / 2;
    const takes = (3 * COLUMN) / 3.8 / ((3 * COLUMN) / 3.8 + (2 * BEAM) / 6);
    const hogs = takes * ((own * 36) / 12 + ((9000 + joist) * 6) / 8);
    const leans = sideways(own * 6 + 9000 + joist) * 3.8 * (1 - (2 * 2) / 6);
    expect(found.demand! / (free - hogs + leans)).toBeGreaterThan(0.97);
    expect(found.demand! / (free - hogs + leans)).toBeLessThan(1.03);
    expect(found.capacity).toBe(40e3);
    expect(notHolds(spliced(2, (plan) => (joint(plan, 'sp').moment = 5e3)))).toEqual([expect.stringMatching(/^stop splice.portal As the frame leans Splice/)]);
  });
  test('stiff at its far end alone its splice feels that end by its share of the way there', () => {
    const plan = spliced(2, (one) => (joint(one, 'n1').moment = null));
    const own = 40 * LB_FT * G * 1.05;
    const joist = (22 * LB_FT * 5 * G * 1.05) / 2;
    const free = (own * 2 * 4) / 2 + ((9000 + joist) * 2) / 2;
    const end = row(plan, 'joint.portal', 'n2')!.demand!;
    const ratio = row(plan, 'splice.portal', 'sp')!.demand! / (free + end / 3);
    expect(ratio).toBeGreaterThan(0.95);
    expect(ratio).toBeLessThan(1.05);
  });
  test('spliced by a pin, or of two sections, it holds nothing along itself', () => {
    // Eight of twenty holes filled are a pin, and a beam with a pin between its columns falls down.
    expect(notHolds(spliced(2, (plan) => (joint(plan, 'sp').holes = 20))).join()).toMatch(/stop line\.stands/);
    const other = spliced(2, (plan) => (plan.structure.makes.find(({ id }) => id === 'bm2')!.made = { kind: 'section', section: 'W12x26' }));
    expect(notHolds(other)).toContainEqual(expect.stringMatching(/^stop frame\.sideways/));
    // Filled, and of no moment that anybody gave, it is asked what it may carry.
    const unknown = rowsOf(spliced(2, (plan) => (joint(plan, 'sp').moment = null))).filter(({ verdict, about }) => verdict === 'missing' && about.id === 'sp');
    expect(unknown.map(({ id }) => id)).toEqual(['joint.strength']);
  });
});
