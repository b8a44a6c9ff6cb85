import Parser, { type IEntity } from 'dxf-parser';
import { listed, say, type Said } from '../said/index.ts';
import { NOTHING_DRAWN, openRing, type DrawnPoint, type DrawnUnit, type OutlinesOfFile } from './outline-drawn.ts';
import { EVERY_ENTITY_READ, flatten, type Flattened } from './outline-entities.ts';
import { closedByLines, PIECES_MOST } from './outline-lines.ts';
import { namedBy } from './outline-names.ts';

/** What the header of a drawing calls its unit by number (`$INSUNITS`). */
const UNIT_NUMBERS: Readonly<Record<number, DrawnUnit>> = { 1: 'in', 2: 'ft', 4: 'mm', 5: 'cm', 6: 'm' };

/** A share of the drawing's size: ends nearer to one another than it meet. */
const NEAR_SHARE = 1e-5;

/**
 * Outlines of rooms from a DXF drawing in text: closed polylines, also in blocks, and single lines and arcs that close. Arcs are taken
 * as straight pieces. What is drawn in other ways is counted and said. Never throws.
 */
export function outlinesOfDxf(text: string): OutlinesOfFile {
  const { groups, tally } = groupsOf(text);
  const parsed = parse(groups);
  if (!parsed) return { ...NOTHING_DRAWN, missing: [say('formats.drawingThatCanBeRead')] };
  const flat = flatten(parsed.entities, parsed.blocks ?? {});
  const near = nearOf(flat);
  const closed = flat.rings
    .map((one) => ({ ...one, ring: openRing(one.ring, near) }))
    .filter(({ ring }) => ring.length > 2);
  const { outlines: ofLines, left, tooMany } = closedByLines(flat.pieces, near);
  const remarks: Said[] = [];
  if (flat.broken > 0) remarks.push(say('formats.brokenLeft', { count: flat.broken }));
  if (flat.curved) remarks.push(say('formats.curvesStraightened'));
  if (tooMany > 0) remarks.push(say('formats.linesTooMany', { count: tooMany, most: PIECES_MOST }));
  if (left > 0) remarks.push(say('formats.linesLeft', { count: left }));
  const others = [...tally].filter(([type]) => !EVERY_ENTITY_READ.has(type));
  if (others.length > 0)
    remarks.push(
      say('formats.thingsLeft', {
        count: others.reduce((sum, [, count]) => sum + count, 0),
        kinds: listed(others.map(([type]) => type.toLowerCase())),
      }),
    );
  const outlines = [...closed.map(({ ring, layer }) => ({ name: null, layer, shape: { ring } })), ...ofLines];
  const unit = UNIT_NUMBERS[Number(parsed.header?.$INSUNITS)] ?? null;
  return { ...NOTHING_DRAWN, outlines: namedBy(outlines, flat.texts), unit, remarks };
}

interface Parsed {
  header?: Readonly<Record<string, unknown>>;
  entities: IEntity[];
  blocks?: Readonly<Record<string, { entities?: IEntity[]; position?: { x: number; y: number } }>>;
}

function parse(groups: string): Parsed | null {
  try {
    return new Parser().parseSync(groups);
  } catch {
    return null;
  }
}

const EACH_PAIR = 2;
/** Numbers of vertices: the reader takes one for the end of its polyline. */
const VERTEX_NUMBER = '91';

/** The drawing without what its reader stumbles over, and how many entities of each kind stand in it. */
function groupsOf(text: string): { groups: string; tally: Map<string, number> } {
  const lines = text.split(/\r\n|\n|\r/);
  const kept: string[] = [];
  const tally = new Map<string, number>();
  let section = '';
  let type = '';
  for (let i = 0; i + 1 < lines.length; i += EACH_PAIR) {
    const [code, value] = [lines[i]!.trim(), lines[i + 1]!];
    if (code === '0') {
      type = value.trim();
      if (section === 'ENTITIES' && type !== 'ENDSEC') tally.set(type, (tally.get(type) ?? 0) + 1);
    }
    if (code === '2' && type === 'SECTION') section = value.trim();
    if (type === 'ENDSEC') section = '';
    if (!(type === 'LWPOLYLINE' && code === VERTEX_NUMBER)) kept.push(code, value);
  }
  return { groups: kept.join('\n'), tally };
}

function nearOf({ rings, pieces }: Flattened): number {
  const points: DrawnPoint[] = [...rings.flatMap(({ ring }) => ring), ...pieces.flatMap(({ piece }) => piece)];
  const span = (of: 0 | 1) =>
    points.reduce((most, point) => Math.max(most, point[of]), -Infinity) -
    points.reduce((least, point) => Math.min(least, point[of]), Infinity);
  return points.length === 0 ? NEAR_SHARE : Math.max(1e-9, NEAR_SHARE * Math.max(span(0), span(1)));
}
