import { allOf, say, type Said } from '../said/index.ts';
import type { AirBands, AirLog, AirReading, AirSample } from './facts.ts';

const HOUR_MS = 3_600_000;

/** A stretch without readings, longer than the readings' own interval lets one expect. */
interface AirGap {
  from: string;
  to: string;
  hours: number;
}

/** A stretch outside the bands, from the first sample out to the first back in; `to` null while it lasts. */
interface Excursion {
  from: string;
  to: string | null;
  /** The sample farthest out. */
  worst: AirSample;
  words: Said;
}

export interface AirHistory {
  samples: AirSample[];
  gaps: AirGap[];
  excursions: Excursion[];
  last: AirSample | null;
  lastInBand: boolean;
  /** Since when every reading has been in band without too long a gap; null while out. */
  inBandSince: string | null;
  /** Hours in band, up to the last reading: what is not read is not claimed. */
  inBandHours: number;
}

/** Whether a sample lies in the bands, their edges included. */
export function inBand(sample: Pick<AirSample, 'tempC' | 'rhPercent'>, bands: AirBands): boolean {
  return (
    sample.tempC >= bands.airMinC &&
    sample.tempC <= bands.airMaxC &&
    sample.rhPercent >= bands.airMinRh &&
    sample.rhPercent <= bands.airMaxRh
  );
}

/** Which bound a sample breaks, worst share of its band first: `dry`, `damp`, `cold`, `warm`. */
export function outWords(sample: Pick<AirSample, 'tempC' | 'rhPercent'>, bands: AirBands): Said[] {
  return [
    sample.rhPercent > bands.airMaxRh ? say('air.tooDamp') : null,
    sample.rhPercent < bands.airMinRh ? say('air.tooDry') : null,
    sample.tempC < bands.airMinC ? say('air.tooCold') : null,
    sample.tempC > bands.airMaxC ? say('air.tooWarm') : null,
  ].filter((w) => w !== null);
}

const farOut = (s: AirSample, b: AirBands) =>
  Math.max((s.rhPercent - b.airMaxRh) / 5, (b.airMinRh - s.rhPercent) / 5, s.tempC - b.airMaxC, b.airMinC - s.tempC);

/** Every sample of a room in order of time, by hand and from loggers; of two at one moment the one read by hand. */
export function samplesOf(readings: readonly AirReading[], logs: readonly AirLog[]): AirSample[] {
  const byTime = new Map<number, AirSample>();
  for (const log of logs) for (const sample of log.samples) byTime.set(Date.parse(sample.at), sample);
  for (const { takenAt, tempC, rhPercent } of readings)
    byTime.set(Date.parse(takenAt), { at: takenAt, tempC, rhPercent });
  return [...byTime.entries()].sort((a, b) => a[0] - b[0]).map(([, sample]) => sample);
}

/**
 * Time within the bands: gaps and excursions named, and since when the air has been in band. A gap over `longestGapH` breaks the
 * claim: what nobody read is not service conditions.
 */
export function airHistory(samples: readonly AirSample[], bands: AirBands, longestGapH: number): AirHistory {
  const gaps: AirGap[] = [];
  const excursions: Excursion[] = [];
  let since: string | null = null;
  let out: Excursion | null = null;
  for (const [index, sample] of samples.entries()) {
    const before = samples[index - 1];
    if (before) {
      const hours = (Date.parse(sample.at) - Date.parse(before.at)) / HOUR_MS;
      if (hours > longestGapH) {
        gaps.push({ from: before.at, to: sample.at, hours });
        since = null;
      }
    }
    if (inBand(sample, bands)) {
      if (out) out.to = sample.at;
      out = null;
      since ??= sample.at;
    } else {
      since = null;
      if (!out) {
        out = { from: sample.at, to: null, worst: sample, words: allOf(outWords(sample, bands)) };
        excursions.push(out);
      }
      if (farOut(sample, bands) > farOut(out.worst, bands)) out.worst = sample;
      out.words = allOf(outWords(out.worst, bands));
    }
  }
  const last = samples[samples.length - 1] ?? null;
  return {
    samples: [...samples],
    gaps,
    excursions,
    last,
    lastInBand: last !== null && inBand(last, bands),
    inBandSince: since,
    inBandHours: since && last ? (Date.parse(last.at) - Date.parse(since)) / HOUR_MS : 0,
  };
}

/** A clock that asks for so many hours in band, from `startedAt` on, and starts again after an excursion. */
interface BandClock {
  hoursNeeded: number;
  hoursDone: number;
  /** When it runs out if the air stays in band; null while it is out of band or nothing is read. */
  dueAt: string | null;
  done: boolean;
}

/** Service conditions (48 h before testing and laying) and acclimatising count alike. */
export function bandClock(history: AirHistory, hoursNeeded: number, startedAt: string | null): BandClock {
  if (!history.inBandSince || !history.last) return { hoursNeeded, hoursDone: 0, dueAt: null, done: false };
  const from = Math.max(Date.parse(history.inBandSince), startedAt ? Date.parse(startedAt) : -Infinity);
  const hoursDone = Math.max(0, (Date.parse(history.last.at) - from) / HOUR_MS);
  return {
    hoursNeeded,
    hoursDone,
    dueAt: new Date(from + hoursNeeded * HOUR_MS).toISOString(),
    done: hoursDone >= hoursNeeded,
  };
}
