import equal from 'fast-deep-equal';
import { answerTo } from '../fields/index.ts';
import { airHistory, bandClock, outWords, samplesOf, type AirHistory } from '../air/index.ts';
import {
  forecastProbe,
  METHOD_SPECS,
  OUTER_WALL_MM,
  probeSeries,
  usualPlan,
  type DampContext,
  type DampState,
  type DryingForecast,
  type MethodState,
  LAYING_DAY,
  SOURCE,
  WAY_OUT,
} from '../damp/index.ts';
import { distanceMm } from '../room/index.ts';
import { placeWords } from './flat.ts';
import type { OwnCriterion } from './words.ts';

/** Signs that damp is still arriving: nothing is laid and nothing is measured away. */
const ARRIVING: Record<string, string> = {
  leak: 'Water is leaking or standing',
  pressure: 'Water pushes up from below',
  efflorescence: 'White salts: water is moving through the base',
};

/** Criteria of damp and air. `memo` keeps the forecast from one call to the next; no answer depends on it. Over the limit: a suspected source stops; dry by the wanted day waits; otherwise work. */
export function dampCriteria(
  ctx: DampContext,
  state: DampState,
  memo: Map<string, unknown> = new Map(),
): OwnCriterion[] {
  const criteria: OwnCriterion[] = [];
  const source = answerTo(ctx.answers, SOURCE) ?? 'unknown';
  if (source in ARRIVING)
    criteria.push({
      id: 'damp-source',
      title: 'Damp: source',
      verdict: 'stop',
      margin: `${ARRIVING[source]}.`,
      next: 'Who decides: plumber, drainage or damp surveyor. Test again once it has stopped.',
    });
  const judged = state.methods.filter((m) => m.limit && m.governing);
  for (const method of judged) criteria.push(methodCriterion(ctx, state, method, source, memo));
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
      title: 'Damp: survey',
      verdict: 'measure',
      margin: `${open.length} place${open.length === 1 ? '' : 's'} stand${open.length === 1 ? 's' : ''} out on the meter, highest ${Math.max(...open.map((o) => o.value)).toFixed(1)} %.`,
      next: `Test there: ${placeWords(ctx.room, ctx.plan, [open[0]!.test.xMm, open[0]!.test.yMm])}.`,
    });
  if (state.boards) criteria.push(boardsCriterion(state.boards));
  criteria.push(airCriterion(ctx));
  return criteria;
}

function methodCriterion(
  ctx: DampContext,
  state: DampState,
  method: MethodState,
  source: string,
  memo: Map<string, unknown>,
): OwnCriterion {
  const { governing, limit, margin } = method;
  const spec = METHOD_SPECS[method.method];
  const at = placeWords(ctx.room, ctx.plan, [governing!.test.xMm, governing!.test.yMm]);
  const digits = method.method === 'carbide' ? 2 : 1;
  const words = `${governing!.valueText}${governing!.test.name ? ` at ${governing!.test.name}` : ''}, ${Math.abs(margin!).toFixed(digits)} ${margin! < 0 ? 'over' : 'under'} ${limit!.value} ${spec.givesUnit}, ${at}.`;
  const base = { id: `damp-${method.method}`, title: `Damp: ${spec.words.toLowerCase()}`, margin: words };
  if (margin! >= 0) {
    const missing = method.method === state.chosen && !method.complete;
    if (!missing)
      return { ...base, verdict: 'lay', next: 'Evidence complete. It grows old: read again before laying.' };
    return {
      ...base,
      verdict: 'measure',
      next: method.missing > 0 ? `${count(method.missing)} more to make.` : 'An outer wall has no test within 1 m.',
    };
  }
  if (source in ARRIVING || source === 'suspected')
    return {
      ...base,
      verdict: 'stop',
      next: 'Find the source first. Who decides: plumber, drainage or damp surveyor.',
    };
  const way = answerTo(ctx.answers, WAY_OUT);
  if (way === 'membrane')
    return {
      ...base,
      verdict: 'work',
      next: 'Surface membrane chosen: two coats by the maker’s sheet, then record it.',
    };
  if (way === 'other-covering') return { ...base, verdict: 'work', next: 'Choose the covering’s card that takes it.' };
  const wanted = answerTo(ctx.answers, LAYING_DAY);
  const forecast = wanted ? waitForecast(ctx, state, memo) : null;
  if (wanted && forecast?.lateUtc && forecast.lateUtc.slice(0, 10) <= wanted)
    return {
      ...base,
      verdict: 'wait',
      next: `Dry between ${forecast.earlyUtc!.slice(0, 10)} and ${forecast.lateUtc.slice(0, 10)} by forecast, before ${wanted}. Keep reading.`,
    };
  return { ...base, verdict: 'work', next: 'Compare the ways out and choose one.' };
}

