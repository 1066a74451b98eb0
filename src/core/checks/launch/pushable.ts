import { loadOf } from '../../document/joined';
import type { Plan } from '../../document/schema';
import { isInclined, placeOf } from '../../document/place';

/** Level pieces of the structure that no move hangs and nothing of the plan lifts: they may be pushed to their place. */
export function pushable({ structure, moves, picks, raises = [] }: Plan): string[] {
  const lifted = new Set([...picks.flatMap(loadOf), ...raises.map(({ load }) => load)]);
  for (const move of moves) if (move.kind === 'piece.hang') lifted.add(move.beam);
  return structure.pieces.flatMap((beam) => {
    const place = placeOf(beam);
    return lifted.has(beam.id) || place === null || place.upright || isInclined(place) ? [] : [beam.id];
  });
}
