import type { FlatnessRule } from '../coverings/index.ts';
import { BLANK_SHAPE, planOf, rectangleWalls, UNKNOWN_BASE, type RoomFacts } from '../room/index.ts';
import { judgeFlat, stationsOf } from '../flat/index.ts';
import { factsAt } from '../flat/invented.ts';
import { levellingJob, type LevellingAsk } from './job.ts';

/** A rectangular room on a slab with nothing entered but its walls. */
export function inventedRoom(widthMm: number, depthMm: number, part: Partial<RoomFacts> = {}): RoomFacts {
  return {
    id: 'room',
    jobId: 'job',
    name: 'Store',
    rank: 0,
    walls: rectangleWalls(widthMm, depthMm),
    ...BLANK_SHAPE,
    base: { ...UNKNOWN_BASE, heating: 'none' },
    baseKind: 'slab-on-ground',
    cardId: 'card',
    units: 'metric',
    spacingMm: null,
    contactsOnly: false,
    ...part,
  };
}

/** Levelling of a room read at its proposed stations: formula in metres, mm out. */
export function inventedLevelling(
  room: RoomFacts,
  formula: (xM: number, yM: number) => number,
  { rules = [{ gapMm: 3, edgeMm: 2000 }], ...part }: Partial<LevellingAsk> & { rules?: FlatnessRule[] } = {},
) {
  const plan = planOf(room);
  const stations = stationsOf(plan, 600, [], [], { xMm: 0, yMm: 0 });
  const state = judgeFlat(plan, factsAt(stations, formula), rules, { contactsOnly: room.contactsOnly })!;
  const job = levellingJob({
    room,
    plan,
    state,
    figures: [],
    keepOff: [],
    gates: { grind: true, prime: true, fix: true },
    laidOver: room.baseKind,
    ...part,
  });
  return { plan, state, job };
}
