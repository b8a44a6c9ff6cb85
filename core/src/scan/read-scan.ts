import { say } from '../said/index.ts';
import { seeded } from '../units/index.ts';
import { inMetres, ScanProblem, type Cloud, type Share } from './cloud.ts';
import { findPlane, likelyUp, type UpAxis } from './find-plane.ts';
import { floorCells, type FoundFloor } from './floor-cells.ts';
import { readPly } from './ply.ts';
import { readXyz } from './text-points.ts';

/** A scan read from a file and the floor found in it, nothing of it stored yet. */
export interface ReadScan {
  floor: FoundFloor;
  pointsInFile: number;
  badLines: number;
  up: UpAxis;
  /** The file counts in millimetres. */
  wasMm: boolean;
}

/** The same triples are tried for the same file: what is found does not change from one reading to the next. */
const SEED = 977;

/** Shares of the whole that parsing, and finding the floor, take. */
const PARSED = 0.7;

const looksLikePly = (bytes: Uint8Array) => bytes[0] === 112 && bytes[1] === 108 && bytes[2] === 121;

/**
 * Reads a point cloud (PLY by content, XYZ otherwise) and finds the floor in it. `up` is worked out unless it is given. Throws
 * `ScanProblem` with the reason in words.
 */
export function readScan(bytes: Uint8Array, up: UpAxis | null, share: Share = () => undefined): ReadScan {
  const parsing = (done: number) => share(done * PARSED);
  const cloud: Cloud = looksLikePly(bytes) ? readPly(bytes, parsing) : readXyz(bytes, parsing);
  if (cloud.count < 100) throw new ScanProblem(say('scan.pointsAScanOfAFloor', { count: cloud.count }));
  share(PARSED);
  const wasMm = inMetres(cloud);
  const upright = up ?? likelyUp(cloud, seeded(SEED));
  const plane = findPlane(cloud, upright, seeded(SEED));
  const floor = floorCells(cloud, plane, (done) => share(PARSED + done * (1 - PARSED)));
  return { floor, pointsInFile: cloud.count, badLines: cloud.badLines, up: upright, wasMm };
}
