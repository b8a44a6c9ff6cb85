import type { Quantity } from './quantity.ts';

/**
 * Something to be said: which sentence, and of what. The core never writes a sentence: the words package holds them and puts
 * quantities into the units of whoever reads.
 */
export interface Said {
  readonly code: string;
  readonly values: Values;
}

/** Several things said one after another. */
export interface Listed {
  readonly listed: readonly Sayable[];
  readonly by: string;
}

/** Something said within a sentence that would begin one by itself. */
export interface Lowered {
  readonly lowered: Sayable;
}

/** Names a user gave are text; whatever else is said has a code. */
export type Sayable = Said | string;
export type Value = number | Sayable | Quantity | Listed | Lowered;
export type Values = Readonly<Record<string, Value>>;

const NOTHING: Values = {};

/** A sentence, or a part of one, by its code, with the quantities, places and names that go into it. */
export const say = (code: string, values: Values = NOTHING): Said => ({ code, values });

/** Things said one after another, `by` between them. */
export const listed = (saids: readonly Sayable[], by = ', '): Listed => ({ listed: saids, by });

/** Something said within a sentence: its first letter small, but for names. */
export const lower = (said: Sayable): Lowered => ({ lowered: said });

/** Several things as one saying. */
export const allOf = (saids: readonly Sayable[], by = ', '): Said => say('said.asItIs', { what: listed(saids, by) });

/** A saying as it stands within a sentence. */
export const midSentence = (said: Sayable): Said => say('said.asItIs', { what: lower(said) });

/** A saying as a sentence of its own. */
export const sentence = (said: Sayable): Said => say('said.sentence', { what: said });