function missingCriterion(ctx: DampContext, state: DampState, chosen: MethodState): OwnCriterion {
  const due = state.due[0];
  const spec = METHOD_SPECS[chosen.method];
  return {
    id: 'damp-tests',
    title: 'Damp: tests',
    verdict: 'measure',
    margin: `${chosen.valid.length} of ${chosen.need.count} tests read and valid by ${spec.words.toLowerCase()}.`,
    next:
      due && due.from > ctx.atUtc
        ? `${due.words} may be read from ${due.from.slice(0, 16).replace('T', ' ')} UTC.`
        : due
          ? `Read ${due.words.toLowerCase()}.`
          : `Make ${count(Math.max(1, chosen.missing))}: ${spec.how[0]!.toLowerCase()}.`,
  };
}

/** Boards much wetter or drier than their base move after laying: they wait. */
function boardsCriterion({ basePercent, boardsPercent, allowed }: NonNullable<DampState['boards']>): OwnCriterion {
  const apart = Math.abs(basePercent - boardsPercent);
  return {
    id: 'damp-boards',
    title: 'Boards against base',
    verdict: apart > allowed ? 'wait' : 'lay',
    margin: `Boards ${boardsPercent.toFixed(1)} %, base ${basePercent.toFixed(1)} %: ${apart.toFixed(1)} apart, ${allowed} allowed.`,
    next: apart > allowed ? 'Leave the boards in the room, opened, and read both again.' : 'Lay them as they are.',
  };
}

const count = (n: number) => `${n} test${n === 1 ? '' : 's'}`;

/** Air of the room over time, as the criterion and the screens show it. */
export function roomAir(ctx: DampContext): AirHistory {
  return airHistory(samplesOf(ctx.facts.airReadings, ctx.facts.airLogs), ctx.card, ctx.figure('air-gap-h'));
}

function airCriterion(ctx: DampContext): OwnCriterion {
  const history = roomAir(ctx);
  const base = { id: 'damp-air', title: 'Air' };
  if (!history.last)
    return { ...base, verdict: 'measure', margin: 'Nothing read.', next: 'Read temperature and humidity of the room.' };
  const { tempC, rhPercent } = history.last;
  const now = `${tempC.toFixed(1)} °C, ${rhPercent.toFixed(0)} %RH`;
  if (!history.lastInBand)
    return {
      ...base,
      verdict: 'wait',
      margin: `${now}: ${outWords(history.last, ctx.card).join(', ')} for the covering.`,
      next: 'Heat, ventilate or dry the room, and keep reading.',
    };
  const age = (Date.parse(ctx.atUtc) - Date.parse(history.last.at)) / 3_600_000;
  const clock = bandClock(history, ctx.figure('service-h'), null);
  if (age > ctx.figure('service-h'))
    return {
      ...base,
      verdict: 'measure',
      margin: `${now}, ${Math.round(age / 24)} days ago.`,
      next: 'Read the room’s air again.',
    };
  if (!clock.done)
    return {
      ...base,
      verdict: 'wait',
      margin: `${now}; in band for ${Math.floor(clock.hoursDone)} of ${clock.hoursNeeded} h.`,
      next: 'Keep the room as it will be used, and keep reading.',
    };
  return { ...base, verdict: 'lay', margin: `${now}; in band for ${Math.floor(clock.hoursDone)} h.`, next: 'Hold it.' };
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
