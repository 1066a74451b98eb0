import type { LinePlan } from '../../document/views';
import type { AboutKind } from '../../verdict/check';
import { on } from '../../verdict/build';

/** Where a check of the Shores station stands. */
export const shorePlace = (
  id: string,
  thing: { id: string; name: string; part?: string },
  calc: { id: string; source: { text: string } },
  source = calc.source.text,
  kind: AboutKind = 'shore',
) => ({
  id: `shore.${id}`,
  ...on(kind, thing, thing.name, thing.part),
  station: 'shores' as const,
  move: null,
  calc: calc.id,
  source,
});

/** The strike as a whole. */
export const wholeStrike = ({ shoring }: LinePlan) => ({ id: shoring.id, name: shoring.lines.length > 1 ? `Strike of ${shoring.name}` : 'Strike' });
