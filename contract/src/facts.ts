import { CardWrite, JobWrite, ReadingWrite, RoomWrite, SetupWrite, StationWrite, type Write } from './writes.ts';

/** Kinds of fact the server keeps, with the class that validates each write. */
export const FACT_CLASSES = {
  jobs: JobWrite,
  rooms: RoomWrite,
  cards: CardWrite,
  setups: SetupWrite,
  stations: StationWrite,
  readings: ReadingWrite,
} as const;
export type FactKind = keyof typeof FACT_CLASSES;
export const FACT_KINDS = Object.keys(FACT_CLASSES) as FactKind[];
/** Kinds that live in a room and are written under its address. */
export const ROOM_FACT_KINDS = ['setups', 'stations', 'readings'] as const satisfies readonly FactKind[];
export type RoomFactKind = (typeof ROOM_FACT_KINDS)[number];

export type WriteOf<K extends FactKind> = InstanceType<(typeof FACT_CLASSES)[K]>;
/** The fields of a fact without what a write adds. */
export type BodyOf<K extends FactKind> = Omit<WriteOf<K>, keyof Write>;

/** What the server adds to a fact it has stored. */
export interface Stored {
  id: string;
  version: number;
  writeId: string;
  updatedAt: string;
  deletedAt: string | null;
}
export type FactOf<K extends FactKind> = BodyOf<K> & Stored & (K extends RoomFactKind ? { roomId: string } : unknown);

/** Address of a fact. Facts of a room are found under it. */
export function factPath(kind: FactKind, id: string, roomId: string | null): string {
  return (ROOM_FACT_KINDS as readonly string[]).includes(kind)
    ? `/api/rooms/${roomId}/${kind}/${id}`
    : `/api/${kind}/${id}`;
}

export interface Book {
  jobs: FactOf<'jobs'>[];
  rooms: FactOf<'rooms'>[];
  cards: FactOf<'cards'>[];
}

export interface RoomFactsAnswer {
  setups: FactOf<'setups'>[];
  stations: FactOf<'stations'>[];
  readings: FactOf<'readings'>[];
}
