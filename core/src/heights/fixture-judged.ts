import type { Fixture, PointMm } from '../room/index.ts';
import { fixturePoint } from '../room/index.ts';
import { BAY_AIR_MM, bayRoom, type BayRoom } from './bay.ts';
import { ABOUT_RIM_MM, judgeFlange, type FlangeVerdict } from './flange.ts';
import type { Level } from './level-read.ts';
import type { FinishedAt } from './opening-judged.ts';

/** An appliance with its feet wound in, and the air its maker asks for over it, mm. */
export interface ApplianceSize {
  heightMm: number;
  airMm: number;
}

export interface FixtureJudged {
  fixtureId: string;
  flange: FlangeVerdict | null;
  bay: BayRoom | null;
  /** What is still to be read about it, in the order in which it is asked. */
  toRead: { of: 'flange' | 'underside' | 'appliance' | 'floor'; alongMm: number }[];
}

/** How finely the floor under a fixture and about a rim is asked, mm. */
const ASKED_EVERY_MM = 25;
/** A reading this near a place along a bay stands for it, mm. */
const NEAR_MM = 100;

/** A toilet's flange against the highest floor about its rim. */
export function flangeJudged(fixture: Fixture, tops: readonly Level[], finishedAt: FinishedAt): FixtureJudged {
  const about = rimPlaces(fixture).flatMap((at) => finishedAt(at.xMm, at.yMm)?.new ?? []);
  const top = tops.at(-1);
  return {
    fixtureId: fixture.id,
    flange: top && about.length > 0 ? judgeFlange(top.levelMm, Math.max(...about)) : null,
    bay: null,
    toRead: [
      ...(about.length === 0 ? [{ of: 'floor' as const, alongMm: 0 }] : []),
      ...(top ? [] : [{ of: 'flange' as const, alongMm: 0 }]),
    ],
  };
}

/** Places about a round fixture, from its rim to as far as the floor counts. */
export function rimPlaces(fixture: Fixture): PointMm[] {
  const rim = Math.max(fixture.widthMm, fixture.depthMm) / 2;
  const places: PointMm[] = [];
  for (let r = rim; r <= rim + ABOUT_RIM_MM; r += ASKED_EVERY_MM)
    for (let deg = 0; deg < 360; deg += 15)
      places.push(fixturePoint(fixture, r * Math.cos((deg * Math.PI) / 180), r * Math.sin((deg * Math.PI) / 180)));
  return places;
}

/** An appliance in its bay: the underside over it, lowest of three places across, against the floor in the bay and on its front edge. */
export function bayJudged(
  fixture: Fixture,
  undersides: readonly (Level & { alongMm: number })[],
  appliance: ApplianceSize | undefined,
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
  const floor = inBayMm.length + onEdgeMm.length > 0;
  const unread = [0, a, 2 * a].filter(
    (place) => !undersides.some(({ alongMm }) => Math.abs(alongMm - place) <= NEAR_MM),
  );
  return {
    fixtureId: fixture.id,
    flange: null,
    bay:
      floor && undersides.length > 0 && appliance
        ? bayRoom(
            undersides.map(({ levelMm }) => levelMm),
            { inBayMm, onEdgeMm },
            appliance.heightMm,
            appliance.airMm || BAY_AIR_MM,
          )
        : null,
    toRead: [
      ...(floor ? [] : [{ of: 'floor' as const, alongMm: 0 }]),
      ...(appliance ? [] : [{ of: 'appliance' as const, alongMm: 0 }]),
      ...unread.map((alongMm) => ({ of: 'underside' as const, alongMm })),
    ],
  };
}
