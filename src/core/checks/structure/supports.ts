import { temporarySupports } from '../../document/things/support-kinds';
import { phrase, q } from '../../calc/work';
import { stageLine } from '../../stage/line.calc';
import { missingCheck, ratioCheck, sourced, told } from '../../verdict/build';
import { webCapacity } from '../../settle/section-strength';
import { keep } from '../../document/keep';
import { Missing } from '../../verdict/missing';
import type { Joint, Support } from '../../document/schema';
import type { Line, LoadCase, StageChange } from './forces';
import { beamAt, isMade, jointAt, standsAt } from '../../replay/moment';
import type { Ground } from './ground';
import type { SettledBeam } from '../../settle/model';
import type { SectionRow } from '../../steel/section-row';
import { about, place } from './places';

/** A design strength given to a job run in allowable stress is met with the strength-level dead load, ASCE 7 2.3.1: 1.4 D. */
const STRENGTH_DEAD_FACTOR = 1.4;

/** Every support against the sum of all that rests on it at the move. */
export function supportChecks(ground: Ground, line: Line, { move, moment }: StageChange): void {
  const { rows, by, latest, onward } = ground;
  const touched = new Set(line.beams.flatMap((id) => (by.seats.get(id) ?? []).map(({ support }) => support)));
  for (const support of touched) {
    if (!standsAt(moment, support.id)) continue;
    const keys = keep('seat.keys', support, [], () => support.seats.map((_, n) => `${support.id}/${n}`));
    const sum = (which: LoadCase, sign: 1 | -1) => {
      let total = 0;
      support.seats.forEach(({ piece }, n) => (total += Math.max(0, sign * (latest.get(piece)?.carried[which].get(keys[n]!) ?? 0))));
      return total;
    };
    const down = { plain: sum('plain', 1), factored: sum('factored', 1) };
    const up = Math.max(sum('plain', -1), sum('factored', -1), sum('light', -1));
    // What one of its lines brings cannot be worked out: then nobody knows the sum.
    const unknown = support.seats.flatMap(({ piece }) => {
      const on = latest.get(piece);
      return on && beamAt(moment, piece).where === 'set' && !isKnown(on) ? [ground.beams.get(piece)!.beam.mark] : [];
    });
    const empty =
      unknown.length === 0 && down.plain < 1 && support.seats.some(({ piece }) => line.beams.includes(piece) && beamAt(moment, piece).where === 'set');
    // A tag is held against what is on it, too.
    if (support.onBent !== null || support.standsOn.length > 0 || temporarySupports.includes(support.kind))
      onward.push(unknown.length > 0 ? { support: support.id, plain: null, factored: null } : { support: support.id, ...down });
    rows.part(`support ${support.id}`, [support, down.plain, down.factored, up, empty, unknown.join()], ground, () =>
      supportCheck(ground, support, down, up, { empty, unknown }, move?.id ?? null),
    );
  }
}

/** A support that gives by more than this under its load is packed again; by more than that, its stiffness is mistaken (common practice) [m]. */
const SINKS = 0.025;
const MISTAKEN = 0.1;

const isKnown = ({ answers }: Line): boolean => answers !== null && answers.plain.stable && answers.factored.stable && answers.light.stable;

function supportCheck(
  { context, rows, caution }: Ground,
  support: Support,
  down: { plain: number; factored: number },
  up: number,
  { empty, unknown }: { empty: boolean; unknown: readonly string[] },
  move: string | null,
): void {
  const { rules } = context;
  const { plain } = down;
  const factored = support.capacityBasis === 'design';
  const demand = factored ? (rules.id === 'us-asd' ? STRENGTH_DEAD_FACTOR * plain : down.factored) : plain;
  const where = (id: string) =>
    place(id, about('support', support, support.name), move, stageLine.id, sourced(stageLine.source.text, rules, 'loadFactor', 'strengthCaution'));
  const { capacity } = support;
  if (unknown.length > 0)
    rows.put(missingCheck(where('support.load'), 'force', `What ${[...new Set(unknown)].join(' and ')} brings onto ${support.name} cannot be worked out yet.`));
  else if (capacity === null) {
    if (plain > 0)
      rows.put(
        missingCheck(
          where('support.load'),
          'force',
          `What may ${support.name} carry? ${support.seats.length > 1 ? 'All that rests on it counts together.' : ''}`.trim(),
        ),
      );
  } else {
    const numbers = { demand, capacity, quantity: 'force' as const, caution };
    rows.ratio('support.load', 'support', support.id, undefined, move, numbers, () =>
      ratioCheck(
        where('support.load'),
        numbers,
        told(phrase`${support.name} carries ${q(demand, 'force')}${factored ? ', factored' : ''}; it may carry ${q(capacity, 'force')}.`),
        [],
      ),
    );
  }
  if (support.spring !== null && plain / support.spring > SINKS)
    rows.put({
      ...missingCheck(where('support.sinks'), 'dimension', ''),
      verdict: plain / support.spring > MISTAKEN ? 'missing' : 'tight',
      demand: plain / support.spring,
      finding: told([
        ...phrase`${support.name} gives ${q(plain / support.spring, 'dimension')} under the ${q(plain, 'force')} it carries`,
        plain / support.spring > MISTAKEN ? '. Is that how stiff it is?' : ': what goes on over it is forced by as much, or it is packed up.',
      ]),
    });
  if (up > 1 && support.holdsDown !== null)
    rows.put(
      ratioCheck(
        where('support.uplift'),
        { demand: up, capacity: support.holdsDown, quantity: 'force', caution: rules.value('strengthCaution') },
        told(phrase`${support.name} is pulled up with ${q(up, 'force')}; it holds down ${q(support.holdsDown, 'force')}.`),
        [],
      ),
    );
  if (empty)
    rows.put({
      ...ratioCheck(
        where('support.touch'),
        { demand: 0, capacity: 1, quantity: 'force', caution: null },
        told(phrase`${support.name} stands and carries nothing: what lies over it does not touch.`),
        [],
      ),
      verdict: 'tight',
    });
}

