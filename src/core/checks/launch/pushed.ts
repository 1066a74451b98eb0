import { lengthOf, momentsAbout, feltBetween, foremost, stationAt, weightOf, type Launched, type Station } from '../../launch/sweep';
import type { Rules } from '../../rules/rule-sets';
import { GRAVITY } from '../../units';
import { isGiven } from '../../settle/section-strength';
import { keep } from '../../document/keep';
import { Missing } from '../../verdict/missing';
import type { Joint, Launch, Plan } from '../../document/schema';
import { settleBeams, type Load, type SettledBeam } from '../../settle/model';
import { splicesOf } from '../../replay/moves/launch';

/** Ends further apart than this do not meet [m]. */
const MEET = 0.06;
/** Pieces further to the side than this are of another girder line [m]. */
const BESIDE = 0.3;
/** A piece further off the way it is pushed than this is not pushed along its length [cos]. */
const ASKEW = Math.cos((2 * Math.PI) / 180);

/** A piece of a girder line, by how far ahead of the rear end of the load its ends come to lie. */
export interface PushedPart {
  settled: SettledBeam;
  rear: number;
  front: number;
  joined: number;
  /** its first end is ahead */
  turned: boolean;
  /** half of each cross-frame that ties it while it is pushed: from its first end, downwards [N] */
  ties: readonly { x: number; force: number }[];
}

/** One girder line of what is pushed, its pieces from the rear on. */
export interface PushedLine {
  id: string;
  mark: string;
  parts: PushedPart[];
  /** to the left of the first line [m] */
  left: number;
}

export interface Pushed {
  launch: Launch;
  lines: PushedLine[];
  travel: number;
  /** of the whole load, bare of nose and tail, from its rear end */
  length: number;
  nose: { length: number; mass: number; stiffness: number } | null;
  tail: { mass: number; at: number } | null;
  rollers: { id: string; x: number; off: number }[];
  /** along the launch, and where its rear end comes to lie */
  ahead: { x: number; y: number };
  end: { x: number; y: number };
}

/** What is still to be said before a launch can be worked out: each question with what it is of. */
export interface StillAsked {
  /** which figure of it */
  of: 'pieces' | 'towards' | 'travel' | 'nose' | 'noseMass' | 'noseStiffness' | 'tail' | 'tailAt' | 'rollers' | 'x' | 'off' | 'joined' | 'steel' | 'place';
  /** the roller, where it is of one */
  roller?: string;
  question: string;
}

/** A launch that cannot be worked out yet. */
export class Unsaid extends Missing {
  constructor(readonly items: readonly StillAsked[]) {
    super(...items.map(({ question }) => question));
  }
}

