import { answerTo } from '../fields/index.ts';
import { LAYERS, type Layer } from '../layers/index.ts';
import { perimeterMm } from '../room/index.ts';
import type { StripContext } from './facts.ts';
import { layerAreaM2, rateOf } from './layer-area.ts';
import { SCHOOL } from './schools.ts';

/** Hours of one person that taking up one layer comes to, part by part. */
interface RemovalHours {
  lift: number;
  /** Freeing it from the recess under cabinets. */
  undercut: number;
  gripper: number;
  staples: number;
}

/** Length of wall a gripper is nailed along, mm: the room's walls less its openings. */
export const gripperMm = (ctx: StripContext): number =>
  Math.max(0, perimeterMm(ctx.plan.corners) - ctx.room.openings.reduce((sum, o) => sum + o.widthMm, 0));

/** Whether this room pulls staples that are left behind, or sinks them. */
export const pullsStaples = (ctx: StripContext): boolean =>
  (answerTo(ctx.facts.answers, SCHOOL['school/staples']) ?? 'pull') === 'pull';

/** Width of cabinets in front of which a sawn layer is freed by hand, mm; 0 where it is not sawn. */
export const undercutMmOf = (ctx: StripContext, layer: Layer): number =>
  LAYERS[layer.kind].cut === 'squares'
    ? ctx.room.fixtures.filter((f) => f.kind === 'cabinet' && !f.round).reduce((sum, f) => sum + f.widthMm, 0)
    : 0;

/** Hours of taking a layer up. Behind a shut gate only its area counts: nothing is planned of how it is done. */
export function removalHours(ctx: StripContext, layer: Layer, open: boolean): RemovalHours {
  const areaM2 = layerAreaM2(ctx, layer);
  return {
    lift: areaM2 * rateOf(ctx, layer, 'hours'),
    undercut: open ? (undercutMmOf(ctx, layer) / 1000) * ctx.figure('undercut-h-m') : 0,
    gripper: open && layer.fixing === 'tacked' ? (gripperMm(ctx) / 1000) * ctx.figure('gripper-h-m') : 0,
    staples:
      open && layer.fixing === 'stapled' ? areaM2 * ctx.figure(pullsStaples(ctx) ? 'staples-h-m2' : 'sink-h-m2') : 0,
  };
}

export const sumOfHours = ({ lift, undercut, gripper, staples }: RemovalHours): number =>
  lift + undercut + gripper + staples;
