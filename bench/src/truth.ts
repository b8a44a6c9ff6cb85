import { gapMap, gridOver, heightsOver, krige, stationsOf, type Grid } from '@maquette/core/flat';
import { outlineOf, rectangleWalls } from '@maquette/core/room';
import { normal, seeded } from '@maquette/core/units';
import { INVENTED_FLOORS, floorOf } from './floors.ts';

/** How near the surface through staff readings comes to the floor it was read from, by kind of floor and spacing. */
const RULE = { gapMm: 3, edgeMm: 2000 };
const NOISE_MM = 0.3;
const plan = { corners: outlineOf(rectangleWalls(8000, 5000)).corners, islands: [] };

/** Cells over the rule. */
function overOf(grid: Grid, heights: Float64Array): Uint8Array {
  const { gapMm, crownMm } = gapMap(grid, heights, { edgeMm: RULE.edgeMm });
  return Uint8Array.from(gapMm, (gap, cell) => (Math.max(gap, crownMm[cell]!) > RULE.gapMm ? 1 : 0));
}

const lines = ['floor | spacing m | readings | error mm (rms) | overlap of what is over the rule'];
for (const floor of INVENTED_FLOORS)
  for (const spacingMm of [400, 600, 1000]) {
    const { grid, heights } = floorOf(floor);
    const chance = seeded(17);
    const stations = stationsOf(plan, spacingMm, [], [], { xMm: 500, yMm: 0 });
    const surface = krige({
      x: Float64Array.from(stations, (s) => s.xMm),
      y: Float64Array.from(stations, (s) => s.yMm),
      z: Float64Array.from(stations, (s) => floor.heightMm(s.xMm / 1000, s.yMm / 1000) + NOISE_MM * normal(chance)),
    });
    const drawn = heightsOver(surface, gridOver(plan));
    let squares = 0;
    for (let cell = 0; cell < heights.length; cell++) squares += (drawn[cell]! - heights[cell]!) ** 2;
    const [truly, shown] = [overOf(grid, heights), overOf(grid, drawn)];
    let [both, either] = [0, 0];
    for (let cell = 0; cell < truly.length; cell++) {
      both += truly[cell]! & shown[cell]!;
      either += truly[cell]! | shown[cell]!;
    }
    lines.push(
      [
        floor.name,
        (spacingMm / 1000).toFixed(1),
        stations.length,
        Math.sqrt(squares / heights.length).toFixed(2),
        either === 0 ? 'neither is over' : (both / either).toFixed(2),
      ].join(' | '),
    );
  }
for (const line of lines) console.log(line);
