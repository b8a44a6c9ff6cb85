import { allOf, gap, gapFigure, say, type Said, type Sayable } from '../said/index.ts';
import Papa from 'papaparse';
import { ROD_MM, type RodReading, type SetUp } from '../flat/index.ts';
import {
  alongFirstWall,
  boundsMm,
  contains,
  distanceToWallsMm,
  onSheet,
  type Plan,
  type PointMm,
} from '../room/index.ts';
import { parseLength } from '../units/index.ts';
import { FROM_CORNER, ROD_COLUMNS } from './rod-export.ts';
import { delimiterOf } from './table-text.ts';
import { matchColumns, type ColumnUse, type ColumnRole } from './rod-columns.ts';

/** One reading found in a file, before anything is stored. */
interface FileReading {
  line: number;
  setup: string;
  station: string;
  xMm: number;
  yMm: number;
  rodMm: number;
  note: string;
}

/** A benchmark reading: the first of a set-up opens it, a later one closes it. */
interface FileBenchmark {
  line: number;
  setup: string;
  rodMm: number;
}

/** A row that is not taken, or is taken only when the user says so. */
interface RowProblem {
  line: number;
  text: Sayable;
  reason: Sayable;
  /** Present when the row can be read but looks wrong: the user may take it all the same. */
  reading?: FileReading;
}

interface RodFile {
  delimiter: string;
  headers: string[];
  columns: ColumnUse[];
  readings: FileReading[];
  benchmarks: FileBenchmark[];
  problems: RowProblem[];
  /** Lines that start with #, without it. */
  comments: string[];
  /** What stops the file as a whole: no rows, or a column that must be chosen. */
  missing: ColumnRole[];
}

const BENCHMARK = /^(bm|tbm|hm|benchmark|festpunkt|datum)\b/i;
/** A rod this far from the middle of its set-up is more often a slip of the pen than a floor, mm. */
const DOUBT_MM = 100;
const FILE_ROWS_MOST = 5000;

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/**
 * Reads staff readings from delimited text: comma, semicolon or tab; decimal point or comma; mm, cm, m, feet and inches with
 * fractions; header names matched, or given in `columns`; several set-ups with their benchmark readings. Places are read along the
 * first wall from the first corner and across it, and come out where the plan has them on the sheet.
 * Never throws: every row that is not taken is named in `problems` with its line and reason.
 */
