import type { AboutKind, StationId } from '../../verdict/check';
import { on, type Place } from '../../verdict/build';

export const about = (kind: AboutKind, thing: { id: string }, name: string, part?: string) => on(kind, thing, name, part);

export const place = (id: string, of: ReturnType<typeof about>, move: string | null, calc: string, source: string, station: StationId = 'runSheet'): Place => ({
  id,
  ...of,
  station,
  move,
  calc,
  source,
});
