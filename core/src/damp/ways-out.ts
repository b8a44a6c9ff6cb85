import { area, dayOf, listed, say, type Said, type Sayable } from '../said/index.ts';
import { SHIPPED_CARDS, type CoveringCard } from '../coverings/index.ts';
import { answerTo } from '../fields/index.ts';
import { mayDoAll, stopSaid } from '../hazards/index.ts';
import { onGround } from './ground.ts';
import { MEMBRANE, SOURCE, WAY_OUT } from './questions.ts';
import type { WayOut } from './ways.ts';
import { planAreaM2, isTimber } from '../room/index.ts';
import type { DampContext } from './facts.ts';
import type { DampState } from './judge.ts';
import { ruleOfThumb, type DryingForecast } from './series.ts';

export const WAY_WORDS: Record<WayOut, Said> = {
  wait: say('damp.wayWordsWait'),
  source: say('damp.wayWordsSource'),
  membrane: say('damp.wayWordsMembrane'),
  'other-covering': say('damp.wayWordsOtherCovering'),
};

/** A way out of a reading over its limit, side by side with the others. */
interface WayOutRow {
  way: WayOut;
  allowed: boolean;
  /** Days until laying, in words. */
  time: Sayable;
  /** Null where it cannot be told. */
  cost: number | null;
  costWords: Said;
  unknown: Said;
  why: Said;
  chosen: boolean;
}

const DAY_MS = 86_400_000;

/** Why waiting and drying is no way out here: the ground feeds the slab for good. Null where it may be one. */
export function waitRefused(ctx: Pick<DampContext, 'room' | 'answers'>): Said | null {
  const membrane = answerTo(ctx.answers, MEMBRANE) ?? 'unknown';
  if (!onGround(ctx) || membrane === 'recorded') return null;
  if (membrane === 'bridged') return say('damp.bridgedFeedsIt');
  // Nothing recorded is none: below ground damp arrives from the sides as well.
  return membrane === 'none' || ctx.room.base.grade === 'below' ? say('damp.groundFeedsIt') : null;
}

/** The ways out, with time, cost and what remains unknown. Empty while nothing is over its limit. */
export function waysOut(
  ctx: DampContext,
  state: DampState,
  forecast: DryingForecast | null,
  cards: readonly CoveringCard[] = SHIPPED_CARDS,
): WayOutRow[] {
  const { over } = state;
  if (!over) return [];
  const { figure } = ctx;
  const areaM2 = planAreaM2(ctx.plan);
  const chosen = answerTo(ctx.answers, WAY_OUT);
  const source = answerTo(ctx.answers, SOURCE) ?? 'unknown';
  const rule = ruleOfThumb(ctx);
  const waitDays = forecast?.lateUtc
    ? Math.ceil((Date.parse(forecast.lateUtc) - Date.parse(ctx.atUtc)) / DAY_MS)
    : null;
  const sulfate = ctx.room.baseKind === 'calcium-sulfate-screed';
  const timber = isTimber(ctx.room.baseKind);
  const limit = figure('membrane-rh');
  // A membrane is laid on a floor that has been ground and primed for it.
  const gate = mayDoAll(ctx.hazards, ['grind', 'prime'], { layers: ctx.layers, base: true });
  const byRh = over.method === 'probe' || over.method === 'hood';
  const tolerant = cards.filter(
    (card) =>
      card.id !== ctx.card.id &&
      (over.method === 'probe'
        ? card.cementLimitRh >= over.result.value
        : over.method === 'pin' && card.timberLimitMc >= over.result.value),
  );
  const fed = waitRefused(ctx);
  const dryer = waitDays === null ? null : Math.max(0, waitDays) * figure('dryer-day');
  const row = (way: WayOut, rest: Omit<WayOutRow, 'way' | 'chosen'>): WayOutRow => ({
    way,
    ...rest,
    chosen: chosen === way,
  });
  return [
    row('wait', {
      allowed: (source === 'no' || source === 'unknown') && fed === null,
      time: fed
        ? say('damp.neverByWaiting')
        : forecast
          ? forecast.lateUtc
            ? say('damp.untilTo', { day: day(forecast.earlyUtc), day2: day(forecast.lateUtc) })
            : say('damp.notWithinThreeYearsAsThings')
          : rule
            ? say('damp.aboutDaysFromWeathertightByRule', { days: Math.round(rule.days) })
            : say('damp.notKnownReadAgainInA'),
      cost: dryer,
      costWords: say('damp.aDehumidifierForThatLongNothing'),
      unknown: say('damp.whetherDampStillArrivesFromBelow'),
      why:
        fed ??
        (source === 'no' || source === 'unknown'
          ? say('damp.itDriesIfNothingFeedsIt')
          : say('damp.aSourceFeedsItDryingDoes')),
    }),
    row('source', {
      allowed: true,
      time: say('damp.notKnownUntilItIsFound'),
      cost: null,
      costWords: say('damp.byWhoFindsItPlumberDrainage'),
      unknown: say('damp.everythingAfterTestAgainOnceIt'),
      why: say('damp.aLeakABridgedMembraneGround'),
    }),
    row('membrane', {
      allowed: gate.allowed && !sulfate && !timber && byRh && over.result.value <= limit && source === 'no',
      time: say('damp.days', { membraneDays: figure('membrane-days') }),
      cost: areaM2 * figure('membrane-cost-m2'),
      costWords: say('damp.twoCoats', { area: area(areaM2) }),
      unknown: say('damp.theBondToThisSlabIts'),
      why: gate.stops[0]
        ? stopSaid(gate.stops[0])
        : sulfate
          ? say('damp.calciumSulfateGoesSoftBehindA')
          : timber
            ? say('damp.timberShutInRotsDryIt')
            : !byRh
              ? say('damp.membranesAreRatedInRhTest')
              : over.result.value > limit
                ? say('damp.ratedUpToRhIsOver', { limit, valueText: over.result.valueText })
                : source === 'no'
                  ? say('damp.ratedUpToRh', { limit })
                  : say('damp.firstSayThatNoWaterIs'),
    }),
    row('other-covering', {
      allowed: tolerant.length > 0 && source === 'no',
      time: 'none',
      cost: null,
      costWords: say('damp.byWhatIsChosen'),
      unknown: say('damp.dampStaysInTheBaseAdhesive'),
      why:
        tolerant.length > 0
          ? say('damp.takesThisReading', {
              tolerant: listed(
                tolerant.map((c) => c.name),
                ', ',
              ),
            })
          : say('damp.noneOfTheCardsInThe'),
    }),
  ];
}

const day = (utc: string | null) => (utc ? dayOf(utc) : 'now');
