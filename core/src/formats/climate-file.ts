import { celsius, say, type Said, type Sayable } from '../said/index.ts';
import { AIR_RANGES, LOG_SAMPLES_MOST, type AirSample } from '../air/index.ts';
import { cellsOf, delimiterOf, linesOf, numberOf, type FileLine } from './table-text.ts';

/** What a climate logger wrote, before anything is stored. */
export interface ClimateFile {
  instrument: string;
  samples: AirSample[];
  /** Rows that are not taken, with why. */
  problems: { line: number; text: string; reason: Said }[];
  /** What stops the file as a whole. */
  missing: Sayable[];
  /** The offset from UTC the times were read with, and whether the file said so. */
  zone: { minutes: number; stated: boolean };
  /** Usual time between samples, minutes. */
  intervalMin: number | null;
  /** Places where samples are missing. */
  gaps: { from: string; to: string; hours: number }[];
}

/** How loggers write a sample they did not get. */
const NOTHING = /^(-+|n\/?a|nan|err.*)?$/i;
const TIME = /date|time|zeit|datum|stamp/i;
const TEMP = /temp|°c|\bc\b|celsius|fahrenheit|°f/i;
const HUMIDITY = /rh|humid|feuchte|%/i;

/**
 * Reads a climate logger's text: lines of its own before the header, day first, month first where only that makes sense, or ISO
 * times; decimal comma or point; degrees Celsius or Fahrenheit by the header. Times are local at the zone the file states, else at
 * UTC. Never throws: rows that are not taken are named.
 */
export function readClimateFile(text: string): ClimateFile {
  const lines = linesOf(text);
  const headerAt = lines.findIndex((l) => TEMP.test(l.text) && HUMIDITY.test(l.text) && !/\d{2}[.:]\d{2}/.test(l.text));
  const before = headerAt < 0 ? [] : lines.slice(0, headerAt);
  const zoneText = before.map((l) => /(?:tz|utc|gmt)\s*([+-]\d{2}):?(\d{2})/i.exec(l.text)).find((m) => m !== null);
  const minutes = zoneText ? Number(zoneText[1]) * 60 + Math.sign(Number(zoneText[1]) || 1) * Number(zoneText[2]) : 0;
  const file: ClimateFile = {
    instrument: before[0]
      ? before[0].text
          .split(/[;,\t]/)
          .slice(0, 2)
          .join(' ')
          .trim()
      : '',
    samples: [],
    problems: [],
    missing: [],
    zone: { minutes, stated: zoneText !== undefined },
    intervalMin: null,
    gaps: [],
  };
  if (headerAt < 0) {
    file.missing = [say('formats.climateHeader')];
    return file;
  }
  const rows = lines.slice(headerAt + 1);
  const delimiter = delimiterOf([lines[headerAt]!, ...rows.slice(0, 4)].map((l) => l.text));
  const headers = cellsOf(lines[headerAt]!.text, delimiter);
  const time = headers.findIndex((h) => TIME.test(h));
  const humidity = headers.findIndex((h, i) => i !== time && HUMIDITY.test(h) && !/temp/i.test(h));
  const temp = headers.findIndex((h, i) => i !== time && i !== humidity && TEMP.test(h));
  for (const [index, what] of [
    [time, say('formats.dateAndTime')],
    [temp, 'temperature'],
    [humidity, 'humidity'],
  ] as const)
    if (index < 0) file.missing.push(what);
  if (file.missing.length > 0) return file;
  const fahrenheit = /°?f\b|fahrenheit/i.test(headers[temp]!);
  const monthFirst = rows.some((l) => {
    const m = SLASHED.exec(cellsOf(l.text, delimiter)[time] ?? '');
    return m !== null && Number(m[2]) > 12;
  });
  for (const row of rows)
    take(file, row, cellsOf(row.text, delimiter), { time, temp, humidity, fahrenheit, monthFirst });
  file.samples.sort((a, b) => (a.at < b.at ? -1 : 1));
  if (file.samples.length > LOG_SAMPLES_MOST)
    file.problems.push({
      line: 0,
      text: '',
      reason: say('formats.tooManySamples', { count: file.samples.length, most: LOG_SAMPLES_MOST }),
    });
  nameGaps(file);
  return file;
}

