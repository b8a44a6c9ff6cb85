import type { Opening } from '@maquette/core/room';
import type { FactOf } from './kinds.ts';
import type { RoomFactsOf } from './fact-lists.ts';

type Joined = Pick<FactOf<'rooms'>, 'id' | 'jobId' | 'openings'>;

const names = ({ openings }: Joined) =>
  (openings as Opening[]).flatMap(({ sharedId, id }) => (sharedId === null ? [] : [sharedId, id]));

/** Rooms of the same job that hang together with a room by the openings they share, however many rooms lie between. */
export function joinedRooms<R extends Joined>(room: Joined, rooms: readonly R[]): R[] {
  const found: R[] = [];
  const shared = new Set(names(room));
  const left = rooms.filter(({ id, jobId }) => jobId === room.jobId && id !== room.id);
  for (let grown = true; grown;) {
    grown = false;
    for (const other of left) {
      if (found.includes(other) || !names(other).some((name) => shared.has(name))) continue;
      found.push(other);
      names(other).forEach((name) => shared.add(name));
      grown = true;
    }
  }
  return found;
}

/** A joined room with its facts as they are on this device. */
export interface Near {
  room: FactOf<'rooms'>;
  lists: RoomFactsOf;
}

/** Kinds of fact that a floor and its heights are known by: of joined rooms nothing else bears on a room. */
export const HEIGHTS_BY = [
  'setups',
  'readings',
  'stations',
  'works',
  'edgeWalks',
  'scans',
  'marks',
  'layers',
  'ticks',
  'layerChoices',
  'answers',
  'samples',
  'taps',
  'levels',
  'buildUps',
  'partings',
  'poses',
  'rises',
  'setOuts',
  'leaves',
] as const;

/** Every write of joined rooms that bears on a room, in one line. */
export const nearWrites = (near: readonly Near[]): string =>
  near
    .flatMap(({ room, lists }) => [
      room.writeId,
      ...HEIGHTS_BY.flatMap((kind) => lists[kind].map((fact) => fact.writeId)),
    ])
    .join(' ');
