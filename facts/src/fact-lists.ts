import type { Book, FactOf, RoomLists } from './kinds.ts';

/** Facts as they stand now, a list of each kind: nothing that was removed is among them. */
export type BookFacts = { readonly [K in keyof Book]: readonly FactOf<K>[] };
export type RoomFactsOf = { readonly [K in keyof RoomLists]: readonly FactOf<K>[] };
