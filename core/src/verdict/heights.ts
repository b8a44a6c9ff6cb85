import {
  BAR_WORDS,
  HEIGHT_DONE,
  wallAbout,
  type FixtureJudged,
  type HeightsJudged,
  type LeafVerdict,
  type OpeningJudged,
  type StairJudged,
  type WayOut,
} from '../heights/index.ts';
import { fixtureName, openingName, wallName, type Opening, type RoomFacts } from '../room/index.ts';
import { gap, lower, reach, say, type Said } from '../said/index.ts';
import { VERDICTS, type OwnCriterion, type Verdict } from './words.ts';

type Finding = Pick<OwnCriterion, 'verdict' | 'margin' | 'next'>;
type Room = Pick<RoomFacts, 'walls' | 'openings' | 'fixtures'>;

/** What is told of heights: stairs and ways out only where the room has them. */
export interface HeightsTold {
  judged: HeightsJudged;
  stairs?: readonly StairJudged[];
  waysOut?: readonly { fixtureId: string; way: WayOut }[];
  /** Guards, rails and low sills whose top is read: by the opening or the wall they stand at. */
  guards?: readonly { aboutId: string; overMm: number; leastMm: number }[];
}

/**
 * Criteria of the heights of a room: steps at its openings, leaves over the floor, flanges and bays. Each is told by what decides
 * it: the worst, and of equals the one whose reading would settle most.
 */
export function heightCriteria(
  room: Room,
  { judged, stairs = [], waysOut = [], guards = [] }: HeightsTold,
  done: ReadonlySet<string>,
): OwnCriterion[] {
  const openings = judged.openings.flatMap((one) => {
    const opening = room.openings.find(({ id }) => id === one.openingId);
    return opening ? [{ one, opening }] : [];
  });
  const fixtures = judged.fixtures.flatMap((one) => {
    const fixture = room.fixtures.find(({ id }) => id === one.fixtureId);
    return fixture ? [{ one, name: say('verdict.heightsThing', { what: fixtureName(fixture) }) }] : [];
  });
  const isDone = (id: string) => done.has(HEIGHT_DONE + id);
  const of = (id: string, title: Said, findings: Finding[]): OwnCriterion[] =>
    findings.length === 0 ? [] : [{ id, title, ...worstOf(findings) }];
  return [
    ...of(
      'heights-steps',
      say('verdict.heightsStepsTitle'),
      openings.map(({ one, opening }) => stepFinding(one, openingName(room, opening), isDone(one.openingId))),
    ),
    ...of(
      'heights-leaves',
      say('verdict.heightsLeavesTitle'),
      openings.flatMap(({ one, opening }) =>
        one.leaf ? [leafFinding(one, one.leaf, opening, openingName(room, opening), isDone(`leaf/${opening.id}`))] : [],
      ),
    ),
    ...of(
      'heights-stairs',
      say('verdict.heightsStairsTitle'),
      openings.flatMap(({ opening }) =>
        opening.kind === 'stair'
          ? [
              stairFinding(
                stairs.find(({ openingId }) => openingId === opening.id),
                openingName(room, opening),
              ),
            ]
          : [],
      ),
    ),
    ...of(
      'heights-guards',
      say('verdict.heightsGuardsTitle'),
      [...guards]
        .sort((a, b) => a.overMm - b.overMm)
        .map((guard) => {
          const opening = room.openings.find(({ id }) => id === guard.aboutId);
          const wall = room.walls.findIndex((_, k) => wallAbout(k) === guard.aboutId);
          return guardFinding(
            guard,
            opening ? openingName(room, opening) : say('verdict.heightsWall', { wall: wallName(room.walls, wall) }),
          );
        }),
    ),
    ...of(
      'heights-fixtures',
      say('verdict.heightsFixturesTitle'),
      fixtures.flatMap(({ one, name }) => {
        const out = waysOut.find(({ fixtureId }) => fixtureId === one.fixtureId)?.way;
        return [fixtureFinding(one, name, isDone(one.fixtureId)), ...(out ? wayOutFinding(out, name) : [])];
      }),
    ),
  ];
}

const worstOf = (findings: readonly Finding[]): Finding =>
  VERDICTS.flatMap((word: Verdict) => findings.filter(({ verdict }) => verdict === word))[0]!;

