import { decimals, reach, say, type Said, type Sayable } from '../said/index.ts';
import { answerTo } from '../fields/index.ts';
import { CHANGED, FACES, SLAB_FINISH, WAIT_H } from './questions.ts';
import { airHistory, bandClock, dewPointC, samplesOf } from '../air/index.ts';
import type { DampContext, DampReading, DampTest } from './facts.ts';
import { GRADES_OF, METHOD_SPECS } from './methods.ts';
import { absorbencyOf, carbidePercent, emissionGM2Day, emissionLb, pinPercent, probeDepthMm } from './values.ts';

const HOUR_MS = 3_600_000;
export const DISH_HOURS = { min: 60, max: 72 } as const;
/** Two hood readings a day apart agree within this. */
const HOOD_AGREE_RH = 2;
const DAY_APART_H = { min: 20, max: 28 } as const;
/** Hole this far from its depth is another test: share of the depth asked for. */
const DEPTH_TOLERANCE = 0.15;

/** The fault of a reading that is only too old. */
export const TOO_OLD = 'damp.tooOld';

/** One reading with what it comes to and whether it counts. */
export interface DampResult {
  reading: DampReading;
  test: DampTest;
  /** In the unit the method is judged in. */
  value: number;
  valueText: Sayable;
  valid: boolean;
  /** Why it does not count; empty when it does. */
  faults: Said[];
  /** What is worth saying and does not void it. */
  remarks: Said[];
  /** How the value came about, with its figures. */
  formula: Said;
  ageDays: number;
}

export function facesOf(ctx: DampContext): 1 | 2 {
  return answerTo(ctx.answers, FACES) ?? (ctx.room.baseKind === 'suspended-concrete' ? 2 : 1);
}

/** Hours a hole stays sealed before it may be read. */
export function probeWaitH(ctx: DampContext): number {
  return answerTo(ctx.answers, WAIT_H) ?? 24;
}

export function hoodWaitH(ctx: DampContext): number {
  return answerTo(ctx.answers, SLAB_FINISH) === 'dense' ? 168 : 72;
}

const hoursBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / HOUR_MS;
const round = (value: number, places = 1) => decimals(value, places);

/** Judges every reading: its value and formula, and every reason it does not count. Newest last. */
export function dampResults(ctx: DampContext): DampResult[] {
  const tests = new Map(ctx.facts.dampTests.map((t) => [t.id, t]));
  const samples = samplesOf(ctx.facts.airReadings, ctx.facts.airLogs);
  const changedOn = answerTo(ctx.answers, CHANGED);
  return [...ctx.facts.dampReadings]
    .sort((a, b) => (a.takenAt < b.takenAt ? -1 : a.takenAt > b.takenAt ? 1 : a.id < b.id ? -1 : 1))
    .flatMap((reading) => {
      const test = tests.get(reading.testId);
      if (!test) return [];
      const result = valueOf(ctx, test, reading);
      const ageDays = hoursBetween(reading.takenAt, ctx.atUtc) / 24;
      const most = ctx.figure('damp-age-days');
      if (ageDays > most) result.faults.push(say(TOO_OLD, { days: Math.floor(ageDays), most }));
      if (changedOn && reading.takenAt < changedOn) result.faults.push(say('damp.beforeChange'));
      if (ageDays < -0.01) result.faults.push(say('damp.inFuture'));
      if (['probe', 'hood', 'dish'].includes(test.method)) serviceConditions(ctx, samples, reading, result);
      return [{ ...result, valid: result.faults.length === 0, ageDays }];
    });
}

type Draft = Omit<DampResult, 'valid' | 'ageDays'>;

