import type { Field, HeldBy } from './field.ts';

/** What an answer may be. */
export type AnswerValue = string | number | boolean | null | readonly number[];

/** Something asked once for a room, with what its answer may be. */
export interface Question<T extends AnswerValue = AnswerValue> {
  readonly question: string;
  readonly takes: Field<T>;
}

/** Something answered for a room: which question, and the answer as that question takes it. */
export interface Answer {
  id: string;
  question: string;
  answer: AnswerValue;
  note: string;
}

/** A question under a name of its own; a part states those it asks. */
export const question = <T extends AnswerValue>(name: string, takes: Field<T>): Question<T> => ({
  question: name,
  takes,
});

/** The newest answer to a question, or null. Answers are given newest last. */
export function answerTo<Q extends Question>(answers: readonly Answer[], { question: name }: Q): AnswerOf<Q> | null {
  // What is stored passed the question's own field.
  return (answers.findLast((a) => a.question === name)?.answer ?? null) as AnswerOf<Q> | null;
}

export type AnswerOf<Q extends Question> = HeldBy<Q['takes']>;