function stepFinding(
  { bar, ramp, toRead, step, again, underSillMm }: OpeningJudged,
  name: Said,
  isDone: boolean,
): Finding {
  if (underSillMm !== null && underSillMm < 0)
    return {
      verdict: 'stop',
      margin: say('verdict.heightsOverSill', { name: lower(name), overMm: gap(-underSillMm) }),
      next: say('verdict.heightsLowerHere'),
    };
  const beyond = toRead.find(({ of }) => of === 'beyond');
  if (bar.kind === 'measure' || (beyond && !step))
    return {
      verdict: 'measure',
      margin: say('verdict.heightsLevelUnknown', { name: lower(name) }),
      next: say('verdict.heightsReadBeyond', { name: lower(name) }),
    };
  if (toRead.some(({ of }) => of === 'sill'))
    return {
      verdict: 'measure',
      margin: say('verdict.heightsSillUnknown', { name: lower(name) }),
      next: say('verdict.heightsReadSill'),
    };
  const stepMm = gap(bar.worstMm ?? 0);
  if (bar.kind === 'make-good')
    return {
      verdict: 'work',
      margin: say('verdict.heightsBothWays', { name: lower(name), stepMm }),
      next: say('verdict.heightsMakeGood', { name: lower(name) }),
    };
  const bought = lower(BAR_WORDS[bar.kind]);
  if (again || beyond)
    return {
      verdict: 'measure',
      margin:
        bar.nearLimitMm === null || !again
          ? say('verdict.heightsOneEnd', { name: lower(name), stepMm })
          : say('verdict.heightsNearLimit', { name: lower(name), stepMm, limitMm: gap(bar.nearLimitMm) }),
      next: say('verdict.heightsReadAgain', { bar: bought }),
    };
  if (bar.kind === 'made-ramp' && !isDone)
    return {
      verdict: 'work',
      margin: say('verdict.heightsStepPastBars', { name: lower(name), stepMm }),
      next: say('verdict.heightsRamp', { rampMm: reach(ramp?.lengthMm ?? 0) }),
    };
  return {
    verdict: 'lay',
    margin:
      bar.kind === 'nosing'
        ? say('verdict.heightsStairEdge', { name: lower(name) })
        : say('verdict.heightsStep', { name: lower(name), stepMm, bar: bought }),
    next: say('verdict.heightsSetBar', { bar: bought }),
  };
}

/** Why a leaf is not for the installer to decide, and who decides. */
const LEAF_STOPS: Record<Extract<LeafVerdict, { what: 'stop' }>['why'], Said> = {
  'fire-need': say('verdict.leafFireNeed'),
  'fire-seal': say('verdict.leafFireSeal'),
  'fire-air': say('verdict.leafFireAir'),
  'fire-gap': say('verdict.leafFireGap'),
  'not-cut': say('verdict.leafNotCut'),
  'past-trim': say('verdict.leafPastTrim'),
};

/** Reasons that hold whatever the figures are. */
const BY_ITSELF: readonly string[] = ['fire-seal', 'fire-air'];

function leafFinding(
  { clearance }: OpeningJudged,
  leaf: LeafVerdict,
  opening: Opening,
  name: Said,
  isDone: boolean,
): Finding {
  const leastMm = gap(clearance?.leastMm ?? 0);
  if (leaf.what === 'measure')
    return {
      verdict: 'measure',
      margin: say('verdict.heightsLeafUnknown', { name: lower(name) }),
      next: say('verdict.heightsReadLeaf'),
    };
  if (leaf.what === 'stop')
    return {
      verdict: 'stop',
      margin: BY_ITSELF.includes(leaf.why)
        ? say('verdict.heightsLeafIs', { name: lower(name), why: LEAF_STOPS[leaf.why] })
        : say('verdict.heightsLeafStop', { name: lower(name), why: LEAF_STOPS[leaf.why], byMm: gap(leaf.byMm) }),
      next: leaf.why.startsWith('fire') ? say('verdict.heightsFireDecides') : say('verdict.heightsLeafDecides'),
    };
  if (leaf.what === 'trim' && !isDone)
    return {
      verdict: 'work',
      margin: say('verdict.heightsLeafTight', {
        name: lower(name),
        leastMm,
        fromHingeMm: reach(clearance?.fromHingeMm ?? 0),
        widthMm: reach(opening.widthMm),
      }),
      next: say('verdict.heightsTrim', { cutMm: gap(leaf.parallel.hingeMm) }),
    };
  return {
    verdict: 'lay',
    margin: say('verdict.heightsLeafFree', { name: lower(name), leastMm }),
    next: say('verdict.heightsHangBack'),
  };
}

