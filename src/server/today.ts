import { dayOf } from '@/core/document/day';

/** The day it is where this program runs. */
export const localDay = (): string => dayOf(new Date());
