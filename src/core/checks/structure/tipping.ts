import { phrase, q } from '../../calc/work';
import { stageLine } from '../../stage/line.calc';
import { fitThermal } from '../../fit/thermal.calc';
import { flatStop, missingCheck, on, ratioCheck, said, sourced, told, traced, type Place } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import { isStiff, type Line, type StageChange } from './forces';
import type { Ground } from './ground';
import { heldOf } from '../../replay/held';
import type { Load } from '../../settle/model';
import { beamAt, isMade, jointAt, standsAt, type StructureMoment } from '../../replay/moment';

const place = (id: string, about: ReturnType<typeof on>, move: string | null, source: string): Place => ({
  id,
  ...about,
  station: 'runSheet',
  move,
  calc: stageLine.id,
  source,
});

/** Moments of what lies on either side of a place: tips turns it over that place outwards, rights holds it. */
interface About {
  tips: number;
  rights: number;
}

/** Loads of a line at the moment, downwards: the heaviest anybody says, and the lightest without allowance. */
function loadsOn(ground: Ground, line: Line, moment: StructureMoment): { from: number; to: number; x: number; heavy: number; light: number }[] {
  const { beams, by, latest } = ground;
  return line.spans.flatMap(({ id, from, to, flipped }) => {
    const { heavy, light } = beams.get(id)!;
    if (heavy instanceof Missing || light instanceof Missing) return [];
    const spot = (at: number) => (flipped ? to - at : from + at);
    const spread = (load: Load) => load.perLength * (to - from);
    const hung = (by.joints.get(id) ?? []).flatMap(({ joint, at }) => {
      if (joint.kind === 'splice' || joint.b.piece !== id || !isMade(jointAt(moment, joint.id))) return [];
      const above = latest.get(joint.a.piece);
      return [{ x: spot(at), heavy: above?.carried.plain.get(joint.id) ?? 0, light: above?.carried.light.get(joint.id) ?? 0 }];
    });
    const put = (by.puts.get(id) ?? []).flatMap((one) => (one.there(moment) ? [{ x: spot(one.at), heavy: one.force, light: 0 }] : []));
    const fixed = heavy.points.map(({ x, force }, n) => ({ x: spot(x), heavy: force, light: light.points[n]?.force ?? 0 }));
    return [
      { from, to, x: (from + to) / 2, heavy: spread(heavy), light: spread(light) },
      ...[...hung, ...put, ...fixed].map((one) => ({ from: one.x, to: one.x, ...one })),
    ];
  });
}

/** How far a line with overhangs is from tipping about its first and its last support. */
export function tippingCheck(ground: Ground, line: Line, moment: StructureMoment, move: string | null): void {
  const { by, rows } = ground;
  if (line.spans.length === 0 || line.beams.some((id) => beamAt(moment, id).kept > 0)) return;
  // Between pins each part tips by itself: the stage solver says whether it stands, and no factor is told.
  const splices = line.beams.flatMap((id) =>
    (by.joints.get(id) ?? []).filter(({ joint }) => joint.kind === 'splice' && joint.a.piece === id && isMade(jointAt(moment, joint.id))),
  );
  if (splices.some(({ joint }) => isStiff(joint, moment) !== true)) return;
  const holds = line.spans.flatMap(({ id, from, to, flipped }) => {
    const spot = (at: number) => (flipped ? to - at : from + at);
    return [
      ...(by.seats.get(id) ?? [])
        .filter(({ support }) => standsAt(moment, support.id))
        .map(({ support, at }) => ({ x: spot(at), down: support.holdsDown ?? 0 })),
      ...(by.joints.get(id) ?? []).flatMap(({ joint, at }) =>
        joint.kind !== 'splice' && joint.a.piece === id && isMade(jointAt(moment, joint.id))
          ? [{ x: spot(at), down: joint.kind === 'seat' ? 0 : (jointAt(moment, joint.id)!.bolts ?? 0) * (joint.boltShear ?? 0) }]
          : [],
      ),
    ];
  });
  if (holds.length === 0) return;
  // Where nothing else carries or is carried, only what holds down is to be looked at.
  rows.part('tip', [line.token, line.beams.length, ...holds.map(({ down }) => down)], ground, () => overhangChecks(ground, line, holds, moment, move));
}