function fixtureFinding({ flange, bay, toRead }: FixtureJudged, name: Said, isDone: boolean): Finding {
  if (toRead.length > 0)
    return {
      verdict: 'measure',
      margin: say('verdict.heightsFixtureUnknown', { name: lower(name) }),
      next: say('verdict.heightsReadFixture', { name: lower(name) }),
    };
  if (bay)
    return bay.spareMm < 0
      ? {
          verdict: 'stop',
          margin: say('verdict.heightsBayShort', { name: lower(name), shortMm: gap(-bay.spareMm) }),
          next: say('verdict.heightsBayDecides'),
        }
      : {
          verdict: 'lay',
          margin: say('verdict.heightsBayFits', { name: lower(name), spareMm: gap(bay.spareMm) }),
          next: say('verdict.heightsNothingMore'),
        };
  const overMm = gap(Math.abs(flange?.overMm ?? 0));
  if (flange?.what === 'plumber')
    return {
      verdict: 'stop',
      margin: say(flange.overMm < 0 ? 'verdict.heightsFlangeUnder' : 'verdict.heightsFlangeOver', {
        name: lower(name),
        overMm,
      }),
      next: say('verdict.heightsPlumber'),
    };
  if (flange?.what === 'rings' && !isDone)
    return {
      verdict: 'work',
      margin: say('verdict.heightsFlangeUnder', { name: lower(name), overMm }),
      next: say('verdict.heightsRings', {
        count: flange.ringsMm.length,
        sumMm: gap(flange.ringsMm.reduce((sum, mm) => sum + mm, 0)),
      }),
    };
  return {
    verdict: 'lay',
    margin: say('verdict.heightsFlangeStands', { name: lower(name) }),
    next: say('verdict.heightsNothingMore'),
  };
}

/** Risers of a flight once the floors are laid: past the code it is stopped, whatever it was before. */
function stairFinding(stair: StairJudged | undefined, name: Said): Finding {
  if (!stair)
    return {
      verdict: 'measure',
      margin: say('verdict.heightsRisersUnknown', { name: lower(name) }),
      next: say('verdict.heightsReadRisers'),
    };
  const { after, best } = stair;
  const about = { name: lower(name), rangeMm: gap(after.rangeMm) };
  if (after.holds)
    return {
      verdict: 'lay',
      margin: say('verdict.heightsRisersHold', about),
      next: say('verdict.heightsTreads', { treadMm: gap(stair.treadMm) }),
    };
  if (best.after.holds)
    return {
      verdict: 'work',
      margin: say('verdict.heightsRisersApart', about),
      next: say('verdict.heightsTreads', { treadMm: gap(best.treadMm) }),
    };
  return {
    verdict: 'stop',
    margin: say('verdict.heightsRisersApart', about),
    next: say('verdict.heightsStairDecides'),
  };
}

/** A guard over the new floor: lower than the code asks it is stopped, even where it was so before. */
function guardFinding({ overMm, leastMm }: { overMm: number; leastMm: number }, name: Said): Finding {
  const about = { name: lower(name), overMm: gap(overMm), leastMm: gap(leastMm) };
  return overMm < leastMm
    ? { verdict: 'stop', margin: say('verdict.heightsGuardLow', about), next: say('verdict.heightsGuardDecides') }
    : { verdict: 'lay', margin: say('verdict.heightsGuardHolds', about), next: say('verdict.heightsNothingMore') };
}

function wayOutFinding(way: WayOut, name: Said): Finding[] {
  if (way.found) return [];
  return [
    {
      verdict: 'work',
      margin:
        way.why === 'no-exit'
          ? say('verdict.heightsNoExit', { name: lower(name), widestMm: gap(way.widestMm) })
          : say('verdict.heightsNoWay', { name: lower(name) }),
      next: say('verdict.heightsTakeOut'),
    },
  ];
}
