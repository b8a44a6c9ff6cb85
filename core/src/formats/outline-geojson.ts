import { say, type Said } from '../said/index.ts';
import {
  DRAWN_UNITS,
  NOTHING_DRAWN,
  type DrawnPoint,
  type DrawnUnit,
  type FileOutline,
  type OutlinesOfFile,
} from './outline-drawn.ts';

/** What a feature may be called by, the first that is there. */
const NAME_KEYS = ['name', 'room', 'label', 'title', 'id'] as const;
const KIND_KEYS = ['kind', 'layer', 'type', 'class'] as const;
const UNIT_KEYS = ['units', 'unit'] as const;

const UNIT_WORDS: readonly [RegExp, DrawnUnit][] = [
  [/^milli/i, 'mm'],
  [/^centi/i, 'cm'],
  [/^met(re|er)/i, 'm'],
  [/^inch/i, 'in'],
  [/^f(oo|ee)t/i, 'ft'],
];

/** A degree of latitude, m: a mean of the ellipsoid (111 132 m at 45 degrees). A room is too small for its shape to count. */
const M_PER_DEGREE = 111_132;
/** Places in degrees that are spread over more are no house. */
const HOUSE_DEGREES = 0.02;

type Json = Readonly<Record<string, unknown>>;
const isJson = (value: unknown): value is Json => typeof value === 'object' && value !== null && !Array.isArray(value);
const wordOf = (of: Json, keys: readonly string[]): string | null => {
  const found = keys
    .map((key) => of[key])
    .find((value) => (typeof value === 'string' && value.trim() !== '') || typeof value === 'number');
  return found === undefined ? null : String(found).trim().slice(0, 80);
};

/**
 * Outlines from features in the manner of GeoJSON: polygons, several of them, and lines that close, in a plane unit the file names
 * (`units`) or not. Places in degrees are taken as metres from their middle. Holes are left and said. Never throws.
 */
export function outlinesOfJson(text: string): OutlinesOfFile {
  let root: unknown;
  try {
    root = JSON.parse(text);
  } catch {
    return { ...NOTHING_DRAWN, missing: [say('formats.drawingThatCanBeRead')] };
  }
  const found: Found = { outlines: [], holes: 0, others: 0 };
  gather(found, root, null, null, 0);
  const remarks: Said[] = [];
  if (found.holes > 0) remarks.push(say('formats.holesLeft', { count: found.holes }));
  if (found.others > 0) remarks.push(say('formats.featuresLeft', { count: found.others }));
  const degrees = unitOfJson(root) === null && inDegrees(found.outlines);
  if (degrees) remarks.push(say('formats.degreesAsMetres'));
  return {
    ...NOTHING_DRAWN,
    outlines: degrees ? asMetres(found.outlines) : found.outlines,
    unit: degrees ? 'm' : unitOfJson(root),
    missing: found.outlines.length === 0 && found.others === 0 ? [say('formats.featuresOfRooms')] : [],
    remarks,
  };
}

interface RingOutline extends FileOutline {
  shape: { ring: DrawnPoint[] };
}
interface Found {
  outlines: RingOutline[];
  holes: number;
  others: number;
}

/** Collections hold features, and those geometries: no file has reason to go deeper. */
const DEEPEST = 8;

function gather(found: Found, node: unknown, name: string | null, layer: string | null, depth: number): void {
  if (!isJson(node) || depth > DEEPEST) return;
  const each = (list: unknown) => {
    if (Array.isArray(list)) for (const one of list as unknown[]) gather(found, one, name, layer, depth + 1);
  };
  if (node.type === 'FeatureCollection') each(node.features);
  else if (node.type === 'GeometryCollection') each(node.geometries);
  else if (node.type === 'Feature') {
    const properties = isJson(node.properties) ? node.properties : {};
    const called = wordOf(properties, NAME_KEYS) ?? wordOf(node, ['id']) ?? name;
    gather(found, node.geometry, called, wordOf(properties, KIND_KEYS) ?? layer, depth + 1);
  } else if (node.type === 'Polygon') polygon(found, node.coordinates, name, layer);
  else if (node.type === 'MultiPolygon' && Array.isArray(node.coordinates))
    for (const one of node.coordinates as unknown[]) polygon(found, one, name, layer);
  else if (node.type === 'LineString' && closes(node.coordinates)) polygon(found, [node.coordinates], name, layer);
  else if (typeof node.type === 'string') found.others++;
}

function polygon(found: Found, coordinates: unknown, name: string | null, layer: string | null): void {
  const rings = Array.isArray(coordinates) ? (coordinates as unknown[]) : [];
  const ring = ringOf(rings[0]);
  if (!ring) found.others++;
  else {
    found.outlines.push({ name, layer, shape: { ring } });
    found.holes += rings.length - 1;
  }
}

/** A ring of places; null where one of them is none, so that no corner is left out unsaid. */
function ringOf(list: unknown): DrawnPoint[] | null {
  if (!Array.isArray(list) || list.length < 3) return null;
  const points = (list as unknown[]).map((one) => {
    const [x, y] = Array.isArray(one) ? (one as unknown[]) : [];
    return typeof x === 'number' && typeof y === 'number' && Number.isFinite(x) && Number.isFinite(y)
      ? ([x, y] as const)
      : null;
  });
  return points.every((point) => point !== null) ? points : null;
}

function closes(list: unknown): boolean {
  const ring = ringOf(list);
  const [first, last] = [ring?.[0], ring?.at(-1)];
  return ring !== null && ring.length > 3 && first![0] === last![0] && first![1] === last![1];
}

function unitOfJson(root: unknown): DrawnUnit | null {
  const word = isJson(root) ? wordOf(root, UNIT_KEYS) : null;
  if (word === null) return null;
  return (
    DRAWN_UNITS.find((unit) => unit === word.toLowerCase()) ??
    UNIT_WORDS.find(([begins]) => begins.test(word))?.[1] ??
    null
  );
}

function inDegrees(outlines: readonly RingOutline[]): boolean {
  const points = outlines.flatMap(({ shape }) => shape.ring);
  if (points.length === 0 || points.some(([east, north]) => Math.abs(east) > 180 || Math.abs(north) > 90)) return false;
  return ([0, 1] as const).every((axis) => {
    const values = points.map((point) => point[axis]);
    return Math.max(...values) - Math.min(...values) < HOUSE_DEGREES;
  });
}

function asMetres(outlines: readonly RingOutline[]): FileOutline[] {
  const [east0, north0] = outlines[0]!.shape.ring[0]!;
  const narrowed = Math.cos((north0 * Math.PI) / 180);
  return outlines.map((one) => ({
    ...one,
    shape: {
      ring: one.shape.ring.map(([east, north]): DrawnPoint => [
        (east - east0) * M_PER_DEGREE * narrowed,
        (north - north0) * M_PER_DEGREE,
      ]),
    },
  }));
}
