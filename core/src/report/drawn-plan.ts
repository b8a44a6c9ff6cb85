import { pathOf, type Drawing, type PathMark, type TextMark } from '../paper/index.ts';
import { boundsMm, pointOnWall, type Plan, type RoomFacts } from '../room/index.ts';
import { reach, say } from '../said/index.ts';

/** Free space about a room on a drawing, mm on the floor. */
const MARGIN_MM = 250;
/** Lettering and lines of a drawing, for each millimetre of its longer side. */
const LETTER_SHARE = 0.032;

export type PlacePoint = (xMm: number, yMm: number) => readonly [number, number];

/** A room’s plan to draw on: where a point lies, how large letters are, and what is drawn of the walls. */
export interface PlanSheet {
  place: PlacePoint;
  letter: number;
  walls: (PathMark | TextMark)[];
  drawing: (marks: readonly (PathMark | TextMark)[]) => Drawing;
}

/** The outline of a room to draw within, y downwards; units are millimetres of the floor. */
export function planSheet(plan: Plan, room: RoomFacts): PlanSheet {
  const { minX, minY, maxX, maxY } = boundsMm(plan.corners);
  const width = maxX - minX + 2 * MARGIN_MM;
  const height = maxY - minY + 2 * MARGIN_MM;
  const letter = Math.max(width, height) * LETTER_SHARE;
  const place: PlacePoint = (x, y) => [x - minX + MARGIN_MM, maxY - y + MARGIN_MM];
  const outline = (points: readonly { xMm: number; yMm: number }[]): PathMark => ({
    path: pathOf(
      points.map(({ xMm, yMm }) => place(xMm, yMm)),
      true,
    ),
    stroke: 'ink',
    width: letter / 4,
  });
  const doors = room.openings.map((opening): PathMark => {
    const at = (alongMm: number) => pointOnWall(plan.corners, opening.wall, alongMm);
    const [a, b] = [at(opening.fromMm), at(opening.fromMm + opening.widthMm)];
    return { path: pathOf([place(a.xMm, a.yMm), place(b.xMm, b.yMm)]), stroke: 'rule', width: letter / 3 };
  });
  return {
    place,
    letter,
    walls: [...[plan.corners, ...plan.islands].map(outline), ...doors, ...scaleBar(width, height, letter)],
    drawing: (marks) => ({ width, height: height + letter * 1.4, marks }),
  };
}

/** A bar of one metre, with its length. */
function scaleBar(width: number, height: number, letter: number): (PathMark | TextMark)[] {
  const METRE_MM = 1000;
  const x = width - MARGIN_MM - METRE_MM;
  const y = height + letter * 0.2;
  return [
    {
      path: pathOf([
        [x, y],
        [x + METRE_MM, y],
      ]),
      stroke: 'ink',
      width: letter / 8,
    },
    {
      text: say('said.asItIs', { what: reach(METRE_MM) }),
      x,
      y: y + letter,
      size: letter * 0.8,
      ink: 'quiet',
      anchor: 'start',
    },
  ];
}
