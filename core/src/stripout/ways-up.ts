import { gap, lower, reach, say, type Said } from '../said/index.ts';
import { roundTo } from '../units/index.ts';
import type { StripContext } from './facts.ts';

/** A step up at an opening that a bar does not take, and what gets feet and wheels over it. */
export interface Offer {
  openingId: string;
  words: Said;
  /** The one that is reckoned with at this opening. */
  first: boolean;
  hours: number;
  /** What is bought for it, in the job's money. */
  material: number;
  /** Both, in the job's money. */
  cost: number;
}

/** A bevelled bar takes a step up to this, mm; above it a ramp is no steeper than 1 in 12. */
const BAR_MM = 13;
const RAMP = 12;

/** Ways over a step up that is over the job's limit, the one that is reckoned with first. */
export function waysUp(
  ctx: StripContext,
  opening: { openingId: string; name: Said; stepMm: number; widthMm: number },
): Offer[] {
  const { openingId, name, stepMm, widthMm } = opening;
  const widthM = widthMm / 1000;
  const priced = (hours: number, material: number) => ({
    hours,
    material,
    cost: hours * ctx.figure('labour-h') + material,
  });
  return [
    {
      openingId,
      first: true,
      words: say('stripout.rampUp', {
        opening: lower(name),
        step: gap(roundTo(stepMm, 0.1)),
        length: reach(Math.ceil(stepMm * RAMP)),
      }),
      ...priced(ctx.figure('ramp-h'), widthM * ctx.figure('ramp-cost-m')),
    },
    {
      openingId,
      first: false,
      words: say('stripout.lowerBuildUp', {
        opening: lower(name),
        by: gap(roundTo(stepMm - BAR_MM, 0.1)),
        most: gap(BAR_MM),
      }),
      ...priced(ctx.figure('bar-h'), widthM * ctx.figure('bar-cost-m')),
    },
  ];
}
