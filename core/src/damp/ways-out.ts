import { SHIPPED_CARDS, type CoveringCard } from '../coverings/index.ts';
import { answerTo } from '../fields/index.ts';
import { SOURCE, WAY_OUT } from './questions.ts';
import type { WayOut } from './ways.ts';
import { floorAreaM2, isTimber } from '../room/index.ts';
import type { DampContext } from './facts.ts';
import type { DampState } from './judge.ts';
import { ruleOfThumb, type DryingForecast } from './series.ts';

export const WAY_WORDS: Record<WayOut, string> = {
  wait: 'Wait and dry',
  source: 'Find the source first',
  membrane: 'Surface membrane',
  'other-covering': 'Another covering or fixing',
};

/** A way out of a reading over its limit, side by side with the others. */
interface WayOutRow {
  way: WayOut;
  allowed: boolean;
  /** Days until laying, in words. */
  time: string;
  /** Null where it cannot be told. */
  cost: number | null;
  costWords: string;
  unknown: string;
  why: string;
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
          ? `until ${day(forecast.earlyUtc)} to ${day(forecast.lateUtc)}`
          : 'not within three years as things are'
        : rule
          ? `about ${Math.round(rule.days)} days from weathertight, by rule of thumb only`
          : 'not known: read again in a week',
      cost: dryer,
      costWords: 'a dehumidifier for that long; nothing where the air dries it',
      unknown: 'Whether damp still arrives from below or behind: the readings must keep falling.',
      why:
        source === 'no' || source === 'unknown'
          ? 'It dries if nothing feeds it.'
          : 'A source feeds it: drying does not end.',
    }),
    row('source', {
      allowed: true,
      time: 'not known until it is found',
      cost: null,
      costWords: 'by who finds it: plumber, drainage, damp surveyor',
      unknown: 'Everything after: test again once it has stopped.',
      why: 'A leak, a bridged membrane, ground or a bare crawl space: no layer over it is a cure.',
    }),
    row('membrane', {
      allowed: !sulfate && !timber && byRh && over.result.value <= limit && source === 'no',
      time: `${figure('membrane-days')} days`,
      cost: areaM2 * figure('membrane-cost-m2'),
      costWords: `${areaM2.toFixed(1)} m², two coats`,
      unknown: 'The bond to this slab: its surface must be clean, sound and open. The maker’s sheet decides.',
      why: sulfate
        ? 'Calcium sulfate goes soft behind a membrane: it is dried, never shut in.'
        : timber
          ? 'Timber shut in rots: dry it and ventilate.'
          : !byRh
            ? 'Membranes are rated in %RH: test with a probe.'
            : over.result.value > limit
              ? `Rated up to ${limit} %RH: ${over.result.valueText} is over it.`
              : source === 'no'
                ? `Rated up to ${limit} %RH.`
                : 'First say that no water is coming in.',
    }),
    row('other-covering', {
      allowed: tolerant.length > 0 && source === 'no',
      time: 'none',
      cost: null,
      costWords: 'by what is chosen',
      unknown: 'Damp stays in the base: adhesive, underlay and skirting must bear it too.',
      why:
        tolerant.length > 0
          ? `Takes this reading: ${tolerant.map((c) => c.name).join(', ')}.`
          : 'None of the cards in the book takes this reading.',
    }),
  ];
}

const day = (utc: string | null) => (utc ? utc.slice(0, 10) : 'now');
