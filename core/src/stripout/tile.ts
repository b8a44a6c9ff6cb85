import type { Layer, Tap } from '../layers/index.ts';
import { inRegion, type Region } from '../room/index.ts';

/** What tapping a layer over a grid has told. */
export interface TapResult {
  grid: { xMm: number; yMm: number; key: string }[];
  tapped: number;
  hollow: number;
  hollowPct: number | null;
  /** Two or more hollow taps side by side: a loose field, whatever the share. */
  field: boolean;
}

/** The tapping grid over a layer's area, and what the taps on it said. One tap stands for one grid square. */
export function tapResult(
  region: Region,
  layer: Pick<Layer, 'id'>,
  taps: readonly Tap[],
  spacingMm: number,
): TapResult {
  const points = region.flatMap((part) => part[0]!);
  const grid: TapResult['grid'] = [];
  if (points.length > 0) {
    const x0 = Math.min(...points.map((p) => p[0]));
    const y0 = Math.min(...points.map((p) => p[1]));
    const x1 = Math.max(...points.map((p) => p[0]));
    const y1 = Math.max(...points.map((p) => p[1]));
    for (let y = y0 + spacingMm / 2; y < y1; y += spacingMm)
      for (let x = x0 + spacingMm / 2; x < x1; x += spacingMm)
        if (inRegion(region, x, y))
          grid.push({ xMm: Math.round(x), yMm: Math.round(y), key: `${Math.round(x)}:${Math.round(y)}` });
  }
  const own = taps.filter((tap) => tap.layerId === layer.id && inRegion(region, tap.xMm, tap.yMm));
  const hollow = own.filter((tap) => tap.sound === 'hollow');
  const field = hollow.some((a) =>
    hollow.some((b) => a !== b && Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) < spacingMm * 1.1),
  );
  return {
    grid,
    tapped: own.length,
    hollow: hollow.length,
    hollowPct: own.length === 0 ? null : (100 * hollow.length) / own.length,
    field,
  };
}
