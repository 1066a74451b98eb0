import { dayOf } from '@/core/units/day';

/** The day it is where this program runs. */
export const localDay = (): string => dayOf(new Date());
