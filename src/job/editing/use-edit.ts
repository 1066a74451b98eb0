'use client';
import type { ListName, Lists } from '@/core/edit/table';
import { useAct, useJob, usePlan } from '../job-context';

/** Change one thing of a list; edits of one field undo together. */
export function useEdit<N extends ListName>(list: N, id: string) {
  const act = useAct();
  return (changes: Partial<Omit<Lists[N], 'id'>>, field: string) => act('editIn', { list, id, changes } as never, `${list} ${id} ${field}`);
}

/** What every field needs: the units of the job and the end of an edit. */
export function useField() {
  const { units: system } = usePlan().job;
  const onDone = useJob((state) => state.done);
  return { system, onDone } as const;
}
