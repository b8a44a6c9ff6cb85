export { findCard, isShipped, SHIPPED_CARDS } from './card.ts';
export { COMMON_RULES, defaultSpacingMm, type FlatnessRule, RULE, ruleWords, sameRule, strictness } from './rules.ts';
export { CARD_RANGES, type CardFigure, type CoveringCard, isWood } from './facts.ts';
