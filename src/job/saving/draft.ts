import type { Plan } from '@/core/document/schema';
import type { Editing } from '../editing/reading';

/** A plan with changes that were not saved when the page went. */
export interface Draft {
  revision: number;
  plan: Plan;
  /** what this tab had sent, newest last */
  sent: string[];
  /** when the page went, ISO */
  at: string;
}

export const draftKey = (id: string) => `keen-trestle/draft/${id}`;

/** A draft that was written down; null where there is none, or none that can be read. */
export function readDraft(text: string | null, { openPlan }: Editing): Draft | null {
  if (text === null) return null;
  try {
    const { revision, plan, sent, at } = JSON.parse(text) as Partial<Draft>;
    const opened = openPlan(plan);
    return opened.ok && typeof revision === 'number' ? { revision, plan: opened.plan, sent: Array.isArray(sent) ? sent : [], at: at ?? '' } : null;
  } catch {
    // A draft that cannot be read is nobody's work: the saved revision stands.
    return null;
  }
}

/** The browser's durable storage, which may be full or shut off: then the tab's own has to do. */
export const durable = {
  read: (key: string): string | null => {
    try {
      return localStorage.getItem(key);
    } catch {
      return null;
    }
  },
  write: (key: string, text: string | null): void => {
    try {
      if (text === null) localStorage.removeItem(key);
      else localStorage.setItem(key, text);
    } catch {
      // Full or shut off: nothing more can be done here.
    }
  },
};
