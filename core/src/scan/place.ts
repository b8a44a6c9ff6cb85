import { boundsMm, contains, distanceToWallsMm, type Plan, type PointMm } from '../room/index.ts';
import { anchorOf } from './anchor.ts';
import { toPlan, type ScanPlace } from './facts.ts';
import type { FoundFloor, ScanFloor } from './floor-cells.ts';
import { scanHeights } from './sample.ts';

/** A height on the plan known from a staff, mm. */
export interface KnownHeight extends PointMm {
  heightMm: number;
}

/** Cells and wall marks looked at for one placing: enough to tell, few enough to try hundreds. */
const LOOKED_AT = 300;
/** A wall mark this near to a drawn wall is of it, mm. */
const WALL_REACH_MM = 90;
/** Placings whose fit is this near to the best are told apart by the staffs. */
const AS_GOOD = 0.9;
const STAFFS_TO_TELL = 6;

interface Footprint {
  floor: [number, number][];
  walls: [number, number][];
}

function every<T>(list: readonly T[], most: number): T[] {
  const step = Math.max(1, list.length / most);
  return Array.from({ length: Math.min(list.length, most) }, (_, i) => list[Math.floor(i * step)]!);
}

function footprintOf(found: FoundFloor): Footprint {
  const cells = Array.from(found.heightsTenthMm.keys()).filter((cell) => found.heightsTenthMm[cell] !== null);
  const walls = Array.from({ length: found.wallsMm.length / 2 }, (_, i): [number, number] => [
    found.wallsMm[2 * i]!,
    found.wallsMm[2 * i + 1]!,
  ]);
  return {
    floor: every(cells, LOOKED_AT).map((cell) => [
      found.x0Mm + (cell % found.nx) * found.cellMm,
      found.y0Mm + Math.floor(cell / found.nx) * found.cellMm,
    ]),
    walls: every(walls, LOOKED_AT),
  };
}

/** How well a placing fits the room: floor inside it, none outside, upright things along its walls. Larger is better. */
function fitOf(plan: Plan, found: ScanFloor, { floor, walls }: Footprint, place: ScanPlace): number {
  const put = toPlan(found, place);
  let inside = 0;
  for (const [x, y] of floor) if (contains(plan.corners, ...put(x, y))) inside++;
  let along = 0;
  for (const [x, y] of walls) {
    const [px, py] = put(x, y);
    along += Math.exp(-((distanceToWallsMm(plan.corners, px, py) / WALL_REACH_MM) ** 2));
  }
  const floorFit = floor.length === 0 ? 0 : (3 * inside) / floor.length - 2;
  return floorFit + (walls.length === 0 ? 0 : along / walls.length);
}

/** Turn of the smallest upright box about points, degrees from 0 to 90: the way a footprint lies. */
function lieOf(points: readonly [number, number][]): number {
  let best = { deg: 0, area: Infinity };
  const areaAt = (deg: number) => {
    const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
    const spread = (along: number[]) => {
      along.sort((p, q) => p - q);
      // A few stray cells, seen through a door, do not decide.
      return along[Math.floor(along.length * 0.985)]! - along[Math.floor(along.length * 0.015)]!;
    };
    return spread(points.map(([x, y]) => c * x + s * y)) * spread(points.map(([x, y]) => c * y - s * x));
  };
  const look = (deg: number) => {
    const area = areaAt(deg);
    if (area < best.area) best = { deg, area };
  };
  for (let deg = 0; deg < 90; deg += 1.5) look(deg);
  const rough = best.deg;
  for (let deg = rough - 1.5; deg <= rough + 1.5; deg += 0.25) look(deg);
  return best.deg;
}

const STEPS: readonly [stepMm: number, stepDeg: number][] = [
  [200, 2],
  [80, 1],
  [30, 0.4],
  [10, 0.15],
  [4, 0.05],
];

/** The placing near `place` that fits the room's walls best: each of shift and turn is moved while that helps, in finer and finer steps. */
export function snapScan(plan: Plan, found: FoundFloor, place: ScanPlace): ScanPlace {
  return snapped(plan, found, footprintOf(found), place).place;
}

function snapped(
  plan: Plan,
  found: ScanFloor,
  footprint: Footprint,
  from: ScanPlace,
): { place: ScanPlace; fit: number } {
  let place = from;
  let fit = fitOf(plan, found, footprint, place);
  for (const [mm, deg] of STEPS)
    for (let round = 0, better = true; better && round < 8; round++) {
      better = false;
      for (const [dx, dy, dt] of [
        [mm, 0, 0],
        [-mm, 0, 0],
        [0, mm, 0],
        [0, -mm, 0],
        [0, 0, deg],
        [0, 0, -deg],
      ] as const) {
        const next = { xMm: place.xMm + dx, yMm: place.yMm + dy, turnDeg: place.turnDeg + dt };
        const nextFit = fitOf(plan, found, footprint, next);
        if (nextFit <= fit + 1e-9) continue;
        place = next;
        fit = nextFit;
        better = true;
      }
    }
  return { place: { ...place, turnDeg: turned(place.turnDeg) }, fit };
}

/** An angle between -180 and 180 degrees. */
export function turned(deg: number): number {
  return ((((deg + 180) % 360) + 360) % 360) - 180;
}

/**
 * Where a scan most likely lies: its footprint turned the way the room lies, each of four ways, moved to fit the walls. A room
 * looks much the same turned half round: where several fit alike and there are staffs enough, the one they agree with is taken.
 * A proposal: the person who scanned confirms it.
 */
export function proposePlace(plan: Plan, found: FoundFloor, known: readonly KnownHeight[]): ScanPlace {
  const footprint = footprintOf(found);
  const { minX, minY, maxX, maxY } = boundsMm(plan.corners);
  const lie = lieOf(plan.corners.map(({ xMm, yMm }): [number, number] => [xMm, yMm])) - lieOf(footprint.floor);
  const tried = [0, 90, 180, 270].map((quarter) => {
    const turnDeg = turned(lie + quarter);
    const put = toPlan(found, { turnDeg, xMm: 0, yMm: 0 });
    const xs = footprint.floor.map(([x, y]) => put(x, y)[0]).sort((p, q) => p - q);
    const ys = footprint.floor.map(([x, y]) => put(x, y)[1]).sort((p, q) => p - q);
    const middle = (list: number[]) =>
      (list[Math.floor(list.length * 0.02)]! + list[Math.floor(list.length * 0.98)]!) / 2;
    return snapped(plan, found, footprint, {
      turnDeg,
      xMm: (minX + maxX) / 2 - middle(xs),
      yMm: (minY + maxY) / 2 - middle(ys),
    });
  });
  const best = Math.max(...tried.map(({ fit }) => fit));
  const alike = tried.filter(({ fit }) => fit >= best - (1 - AS_GOOD) * Math.abs(best));
  const left = (place: ScanPlace) => {
    const at = scanHeights({ ...found, ...place });
    const pairs = known.flatMap(({ xMm, yMm, heightMm }) => {
      const scanMm = at(xMm, yMm);
      return scanMm === null ? [] : [{ xMm, yMm, scanMm, rodMm: heightMm }];
    });
    const anchor = anchorOf(pairs);
    return pairs.length >= STAFFS_TO_TELL && anchor.holds ? anchor.rmsMm : Infinity;
  };
  const ranked = alike.map(({ place, fit }) => ({ place, fit, left: left(place) }));
  ranked.sort((p, q) => (Math.abs(p.left - q.left) > 0.2 ? p.left - q.left : q.fit - p.fit));
  return ranked[0]!.place;
}