/** The launch as it can be worked out, or everything that is still to be said for that. */
export function pushedOf(plan: Plan, launch: Launch, rules: Rules): Pushed | Unsaid {
  const beams = settleBeams(plan, rules);
  const name = launch.name || 'the launch';
  const asked: StillAsked[] = [];
  const ask = (missing: boolean, of: StillAsked['of'], question: string, roller?: string) =>
    void (missing && asked.push({ of, question, ...(roller === undefined ? {} : { roller }) }));
  const unlike = (of: StillAsked['of'], question: string) => new Unsaid([{ of, question }]);
  ask(launch.pieces.length === 0, 'pieces', `Which pieces are pushed in ${name}?`);
  ask(launch.towardsDeg === null, 'towards', `Which way is ${name} pushed, in plan?`);
  ask(launch.travel === null, 'travel', `How far is ${name} pushed in all?`);
  const { nose, tail } = launch;
  ask(nose === null, 'nose', `Has ${name} a launching nose, and how long is it? 0: none.`);
  if (nose && nose.length > 0) {
    ask(nose.mass === null, 'noseMass', `What does the nose of ${name} weigh, on each girder line?`);
    ask(nose.stiffness === null, 'noseStiffness', `How stiff is the nose of ${name} (EI)? Ask who designed it.`);
  }
  ask(tail === null, 'tail', `Is weight put on the rear end of ${name}? 0: none.`);
  if (tail && tail.mass > 0) ask(tail.at === null, 'tailAt', `How far from its rear end does the weight lie that is put on ${name}?`);
  ask(launch.rollers.length < 2, 'rollers', `Over which rollers is ${name} pushed? Give each its place.`);
  for (const one of launch.rollers) {
    ask(one.x === null, 'x', `Where is ${one.name}, along the launch?`, one.id);
    ask(one.off === null, 'off', `How far is ${one.name} off the straight line of the launch? 0: on it.`, one.id);
  }
  for (const { piece, joined } of launch.pieces) {
    const { beam, place, section, heavy } = beams.get(piece)!;
    ask(joined === null, 'joined', `Is ${beam.mark} there before the first push, or after how much travel is it joined on behind?`);
    ask(place === null, 'place', `Where is ${beam.mark} to be? Give the places of its two ends.`);
    if (!(section instanceof Missing) && isGiven(section))
      asked.push({ of: 'steel', question: `${beam.mark} is no section: what it feels as it is pushed is not worked out here. Who has?` });
    if (section instanceof Missing) for (const question of section.questions) asked.push({ of: 'steel', question });
    if (heavy instanceof Missing) for (const question of heavy.questions) asked.push({ of: 'steel', question });
  }
  if (asked.length > 0) return new Unsaid(asked);
  const turn = (launch.towardsDeg! * Math.PI) / 180;
  const ahead = { x: Math.cos(turn), y: Math.sin(turn) };
  const tied = tiesOf(plan, launch);
  const spans = launch.pieces.map(({ piece, joined }) => {
    const settled = beams.get(piece)!;
    const { from, to, along } = settled.place!;
    const [a, b] = [from, to].map((p) => p.x * ahead.x + p.y * ahead.y) as [number, number];
    const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
    const askew = Math.abs(along.x * ahead.x + along.y * ahead.y) < ASKEW || settled.place!.upright;
    return { settled, joined: joined!, a, b, side: middle.y * ahead.x - middle.x * ahead.y, askew, ties: tied.get(piece) ?? [] };
  });
  const off = spans.find(({ askew }) => askew);
  if (off) return unlike('towards', `${off.settled.beam.mark} does not lie along the way ${name} is pushed. Which of the two is right?`);
  const origin = Math.min(...spans.map(({ a, b }) => Math.min(a, b)));
  const lines = linesOf(spans, origin);
  if (lines instanceof Missing) return unlike('joined', lines.questions.join(' '));
  const places = launch.rollers.map(({ id, x, off: high }) => ({ id, x: x!, off: high! })).sort((p, q) => p.x - q.x);
  if (places.some(({ x }, i) => i > 0 && x - places[i - 1]!.x < MEET)) return unlike('x', `Two rollers of ${name} are at one place. Is it one?`);
  const side = lines[0]!.parts[0]!;
  const last = { x: side.settled.place!.from.x, y: side.settled.place!.from.y };
  const along = last.x * ahead.x + last.y * ahead.y;
  return {
    launch,
    lines,
    travel: launch.travel!,
    length: Math.max(...spans.map(({ a, b }) => Math.max(a, b))) - origin,
    nose: nose!.length > 0 ? { length: nose!.length, mass: nose!.mass!, stiffness: nose!.stiffness! } : null,
    tail: tail!.mass > 0 ? { mass: tail!.mass, at: tail!.at! } : null,
    rollers: places,
    ahead,
    end: { x: last.x + (origin - along) * ahead.x, y: last.y + (origin - along) * ahead.y },
  };
}

/** What the cross-frames that are fixed before the last push bring to each piece, half of each to either. */
function tiesOf(plan: Plan, launch: Launch): ReadonlyMap<string, readonly { x: number; force: number }[]> {
  const on = new Set(launch.pieces.map(({ piece }) => piece));
  const last = plan.moves.findLastIndex((move) => move.kind === 'launch.push' && move.launch === launch.id);
  const fixed = new Set(plan.moves.flatMap((move, at) => (move.kind === 'brace.fix' && (last < 0 || at < last) ? [move.brace] : [])));
  const ties = new Map<string, { x: number; force: number }[]>();
  for (const { id, a, b, mass } of plan.structure.braces) {
    if (!mass || !fixed.has(id)) continue;
    for (const spot of b ? [a, b] : [a])
      if (on.has(spot.piece)) ties.set(spot.piece, [...(ties.get(spot.piece) ?? []), { x: spot.at, force: (mass * GRAVITY) / 2 }]);
  }
  return ties;
}

