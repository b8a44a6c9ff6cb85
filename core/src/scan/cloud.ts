import { say, type Said } from '../said/index.ts';
/** Points of a scan in metres, parallel arrays, less `origin`: single precision keeps tenths of a millimetre near zero only. */
export interface Cloud {
  count: number;
  x: Float32Array;
  y: Float32Array;
  z: Float32Array;
  /** The first point as the file has it, in the file's own unit. */
  origin: [number, number, number];
  /** Lines of a text file that hold no point, the heading left out. */
  badLines: number;
}

/** Why a file is no scan, in words for the person who chose it. */
export class ScanProblem extends Error {
  constructor(readonly said: Said) {
    super(said.code);
  }
}

/** Told how much of a piece of work is done, 0 to 1. */
export type Share = (share: number) => void;

/** Most points a scan may have: over this a phone's memory is at risk. */
export const POINTS_MOST = 12_000_000;
/** Points between two words of progress. */
export const TELL_EVERY = 1 << 18;

/** Points are gathered here while nobody knows how many there will be. */
interface Gathering extends Cloud {
  add: (x: number, y: number, z: number) => void;
}

/** An empty cloud with room for `expected` points, growing as it must. Throws `ScanProblem` past the most it may hold. */
export function gathering(expected: number): Gathering {
  let room = Math.min(POINTS_MOST, Math.max(1024, expected));
  let [ox, oy, oz] = [0, 0, 0];
  const cloud: Gathering = {
    count: 0,
    x: new Float32Array(room),
    y: new Float32Array(room),
    z: new Float32Array(room),
    origin: [0, 0, 0],
    badLines: 0,
    add(x, y, z) {
      if (cloud.count === 0) cloud.origin = [ox, oy, oz] = [x, y, z];
      if (cloud.count === room) grow();
      const at = cloud.count++;
      cloud.x[at] = x - ox;
      cloud.y[at] = y - oy;
      cloud.z[at] = z - oz;
    },
  };
  const grow = () => {
    if (room >= POINTS_MOST)
      throw new ScanProblem(say('scan.overMillionPointsThinTheScan', { POINTSMOST: POINTS_MOST / 1e6 }));
    room = Math.min(POINTS_MOST, room * 2);
    for (const axis of ['x', 'y', 'z'] as const) {
      const wider = new Float32Array(room);
      wider.set(cloud[axis]);
      cloud[axis] = wider;
    }
  };
  return cloud;
}

/** Whole extents over this many units mean that the file counts in millimetres: no room is 100 m across. */
const METRES_MOST = 100;

/** Puts a cloud whose file counts in millimetres into metres, in place; says whether it did. */
export function inMetres(cloud: Cloud): boolean {
  const { count, x, y, z } = cloud;
  let widest = 0;
  for (const axis of [x, y, z]) {
    let [least, most] = [Infinity, -Infinity];
    for (let i = 0; i < count; i++) {
      const value = axis[i]!;
      if (value < least) least = value;
      if (value > most) most = value;
    }
    widest = Math.max(widest, most - least);
  }
  if (widest <= METRES_MOST) return false;
  for (const axis of [x, y, z]) for (let i = 0; i < count; i++) axis[i] = axis[i]! / 1000;
  return true;
}
