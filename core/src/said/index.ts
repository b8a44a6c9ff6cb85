export {
  area,
  celsius,
  celsiusApart,
  dayOf,
  decimals,
  gap,
  gapFigure,
  mass,
  moment,
  reach,
  volume,
} from './quantity.ts';
export type { Quantity, QuantityKind } from './quantity.ts';
export { allOf, listed, lower, midSentence, say, sentence } from './said.ts';
export type { Listed, Lowered, Said, Sayable, Value, Values } from './said.ts';
