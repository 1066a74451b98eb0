import { worst, type Check, type Verdict } from '../verdict/check';
import { contactPressure } from '../path/contact-pressure.calc';
import { linkLoad } from '../path/link-load.calc';
import type { Plan } from '../document/schema';

export interface PathBox {
  id: string;
  name: string;
  /** row 0 is what the steel sits on; the path runs down */
  row: number;
  /** place in its row, left to right */
  column: number;
  load: number | null;
  verdict: Verdict | null;
  ground: boolean;
}

export interface PathLine {
  from: string;
  to: string;
  share: number;
}

export interface PathPicture {
  boxes: PathBox[];
  lines: PathLine[];
  rows: number;
  columns: number;
}

/** The path to ground as rows of boxes: each stands below everything that stands on it; a ring ends where it closes. */
export function pathPicture(plan: Plan, checks: readonly Check[]): PathPicture {
  const below = new Map([...plan.bearings, ...plan.links].map((one) => [one.id, one.standsOn] as const));
  const links = new Map(plan.links.map((one) => [one.id, one]));
  const row = new Map<string, number>();
  const sink = (id: string, depth: number, above: ReadonlySet<string>): void => {
    if (above.has(id) || (row.get(id) ?? -1) >= depth) return;
    row.set(id, depth);
    for (const { link } of below.get(id) ?? []) if (links.has(link)) sink(link, depth + 1, new Set([...above, id]));
  };
  for (const bearing of plan.bearings) sink(bearing.id, 0, new Set());
  // What nothing stands on is drawn too: it may be a link that was forgotten.
  for (const link of plan.links) if (!row.has(link.id)) row.set(link.id, 1);
  const found = (id: string) => {
    const kind = links.has(id) ? 'link' : 'bearing';
    const own = checks.filter((check) => check.id.startsWith('path.') && check.about.kind === kind && check.about.id === id);
    const traces = own.flatMap((check) => check.traces);
    const summed = traces.find((trace) => trace.calc === linkLoad.id)?.output as { load?: number } | undefined;
    const pressed = traces.find((trace) => trace.calc === contactPressure.id)?.input as { load?: number } | undefined;
    const load = summed?.load ?? pressed?.load ?? null;
    return { load, verdict: own.length > 0 ? worst(own.map((check) => check.verdict)) : null };
  };
  const lines = [...plan.bearings, ...plan.links].flatMap((one) =>
    one.standsOn.filter(({ link }) => links.has(link)).map(({ link, share }): PathLine => ({ from: one.id, to: link, share })),
  );
  const rows = Math.max(0, ...row.values()) + 1;
  const place = new Map<string, number>();
  const boxes: PathBox[] = [];
  for (let r = 0; r < rows; r += 1) {
    const here = [...row].filter(([, at]) => at === r).map(([id]) => id);
    const wish = (id: string) => {
      const over = lines.filter((line) => line.to === id).map((line) => place.get(line.from) ?? 0);
      return over.length > 0 ? over.reduce((sum, one) => sum + one, 0) / over.length : Infinity;
    };
    if (r > 0) here.sort((a, b) => wish(a) - wish(b));
    here.forEach((id, column) => {
      place.set(id, (column + 0.5) / here.length);
      const name = plan.bearings.find((one) => one.id === id)?.name ?? links.get(id)?.name ?? id;
      boxes.push({ id, name, row: r, column, ...found(id), ground: links.get(id)?.ground ?? false });
    });
  }
  const columns = Math.max(1, ...Array.from({ length: rows }, (_, r) => boxes.filter((box) => box.row === r).length));
  return { boxes, lines, rows, columns };
}
