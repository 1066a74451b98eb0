import type { Support } from '../../document/schema';
import type { Line } from './forces';
import { supportAt, type StructureMoment } from '../../replay/moment';

/** Lines that are another after a move, by its number. */
export interface LineChange {
  at: number;
  lines: readonly Line[];
}

/** What each support that stands carries [N], from move to move: asked in the order of the moves. */
export class Carried {
  private next = 0;
  private readonly seats = new Map<string, number>();
  constructor(
    private readonly supports: readonly Support[],
    private readonly changes: readonly LineChange[],
  ) {}

  after(cursor: number, moment: StructureMoment): Map<string, number> {
    for (; this.next < this.changes.length && this.changes[this.next]!.at <= cursor; this.next += 1)
      for (const line of this.changes[this.next]!.lines) for (const [key, force] of line.carried.plain) if (key.includes('/')) this.seats.set(key, force);
    const carried = new Map<string, number>();
    for (const { id, seats } of this.supports)
      if (supportAt(moment, id).stands)
        carried.set(
          id,
          seats.reduce((sum, _, n) => sum + (this.seats.get(`${id}/${n}`) ?? 0), 0),
        );
    return carried;
  }
}
