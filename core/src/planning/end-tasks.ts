import { say } from '../said/index.ts';
import type { Chain } from './draft.ts';
import type { Furnishing } from './facts.ts';
import type { RoomGround } from './room-ground.ts';

/** Bars that are fixed with what the strip-out and the heights price for one. */
const NO_BAR = ['run-through', 'make-good', 'measure'] as const;

/** What comes back once planks lie: skirting, bars, doors, toilet, appliances, furniture; heating on again, and the floor handed over. */
export function endTasks(g: RoomGround, chain: Chain, furnishing: Furnishing | null): void {
  const { figure, assessment, set, perimeterM } = g;
  const { strip, heights } = assessment;
  const openings = heights?.judged.openings ?? [];
  const skirtingM =
    heights && heights.skirting.length > 0
      ? heights.skirting.reduce((sum, { lengthMm }) => sum + lengthMm, 0) / 1000
      : perimeterM;
  if (strip.trimOff) chain.work('end', 'skirting', say('planning.skirtingOn'), skirtingM * figure('skirting-on-h-m'));
  const bars = openings.filter(({ bar }) => !(NO_BAR as readonly string[]).includes(bar.kind));
  chain.work('end', 'bars', say('planning.bars', { count: bars.length }), bars.length * figure('bar-h'));
  const leaves = openings.filter(({ leaf }) => leaf?.what === 'trim').length;
  chain.work('end', 'doors', say('planning.doors', { count: leaves }), leaves * figure('leaf-trim-h'));
  const toilets = set.room.fixtures.filter(({ kind }) => kind === 'toilet').length;
  if (chain.tasks.some(({ key }) => key === `${set.room.id}/strip/toilet`))
    chain.work('end', 'toilet', say('planning.toiletBack'), toilets * figure('toilet-on-h'));
  const back = set.room.fixtures.filter(({ kind }) => kind === 'radiator' || kind === 'appliance').length;
  chain.work('end', 'appliances', say('planning.appliancesBack', { count: back }), back * figure('appliance-h'));
  if (chain.tasks.some(({ key }) => key === `${set.room.id}/strip/furniture`))
    chain.work('end', 'furniture', say('planning.furnitureBack'), furnishing?.hours ?? 0, { mostPeople: 2 });
  if (chain.tasks.some(({ key }) => key.endsWith('/heating/off'))) {
    chain.wait('heating', 'on-stands', say('planning.heatingStays'), figure('heat-off-h'));
    chain.work('heating', 'on', say('planning.heatingOn'), 0.25, { unbroken: true });
  }
  chain.work('end', 'hand-over', say('planning.handOver'), figure('hand-over-h'), { unbroken: true });
}
