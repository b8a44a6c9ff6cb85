import { ASSUMPTIONS, BLANK_SHAPE, newOpening, type Start, type Wall } from '@maquette/core/room';
import { SHIPPED_CARDS } from '@maquette/core/coverings';
import type { UnitSystem } from '@maquette/core/units';
import { newId } from '../data/ids.ts';

/** A shorter wall holds no door, mm. */
const DOOR_WALL_MM = 400;

interface Asked {
  jobId: string;
  name: string;
  rank: number;
  walls: Wall[];
  start?: Start;
  units: UnitSystem;
}

/** A room of which the walls are known and nothing else: a door stands in the first wall that holds one, until somebody says where. */
export function newRoomBody({ jobId, name, rank, walls, start, units }: Asked) {
  const wall = walls.findIndex(({ lengthMm }) => lengthMm >= DOOR_WALL_MM);
  const lengthMm = walls[wall]?.lengthMm ?? 0;
  const doorMm = Math.min(800, Math.max(300, lengthMm - 200));
  return {
    jobId,
    name,
    rank,
    walls,
    ...BLANK_SHAPE,
    ...(start ? { start } : {}),
    // Until somebody says so, none of it is known.
    assumed: [...ASSUMPTIONS],
    openings: wall >= 0 ? [newOpening(newId(), wall, Math.min(100, lengthMm - doorMm), doorMm)] : [],
    baseKind: 'slab-on-ground' as const,
    cardId: SHIPPED_CARDS[0]!.id,
    units,
    spacingMm: null,
    contactsOnly: false,
  };
}
