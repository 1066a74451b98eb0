import type { Plan } from '../src/core/document/schema';
import { ticketHall } from './demo-plan';
import { lineIn } from './of-plan';

/** Every id of a line, its opening and the seats of it, made another. */
const other = (text: string, ids: readonly string[]): string => ids.reduce((all, id) => all.replaceAll(`"${id}"`, `"${id}-2"`), text);

/**
 * The ticket hall with a second opening six metres along, alike and with shores of its own on the same slab: nothing of the
 * second line has the id of anything of the first.
 */
export function twoLines(): Plan {
  const plan = ticketHall();
  const line = lineIn(plan);
  const own = [
    line.id,
    'op1',
    'tha',
    'thb',
    'm-th1',
    ...[line.storeys, line.walls, line.rows, line.strike, line.watch].flatMap((list) => list.map(({ id }) => id)),
    ...line.storeys.flatMap(({ joists }) => joists.doubled.map(({ id }) => id)),
    ...line.walls.flatMap(({ gaps }) => gaps.map(({ id }) => id)),
  ];
  const again = <T>(thing: T): T => JSON.parse(other(JSON.stringify(thing), own)) as T;
  const opening = plan.survey.openings.find(({ id }) => id === 'op1')!;
  const second = again(line);
  second.name = 'Baggage opening';
  plan.shoring.lines.push(second);
  plan.survey.openings.push({ ...again(opening), name: 'Baggage opening' });
  const along = (at: { x: number; y: number }) => ({ x: at.x + 6, y: at.y });
  plan.bearings.push(
    ...plan.bearings.map((bearing) => {
      const copy = again(bearing);
      const { measured } = copy;
      return {
        ...copy,
        name: `${bearing.name}2`,
        at: along(bearing.at),
        measured: measured && { ...measured, x: measured.x === null ? null : measured.x + 6 },
      };
    }),
  );
  plan.members.push({ ...again(plan.members.find(({ id }) => id === 'm-th1')!), mark: 'TH1B' });
  const done = plan.moves.map((move) => ({ ...again(move), id: `${move.id}-2` }));
  plan.moves.push(...done);
  return plan;
}
