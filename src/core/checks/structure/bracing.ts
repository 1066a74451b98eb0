import { phrase, q } from '../../calc/work';
import { braceBeam } from '../../strength/brace-beam.calc';
import { pairGlobal } from '../../strength/pair-global.calc';
import { missingCheck, on, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';
import { isGiven } from '../../settle/section-strength';
import { Missing } from '../../verdict/missing';
import type { Brace } from '../../document/schema';
import type { Line } from './forces';
import type { Ground } from './ground';
import { beamAt, braceAt, isMade, jointAt, standsAt, type StructureMoment } from '../../replay/moment';

/** Strength-level demand of a job run in allowable stress. */
const OMEGA = 1.67;

const place = (id: string, about: ReturnType<typeof on>, move: string | null, calc: string, source: string): Place => ({
  id,
  ...about,
  station: 'runSheet',
  move,
  calc,
  source,
});

/** Greatest moment of a line, by the factored stage in limit states. */
function momentOf({ context }: Ground, line: Line): number {
  const answer = context.rules.id === 'us-asd' ? line.answers?.plain : line.answers?.factored;
  return answer?.stable ? Math.max(answer.sagging, answer.hogging) : 0;
}

/** The lines a line is tied to by cross-frames and diaphragms that are in. */
function tiedTo({ by, latest }: Ground, line: Line, moment: StructureMoment): Map<Line, Brace[]> {
  const ties = new Map<Line, Brace[]>();
  for (const id of line.beams)
    for (const { brace, other } of by.braces.get(id) ?? []) {
      if (other === null || brace.stops === 'sideways' || !braceAt(moment, brace.id) || beamAt(moment, other).where !== 'set') continue;
      const to = latest.get(other);
      if (to && to !== line) ties.set(to, [...(ties.get(to) ?? []), brace]);
    }
  return ties;
}

/** What braces are asked to hold, and whether girders tied together buckle as one. */
export function bracingChecks(ground: Ground, line: Line, moment: StructureMoment, move: string | null): void {
  braceChecks(ground, line, moment, move);
  groupCheck(ground, line, moment, move);
}

function braceChecks(ground: Ground, line: Line, moment: StructureMoment, move: string | null): void {
  const { by, beams, rows, context, caution } = ground;
  for (const id of line.beams) {
    const settled = beams.get(id)!;
    // What braces a thing that is no section is asked to hold is for whoever has checked it as it stands.
    if (settled.section instanceof Missing || isGiven(settled.section)) continue;
    for (const { brace, other } of by.braces.get(id) ?? []) {
      if (!braceAt(moment, brace.id) || (other !== null && beamAt(moment, other).where !== 'set')) continue;
      const where = () =>
        place('brace.force', on('brace', brace, brace.name), move, braceBeam.id, sourced(braceBeam.source.text, context.rules, 'strengthCaution'));
      const free = ground.freeOf(line, moment, id);
      const flangeCentres = settled.section.depth - settled.section.flange;
      const input = { moment: momentOf(ground, line), flangeCentres, unbraced: Math.max(free, 0.1), cd: 1 };
      const { force, stiffness } = braceBeam.compute(input);
      if (brace.capacity === null) {
        rows.put(missingCheck(where(), 'force', `What may ${brace.name} carry? It is asked to hold ${settled.beam.mark} sideways.`));
        continue;
      }
      const numbers = { demand: force, capacity: brace.capacity, quantity: 'force' as const, caution };
      rows.ratio('brace.force', 'brace', brace.id, undefined, move, numbers, () =>
        ratioCheck(
          where(),
          numbers,
          told(phrase`${brace.name} is asked to hold ${q(force, 'force')}; it carries ${q(brace.capacity ?? 0, 'force')}.`),
          traced(braceBeam, input).traces,
        ),
      );
      // Of a cross-frame the stiffness against twist is not worked out; a brace to what is anchored has to be stiff enough to be one.
      if (brace.stiffness === null) {
        if (other === null && input.moment > 1)
          rows.put(
            missingCheck(
              { ...where(), id: 'brace.stiffness' },
              'forcePerLength',
              `How stiff is ${brace.name}? It holds ${settled.beam.mark} only if it is stiff enough.`,
            ),
          );
        continue;
      }
      const stiff = { demand: stiffness, capacity: brace.stiffness, quantity: 'forcePerLength' as const, caution: null, inclusive: true };
      rows.ratio('brace.stiffness', 'brace', brace.id, undefined, move, stiff, () =>
        ratioCheck(
          { ...where(), id: 'brace.stiffness' },
          stiff,
          told(
            phrase`${brace.name} has to be as stiff as ${q(stiffness, 'forcePerLength')} to count as a hold; it is ${q(brace.stiffness ?? 0, 'forcePerLength')}.`,
          ),
          traced(braceBeam, input).traces,
        ),
      );
    }
  }
}

/** A line with all it is tied to, directly or through others. */
function groupOf(ground: Ground, line: Line, moment: StructureMoment): Line[] {
  const group = new Set([line]);
  for (const one of group) for (const other of tiedTo(ground, one, moment).keys()) group.add(other);
  return [...group];
}

/** Past this two girders are not side by side [sine of the angle between them]. */
const ASIDE = 0.1;

/** How far apart the outer two of lines side by side are; null where one runs another way than the rest. */
function widthOf({ beams }: Ground, lines: readonly Line[]): number | null {
  const places = lines.map((line) => beams.get(line.beams[0]!)?.place ?? null);
  const [first] = places;
  if (!first) return null;
  const { x, y } = first.along;
  const aside: number[] = [];
  for (const one of places) {
    if (!one || Math.abs(one.along.x * y - one.along.y * x) > ASIDE) return null;
    aside.push((one.from.y - first.from.y) * x - (one.from.x - first.from.x) * y);
  }
  return Math.max(...aside) - Math.min(...aside);
}

/**
 * Girders that hold each other against twist and nothing sideways are checked as a system over their longest span. The published rule is
 * for two, and for three with the distance of the outer ones. For more the same is used: with n girders of one size statics gives
 * π²E/L²·√(n·Iy·Ix·Σy²), and n·Σy² is the sum of the squared distances of all pairs, never less than that of the outer two alone.
 */
function groupCheck(ground: Ground, line: Line, moment: StructureMoment, move: string | null): void {
  const { beams, context, rows } = ground;
  const group = groupOf(ground, line, moment);
  if (group.length < 2) return;
  const width = widthOf(ground, group);
  // One row for the group, whichever of it was changed.
  const [one] = group.map(({ beams: [id] }) => id!).sort();
  const { beam } = beams.get(one!)!;
  const about = (subject: string) => on('beam', beam, subject);
  if (width === null)
    return rows.put(
      missingCheck(
        place('group.system', about(beam.mark), move, pairGlobal.id, pairGlobal.source.text),
        'moment',
        `${beam.mark} is tied against twist to pieces that do not run beside it: whether they buckle together is not worked out here. Who has checked it?`,
      ),
    );
  const ids = group.flatMap((of) => of.beams);
  const sections = ids.flatMap((id) => {
    const { section } = beams.get(id)!;
    return section instanceof Missing || isGiven(section) ? [] : [section];
  });
  const weakest = sections.reduce<(typeof sections)[number] | null>(
    (least, next) => (least === null || next.iWeak * next.iStrong < least.iWeak * least.iStrong ? next : least),
    null,
  );
  const length = Math.max(...group.map((of) => longestSpan(ground, of, moment)));
  if (!weakest || !(width > 0.05) || !(length > 0)) return;
  const { outcome, traces } = traced(pairGlobal, {
    modulus: context.rules.steel.modulus,
    iStrong: weakest.iStrong,
    iEffective: weakest.iWeak,
    spacing: width,
    length,
  });
  if (!outcome.ok) return;
  const demand = group.reduce((sum, of) => sum + momentOf(ground, of), 0) * (context.rules.id === 'us-asd' ? OMEGA : 1);
  const numbers = { demand, capacity: outcome.output.limit, quantity: 'moment' as const, caution: ground.caution };
  const names = ids.map((id) => beams.get(id)!.beam.mark).sort();
  const named = names.length > NAMED ? `${names.slice(0, NAMED).join(', ')} and ${names.length - NAMED} more` : names.join(', ');
  rows.ratio('group.system', 'beam', one!, undefined, move, numbers, () =>
    ratioCheck(
      place('group.system', about(named), move, pairGlobal.id, sourced(pairGlobal.source.text, context.rules, 'strengthCaution')),
      numbers,
      told(
        phrase`${named} are tied to each other against twist: as ${group.length === 2 ? 'a pair' : `${group.length} side by side`} over ${q(length, 'length')} they feel ${q(demand, 'moment')} together and take ${q(outcome.output.limit, 'moment')}.`,
      ),
      traces,
    ),
  );
}

/** So many of a group are called by name. */
const NAMED = 6;

/** The longest stretch of a line between two places that carry it: supports that stand, and joints to what carries it. */
function longestSpan({ by }: Ground, line: Line, moment: StructureMoment): number {
  const places = line.spans
    .flatMap(({ id, from, to, flipped }) => {
      const seats = (by.seats.get(id) ?? []).filter(({ support }) => standsAt(moment, support.id));
      const hung = (by.joints.get(id) ?? []).filter(({ joint }) => joint.kind !== 'splice' && joint.a.piece === id && isMade(jointAt(moment, joint.id)));
      return [...seats, ...hung].map(({ at }) => (flipped ? to - at : from + at));
    })
    .sort((a, b) => a - b);
  return places.slice(1).reduce((most, x, i) => Math.max(most, x - places[i]!), 0);
}
