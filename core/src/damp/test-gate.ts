import { mayDo, stopsOfServices, type Gate } from '../hazards/index.ts';
import type { PointMm } from '../room/index.ts';
import type { DampContext } from './facts.ts';
import type { DampMethod } from './method-names.ts';
import { METHOD_SPECS } from './methods.ts';
import { facesOf } from './result.ts';
import { probeDepthMm } from './values.ts';

/** Where a test is made, and how deep it goes into the base: without a thickness as deep as its kind of work does as a rule. */
function placed(ctx: DampContext, method: DampMethod, at: PointMm) {
  const { slabMm } = ctx.room.base;
  // A carbide sample is taken from the lower half, or over the full depth.
  const deepMm =
    slabMm === null
      ? null
      : method === 'probe'
        ? probeDepthMm(slabMm, facesOf(ctx))
        : method === 'carbide'
          ? slabMm
          : null;
  return { at: { points: [at] }, ...(deepMm === null ? {} : { deepMm }) };
}

/** May a test by this method be made in the floor as it lies now; at a place, with what is drawn beneath it? */
export const testGate = (ctx: DampContext, method: DampMethod, at?: PointMm): Gate =>
  mayDo(ctx.hazards, METHOD_SPECS[method].gate, {
    layers: ctx.layers,
    base: true,
    ...(at ? placed(ctx, method, at) : {}),
  });

/** Whether a test at a place stays clear of what is drawn in the base. */
export const clearOfServices = (ctx: DampContext, method: DampMethod, at: PointMm): boolean =>
  stopsOfServices(METHOD_SPECS[method].gate, ctx.hazards, placed(ctx, method, at)).length === 0;
