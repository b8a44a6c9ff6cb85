import { figuresOf } from '../figures/index.ts';
import { gridOver, heightsFrom } from '../flat/invented.ts';
import { certify, chalkPoints, patchesOf, pourPlan, SHIPPED_COMPOUNDS } from '../levelling/index.ts';
import { inventedRoom } from '../levelling/invented-job.ts';
import { planOf } from '../room/index.ts';
import type { LevelSheet } from './level-sheet.ts';

const room = inventedRoom(3000, 2000);
const plan = planOf(room);
const grid = gridOver(plan, 50);
const dip = (x: number, y: number) => Math.max(0, 3 - 12 * ((x - 1.2) ** 2 + (y - 0.9) ** 2));
/** A dip to fill in a store of three by two metres. */
export const fills = patchesOf(grid, heightsFrom(grid, dip));
/** Everything a file of it may hold. */
export const sheet: LevelSheet = {
  title: 'Store <north> & hall',
  plan,
  map: {
    stepMm: 1,
    highs: [
      {
        levelMm: 1,
        rings: [
          [
            [500, 500],
            [900, 500],
            [900, 800],
            [500, 500],
          ],
        ],
      },
    ],
    lows: [
      {
        levelMm: -1,
        rings: [
          [
            [1500, 500],
            [1900, 500],
            [1900, 800],
          ],
        ],
      },
    ],
    zero: [],
    judged: [],
  },
  fills,
  grinding: fills.map((area) => ({ ...area, label: 'G1' })),
  bays: pourPlan(
    room,
    plan,
    grid,
    heightsFrom(grid, () => 5),
    SHIPPED_COMPOUNDS[1]!,
    figuresOf([]),
  ).bays,
  chalk: chalkPoints(room, plan, fills, { xMm: 0, yMm: 0 }),
  certificates: [
    certify(
      grid,
      heightsFrom(grid, () => 0),
      { gapMm: 3, edgeMm: 2000 },
    ),
  ],
};
