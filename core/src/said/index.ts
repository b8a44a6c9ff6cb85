export { area, bulk, decimals, gap, gapFigure, mass, massPerArea, reach, rod, span, volume } from './quantity.ts';
export type { Quantity, QuantityKind } from './quantity.ts';
export { allOf, listed, lower, midSentence, say, saysTheSame, sentence } from './said.ts';
export type { Listed, Lowered, Said, Sayable, Value, Values } from './said.ts';
