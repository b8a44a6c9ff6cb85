import { celsius, dayOf, decimals, listed, lower, moment, say, sentence, type Said } from '../said/index.ts';
import equal from 'fast-deep-equal';
import { answerTo } from '../fields/index.ts';
import { bandClock, outWords } from '../air/index.ts';
import {
  forecastProbe,
  HEAT_UP,
  onGround,
  outerWallsOf,
  waitRefused,
  METHOD_SPECS,
  OUTER_WALL_MM,
  probeSeries,
  testName,
  usualPlan,
  type DampContext,
  type DampState,
  type DryingForecast,
  type MethodState,
  LAYING_DAY,
  SOURCE,
  WAY_OUT,
} from '../damp/index.ts';
import { isWood } from '../coverings/index.ts';
import { decidedBy, stopSaid } from '../hazards/index.ts';
import { distanceMm, isTimber } from '../room/index.ts';
import { MARK_WORDS, type Mark } from '../soundness/index.ts';
import { coverWords, type DampCover } from './damp-cover.ts';
import { placeWords } from './place.ts';
import { roomAir } from './room-air.ts';
import type { OwnCriterion } from './words.ts';

/** What is said of the air of the room: no damp of the floor. */
export const DAMP_AIR = 'damp-air';

/** Who finds out where water comes from. */
const DAMP_TRADES = say('hazards.dampTrades');

/** Signs that damp is still arriving: nothing is laid and nothing is measured away. */
const ARRIVING: Record<string, Said> = {
  leak: say('verdict.arrivingLeak'),
  pressure: say('verdict.arrivingPressure'),
  efflorescence: say('verdict.arrivingEfflorescence'),
};

/** Criteria of damp and air. `memo` keeps the forecast from one call to the next; no answer depends on it. `signs` is damage still open that water may have done; `cover` what is put over a base that is over its limit. Over the limit: a suspected source stops; dry by the wanted day waits; otherwise work. */
export function dampCriteria(
  ctx: DampContext,
  state: DampState,
  memo: Map<string, unknown> = new Map(),
  signs: readonly Mark[] = [],
  cover: DampCover | null = null,
): OwnCriterion[] {
  const criteria: OwnCriterion[] = [];
  const source = answerTo(ctx.answers, SOURCE) ?? 'unknown';
  if (source in ARRIVING)
    criteria.push({
      id: 'damp-source',
      title: say('verdict.dampSourceTitle'),
      verdict: 'stop',
      margin: sentence(ARRIVING[source]!),
      next: say('verdict.testOnceStopped', { who: DAMP_TRADES }),
    });
  const [sign] = signs;
  // Somebody who says that no water arrives has to say what did this.
  if (sign && !(source in ARRIVING) && source !== 'suspected')
    criteria.push({
      id: 'damp-signs',
      at: [sign.xMm, sign.yMm],
      title: say('verdict.dampSignsTitle'),
      verdict: 'measure',
      margin: say(source === 'no' ? 'verdict.signsAgainstAnswer' : 'verdict.signsUnanswered', {
        mark: lower(MARK_WORDS[sign.kind]),
        place: placeWords(ctx.room, ctx.plan, [sign.xMm, sign.yMm]),
      }),
      next: say('verdict.findWhereFrom'),
    });
  if (onGround(ctx) && outerWallsOf(ctx) === null)
    criteria.push({
      id: 'damp-walls',
      title: say('verdict.outerWallsTitle'),
      verdict: 'measure',
      margin: say('verdict.outerWallsUnanswered'),
      next: say('verdict.answerOuterWalls'),
    });
  if (isHeatedMineral(ctx) && (answerTo(ctx.answers, HEAT_UP) ?? 'unknown') !== 'recorded')
    criteria.push({
      id: 'damp-heat-up',
      title: say('verdict.heatUpTitle'),
      verdict: 'measure',
      margin: say(answerTo(ctx.answers, HEAT_UP) === 'not-done' ? 'verdict.heatUpNotDone' : 'verdict.heatUpUnrecorded'),
      next: say('verdict.heatUpFirst'),
    });
  const judged = state.methods.filter((m) => m.limit && m.governing);
  for (const method of judged) criteria.push(methodCriterion(ctx, state, method, source, memo, cover));
  const qualifying = state.methods.filter((m) => m.qualifying);
  if (!qualifying.some((m) => m.complete && m.governing)) {
    const chosen = state.methods.find((m) => m.method === state.chosen)!;
    if (!chosen.governing || chosen.passes) criteria.push(missingCriterion(ctx, state, chosen));
  }
  const open = state.outliers.filter(
    (o) =>
      !state.results.some((r) => r.valid && r.test.method !== 'survey' && distanceMm(r.test, o.test) <= OUTER_WALL_MM),
  );
  if (open.length > 0)
    criteria.push({
      id: 'damp-survey',
      at: [open[0]!.test.xMm, open[0]!.test.yMm],
      title: say('verdict.dampSurveyTitle'),
      verdict: 'measure',
      margin: say('verdict.surveyStandsOut', {
        count: open.length,
        most: decimals(Math.max(...open.map((o) => o.value)), 1),
      }),
      next:
        closedWords(state.methods.find((m) => m.method === state.chosen)!) ??
        say('verdict.testThere', {
          place: placeWords(ctx.room, ctx.plan, [open[0]!.test.xMm, open[0]!.test.yMm]),
        }),
    });
  if (state.boards) criteria.push(boardsCriterion(state.boards));
  else if (isTimber(ctx.room.baseKind) && isWood(ctx.card))
    criteria.push({
      id: 'damp-boards',
      title: say('verdict.boardsTitle'),
      verdict: 'measure',
      margin: say('verdict.boardsUnread'),
      next: say('verdict.readBoards'),
    });
  criteria.push(airCriterion(ctx));
  return criteria;
}

