import { areasOf, regionAreaM2, type Area, type DividingLine, type Region } from '../room/index.ts';
import { stackAt, type Layer } from './facts.ts';

/** An area of the floor with what lies there, from the top down. */
export interface AreaStack extends Area {
  label: string;
  areaM2: number;
  layers: Layer[];
  thicknessMm: number;
}

/** All areas the dividing lines make, each with its stack of layers: what the sheet and the section show. */
export function areaStacks(floor: Region, lines: readonly DividingLine[], layers: readonly Layer[]): AreaStack[] {
  return areasOf(floor, lines).map((area, i) => {
    const stack = stackAt(layers, area.where);
    return {
      ...area,
      label: String.fromCharCode(65 + (i % 26)),
      areaM2: regionAreaM2(area.region),
      layers: stack,
      thicknessMm: stack.reduce((sum, layer) => sum + layer.thicknessMm, 0),
    };
  });
}
