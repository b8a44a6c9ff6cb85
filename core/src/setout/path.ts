import type { Division } from './division.ts';
import { jointsOf, type JointZone, type Neighbours } from './joints.ts';
import type { LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';
import { strainOf } from './strain.ts';

/** So many beginnings of a floor are carried along, and so many starts of each strip are tried after each. */
const CARRIED = 24;
const TRIED = 22;

interface Course {
  divisions: Division[];
  joints: (readonly number[])[];
  strain: number;
}

/** A course gone on with by one strip. */
interface Longer {
  of: Course;
  division: Division;
  own: readonly number[];
  strain: number;
}

/**
 * Divisions of all strips that keep the rules, where such are found row by row: a few beginnings are carried along and each is gone on with from several starts, those
 * that the ends before leave over among them.
 */
export function pathThrough(
  strips: readonly RowStrip[],
  plank: LaidPlank,
  neighbours: Neighbours,
  zones: readonly JointZone[],
  divisionAt: (strip: number, wishMm: number) => Division,
  anywhere: (strip: number) => number,
): Division[] {
  const joints: (readonly number[])[] = strips.map(() => []);
  const strain = strainOf(strips, plank, neighbours, zones, joints);
  let courses: Course[] = [{ divisions: [], joints: [], strain: 0 }];
  strips.forEach((strip, k) => {
    const next: Longer[] = [];
    const anyhow = Array.from({ length: TRIED }, () => divisionAt(k, anywhere(k)));
    for (const course of courses) {
      course.joints.forEach((own, i) => (joints[i] = own));
      const leftOver = course.divisions
        .slice(-6)
        .map(({ endMm }) => divisionAt(k, plank.lengthMm - plank.kerfMm - endMm - 2 * plank.trimMm));
      for (const division of [...leftOver, ...anyhow]) {
        const own = jointsOf(strip, division, plank.lengthMm);
        joints[k] = own;
        next.push({ of: course, division, own, strain: course.strain + strain(k) });
      }
      joints[k] = [];
    }
    // What is equally good is kept in the order it came, so that no two of one kind crowd out the rest.
    next.sort((a, b) => a.strain - b.strain);
    courses = spread(next).map(({ of, division, own, strain: bent }) => ({
      divisions: [...of.divisions, division],
      joints: [...of.joints, own],
      strain: bent,
    }));
  });
  return courses[0]!.divisions;
}

/** The best of them, no more than a few that end alike. */
function spread(courses: readonly Longer[]): Longer[] {
  const alike = new Map<number, number>();
  const kept: Longer[] = [];
  for (const course of courses) {
    const start = Math.round(course.division.startMm);
    const count = alike.get(start) ?? 0;
    if (count >= 3) continue;
    alike.set(start, count + 1);
    kept.push(course);
    if (kept.length === CARRIED) break;
  }
  return kept;
}