type Span = Pick<PushedPart, 'settled' | 'joined' | 'ties'> & { a: number; b: number; side: number };

function linesOf(spans: readonly Span[], origin: number): PushedLine[] | Missing {
  const found: { side: number; parts: PushedPart[] }[] = [];
  for (const { settled, joined, ties, a, b, side } of spans) {
    const part: PushedPart = { settled, joined, ties, rear: Math.min(a, b) - origin, front: Math.max(a, b) - origin, turned: a > b };
    const line = found.find((one) => Math.abs(one.side - side) < BESIDE);
    if (line) line.parts.push(part);
    else found.push({ side, parts: [part] });
  }
  const first = found[0]!.side;
  const lines = found.map(({ side, parts }): PushedLine => {
    parts.sort((p, q) => p.rear - q.rear);
    return { id: parts[0]!.settled.beam.id, mark: parts.map(({ settled }) => settled.beam.mark).join(' + '), parts, left: side - first };
  });
  for (const { parts } of lines)
    for (const [i, part] of parts.entries()) {
      const behind = parts[i - 1];
      if (!behind) continue;
      const [a, b] = [behind.settled.beam.mark, part.settled.beam.mark];
      if (Math.abs(part.rear - behind.front) > MEET)
        return new Missing(`${a} and ${b} are pushed in one line and their ends do not meet. Where are they to be?`);
      if (behind.joined < part.joined - 1e-6) return new Missing(`${b} lies ahead of ${a} and is said to be joined on after it. Which comes first?`);
    }
  return lines;
}

/** Loads of a part by one of the two statements of what it weighs. */
const loadOf = ({ settled }: PushedPart, which: 'heavy' | 'light'): Load => {
  const load = settled[which];
  return load instanceof Missing ? { perLength: 0, points: [], total: 0 } : load;
};

/** The pieces of a line that are on when it has come so far. */
export const onAt = ({ parts }: PushedLine, travel: number): PushedPart[] => parts.filter(({ joined }) => joined <= travel + 1e-6);

/** Where the tip of a line is, with its nose, when it has come so far; ahead of where the rear end of the load comes to lie. */
export const tipAt = ({ nose, travel: whole }: Pushed, on: readonly PushedPart[], travel: number): number =>
  on.at(-1)!.front - whole + travel + (nose?.length ?? 0);

/** What lies on the rollers, from its tip back. */
export function launchedOf(pushed: Pushed, on: readonly PushedPart[], modulus: number, which: 'heavy' | 'light', factor: number): Launched {
  const { nose, tail, rollers } = pushed;
  const fronts = [...on].reverse();
  const ahead = nose?.length ?? 0;
  const stiff = ({ settled: { section } }: PushedPart): number => (section instanceof Missing ? 1 : section.iStrong * modulus);
  const segments = [
    ...(nose ? [{ length: nose.length, stiffness: nose.stiffness, load: (nose.mass * GRAVITY * factor) / nose.length }] : []),
    ...fronts.map((part) => ({ length: part.front - part.rear, stiffness: stiff(part), load: loadOf(part, which).perLength * factor })),
  ];
  const whole = lengthOf(segments);
  const front = on.at(-1)!.front;
  const pointLoads = [
    ...fronts.flatMap((part) =>
      [...loadOf(part, which).points, ...(which === 'heavy' ? part.ties : [])].map(({ x, force }) => {
        const length = part.front - part.rear;
        const fromRear = Math.min(length, part.turned ? length - x : x);
        return { fromTip: Math.max(0, ahead + front - part.rear - fromRear), force: force * factor };
      }),
    ),
    ...(tail ? [{ fromTip: Math.max(0, whole - Math.min(tail.at, whole)), force: tail.mass * GRAVITY * factor }] : []),
  ];
  return { segments, pointLoads, supports: rollers.map(({ x, off }) => ({ x, level: off })) };
}

/** What tips at its heaviest, what rights at its lightest: the two on either side of the foremost roller that is reached. */
export function factorOf(heavy: Launched, light: Launched, tip: number): { factor: number; ahead: number; behind: number } | null {
  const edge = foremost(heavy.supports, tip);
  if (edge === null) return null;
  const { ahead } = momentsAbout(heavy, tip, edge);
  const { behind } = momentsAbout(light, tip, edge);
  return ahead <= 0 ? null : { factor: behind / ahead, ahead, behind };
}