export function readRodFile(text: string, plan: Plan | null, columns?: readonly ColumnUse[]): RodFile {
  const lines = text.split(/\r\n|\n|\r/).map((line, index) => ({ line: index + 1, text: line }));
  const comments = lines.filter((l) => l.text.startsWith('#')).map((l) => l.text.slice(1).trim());
  const data = lines.filter((l) => l.text.trim() !== '' && !l.text.startsWith('#'));
  const delimiter = delimiterOf(data.slice(0, 5).map((l) => l.text));
  // Quotes mean inches in these files far more often than they wrap a cell, so they are only honoured in pairs around one.
  const split = (row: string): string[] => {
    const wrapped = row
      .split(delimiter)
      .some((cell) => /^\s*".*[^"\d]"\s*$/.test(cell) || /^"[^"]*$/.test(cell.trim()));
    const cells = wrapped ? (Papa.parse<string[]>(row, { delimiter }).data[0] ?? []) : row.split(delimiter);
    return cells.map((cell) => cell.trim());
  };
  const headers = data[0] ? split(data[0].text) : [];
  const rows = data.slice(1, FILE_ROWS_MOST + 1).map((l) => ({ ...l, cells: split(l.text) }));
  const uses = columns
    ? [...columns]
    : matchColumns(
        headers,
        rows.map((row) => row.cells),
      );
  const index = (role: ColumnRole) => uses.findIndex((use) => use.role === role);
  const missing = (['x', 'y', 'rod'] as const).filter((role) => index(role) < 0);
  const file: RodFile = {
    delimiter,
    headers,
    columns: uses,
    readings: [],
    benchmarks: [],
    problems: [],
    comments,
    missing: [...missing],
  };
  if (data.length > FILE_ROWS_MOST + 1) {
    file.problems.push({
      line: data[FILE_ROWS_MOST + 1]!.line,
      text: '',
      reason: say('formats.tooManyRows', { count: data.length - 1, most: FILE_ROWS_MOST }),
    });
  }
  if (missing.length > 0) return file;
  const laid = isOnSheet(file) ? (at: PointMm) => at : (at: PointMm) => (plan ? onSheet(plan, at) : at);
  for (const row of rows) takeRow(file, row, uses, index, { plan, laid });
  doubtOutliers(file);
  return file;
}

function takeRow(
  file: RodFile,
  row: { line: number; text: string; cells: string[] },
  uses: readonly ColumnUse[],
  index: (role: ColumnRole) => number,
  { plan, laid }: { plan: Plan | null; laid: (written: PointMm) => PointMm },
): void {
  const cell = (role: ColumnRole) => (index(role) < 0 ? '' : (row.cells[index(role)] ?? ''));
  const refuse = (reason: Sayable) => file.problems.push({ line: row.line, text: row.text, reason });
  const name = (role: ColumnRole) => file.headers[index(role)] || role;
  const length = (role: 'x' | 'y' | 'rod') => parseLength(cell(role), uses[index(role)]!.unit);
  const setup = cell('setup') || 'A';
  const rod = length('rod');
  if (!rod.ok) return void refuse(allOf([name('rod'), rod.reason], ' '));
  if (rod.mm < ROD_MM.min || rod.mm > ROD_MM.max)
    return void refuse(
      say('formats.rodOutOfRange', {
        name: name('rod'),
        rodMm: gap(Math.round(rod.mm)),
        min: gapFigure(ROD_MM.min),
        max: gap(ROD_MM.max),
      }),
    );
  if (BENCHMARK.test(cell('station')) && cell('x') === '' && cell('y') === '') {
    file.benchmarks.push({ line: row.line, setup, rodMm: rod.mm });
    return;
  }
  const [x, y] = [length('x'), length('y')];
  if (!x.ok) return void refuse(allOf([name('x'), x.reason], ' '));
  if (!y.ok) return void refuse(allOf([name('y'), y.reason], ' '));
  const reading: FileReading = {
    line: row.line,
    setup,
    station: cell('station') || String(file.readings.length + 1),
    ...laid({ xMm: x.mm, yMm: y.mm }),
    rodMm: rod.mm,
    note: cell('note'),
  };
  const outside = plan && outsideWords(plan, reading, { xMm: x.mm, yMm: y.mm });
  if (outside) file.problems.push({ line: row.line, text: row.text, reason: outside });
  else file.readings.push(reading);
}

/** An export of an earlier version, or one that was made without a plan: its places are those of the sheet. */
const isOnSheet = ({ headers, comments }: RodFile): boolean =>
  headers.join() === ROD_COLUMNS.join() && !comments.includes(FROM_CORNER);

/** Why a place lies outside the room, told as it was written; null where it does not. */
function outsideWords(plan: Plan, at: PointMm, written: PointMm): Said | null {
  if (contains(plan.corners, at.xMm, at.yMm)) return null;
  const by = distanceToWallsMm(plan.corners, at.xMm, at.yMm);
  if (by <= 20) return null;
  const b = boundsMm(plan.corners.map((corner) => alongFirstWall(plan, corner)));
  return say('formats.liesOutsideBy', {
    by: gap(Math.round(by)),
    x: gapFigure(Math.round(written.xMm)),
    y: gapFigure(Math.round(written.yMm)),
    wide: gapFigure(Math.round(b.maxX - b.minX)),
    deep: gap(Math.round(b.maxY - b.minY)),
  });
}

function doubtOutliers(file: RodFile): void {
  const middles = new Map<string, number>();
  for (const setup of new Set(file.readings.map((r) => r.setup)))
    middles.set(setup, median(file.readings.filter((r) => r.setup === setup).map((r) => r.rodMm)));
  const keep: FileReading[] = [];
  for (const reading of file.readings) {
    const off = reading.rodMm - middles.get(reading.setup)!;
    if (Math.abs(off) <= DOUBT_MM) keep.push(reading);
    else {
      const reason = say('formats.rodApart', {
        rodMm: gap(reading.rodMm),
        off: gap(Math.round(Math.abs(off))),
        what: off > 0 ? say('formats.below') : say('formats.above'),
        setup: reading.setup,
      });
      file.problems.push({
        line: reading.line,
        text: say('formats.station', { station: reading.station }),
        reason,
        reading,
      });
    }
  }
  file.readings = keep;
  file.problems.sort((a, b) => a.line - b.line);
}

/**
 * Facts from what was read: one set-up for each name, stations keyed by place so that the same file read twice, or a station
 * shared by two set-ups, falls on the same station. Times run one second apart from `startAt` (ISO) to keep the order.
 */
export function factsFromRodFile(
  file: RodFile,
  taken: readonly FileReading[],
  startAt: string,
  newId: () => string,
): { setups: SetUp[]; readings: RodReading[] } {
  const start = Date.parse(startAt);
  const at = (n: number) => new Date(start + n * 1000).toISOString();
  const names = [...new Set([...file.benchmarks.map((b) => b.setup), ...taken.map((r) => r.setup)])];
  const order = (name: string) =>
    Math.min(...[...file.benchmarks, ...taken].filter((row) => row.setup === name).map((row) => row.line));
  names.sort((a, b) => order(a) - order(b));
  const setups = names.map((name, i): SetUp => {
    const bench = file.benchmarks.filter((b) => b.setup === name);
    return {
      id: newId(),
      name,
      openRodMm: bench[0]?.rodMm ?? null,
      closeRodMm: bench.length > 1 ? bench[bench.length - 1]!.rodMm : null,
      startedAt: at(i),
    };
  });
  const idOf = new Map(setups.map((setup) => [setup.name, setup.id]));
  const readings = taken.map((r, i): RodReading => ({
    id: newId(),
    setupId: idOf.get(r.setup)!,
    stationKey: `f${Math.round(r.xMm)}:${Math.round(r.yMm)}`,
    xMm: r.xMm,
    yMm: r.yMm,
    rodMm: r.rodMm,
    takenAt: at(names.length + i),
    note: r.note,
  }));
  return { setups, readings };
}
