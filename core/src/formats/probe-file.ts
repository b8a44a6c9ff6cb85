import { gap, gapFigure, say, type Said, type Sayable } from '../said/index.ts';
import { DAMP_RANGES, METHOD_SPECS } from '../damp/index.ts';
import { contains, onSheet, type Plan } from '../room/index.ts';
import { cellsOf, delimiterOf, linesOf, numberOf } from './table-text.ts';

/** One probe of a file with its readings. */
interface FileProbe {
  name: string;
  xMm: number;
  yMm: number;
  depthMm: number;
  startedAt: string;
  readings: { line: number; takenAt: string; value: number; tempC: number | null }[];
}

export interface ProbeFile {
  probes: FileProbe[];
  /** Slab thickness the file states, mm; null when it states none or several. */
  slabMm: number | null;
  problems: { line: number; text: string; reason: Said }[];
  missing: Sayable[];
}

const COLUMNS = {
  probe: /^(probe|hole|sensor|name|nr|no)/i,
  x: /^x/i,
  y: /^y/i,
  slab: /slab|thick/i,
  depth: /depth/i,
  drilled: /drill|seal|set/i,
  read: /read|taken|time/i,
  rh: /rh|humid/i,
  temp: /temp/i,
} as const;
const NEEDED = ['probe', 'x', 'y', 'depth', 'drilled', 'read', 'rh'] as const;

/** Millimetres in one unit of a column, from its header: `x_m`, `x (cm)`, `x_mm`. */
const scaleOf = (header: string) =>
  /mm\)?$/i.test(header) ? 1 : /cm\)?$/i.test(header) ? 10 : /m\)?$/i.test(header) ? 1000 : 1;

/** Reads in-slab probe readings from delimited text. Never throws: rows that are not taken are named with their line. */
export function readProbeFile(text: string, plan: Plan | null): ProbeFile {
  const lines = linesOf(text);
  const file: ProbeFile = { probes: [], slabMm: null, problems: [], missing: [] };
  const header = lines[0];
  if (!header) return { ...file, missing: [say('formats.aHeader')] };
  const delimiter = delimiterOf(lines.slice(0, 5).map((l) => l.text));
  const headers = cellsOf(header.text, delimiter);
  const index = (role: keyof typeof COLUMNS) => headers.findIndex((h) => COLUMNS[role].test(h));
  file.missing = NEEDED.filter((role) => index(role) < 0);
  if (file.missing.length > 0) return file;
  const slabs = new Set<number>();
  for (const row of lines.slice(1)) {
    const cells = cellsOf(row.text, delimiter);
    const refuse = (reason: Said) => void file.problems.push({ line: row.line, text: row.text, reason });
    const cell = (role: keyof typeof COLUMNS) => cells[index(role)] ?? '';
    const mm = (role: 'x' | 'y' | 'depth' | 'slab') => {
      const value = numberOf(cell(role));
      return value === null ? null : Math.round(value * scaleOf(headers[index(role)]!) * 10) / 10;
    };
    const [xMm, yMm, depthMm, value] = [mm('x'), mm('y'), mm('depth'), numberOf(cell('rh'))];
    const utc = (text: string) => (Number.isNaN(Date.parse(text)) ? null : new Date(text).toISOString());
    const [startedAt, takenAt] = [utc(cell('drilled')), utc(cell('read'))];
    const { min, max } = METHOD_SPECS.probe;
    const at = xMm === null || yMm === null ? null : plan ? onSheet(plan, { xMm, yMm }) : { xMm, yMm };
    if (xMm === null || yMm === null || at === null) refuse(say('formats.thePlaceIsNoNumber'));
    else if (plan && !contains(plan.corners, at.xMm, at.yMm))
      refuse(say('formats.liesOutside', { xMm: gapFigure(xMm), yMm: gap(yMm) }));
    else if (depthMm === null || depthMm < DAMP_RANGES.depthMm.min || depthMm > DAMP_RANGES.depthMm.max)
      refuse(
        say('formats.depthOutOfRange', {
          text: cell('depth'),
          min: gapFigure(DAMP_RANGES.depthMm.min),
          max: gap(DAMP_RANGES.depthMm.max),
        }),
      );
    else if (!startedAt || !takenAt)
      refuse(say('formats.isNoTime', { text: startedAt ? cell('read') : cell('drilled') }));
    else if (takenAt < startedAt) refuse(say('formats.readBeforeTheHoleWasDrilled'));
    else if (value === null || value < min || value > max)
      refuse(say('formats.humidityReadOutOfRange', { text: cell('rh'), min, max }));
    else {
      const name = cell('probe') || `P${file.probes.length + 1}`;
      let probe = file.probes.find((p) => p.name === name && p.startedAt === startedAt);
      if (!probe) file.probes.push((probe = { name, ...at, depthMm, startedAt, readings: [] }));
      const slab = index('slab') < 0 ? null : mm('slab');
      if (slab !== null) slabs.add(slab);
      probe.readings.push({ line: row.line, takenAt, value, tempC: index('temp') < 0 ? null : numberOf(cell('temp')) });
    }
  }
  if (slabs.size === 1) file.slabMm = [...slabs][0]!;
  return file;
}
