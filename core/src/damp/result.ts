import { answerTo } from '../fields/index.ts';
import { CHANGED, FACES, SLAB_FINISH, WAIT_H } from './questions.ts';
import { airHistory, bandClock, dewPointC, samplesOf } from '../air/index.ts';
import { formatReach } from '../units/index.ts';
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

/** One reading with what it comes to and whether it counts. */
export interface DampResult {
  reading: DampReading;
  test: DampTest;
  /** In the unit the method is judged in. */
  value: number;
  valueText: string;
  valid: boolean;
  /** Why it does not count; empty when it does. */
  faults: string[];
  /** What is worth saying and does not void it. */
  remarks: string[];
  /** How the value came about, with its figures. */
  formula: string;
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
const round = (value: number, places = 1) => value.toFixed(places);

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
      if (ageDays > most) result.faults.push(`${Math.floor(ageDays)} days old: ${most} days are taken. Read again`);
      if (changedOn && reading.takenAt < changedOn)
        result.faults.push('taken before heating or weather-tightness changed. Read again');
      if (ageDays < -0.01) result.faults.push('dated in the future');
      if (['probe', 'hood', 'dish'].includes(test.method)) serviceConditions(ctx, samples, reading, result);
      return [{ ...result, valid: result.faults.length === 0, ageDays }];
    });
}

type Draft = Omit<DampResult, 'valid' | 'ageDays'>;

