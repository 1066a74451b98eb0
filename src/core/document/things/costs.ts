import { Type, type Static } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { PLAIN_TEXT } from '../../calc/schema';
import { nonNegative, positive } from './fields';

const money = (description: string) => nullable(nonNegative('1', description, { maximum: 1e9 }));

/** What hired gear costs. */
export const hireSchema = () => nullable(closed({ day: money('for one day'), bring: money('to bring it and take it away, once') }));

/** What the ways of lifting are priced with. Nobody has to say any of it: a lift without a price is as safe. */
export const costsSchema = closed({
  currency: Type.String({ maxLength: 8, pattern: PLAIN_TEXT }),
  person: money('one person for one hour'),
  shift: nullable(positive('h', 'hours of a shift', { maximum: 24 })),
  mastLift: hireSchema(),
  hoist: hireSchema(),
  jack: hireSchema(),
});

export type Costs = Static<typeof costsSchema>;
export type Hire = NonNullable<Costs['hoist']>;

export const noCosts = (): Costs => ({ currency: '', person: null, shift: null, mastLift: null, hoist: null, jack: null });
