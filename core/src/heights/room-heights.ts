import type { Fixture, Opening, PointMm, Polygon } from '../room/index.ts';
import { fixturePoint } from '../room/index.ts';
import { bayRoom, type BayRoom } from './bay.ts';
import { ABOUT_RIM_MM, judgeFlange, type FlangeVerdict } from './flange.ts';
import type { LevelRead, Level, LevelOf } from './level-read.ts';
import { levelFrom } from './level-read.ts';
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
  /** Leaves by the opening they hang in; a door without one is not known yet. */
  leaves: ReadonlyMap<string, Omit<HungLeaf, 'hingeMm' | 'latchMm'>>;
  /** Heights of appliances with their feet wound in, mm, by their fixture: what is on record of a bay is its opening today. */
  appliancesMm: ReadonlyMap<string, number>;
  /** Openings through which the same floor goes on. */
  goesOn: ReadonlySet<string>;
  finishedAt: FinishedAt;
  rules: OpeningRules;
  /** Places of the map, so that what lies between samples of a swing is heard. */
  nodes: readonly PointMm[];
}

export interface FixtureJudged {
  fixtureId: string;
  flange: FlangeVerdict | null;
  bay: BayRoom | null;
  /** A level is still to be read, or the floor about it is not known. */
  toRead: boolean;
}

export interface HeightsJudged {
  openings: OpeningJudged[];
  fixtures: FixtureJudged[];
  /** Levels whose set-up nothing ties to the room's datum. */
  untied: string[];
}

/** A leaf nobody has looked at: its swing is shown, nothing is said of cutting it. */
const UNKNOWN_LEAF = { kind: 'unknown', dropSeal: false, cutBeforeMm: 0, opensDeg: 90 } as const;
/** A level this near an end of an opening stands for it, mm. */
const AT_END_MM = 100;
/** How finely the floor under a fixture and about a rim is asked, mm. */
const ASKED_EVERY_MM = 25;

/** Every opening, flange and bay of a room against the new floor, and what is still to be read for them. */
export function judgeHeights(of: RoomHeights): HeightsJudged {
  const read = of.levels.map((one) => ({ one, level: levelFrom(one, of.sightMm) }));
  const levelsOf = (what: LevelOf, aboutId: string): (Level & { alongMm: number; readBy: BeyondLevel['readBy'] })[] =>
    read.flatMap(({ one, level }) =>
      level && one.of === what && one.aboutId === aboutId
        ? [{ ...level, alongMm: one.alongMm, readBy: one.readBy }]
        : [],
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
        { opening, beyond: levelsOf('beyond', opening.id), leaf, goesOn: of.goesOn.has(opening.id), grooveMm: null },
        of.finishedAt,
        of.rules,
        of.nodes,
      );
    }),
    fixtures: of.fixtures.flatMap((fixture): FixtureJudged[] => {
      if (fixture.kind === 'toilet') return [flangeOf(fixture, levelsOf('flange', fixture.id), of.finishedAt)];
      if (fixture.kind === 'appliance')
        return [bayOf(fixture, levelsOf('underside', fixture.id), of.appliancesMm.get(fixture.id), of.finishedAt)];
      return [];
    }),
    untied: read.flatMap(({ one, level }) => (level ? [] : [one.id])),
  };
}

function flangeOf(fixture: Fixture, tops: readonly Level[], finishedAt: FinishedAt): FixtureJudged {
  const about = ring(fixture).flatMap((at) => finishedAt(at.xMm, at.yMm)?.new ?? []);
  const top = tops.at(-1);
  const known = top !== undefined && about.length > 0;
  return {
    fixtureId: fixture.id,
    flange: known ? judgeFlange(top.levelMm, Math.max(...about)) : null,
    bay: null,
    toRead: !known,
  };
}

/** Places about a round fixture, from its rim to as far as the floor counts. */
function ring(fixture: Fixture): PointMm[] {
  const rim = Math.max(fixture.widthMm, fixture.depthMm) / 2;
  const places: PointMm[] = [];
  for (let r = rim; r <= rim + ABOUT_RIM_MM; r += ASKED_EVERY_MM)
    for (let deg = 0; deg < 360; deg += 15)
      places.push(fixturePoint(fixture, r * Math.cos((deg * Math.PI) / 180), r * Math.sin((deg * Math.PI) / 180)));
  return places;
}

function bayOf(
  fixture: Fixture,
  undersides: readonly Level[],
  applianceMm: number | undefined,
  finishedAt: FinishedAt,
): FixtureJudged {
  const [a, b] = [fixture.widthMm / 2, fixture.depthMm / 2];
  const levels = (fromFrontMm: number, toFrontMm: number) => {
    const found: number[] = [];
    for (let x = -a; x <= a; x += ASKED_EVERY_MM)
      for (let y = fromFrontMm; y <= toFrontMm; y += ASKED_EVERY_MM) {
        const at = fixturePoint(fixture, x, y);
        const level = finishedAt(at.xMm, at.yMm);
        if (level) found.push(level.new);
      }
    return found;
  };
  const [inBayMm, onEdgeMm] = [levels(-b, b), levels(b, b + ASKED_EVERY_MM)];
  const known = undersides.length > 0 && inBayMm.length + onEdgeMm.length > 0;
  return {
    fixtureId: fixture.id,
    flange: null,
    bay:
      known && applianceMm !== undefined
        ? bayRoom(
            undersides.map(({ levelMm }) => levelMm),
            { inBayMm, onEdgeMm },
            applianceMm,
          )
        : null,
    toRead: !known || applianceMm === undefined,
  };
}
