import type { FlatState } from '../flat/index.ts';
import type { Change } from '../levelling/index.ts';
import { roomRunner, type AssessOptions } from './assess-room.ts';
import { keptWaysOut, neighbourGround } from './heights-part.ts';
import { heightsOf, type HeightsOfRoom } from './heights-of.ts';
import type { PartStates } from './room-part.ts';
import type { RoomSet } from './room-set.ts';

/** What levelling does: to each cell of the map, or one level that all of it is poured to once what stands over it is ground off, mm. */
export type LevelledBy = Pick<Change, 'fillMm' | 'grindMm'> | { levelMm: number };

function pouredTo(levelMm: number, state: FlatState | null): Pick<Change, 'fillMm' | 'grindMm'> | null {
  return (
    state && {
      fillMm: state.surfaceMm.map((z) => Math.max(0, levelMm - z)),
      grindMm: state.surfaceMm.map((z) => Math.max(0, z - levelMm)),
    }
  );
}

/** Heights of a room over the floor as some levelling leaves it; null: as it lies. */
export function heightsAfter(
  set: RoomSet,
  atUtc: string,
  levelled: LevelledBy | null,
  { runner = roomRunner() }: Pick<AssessOptions, 'runner'> = {},
): HeightsOfRoom {
  const { states } = runner.run(set, atUtc, { parts: ['outline', 'strip', 'surface'] });
  // Each part's state is what it says it makes.
  const of = <P extends 'outline' | 'strip' | 'surface'>(part: P) => states.get(part) as PartStates[P];
  const memo = new Map<string, unknown>();
  const ground = { plan: of('outline'), strip: of('strip'), state: of('surface').state };
  const change = levelled && 'levelMm' in levelled ? pouredTo(levelled.levelMm, ground.state) : levelled;
  return heightsOf(set, ground, change, neighbourGround(memo, atUtc), keptWaysOut(memo, set.room, ground.plan));
}