/** The web of a piece over each support that pushes on it, where no stiffeners are. */
export function webChecks(ground: Ground, line: Line, { move, moment }: StageChange): void {
  const { beams, by, rows } = ground;
  const { rules } = ground.context;
  for (const id of line.beams) {
    const settled = beams.get(id)!;
    const { section, fy, place: stands } = settled;
    if (section instanceof Missing || !stands || stands.upright || !(fy > 0)) continue;
    for (const { support, at, key } of by.seats.get(id) ?? []) {
      const force = (rules.id === 'us-asd' ? line.carried.plain : line.carried.factored).get(key) ?? 0;
      if (force < 1 || !standsAt(moment, support.id) || support.stiffened === true) continue;
      rows.part(`web ${support.id} ${id}`, [support, settled, force], ground, () => webCheck(ground, settled, section, support, at, force, move?.id ?? null));
    }
  }
}

/** The web of a beam under each column that stands on it, where no stiffeners are. */
export function postWebChecks(ground: Ground, line: Line, { move, moment }: StageChange): void {
  const { beams, by, latest, rows } = ground;
  const { rules } = ground.context;
  for (const id of line.beams) {
    const settled = beams.get(id)!;
    const { section, fy, place: stands } = settled;
    if (section instanceof Missing || !stands || stands.upright || !(fy > 0)) continue;
    for (const { joint, at, other } of by.joints.get(id) ?? []) {
      const post = beams.get(other);
      if (joint.kind === 'splice' || joint.b.piece !== id || !post?.place?.upright || !isMade(jointAt(moment, joint.id)) || joint.stiffened === true) continue;
      const force = latest.get(other)?.carried[rules.id === 'us-asd' ? 'plain' : 'factored'].get(joint.id) ?? 0;
      if (force < 1 || post.section instanceof Missing) continue;
      const length = Math.min(post.section.depth, post.section.width);
      rows.part(`post ${joint.id}`, [joint, settled, post, force], ground, () =>
        postWebCheck(ground, { joint, at, settled, section, post: post.beam.mark, length, force }, move?.id ?? null),
      );
    }
  }
}

interface PostOnWeb {
  joint: Joint;
  at: number;
  settled: SettledBeam;
  section: SectionRow;
  post: string;
  length: number;
  force: number;
}

function postWebCheck(ground: Ground, { joint, at, settled, section, post, length, force }: PostOnWeb, move: string | null): void {
  const { rows, caution } = ground;
  const { rules } = ground.context;
  const { beam, fy } = settled;
  const where = () =>
    place(
      'joint.web',
      about('joint', joint, joint.name),
      move,
      'member.webAisc',
      sourced('AISC 360 J10.2, J10.3; EN 1993-1-5 section 6', rules, 'strengthCaution'),
    );
  const past = Math.max(0, Math.min(at, settled.place!.length - at) - length / 2);
  const web = webCapacity(section, fy, { length, past, atEnd: past < section.depth }, rules);
  if (web instanceof Missing) {
    rows.put(missingCheck(where(), 'force', web.questions.join(' ')));
    return;
  }
  const numbers = { demand: force, capacity: web.capacity, quantity: 'force' as const, caution };
  rows.ratio('joint.web', 'joint', joint.id, undefined, move, numbers, () =>
    ratioCheck(
      where(),
      numbers,
      told(phrase`${post} stands on ${beam.mark} with ${q(force, 'force')}; without stiffeners under it the web takes ${q(web.capacity, 'force')}.`),
      web.traces,
    ),
  );
}

function webCheck(ground: Ground, settled: SettledBeam, section: SectionRow, support: Support, at: number, force: number, move: string | null): void {
  const { rows, caution } = ground;
  const { rules } = ground.context;
  const { beam, fy } = settled;
  const stands = settled.place!;
  const { id } = beam;
  const where = () =>
    place(
      'support.web',
      about('support', support, support.name, id),
      move,
      'member.webAisc',
      sourced('AISC 360 J10.2, J10.3; EN 1993-1-5 section 6', rules, 'strengthCaution'),
    );
  if (support.stiffened === null) {
    rows.put(missingCheck(where(), 'force', `Has the web of ${beam.mark} stiffeners over ${support.name}?`));
    return;
  }
  if (support.seatLength === null) {
    rows.put(missingCheck(where(), 'dimension', `How long is the seat of ${support.name}, along ${beam.mark}? Its web has no stiffeners there.`));
    return;
  }
  const past = Math.max(0, Math.min(at, stands.length - at) - support.seatLength / 2);
  const web = webCapacity(section, fy, { length: support.seatLength, past, atEnd: past < section.depth }, rules);
  if (web instanceof Missing) {
    rows.put(missingCheck(where(), 'force', web.questions.join(' ')));
    return;
  }
  const numbers = { demand: force, capacity: web.capacity, quantity: 'force' as const, caution };
  rows.ratio('support.web', 'support', support.id, id, move, numbers, () =>
    ratioCheck(
      where(),
      numbers,
      told(phrase`${support.name} presses ${q(force, 'force')} into the web of ${beam.mark}, which takes ${q(web.capacity, 'force')} without stiffeners.`),
      web.traces,
    ),
  );
}
