import { AirLogWrite, AirReadingWrite, CheckWrite, DampReadingWrite, DampTestWrite, MarkWrite } from './damp-writes.ts';
import { EdgeWalkWrite, WorkWrite } from './level-writes.ts';
import { AnswerWrite, FigureWrite, LayerWrite, PhotoWrite, SampleWrite, TapWrite, TickWrite } from './strip-writes.ts';
import { ScanWrite } from './scan-writes.ts';
import { RoomWrite } from './room-write.ts';
import type { Write } from './write.ts';
import { CardWrite, JobWrite, ReadingWrite, SetupWrite, StationWrite } from './writes.ts';

/** Kinds of fact the server keeps, with the class that validates each write. */
export const FACT_CLASSES = {
  jobs: JobWrite,
  rooms: RoomWrite,
  cards: CardWrite,
  setups: SetupWrite,
  stations: StationWrite,
  readings: ReadingWrite,
  figures: FigureWrite,
  layers: LayerWrite,
  samples: SampleWrite,
  taps: TapWrite,
  answers: AnswerWrite,
  ticks: TickWrite,
  marks: MarkWrite,
  photos: PhotoWrite,
  airReadings: AirReadingWrite,
  airLogs: AirLogWrite,
  dampTests: DampTestWrite,
  dampReadings: DampReadingWrite,
  checks: CheckWrite,
  works: WorkWrite,
  edgeWalks: EdgeWalkWrite,
  scans: ScanWrite,
} as const;
export type FactKind = keyof typeof FACT_CLASSES;
export const FACT_KINDS = Object.keys(FACT_CLASSES) as FactKind[];
/** Kinds that live in a room and are written under its address. */
export const ROOM_FACT_KINDS = [
  'setups',
  'stations',
  'readings',
  'layers',
  'samples',
  'taps',
  'answers',
  'ticks',
  'marks',
  'photos',
  'airReadings',
  'airLogs',
  'dampTests',
  'dampReadings',
  'checks',
  'works',
  'edgeWalks',
  'scans',
] as const satisfies readonly FactKind[];
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

/** Kinds that belong to the whole book and are read together. */
export const BOOK_FACT_KINDS = ['jobs', 'rooms', 'cards', 'figures'] as const satisfies readonly FactKind[];
export type BookFactKind = (typeof BOOK_FACT_KINDS)[number];

export type Book = { [K in BookFactKind]: FactOf<K>[] };
export const EMPTY_BOOK: Book = { jobs: [], rooms: [], cards: [], figures: [] };

export type RoomFactsAnswer = { [K in RoomFactKind]: FactOf<K>[] };
export const EMPTY_ROOM: RoomFactsAnswer = {
  setups: [],
  stations: [],
  readings: [],
  layers: [],
  samples: [],
  taps: [],
  answers: [],
  ticks: [],
  marks: [],
  photos: [],
  airReadings: [],
  airLogs: [],
  dampTests: [],
  dampReadings: [],
  checks: [],
  works: [],
  edgeWalks: [],
  scans: [],
};

/** What a job has before anything but its name is entered. */
export const BLANK_JOB: Omit<BodyOf<'jobs'>, 'name' | 'rank'> = {
  about: '',
  country: null,
  currency: '',
  asbestosFrom: null,
  leadFrom: null,
};
