import { Type } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { nonNegative, positive, text } from './fields';

/** What a bearing or a support stands on, and what is known of its strength. */
export const footing = () =>
  Type.Union([
    closed({
      kind: Type.Literal('concrete'),
      intended: nullable(positive('Pa', 'intended compressive strength')),
      result: nullable(nonNegative('Pa', 'latest test result')),
      by: text('who gave the result'),
      on: text('when, as a date'),
      erection: Type.Optional(
        nullable(
          closed({
            strength: positive('Pa', 'enough for the loads of the erection, where that is less than the share of the intended strength'),
            by: text('the engineer who signed it'),
            on: text('when, as a date'),
          }),
        ),
      ),
    }),
    closed({ kind: Type.Literal('other'), what: text() }),
  ]);
