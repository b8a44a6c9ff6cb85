import type { Fixture, Opening, PointMm, Polygon } from '../room/index.ts';
import { bayJudged, flangeJudged, type ApplianceSize, type FixtureJudged } from './fixture-judged.ts';
import { levelFrom, type BaseAlong, type Level, type LevelOf, type LevelRead } from './level-read.ts';
import {
  judgeOpening,
  type FinishedAt,
  type HungLeaf,
  type OpeningJudged,
  type OpeningRules,
} from './opening-judged.ts';
import type { BeyondLevel } from './step-along.ts';

/** What a room's heights are judged from. */
export interface RoomHeights {
  corners: Polygon;
  openings: readonly Opening[];
  fixtures: readonly Fixture[];
  levels: readonly LevelRead[];
  /** Line of sight of each tied set-up over the datum, mm. */
  sightMm: ReadonlyMap<string, number>;
  /** Bare base along the edge a level was taped at. */
  baseAlong: BaseAlong;
  /** Leaves by the opening they hang in; a door without one is not known yet. */
  leaves: ReadonlyMap<string, Omit<HungLeaf, 'hingeMm' | 'latchMm'>>;
  /** Appliances by their fixture: what is on record of a bay is its opening today. */
  appliances: ReadonlyMap<string, ApplianceSize>;
  /** Openings through which the same floor goes on. */
  goesOn: ReadonlySet<string>;
  /** Levels beyond openings that lead into rooms of the job; for all others the levels read are the floor beyond. */
  beyond: ReadonlyMap<string, readonly BeyondLevel[]>;
  finishedAt: FinishedAt;
  /** What is laid over the surface that stays, mm. */
  buildUpMm: number;
  /** How far off the new floor may be, mm. */
  offMm: number;
  rules: OpeningRules;
  /** Places of the map, so that what lies between samples of a swing is heard. */
  nodes: readonly PointMm[];
}

export interface HeightsJudged {
  openings: OpeningJudged[];
  fixtures: FixtureJudged[];
  /** Levels whose set-up nothing ties to the room's datum, or that were taped over a floor not read to this day. */
  untied: string[];
}

/** A leaf nobody has looked at: its swing is shown, nothing is said of cutting it. */
const UNKNOWN_LEAF = { kind: 'unknown', dropSeal: false, cutBeforeMm: 0, opensDeg: 90, airMm: null, rugMm: 0 } as const;
/** A level this near an end of an opening stands for it, mm. */
const AT_END_MM = 100;

/** Every opening, flange and bay of a room against the new floor, and what is still to be read for them. */
export function judgeHeights(of: RoomHeights): HeightsJudged {
  const read = of.levels.map((one) => ({ one, level: levelFrom(one, of.sightMm, of.baseAlong) }));
  const levelsOf = (what: LevelOf, aboutId: string): (Level & { alongMm: number })[] =>
    read.flatMap(({ one, level }) =>
      level && one.of === what && one.aboutId === aboutId ? [{ ...level, alongMm: one.alongMm }] : [],
    );
  return {
    openings: of.openings.map((opening) => {
      const hung = levelsOf('leaf', opening.id);
      const at = (alongMm: number) =>
        hung.findLast((level) => Math.abs(level.alongMm - alongMm) <= AT_END_MM)?.levelMm ?? null;
      const [atHinge, atLatch] = opening.hinge === 'start' ? [0, opening.widthMm] : [opening.widthMm, 0];
      const leaf =
        opening.kind === 'door'
          ? { ...(of.leaves.get(opening.id) ?? UNKNOWN_LEAF), hingeMm: at(atHinge), latchMm: at(atLatch) }
          : null;
      return judgeOpening(
        of.corners,
        {
          opening,
          beyond: of.beyond.get(opening.id) ?? byPlace(levelsOf('beyond', opening.id)),
          leaf,
          goesOn: of.goesOn.has(opening.id),
          grooveMm: bothEnds(levelsOf('groove', opening.id), opening.widthMm),
          buildUpMm: of.buildUpMm,
          sillMm: levelsOf('sill', opening.id).at(-1)?.levelMm ?? null,
          hereOffMm: of.offMm,
        },
        of.finishedAt,
        of.rules,
        of.nodes,
      );
    }),
    fixtures: of.fixtures.flatMap((fixture): FixtureJudged[] => {
      if (fixture.kind === 'toilet') return [flangeJudged(fixture, levelsOf('flange', fixture.id), of.finishedAt)];
      if (fixture.kind === 'appliance')
        return [bayJudged(fixture, levelsOf('underside', fixture.id), of.appliances.get(fixture.id), of.finishedAt)];
      return [];
    }),
    untied: read.flatMap(({ one, level }) => (level ? [] : [one.id])),
  };
}

/** What was read at both ends of an opening, the newest at each; null while one is missing. */
function bothEnds(levels: readonly (Level & { alongMm: number })[], widthMm: number): [number, number] | null {
  const at = (place: number) => levels.findLast(({ alongMm }) => Math.abs(alongMm - place) <= AT_END_MM)?.levelMm;
  const [start, end] = [at(0), at(widthMm)];
  return start === undefined || end === undefined ? null : [start, end];
}

/** Levels read beyond an opening, over the datum of the room they were read from. */
export const levelsBeyond = (
  levels: readonly LevelRead[],
  openingId: string,
  sightMm: ReadonlyMap<string, number>,
  baseAlong: BaseAlong,
): BeyondLevel[] =>
  byPlace(
    levels.flatMap((one) => {
      const level = one.of === 'beyond' && one.aboutId === openingId ? levelFrom(one, sightMm, baseAlong) : null;
      return level ? [{ ...level, alongMm: one.alongMm }] : [];
    }),
  );

/** Readings this near one another are of one place, mm. */
const SAME_PLACE_MM = 20;

/** Levels by their places: what was read more than once counts as the mean, each reading by how sure it is. */
function byPlace(levels: readonly (Level & { alongMm: number })[]): BeyondLevel[] {
  const places: (Level & { alongMm: number })[][] = [];
  for (const level of levels) {
    const there = places.find(([first]) => Math.abs(first!.alongMm - level.alongMm) <= SAME_PLACE_MM);
    if (there) there.push(level);
    else places.push([level]);
  }
  return places.map((there) => {
    const weights = there.map(({ offMm }) => 1 / offMm ** 2);
    const sum = weights.reduce((all, weight) => all + weight, 0);
    return {
      alongMm: there[0]!.alongMm,
      levelMm: there.reduce((all, { levelMm }, k) => all + levelMm * weights[k]!, 0) / sum,
      offMm: 1 / Math.sqrt(sum),
      times: there.length,
    };
  });
}