interface Columns {
  time: number;
  temp: number;
  humidity: number;
  fahrenheit: boolean;
  monthFirst: boolean;
}

function take(file: ClimateFile, row: FileLine, cells: readonly string[], at: Columns): void {
  const refuse = (reason: Said) => void file.problems.push({ line: row.line, text: row.text, reason });
  const utc = timeOf(cells[at.time] ?? '', file.zone.minutes, at.monthFirst);
  if (utc === null) return refuse(say('formats.isNoTime', { text: cells[at.time] ?? '' }));
  const [t, rh] = [numberOf(cells[at.temp] ?? ''), numberOf(cells[at.humidity] ?? '')];
  if (NOTHING.test(cells[at.temp] ?? '') && NOTHING.test(cells[at.humidity] ?? ''))
    return refuse(say('formats.theLoggerRecordedNothing'));
  if (t === null) return refuse(say('formats.temperatureIsNoNumber', { text: cells[at.temp] ?? '' }));
  if (rh === null) return refuse(say('formats.humidityIsNoNumber', { text: cells[at.humidity] ?? '' }));
  const tempC = at.fahrenheit ? ((t - 32) * 5) / 9 : t;
  const { tempC: tr, rhPercent: hr } = AIR_RANGES;
  if (tempC < tr.min || tempC > tr.max)
    return refuse(say('formats.temperatureOutOfRange', { t, min: tr.min, max: celsius(tr.max, 0) }));
  if (rh < hr.min || rh > hr.max) return refuse(say('formats.humidityOutOfRange', { rh, min: hr.min, max: hr.max }));
  file.samples.push({ at: utc, tempC: Math.round(tempC * 100) / 100, rhPercent: rh });
}

const DOTTED = /^(\d{1,2})\.(\d{1,2})\.(\d{4})\s+(\d{1,2}):(\d{2})(?::(\d{2}))?$/;
const SLASHED = /^(\d{1,2})\/(\d{1,2})\/(\d{4})\s+(\d{1,2}):(\d{2})(?::(\d{2}))?$/;
const ISO_LOCAL = /^(\d{4})-(\d{2})-(\d{2})[ T](\d{1,2}):(\d{2})(?::(\d{2}))?$/;

/** A time as loggers write it, as UTC; null when it is none. */
function timeOf(text: string, zoneMin: number, monthFirst: boolean): string | null {
  const iso = ISO_LOCAL.exec(text);
  const day = DOTTED.exec(text) ?? SLASHED.exec(text);
  let parts: number[] | null = null;
  if (iso) parts = iso.slice(1).map((v) => Number(v ?? 0));
  else if (day) {
    const [a, b, year, ...clock] = day.slice(1).map((v) => Number(v ?? 0)) as [number, number, number, ...number[]];
    parts = SLASHED.test(text) && monthFirst ? [year, a, b, ...clock] : [year, b, a, ...clock];
  }
  if (!parts)
    return /Z$|[+-]\d{2}:?\d{2}$/.test(text) && !Number.isNaN(Date.parse(text)) ? new Date(text).toISOString() : null;
  const [year, month, date, hour, minute, second] = parts as [number, number, number, number, number, number];
  const at = new Date(Date.UTC(year, month - 1, date, hour, minute, second));
  // A day that the month does not have rolls over: refused instead.
  if (at.getUTCMonth() !== month - 1 || hour > 23 || minute > 59) return null;
  return new Date(at.getTime() - zoneMin * 60_000).toISOString();
}

function nameGaps(file: ClimateFile): void {
  const steps = file.samples.slice(1).map((s, i) => (Date.parse(s.at) - Date.parse(file.samples[i]!.at)) / 60_000);
  if (steps.length === 0) return;
  const sorted = [...steps].sort((a, b) => a - b);
  const usual = sorted[Math.floor(sorted.length / 2)]!;
  file.intervalMin = usual;
  for (const [i, step] of steps.entries())
    if (step > 1.5 * usual)
      file.gaps.push({ from: file.samples[i]!.at, to: file.samples[i + 1]!.at, hours: step / 60 });
}
