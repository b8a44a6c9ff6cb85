import { figuresOf, type FigureOf } from '../figures/index.ts';
import { cellCentre, type FlatState } from '../flat/index.ts';
import {
  ACCESS,
  accessOf,
  buildUpOf,
  judgeHeights,
  levelsBeyond,
  sealantMm,
  usualOpeningRules,
  type BuildUp,
  type FloorAge,
  type HeightsJudged,
  type OpeningRules,
  type StairJudged,
  type WayOut,
} from '../heights/index.ts';
import { answerTo } from '../fields/index.ts';
import type { Change } from '../levelling/index.ts';
import { distanceMm, pointOnWall, type Opening, type Plan, type PointMm } from '../room/index.ts';
import { layersLeft } from '../stripout/index.ts';
import { breaksOfRun, type RunThrough } from './breaks-of-run.ts';
import { baseAlongOf, heightPlaces, type HeightPlace } from './height-places.ts';
import { beyondOf, type LevelledOther } from './beyond-of.ts';
import type { HeightGround } from './height-ground.ts';
import { joinedOpenings } from './joined-openings.ts';
import { addsOf, newFloor } from './new-floor.ts';
import { finishedMap, type FinishedMap } from './finished-map.ts';
import { guardsOf, type GuardJudged } from './guards-of.ts';
import { levelsOfRoom } from './levels-of.ts';
import { thicknessAt } from './old-layers.ts';
import { skirtingOf, type SkirtingJudged } from './skirting-of.ts';
import { stairsOf } from './stairs-of.ts';
import { waysOutOf } from './ways-out-of.ts';
import { worktopsOf, type WorktopJudged } from './worktops-of.ts';
import { undercutsOf, type UndercutJudged } from './undercuts-of.ts';
import { sightOf } from './sight.ts';
import type { RoomSet } from './room-set.ts';

/** Heights of a room, with what they come of. */
export interface HeightsOfRoom {
  judged: HeightsJudged;
  /** Every place at which a level may be read. */
  places: HeightPlace[];
  buildUp: BuildUp;
  addsMm: Record<FloorAge, number>;
  /** The floor was read, but what it was read on still goes: reckoned from recorded thicknesses. */
  overOldFloor: boolean;
  isRead: boolean;
  /** Openings that lead into rooms of the job, as what that room knows them, and whether their level comes from readings on the other side. */
  joined: { openingId: string; roomId: string; farId: string; readBeyond: boolean }[];
  run: RunThrough;
  rules: OpeningRules;
  stairs: StairJudged[];
  skirting: SkirtingJudged[];
  undercuts: UndercutJudged[];
  worktops: WorktopJudged[];
  guards: GuardJudged[];
  /** The finished floor over the room; null where the floor is not read. */
  finished: FinishedMap | null;
  /** Sealant at sills and at frames that are scribed to, mm. */
  sealantMm: number;
  /** How each appliance leaves the room, by its fixture. */
  waysOut: { fixtureId: string; way: WayOut }[];
}

/** Limits of the job and of the covering that openings are judged by. */
export function openingRulesOf(
  set: Pick<RoomSet, 'card' | 'answers' | 'country' | 'figures'>,
  figure: FigureOf,
): OpeningRules {
  const usual = usualOpeningRules(set.card.rules[0]!);
  return {
    ...usual,
    bar: { trackMm: figure('bar-track-mm'), bearingMm: figure('bar-bearing-mm'), seatMm: figure('bar-seat-mm') },
    capMm: figure('bar-cap-mm'),
    limits: {
      ...usual.limits,
      flatMm: figure('bar-flat-mm'),
      tiltedMm: figure('bar-tilted-mm'),
      reducerMm: figure('bar-reducer-mm'),
      carpetMm: figure('bar-carpet-mm'),
      mostTiltDeg: figure('bar-tilt-deg'),
    },
    access: answerTo(set.answers, ACCESS) === 'yes' ? accessOf(set.country.country, set.figures).rule : null,
    leaf: {
      clearMm: figure('leaf-clear-mm'),
      fireClearMm: figure('leaf-fire-clear-mm'),
      fireGapMm: figure('leaf-fire-gap-mm'),
      airMm: null,
      hollowTrimMm: figure('leaf-hollow-mm'),
      solidTrimMm: figure('leaf-solid-mm'),
    },
  };
}

const newestOf = <F, K>(facts: readonly F[], about: (fact: F) => K): Map<K, F> =>
  new Map(facts.map((fact) => [about(fact), fact]));

