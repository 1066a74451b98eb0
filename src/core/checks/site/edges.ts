import { groundEdge } from '../../cranes/edge.calc';
import { phrase, q } from '../../calc/work';
import { gapBetween, rectangle, type Vec } from '../../geometry/plane';
import type { Check } from '../../verdict/check';
import { craneAt } from '../../settle/duties';
import { standsOfPick } from '../../document/lookups';
import { pitsOf } from '../../document/zones';
import { dayFault, namesPerson } from '../../document/records';
import type { Plan, Stand } from '../../document/schema';
import { moveFor, type Context } from '../context';
import { flatStop, missingCheck, on, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';

/** All that a crane presses the ground within, seen from above: its mats, or its tracks. */
function pressedBy(plan: Plan, stand: Stand): Vec[] | null {
  const crane = craneAt(plan, stand);
  const wider = crane.tower ? 0 : crane.tracks ? crane.tracks.shoe : stand.padArea === null ? null : Math.sqrt(stand.padArea);
  if (wider === null) return null;
  return rectangle(stand.at, crane.baseLength + (crane.tracks ? 0 : wider), crane.baseWidth + wider, stand.azimuthDeg);
}

/** What a crane presses the ground with keeps as far from an edge as the edge is high, unless somebody has worked out that it holds. */
export function edgeChecks({ plan, rules, today }: Context): Check[] {
  const pits = pitsOf(plan);
  if (pits.length === 0) return [];
  const used = new Set(plan.picks.flatMap(standsOfPick));
  return plan.stands.flatMap((stand) => {
    if (!used.has(stand.id)) return [];
    const pressed = pressedBy(plan, stand);
    return pits.map((pit): Check => {
      const place: Place = {
        id: 'stand.edge',
        ...on('stand', stand, stand.name, pit.id),
        station: 'gear',
        move: moveFor(plan, 'crane.set', stand.id),
        calc: groundEdge.id,
        source: sourced(groundEdge.source.text, rules, 'edgeRun'),
      };
      const depth = pit.depth ?? null;
      if (depth === null) return missingCheck(place, 'length', `How deep is ${pit.name}? What stands beside it keeps off by that.`);
      if (pressed === null)
        return missingCheck(
          place,
          'length',
          `How large are the mats, or how broad the tracks, at ${stand.name}? How far they are from ${pit.name} depends on it.`,
        );
      const gap = gapBetween(pressed, rectangle(pit.at, pit.length, pit.width, pit.azimuthDeg));
      if (gap <= 0) return flatStop(place, 'length', told(phrase`The crane at ${stand.name} stands over ${pit.name}, ${q(depth, 'length')} deep.`), []);
      const { outcome, traces } = traced(groundEdge, { depth, run: rules.value('edgeRun'), gap });
      if (!outcome.ok) return missingCheck(place, 'length', outcome.error);
      const { needed, use } = outcome.output;
      const { edge = null } = pit;
      const fault = edge === null ? null : namesPerson(edge.by) ? dayFault(edge.on, today) : 'names nobody';
      const held = edge !== null && fault === null;
      const words = phrase`What the crane at ${stand.name} stands on is ${q(gap, 'length')} from the edge of ${pit.name}, ${q(depth, 'length')} deep; ${q(needed, 'length')} are kept.`;
      const row = ratioCheck(
        place,
        { demand: needed, capacity: gap, quantity: 'length', caution: null, inclusive: true, ratio: use },
        told(
          use <= 1
            ? words
            : held
              ? [...words, ` ${edge.by.trim()} worked out on ${edge.on} that the edge holds.`]
              : [...words, edge === null ? ' Stand further off, or have somebody work out that the edge holds.' : ` The record that it holds ${fault}.`],
        ),
        traces,
      );
      return use > 1 && held ? { ...row, verdict: 'tight' } : row;
    });
  });
}
