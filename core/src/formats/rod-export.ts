import Papa from 'papaparse';
import { alongFirstWall, type Plan } from '../room/index.ts';
import { heightsOf, type FlatFacts, type Station } from '../flat/index.ts';
import { roundTo } from '../units/index.ts';
import { safeText } from './safe-text.ts';

/** Columns of the readings export, in order. `height_mm` is computed; an import passes it over. */
export const ROD_COLUMNS = ['setup', 'station', 'x_mm', 'y_mm', 'rod_mm', 'height_mm', 'taken_at', 'note'] as const;

/** Ends an export whose places are from the first corner: one of an earlier version has them as the sheet had. */
export const FROM_CORNER = 'frame=first-corner';

/**
 * All readings of a room as CSV (comma, decimal point, UTF-8): each set-up opens and closes with its benchmark rows. With the
 * plan places are along the first wall from the first corner and across it, as a tape finds them and as a file is read back.
 */
export function rodCsv(facts: FlatFacts, stations: readonly Station[], plan: Plan | null = null): string {
  const told = plan ? `# ${FROM_CORNER}\r\n` : '';
  const rows = rodRows(facts, stations, plan);
  return `${Papa.unparse([[...ROD_COLUMNS], ...rows], { newline: '\r\n' })}\r\n${told}`;
}

/** Readings of several rooms in one table: the room in a column before those of a room by itself, and no notes. */
export function roomsRodCsv(
  rooms: readonly { room: string; facts: FlatFacts; stations: readonly Station[]; plan: Plan }[],
): string {
  const rows = rooms.flatMap(({ room, facts, stations, plan }) =>
    rodRows(facts, stations, plan).map((cells) => [safeText(room), ...cells.slice(0, -1)]),
  );
  return `${Papa.unparse([['room', ...ROD_COLUMNS.slice(0, -1)], ...rows], { newline: '\r\n' })}\r\n# ${FROM_CORNER}\r\n`;
}

function rodRows(facts: FlatFacts, stations: readonly Station[], plan: Plan | null): (string | number)[][] {
  const { heights, setups } = heightsOf(facts);
  const height = new Map(heights.map((h) => [h.readingId, h.heightMm]));
  const number = new Map(stations.map((station) => [station.key, station.number]));
  const rows: (string | number)[][] = [];
  for (const { setup } of setups) {
    if (setup.openRodMm !== null)
      rows.push([safeText(setup.name), 'BM', '', '', roundTo(setup.openRodMm, 0.01), 0, setup.startedAt, 'benchmark']);
    const own = facts.readings.filter((r) => r.setupId === setup.id).sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1));
    for (const r of own) {
      const h = height.get(r.id);
      const at = plan ? alongFirstWall(plan, r) : r;
      rows.push([
        safeText(setup.name),
        number.get(r.stationKey) ?? safeText(r.stationKey),
        roundTo(at.xMm, 0.01),
        roundTo(at.yMm, 0.01),
        roundTo(r.rodMm, 0.01),
        h === undefined ? '' : roundTo(h, 0.01),
        r.takenAt,
        safeText(r.note),
      ]);
    }
    if (setup.closeRodMm !== null)
      rows.push([safeText(setup.name), 'BM', '', '', roundTo(setup.closeRodMm, 0.01), '', '', 'close']);
  }
  return rows;
}
