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
function beamRow(ground: Ground, { line, length }: Portal, ends: readonly { a: number; b: number }[], moment: StructureMoment, at: At): Rated | null {
  const { context, beams, by, caution } = ground;
  const { rules } = context;
  const answer = line.answers?.[rules.id === 'us-asd' ? 'plain' : 'factored'];
  const [first] = line.beams.map((id) => beams.get(id)!);
  if (!answer?.stable || !first) return null;
  const mark = line.beams.map((id) => beams.get(id)!.beam.mark).join(' + ');
  const where = at('beam.portal', about('beam', first.beam, mark));
  const hogs = Math.max(0, ...ends.flatMap(({ a, b }) => [a, b]));
  const sags = answer.sagging + Math.max(0, ...ends.flatMap(({ a, b }) => [-a, -b]));
  const held = heldOf(line, moment, by);
  const used = line.beams.map((id) => {
    const { section, fy } = beams.get(id)!;
    if (section instanceof Missing) return section;
    const hogging = bendingCapacity(section, fy, rules, { length, factor: 1 });
    const sagging = bendingCapacity(section, fy, rules, { length: held.get(id)?.free ?? length, factor: 1 });
    if (hogging instanceof Missing) return hogging;
    if (sagging instanceof Missing) return sagging;
    const [up, down] = [hogs / hogging.capacity, sags / sagging.capacity];
    return up >= down
      ? { demand: hogs, capacity: hogging.capacity, hogs: true, traces: hogging.traces }
      : { demand: sags, capacity: sagging.capacity, hogs: false, traces: sagging.traces };
  });
  const asks = used.find((one) => one instanceof Missing);
  if (asks instanceof Missing) return { row: missingCheck(where, 'moment', asks.questions.join(' ')), ratio: Infinity };
  const worst = used
    .flatMap((one) => (one instanceof Missing ? [] : [one]))
    .reduce((most, one) => (one.demand / one.capacity > most.demand / most.capacity ? one : most));
  const numbers = { demand: worst.demand, capacity: worst.capacity, quantity: 'moment' as const, caution };
  return {
    ratio: numbers.demand / numbers.capacity,
    row: {
      id: 'beam.portal',
      kind: 'beam',
      thing: first.beam.id,
      part: undefined,
      numbers,
      tell: () =>
        ratioCheck(
          where,
          numbers,
          told(
            worst.hogs
              ? phrase`Stiffly joined to its columns ${mark} hogs ${q(worst.demand, 'moment')} at an end as the frame leans, its lower flange free over ${q(length, 'length')}; that is good for ${q(worst.capacity, 'moment')}.`
              : phrase`Stiffly joined to its columns ${mark} sags up to ${q(worst.demand, 'moment')} as the frame leans; it is good for ${q(worst.capacity, 'moment')}.`,
          ),
          worst.traces,
        ),
    },
  };
}
