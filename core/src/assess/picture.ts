import type { Said } from '../said/index.ts';
import type { FlatnessRule } from '../coverings/index.ts';
import {
  achievedOf,
  levelMap,
  smallestSeen,
  acrossJoists,
  SCAN_ALONE_SHARE,
  joistsOf,
  planeAt,
  profileOf,
  type Achieved,
  type BreakLine,
  type ScanState,
  type FloorSurface,
  type LevellingWork,
  type LevelMap,
  type Placement,
  type Profile,
  type RuleResult,
  type SetUpState,
  type Station,
} from '../flat/index.ts';
import type { RoomAssessment } from './assess-room.ts';
import type { HeightsOfRoom } from './heights-of.ts';
import type { LayState } from './lay-state.ts';
import type { UnderOfRoom } from './under-of.ts';
import type { DampState } from '../damp/index.ts';
import type { BaseKind, PointMm, RoomFacts } from '../room/index.ts';
import { shownFailure, type ShownFailure } from './shown-failure.ts';
import { shownLevel, type ShownLevel } from './shown-level.ts';
import type { StripPlan } from '../stripout/index.ts';
import { placeWords, type Criterion, type Verdict } from '../verdict/index.ts';

/** A placement of the edge with all that is needed to show and explain it. */
export interface ShownPlacement {
  placement: Placement;
  place: Said;
  profile: Profile;
}

export interface ShownExtreme {
  label: string;
  kind: 'high' | 'low';
  areaM2: number;
  worstMm: number;
  at: [number, number];
  place: Said;
}

export interface ShownRule {
  rule: FlatnessRule;
  worstMm: number;
  overMm: number;
  placements: ShownPlacement[];
  extremes: ShownExtreme[];
}

/** What a screen shows of a room: small enough to cross from the worker at every reading. Lengths mm, plan coordinates. */
export interface RoomPicture {
  verdict: Verdict;
  criteria: Criterion[];
  /** The earliest time at which the same facts would be judged otherwise; null: at no time. */
  validUntil: string | null;
  spacingMm: number;
  stations: Station[];
  /** Height of each read station over the plane through the floor, and over the datum, mm. */
  levels: { stationKey: string; levelMm: number; heightMm: number; suspect: boolean }[];
  setups: SetUpState[];
  untied: number;
  rules: ShownRule[];
  map: LevelMap | null;
  coveredShare: number;
  /** Diameter of the largest circle without a reading, mm, and its middle. */
  blindMm: number | null;
  blindAt: [number, number] | null;
  /** Fall of the plane through the floor over its length: mm for each m, and the total across the room. */
  tiltMmPerM: number;
  noise: { rangeMm: number; nuggetMm: number } | null;
  /** Levelling that was done, newest first, predicted against achieved. */
  achieved: Achieved[];
  /** How sure the flatness is; null until it has been worked out. */
  failure: ShownFailure | null;
  /** A hump narrower than this may lie unseen, mm; null with too few readings. */
  smallestMm: number | null;
  /** How level it is, which flatness leaves out; null where nothing is read. */
  level: ShownLevel | null;
  /** What the map stands on. */
  witnesses: Witnesses | null;
  /** Scans that count, with what holds them. */
  scans: ScanState[];
  /** Places across the joists still to be read; empty where that is not asked for. */
  joistLine: PointMm[];
  /** Lines across which the surface is not carried. */
  breaks: readonly BreakLine[];
  strip: StripPlan;
  surfaceGates: RoomAssessment['surfaceGates'];
  laidOver: BaseKind;
  damp: DampState | null;
  /** Null where heights were left out. */
  heights: HeightsOfRoom | null;
  /** Null where it was left out. */
  under: UnderOfRoom | null;
  /** Null where the laying was left out. */
  lay: LayState | null;
}

/** What is drawn of the surface before anything is judged. */
export type SurfacePicture = Pick<RoomPicture, 'levels' | 'map'>;

/** The level map and the levels at the stations. */
export function surfacePicture(floor: FloorSurface): SurfacePicture {
  return {
    levels: floor.heights.heights.map((h) => ({
      stationKey: h.stationKey,
      heightMm: h.heightMm,
      levelMm: h.heightMm - planeAt(floor.plane, h.xMm, h.yMm),
      suspect: h.suspect,
    })),
    map: levelMap(floor),
  };
}

