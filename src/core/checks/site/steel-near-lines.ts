import { powerLineEu } from '../../cranes/power-line-eu.calc';
import { cranePowerLine } from '../../cranes/power-line.calc';
import { phrase, q } from '../../calc/work';
import { segmentToOutline, type Vec } from '../../geometry/plane';
import { beamBodies, pieceBody } from '../../settle/bodies';
import type { Check } from '../../verdict/check';
import type { PowerLine } from '../../document/schema';
import type { Context } from '../context';
import { missingCheck, on, ratioCheck, told, type Place } from '../../verdict/build';
import { askedBy, isPlaced, lineDoubt, type PlacedLine } from './power-lines';

/** What is taken up in space: an outline from above, and from where to where it reaches in height. */
interface Box {
  outline: readonly Vec[];
  from: number;
  to: number;
}

/** How far a level line passes from a box. */
const apart = ({ from, to, height }: PlacedLine, box: Box): number =>
  Math.hypot(segmentToOutline(from, to, box.outline), Math.max(0, height - box.to, box.from - height));

/** What is brought past a line in any way, or stands under it, against the distance the line asks for. */
export function boxToLine({ rules }: Context, line: PowerLine, box: Box, at: Place, name: string, does: string): Check {
  const table = rules.id === 'eu-ls' ? powerLineEu : cranePowerLine;
  const place: Place = { ...at, calc: table.id, source: table.source.text };
  return against(rules, line, place, isPlaced(line) ? { distance: apart(line, box), name, does } : null);
}

function against(rules: Context['rules'], line: PowerLine, place: Place, near: { distance: number; name: string; does: string } | null): Check {
  const doubt = lineDoubt(line);
  if (doubt !== null || !isPlaced(line) || near === null) return missingCheck(place, 'length', doubt ?? '');
  const asked = askedBy(line, line.volts ?? 0, rules);
  if (!asked.outcome.ok) return missingCheck(place, 'length', asked.outcome.error);
  const clearance = Math.max(asked.outcome.output.clearance, line.ownerAsks ?? 0);
  return ratioCheck(
    place,
    { demand: clearance, capacity: near.distance, quantity: 'length', caution: rules.value('clearanceCaution'), inclusive: true },
    told(phrase`${near.name} ${near.does} ${q(near.distance, 'length')} of ${line.name}; it asks for ${q(clearance, 'length')}.`),
    asked.traces,
  );
}

/** The steel where it is to be, whatever brings it there, against every line over the site: the nearest piece to each. */
export function steelNearLines(context: Context): Check[] {
  const { plan, rules } = context;
  if (plan.site.powerLines.length === 0) return [];
  const bodies = [...beamBodies(plan, rules), ...plan.pieces.flatMap((piece) => pieceBody(plan, rules, piece) ?? [])];
  if (bodies.length === 0) return [];
  const table = rules.id === 'eu-ls' ? powerLineEu : cranePowerLine;
  return plan.site.powerLines.flatMap((line): Check[] => {
    const place: Place = {
      id: 'steel.powerLine',
      ...on('powerLine', line, line.name, 'steel'),
      station: 'gear',
      move: null,
      calc: table.id,
      source: `${table.source.text}; taken for steel that stands and for those who work on it as for a load (common practice)`,
    };
    // What is not known of a line the picks ask for.
    if (!isPlaced(line) || lineDoubt(line) !== null) return plan.picks.length > 0 ? [] : [against(rules, line, place, null)];
    let nearest = { distance: Infinity, name: '' };
    for (const body of bodies) {
      const distance = apart(line, body);
      if (distance < nearest.distance) nearest = { distance, name: body.name };
    }
    return [against(rules, line, place, { ...nearest, does: 'comes to stand within' })];
  });
}
