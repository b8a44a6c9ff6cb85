import { COMMON_RULES, sameRule, type FlatnessRule } from '../coverings/index.ts';
import type { Plan } from '../room/index.ts';
import { extremesOf, type Extreme } from './extremes.ts';
import type { FlatFacts } from './facts.ts';
import { floorSurface, READINGS_FOR_TILT, type FloorSurface, type SurfaceOptions } from './floor-surface.ts';
import { deviation, gapMap, SHOWN_DIRECTIONS, worstOf, type Placement } from './gap-map.ts';
import type { Grid } from './grid.ts';
import { levelnessOf, type Levelness } from './levelness.ts';
import { worstPlacements } from './placements.ts';

/** Rules with a shorter edge than this are judged by short-edge walks and lips, not by stations. */
const SHORTEST_MAPPED_EDGE_MM = 500;

export interface RuleResult {
  rule: FlatnessRule;
  worst: Placement | null;
  /** Worst value less the allowed gap: over when positive. mm. */
  overMm: number;
  placements: Placement[];
  extremes: Extreme[];
  deviationMm: Float64Array;
}

export interface FlatState extends FloorSurface {
  levelness: Levelness | null;
  /** Rules the stations can judge, the one with the largest excess first. */
  rules: RuleResult[];
  /** Rules that need lips or short-edge walks. */
  unseen: FlatnessRule[];
}

interface FlatOptions extends SurfaceOptions {
  contactsOnly?: boolean;
  /** Told of the surface before the rules are asked: a map can be drawn from it meanwhile. */
  surfaced?: (floor: FloorSurface) => void;
}

/** Everything flatness says of a floor from its readings, or null when there is no reading to go by. */
export function judgeFlat(
  plan: Plan,
  facts: FlatFacts,
  rules: readonly FlatnessRule[],
  { contactsOnly = false, surfaced, ...options }: FlatOptions = {},
): FlatState | null {
  const floor = floorSurface(plan, facts, rules, options);
  if (!floor) return null;
  surfaced?.(floor);
  const { judged, surfaceMm, plane } = floor;
  return {
    ...floor,
    // An edge laid on a floor says nothing of its level: staffs do, where there are enough for its tilt, or a scan.
    levelness:
      floor.heights.heights.length >= READINGS_FOR_TILT || floor.scanned ? levelnessOf(judged, surfaceMm, plane) : null,
    rules: rules
      .filter((rule) => rule.edgeMm >= SHORTEST_MAPPED_EDGE_MM)
      .map((rule) => judgeRule(judged, surfaceMm, rule, contactsOnly))
      .sort((a, b) => b.overMm - a.overMm),
    unseen: rules.filter((rule) => rule.edgeMm < SHORTEST_MAPPED_EDGE_MM),
  };
}

function judgeRule(grid: Grid, surfaceMm: Float64Array, rule: FlatnessRule, contactsOnly: boolean): RuleResult {
  const map = gapMap(grid, surfaceMm, { edgeMm: rule.edgeMm, directions: SHOWN_DIRECTIONS, limitMm: rule.gapMm });
  if (contactsOnly) map.over = map.over.filter((p) => p.kind === 'gap');
  const worst = worstOf(map, contactsOnly);
  return {
    rule,
    worst,
    overMm: (worst?.valueMm ?? 0) - rule.gapMm,
    placements: worstPlacements(map.over.length > 0 ? map.over : worst ? [worst] : [], rule.edgeMm),
    extremes: extremesOf(grid, map, rule),
    deviationMm: deviation(map, contactsOnly),
  };
}

export interface SchoolResult {
  rule: FlatnessRule;
  worstMm: number;
  overMm: number;
  chosen: boolean;
}

/** How the same floor fares under each common rule, the card's own included. */
export function underEachSchool(
  state: FlatState,
  chosen: readonly FlatnessRule[],
  contactsOnly: boolean,
): SchoolResult[] {
  const list = [...chosen.filter((rule) => !COMMON_RULES.some((common) => sameRule(common, rule))), ...COMMON_RULES];
  return list
    .filter((rule) => rule.edgeMm >= SHORTEST_MAPPED_EDGE_MM)
    .map((rule) => {
      const known = state.rules.find((result) => sameRule(result.rule, rule));
      const worstMm = known
        ? known.overMm + known.rule.gapMm
        : (worstOf(gapMap(state.judged, state.surfaceMm, { edgeMm: rule.edgeMm }), contactsOnly)?.valueMm ?? 0);
      return { rule, worstMm, overMm: worstMm - rule.gapMm, chosen: chosen.some((own) => sameRule(own, rule)) };
    });
}
