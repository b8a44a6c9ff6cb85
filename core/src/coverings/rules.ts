import { gap, reach, say, type Said } from '../said/index.ts';
import { within, type Held } from '../fields/index.ts';

export const RULE_GAP_MM = { min: 0.2, max: 20 } as const;
export const RULE_EDGE_MM = { min: 150, max: 5000 } as const;

/** Allowed gap under an edge of a given length. Rules of one card combine with AND. */
export const RULE = { gapMm: within(RULE_GAP_MM, 'mm'), edgeMm: within(RULE_EDGE_MM, 'mm') } as const;
export type FlatnessRule = Held<typeof RULE>;

/** Rules practitioners commonly hold a floor to, from strict to lax by 4T/L^2. */
export const COMMON_RULES: readonly FlatnessRule[] = [
  { gapMm: 3, edgeMm: 3000 },
  { gapMm: 2, edgeMm: 2000 },
  { gapMm: 4.8, edgeMm: 3050 },
  { gapMm: 5, edgeMm: 3000 },
  { gapMm: 3, edgeMm: 2000 },
  { gapMm: 3.2, edgeMm: 1830 },
  { gapMm: 3, edgeMm: 1000 },
];

/** Curvature a rule allows, mm per m2: gap T under edge L admits z = c x^2 with c = 4T/L^2. Smaller is stricter. */
export function strictness(rule: FlatnessRule): number {
  return (4 * rule.gapMm) / (rule.edgeMm / 1000) ** 2;
}

/** `3 mm under 2 m`, or `1/8 in under 6 ft`. */
export function ruleWords(rule: FlatnessRule): Said {
  return say('coverings.under', { gapMm: gap(rule.gapMm), edgeMm: reach(rule.edgeMm) });
}

/** Whether two rules ask the same, to a twentieth of a millimetre and 5 mm of edge. */
export function sameRule(a: FlatnessRule, b: FlatnessRule): boolean {
  return Math.abs(a.gapMm - b.gapMm) < 0.05 && Math.abs(a.edgeMm - b.edgeMm) < 5;
}

/** Default station spacing: the smaller of 0.6 m and a third of the shortest edge of a long rule, mm. */
export function defaultSpacingMm(rules: readonly FlatnessRule[]): number {
  const long = rules.filter((rule) => rule.edgeMm >= 500).map((rule) => rule.edgeMm);
  return Math.min(600, ...long.map((edgeMm) => edgeMm / 3));
}
