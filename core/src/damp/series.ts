import { celsius, decimals, reach, say, type Said } from '../said/index.ts';
import { answerTo } from '../fields/index.ts';
import { WEATHERTIGHT } from './questions.ts';
import { samplesOf } from '../air/index.ts';
import {
  forecastSeries,
  ruleOfThumbDays,
  speedAt,
  type DryingPlan,
  type Forecast,
  type Series,
} from '../drying/index.ts';
import type { DampContext } from './facts.ts';
import { facesOf, TOO_OLD, type DampResult } from './result.ts';

const DAY_MS = 86_400_000;
/** Fewer readings, or over fewer days, say nothing of the rate. */
export const FORECAST_LEAST = { readings: 3, days: 7 } as const;
/** Assumed where nobody recorded when the slab began to dry: this long before the first reading. */
const ASSUMED_AGE_DAYS = 28;
const ASSUMED_AIR = { tempC: 18, rhPercent: 55 };
/** The air that the trade's rule is for. */
const REFERENCE_C = 20;
const REFERENCE_RH = 60;

/** A probe's readings as the forecast takes them, with what had to be assumed. */
export interface ProbeSeries {
  testId: string;
  name: string;
  startUtc: string;
  series: Series;
  /** The air the past is taken to have had: means of what was recorded. */
  air: { tempC: number; rhPercent: number };
  assumptions: Said[];
  values: { at: string; day: number; rhPercent: number }[];
}

/** The day drying began, as answered: weathertight and cured. */
function dryingSince(ctx: DampContext): string | null {
  return answerTo(ctx.answers, WEATHERTIGHT) || null;
}

/** Series of each probe with enough valid readings, the wettest last reading first. */
export function probeSeries(ctx: DampContext, results: readonly DampResult[]): ProbeSeries[] {
  const slabMm = ctx.room.base.slabMm;
  if (slabMm === null) return [];
  // Old readings no longer judge the floor, but they are how it dried.
  const usable = results.filter(
    (r) => r.test.method === 'probe' && r.test.depthMm !== null && r.faults.every((f) => f.code === TOO_OLD),
  );
  const air = meanAir(ctx);
  return [...new Set(usable.map((r) => r.test.id))]
    .flatMap((testId): ProbeSeries[] => {
      const own = usable.filter((r) => r.test.id === testId);
      const [first, last] = [own[0]!, own[own.length - 1]!];
      const days = (Date.parse(last.reading.takenAt) - Date.parse(first.reading.takenAt)) / DAY_MS;
      if (own.length < FORECAST_LEAST.readings || days < FORECAST_LEAST.days) return [];
      const said = dryingSince(ctx);
      const since =
        said !== null && said < first.reading.takenAt
          ? said
          : new Date(Date.parse(first.reading.takenAt) - ASSUMED_AGE_DAYS * DAY_MS).toISOString();
      const dayOf = (at: string) => (Date.parse(at) - Date.parse(since)) / DAY_MS;
      const faces = facesOf(ctx);
      return [
        {
          testId,
          name: first.test.name,
          startUtc: since,
          air: air.mean,
          assumptions: [
            said === since
              ? say('damp.dryingBeganOnTheDayRecorded')
              : say('damp.nobodyRecordedWhenDryingBeganDays', { ASSUMEDAGEDAYS: ASSUMED_AGE_DAYS }),
            air.words,
            faces === 1 ? say('damp.itDriesThroughItsTopOnly') : say('damp.itDriesThroughBothFaces'),
            say('damp.noNewDampArrives'),
          ],
          series: {
            thicknessMm: slabMm,
            depthMm: first.test.depthMm!,
            readings: own.map((r) => ({ day: dayOf(r.reading.takenAt), rhPercent: r.value })),
            climates: [
              { fromDay: 0, roomRh: air.mean.rhPercent / 100, speed: speedAt(air.mean.tempC, REFERENCE_C), faces },
            ],
          },
          values: own.map((r) => ({ at: r.reading.takenAt, day: dayOf(r.reading.takenAt), rhPercent: r.value })),
        },
      ];
    })
    .sort((a, b) => b.values[b.values.length - 1]!.rhPercent - a.values[a.values.length - 1]!.rhPercent);
}

function meanAir(ctx: DampContext): { mean: { tempC: number; rhPercent: number }; words: Said } {
  const samples = samplesOf(ctx.facts.airReadings, ctx.facts.airLogs);
  if (samples.length === 0)
    return {
      mean: ASSUMED_AIR,
      words: say('damp.noAirWasRecordedCAnd', {
        temperature: celsius(ASSUMED_AIR.tempC, 0),
        rhPercent: ASSUMED_AIR.rhPercent,
      }),
    };
  const mean = (values: number[]) => values.reduce((sum, v) => sum + v, 0) / values.length;
  const [tempC, rhPercent] = [mean(samples.map((s) => s.tempC)), mean(samples.map((s) => s.rhPercent))];
  return {
    mean: { tempC, rhPercent },
    words: say('damp.theAirWasAsRecordedOn', {
      temperature: celsius(tempC),
      rhPercent: decimals(rhPercent, 0),
      samplesCount: samples.length,
    }),
  };
}

/** A forecast in dates. */
export interface DryingForecast {
  probe: ProbeSeries;
  limitPercent: number;
  plan: DryingPlan;
  forecast: Forecast;
  earlyUtc: string | null;
  middleUtc: string | null;
  lateUtc: string | null;
}

export function usualPlan(ctx: DampContext, probe: ProbeSeries): DryingPlan {
  return { roomC: round(probe.air.tempC), roomRhPercent: round(probe.air.rhPercent), faces: facesOf(ctx) };
}

const round = (value: number) => Math.round(value * 2) / 2;

/** Forecasts one probe's series. Deterministic for the same facts. */
export function forecastProbe(
  probe: ProbeSeries,
  limitPercent: number,
  plan: DryingPlan,
  check?: () => void,
  progress?: (share: number) => void,
): DryingForecast {
  const forecast = forecastSeries(probe.series, limitPercent, plan, REFERENCE_C, check, progress);
  const utc = (day: number | null) =>
    day === null ? null : new Date(Date.parse(probe.startUtc) + day * DAY_MS).toISOString();
  return {
    probe,
    limitPercent,
    plan,
    forecast,
    earlyUtc: utc(forecast.earlyDay),
    middleUtc: utc(forecast.middleDay),
    lateUtc: utc(forecast.lateDay),
  };
}

/** The rule of thumb: the day it gives, or how many days it takes where nobody recorded the start. Null for other bases. */
export function ruleOfThumb(ctx: DampContext): { days: number; readyUtc: string | null; words: Said } | null {
  const slabMm = ctx.room.base.slabMm;
  if (slabMm === null) return null;
  const faces = facesOf(ctx);
  const days = ruleOfThumbDays(ctx.room.baseKind, slabMm, faces);
  if (days === null) return null;
  const since = dryingSince(ctx);
  return {
    days,
    readyUtc: since ? new Date(Date.parse(since) + days * DAY_MS).toISOString() : null,
    words: say('damp.dryingThroughAboutDays', {
      slabMm: reach(slabMm),
      what: faces === 1 ? say('damp.oneFace') : say('damp.bothFaces'),
      days: Math.round(days),
      temperature: celsius(REFERENCE_C, 0),
      rhPercent: REFERENCE_RH,
    }),
  };
}
