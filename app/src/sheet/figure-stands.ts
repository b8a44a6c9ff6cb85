import type { Station } from '@maquette/core/flat';
import type { PointMm } from '@maquette/core/room';

/** Figures beside a wall stand this much farther into the room, px. */
const ASIDE_PX = 9;

const STEPS = [-1, 0, 1];

/** Where a station's figure stands from its cross, px: over it, but clear of a wall that has no station beyond. */
interface Stand {
  dx: number;
  dy: number;
}

/** How each station's figure stands, told by which neighbours it has. Places in plan mm, north up. */
export function figureStands(
  stations: readonly Pick<Station, 'key' | 'xMm' | 'yMm'>[],
  spacingMm: number,
): Map<string, Stand> {
  const near = spacingMm * 1.3;
  const beside = (a: number, b: number) => Math.abs(a - b) < spacingMm / 2;
  // Ten thousand stations are not each held against every other: only those in the squares about them.
  const squares = new Map<string, PointMm[]>();
  const square = (mm: number, step = 0) => Math.floor(mm / near) + step;
  for (const { xMm, yMm } of stations) {
    const name = `${square(xMm)},${square(yMm)}`;
    const held = squares.get(name);
    if (held) held.push({ xMm, yMm });
    else squares.set(name, [{ xMm, yMm }]);
  }
  return new Map(
    stations.map(({ key, xMm, yMm }) => {
      const some = (is: (other: PointMm) => boolean) =>
        STEPS.some((i) => STEPS.some((j) => squares.get(`${square(xMm, i)},${square(yMm, j)}`)?.some(is) ?? false));
      const left = some((o) => beside(o.yMm, yMm) && o.xMm < xMm && o.xMm > xMm - near);
      const right = some((o) => beside(o.yMm, yMm) && o.xMm > xMm && o.xMm < xMm + near);
      const beyond = some((o) => beside(o.xMm, xMm) && o.yMm > yMm && o.yMm < yMm + near);
      return [key, { dx: (left ? 0 : ASIDE_PX) - (right ? 0 : ASIDE_PX), dy: beyond ? -6 : 15 }];
    }),
  );
}
