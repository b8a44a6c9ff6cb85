export { type FigureSpec, PRICE } from './figure.ts';
export { type FigureName, FIGURES, isFigure } from './figures.ts';
export { usualOf } from './imperial.ts';
export { type FigureOf, figuresOf, type OwnFigure } from './own.ts';
export { HEIGHT_FIGURES } from './height-figures.ts';
export { LEVELLING_FIGURES } from './levelling-figures.ts';
export { SETOUT_FIGURES } from './setout-figures.ts';
export { UNDER_FIGURES } from './under-figures.ts';
export { ALL_FIGURES, type AnyFigureName, type AnyFigureOf, JOB_FIGURES, jobFiguresOf } from './job-figures.ts';