function overhangChecks(ground: Ground, line: Line, holds: readonly { x: number; down: number }[], moment: StructureMoment, move: string | null): void {
  const { beams, rows, context } = ground;
  const loads = loadsOn(ground, line, moment);
  const [first, last] = [Math.min(...holds.map(({ x }) => x)), Math.max(...holds.map(({ x }) => x))];
  const about = (edge: number, out: 1 | -1): About => {
    const sum = { tips: 0, rights: holds.reduce((all, { x, down }) => all + down * Math.abs(x - edge), 0) };
    for (const { from, to, x, heavy, light } of loads) {
      const length = to - from;
      if (length === 0) {
        if (out * (x - edge) > 0) sum.tips += heavy * Math.abs(x - edge);
        else sum.rights += light * Math.abs(x - edge);
        continue;
      }
      // A piece over the edge counts on both sides of it.
      const past = Math.max(0, Math.min(length, out === 1 ? to - edge : edge - from));
      const behind = length - past;
      // Whole on one side its middle is its arm; cut by the edge, half of what is there.
      const arm = (part: number) => (part === length ? Math.abs((from + to) / 2 - edge) : part / 2);
      sum.tips += (heavy / length) * past * arm(past);
      sum.rights += (light / length) * behind * arm(behind);
    }
    return sum;
  };
  const wanted = context.rules.value('tipping');
  const head = beams.get(line.beams[0]!)!.beam;
  const mark = line.beams.map((id) => beams.get(id)!.beam.mark).join(' + ');
  for (const [part, edge, out] of [
    ['first', first, -1],
    ['last', last, 1],
  ] as const) {
    const { tips, rights } = about(edge, out);
    if (tips < 1) continue;
    const numbers = { demand: wanted * tips, capacity: rights, quantity: 'moment' as const, caution: ground.caution };
    rows.ratio('line.tip', 'beam', head.id, part, move, numbers, () =>
      ratioCheck(
        place(
          'line.tip',
          on('beam', head, mark, part),
          move,
          sourced('Moments about the last support; what tips at its heaviest, what rights at its lightest', context.rules, 'tipping'),
        ),
        numbers,
        told(
          phrase`${mark} hangs over its ${part} support with ${q(tips, 'moment')}; ${q(rights, 'moment')} hold it, and ${q(wanted, 'factor')} times are wanted.`,
        ),
        [],
      ),
    );
  }
}

/** What is put on a piece wants both its ends held against rolling over: no bundle on a bay that is not braced. */
export function putLoadCheck(ground: Ground, load: string, { moment, move }: StageChange): void {
  const { context, beams, latest, by, rows } = ground;
  const put = context.plan.structure.loads.find((one) => one.id === load)!;
  const line = latest.get(put.piece);
  const { beam, place: stands } = beams.get(put.piece)!;
  const places = line ? (heldOf(line, moment, by).get(put.piece)?.places.length ?? 0) : 0;
  const where = place(
    'load.held',
    on('beam', beam, beam.mark, load),
    move?.id ?? null,
    '29 CFR 1926.757(e) and common practice: no load on what is not braced',
  );
  // A column does not roll over: it stands, and what holds it sideways is asked of its frame.
  if (stands?.upright)
    rows.put(
      beamAt(moment, beam.id).where === 'set' && line?.answers?.plain.stable
        ? said(where, phrase`${beam.mark} stands when ${put.what} comes on; what holds it sideways is told of its frame.`)
        : flatStop(
            where,
            'count',
            told(phrase`${put.what}, ${q(put.force, 'force')}, comes on ${beam.mark}, which does not stand by itself yet. Let it stand first.`),
            [],
          ),
    );
  else if (places >= 2)
    rows.put(
      ratioCheck(
        where,
        { demand: 2, capacity: places, quantity: 'count', caution: null, inclusive: true },
        told(phrase`${beam.mark} is held at ${String(places)} places when ${put.what} comes on.`),
        [],
      ),
    );
  else
    rows.put(
      flatStop(
        where,
        'count',
        told(
          phrase`${put.what}, ${q(put.force, 'force')}, comes on ${beam.mark}, which is held against rolling over at ${String(places)} places. Fix both its ends and its bracing first.`,
        ),
        [],
      ),
    );
}

/** Warmer or colder by this much within a job [K], a hot day after a cold night. */
const SWING = 25;

/** A line held along at more than one place cannot grow: what it presses with is asked, not guessed. */
export function fixedTwiceCheck(ground: Ground, line: Line, moment: StructureMoment, move: string | null): void {
  const { beams, by, rows } = ground;
  const fixed = line.spans.flatMap(({ id, from, to, flipped }) =>
    (by.seats.get(id) ?? [])
      .filter(({ support }) => support.along === 'fixed' && standsAt(moment, support.id))
      .map(({ support, at }) => ({ support, x: flipped ? to - at : from + at })),
  );
  if (fixed.length < 2) return;
  const apart = Math.max(...fixed.map(({ x }) => x)) - Math.min(...fixed.map(({ x }) => x));
  const { outcome, traces } = traced(fitThermal, { length: Math.max(apart, 0.01), deltaT: SWING, coefficient: 12e-6 });
  const head = beams.get(line.beams[0]!)!.beam;
  rows.put({
    ...missingCheck(
      place(
        'line.fixedTwice',
        on('beam', head, line.beams.map((id) => beams.get(id)!.beam.mark).join(' + ')),
        move,
        'αLΔT; common practice: one place holds a line along',
      ),
      'length',
      '',
      traces,
    ),
    demand: outcome.ok ? Math.abs(outcome.output.change) : null,
    finding: told(
      phrase`${fixed.map(({ support }) => support.name).join(' and ')} both hold ${head.mark} along, ${q(apart, 'length')} apart: a warm day wants ${q(outcome.ok ? Math.abs(outcome.output.change) : 0, 'dimension')} between them. Which of them lets it move, or who has checked what it presses?`,
    ),
  });
}
