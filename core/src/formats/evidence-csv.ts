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

/** The evidence as CSV: comma, decimal point, UTF-8. `written` puts what is said into words. */
export function evidenceCsv(lines: readonly EvidenceLine[], written: Written): string {
  const rows = lines.map((l) => [
    l.at,
    l.kind,
    safeText(written(l.what)),
    safeText(written(l.value)),
    safeText(written(l.standing)),
    l.xMm ?? '',
    l.yMm ?? '',
    safeText(written(l.conditions)),
    safeText(written(l.instrument)),
    safeText(l.who),
    l.photographs,
    l.version,
    safeText(l.note),
    l.id,
  ]);
  return `${Papa.unparse([[...COLUMNS], ...rows], { newline: '\r\n' })}\r\n`;
}
