import { question, text, type Question } from '@maquette/core/fields';
import { ASKED } from '@maquette/core/kinds';

function questionsIn(value: unknown): Question[] {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return [];
  if ('question' in value && 'takes' in value) return [value as Question];
  return Object.values(value).flatMap(questionsIn);
}

/** Under this an answer of an earlier version is kept whose question nobody asks any more; nothing is judged by it. */
export const NO_LONGER_ASKED = question('no-longer-asked', text(400));

/** Every question a part asks, by its name. */
export const QUESTIONS: ReadonlyMap<string, Question> = new Map(
  [NO_LONGER_ASKED, ...ASKED.flatMap(questionsIn)].map((asked) => [asked.question, asked]),
);
