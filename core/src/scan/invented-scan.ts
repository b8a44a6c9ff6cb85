import { normal, seeded } from '../units/index.ts';
import type { Cloud } from './cloud.ts';

/** A room as a scanner sees it, for tests: places in metres in the scanner's own turned and shifted frame. */
export interface InventedScan {
  widthM: number;
  depthM: number;
  /** Height of the floor, mm, at places in metres. */
  floorMm: (x: number, y: number) => number;
  turnDeg: number;
  shiftM: [number, number, number];
  noiseMm: number;
  /** Points for each m2 of floor, wall and table. */
  perM2: number;
  /** A table top: its middle and size, m. */
  table?: { x: number; y: number; size: number; heightM: number };
  seed: number;
}

/** Points of floor, four walls and a table, with noise in height; floor is not seen under the table. */
export function inventedPoints(scan: InventedScan): [x: number, y: number, z: number][] {
  const chance = seeded(scan.seed);
  const { widthM: w, depthM: d, perM2, table } = scan;
  const [c, s] = [Math.cos((scan.turnDeg * Math.PI) / 180), Math.sin((scan.turnDeg * Math.PI) / 180)];
  const points: [number, number, number][] = [];
  const add = (x: number, y: number, z: number) => {
    const height = z + (scan.noiseMm / 1000) * normal(chance);
    points.push([c * x - s * y + scan.shiftM[0], s * x + c * y + scan.shiftM[1], height + scan.shiftM[2]]);
  };
  const onTable = (x: number, y: number) =>
    table !== undefined && Math.abs(x - table.x) < table.size / 2 && Math.abs(y - table.y) < table.size / 2;
  for (let i = 0; i < w * d * perM2; i++) {
    const [x, y] = [chance() * w, chance() * d];
    if (onTable(x, y)) add(x, y, table!.heightM);
    else add(x, y, scan.floorMm(x, y) / 1000);
  }
  for (let i = 0; i < 2 * (w + d) * 1.5 * perM2; i++) {
    const along = chance() * 2 * (w + d);
    const z = chance() * 1.5;
    if (along < w) add(along, 0, z);
    else if (along < w + d) add(w, along - w, z);
    else if (along < 2 * w + d) add(along - w - d, d, z);
    else add(0, along - 2 * w - d, z);
  }
  return points;
}

export function cloudFrom(points: readonly (readonly [number, number, number])[]): Cloud {
  return {
    count: points.length,
    x: Float32Array.from(points, (p) => p[0]),
    y: Float32Array.from(points, (p) => p[1]),
    z: Float32Array.from(points, (p) => p[2]),
    origin: [0, 0, 0],
    badLines: 0,
  };
}

/** A PLY file as scanners write it: place as floats, a byte beside each. */
export function plyBytes(points: readonly (readonly [number, number, number])[], big = false): Uint8Array {
  const head = new TextEncoder().encode(
    `ply\nformat binary_${big ? 'big' : 'little'}_endian 1.0\nelement vertex ${points.length}\nproperty float x\nproperty float y\nproperty float z\nproperty uchar confidence\nend_header\n`,
  );
  const bytes = new Uint8Array(head.length + points.length * 13);
  bytes.set(head);
  const view = new DataView(bytes.buffer);
  points.forEach((point, i) =>
    point.forEach((value, axis) => view.setFloat32(head.length + i * 13 + axis * 4, value, !big)),
  );
  return bytes;
}
