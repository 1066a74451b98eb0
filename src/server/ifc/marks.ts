import type { Facts } from './facts';
import { textOf, type Line } from './model';

/** A number the program gave itself is no mark: it says nothing to anybody on site. */
const isGuid = (tag: string): boolean =>
  tag
    .replace(/^(id|guid)[ :_-]*/i, '')
    .replace(/[{}-]/g, '')
    .match(/^[0-9a-f]{32}$/i) !== null || /^[0-3][0-9A-Za-z_$]{21}$/.test(tag);

/** Its mark, or its tag; empty when all it has is a name, which a modelling program may give to every piece alike. */
export function sureMark(line: Line, said: Facts): string {
  const tag = textOf(line.Tag);
  return said.mark ?? (tag !== '' && !isGuid(tag) ? tag : '');
}

/** What people on site call it: its mark, or its tag, or at the least its name. */
export const markOf = (line: Line, said: Facts): string => sureMark(line, said) || textOf(line.Name);
