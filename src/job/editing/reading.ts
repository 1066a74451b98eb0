import { again } from '@/ui/again';
import type * as EditingModule from './editing';

export type Editing = typeof EditingModule;

/** What edits are made with, which a page reads once it stands; at once where it is read already. */
export function readingOf(editing: Editing | null) {
  let here = editing;
  let coming: Promise<Editing> | null = null;
  const fetched = async (): Promise<Editing> => (here = await again(() => import('./editing')));
  const read = (): Promise<Editing> => (coming ??= here ? Promise.resolve(here) : fetched());
  return {
    /** null: not yet */
    now: (): Editing | null => here,
    read,
    /** now, where it is here; else as soon as it is */
    whenRead: (work: (by: Editing) => void): void => (here ? work(here) : void read().then(work)),
  };
}
export type Reading = ReturnType<typeof readingOf>;
