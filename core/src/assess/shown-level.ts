import { type Said, type Sayable } from '../said/index.ts';
import { cellCentre, floorFlatness, leanOver, type FlatnessNumber, type Levelness } from '../flat/index.ts';
import type { RoomAssessment } from './assess-room.ts';
import { STOOD_ON } from '../levelling/index.ts';
import {
  contains,
  distanceToSegmentMm,
  fixtureOutline,
  FIXTURES,
  isTimber,
  openingName,
  pointOnWall,
  type PointMm,
  type RoomFacts,
} from '../room/index.ts';
import { placeWords } from '../verdict/index.ts';

/** How level a floor is: as a whole, at what asks for level, and its floor-flatness number on slabs. */
export interface ShownLevel extends Levelness {
  highestPlace: Said;
  lowestPlace: Said;
  /** Openings, trays and appliance bays with the lean and the range of the floor along or under them. */
  parts: { name: Sayable; reachMm: number; fallMmPerM: number; rangeMm: number }[];
  flatnessNumber: FlatnessNumber | null;
}

/** The floor this near to an opening or a fixture is what has to be level there, mm. */
const PART_REACH_MM = 300;

/** Levelness of a judged room with its places in words; null where nothing is read. */
export function shownLevel({ flat, plan }: RoomAssessment, room: RoomFacts): ShownLevel | null {
  if (!flat?.levelness) return null;
  const { judged, surfaceMm, levelness } = flat;
  const cells = (near: (x: number, y: number) => boolean) =>
    judged.inside.map((on, cell) => {
      const { xMm, yMm } = cellCentre(judged, cell);
      return on && near(xMm, yMm) ? 1 : 0;
    });
  const named = [
    ...room.openings.map((opening) => {
      const [a, b] = [opening.fromMm, opening.fromMm + opening.widthMm].map((along) =>
        pointOnWall(plan.corners, opening.wall, along),
      ) as [PointMm, PointMm];
      return {
        name: openingName(room, opening),
        part: cells((x, y) => distanceToSegmentMm(x, y, a, b) <= PART_REACH_MM),
      };
    }),
    ...room.fixtures
      .filter(({ kind }) => STOOD_ON.includes(kind))
      .map((fixture) => {
        const outline = fixtureOutline(fixture, PART_REACH_MM);
        return { name: FIXTURES[fixture.kind].words, part: cells((x, y) => contains(outline, x, y)) };
      }),
  ];
  return {
    ...levelness,
    highestPlace: placeWords(room, plan, levelness.highestAt),
    lowestPlace: placeWords(room, plan, levelness.lowestAt),
    parts: named.flatMap(({ name, part }) => {
      const lean = leanOver(judged, surfaceMm, part);
      return lean ? [{ name, reachMm: PART_REACH_MM, ...lean }] : [];
    }),
    flatnessNumber: isTimber(room.baseKind) ? null : floorFlatness(judged, surfaceMm),
  };
}
