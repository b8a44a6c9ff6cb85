import { say, type Said } from '../said/index.ts';
import { figure, group, list, oneOf, ownId, refersTo, text, type Held } from '../fields/index.ts';
import { SHEET_MM, type PointMm } from './geometry.ts';
import { lineThrough, sideOf, type CutLine } from './cut.ts';
import { regionAreaM2, type Region } from './region.ts';

/** A line drawn through the room that divides it: layers or bases differ on its sides. It runs on to the walls. */
export const LINE = {
  id: ownId('lines'),
  name: text(40),
  axMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
  ayMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
  bxMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
  byMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
} as const;
export type DividingLine = Held<typeof LINE>;

/** One side of a dividing line, looking along it from its first point. */
export const SIDE = { lineId: refersTo('lines'), side: oneOf('left', 'right') } as const;
export type Side = Held<typeof SIDE>;
/** The sides of dividing lines something lies on. */
export const SIDES = list(group(SIDE), 'sides of lines', 8);

/** A place in the room: on all of these sides. An empty list is the whole room. */
export type Where = readonly Side[];

function cutLineOf(line: DividingLine): CutLine {
  return lineThrough(line.axMm, line.ayMm, line.bxMm, line.byMm);
}

/** The part of a region that lies at a place. A side of a line that is no longer there is passed over. */
export function regionAt(whole: Region, lines: readonly DividingLine[], where: Where): Region {
  return where.reduce<Region>((region, { lineId, side }) => {
    const line = lines.find((l) => l.id === lineId);
    // The left of a line is its high side: the normal points to the left.
    return line ? sideOf(region, cutLineOf(line), side === 'left' ? 'high' : 'low') : region;
  }, whole);
}

/** One of the areas the lines make of the room. */
export interface Area {
  where: Side[];
  region: Region;
}

/** All areas the dividing lines make of a region; those of less than a square decimetre are passed over. */
export function areasOf(whole: Region, lines: readonly DividingLine[]): Area[] {
  let areas: Area[] = [{ where: [], region: whole }];
  for (const line of lines) {
    areas = areas.flatMap(({ where, region }) =>
      (['left', 'right'] as const).flatMap((side) => {
        const part = sideOf(region, cutLineOf(line), side === 'left' ? 'high' : 'low');
        const cut: Area = { where: [...where, { lineId: line.id, side }], region: part };
        return regionAreaM2(part) > 0.01 ? [cut] : [];
      }),
    );
  }
  return areas;
}

/** Whether something with these points may lie at a place: not all of them lie beyond one of its lines. */
export function mayLieAt(points: readonly PointMm[], lines: readonly DividingLine[], where: Where): boolean {
  return where.every(({ lineId, side }) => {
    const line = lines.find((l) => l.id === lineId);
    if (!line) return true;
    const { a, b, c } = cutLineOf(line);
    return points.some(({ xMm, yMm }) => (side === 'left' ? a * xMm + b * yMm >= c : a * xMm + b * yMm <= c));
  });
}

/** Whether everything at `inner` also lies at `outer`: every side `outer` asks for is asked for by `inner`. */
export function liesWithin(inner: Where, outer: Where): boolean {
  return outer.every((o) => inner.some((i) => i.lineId === o.lineId && i.side === o.side));
}

/** Whether two places may overlap: no line has them on opposite sides. */
export function mayOverlap(a: Where, b: Where): boolean {
  return !a.some((p) => b.some((q) => q.lineId === p.lineId && q.side !== p.side));
}

/** Why a dividing line divides nothing, or null. */
export function lineProblem(line: DividingLine): Said | null {
  return Math.hypot(line.bxMm - line.axMm, line.byMm - line.ayMm) < 100
    ? say('room.aDividingLineNeedsTwoPoints')
    : null;
}
