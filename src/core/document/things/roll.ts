import { closed, nullable } from '../../calc/fields';
import { positive, text } from './fields';

/** How a piece that lies on its side is rolled upright by one hook before it is lifted. */
export const rollSchema = closed({
  by: text('who leads it'),
  holdBack: text('what holds it back once it is over centre'),
  edgeCarries: nullable(positive('N', 'what the timber under the edge it rolls on may take, all of it')),
});
export const newRoll = () => ({ by: '', holdBack: '', edgeCarries: null });
