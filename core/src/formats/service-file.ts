import Papa from 'papaparse';
import { gap, gapFigure, say, type Said, type Sayable } from '../said/index.ts';
import {
  alongFirstWall,
  onSheet,
  SERVICE_DEPTH_MM,
  SERVICE_FOUND,
  SERVICE_KINDS,
  type Plan,
  type PointMm,
  type Service,
  type ServiceFound,
  type ServiceKind,
} from '../room/index.ts';
import { parseLength, roundTo } from '../units/index.ts';
import { safeText } from './safe-text.ts';
import { cellsOf, delimiterOf, linesOf, unitOfHeading } from './table-text.ts';

/** Lines of pipes and cables found in a file, before anything is stored. */
interface ServiceFile {
  lines: { name: string; kind: ServiceKind; found: ServiceFound; depthMm: number | null; points: PointMm[] }[];
  problems: { line: number; text: string; reason: Said }[];
  missing: Sayable[];
}

const COLUMNS = {
  line: /^(line|name|nr|no|id|run)/i,
  kind: /^(kind|what|type|service)/i,
  x: /^(x|along)/i,
  y: /^(y|across)/i,
  depth: /^(depth|deep|cover)/i,
  found: /^(found|known|how|status)/i,
} as const;
type Role = keyof typeof COLUMNS;
const NEEDED = ['line', 'kind', 'x', 'y'] as const;

/** How other hands write the kinds, each by how its word begins. */
const KINDS: readonly [RegExp, ServiceKind][] = [
  [/^(drain|soil|sewer|waste)/i, 'drain'],
  [/^(water|cold|hot|supply)/i, 'water'],
  [/^gas/i, 'gas'],
  [/^(cable|electric|power|data)/i, 'cable'],
  [/^(heat|ufh|radiant)/i, 'heating'],
  [/^(tendon|post|prestress|strand)/i, 'tendon'],
];

/**
 * Reads pipes, drains and cables from delimited text: a row for each point, rows of one name in their order make one line. Places are
 * along the first wall from the first corner and across it; units as the headings say, millimetres else. What nobody has located is
 * taken as supposed. Never throws: rows that are not taken are named.
 */
export function readServiceFile(text: string, plan: Plan): ServiceFile {
  const rows = linesOf(text);
  const file: ServiceFile = { lines: [], problems: [], missing: [] };
  if (!rows[0]) return { ...file, missing: [say('formats.aHeader')] };
  const delimiter = delimiterOf(rows.slice(0, 5).map((l) => l.text));
  const headers = cellsOf(rows[0].text, delimiter);
  const index = (role: Role) => headers.findIndex((h) => COLUMNS[role].test(h));
  file.missing = NEEDED.filter((role) => index(role) < 0);
  if (file.missing.length > 0) return file;
  const last = new Map<string, number>();
  for (const row of rows.slice(1)) {
    const cells = cellsOf(row.text, delimiter);
    const cell = (role: Role) => (index(role) < 0 ? '' : (cells[index(role)] ?? ''));
    const refuse = (reason: Said) => void file.problems.push({ line: row.line, text: row.text, reason });
    const mm = (role: 'x' | 'y' | 'depth') => {
      const parsed = parseLength(cell(role), unitOfHeading(headers[index(role)]!));
      return parsed.ok ? parsed.mm : null;
    };
    const [xMm, yMm] = [mm('x'), mm('y')];
    const kind = (SERVICE_KINDS as readonly string[]).includes(cell('kind').toLowerCase())
      ? (cell('kind').toLowerCase() as ServiceKind)
      : KINDS.find(([begins]) => begins.test(cell('kind')))?.[1];
    const depthMm = cell('depth') === '' ? null : mm('depth');
    const found = SERVICE_FOUND.find((one) => one === cell('found').toLowerCase()) ?? 'supposed';
    const name = cell('line') || `${file.lines.length + 1}`;
    if (!kind) refuse(say('formats.serviceKindUnknown', { text: cell('kind') || 'Empty' }));
    else if (xMm === null || yMm === null) refuse(say('formats.thePlaceIsNoNumber'));
    else if (
      cell('depth') !== '' &&
      (depthMm === null || depthMm < SERVICE_DEPTH_MM.min || depthMm > SERVICE_DEPTH_MM.max)
    )
      refuse(
        say('formats.depthOutOfRange', {
          text: cell('depth'),
          min: gapFigure(SERVICE_DEPTH_MM.min),
          max: gap(SERVICE_DEPTH_MM.max),
        }),
      );
    else {
      const at = onSheet(plan, { xMm, yMm });
      const point = { xMm: roundTo(at.xMm, 0.1), yMm: roundTo(at.yMm, 0.1) };
      let own = file.lines.find((one) => one.name === name && one.kind === kind);
      if (!own) file.lines.push((own = { name, kind, found, depthMm, points: [] }));
      own.points.push(point);
      // Where its points lie at several depths the least counts; one that is not known makes the whole not known.
      own.depthMm = own.depthMm === null || depthMm === null ? null : Math.min(own.depthMm, depthMm);
      if (found === 'supposed') own.found = 'supposed';
      last.set(`${kind}/${name}`, row.line);
    }
  }
  const short = file.lines.filter(({ points }) => points.length < 2);
  for (const { kind, name } of short)
    file.problems.push({
      line: last.get(`${kind}/${name}`)!,
      text: name,
      reason: say('formats.serviceOnePoint', { name }),
    });
  return { ...file, lines: file.lines.filter(({ points }) => points.length >= 2) };
}

const HEADER = ['line', 'kind', 'x_mm', 'y_mm', 'depth_mm', 'found', 'note'];

/** The lines of a room as the reader above takes them back. */
export function serviceCsv(services: readonly Service[], plan: Plan): string {
  const rows = services.flatMap((service, i) =>
    service.points.map((point) => {
      const { xMm, yMm } = alongFirstWall(plan, point);
      const { kind, depthMm, found, note } = service;
      return [i + 1, kind, roundTo(xMm, 0.1), roundTo(yMm, 0.1), depthMm ?? '', found, safeText(note)];
    }),
  );
  return `${Papa.unparse([HEADER, ...rows], { newline: '\r\n' })}\r\n`;
}
