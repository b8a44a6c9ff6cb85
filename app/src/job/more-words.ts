import { centsWords } from '@maquette/core/bill/money-words';

/** A change of a sum, with its sign. */
export const moreWords = (cents: number, currency: string): string =>
  cents === 0 ? 'the same' : `${cents > 0 ? '+' : ''}${centsWords(cents, currency)}`;