function valueOf(ctx: DampContext, test: DampTest, reading: DampReading): Draft {
  const spec = METHOD_SPECS[test.method];
  const faults: Said[] = [];
  const remarks: Said[] = [];
  const done = (
    value: number,
    formula: Said,
    text: Sayable = say('damp.valueIn', { value: round(value), unit: spec.givesUnit }),
  ): Draft => ({
    reading,
    test,
    value,
    valueText: text,
    faults,
    remarks,
    formula,
  });
  const stood = test.startedAt ? hoursBetween(test.startedAt, reading.takenAt) : null;
  if (stood !== null && stood < 0) faults.push(say('damp.beforeSet'));
  const waits = (hours: number, what: Said) => {
    if (stood === null) faults.push(say('damp.noTimeSet', { what }));
    else if (stood < hours - 1e-9) faults.push(say('damp.tooSoon', { stood: round(stood), what, hours }));
  };
  if (test.method === 'probe') {
    waits(probeWaitH(ctx), say('damp.holeWasSealed'));
    const slab = ctx.room.base.slabMm;
    if (slab === null) remarks.push(say('damp.slabUnknown'));
    else if (test.depthMm === null) faults.push(say('damp.depthUnknown'));
    else {
      const asked = probeDepthMm(slab, facesOf(ctx));
      if (Math.abs(test.depthMm - asked) > DEPTH_TOLERANCE * asked)
        faults.push(say('damp.depthOff', { depthMm: reach(test.depthMm), asked: reach(asked), slab: reach(slab) }));
    }
    return done(reading.value, say('damp.asReadRh', { reading: round(reading.value) }));
  }
  if (test.method === 'hood') {
    waits(hoodWaitH(ctx), say('damp.hoodWasSet'));
    const pair = ctx.facts.dampReadings.find((other) => {
      const apart = hoursBetween(other.takenAt, reading.takenAt);
      return other.testId === test.id && apart >= DAY_APART_H.min && apart <= DAY_APART_H.max;
    });
    if (!pair) faults.push(say('damp.hoodAlone'));
    else if (Math.abs(pair.value - reading.value) > HOOD_AGREE_RH)
      faults.push(
        say('damp.hoodMoving', {
          apart: round(Math.abs(pair.value - reading.value)),
          most: HOOD_AGREE_RH,
        }),
      );
    return done(
      reading.value,
      pair
        ? say('damp.hoodPair', { pair: round(pair.value), reading: round(reading.value) })
        : say('damp.asReadRh', { reading: round(reading.value) }),
    );
  }
  if (test.method === 'dish') {
    if (test.startG === null || test.areaM2 === null || stood === null) {
      faults.push(say('damp.dishIncomplete'));
      return done(0, say('damp.notWorkedOut'), say('damp.valueUnknown'));
    }
    if (stood < DISH_HOURS.min || stood > DISH_HOURS.max)
      faults.push(say('damp.dishHours', { stood: round(stood), min: DISH_HOURS.min, max: DISH_HOURS.max }));
    const gain = reading.value - test.startG;
    if (gain < 0) faults.push(say('damp.dishLighter', { grams: round(-gain, 2) }));
    const emission = stood > 0 ? emissionGM2Day(gain, test.areaM2, stood) : 0;
    return done(
      emission,
      say('damp.dishFormula', {
        gain: round(gain, 2),
        areaM2: test.areaM2,
        stood: round(stood),
        emission: round(emission),
      }),
      say('damp.emission', { emission: round(emission), emissionLb: round(emissionLb(emission)) }),
    );
  }
  if (test.method === 'carbide') {
    const slab = ctx.room.base.slabMm;
    if (slab !== null && test.depthMm !== null && test.depthMm < slab / 2)
      faults.push(say('damp.sampleShallow', { depthMm: reach(test.depthMm), slab: reach(slab) }));
    if (reading.sampleG === null)
      return done(
        reading.value,
        say('damp.asShown', { reading: round(reading.value, 2) }),
        say('damp.carbideValue', { percent: round(reading.value, 2) }),
      );
    const percent = carbidePercent(reading.value, reading.sampleG);
    return done(
      percent,
      say('damp.carbideFormula', {
        reading: round(reading.value, 2),
        sampleG: round(reading.sampleG, 0),
        percent: round(percent, 2),
      }),
      say('damp.carbideValue', { percent: round(percent, 2) }),
    );
  }
  if (test.method === 'pin') {
    if (ctx.room.base.heating === 'water' || ctx.room.base.heating === 'electric')
      if (test.of === 'base') faults.push(say('damp.pinsInHeatedBase'));
    const value = pinPercent(reading.value, test.offsetPercent, reading.tempC, test.compensates);
    if (!test.compensates && reading.tempC === null) remarks.push(say('damp.pinUncorrected'));
    const warmth = value - reading.value - test.offsetPercent;
    return done(
      value,
      say('damp.pinFormula', {
        reading: round(reading.value),
        offset: sign(test.offsetPercent),
        warmth: sign(warmth),
        value: round(value),
      }),
    );
  }
  if (test.method === 'film') waits(24, say('damp.filmWasTaped'));
  if (test.method === 'film' || test.method === 'scratch')
    return done(reading.value, say('damp.asSeen'), GRADES_OF[test.method][reading.value] ?? String(reading.value));
  if (test.method === 'water-drop') {
    const kind = absorbencyOf(reading.value);
    return done(
      reading.value,
      say('damp.soakFormula', { reading: round(reading.value, 0) }),
      say('damp.soakValue', { seconds: round(reading.value, 0), kind }),
    );
  }
  return done(reading.value, say('damp.asRead'), say('damp.valueIn', { value: round(reading.value), unit: spec.unit }));
}

const sign = (value: number) => `${value < 0 ? '−' : '+'} ${Math.abs(value).toFixed(1)}`;

/** Service conditions for 48 h before: a breach voids; no record is said, not guessed at. */
function serviceConditions(
  ctx: DampContext,
  samples: ReturnType<typeof samplesOf>,
  reading: DampReading,
  result: Draft,
): void {
  const hours = ctx.figure('service-h');
  const before = samples.filter((s) => s.at <= reading.takenAt && hoursBetween(s.at, reading.takenAt) <= hours * 3);
  if (before.length === 0) return void result.remarks.push(say('damp.airUnknownBefore'));
  const history = airHistory(before, ctx.card, ctx.figure('air-gap-h'));
  const broken = history.excursions.find(
    (e) => (e.to === null || hoursBetween(e.to, reading.takenAt) < hours) && hoursBetween(e.from, reading.takenAt) >= 0,
  );
  if (broken) result.faults.push(say('damp.airOutBefore', { how: broken.words, hours }));
  else if (!bandClock(history, hours, null).done)
    result.remarks.push(say('damp.airShortBefore', { inBandHours: Math.floor(history.inBandHours), hours }));
}

/** Margin of the surface over the dew point, C; null without both. */
export function surfaceMarginC(reading: { tempC: number; rhPercent: number; surfaceC: number | null }): number | null {
  return reading.surfaceC === null ? null : reading.surfaceC - dewPointC(reading.tempC, reading.rhPercent);
}

/** The newest valid reading of each place: what dried since is judged as it is now. */
export function newestValid(results: readonly DampResult[]): DampResult[] {
  const byTest = new Map<string, DampResult>();
  for (const result of results) if (result.valid) byTest.set(result.test.id, result);
  return [...byTest.values()];
}
