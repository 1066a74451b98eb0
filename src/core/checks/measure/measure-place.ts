import type { AboutKind } from '../../verdict/check';
import { on } from '../../verdict/build';

/** Where a check of the Measure station stands. */
export const measurePlace = (
  id: string,
  kind: AboutKind,
  thing: { id: string; name: string; part?: string },
  calc: { id: string; source: { text: string } },
  source = calc.source.text,
) => ({
  id,
  ...on(kind, thing, thing.name, thing.part),
  station: 'measure' as const,
  move: null,
  calc: calc.id,
  source,
});
