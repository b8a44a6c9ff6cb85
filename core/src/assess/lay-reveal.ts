import { pointOnWall, type Opening, type Polygon } from '../room/index.ts';

/** An inner wall is so thick, mm: what lies under a bar in its middle is planned with it. */
export const WALL_MM = 100;

/** The floor of an opening from its wall line out, its jambs moved in or out, and so far into the room that it joins the floor there. */
export function reveal(
  corners: Polygon,
  { wall, fromMm, widthMm }: Opening,
  { jambMm, inMm, outMm }: { jambMm: number; inMm: number; outMm: number },
): Polygon {
  const [a, b] = [fromMm + jambMm, fromMm + widthMm - jambMm].map((at) => pointOnWall(corners, wall, at)) as [
    Polygon[number],
    Polygon[number],
  ];
  const length = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm) || 1;
  // The room lies to the left of its walls.
  const [nx, ny] = [-(b.yMm - a.yMm) / length, (b.xMm - a.xMm) / length];
  const off = (p: Polygon[number], by: number) => ({ xMm: p.xMm + nx * by, yMm: p.yMm + ny * by });
  return [off(a, -outMm), off(b, -outMm), off(b, inMm), off(a, inMm)];
}