const isHeatedMineral = ({ room }: DampContext): boolean =>
  !isTimber(room.baseKind) && (room.base.heating === 'water' || room.base.heating === 'electric');

function methodCriterion(
  ctx: DampContext,
  state: DampState,
  method: MethodState,
  source: string,
  memo: Map<string, unknown>,
  cover: DampCover | null,
): OwnCriterion {
  const { governing, limit, margin } = method;
  const spec = METHOD_SPECS[method.method];
  const digits = method.method === 'carbide' ? 2 : 1;
  const apart = say(margin! < 0 ? 'verdict.dampOver' : 'verdict.dampUnder', {
    value: governing!.test.name
      ? say('verdict.valueAtTest', { value: governing!.valueText, test: governing!.test.name })
      : governing!.valueText,
    apart: decimals(Math.abs(margin!), digits),
    limit: limit!.value,
    unit: spec.givesUnit,
    place: placeWords(ctx.room, ctx.plan, [governing!.test.xMm, governing!.test.yMm]),
  });
  const base = {
    id: `damp-${method.method}`,
    at: [governing!.test.xMm, governing!.test.yMm] as const,
    title: say('verdict.dampMethodTitle', { method: lower(spec.words) }),
    margin: apart,
  };
  const missing =
    method.method === state.chosen && !method.complete
      ? {
          ...base,
          verdict: 'measure' as const,
          next:
            closedWords(method) ??
            (method.missing > 0
              ? say('verdict.moreTests', { tests: count(method.missing) })
              : say('verdict.outerWallUntested')),
        }
      : null;
  if (margin! >= 0) return missing ?? { ...base, verdict: 'lay', next: say('verdict.evidenceComplete') };
  if (source in ARRIVING || source === 'suspected')
    return {
      ...base,
      verdict: 'stop',
      next: say('verdict.findSource', { decided: decidedBy(DAMP_TRADES) }),
    };
  // Membranes are rated, and films taken by sheets, in RH; a place not tested yet may be damper than both take.
  if (cover && (method.method === 'probe' || method.method === 'hood'))
    return missing ?? { ...base, verdict: 'lay', next: coverWords(cover) };
  const way = answerTo(ctx.answers, WAY_OUT);
  if (way === 'membrane') return { ...base, verdict: 'work', next: say('verdict.membraneChosen') };
  if (way === 'other-covering') return { ...base, verdict: 'work', next: say('verdict.chooseTolerantCard') };
  const wanted = answerTo(ctx.answers, LAYING_DAY);
  // A probe's forecast answers for probes only: no method is converted into another.
  const forecast = wanted && method.method === 'probe' && !waitRefused(ctx) ? waitForecast(ctx, state, memo) : null;
  if (wanted && forecast?.lateUtc && forecast.lateUtc.slice(0, 10) <= wanted)
    return {
      ...base,
      verdict: 'wait',
      next: say('verdict.dryByForecast', {
        from: dayOf(forecast.earlyUtc!),
        to: dayOf(forecast.lateUtc),
        wanted,
      }),
    };
  return { ...base, verdict: 'work', next: say('verdict.chooseWayOut') };
}

