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

/** What is known beside the room: what judged it before, and what levels the rooms it is joined to, by their ids. */
interface HeightsWith extends Pick<AssessOptions, 'runner'> {
  others?: ReadonlyMap<string, LevelledBy>;
}

/** Heights of a room over the floor as some levelling leaves it; null: as it lies. Rooms beyond lie as they are told to be levelled. */
export function heightsAfter(
  set: RoomSet,
  atUtc: string,
  levelled: LevelledBy | null,
  { runner = roomRunner(), others = new Map() }: HeightsWith = {},
): HeightsOfRoom {
  const { states } = runner.run(set, atUtc, { parts: ['outline', 'strip', 'surface'] });
  // Each part's state is what it says it makes.
  const of = <P extends 'outline' | 'strip' | 'surface'>(part: P) => states.get(part) as PartStates[P];
  const memo = new Map<string, unknown>();
  const ground = { plan: of('outline'), strip: of('strip'), state: of('surface').state };
  const groundOf = neighbourGround(memo, atUtc);
  const changed = (by: LevelledBy | null, state: FlatState | null) =>
    by && 'levelMm' in by ? pouredTo(by.levelMm, state) : by;
  return heightsOf(
    set,
    ground,
    changed(levelled, ground.state),
    groundOf,
    keptWaysOut(memo, set.room, ground.plan),
    (other) => changed(others.get(other.room.id) ?? null, groundOf(other).state),
  );
}
