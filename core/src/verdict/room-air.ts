import { airHistory, samplesOf, type AirHistory } from '../air/index.ts';
import type { DampContext } from '../damp/index.ts';

/** Air of the room over time, as the criterion and the screens show it. */
export function roomAir(ctx: DampContext): AirHistory {
  return airHistory(samplesOf(ctx.facts.airReadings, ctx.facts.airLogs), ctx.card, ctx.figure('air-gap-h'));
}
