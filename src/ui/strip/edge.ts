import type { Verdict } from '@/core/verdict/check';

/** The edge of a card by how what is on it stands. */
export const edgeOf: Record<Verdict, string> = {
  stop: 'border-stop border-2',
  missing: 'border-missing border-dashed border-2',
  tight: 'border-tight border-2',
  clear: 'border-line',
};
