export type { FigureSpec } from './figure.ts';
export { type FigureName, type FigureOf, FIGURES, figuresOf, isFigure, type OwnFigure } from './figures.ts';
export { LEVELLING_FIGURES } from './levelling-figures.ts';