/**
 * Heights of a room over the floor it will have: `change` is the levelling that is to be done, null where none is. `groundOf`
 * knows the floors of the rooms it is joined to, `levelledBy` what levels those.
 */
export function heightsOf(
  set: RoomSet,
  ground: HeightGround,
  change: Pick<Change, 'fillMm' | 'grindMm'> | null,
  groundOf: (other: RoomSet) => HeightGround,
  waysOut: HeightsOfRoom['waysOut'] = waysOutOf(set.room, ground.plan),
  levelledBy?: LevelledOther,
): HeightsOfRoom {
  const { room, card } = set;
  const { plan, strip, state } = ground;
  const figure = figuresOf(set.figures, room.units);
  const floor = state && newFloor(set, strip, state, change);
  const joined = joinedOpenings(set);
  const run = breaksOfRun(set);
  const rules = openingRulesOf(set, figure);
  const addsMm = addsOf(set);
  const base = floor ? baseAlongOf(plan, room, floor) : () => [];
  const beyond = beyondOf({ set, ground, floor }, joined, groundOf, levelledBy);
  const beyondAt = (openingId: string) =>
    beyond.get(openingId)?.levels ?? levelsBeyond(set.levels, openingId, sightOf(state), base);
  const lyingMm = thicknessAt(room, layersLeft(set));
  const levelsOf = levelsOfRoom(set, sightOf(state), base);
  const undercuts = undercutsOf(set, plan, floor, beyondAt);
  const judged = judgeHeights({
    corners: plan.corners,
    openings: room.openings,
    fixtures: room.fixtures,
    levels: set.levels,
    sightMm: sightOf(state),
    baseAlong: base,
    leaves: newestOf(set.leaves, ({ openingId }) => openingId),
    appliances: newestOf(set.appliances, ({ fixtureId }) => fixtureId),
    goesOn: new Set(
      joined.flatMap(({ opening, other }) =>
        other.room.cardId === card.id &&
        !run.openingIds.includes(opening.sharedId!) &&
        run.joinedIds.includes(opening.sharedId!)
          ? [opening.id]
          : [],
      ),
    ),
    beyond: new Map([...beyond].map(([id, { levels }]) => [id, levels])),
    finishedAt: floor?.finishedAt ?? (() => null),
    buildUpMm: addsMm.new,
    offMm: floor?.offMm ?? 0,
    rules,
    nodes: state ? nodesUnderLeaves(state, plan, room.openings) : [],
  });
  return {
    judged,
    places: heightPlaces(plan, room, floor, lyingMm),
    buildUp: buildUpOf(set.buildUps, card),
    addsMm,
    overOldFloor: floor?.old.goes ?? false,
    isRead: state !== null,
    joined: joined.map(({ opening, other, far }) => ({
      openingId: opening.id,
      roomId: other.room.id,
      farId: far.id,
      readBeyond: beyond.get(opening.id)?.readThere ?? false,
    })),
    run,
    rules,
    stairs: stairsOf(set, { plan, strip, floor }, figure, addsMm.new),
    skirting: skirtingOf(
      set,
      { plan, strip, floor },
      { addsMm: addsMm.new, architraveMm: figure('architrave-mm') },
      levelsOf,
    ),
    worktops: worktopsOf(room, floor, lyingMm, levelsOf),
    guards: guardsOf(room, plan, floor, levelsOf, figure('guard-least-mm')),
    finished: floor && state && finishedMap(state, floor),
    waysOut,
    undercuts,
    sealantMm: sealantMm(
      room.openings,
      undercuts.filter(({ treatment, side }) => treatment === 'scribe' && side === 'here').length,
    ),
  };
}

/** Places of the map under the leaves that swing over it, so that what lies between samples of a swing is heard. */
function nodesUnderLeaves({ judged }: FlatState, { corners }: Plan, openings: readonly Opening[]): PointMm[] {
  const hinges = openings.flatMap((opening) => {
    if (opening.kind !== 'door' || opening.swing !== 'in') return [];
    const { wall, fromMm, widthMm, hinge } = opening;
    return [{ at: pointOnWall(corners, wall, hinge === 'start' ? fromMm : fromMm + widthMm), widthMm }];
  });
  return Array.from(judged.inside.keys()).flatMap((cell) => {
    if (hinges.length === 0 || !judged.inside[cell]) return [];
    const node = cellCentre(judged, cell);
    return hinges.some(({ at, widthMm }) => distanceMm(at, node) <= widthMm) ? [node] : [];
  });
}
