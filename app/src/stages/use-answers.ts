import type { AnswerOf, Question } from '@maquette/core/fields';
import { answerTo } from '@maquette/core/fields';
import { newId } from '../data/ids.ts';
import type { ShownRoom } from '../data/use-facts.ts';
import { write } from '../data/write.ts';

/** Answers of a room by question: the newest counts. */
export function useAnswers(shown: ShownRoom) {
  return {
    to: <Q extends Question>(asked: Q): AnswerOf<Q> | null => answerTo(shown.plain.answers, asked),
    set: <Q extends Question>({ question }: Q, answer: AnswerOf<Q>, words: string) => {
      const held = shown.plain.answers.findLast((a) => a.question === question);
      return write(words, [
        {
          kind: 'answers',
          id: held?.id ?? newId(),
          roomId: shown.room!.id,
          body: { question, answer, note: held?.note ?? '' },
        },
      ]);
    },
  };
}

export type Answers = ReturnType<typeof useAnswers>;
