import { dayOf } from '@/core/plan/day';

/** The day it is where this program runs. */
export const localDay = (): string => dayOf(new Date());
