import loadHighs from 'highs';
import { highsModels } from '@maquette/core/levelling';
import {
  planFloor,
  planHerringbone,
  planMixed,
  plainWay,
  priceBound,
  rowStrips,
  staggerBound,
  type LaidPlank,
} from '@maquette/core/setout';
import { regionAreaM2, regionOf, together, without, type Region } from '@maquette/core/room';
import { boxAt, CLICK_1290, outline } from '../../core/src/setout/invented-floors.ts';

/*
 * Setting out by kinds of room: sizes as in the table of the definitions, outlines invented. Live is one round as while something is dragged, long the search behind it; seconds are
 * one thread's own time.
 */
const open = highsModels(await loadHighs());
const seconds = <T>(what: () => T): [T, number] => {
  const began = process.cpuUsage();
  const made = what();
  const { user, system } = process.cpuUsage(began);
  return [made, (user + system) / 1e6];
};

const obstacles = Array.from({ length: 15 }, (_, k) =>
  regionOf(boxAt(900 + (k % 5) * 2300, 700 + Math.floor(k / 5) * 2900, 300, 300)),
);
const ROOMS: [string, Region, LaidPlank][] = [
  ['rectangle', regionOf(boxAt(0, 0, 3980, 2980)), CLICK_1290],
  [
    'bay window',
    regionOf(
      outline([0, 0], [5400, 0], [5400, 3800], [4200, 3800], [3600, 4500], [1800, 4500], [1200, 3800], [0, 3800]),
    ),
    CLICK_1290,
  ],
  ['hard remainder', regionOf(boxAt(0, 0, 3880, 4120)), CLICK_1290],
  ['1380 x 240', regionOf(boxAt(0, 0, 4480, 4020)), { ...CLICK_1290, lengthMm: 1380, widthMm: 240 }],
  [
    'L, 15 obstacles',
    without(
      regionOf(outline([0, 0], [13_000, 0], [13_000, 6000], [8000, 6000], [8000, 10_000], [0, 10_000])),
      ...obstacles,
    ),
    CLICK_1290,
  ],
  [
    '5 rooms through',
    together([
      regionOf(boxAt(0, 0, 5000, 4000)),
      regionOf(boxAt(5120, 0, 4000, 4000)),
      regionOf(boxAt(0, 4120, 9120, 1500)),
      regionOf(boxAt(0, 5740, 4000, 3500)),
      regionOf(boxAt(4120, 5740, 3500, 3500)),
      regionOf(boxAt(2000, 3990, 900, 140)),
      regionOf(boxAt(6500, 3990, 900, 140)),
      regionOf(boxAt(1500, 5610, 900, 140)),
      regionOf(boxAt(5000, 5610, 900, 140)),
    ]),
    CLICK_1290,
  ],
  [
    'glued 1219 x 178',
    regionOf(boxAt(0, 0, 6000, 4500)),
    {
      ...CLICK_1290,
      lengthMm: 1219,
      widthMm: 178,
      ends: 'plain',
      leastEndMm: 200,
      staggerMm: 200,
      secondStaggerMm: 200,
    },
  ],
];
for (const [name, region, plank] of ROOMS) {
  const [live, liveS] = seconds(() => planFloor({ region, plank, firsts: 2, rounds: [6000] })!);
  const [long, longS] = seconds(() =>
    planFloor({
      region,
      plank,
      firsts: 12,
      rounds: [10_000, 20_000, 40_000, 80_000],
      boundOf: {
        longest: (strips, held) => priceBound(strips, plank, open, { over: 'longest', held }),
        all: (strips, held) => priceBound(strips, plank, open, { held }),
      },
      proveOf: (strips, held, enough) => staggerBound(strips, plank, open, { over: 'longest', held, enough }),
    })!,
  );
  const [one, both] = [false, true].map((isBoth) => plainWay(long.strips, plank, isBoth).planks);
  console.log(
    `${name}, ${regionAreaM2(region).toFixed(0)} m²: plain ${one}/${both}, live ${live.rows.planks} (${live.rows.breaches.length} breaches, ${liveS.toFixed(2)} s), long ${long.rows.planks} (${long.rows.breaches.length} breaches, ${longS.toFixed(1)} s), at least ${long.bound.longest} as cut, ${long.bound.rows} in any way, ${long.bound.area} by area; waste ${(100 * long.waste).toFixed(1)} %`,
  );
}
const floor = regionOf(boxAt(0, 0, 5000, 4000));
const [herringbone, staveS] = seconds(() => planHerringbone(floor, { lengthMm: 600, widthMm: 120, kerfMm: 3 }, 2000)!);
const { left, right } = herringbone.bought;
console.log(
  `herringbone 600 x 120, 20 m²: ${left.whole + left.cut + right.whole + right.cut} staves, waste ${(100 * herringbone.waste).toFixed(1)} %, ${((1000 * staveS) / 6).toFixed(0)} ms an offset`,
);
const mix = [2000, 1500, 1000, 700].map((lengthMm) => ({ lengthMm, inBox: 2 }));
const strips = rowStrips(regionOf(boxAt(0, 0, 6000, 5000)), 192, 150);
const plank = { ...CLICK_1290, lengthMm: 2000 };
const [mixed, mixedS] = seconds(() => planMixed({ strips, plank, mix, carried: 16, drawn: 30 })!);
const boughtM2 = mixed.cuts.planks.reduce((sum, { lengthMm }) => sum + (lengthMm * 192) / 1e6, 0);
console.log(
  `lengths as they come, 30 m²: ${mixed.boxes} boxes, at least ${mixed.leastBoxes}, waste ${(100 * (1 - 30 / boughtM2)).toFixed(1)} % with the rip along two walls, ${mixed.breaches.length} breaches, ${mixedS.toFixed(1)} s`,
);
