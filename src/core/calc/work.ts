import type { Quantity, QuantityKind } from '../units';

/** Text with quantities in it; whoever shows it chooses the units. */
export type Phrase = (string | Quantity)[];

/** One line of a working: what, how, with which numbers, and what came out. */
export interface WorkLine {
  label: string;
  formula?: string;
  numbers?: Phrase;
  result: Quantity | string;
}

export const q = (value: number, kind: QuantityKind): Quantity => ({ value, kind });

/** with`${q(w, 'force')} / 2` keeps the numbers as quantities between the words. */
export function phrase(words: TemplateStringsArray, ...quantities: (Quantity | string)[]): Phrase {
  const parts: Phrase = [];
  words.forEach((word, i) => {
    if (word) parts.push(word);
    const quantity = quantities[i];
    if (quantity !== undefined) parts.push(quantity);
  });
  return parts;
}
