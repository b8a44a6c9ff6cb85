import type { FactOf, Kind } from '../fields/index.ts';
import { ASKED, STATED } from './stated.ts';

type Stated = typeof STATED;

/** Kinds of fact that live in a room, by the name they are stated under. */
type RoomKindName = { [K in keyof Stated]: Stated[K] extends { kind: true; home: 'room' } ? K : never }[keyof Stated];
type Of<K extends keyof Stated> = Stated[K] extends Kind ? FactOf<Stated[K]> : never;

/** The facts of a room as the core reads them: a list of each kind. */
export type RoomFactLists = { [K in RoomKindName]: Of<K>[] };

export { ASKED, STATED };
