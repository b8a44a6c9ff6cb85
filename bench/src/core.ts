import {
  gapMap,
  gridOver,
  heightsOver,
  judgeFlat,
  flatMemo,
  krige,
  stationsOf,
  type FlatState,
  type Grid,
} from '@maquette/core/flat';
import { certify, smallestFill } from '@maquette/core/levelling';
import { outlineOf, rectangleWalls, type Plan } from '@maquette/core/room';

const rule = { gapMm: 3, edgeMm: 2000 };

function plan(widthMm: number, depthMm: number): Plan {
  return { corners: outlineOf(rectangleWalls(widthMm, depthMm)).corners, islands: [] };
}

/** An invented floor: two humps, a low corner and a wave. Metres in, mm out. */
function floor(x: number, y: number): number {
  return (
    6 * Math.exp(-((x - 2.5) ** 2 + (y - 2) ** 2) / 0.9) +
    4 * Math.exp(-((x - 6) ** 2 + (y - 3.5) ** 2) / 0.5) -
    8 * Math.exp(-((x - 0.5) ** 2 + (y - 0.5) ** 2) / 1.2) +
    0.8 * Math.sin(1.1 * x) * Math.cos(0.9 * y)
  );
}

function heights(grid: Grid): Float64Array {
  return Float64Array.from({ length: grid.nx * grid.ny }, (_, cell) =>
    floor(
      (grid.x0Mm + (cell % grid.nx) * grid.cellMm) / 1000,
      (grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm) / 1000,
    ),
  );
}

/** Median of several runs, ms. */
function timed(work: () => void, runs = 5): number {
  work();
  const times = Array.from({ length: runs }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
}

/** The plain scan: every chord of every line at two directions, from the definition. */
function plainScan(grid: Grid, h: Float64Array, window: number): number {
  let worst = 0;
  for (const [step, lines, length, stride] of [
    [1, grid.ny, grid.nx, grid.nx],
    [grid.nx, grid.nx, grid.ny, 1],
  ] as const) {
    for (let line = 0; line < lines; line++) {
      const at = (k: number) => h[line * stride + k * step]!;
      const hull = new Float64Array(length).fill(-Infinity);
      for (let i = 0; i < length; i++) {
        for (let j = i + 2; j <= Math.min(length - 1, i + window); j++) {
          const slope = (at(j) - at(i)) / (j - i);
          for (let s = i + 1; s < j; s++) hull[s] = Math.max(hull[s]!, at(i) + slope * (s - i));
        }
      }
      for (let s = 0; s < length; s++) worst = Math.max(worst, hull[s]! - at(s));
    }
  }
  return worst;
}

/** The smallest fill of a judged floor and its certificate. */
function levelled({ judged, surfaceMm, rules }: FlatState): void {
  const wanted = rules.map((result) => result.rule);
  const { fillMm } = smallestFill(judged, surfaceMm, wanted);
  const after = surfaceMm.map((z, cell) => z + fillMm[cell]!);
  for (const one of wanted) certify(judged, after, one);
}

export function coreBench(): string[] {
  const lines: string[] = [];
  const forty = gridOver(plan(8000, 5000));
  const h = heights(forty);
  const two = timed(() => gapMap(forty, h, { edgeMm: 2000, directions: 2 }));
  const plain = timed(() => plainScan(forty, h, 40), 3);
  lines.push(
    `Gap map against the plain scan of all chords (40 m2, 5 cm, 2 directions): ${two.toFixed(1)} ms to ${plain.toFixed(0)} ms, ${(plain / two).toFixed(0)} times faster`,
  );
  const per: number[] = [];
  for (const [w, d] of [
    [5000, 4000],
    [12500, 8000],
    [25000, 16000],
  ] as const) {
    const grid = gridOver(plan(w, d));
    const z = heights(grid);
    const ms = timed(() => gapMap(grid, z, { edgeMm: 2000 }), 3);
    per.push(ms / ((w * d) / 1e6));
    lines.push(
      `Gap map ${(w * d) / 1e6} m2, 5 cm, 16 directions: ${ms.toFixed(0)} ms (${(ms / ((w * d) / 1e6)).toFixed(2)} ms for each m2)`,
    );
  }
  lines.push(`Gap map 40 m2, 5 cm, 16 directions: ${timed(() => gapMap(forty, h, { edgeMm: 2000 })).toFixed(0)} ms`);
  const fine = gridOver(plan(25000, 16000), 25);
  const fineHeights = heights(fine);
  lines.push(
    `Gap map 400 m2, 2.5 cm, 16 directions: ${(timed(() => gapMap(fine, fineHeights, { edgeMm: 2000 }), 3) / 1000).toFixed(2)} s`,
  );
  lines.push(`Growth, 400 m2 against 20 m2 for each m2: ${(per[2]! / per[0]!).toFixed(2)} (1 is linear)`);
  const places = stationsOf(plan(8000, 5000), 600, [], [], { xMm: 500, yMm: 0 });
  const readings = places.map((p, i) => ({
    id: `r${String(i).padStart(4, '0')}`,
    setupId: 'A',
    stationKey: p.key,
    xMm: p.xMm,
    yMm: p.yMm,
    rodMm: 1000 - floor(p.xMm / 1000, p.yMm / 1000),
    takenAt: String(i).padStart(4, '0'),
    note: '',
  }));
  const facts = (n: number) => ({
    setups: [{ id: 'A', name: 'A', openRodMm: 1000, closeRodMm: 1000, startedAt: '0' }],
    readings: readings.slice(0, n),
    stations: [],
  });
  const memo = flatMemo();
  const room = plan(8000, 5000);
  judgeFlat(room, facts(39), [rule], { memo });
  const kept = timed(() => void judgeFlat(room, facts(40), [rule], { memo }));
  lines.push(`Judgement of 40 m2 with 40 readings, work kept: ${kept.toFixed(0)} ms`);
  const all = {
    x: Float64Array.from(readings, (r) => r.xMm),
    y: Float64Array.from(readings, (r) => r.yMm),
    z: Float64Array.from(readings, (r) => -r.rodMm),
  };
  const cut = (n: number) => ({ x: all.x.slice(0, n), y: all.y.slice(0, n), z: all.z.slice(0, n) });
  const anew = timed(() => void krige(cut(readings.length)));
  const growing: { fit: object } = { fit: {} };
  krige(cut(readings.length - 1), growing.fit);
  const grown = timed(() => void krige(cut(readings.length), growing.fit));
  lines.push(
    `Surface fit with one reading more (${readings.length}), kept work against anew: ${grown.toFixed(2)} ms to ${anew.toFixed(1)} ms, ${(anew / grown).toFixed(0)} times faster`,
  );
  const surface = krige(all);
  lines.push(
    `Surface over 40 m2 at 5 cm from ${readings.length} readings: ${timed(() => void heightsOver(surface, forty)).toFixed(0)} ms`,
  );
  const state = judgeFlat(room, facts(readings.length), [rule])!;
  lines.push(`Smallest fill with certificate, 40 m2, 36 directions: ${timed(() => levelled(state), 3).toFixed(0)} ms`);
  return lines;
}

for (const line of coreBench()) console.log(line);
