export { findCard, isShipped, SHIPPED_CARDS } from './card.ts';
export {
  COMMON_RULES,
  defaultSpacingMm,
  type FlatnessRule,
  RULE_EDGE_MM,
  RULE_GAP_MM,
  ruleWords,
  sameRule,
  strictness,
} from './rules.ts';
export { CARD_RANGES, type CardFigure, type CoveringCard, LONGEST_RUN_M, STEP_MM } from './facts.ts';
