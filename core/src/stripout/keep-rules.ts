import { gap, lower, say, type Said, type Sayable } from '../said/index.ts';
import { LAYERS, fromTheTop, layerName, type Layer } from '../layers/index.ts';
import { floorOf, mayOverlap, regionAt } from '../room/index.ts';
import { roundTo } from '../units/index.ts';
import type { StripContext } from './facts.ts';
import { tapResult } from './tile.ts';

/** Families of layers a covering's sheet may allow beneath it. */
const CARD_FAMILY = { tile: 'tile', resilient: 'resilient', wood: 'wood', panel: 'wood', mineral: 'mineral' } as const;

/** What stands against covering a layer whichever way, before its surface is looked at. */
function common(ctx: StripContext, layer: Layer): Sayable[] {
  const spec = LAYERS[layer.kind];
  if (spec.family === 'soft') return [say('stripout.softBeneath', { layer: spec.words })];
  if (spec.family === 'floating') return [say('stripout.aFloatingFloorMustNotLie')];
  if (spec.family === 'fill') return [say('stripout.looseFillCarriesNothing')];
  const refusals: Said[] = [];
  const family = CARD_FAMILY[spec.family];
  if (!ctx.card.layOver.includes(family))
    refusals.push(say('stripout.itsSheetDoesNotAllowBeneath', { card: ctx.card.name, family }));
  if (layer.condition === 'loose' || layer.condition === 'broken') refusals.push(say('stripout.itIsNotFirmWhatIs'));
  if (spec.family === 'resilient') {
    const others = fromTheTop(ctx.facts.layers).filter(
      (l) => l.id !== layer.id && LAYERS[l.kind].family === 'resilient' && mayOverlap(l.where, layer.where),
    );
    if (others.length > 0)
      refusals.push(say('stripout.thereIsMoreThanOneResilient', { layerName: lower(layerName(others[0]!)) }));
    if (layer.kind === 'sheet-resilient' && layer.thicknessMm > ctx.figure('vinyl-keep-mm'))
      refusals.push(
        say('stripout.thickUpToMayBeCovered', {
          thicknessMm: gap(layer.thicknessMm),
          vinylKeepMm: gap(ctx.figure('vinyl-keep-mm')),
        }),
      );
    if (layer.fixing !== 'glued' && layer.kind === 'sheet-resilient')
      refusals.push(say('stripout.itIsNotBondedAllOver'));
  }
  if (spec.family === 'tile') refusals.push(...tileRefusals(ctx, layer));
  if (layer.kind === 'adhesive-residue' && ctx.card.kind === 'glue-down-vinyl')
    refusals.push(say('stripout.oldAdhesiveUnderNewBondAnd'));
  return refusals;
}

function tileRefusals(ctx: StripContext, layer: Layer): Said[] {
  const region = regionAt(floorOf(ctx.plan), ctx.room.lines, layer.where);
  const taps = tapResult(region, layer, ctx.facts.taps, ctx.figure('tap-mm'));
  const most = ctx.figure('tile-hollow-pct');
  if (taps.hollowPct === null) return [say('stripout.notTappedYetHowMuchOf')];
  const refusals: Said[] = [];
  if (taps.hollowPct > most)
    refusals.push(
      say('stripout.hollowOfTapsOver', {
        hollowPct: roundTo(taps.hollowPct, 0.1),
        hollow: taps.hollow,
        tapped: taps.tapped,
        most,
      }),
    );
  if (taps.field) refusals.push(say('stripout.aLooseFieldHollowTapsSide'));
  return refusals;
}

/** Lippage a covering's card lets stand: its step, else the allowed gap of its strictest rule. */
function lippageLimit(ctx: StripContext): number {
  return ctx.card.stepMm ?? Math.min(...ctx.card.rules.map((rule) => rule.gapMm));
}

/** Why a layer may not be kept as it is. Empty: it may. */
export function keepRefusals(ctx: StripContext, layer: Layer): Sayable[] {
  const refusals = common(ctx, layer);
  const { family } = LAYERS[layer.kind];
  if (family === 'tile') {
    const wide = ctx.figure('tile-grout-mm');
    if (layer.groutMm === null) refusals.push(say('stripout.groutLineWidthIsNotMeasured'));
    else if (layer.groutMm > wide)
      refusals.push(say('stripout.groutLinesWideOverTheyAre', { groutMm: gap(layer.groutMm), wide: gap(wide) }));
    if (layer.lippageMm === null) refusals.push(say('stripout.lippageIsNotMeasured'));
    else if (layer.lippageMm > lippageLimit(ctx))
      refusals.push(
        say('stripout.lippageTheCardLetsStand', {
          lippageMm: gap(layer.lippageMm),
          lippageLimit: gap(lippageLimit(ctx)),
        }),
      );
  }
  if (layer.kind === 'sheet-resilient' && layer.condition === 'worn')
    refusals.push(say('stripout.wornThroughOrTexturedSkimIt'));
  if (layer.kind === 'nailed-boards' && layer.condition === 'worn')
    refusals.push(say('stripout.boardsWorkScrewThemDownFirst'));
  if (ctx.card.kind === 'glue-down-vinyl' && (family === 'resilient' || family === 'tile'))
    refusals.push(say('stripout.aGluedFloorShowsEveryJoint'));
  return refusals;
}

/** Why a layer may not be made good and covered. Empty: it may. */
export function makeGoodRefusals(ctx: StripContext, layer: Layer, known: boolean): Sayable[] {
  if (!known) return [...common(ctx, layer), say('stripout.thereIsNoUsualWayTo')].slice(0, 2);
  return common(ctx, layer);
}
