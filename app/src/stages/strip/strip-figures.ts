import {
  FIGURES,
  HEIGHT_FIGURES,
  SETOUT_FIGURES,
  UNDER_FIGURES,
  LEVELLING_FIGURES,
  type FigureName,
  type FigureSpec,
} from '@maquette/core/figures';
import { LAYERS, type Layer } from '@maquette/core/layers';
import type { NamedFigure } from '../named-figure.ts';
import { say } from '@maquette/core/said';

/** Figures strip-out works with: hours and debris of the kinds that lie there, then the job's own. */
export function stripFigures(layers: readonly Layer[]): NamedFigure[] {
  const kinds = [...new Set(layers.map((layer) => layer.kind))];
  const rates = kinds.flatMap((kind): NamedFigure[] => [
    [
      `hours/${kind}`,
      {
        words: say('stripout.takingUp', { layer: LAYERS[kind].words }),
        value: LAYERS[kind].hoursM2,
        unit: 'h/m²',
        min: 0.005,
        max: 10,
        source: say('figures.usual'),
      },
    ],
    [
      `kg/${kind}`,
      {
        words: say('stripout.debrisOf', { layer: LAYERS[kind].words }),
        value: LAYERS[kind].kgM2,
        unit: 'kg/m²',
        min: 0.1,
        max: 400,
        source: say('stripout.weighAPiece'),
      },
    ],
  ]);
  const names = (Object.keys(FIGURES) as FigureName[]).filter(
    (name) =>
      !(name in LEVELLING_FIGURES) &&
      !(name in HEIGHT_FIGURES) &&
      !(name in UNDER_FIGURES) &&
      !(name in SETOUT_FIGURES),
  );
  return [...rates, ...names.map((name): [string, FigureSpec] => [name, FIGURES[name]])];
}
