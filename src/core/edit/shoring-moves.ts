import { lineViews } from '../document/views';
import type { Move, Plan } from '../document/schema';
import { shoredOpening } from '../settle/shore-layout';
import { strikeGroups } from '../document/strike-groups';

type Fresh = () => string;

/** Moves of the shoring the run sheet does not have yet, line by line, in the order they are made: the lowest storey first. */
export function shoringMoves(plan: Plan, fresh: Fresh): Move[] {
  const has = (test: (move: Move) => boolean) => plan.moves.some(test);
  const moves: Move[] = [];
  const setting = (shores: readonly { id: string }[]) => {
    for (const { id } of shores) if (!has((move) => move.kind === 'shore.set' && move.shore === id)) moves.push({ id: fresh(), kind: 'shore.set', shore: id });
  };
  for (const view of lineViews(plan)) {
    const { id, storeys, walls, rows } = view.shoring;
    const opening = shoredOpening(view);
    for (const bearing of plan.bearings.filter((one) => one.id === opening?.left || one.id === opening?.right)) {
      const ready = (move: Move) => move.kind === 'bearing.ready' && move.bearing === bearing.id;
      if (!has(ready) && !moves.some(ready)) moves.push({ id: fresh(), kind: 'bearing.ready', bearing: bearing.id });
    }
    const level = (storey: string) => storeys.findIndex((one) => one.id === storey);
    setting([...walls, ...rows].sort((a, b) => level(a.storey) - level(b.storey)));
    if (!opening || walls.length + rows.length === 0) continue;
    if (!has((move) => move.kind === 'line.open' && move.line === id)) moves.push({ id: fresh(), kind: 'line.open', line: id });
    if (!has((move) => move.kind === 'member.set' && move.opening === opening.id)) moves.push({ id: fresh(), kind: 'member.set', opening: opening.id });
    for (const group of strikeGroups(view.shoring))
      if (!has((move) => move.kind === 'shore.strike' && group.steps.some((step) => step.id === move.step)))
        moves.push({ id: fresh(), kind: 'shore.strike', step: group.id });
  }
  setting(plan.shoring.bents);
  return moves;
}
