import type { Said } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import { LAYERS, layerName, type Layer } from '../layers/index.ts';

/** Debris of one kind: what it weighs loose, and what carries it away. */
interface Debris {
  words: Said;
  bulk: 'soft' | 'mineral';
  massKg: number;
  volumeM3: number;
  bags: number;
}

export interface DebrisTotal {
  kinds: Debris[];
  massKg: number;
  volumeM3: number;
  bags: number;
  skips: number;
  carries: number;
}

/** Volume = mass / bulk density; bags filled to weight or to the brim, whichever comes first; skips likewise. */
export function debrisOf(parts: readonly { layer: Layer; massKg: number }[], figure: FigureOf): DebrisTotal {
  const kinds = parts
    .filter((p) => p.massKg > 0)
    .map(({ layer, massKg }): Debris => {
      const bulk = LAYERS[layer.kind].debris;
      const volumeM3 = massKg / figure(bulk === 'soft' ? 'bulk-soft' : 'bulk-mineral');
      const bags = Math.max(Math.ceil(massKg / figure('bag-kg')), Math.ceil((volumeM3 * 1000) / figure('bag-l')));
      return { words: layerName(layer), bulk, massKg, volumeM3, bags };
    });
  const massKg = kinds.reduce((sum, k) => sum + k.massKg, 0);
  const volumeM3 = kinds.reduce((sum, k) => sum + k.volumeM3, 0);
  return {
    kinds,
    massKg,
    volumeM3,
    bags: kinds.reduce((sum, k) => sum + k.bags, 0),
    skips: massKg === 0 ? 0 : Math.max(Math.ceil(massKg / figure('skip-kg')), Math.ceil(volumeM3 / figure('skip-m3'))),
    carries: Math.ceil(massKg / figure('carry-kg')),
  };
}