/** Why a test may not be made here and who decides; null where it may. */
const closedWords = ({ gate }: MethodState): Said | null => (gate.stops[0] ? stopSaid(gate.stops[0]) : null);

function missingCriterion(ctx: DampContext, state: DampState, chosen: MethodState): OwnCriterion {
  const due = state.due[0];
  const uncounted = chosen.results.findLast((r) => !r.valid);
  const spec = METHOD_SPECS[chosen.method];
  return {
    id: 'damp-tests',
    title: say('verdict.dampTestsTitle'),
    verdict: 'measure',
    margin: say('verdict.testsValid', {
      valid: chosen.valid.length,
      needed: chosen.need.count,
      method: lower(spec.words),
    }),
    next:
      due && due.from > ctx.atUtc
        ? say('verdict.readFrom', { test: due.words, from: moment(due.from) })
        : due
          ? say('verdict.readTest', { test: lower(due.words) })
          : (closedWords(chosen) ??
            (uncounted &&
              say('verdict.readButVoid', { test: testName(uncounted.test), fault: uncounted.faults[0]! })) ??
            say('verdict.makeTests', { tests: count(Math.max(1, chosen.missing)), how: lower(spec.how[0]!) })),
  };
}

/** Boards much wetter or drier than their base move after laying: they wait. */
function boardsCriterion({ basePercent, boardsPercent, allowed }: NonNullable<DampState['boards']>): OwnCriterion {
  const apart = Math.abs(basePercent - boardsPercent);
  return {
    id: 'damp-boards',
    title: say('verdict.boardsTitle'),
    verdict: apart > allowed ? 'wait' : 'lay',
    margin: say('verdict.boardsApart', {
      boards: decimals(boardsPercent, 1),
      base: decimals(basePercent, 1),
      apart: decimals(apart, 1),
      allowed,
    }),
    next: apart > allowed ? say('verdict.leaveBoards') : say('verdict.layBoards'),
  };
}

const count = (n: number) => say('verdict.tests', { n });

function airCriterion(ctx: DampContext): OwnCriterion {
  const history = roomAir(ctx);
  const base = { id: DAMP_AIR, title: say('verdict.airTitle') };
  if (!history.last)
    return {
      ...base,
      verdict: 'measure',
      margin: say('verdict.airUnread'),
      next: say('verdict.readAir'),
    };
  const { tempC, rhPercent } = history.last;
  const now = say('verdict.airNow', { temperature: celsius(tempC), rhPercent: decimals(rhPercent, 0) });
  if (!history.lastInBand)
    return {
      ...base,
      verdict: 'wait',
      margin: say('verdict.airOut', { now, out: listed(outWords(history.last, ctx.card), ', ') }),
      next: say('verdict.bringAirIn'),
    };
  const age = (Date.parse(ctx.atUtc) - Date.parse(history.last.at)) / 3_600_000;
  const clock = bandClock(history, ctx.figure('service-h'), null);
  if (age > ctx.figure('service-h'))
    return {
      ...base,
      verdict: 'measure',
      margin: say('verdict.airOld', { now, days: Math.round(age / 24) }),
      next: say('verdict.readAirAgain'),
    };
  if (!clock.done)
    return {
      ...base,
      verdict: 'wait',
      margin: say('verdict.airInBandSoFar', {
        now,
        done: Math.floor(clock.hoursDone),
        needed: clock.hoursNeeded,
      }),
      next: say('verdict.keepAir'),
    };
  return {
    ...base,
    verdict: 'lay',
    margin: say('verdict.airInBand', { now, done: Math.floor(clock.hoursDone) }),
    next: say('verdict.airGood'),
  };
}

/** The last forecast with what it was made from: a reading of another kind does not make it anew. */
interface KeptForecast {
  of: readonly unknown[];
  made: DryingForecast;
}
const FORECAST = 'forecast';

/** Forecast of the probe that is last to dry, under the room's air as it was; null with too few readings. */
function waitForecast(ctx: DampContext, state: DampState, memo: Map<string, unknown>): DryingForecast | null {
  const [probe] = probeSeries(ctx, state.results);
  const limit = state.methods.find((m) => m.method === 'probe')?.limit;
  if (!probe || !limit) return null;
  const plan = usualPlan(ctx, probe);
  const of = [probe, limit.value, plan];
  const kept = memo.get(FORECAST) as KeptForecast | undefined;
  if (kept && equal(kept.of, of)) return kept.made;
  const made = forecastProbe(probe, limit.value, plan);
  memo.set(FORECAST, { of, made } satisfies KeptForecast);
  return made;
}
