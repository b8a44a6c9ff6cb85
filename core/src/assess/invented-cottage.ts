import { SHIPPED_CARDS } from '../coverings/index.ts';
import { factsAt } from '../flat/invented.ts';
import { stationsOf } from '../flat/index.ts';
import type { LevelFact } from '../heights/index.ts';
import {
  BLANK_SHAPE,
  newOpening,
  planOf,
  rectangleWalls,
  UNKNOWN_BASE,
  type Opening,
  type RoomFacts,
} from '../room/index.ts';
import { roomSet, type RoomSet } from './room-set.ts';

/** Line of sight of the invented instrument over the datum, mm. */
export const SIGHT_MM = 1000;
export const READ_AT = '2026-05-04T10:00:00.000Z';

/** A room of 4 x 3 m with a door in W1, its floor read from a formula (metres in, mm out). */
export function readRoom(
  id: string,
  floor: (xM: number, yM: number) => number,
  {
    opening = {},
    room = {},
    facts = {},
    cardId = 'shipped-click-vinyl',
  }: {
    opening?: Partial<Opening>;
    room?: Partial<RoomFacts>;
    facts?: Partial<Omit<RoomSet, 'room' | 'card'>>;
    cardId?: string;
  } = {},
): RoomSet {
  const whole: RoomFacts = {
    id,
    jobId: 'j',
    name: id,
    rank: 0,
    ...BLANK_SHAPE,
    walls: rectangleWalls(4000, 3000),
    openings: [{ ...newOpening(`${id}-door`, 0, 1000, 800), ...opening }],
    baseKind: 'slab-on-ground',
    base: { ...UNKNOWN_BASE, heating: 'none' },
    cardId,
    units: 'metric',
    spacingMm: 600,
    contactsOnly: false,
    ...room,
  };
  const stations = stationsOf(planOf(whole), 600, [], [], { xMm: 500, yMm: 0 });
  const read = factsAt(stations, floor);
  const readings = read.readings.map((one) => ({ ...one, takenAt: READ_AT }));
  return roomSet(
    whole,
    SHIPPED_CARDS.find((card) => card.id === cardId)!,
    { ...read, readings, ...facts },
  );
}

let made = 0;
/** A level by staff over the datum of its room. */
export const staffLevel = (
  set: Pick<RoomSet, 'setups'>,
  of: LevelFact['of'],
  aboutId: string,
  alongMm: number,
  levelMm: number,
  takenAt = READ_AT,
): LevelFact => ({
  id: `level-${made++}`,
  of,
  aboutId,
  alongMm,
  readBy: 'staff',
  setupId: set.setups[0]!.id,
  rodMm: SIGHT_MM - levelMm,
  overMm: null,
  lyingMm: null,
  datumMm: null,
  takenAt,
  note: '',
});

/** A room with the floor beyond its door read at both ends, over its datum, mm. */
export const withLevels = (set: RoomSet, startMm: number, endMm = startMm): RoomSet => ({
  ...set,
  levels: [
    staffLevel(set, 'beyond', `${set.room.id}-door`, 0, startMm),
    staffLevel(set, 'beyond', `${set.room.id}-door`, 800, endMm),
  ],
});