/** The worst of something over the travel, and where. */
export interface Worst {
  value: number;
  travel: number;
  launched: Launched;
  tip: number;
}

export interface SweptLine {
  line: PushedLine;
  /** null: nothing ever lies ahead of the foremost roller */
  factor: (Worst & { ahead: number; behind: number }) | null;
  /** the first travel at which it does not stand */
  falls: Worst | null;
  /** by roller: the most it carries, and how far the tip is below it when it comes there */
  rollers: Map<string, { load: Worst | null; down: Worst | null }>;
  /** by piece: the most it bends and shears, factored where the rule set does */
  parts: Map<string, { bends: Worst; shears: Worst }>;
  /** by piece: the most a roller presses into its web, factored where the rule set does */
  webs: Map<string, Worst & { roller: string }>;
  splices: Map<string, { joint: Joint; bends: Worst; shears: Worst }>;
  nose: Worst | null;
  /** fewest rollers with guides that touch it */
  guides: Worst;
  heaviest: number;
}

/** A hair before a place [m]. */
const HAIR = 1e-3;

/** A girder line pushed over all its travel, at places closer than the rule asks, at each roller it comes to or leaves, and closer still about the worst. */
export function sweepOf(plan: Plan, pushed: Pushed, line: PushedLine, rules: Rules): SweptLine {
  const ties = line.parts.flatMap((part) => part.ties.flatMap(({ x, force }) => [x, force]));
  const from = [pushed.launch, rules, plan.structure.joints, ...line.parts.map(({ settled }) => settled), ...ties];
  return keep('launch.sweep', line.parts[0]!.settled, from, () => sweep(plan, pushed, line, rules));
}

function sweep(plan: Plan, pushed: Pushed, line: PushedLine, rules: Rules): SweptLine {
  const { rollers, travel: whole, launch } = pushed;
  const guided = new Set(launch.rollers.filter(({ guides }) => guides === true).map(({ id }) => id));
  const joints = splicesOf(
    plan.structure.joints,
    line.parts.map(({ settled }) => settled.beam.id),
  );
  const swept: SweptLine = {
    line,
    factor: null,
    falls: null,
    rollers: new Map(rollers.map(({ id }) => [id, { load: null, down: null }])),
    parts: new Map(),
    webs: new Map(),
    splices: new Map(),
    nose: null,
    guides: { value: Infinity, travel: 0, launched: { segments: [], supports: [], pointLoads: [] }, tip: 0 },
    heaviest: 0,
  };
  const { modulus } = rules.steel;
  const strong = rules.id === 'us-asd' ? 1 : rules.value('loadFactor');
  const halts = [...new Set([0, ...line.parts.map(({ joined }) => joined), whole])].filter((at) => at <= whole + 1e-6).sort((a, b) => a - b);
  for (const [n, begin] of halts.entries()) {
    // At the last halt it only lies there, with all that is on it by then.
    const end = halts[n + 1] ?? begin;
    const on = onAt(line, begin);
    if (on.length === 0) continue;
    const heavy = launchedOf(pushed, on, modulus, 'heavy', 1);
    const light = launchedOf(pushed, on, modulus, 'light', 1);
    const factored = strong === 1 ? heavy : launchedOf(pushed, on, modulus, 'heavy', strong);
    swept.heaviest = Math.max(swept.heaviest, weightOf(heavy));
    const length = lengthOf(heavy.segments);
    const tipOf = (travel: number) => tipAt(pushed, on, travel);
    const look = (travel: number) => {
      const tip = tipOf(travel);
      const at = (value: number): Worst => ({ value, travel, launched: heavy, tip });
      const turns = factorOf(heavy, light, tip);
      if (turns && (swept.factor === null || turns.factor < swept.factor.value))
        swept.factor = { ...at(turns.factor), ahead: turns.ahead, behind: turns.behind };
      const station = stationAt(heavy, tip);
      if (!station.answer.stable) {
        if (swept.falls === null || travel < swept.falls.travel) swept.falls = at(0);
        return;
      }
      const touching = rollers.filter((_, i) => station.reactions[i]! > 1);
      const held = touching.filter(({ id }) => guided.has(id)).length;
      if (held < swept.guides.value) swept.guides = at(held);
      rollers.forEach(({ id }, i) => {
        const one = swept.rollers.get(id)!;
        if (one.load === null || station.reactions[i]! > one.load.value) one.load = at(station.reactions[i]!);
      });
      const own = strong === 1 ? station : stationAt(factored, tip);
      if (own.answer.stable) strength(swept, pushed, on, factored, own, joints, at);
    };
    const step = Math.min(rules.value('launchTravel'), Math.max(0.02, (end - begin) / 4));
    const count = Math.min(2000, Math.ceil((end - begin) / step));
    const travels = Array.from({ length: count + 1 }, (_, i) => begin + ((end - begin) * i) / Math.max(1, count));
    const zero = tipOf(0);
    for (const { x } of rollers) {
      // The tip a hair before it and on it, the rear end on it and a hair past it.
      travels.push(x - zero - HAIR, x - zero, x - zero + length, x - zero + length + HAIR);
    }
    for (const travel of travels) if (travel >= begin - 1e-9 && travel <= end + 1e-9) look(travel);
    // Closer about the worst places found.
    const worst = [
      swept.factor,
      ...[...swept.rollers.values()].map(({ load }) => load),
      ...[...swept.parts.values()].flatMap(({ bends, shears }) => [bends, shears]),
    ];
    const near = new Set(worst.flatMap((one) => (one && one.launched === heavy ? [one.travel] : [])));
    for (const travel of near)
      for (const share of [-0.75, -0.5, -0.25, 0.25, 0.5, 0.75]) {
        const at = travel + share * step;
        if (at > begin && at < end) look(at);
      }
    for (const { id, x, off } of rollers) {
      const travel = x - zero;
      if (travel < begin + HAIR || travel > end + 1e-9) continue;
      const station = stationAt(heavy, tipOf(travel - HAIR));
      // Down from the line of the launch, and a roller above the line the more.
      if (station.tipDown !== null)
        swept.rollers.get(id)!.down = { value: station.tipDown + off, travel: travel - HAIR, launched: heavy, tip: tipOf(travel - HAIR) };
    }
  }
  return swept;
}

