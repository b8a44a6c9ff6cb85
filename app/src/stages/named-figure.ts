import type { FigureSpec } from '@maquette/core/figures';

/** A figure of the job with the name it is kept under. */
export type NamedFigure = [name: string, spec: FigureSpec];
