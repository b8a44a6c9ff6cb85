import { cellCentre, gridOver, stationsBesides, type Station } from '@maquette/core/flat';
import { boundsMm, type Plan } from '@maquette/core/room';
import { toPlan, type ScanFloor } from '@maquette/core/scan';
import { normal, roundTo, seeded } from '@maquette/core/units';
import type { DemoRoom } from './demo-room.ts';
import type { Put } from './put.ts';

const SEED = 311;
const CELL_MM = 50;
/** A scanner keeps off the walls: what stands there is mostly wall. mm */
const WALL_MM = 40;

type Chest = NonNullable<DemoRoom['scan']>['chest'];

const under = (chest: Chest, xMm: number, yMm: number) =>
  Math.abs(xMm - chest.xMm) <= chest.sideMm / 2 && Math.abs(yMm - chest.yMm) <= chest.sideMm / 2;

/** The stations that hold a scan, and those where the chest hid the floor: the walk goes only to these. */
export function stationsToRead(plan: Plan, stations: readonly Station[], chest: Chest): Station[] {
  const grid = gridOver(plan);
  const seen = grid.inside.map((on, cell) => {
    const { xMm, yMm } = cellCentre(grid, cell);
    return on && !under(chest, xMm, yMm) ? 1 : 0;
  });
  return stationsBesides(stations, grid, seen, []);
}

/** A floor as a phone would have scanned it: in a frame of its own, drifting and noisy, blind under the chest. */
export async function seedScan(
  put: Put,
  id: string,
  room: DemoRoom,
  plan: Plan,
  heightAt: (xMm: number, yMm: number) => number,
  takenAt: string,
): Promise<void> {
  if (!room.scan) return;
  const { noiseMm, driftMm, turnDeg, chest } = room.scan;
  const chance = seeded(SEED);
  const { minX, minY, maxX, maxY } = boundsMm(plan.corners);
  const reach = Math.ceil(Math.hypot(maxX - minX, maxY - minY) / CELL_MM) + 1;
  const frame: ScanFloor = {
    cellMm: CELL_MM,
    nx: reach,
    ny: reach,
    x0Mm: -1200,
    y0Mm: 340,
    heightsTenthMm: [],
    noiseMm,
  };
  const place = { turnDeg, xMm: (minX + maxX) / 2, yMm: (minY + maxY) / 2 };
  const onPlan = toPlan(frame, place);
  const free = (x: number, y: number) =>
    x > minX + WALL_MM && x < maxX - WALL_MM && y > minY + WALL_MM && y < maxY - WALL_MM && !under(chest, x, y);
  let points = 0;
  const heightsTenthMm = Array.from({ length: reach * reach }, (_, cell) => {
    const [x, y] = onPlan(frame.x0Mm + (cell % reach) * CELL_MM, frame.y0Mm + Math.floor(cell / reach) * CELL_MM);
    if (!free(x, y)) return null;
    points += 24;
    const drift = driftMm * ((x - minX) / (maxX - minX) - 0.5);
    return Math.round((heightAt(x, y) + drift + noiseMm * normal(chance)) * 10);
  });
  await put('scans', `${id}-scan-1`, id, {
    fileName: `${room.slug}.ply`,
    points,
    takenAt,
    ...frame,
    heightsTenthMm,
    noiseMm: roundTo(noiseMm, 0.001),
    ...place,
    note: '',
  });
}
