import { productNames } from '@maquette/core/planning';
import { inWords } from '@maquette/words';
import '@maquette/words/planning';
import type { NamesAsk } from './messages.ts';

/** Names of products as they are read, by the ids their packs are counted under. */
export function answerNames({ ids, cards, units }: NamesAsk): ReadonlyMap<string, string> {
  const nameOf = productNames(cards);
  return new Map(ids.map((id) => [id, inWords(nameOf(id), units)]));
}
