import { decimals, listed, say, type Said, type Sayable } from '../said/index.ts';
import { SHIPPED_CARDS, type CoveringCard } from '../coverings/index.ts';
import { answerTo } from '../fields/index.ts';
import { SOURCE, WAY_OUT } from './questions.ts';
import type { WayOut } from './ways.ts';
import { floorAreaM2, isTimber } from '../room/index.ts';
import type { DampContext } from './facts.ts';
import type { DampState } from './judge.ts';
import { ruleOfThumb, type DryingForecast } from './series.ts';

export const WAY_WORDS: Record<WayOut, Said> = {
  wait: say('damp.way-words.wait'),
  source: say('damp.way-words.source'),
  membrane: say('damp.way-words.membrane'),
  'other-covering': say('damp.way-words.other-covering'),
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
  const areaM2 = floorAreaM2(ctx.room);
  const chosen = answerTo(ctx.answers, WAY_OUT);
  const source = answerTo(ctx.answers, SOURCE) ?? 'unknown';
  const rule = ruleOfThumb(ctx);
  const waitDays = forecast?.lateUtc
    ? Math.ceil((Date.parse(forecast.lateUtc) - Date.parse(ctx.atUtc)) / DAY_MS)
    : null;
  const sulfate = ctx.room.baseKind === 'calcium-sulfate-screed';
  const timber = isTimber(ctx.room.baseKind);
  const limit = figure('membrane-rh');
  const byRh = over.method === 'probe' || over.method === 'hood';
  const tolerant = cards.filter(
    (card) =>
      card.id !== ctx.card.id &&
      (over.method === 'probe'
        ? card.cementLimitRh >= over.result.value
        : over.method === 'pin' && card.timberLimitMc >= over.result.value),
  );
  const dryer = waitDays === null ? null : Math.max(0, waitDays) * figure('dryer-day');
  const row = (way: WayOut, rest: Omit<WayOutRow, 'way' | 'chosen'>): WayOutRow => ({
    way,
    ...rest,
    chosen: chosen === way,
  });
  return [
    row('wait', {
      allowed: source === 'no' || source === 'unknown',
      time: forecast
        ? forecast.lateUtc
          ? say('damp.until-to', { day: day(forecast.earlyUtc), day2: day(forecast.lateUtc) })
          : say('damp.not-within-three-years-as-things')
        : rule
          ? say('damp.about-days-from-weathertight-by-rule', { days: Math.round(rule.days) })
          : say('damp.not-known-read-again-in-a'),
      cost: dryer,
      costWords: say('damp.a-dehumidifier-for-that-long-nothing'),
      unknown: say('damp.whether-damp-still-arrives-from-below'),
      why:
        source === 'no' || source === 'unknown'
          ? say('damp.it-dries-if-nothing-feeds-it')
          : say('damp.a-source-feeds-it-drying-does'),
    }),
    row('source', {
      allowed: true,
      time: say('damp.not-known-until-it-is-found'),
      cost: null,
      costWords: say('damp.by-who-finds-it-plumber-drainage'),
      unknown: say('damp.everything-after-test-again-once-it'),
      why: say('damp.a-leak-a-bridged-membrane-ground'),
    }),
    row('membrane', {
      allowed: !sulfate && !timber && byRh && over.result.value <= limit && source === 'no',
      time: say('damp.days', { membraneDays: figure('membrane-days') }),
      cost: areaM2 * figure('membrane-cost-m2'),
      costWords: say('damp.m-two-coats', { areaM2: decimals(areaM2, 1) }),
      unknown: say('damp.the-bond-to-this-slab-its'),
      why: sulfate
        ? say('damp.calcium-sulfate-goes-soft-behind-a')
        : timber
          ? say('damp.timber-shut-in-rots-dry-it')
          : !byRh
            ? say('damp.membranes-are-rated-in-rh-test')
            : over.result.value > limit
              ? say('damp.rated-up-to-rh-is-over', { limit, valueText: over.result.valueText })
              : source === 'no'
                ? say('damp.rated-up-to-rh', { limit })
                : say('damp.first-say-that-no-water-is'),
    }),
    row('other-covering', {
      allowed: tolerant.length > 0 && source === 'no',
      time: 'none',
      cost: null,
      costWords: say('damp.by-what-is-chosen'),
      unknown: say('damp.damp-stays-in-the-base-adhesive'),
      why:
        tolerant.length > 0
          ? say('damp.takes-this-reading', {
              tolerant: listed(
                tolerant.map((c) => c.name),
                ', ',
              ),
            })
          : say('damp.none-of-the-cards-in-the'),
    }),
  ];
}

const day = (utc: string | null) => (utc ? utc.slice(0, 10) : 'now');
