import { newId } from '../data/ids.ts';
import type { ShownRoom } from '../data/use-facts.ts';
import { write } from '../data/write.ts';

/** Answers of a room by topic: the newest counts. */
export function useAnswers(shown: ShownRoom) {
  const held = (topic: string) => shown.strip.answers.findLast((a) => a.topic === topic);
  return {
    value: (topic: string): string | null => held(topic)?.value ?? null,
    note: (topic: string): string => held(topic)?.note ?? '',
    set: (topic: string, value: string, words: string, note?: string) =>
      write(words, [
        {
          kind: 'answers',
          id: held(topic)?.id ?? newId(),
          roomId: shown.room!.id,
          body: { topic, value, note: note ?? held(topic)?.note ?? '' },
        },
      ]),
  };
}

export type Answers = ReturnType<typeof useAnswers>;
