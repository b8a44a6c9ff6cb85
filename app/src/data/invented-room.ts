import { BLANK_SHAPE, rectangleWalls, type RoomFacts } from '@maquette/core/room';

/** A room for tests: a slab of 3 by 2.4 m with nothing entered but its walls. */
export const INVENTED_ROOM: RoomFacts = {
  id: 'room',
  jobId: 'job',
  name: 'Room',
  rank: 0,
  walls: rectangleWalls(3000, 2400),
  ...BLANK_SHAPE,
  baseKind: 'slab-on-ground',
  cardId: 'shipped-click-vinyl',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};
