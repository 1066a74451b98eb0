import { phrase, q } from '../../calc/work';
import type { SwayStands } from '../../frame/sway';
import { missingCheck, ratioCheck, told } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import { heldOf } from '../../replay/held';
import type { StructureMoment } from '../../replay/moment';
import { bendingCapacity } from '../../settle/section-strength';
import { worstRows, type At, type Row } from './frame-rows';
import type { FrameModel, Portal } from './frame-model';
import type { Ground } from './ground';
import { about } from './places';

const ENDS = ['a', 'b'] as const;

/** Beams that keep their angle to columns: what bends their joints and themselves as the frame leans. */
export function portalRows(ground: Ground, { rails }: FrameModel, answers: readonly SwayStands[], moment: StructureMoment, at: At): Row[] {
  const felt = rails.map((portal, i) => ({ portal, ends: answers.map((one) => one.rails[i]!) }));
  return [
    ...worstRows(
      felt.flatMap(({ portal, ends }) =>
        ENDS.flatMap(
          (end) =>
            jointRow(
              ground,
              portal,
              end,
              ends.map((one) => one[end]),
              at,
            ) ?? [],
        ),
      ),
      ground.caution,
    ),
    ...worstRows(
      felt.flatMap(({ portal, ends }) => beamRow(ground, portal, ends, moment, at) ?? []),
      ground.caution,
    ),
  ];
}

interface Rated {
  row: Row;
  ratio: number;
}

/** A joint that holds the angle, against the moment the engineer gave it. */
function jointRow({ caution }: Ground, { ends }: Portal, end: 'a' | 'b', hogs: readonly number[], at: At): Rated | null {
  const { joint, keeps } = ends[end];
  if (!keeps || joint.moment === null) return null;
  const capacity = joint.moment;
  const numbers = { demand: Math.max(...hogs.map(Math.abs)), capacity, quantity: 'moment' as const, caution };
  return {
    ratio: numbers.demand / capacity,
    row: {
      id: 'joint.portal',
      kind: 'joint',
      thing: joint.id,
      part: undefined,
      numbers,
      tell: () =>
        ratioCheck(
          at('joint.portal', about('joint', joint, joint.name)),
          numbers,
          told(
            phrase`${joint.name} keeps the angle between beam and column: what lies on the beam, wind and lean bend it ${q(numbers.demand, 'moment')}; the engineer gives it ${q(capacity, 'moment')}.`,
          ),
          [],
        ),
    },
  };
}

/** The beam itself: hogged at its ends with its lower flange free all along, sagging between them by no less than if it turned freely there. */
function beamRow(ground: Ground, { line, beam: id, length }: Portal, ends: readonly { a: number; b: number }[], moment: StructureMoment, at: At): Rated | null {
  const { context, beams, by, caution } = ground;
  const { rules } = context;
  const answer = line.answers?.[rules.id === 'us-asd' ? 'plain' : 'factored'];
  const { beam, section, fy } = beams.get(id)!;
  // At what it yields is asked where it bends.
  if (!answer?.stable || section instanceof Missing || !(fy > 0)) return null;
  const where = at('beam.portal', about('beam', beam, beam.mark));
  const hogs = Math.max(0, ...ends.flatMap(({ a, b }) => [a, b]));
  const sags = answer.sagging + Math.max(0, ...ends.flatMap(({ a, b }) => [-a, -b]));
  const hogging = bendingCapacity(section, fy, rules, { length, factor: 1 });
  const sagging = bendingCapacity(section, fy, rules, { length: heldOf(line, moment, by).get(id)?.free ?? length, factor: 1 });
  for (const one of [hogging, sagging]) if (one instanceof Missing) return { row: missingCheck(where, 'moment', one.questions.join(' ')), ratio: Infinity };
  const [up, down] = [hogging, sagging] as [Exclude<typeof hogging, Missing>, Exclude<typeof sagging, Missing>];
  const worst = hogs / up.capacity >= sags / down.capacity ? { demand: hogs, hogs: true, ...up } : { demand: sags, hogs: false, ...down };
  const numbers = { demand: worst.demand, capacity: worst.capacity, quantity: 'moment' as const, caution };
  return {
    ratio: numbers.demand / numbers.capacity,
    row: {
      id: 'beam.portal',
      kind: 'beam',
      thing: beam.id,
      part: undefined,
      numbers,
      tell: () =>
        ratioCheck(
          where,
          numbers,
          told(
            worst.hogs
              ? phrase`Stiffly joined to its columns ${beam.mark} hogs ${q(worst.demand, 'moment')} at an end as the frame leans, its lower flange free over ${q(length, 'length')}; that is good for ${q(worst.capacity, 'moment')}.`
              : phrase`Stiffly joined to its columns ${beam.mark} sags up to ${q(worst.demand, 'moment')} as the frame leans; it is good for ${q(worst.capacity, 'moment')}.`,
          ),
          worst.traces,
        ),
    },
  };
}
