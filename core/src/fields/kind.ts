import type { LoggedLine } from './logged.ts';
import { text, type Field, type Fields, type Held } from './field.ts';

/** Where facts of a kind are kept and read together: with the whole book, with their job, or with their room. */
export type Home = 'book' | 'job' | 'room';

/** One kind of fact, stated once. Its name is the name it is exported under. */
export interface Kind<F extends Fields = Fields, H extends Home = Home> {
  readonly kind: true;
  readonly home: H;
  /** What one of them is called where a person is asked about it. */
  readonly words: string;
  readonly fields: F;
  /** What a body written by an earlier version lacks. */
  readonly since: Readonly<Record<string, unknown>>;
  /** Of several about the same thing the newest counts: lists are given newest last. */
  readonly newestCounts: boolean;
  /** How a fact of this kind stands in the evidence log; absent: it is no evidence of its own. */
  readonly logged?: Logged<F>;
}

/** The word that marks a kind's lines in the log, and the line of a fact; null while there is nothing to tell of it. */
export interface Logged<F extends Fields = Fields> {
  as: string;
  // A method: whoever goes through all kinds hands each its own facts.
  line(fact: Held<F> & { id: string }): LoggedLine | null;
}

interface More<F extends Fields> {
  since?: Readonly<Record<string, unknown>>;
  newestCounts?: boolean;
  logged?: Logged<F>;
}

/** States a kind of fact. */
export function kind<const F extends Fields, const H extends Home>(
  home: H,
  words: string,
  fields: F,
  { since = {}, newestCounts = false, logged }: More<F> = {},
): Kind<F, H> {
  return { kind: true, home, words, fields, since, newestCounts, ...(logged ? { logged } : {}) };
}

/** The fields of a fact of a kind, without what storing adds. */
export type BodyOf<K extends Kind> = Held<K['fields']>;
/** A fact of a kind as the core reads it. */
export type FactOf<K extends Kind> = Held<K['fields']> & { id: string };

/** Something answered for a room; the question named says what its answer may be. */
export const answers = kind(
  'room',
  'Answer',
  {
    question: text(60),
    answer: { spec: { type: 'answer' }, orNull: false, mayLack: false } as Field<
      string | number | boolean | null | readonly number[]
    >,
    note: text(500),
  },
  { newestCounts: true },
);
