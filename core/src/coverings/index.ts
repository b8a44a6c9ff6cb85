export { findCard, isShipped, SHIPPED_CARDS } from './card.ts';
export { COMMON_RULES, defaultSpacingMm, type FlatnessRule, RULE, ruleWords, sameRule, strictness } from './rules.ts';
export {
  asFlag,
  CARD_RANGES,
  type CardFigure,
  type CoveringCard,
  FIRE_CLASSES,
  type FireClass,
  isWood,
  LAYING,
  MIXED_LENGTH,
  NOTHING_SAID_OF_LAYING,
  STATED_WORDS,
  type StatedWord,
  UNDER_PLANKS,
} from './facts.ts';
