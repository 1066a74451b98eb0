import { stageLine } from '../../stage/line.calc';
import { phrase, q } from '../../calc/work';
import { keepOne } from '../../document/keep';
import { flatStop, missingCheck, told } from '../../verdict/build';
import type { Ground } from './ground';
import { pointAt } from '../../document/place';
import { about, place } from './places';
import { braceAt, type StructureMoment } from '../../replay/moment';

/** 30 ft, 29 CFR 1926.754(b)(3), from memory [m]. */
const DECKED = 9.144;

/** Level of the lowest thing anything stands on [m]. */
const lowestFoot = ({ context, beams }: Ground): number =>
  keepOne('structure.foot', [context.plan.structure], () =>
    Math.min(
      ...context.plan.structure.supports.flatMap(({ seats }) =>
        seats.flatMap(({ piece, at }) => {
          const on = beams.get(piece)?.place;
          return on ? [pointAt(on, at).z] : [];
        }),
      ),
    ),
  );

/** What a beam of a frame brings with it and what is under those who hang it: no studs before the deck, no deck too far below. */
export function deckingChecks(ground: Ground, id: string, moment: StructureMoment, move: string): void {
  const { beams, by, rows, context } = ground;
  const { beam, make, place: stands } = beams.get(id)!;
  const of = about('beam', beam, beam.mark);
  if (make.studs === true)
    rows.put(
      flatStop(
        place('studs.early', of, move, stageLine.id, '29 CFR 1926.754(c)(1), from memory'),
        'count',
        told(phrase`${beam.mark} comes with studs on its top flange: who walks it trips. They are put on after the deck is down.`),
        [],
      ),
    );
  if (!stands || stands.upright || !(by.joints.get(id) ?? []).some(({ joint }) => joint.kind === 'onColumn' && joint.a.piece === id)) return;
  const level = Math.max(stands.from.z, stands.to.z);
  const { braces } = context.plan.structure;
  const ground_ = Math.min(level, lowestFoot(ground));
  const decks = braces.filter(({ kind }) => kind === 'deck');
  const down = decks.flatMap((one) => {
    const on = beams.get(one.a.piece)?.place;
    return on && braceAt(moment, one.id) ? [pointAt(on, one.a.at).z] : [];
  });
  const under = Math.max(ground_, ...down.filter((z) => z <= level + 0.01));
  const drop = level - under;
  if (drop <= DECKED) return;
  const where = place('frame.decked', of, move, stageLine.id, '29 CFR 1926.754(b)(3), from memory: a decked floor or nets within two floors or 30 ft');
  if (decks.length === 0)
    rows.put({
      ...missingCheck(where, 'length', ''),
      demand: drop,
      finding: told(
        phrase`${beam.mark} is hung ${q(drop, 'length')} over what is under it, and no floor of this plan is decked. What is within ${q(DECKED, 'length')} under those who hang it: deck, planks or nets?`,
      ),
    });
  else
    rows.put(
      flatStop(
        where,
        'length',
        told(
          phrase`${beam.mark} is hung ${q(drop, 'length')} over the last floor that is decked; ${q(DECKED, 'length')} may be. Deck the floor under it first.`,
        ),
        [],
        drop,
      ),
    );
}
