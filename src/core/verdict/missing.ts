/** Something that cannot be worked out because inputs are not known: the questions to ask, as a person would ask them. */
export class Missing {
  readonly questions: readonly string[];
  constructor(...questions: string[]) {
    this.questions = questions;
  }
}

export const isMissing = (value: unknown): value is Missing => value instanceof Missing;
