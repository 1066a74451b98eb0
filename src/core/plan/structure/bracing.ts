import { phrase, q } from '../../calc/work';
import { braceBeam } from '../../strength/brace-beam.calc';
import { pairGlobal } from '../../strength/pair-global.calc';
import { missingCheck, on, ratioCheck, sourced, told, traced, type Place } from '../evaluate/context';
import { Missing } from '../missing';
import type { Brace } from '../schema';
import type { Line } from './forces';
import type { Ground } from './ground';
import { pointAt } from './model';
import { beamAt, braceAt, standsAt, type StructureMoment } from './state';

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

/** What braces are asked to hold, and whether two girders tied together buckle as one. */
export function bracingChecks(ground: Ground, line: Line, moment: StructureMoment, move: string | null): void {
  braceChecks(ground, line, moment, move);
  pairCheck(ground, line, moment, move);
}

function braceChecks(ground: Ground, line: Line, moment: StructureMoment, move: string | null): void {
  const { by, beams, rows, context, caution } = ground;
  for (const id of line.beams) {
    const settled = beams.get(id)!;
    if (settled.section instanceof Missing) continue;
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

/** Two girders that hold each other against twist and nothing sideways: the pair is checked as a system over its longest span. */
function pairCheck(ground: Ground, line: Line, moment: StructureMoment, move: string | null): void {
  const { beams, context, rows } = ground;
  const ties = [...tiedTo(ground, line, moment)];
  const [first] = ties;
  if (!first) return;
  const [other, braces] = first;
  // Three and more buckle as a system of their own, which the rule for a pair does not tell.
  if (ties.length !== 1 || tiedTo(ground, other, moment).size !== 1) {
    const { beam } = beams.get(line.beams[0]!)!;
    return rows.put(
      missingCheck(
        place('group.system', on('beam', beam, beam.mark), move, pairGlobal.id, pairGlobal.source.text),
        'moment',
        `${beam.mark} is one of more than two girders tied together: whether they buckle as a system is not worked out here. Who has checked it?`,
      ),
    );
  }
  const names = [...line.beams, ...other.beams].map((id) => beams.get(id)!.beam.mark);
  const head = beams.get(line.beams[0]!)!;
  const sections = [...line.beams, ...other.beams].flatMap((id) => {
    const { section } = beams.get(id)!;
    return section instanceof Missing ? [] : [section];
  });
  const weakest = sections.reduce<(typeof sections)[number] | null>(
    (least, one) => (least === null || one.iWeak * one.iStrong < least.iWeak * least.iStrong ? one : least),
    null,
  );
  const brace = braces[0]!;
  const [a, b] = [beams.get(brace.a.piece)?.place, brace.b ? beams.get(brace.b.piece)?.place : null];
  if (!weakest || !a || !b || !brace.b) return;
  const [from, to] = [pointAt(a, brace.a.at), pointAt(b, brace.b.at)];
  const spacing = Math.hypot(to.x - from.x, to.y - from.y);
  const length = Math.max(longestSpan(ground, line, moment), longestSpan(ground, other, moment));
  if (!(spacing > 0.05) || !(length > 0)) return;
  const { outcome, traces } = traced(pairGlobal, {
    modulus: context.rules.steel.modulus,
    iStrong: weakest.iStrong,
    iEffective: weakest.iWeak,
    spacing,
    length,
  });
  if (!outcome.ok) return;
  const demand = (momentOf(ground, line) + momentOf(ground, other)) * (context.rules.id === 'us-asd' ? OMEGA : 1);
  const numbers = { demand, capacity: outcome.output.limit, quantity: 'moment' as const, caution: ground.caution };
  // One row for the pair, whichever of the two was changed.
  const [one] = [line.beams[0]!, other.beams[0]!].sort();
  const named = beams.get(one!) ?? head;
  rows.ratio('group.system', 'beam', one!, undefined, move, numbers, () =>
    ratioCheck(
      place('group.system', on('beam', named.beam, names.join(', ')), move, pairGlobal.id, sourced(pairGlobal.source.text, context.rules, 'strengthCaution')),
      numbers,
      told(
        phrase`${names.join(', ')} are tied to each other and to nothing else: as a pair over ${q(length, 'length')} they feel ${q(demand, 'moment')} together and take ${q(outcome.output.limit, 'moment')}.`,
      ),
      traces,
    ),
  );
}

/** The longest stretch of a line between two supports that stand. */
function longestSpan({ by }: Ground, line: Line, moment: StructureMoment): number {
  const places = line.spans
    .flatMap(({ id, from, to, flipped }) =>
      (by.seats.get(id) ?? []).filter(({ support }) => standsAt(moment, support.id)).map(({ at }) => (flipped ? to - at : from + at)),
    )
    .sort((a, b) => a - b);
  return places.slice(1).reduce((most, x, i) => Math.max(most, x - places[i]!), 0);
}
