import {
  beyondToRead,
  placesAlong,
  placesAt,
  rimPlaces,
  wallAbout,
  type BaseAlong,
  type LevelOf,
  type LevelRead,
} from '../heights/index.ts';
import { fixturePoint, type Fixture, type Opening, type Plan, type PointMm, type RoomFacts } from '../room/index.ts';
import { insideWall } from './at-wall.ts';
import type { ThicknessAt } from './old-layers.ts';

/** A place at which a level is read, with what a tape stands on there. */
export interface HeightPlace {
  of: LevelOf;
  aboutId: string;
  alongMm: number;
  at: PointMm;
  /** Bare base the tape stands over, mean along its edge, mm over the datum; null where the floor is not read. */
  bareMm: number | null;
  /** What lies on it there today, by its recorded layers, mm. */
  lyingMm: number;
}

interface Floor {
  bareAt: (at: PointMm) => number | null;
}

const mean = (mm: readonly number[]): number | null =>
  mm.length === 0 ? null : mm.reduce((sum, one) => sum + one, 0) / mm.length;

/** Where a tape stands that reads a level: along an opening for what lies beyond, else at the place itself. */
function stoodAt(
  plan: Plan,
  room: RoomFacts,
  { of, aboutId, alongMm }: Pick<LevelRead, 'of' | 'aboutId' | 'alongMm'>,
): PointMm[] {
  const opening = room.openings.find(({ id }) => id === aboutId);
  if (opening) {
    const along = of === 'beyond' || of === 'sill' ? placesAlong(opening.widthMm) : [alongMm];
    return placesAt(plan.corners, opening, along).map(({ inside }) => inside);
  }
  const wall = room.walls.findIndex((_, k) => wallAbout(k) === aboutId);
  if (wall >= 0) return [insideWall(plan, wall, alongMm, room.walls[wall]!.lengthMm)];
  const fixture = room.fixtures.find(({ id }) => id === aboutId);
  if (!fixture) return [];
  return of === 'flange'
    ? rimPlaces(fixture)
    : [fixturePoint(fixture, alongMm - fixture.widthMm / 2, fixture.depthMm / 2)];
}

/** Bare base along the edge a level was taped at: what a level waits for that was taped before the floor was read. */
export const baseAlongOf =
  (plan: Plan, room: RoomFacts, { bareAt }: Floor): BaseAlong =>
  (read) =>
    stoodAt(plan, room, read).flatMap((at) => bareAt(at) ?? []);

/** Every place of a room at which a level may be read, in the order of its openings and what stands in it. */
export function heightPlaces(plan: Plan, room: RoomFacts, floor: Floor | null, lyingMm: ThicknessAt): HeightPlace[] {
  const place = (of: LevelOf, aboutId: string, alongMm: number, at: PointMm): HeightPlace => {
    const stood = stoodAt(plan, room, { of, aboutId, alongMm });
    return {
      of,
      aboutId,
      alongMm,
      at,
      bareMm: floor && mean(stood.flatMap((one) => floor.bareAt(one) ?? [])),
      lyingMm: mean(stood.map(lyingMm)) ?? 0,
    };
  };
  return [
    ...room.openings.flatMap((opening) => openingPlaces(plan, opening, place)),
    ...room.fixtures.flatMap((fixture) => fixturePlaces(fixture, place)),
    ...room.walls.flatMap(({ lengthMm }, wall) =>
      (['skirting', 'guard'] as const).map((of) =>
        place(of, wallAbout(wall), lengthMm / 2, insideWall(plan, wall, lengthMm / 2, lengthMm)),
      ),
    ),
  ];
}

type Place = (of: LevelOf, aboutId: string, alongMm: number, at: PointMm) => HeightPlace;

function openingPlaces({ corners }: Plan, opening: Opening, place: Place): HeightPlace[] {
  const { id, widthMm, hinge } = opening;
  const at = (of: LevelOf, along: readonly number[]) =>
    placesAt(corners, opening, along).map(({ alongMm, onWall }) => place(of, id, alongMm, onWall));
  return [
    ...at('beyond', beyondToRead(widthMm, [])),
    ...(opening.beyond === 'outside' ? at('sill', [widthMm / 2]) : []),
    ...at('groove', [0, widthMm]),
    ...(opening.kind === 'stair' ? at('guard', [widthMm / 2]) : []),
    ...(opening.kind === 'door' ? at('leaf', hinge === 'start' ? [0, widthMm] : [widthMm, 0]) : []),
  ];
}

function fixturePlaces(fixture: Fixture, place: Place): HeightPlace[] {
  const { id, kind, widthMm, depthMm } = fixture;
  if (kind === 'toilet') return [place('flange', id, 0, fixture)];
  if (kind === 'cabinet') return [place('worktop', id, widthMm / 2, fixturePoint(fixture, 0, depthMm / 2))];
  if (kind !== 'appliance') return [];
  return [0, widthMm / 2, widthMm].map((alongMm) =>
    place('underside', id, alongMm, fixturePoint(fixture, alongMm - widthMm / 2, depthMm / 2)),
  );
}