function valueOf(ctx: DampContext, test: DampTest, reading: DampReading): Draft {
  const spec = METHOD_SPECS[test.method];
  const reach = (mm: number) => formatReach(mm, ctx.room.units);
  const faults: string[] = [];
  const remarks: string[] = [];
  const done = (value: number, formula: string, text = `${round(value)} ${spec.givesUnit}`): Draft => ({
    reading,
    test,
    value,
    valueText: text,
    faults,
    remarks,
    formula,
  });
  const stood = test.startedAt ? hoursBetween(test.startedAt, reading.takenAt) : null;
  if (stood !== null && stood < 0) faults.push('read before it was set');
  const waits = (hours: number, what: string) => {
    if (stood === null) faults.push(`no time is recorded for when the ${what}`);
    else if (stood < hours - 1e-9) faults.push(`${round(stood)} h after the ${what}: ${hours} h are needed`);
  };
  if (test.method === 'probe') {
    waits(probeWaitH(ctx), 'hole was sealed');
    const slab = ctx.room.base.slabMm;
    if (slab === null) remarks.push('The slab’s thickness is not recorded: the depth cannot be checked');
    else if (test.depthMm === null) faults.push('no depth is recorded for the hole');
    else {
      const asked = probeDepthMm(slab, facesOf(ctx));
      if (Math.abs(test.depthMm - asked) > DEPTH_TOLERANCE * asked)
        faults.push(`hole is ${reach(test.depthMm)} deep: ${reach(asked)} of a ${reach(slab)} slab is asked for`);
    }
    return done(reading.value, `As read: ${round(reading.value)} %RH.`);
  }
  if (test.method === 'hood') {
    waits(hoodWaitH(ctx), 'hood was set');
    const pair = ctx.facts.dampReadings.find((other) => {
      const apart = hoursBetween(other.takenAt, reading.takenAt);
      return other.testId === test.id && apart >= DAY_APART_H.min && apart <= DAY_APART_H.max;
    });
    if (!pair) faults.push('no reading a day earlier to hold it against');
    else if (Math.abs(pair.value - reading.value) > HOOD_AGREE_RH)
      faults.push(
        `${round(Math.abs(pair.value - reading.value))} %RH from the reading a day before: within ${HOOD_AGREE_RH} is settled`,
      );
    return done(
      reading.value,
      pair
        ? `${round(pair.value)} then ${round(reading.value)} %RH a day later.`
        : `As read: ${round(reading.value)} %RH.`,
    );
  }
  if (test.method === 'dish') {
    if (test.startG === null || test.areaM2 === null || stood === null) {
      faults.push('weight when set, area under the dome or time set is missing');
      return done(0, 'Not worked out.', 'not worked out');
    }
    if (stood < DISH_HOURS.min || stood > DISH_HOURS.max)
      faults.push(`exposed ${round(stood)} h: ${DISH_HOURS.min} to ${DISH_HOURS.max} h, else the result is void`);
    const gain = reading.value - test.startG;
    if (gain < 0) faults.push(`weighs ${round(-gain, 2)} g less than when set`);
    const emission = stood > 0 ? emissionGM2Day(gain, test.areaM2, stood) : 0;
    return done(
      emission,
      `${round(gain, 2)} g × 24 / (${test.areaM2} m² × ${round(stood)} h) = ${round(emission)} g/(m² 24 h).`,
      `${round(emission)} g/(m² 24 h), ${round(emissionLb(emission))} lb/(1000 ft² 24 h)`,
    );
  }
  if (test.method === 'carbide') {
    const slab = ctx.room.base.slabMm;
    if (slab !== null && test.depthMm !== null && test.depthMm < slab / 2)
      faults.push(`sample from ${reach(test.depthMm)}: the lower half of ${reach(slab)} is asked for`);
    if (reading.sampleG === null)
      return done(
        reading.value,
        `As the instrument shows: ${round(reading.value, 2)} CM-%.`,
        `${round(reading.value, 2)} CM-%`,
      );
    const percent = carbidePercent(reading.value, reading.sampleG);
    return done(
      percent,
      `100 × ${round(reading.value, 2)} bar / ${round(reading.sampleG, 0)} g = ${round(percent, 2)} CM-%. The instrument’s own table wins.`,
      `${round(percent, 2)} CM-%`,
    );
  }
  if (test.method === 'pin') {
    if (ctx.room.base.heating === 'water' || ctx.room.base.heating === 'electric')
      if (test.of === 'base') faults.push('heated base: carbide or probe, never pins near the pipes');
    const value = pinPercent(reading.value, test.offsetPercent, reading.tempC, test.compensates);
    if (!test.compensates && reading.tempC === null) remarks.push('No temperature: not corrected for it');
    const warmth = value - reading.value - test.offsetPercent;
    return done(
      value,
      `${round(reading.value)} ${sign(test.offsetPercent)} for the species ${sign(warmth)} for temperature = ${round(value)} %MC.`,
    );
  }
  if (test.method === 'film') waits(24, 'film was taped');
  if (test.method === 'film' || test.method === 'scratch')
    return done(reading.value, 'As seen.', GRADES_OF[test.method][reading.value] ?? String(reading.value));
  if (test.method === 'water-drop') {
    const kind = absorbencyOf(reading.value);
    return done(
      reading.value,
      `Soaked in after ${round(reading.value, 0)} s: within a minute is porous, to five minutes normal, longer dense.`,
      `${round(reading.value, 0)} s: ${kind}`,
    );
  }
  return done(reading.value, 'As read.', `${round(reading.value)} ${spec.unit}`);
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
  if (before.length === 0)
    return void result.remarks.push('No air was recorded before it: service conditions are not shown');
  const history = airHistory(before, ctx.card, ctx.figure('air-gap-h'));
  const broken = history.excursions.find(
    (e) => (e.to === null || hoursBetween(e.to, reading.takenAt) < hours) && hoursBetween(e.from, reading.takenAt) >= 0,
  );
  if (broken) result.faults.push(`air was ${broken.words} within ${hours} h before: the room must be as in use`);
  else if (!bandClock(history, hours, null).done)
    result.remarks.push(`Air is recorded for ${Math.floor(history.inBandHours)} of the ${hours} h before`);
}

/** Margin of the surface over the dew point, C; null without both. */
export function surfaceMarginC(reading: { tempC: number; rhPercent: number; surfaceC: number | null }): number | null {
  return reading.surfaceC === null ? null : reading.surfaceC - dewPointC(reading.tempC, reading.rhPercent);
}
