import type { Check } from '../verdict/check';
import type { Evaluation } from './';
import type { Step } from '../replay/replay';

/** A list as it goes over a wire: of what is as it was, the number of its place in the list before. */
type Changed<T> = (T | number)[];

/** An answer, but for what the one before it said already. */
export interface Answer extends Omit<Evaluation, 'checks' | 'replay'> {
  checks: Changed<Check>;
  replay: { before: Evaluation['replay']['before'] | null; steps: Changed<Step> };
}

type Said = Pick<Evaluation, 'checks' | 'replay'>;

function changed<T extends object>(before: readonly T[], now: readonly T[]): Changed<T> {
  const places = new Map(before.map((one, i) => [one, i]));
  return now.map((one) => places.get(one) ?? one);
}

const whole = <T extends object>(before: readonly T[], sent: Changed<T>): T[] => sent.map((one) => (typeof one === 'number' ? before[one]! : one));

/** What has to be sent to whoever has the answer before; of that the same things are known by being the same. */
export function changesOf(before: Said | null, { checks, replay, ...rest }: Evaluation): Answer {
  return {
    ...rest,
    checks: changed(before?.checks ?? [], checks),
    replay: {
      before: before?.replay.before === replay.before ? null : replay.before,
      steps: changed(before?.replay.steps ?? [], replay.steps),
    },
  };
}

/** The whole answer again: every one that is sent is to be read, in their order, as each speaks of the one before it. */
export function answerOf(before: Said | null, { checks, replay, ...rest }: Answer): Evaluation {
  return {
    ...rest,
    checks: whole(before?.checks ?? [], checks),
    replay: { before: replay.before ?? before!.replay.before, steps: whole(before?.replay.steps ?? [], replay.steps) },
  };
}
