import type { BodyOf as BodyOfKind, Home, Kind } from '@maquette/core/fields';
import { STATED } from '@maquette/core/kinds';
import type { Made, Place } from './made.ts';

type Stated = typeof STATED;
type KindName = { [K in keyof Stated]: Stated[K] extends Kind ? K : never }[keyof Stated];

/** Name of a kind of fact: the name it is stated under. */
export type FactKind = KindName;

const isKind = (value: unknown): value is Kind =>
  typeof value === 'object' && value !== null && (value as { kind?: unknown }).kind === true;

/** Names of the kinds a fact of this one refers to as its parents. */
export const parentsOf = ({ fields }: Kind): { field: string; of: string }[] =>
  Object.entries(fields).flatMap(([field, { spec }]) =>
    spec.type === 'id' && spec.refers === 'parent' ? [{ field, of: spec.of }] : [],
  );

/** Every kind by its name, parents before what belongs to them: in this order each may be stored. */
function inOrder(): { [K in FactKind]: Stated[K] } {
  const all: [string, unknown][] = Object.entries(STATED);
  const stated = all.filter((entry): entry is [string, Kind] => isKind(entry[1]));
  const byName = new Map(stated);
  const placed: [string, Kind][] = [];
  const place = ([name, kind]: [string, Kind]): void => {
    if (placed.some(([other]) => other === name)) return;
    for (const { of } of parentsOf(kind)) place([of, byName.get(of)!]);
    placed.push([name, kind]);
  };
  const homes: Home[] = ['book', 'job', 'room'];
  for (const home of homes) stated.filter(([, kind]) => kind.home === home).forEach(place);
  return Object.fromEntries(placed) as { [K in FactKind]: Stated[K] };
}

/** Every kind of fact. */
export const KINDS = inOrder();
export const FACT_KINDS = Object.keys(KINDS) as FactKind[];

type AtHome<H extends Home> = { [K in FactKind]: Stated[K] extends { kind: true; home: H } ? K : never }[FactKind];
/** Kinds that live in a room, and are written under its address. */
export type RoomFactKind = AtHome<'room'>;
/** Kinds that belong to the whole book and are read together. */
export type BookFactKind = AtHome<'book'> | AtHome<'job'>;

export const isFactKind = (name: unknown): name is FactKind => typeof name === 'string' && Object.hasOwn(KINDS, name);
export const isRoomKind = (kind: FactKind): kind is RoomFactKind => KINDS[kind].home === 'room';
export const isBookKind = (kind: FactKind): kind is BookFactKind => !isRoomKind(kind);
export const ROOM_FACT_KINDS: readonly RoomFactKind[] = FACT_KINDS.filter(isRoomKind);
export const BOOK_FACT_KINDS: readonly BookFactKind[] = FACT_KINDS.filter(isBookKind);

/** The fields of a fact without what a write or the store adds. */
export type BodyOf<K extends FactKind> = K extends FactKind ? BodyOfKind<Stated[K]> : never;

/** What the server adds to a fact it has stored. */
export interface Stored {
  id: string;
  version: number;
  writeId: string;
  updatedAt: string;
  deletedAt: string | null;
  /** The server's count of the write that made it what it is; what came from an earlier version has 0. */
  order: number;
  /** Who made that write, on which device, and when by that device's clock; null where it was not said. */
  made: Made | null;
  /** Where its first write stands; null while it is its only one. */
  first: Place | null;
}
/** Where the first write of a fact stands, whatever it has become since. */
export const firstPlaceOf = ({ first, order, made }: Pick<Stored, 'first' | 'order' | 'made'>): Place =>
  first ?? lastPlaceOf({ order, made });

/** Where the write stands that made a fact what it is. */
export const lastPlaceOf = ({ order, made }: Pick<Stored, 'order' | 'made'>): Place => ({
  order,
  device: made?.device ?? null,
  sequence: made?.sequence ?? 0,
});

/** What a write says besides the body: the version it was made on, its own id, whether it removes the fact, and who makes it. */
export interface Write {
  baseVersion: number;
  writeId: string;
  deleted: boolean;
  made?: Made;
}
export type WriteOf<K extends FactKind> = BodyOf<K> & Write;
export type FactOf<K extends FactKind> = K extends FactKind
  ? BodyOf<K> & Stored & (K extends RoomFactKind ? { roomId: string } : unknown)
  : never;

/** Facts of some kinds, each in a list of its own. */
export type FactLists<K extends FactKind> = { [Name in K]: FactOf<Name>[] };
export type Book = FactLists<BookFactKind>;
export type RoomLists = FactLists<RoomFactKind>;

/** One list for each of some kinds. */
export function listsOf<K extends FactKind, T>(kinds: readonly K[], list: (kind: K) => T): { [Name in K]: T } {
  return Object.fromEntries(kinds.map((kind) => [kind, list(kind)])) as { [Name in K]: T };
}

export const emptyBook = (): Book => listsOf(BOOK_FACT_KINDS, () => []);
export const emptyRoom = (): RoomLists => listsOf(ROOM_FACT_KINDS, () => []);

/** Address of a fact. Facts of a room are found under it. */
export function factPath(kind: FactKind, id: string, roomId: string | null): string {
  return isRoomKind(kind) ? `/api/rooms/${roomId}/${kind}/${id}` : `/api/${kind}/${id}`;
}

type Own = keyof Stored | 'roomId' | 'waiting';
const OWN: ReadonlySet<string> = new Set<Own>([
  'id',
  'version',
  'writeId',
  'updatedAt',
  'deletedAt',
  'order',
  'made',
  'first',
  'roomId',
  'waiting',
]);

/** The fields a person entered, without what storing added. */
export function bodyOf<T extends object>(fact: T): Omit<T, Own> {
  return Object.fromEntries(Object.entries(fact).filter(([key]) => !OWN.has(key))) as Omit<T, Own>;
}
