import { LAYERS, fromTheTop, layerName, type Layer } from '../layers/index.ts';
import { floorOf, mayOverlap, regionAt } from '../room/index.ts';
import { gapWords, roundTo } from '../units/index.ts';
import type { StripContext } from './facts.ts';
import type { StepAt } from './step-at.ts';
import { tapResult } from './tile.ts';

/** Families of layers a covering's sheet may allow beneath it. */
const CARD_FAMILY = { tile: 'tile', resilient: 'resilient', wood: 'wood', panel: 'wood', mineral: 'mineral' } as const;

function tooHigh(ctx: StripContext, steps: readonly StepAt[]): string[] {
  const most = ctx.figure('height-mm');
  return steps
    .filter((s) => s.stepMm !== null && s.stepMm > most)
    .map((s) => `${gapWords(s.stepMm!, ctx.room.units)} up at the ${s.name}: over ${gapWords(most, ctx.room.units)}`);
}

/** What stands against covering a layer whichever way, before its surface is looked at. */
function common(ctx: StripContext, layer: Layer, steps: readonly StepAt[]): string[] {
  const spec = LAYERS[layer.kind];
  const { units } = ctx.room;
  if (spec.family === 'soft')
    return [`${spec.words} is never covered: a floor on something soft works its joints loose`];
  if (spec.family === 'floating') return ['A floating floor must not lie on another'];
  if (spec.family === 'fill') return ['Loose fill carries nothing'];
  const refusals: string[] = [];
  const family = CARD_FAMILY[spec.family];
  if (!ctx.card.layOver.includes(family)) refusals.push(`${ctx.card.name}: its sheet does not allow ${family} beneath`);
  if (layer.condition === 'loose' || layer.condition === 'broken')
    refusals.push('It is not firm: what is loose stays loose under the floor');
  if (spec.family === 'resilient') {
    const others = fromTheTop(ctx.facts.layers).filter(
      (l) => l.id !== layer.id && LAYERS[l.kind].family === 'resilient' && mayOverlap(l.where, layer.where),
    );
    if (others.length > 0)
      refusals.push(`There is more than one resilient layer (${layerName(others[0]!).toLowerCase()} too)`);
    if (layer.kind === 'sheet-resilient' && layer.thicknessMm > ctx.figure('vinyl-keep-mm'))
      refusals.push(
        `${gapWords(layer.thicknessMm, units)} thick: up to ${gapWords(ctx.figure('vinyl-keep-mm'), units)} may be covered, more is a cushion`,
      );
    if (layer.fixing !== 'glued' && layer.kind === 'sheet-resilient') refusals.push('It is not bonded all over');
  }
  if (spec.family === 'tile') refusals.push(...tileRefusals(ctx, layer));
  if (layer.kind === 'adhesive-residue' && ctx.card.kind === 'glue-down-vinyl')
    refusals.push('Old adhesive under new: bond and tack cannot be relied on');
  return [...refusals, ...tooHigh(ctx, steps)];
}

function tileRefusals(ctx: StripContext, layer: Layer): string[] {
  const region = regionAt(floorOf(ctx.plan), ctx.room.lines, layer.where);
  const taps = tapResult(region, layer, ctx.facts.taps, ctx.figure('tap-mm'));
  const most = ctx.figure('tile-hollow-pct');
  if (taps.hollowPct === null) return ['Not tapped yet: how much of it is hollow is not known'];
  const refusals: string[] = [];
  if (taps.hollowPct > most)
    refusals.push(`${roundTo(taps.hollowPct, 0.1)} % hollow (${taps.hollow} of ${taps.tapped} taps): over ${most} %`);
  if (taps.field) refusals.push('A loose field: hollow taps side by side are taken up and patched');
  return refusals;
}

/** Lippage a covering's card lets stand: its step, else the allowed gap of its strictest rule. */
function lippageLimit(ctx: StripContext): number {
  return ctx.card.stepMm ?? Math.min(...ctx.card.rules.map((rule) => rule.gapMm));
}

/** Why a layer may not be kept as it is. Empty: it may. */
export function keepRefusals(ctx: StripContext, layer: Layer, steps: readonly StepAt[]): string[] {
  const refusals = common(ctx, layer, steps);
  const { family } = LAYERS[layer.kind];
  const { units } = ctx.room;
  if (family === 'tile') {
    const wide = ctx.figure('tile-grout-mm');
    if (layer.groutMm === null) refusals.push('Grout line width is not measured');
    else if (layer.groutMm > wide)
      refusals.push(
        `Grout lines ${gapWords(layer.groutMm, units)} wide: over ${gapWords(wide, units)} they are skimmed level first`,
      );
    if (layer.lippageMm === null) refusals.push('Lippage is not measured');
    else if (layer.lippageMm > lippageLimit(ctx))
      refusals.push(
        `Lippage ${gapWords(layer.lippageMm, units)}: the card lets ${gapWords(lippageLimit(ctx), units)} stand`,
      );
  }
  if (layer.kind === 'sheet-resilient' && layer.condition === 'worn')
    refusals.push('Worn through or textured: skim it first');
  if (layer.kind === 'nailed-boards' && layer.condition === 'worn') refusals.push('Boards work: screw them down first');
  if (ctx.card.kind === 'glue-down-vinyl' && (family === 'resilient' || family === 'tile'))
    refusals.push('A glued floor shows every joint and pattern beneath it: skim first');
  return refusals;
}

/** Why a layer may not be made good and covered. Empty: it may. */
export function makeGoodRefusals(ctx: StripContext, layer: Layer, steps: readonly StepAt[], known: boolean): string[] {
  if (!known) return [...common(ctx, layer, steps), 'There is no usual way to make it good'].slice(0, 2);
  return common(ctx, layer, steps);
}