/** What pieces, splices and nose feel at a place of the tip. */
function strength(
  swept: SweptLine,
  pushed: Pushed,
  on: readonly PushedPart[],
  launched: Launched,
  station: Station,
  joints: readonly Joint[],
  at: (value: number) => Worst,
): void {
  const { tip, reactions } = station;
  const front = tip - (pushed.nose?.length ?? 0);
  /** from the final place of a part to where it is now */
  const shift = front - on.at(-1)!.front;
  for (const { settled, rear, front: end } of on) {
    const { id } = settled.beam;
    const felt = feltBetween(launched, station, rear + shift, end + shift);
    const bends = Math.max(felt.sagging, felt.hogging);
    const had = swept.parts.get(id);
    swept.parts.set(id, {
      bends: had && had.bends.value >= bends ? had.bends : at(bends),
      shears: had && had.shears.value >= felt.shear ? had.shears : at(felt.shear),
    });
    pushed.rollers.forEach(({ id: roller, x }, i) => {
      const force = reactions[i]!;
      if (x < rear + shift - 1e-6 || x > end + shift + 1e-6 || force < 1) return;
      const web = swept.webs.get(id);
      if (!web || force > web.value) swept.webs.set(id, { ...at(force), roller });
    });
    for (const joint of joints) {
      if (joint.a.piece !== id && joint.b.piece !== id) continue;
      const other = joint.a.piece === id ? joint.b.piece : joint.a.piece;
      const ahead = on.find((one) => one.settled.beam.id === other && Math.abs(one.rear - end) < MEET);
      if (!ahead) continue;
      const { moment, shear } = felt.front;
      const known = swept.splices.get(joint.id);
      swept.splices.set(joint.id, {
        joint,
        bends: known && known.bends.value >= Math.abs(moment) ? known.bends : at(Math.abs(moment)),
        shears: known && known.shears.value >= Math.abs(shear) ? known.shears : at(Math.abs(shear)),
      });
    }
  }
  if (pushed.nose) {
    const felt = feltBetween(launched, station, front, tip);
    const most = Math.max(felt.sagging, felt.hogging);
    if (swept.nose === null || most > swept.nose.value) swept.nose = at(most);
  }
}
