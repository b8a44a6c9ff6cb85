import type { Patch } from '@maquette/core/levelling';
import type { ShownWay } from './shown-ways.ts';

/** Places of the chosen way to work on, fills first. */
export function areasOf(way: ShownWay | undefined): { area: Patch; what: 'fill' | 'grind' }[] {
  if (!way?.way) return [];
  return [
    ...way.way.patches.map((area) => ({ area, what: 'fill' as const })),
    ...way.way.grinding.map((area) => ({ area, what: 'grind' as const })),
  ];
}
