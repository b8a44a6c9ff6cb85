import Papa from 'papaparse';
import type { EvidenceLine } from './evidence.ts';
import type { Written } from './level-sheet.ts';
import { safeText } from './safe-text.ts';

const COLUMNS = [
  'at_utc',
  'kind',
  'what',
  'value',
  'standing',
  'x_mm',
  'y_mm',
  'conditions',
  'instrument',
  'who',
  'photographs',
  'version',
  'note',
  'id',
] as const;

const cellsOf = (line: EvidenceLine, written: Written): (string | number)[] => [
  line.at,
  line.kind,
  safeText(written(line.what)),
  safeText(written(line.value)),
  safeText(written(line.standing)),
  line.xMm ?? '',
  line.yMm ?? '',
  safeText(written(line.conditions)),
  safeText(written(line.instrument)),
  safeText(line.who),
  line.photographs,
  line.version,
  safeText(line.note),
  line.id,
];

/** The evidence as CSV: comma, decimal point, UTF-8. `written` puts what is said into words. */
export function evidenceCsv(lines: readonly EvidenceLine[], written: Written): string {
  const rows = lines.map((line) => cellsOf(line, written));
  return `${Papa.unparse([[...COLUMNS], ...rows], { newline: '\r\n' })}\r\n`;
}

/** The evidence of several rooms in one table, the room in a column before the others. */
export function roomsEvidenceCsv(
  rooms: readonly { room: string; lines: readonly EvidenceLine[] }[],
  written: Written,
): string {
  const rows = rooms.flatMap(({ room, lines }) => lines.map((line) => [safeText(room), ...cellsOf(line, written)]));
  return `${Papa.unparse([['room', ...COLUMNS], ...rows], { newline: '\r\n' })}\r\n`;
}