/** Classes of evidence, the best first, with how much of each there is. */
interface Witnesses {
  scanShare: number;
  edges: number;
  rods: number;
  planks: number;
}

const PROFILES_SHOWN = 4;

function shownRule(assessment: RoomAssessment, room: RoomFacts, result: RuleResult): ShownRule {
  const { plan, flat } = assessment;
  const { judged, surfaceMm } = flat!;
  let [highs, lows] = [0, 0];
  return {
    rule: result.rule,
    worstMm: result.overMm + result.rule.gapMm,
    overMm: result.overMm,
    placements: result.placements.slice(0, PROFILES_SHOWN).map((placement) => ({
      placement,
      place: placeWords(room, plan, placement.at),
      profile: profileOf(judged, surfaceMm, placement, result.rule.edgeMm),
    })),
    extremes: result.extremes.slice(0, 12).map((extreme) => ({
      label: extreme.kind === 'high' ? `H${++highs}` : `L${++lows}`,
      kind: extreme.kind,
      areaM2: extreme.areaM2,
      worstMm: extreme.worstMm,
      at: extreme.at,
      place: placeWords(room, plan, extreme.at),
    })),
  };
}

/** The least width a scan smoothed over its cells shows, mm: twice the smoothing. */
const SCAN_SEES_MM = 150;

/** The picture of an assessed room; `drawn` is what of it stands already. */
export function pictureOf(
  assessment: RoomAssessment,
  room: RoomFacts,
  works: readonly LevellingWork[] = [],
  drawn?: SurfacePicture | null,
): RoomPicture {
  const {
    verdict,
    criteria,
    plan,
    spacingMm,
    stations,
    flat,
    chance,
    strip,
    surfaceGates,
    laidOver,
    damp,
    heights,
    under,
    lay,
  } = assessment;
  const achieved = achievedOf(works, flat?.heights.heights ?? []);
  const blank = {
    verdict,
    criteria,
    validUntil: assessment.validUntil,
    spacingMm,
    stations,
    levels: [],
    setups: [],
    untied: 0,
    rules: [],
    map: null,
    coveredShare: 0,
    blindMm: null,
    blindAt: null,
    tiltMmPerM: 0,
    noise: null,
    achieved,
    failure: null,
    smallestMm: null,
    level: null,
    witnesses: null,
    scans: [],
    joistLine: [],
    breaks: [],
    strip,
    surfaceGates,
    laidOver,
    damp,
    heights,
    under,
    lay,
  };
  if (!flat) return blank;
  return {
    ...blank,
    ...(drawn ?? surfacePicture(flat)),
    setups: flat.heights.setups,
    untied: flat.heights.untied,
    rules: flat.rules.map((result) => shownRule(assessment, room, result)),
    coveredShare: flat.evidence.coveredShare,
    blindMm: Number.isFinite(flat.evidence.blindMm) ? flat.evidence.blindMm : null,
    blindAt: flat.evidence.blindAt,
    tiltMmPerM: Math.hypot(flat.plane.slopeX, flat.plane.slopeY) * 1000,
    failure: chance ? shownFailure(chance, room, plan, flat.evidence.coveredShare) : null,
    smallestMm: (flat.scanned?.seenShare ?? 0) >= SCAN_ALONE_SHARE ? SCAN_SEES_MM : smallestSeen(flat.surface.sites),
    level: shownLevel(assessment, room),
    witnesses: {
      scanShare: flat.scanned?.seenShare ?? 0,
      edges: flat.walks.filter(({ tool }) => tool === 'straightedge').length,
      rods: flat.heights.heights.length,
      planks: flat.walks.filter(({ tool }) => tool === 'plank').length,
    },
    breaks: flat.breaks,
    scans: flat.scanned?.states ?? [],
    joistLine: criteria.some(({ id }) => id === 'flat-joists') ? acrossJoists(joistsOf(room)!, plan) : [],
    noise: { rangeMm: flat.covariance.rangeMm, nuggetMm: Math.sqrt(flat.covariance.nuggetMm2) },
  };
}
