import { LAYERS, type Layer } from '../layers/index.ts';
import {
  FIXTURES,
  fixtureOutline,
  floorOf,
  regionAreaM2,
  regionAt,
  regionOf,
  together,
  without,
  type Region,
} from '../room/index.ts';
import type { StripContext } from './facts.ts';

/** Where a layer can be got at: its area less what stands on the floor. */
export function layerRegion(ctx: StripContext, layer: Layer): Region {
  return regionAt(floorOf(ctx.plan), ctx.room.lines, layer.where);
}

export function holesOf(ctx: StripContext, growMm: number): Region {
  const holes = ctx.room.fixtures.filter((f) => FIXTURES[f.kind].standing === 'hole');
  return together(holes.map((f) => regionOf(fixtureOutline(f, f.kind === 'pipe' ? growMm : 0))));
}

/** Area of a layer that can be got at, m2: what comes through it taken off. */
export function layerAreaM2(ctx: StripContext, layer: Layer): number {
  const held = ctx.areasM2.get(layer.id);
  if (held !== undefined) return held;
  const areaM2 = regionAreaM2(without(layerRegion(ctx, layer), holesOf(ctx, 0)));
  ctx.areasM2.set(layer.id, areaM2);
  return areaM2;
}

/** A rate of hours or kilograms for a kind of layer: the job's own where one is written, else the kind's. */
export function rateOf(ctx: StripContext, layer: Layer, what: 'hours' | 'kg'): number {
  const own = ctx.facts.figures.find((f) => f.name === `${what}/${layer.kind}`)?.value;
  return own ?? (what === 'hours' ? LAYERS[layer.kind].hoursM2 : LAYERS[layer.kind].kgM2);
}
