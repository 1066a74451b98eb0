'use client';
import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import type { Fault } from '@/core/calc/schema';
import type { CommandArguments, CommandName } from '@/core/edit/table';
import type { JobStore } from './job-store';
import type { JobActions, JobState } from './state';

export const JobContext = createContext<JobStore | null>(null);

export function useJobStore(): JobStore {
  const store = useContext(JobContext);
  if (!store) throw new Error('used outside a job screen');
  return store;
}

export const useJob = <T,>(pick: (state: JobState & JobActions) => T): T => useStore(useJobStore(), pick);

export const usePlan = () => useJob((state) => state.history.plan);

/** Do a command; edits with the same group undo together until the field is left. */
export function useAct() {
  const act = useJob((state) => state.act);
  return <N extends CommandName>(name: N, args: CommandArguments[N], group?: string): Fault[] | null => act({ name, args } as never, group);
}
