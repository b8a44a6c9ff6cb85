import { combined, levelsBeyond, placesAt, type BeyondLevel, type LevelFact } from '../heights/index.ts';
import type { Change } from '../levelling/index.ts';
import type { Opening } from '../room/index.ts';
import { baseAlongOf } from './height-places.ts';
import type { HeightGround } from './height-ground.ts';
import type { JoinedOpening } from './joined-openings.ts';
import { addsOf, newFloor, type NewFloor } from './new-floor.ts';
import { oldFloorAt } from './old-layers.ts';
import type { RoomSet } from './room-set.ts';
import { sightOf } from './sight.ts';

/** What the levelling of another room does to its floor; null where it is taken as it lies. */
export type LevelledOther = (other: RoomSet) => Pick<Change, 'fillMm' | 'grindMm'> | null;

/** Levels beyond an opening, and whether they come from readings on its other side alone. */
export interface Beyond {
  levels: BeyondLevel[];
  readThere: boolean;
}

interface Side {
  set: RoomSet;
  ground: HeightGround;
  floor: NewFloor | null;
}

const isBeyond = ({ of, aboutId }: LevelFact, openingId: string) => of === 'beyond' && aboutId === openingId;

/**
 * Levels beyond the openings that lead into rooms of the job: what was read there is the surface of that room, so what it lays goes on
 * top and what of its old floor goes comes off. Where only the other side was read the step is the other room's, seen from here.
 */
export function beyondOf(
  here: Side,
  joined: readonly JoinedOpening[],
  groundOf: (other: RoomSet) => HeightGround,
  levelledBy: LevelledOther = () => null,
): Map<string, Beyond> {
  return new Map(
    joined.flatMap((one): [string, Beyond][] => {
      const { opening, other, far } = one;
      const isOwn = here.set.levels.some((level) => isBeyond(level, opening.id));
      if (!isOwn && !other.levels.some((level) => isBeyond(level, far.id))) return [];
      const ground = groundOf(other);
      const there: Side = {
        set: other,
        ground,
        floor: ground.state && newFloor(other, ground.strip, ground.state, levelledBy(other)),
      };
      if (isOwn) {
        const addsMm = addsOf(other);
        const levels = surfaceRead(here, opening, { set: other, ground, side: far });
        // What levels that room lifts or lowers what was read of it, and what it lays goes on top.
        const made = levels.map((level) => ({
          ...level,
          levelMm: level.levelMm + levelledAt(there, far, Math.max(0, far.widthMm - level.alongMm)),
          addsMm,
        }));
        return [[opening.id, { levels: made, readThere: false }]];
      }
      // Where one of the two floors is not read there yet nothing follows from it here, and nothing more has to be read beyond.
      return [[opening.id, { levels: seenFrom(here, opening, there, far), readThere: true }]];
    }),
  );
}

/** How much the levelling of a room lifts its floor at an opening, mm: below nothing where it is ground. */
function levelledAt({ ground, floor }: Side, opening: Opening, alongMm: number): number {
  if (!floor) return 0;
  const { inside } = placesAt(ground.plan.corners, opening, [alongMm])[0]!;
  const [bare, made] = [floor.bareAt(inside), floor.levelledBareAt(inside)];
  return bare === null || made === null ? 0 : made - bare;
}

/** The surface that stays beyond an opening, over the datum of the room it was read from: what still lay on it then taken off. */
function surfaceRead(
  { set, ground, floor }: Side,
  opening: Opening,
  beyond: { set: RoomSet; ground: HeightGround; side: Opening },
): BeyondLevel[] {
  const middle = placesAt(beyond.ground.plan.corners, beyond.side, [beyond.side.widthMm / 2])[0]!.inside;
  // Each reading stood on what lay there at its time: one taken over a carpet and one taken once that was up meet on the base.
  const onBase = set.levels
    .filter((level) => isBeyond(level, opening.id))
    .map((level) => lowered(level, oldFloorAt(beyond.set, beyond.ground.strip.plan, level.takenAt).lowerMm(middle)));
  return levelsBeyond(
    onBase,
    opening.id,
    sightOf(ground.state),
    floor ? baseAlongOf(ground.plan, set.room, floor) : () => [],
  );
}

/** A level as it would have been read so much lower, mm: a longer rod, a smaller figure. */
const lowered = (level: LevelFact, byMm: number): LevelFact => ({
  ...level,
  rodMm: level.rodMm === null ? null : level.rodMm + byMm,
  overMm: level.overMm === null ? null : level.overMm - byMm,
  datumMm: level.datumMm === null ? null : level.datumMm - byMm,
});

/** Levels beyond an opening as readings from its other side make them, over the datum of this side. */
function seenFrom(here: Side, opening: Opening, there: Side, far: Opening): BeyondLevel[] {
  if (!here.floor || !there.floor) return [];
  const theirAdds = addsOf(there.set);
  // Floors as they lie, with what is laid on them: levelling one side moves nothing on the other.
  const surface = (side: Side, of: Opening, alongMm: number) =>
    side.floor!.surfaceAt(placesAt(side.ground.plan.corners, of, [alongMm])[0]!.inside);
  return surfaceRead(there, far, { set: here.set, ground: here.ground, side: opening }).flatMap(
    (level): BeyondLevel[] => {
      const alongMm = Math.max(0, opening.widthMm - level.alongMm);
      const [mine, theirs] = [surface(here, opening, alongMm), surface(there, far, level.alongMm)];
      if (mine === null || theirs === null) return [];
      // Of this side's own build-up nothing is left: it was added to what was read, and stands on the floor it is held against.
      const made = levelledAt(there, far, level.alongMm);
      const at = (age: 'new' | 'used') => mine - level.levelMm + theirs + made + theirAdds[age];
      return [
        {
          ...level,
          alongMm,
          levelMm: at('new'),
          addsMm: { new: 0, used: at('used') - at('new') },
          offMm: combined(level.offMm, there.floor!.offMm),
        },
      ];
    },
  );
}
