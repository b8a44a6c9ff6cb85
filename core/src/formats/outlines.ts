import { lower, say, type Said } from '../said/index.ts';
import { areaM2, boundsMm, outlineOf, SHEET_MM, type PointMm, type Start, type Wall } from '../room/index.ts';
import { toMm, type UnitSystem } from '../units/index.ts';
import { NOTHING_DRAWN, type DrawnUnit, type FileOutline, type OutlinesOfFile } from './outline-drawn.ts';
import { outlinesOfDxf } from './outline-dxf.ts';
import { outlinesOfJson } from './outline-geojson.ts';
import { checkedShape, cornersOf, wallsAlong } from './outline-shape.ts';
import { outlinesOfTable } from './outline-table.ts';
import { tickedOf } from './outline-ticked.ts';

export { DRAWN_UNITS, type DrawnUnit, type OutlinesOfFile } from './outline-drawn.ts';

/** A room a file offers: its walls, and where its first corner lies on the drawing, mm from the drawing's own lower left. */
export interface OfferedRoom {
  name: string | null;
  walls: Wall[];
  start: Start;
  at: PointMm | null;
  areaM2: number;
  /** Whether it is likely a room to be taken, and where not, why. */
  ticked: boolean;
  doubt: Said | null;
}

export interface OfferedRooms {
  rooms: OfferedRoom[];
  problems: OutlinesOfFile['problems'];
  missing: OutlinesOfFile['missing'];
  remarks: Said[];
  /** The unit it was read in, and whether the file itself names it. */
  unit: DrawnUnit;
  unitNamed: boolean;
  /** Whether lengths follow the unit: walls of a table carry units of their own. */
  drawn: boolean;
}

/** Smaller outlines are pillars, cupboards and signs, m2. */
const SMALLEST_M2 = 0.5;
/** So many outlines are shown and taken at most. */
export const ROOMS_MOST = 60;

/** Reads outlines of rooms from a file's text, whichever of the known ways they are written in. Never throws. */
export function outlinesOf(text: string): OutlinesOfFile {
  const begins = text.trimStart();
  if (/^AutoCAD Binary DXF/.test(begins) || /^AC10\d\d/.test(begins))
    return { ...NOTHING_DRAWN, missing: [say('formats.drawingInText')] };
  if (/^[{[]/.test(begins)) return outlinesOfJson(text);
  if (/^(999\s*[\r\n].*[\r\n]+\s*)*0\s*[\r\n]+\s*SECTION/.test(begins)) return outlinesOfDxf(text);
  return outlinesOfTable(text);
}

/** What a file offers, in a unit: the one it names, else `unit`, else the one its size makes likely. */
export function offeredOf(file: OutlinesOfFile, system: UnitSystem, unit: DrawnUnit | null = null): OfferedRooms {
  const read = unit ?? file.unit ?? likelyUnit(file.outlines, system);
  const mmPerUnit = toMm(1, read);
  const problems = [...file.problems];
  let small = 0;
  const offered = file.outlines.flatMap((outline, i) => {
    const corners = 'ring' in outline.shape ? cornersOf(outline.shape.ring, mmPerUnit) : null;
    if (corners && boxM2(corners) < SMALLEST_M2) {
      small++;
      return [];
    }
    const shape = 'walls' in outline.shape ? checkedShape(outline.shape.walls) : wallsAlong(corners!);
    if ('problem' in shape) {
      const text = outline.name ?? `${outline.layer ?? ''} ${i + 1}`.trim();
      problems.push({
        line: 0,
        text,
        reason: say('formats.outlineNotTaken', { name: text, why: lower(shape.problem) }),
      });
      return [];
    }
    return [{ outline, shape, corners }];
  });
  const most = offered.slice(0, ROOMS_MOST);
  const ticks = tickedOf(
    most.map(({ outline, corners, shape }) => ({ outline, corners: corners ?? outlineOf(shape.walls).corners })),
  );
  const all = most.flatMap(({ corners }) => corners ?? []);
  const { minX, minY } = all.length > 0 ? boundsMm(all) : { minX: 0, minY: 0 };
  const remarks = [...file.remarks];
  if (small > 0) remarks.push(say('formats.smallOutlinesLeft', { count: small }));
  if (offered.length > most.length)
    remarks.push(say('formats.outlinesBeyond', { count: offered.length, most: ROOMS_MOST }));
  return {
    rooms: most.map(({ outline, shape, corners }, i) => ({
      name: outline.name,
      walls: shape.walls,
      start: shape.start,
      at: corners ? onSheetOnly({ xMm: corners[0]!.xMm - minX, yMm: corners[0]!.yMm - minY }) : null,
      areaM2: areaM2(outlineOf(shape.walls, shape.start).corners),
      ...ticks[i]!,
    })),
    problems,
    missing: file.missing,
    remarks,
    unit: read,
    unitNamed: file.unit !== null,
    drawn: file.outlines.some(({ shape }) => 'ring' in shape),
  };
}

/** The floor of the upright box round an outline, m2: one that crosses itself may enclose nothing and is not small for that. */
function boxM2(corners: readonly PointMm[]): number {
  if (corners.length === 0) return 0;
  const { minX, maxX, minY, maxY } = boundsMm(corners);
  return ((maxX - minX) * (maxY - minY)) / 1e6;
}

/** A storey's sheet is so large: what lies further off is placed by its doors. */
const onSheetOnly = (at: PointMm): PointMm | null =>
  Math.max(Math.abs(at.xMm), Math.abs(at.yMm)) <= SHEET_MM ? at : null;

/** Sides of the largest outline that make a unit likely, in that unit: from a hall's metre or two to a house's length. */
const LIKELY: Record<UnitSystem, readonly (readonly [DrawnUnit, number, number])[]> = {
  metric: [
    ['m', 1, 80],
    ['mm', 1000, 80_000],
    ['cm', 100, 8000],
  ],
  imperial: [
    ['ft', 3, 120],
    ['in', 120, 3000],
    ['mm', 3000, 80_000],
  ],
};

function likelyUnit(outlines: readonly FileOutline[], system: UnitSystem): DrawnUnit {
  const sides = outlines.map(({ shape }) => {
    if ('walls' in shape) return 0;
    const { minX, maxX, minY, maxY } = boundsMm(shape.ring.map(([xMm, yMm]) => ({ xMm, yMm })));
    return Math.max(maxX - minX, maxY - minY);
  });
  const largest = Math.max(0, ...sides);
  return LIKELY[system].find(([, least, most]) => largest >= least && largest <= most)?.[0] ?? 'mm';
}
