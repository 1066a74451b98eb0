import { phrase, q } from '../../calc/work';
import { contactPressure } from '../../path/contact-pressure.calc';
import type { Rules } from '../../rules/rule-sets';
import { missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import type { Support } from '../../document/schema';
import type { Line, StageChange } from './forces';
import type { Ground } from './ground';
import type { SettledBeam } from '../../settle/model';
import { about, place } from './places';
import { standsAt } from '../../replay/moment';

/** Under strength-level loads 0.85 f′c over 2.31 (AISC 360 J8, nothing gained from wider concrete); f_ck over 1.5 (EN 1992-1-1 6.7). */
const BEARING = { 'us-asd': 0.85 / 2.31, 'eu-ls': 1 / 1.5 } as const;
const SOURCE = 'AISC 360 J8 with safety 2.31; EN 1992-1-1 6.7 with 1.5; nothing is counted for concrete wider than the seat';

/** How hard each seat of a line presses on what is under it. */
export function seatChecks(ground: Ground, line: Line, { move, moment }: StageChange): void {
  const { beams, by, rows } = ground;
  const { rules } = ground.context;
  for (const id of line.beams) {
    const settled = beams.get(id)!;
    for (const { support, at, key } of by.seats.get(id) ?? []) {
      const force = (rules.id === 'us-asd' ? line.carried.plain : line.carried.factored).get(key) ?? 0;
      if (force < 1 || !standsAt(moment, support.id)) continue;
      rows.part(`seat ${support.id} ${id}`, [support, settled, force], ground, () => seatCheck(ground, settled, support, at, force, move?.id ?? null));
    }
  }
}

function seatCheck(ground: Ground, settled: SettledBeam, support: Support, at: number, force: number, move: string | null): void {
  const { rows, caution } = ground;
  const { rules } = ground.context;
  const { beam, section, place: stands } = settled;
  const where = () =>
    place('support.seat', about('support', support, support.name, beam.id), move, contactPressure.id, sourced(SOURCE, rules, 'strengthCaution'));
  const { seatLength, seatWidth } = support;
  if (seatLength === null || seatWidth === null)
    return rows.put(missingCheck(where(), 'dimension', `How long and how wide is the seat of ${support.name} under ${beam.mark}?`));
  const allowable = concreteBears(support, rules);
  if (allowable === null || stands === null) return;
  // A column presses with its base plate; of a girder no more presses than lies on the seat.
  const long = stands.upright ? seatLength : Math.min(seatLength / 2, at) + Math.min(seatLength / 2, stands.length - at);
  const wide = stands.upright || section instanceof Missing ? seatWidth : Math.min(seatWidth, section.width);
  if (!(long > 0)) return rows.put(missingCheck(where(), 'dimension', `Nothing of ${beam.mark} lies on the seat of ${support.name}. Where does it rest?`));
  const { outcome, traces } = traced(contactPressure, { load: force, length: long, width: wide, allowable });
  if (!outcome.ok) return rows.put(missingCheck(where(), 'strength', outcome.error));
  const { pressure } = outcome.output;
  const numbers = { demand: pressure, capacity: allowable, quantity: 'strength' as const, caution };
  rows.ratio('support.seat', 'support', support.id, beam.id, move, numbers, () =>
    ratioCheck(
      where(),
      numbers,
      told(
        phrase`${beam.mark} presses ${q(pressure, 'strength')} on the concrete of ${support.name}, ${q(force, 'force')} on ${q(long, 'dimension')} × ${q(wide, 'dimension')}; ${q(allowable, 'strength')} may be.`,
      ),
      traces,
    ),
  );
}

/** What the concrete under a support takes, by what it was tested at and never more than it was meant to reach; null: no concrete, or untested. */
function concreteBears({ footing }: Support, rules: Rules): number | null {
  if (footing?.kind !== 'concrete' || footing.result === null || footing.intended === null) return null;
  return BEARING[rules.id] * Math.min(footing.result, footing.intended);
}
