import { seeded } from '@maquette/core/units';
import {
  fixtureOutline,
  floorOf,
  inRegion,
  newFixture,
  outlineOf,
  planOf,
  regionAreaM2,
  regionOf,
  lineThrough,
  without,
  type Fixture,
  type FixtureKind,
} from '@maquette/core/room';
import { cutIntoPieces, plainGrid, type Guides, type PieceLimits } from '@maquette/core/stripout';

/** Twelve fixtures of the kinds a kitchen or a shop has. */
const KINDS: FixtureKind[] = [
  'register',
  'pipe',
  'cabinet',
  'column',
  'pipe',
  'register',
  'pipe',
  'cabinet',
  'pipe',
  'hearth',
  'toilet',
  'pipe',
];
const ROOMS = 12;
const WAYS: [string, PieceLimits][] = [
  ['squares of 1.2 m, 7 kg/m2', { longMm: 1200, shortMm: 1200, massKg: 25, kgPerM2: 7 }],
  ['strips of 1 by 3 m, 3 kg/m2', { longMm: 3000, shortMm: 1000, massKg: 25, kgPerM2: 3 }],
  ['broken pieces, 100 kg/m2', { longMm: 1200, shortMm: 1200, massKg: 25, kgPerM2: 100 }],
];

/** An L of about 40 m2 with twelve fixtures and two known seams. */
function room(seed: number) {
  const chance = seeded(seed + 1);
  const between = (a: number, b: number) => Math.round(a + chance() * (b - a));
  const [w, d, notchW, notchD] = [between(6800, 8200), between(5800, 6600), between(1500, 3500), between(1200, 2600)];
  const walls = [
    { lengthMm: w, turnDeg: 90 },
    { lengthMm: d - notchD, turnDeg: 90 },
    { lengthMm: notchW, turnDeg: -90 },
    { lengthMm: notchD, turnDeg: 90 },
    { lengthMm: w - notchW, turnDeg: 90 },
    { lengthMm: d, turnDeg: 90 },
  ];
  const outline = regionOf(outlineOf(walls).corners);
  const fixtures: Fixture[] = [];
  for (const [i, kind] of KINDS.entries()) {
    for (let k = 0; k < 50; k++) {
      const at = { xMm: between(0, w), yMm: between(0, d) };
      if (!inRegion(outline, at.xMm, at.yMm)) continue;
      fixtures.push(newFixture(`f${i}`, kind, at, between(0, 3) * 90));
      break;
    }
  }
  const holes = fixtures
    .filter((f) => ['register', 'pipe', 'toilet'].includes(f.kind))
    .map((f) => regionOf(fixtureOutline(f, 15)));
  const region = without(floorOf(planOf({ walls, fixtures })), ...holes);
  const standing = fixtures.filter((f) => !['register', 'toilet'].includes(f.kind)).map((f) => [f.xMm, f.yMm] as const);
  return { region, standing, seams: [lineThrough(0, 1220, 1000, 1220), lineThrough(0, 2440, 1000, 2440)] };
}

const rooms = Array.from({ length: ROOMS }, (_, i) => room(i + 7));
for (const [words, limits] of WAYS) {
  for (const seamed of [false, true]) {
    let [saw, grid, pieces, gridPieces, worst] = [0, 0, 0, 0, 0];
    const times: number[] = [];
    for (const { region, standing, seams } of rooms) {
      const guides: Guides = { seams: seamed ? seams : [], standing };
      const started = performance.now();
      const cut = cutIntoPieces(region, limits, guides, 0);
      times.push(performance.now() - started);
      const plain = plainGrid(region, limits, guides, 0);
      saw += cut.sawMm;
      grid += plain.sawMm;
      pieces += cut.pieces.length;
      gridPieces += plain.pieces.length;
      const lost =
        Math.abs(regionAreaM2(region) - cut.pieces.reduce((sum, p) => sum + p.areaM2, 0)) / regionAreaM2(region);
      worst = Math.max(worst, lost);
    }
    times.sort((a, b) => a - b);
    console.log(
      `Cut plan, ${ROOMS} rooms of about 40 m2 with 12 fixtures, ${words}${seamed ? ', two known seams' : ''}: sawn ${(saw / grid).toFixed(3)} of the plain grid, ${(pieces / gridPieces).toFixed(3)} of its pieces; median ${times[ROOMS / 2]!.toFixed(0)} ms, slowest ${times.at(-1)!.toFixed(0)} ms; area lost at most ${worst.toExponential(1)}`,
    );
  }
}
