import type {
  IArcEntity,
  IEntity,
  IInsertEntity,
  ILineEntity,
  ILwpolylineEntity,
  IMtextEntity,
  IPolylineEntity,
  ITextEntity,
} from 'dxf-parser';
import type { DrawnPoint } from './outline-drawn.ts';
import type { Piece } from './outline-faces.ts';

/** A word on a drawing, where it stands and how large. */
export interface DrawnText {
  at: DrawnPoint;
  text: string;
  height: number;
  layer: string | null;
}

/** A drawing with its blocks put in place: closed rings, single lines and words. */
export interface Flattened {
  rings: { ring: DrawnPoint[]; layer: string | null }[];
  pieces: { piece: Piece; layer: string | null }[];
  texts: DrawnText[];
  /** Some of it was curved and is taken as straight pieces. */
  curved: boolean;
  /** Outlines of which a corner cannot be read: without it they would be another room. */
  broken: number;
}

/** Kinds of entities that are read, or stand within one that is. */
export const EVERY_ENTITY_READ: ReadonlySet<string> = new Set([
  'LINE',
  'LWPOLYLINE',
  'POLYLINE',
  'VERTEX',
  'SEQEND',
  'ARC',
  'INSERT',
  'TEXT',
  'MTEXT',
]);

type Of<T extends string, E> = E & { type: T };
type Entities =
  | Of<'LINE', ILineEntity>
  | Of<'LWPOLYLINE', ILwpolylineEntity>
  | Of<'POLYLINE', IPolylineEntity>
  | Of<'ARC', IArcEntity>
  | Of<'INSERT', IInsertEntity>
  | Of<'TEXT', ITextEntity>
  | Of<'MTEXT', IMtextEntity>;
type Blocks = Readonly<Record<string, { entities?: IEntity[]; position?: { x: number; y: number } }>>;
type Move = (at: { x: number; y: number }) => DrawnPoint;

/** Blocks within blocks are followed so deep; a block that holds itself ends there. */
const DEEPEST = 6;
/** An arc is cut to pieces of at most so much: at a metre's radius they leave it by less than 10 mm. */
const PIECE_DEG = 15;

/** Every outline, line and word of a drawing in one frame. Paper sheets are left. */
export function flatten(entities: readonly IEntity[], blocks: Blocks): Flattened {
  const flat: Flattened = { rings: [], pieces: [], texts: [], curved: false, broken: 0 };
  add(flat, entities, blocks, ({ x, y }) => [x, y], 0, null);
  return flat;
}

function add(
  flat: Flattened,
  entities: readonly IEntity[],
  blocks: Blocks,
  move: Move,
  depth: number,
  within: string | null,
) {
  for (const one of entities) {
    if (one.inPaperSpace) continue;
    // What lies on layer 0 of a block takes the layer the block is put on.
    const layer = within !== null && (one.layer === '0' || !one.layer) ? within : (one.layer ?? null);
    const entity = one as Entities;
    if (entity.type === 'LINE') lay(flat, entity.vertices.filter(isPoint).map(move), false, layer);
    else if (entity.type === 'LWPOLYLINE' || entity.type === 'POLYLINE') {
      if ('isPolyfaceMesh' in entity && (entity.isPolyfaceMesh || entity.is3dPolygonMesh)) continue;
      const { vertices } = entity;
      if (!vertices.every(isPoint)) {
        flat.broken++;
        continue;
      }
      const mirrored = 'extrusionDirectionZ' in entity && entity.extrusionDirectionZ < 0;
      const own: Move = mirrored ? ({ x, y }) => move({ x: -x, y }) : move;
      flat.curved ||= vertices.some(({ bulge }) => bulge);
      lay(flat, bulged(vertices, entity.shape).map(own), entity.shape, layer);
    } else if (entity.type === 'ARC') {
      flat.curved = true;
      lay(flat, arcPoints(entity).map(move), false, layer);
    } else if (entity.type === 'TEXT' || entity.type === 'MTEXT') {
      const at = entity.type === 'TEXT' ? entity.startPoint : entity.position;
      const height = entity.type === 'TEXT' ? entity.textHeight : entity.height;
      // Each line of a word by itself: a room's name often stands over its size.
      if (at && entity.text)
        for (const text of linesOfText(entity.text))
          flat.texts.push({ at: move(at), text, height: height ?? 0, layer });
    } else if (entity.type === 'INSERT' && depth < DEEPEST && entity.position) {
      const block = blocks[entity.name];
      add(flat, block?.entities ?? [], blocks, placed(entity, block?.position, move), depth + 1, layer);
    }
  }
}

const isPoint = (at: { x: number; y: number }) => Number.isFinite(at?.x) && Number.isFinite(at?.y);

/** A ring where it is closed or ends where it began; single lines else. */
function lay(flat: Flattened, points: DrawnPoint[], shut: boolean, layer: string | null): void {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return;
  const meets = points.length > 3 && first[0] === last[0] && first[1] === last[1];
  if (shut || meets) flat.rings.push({ ring: points, layer });
  else for (let i = 1; i < points.length; i++) flat.pieces.push({ piece: [points[i - 1]!, points[i]!], layer });
}

function placed(
  { position, xScale, yScale, rotation }: IInsertEntity,
  base: { x: number; y: number } | undefined,
  move: Move,
): Move {
  const turn = ((rotation ?? 0) * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return ({ x, y }) => {
    const [dx, dy] = [(x - (base?.x ?? 0)) * (xScale ?? 1), (y - (base?.y ?? 0)) * (yScale ?? 1)];
    return move({ x: position.x + dx * c - dy * s, y: position.y + dx * s + dy * c });
  };
}

/** Points along a polyline: a bulge is the tangent of a quarter of its arc's angle, to the left where it is negative. */
function bulged(vertices: readonly { x: number; y: number; bulge?: number }[], shut: boolean) {
  return vertices.flatMap((from, i) => {
    const to = vertices[i + 1] ?? (shut ? vertices[0] : undefined);
    if (!to || !from.bulge) return [from];
    const angle = 4 * Math.atan(from.bulge);
    const pieces = Math.max(2, Math.ceil((Math.abs(angle) * 180) / Math.PI / PIECE_DEG));
    // The centre lies square off the middle of the chord.
    const off = (1 - from.bulge ** 2) / (4 * from.bulge);
    const centre = { x: (from.x + to.x) / 2 - off * (to.y - from.y), y: (from.y + to.y) / 2 + off * (to.x - from.x) };
    return Array.from({ length: pieces }, (_, k) => turnedAbout(centre, from, (angle * k) / pieces));
  });
}

function turnedAbout(centre: { x: number; y: number }, at: { x: number; y: number }, angle: number) {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const [dx, dy] = [at.x - centre.x, at.y - centre.y];
  return { x: centre.x + dx * c - dy * s, y: centre.y + dx * s + dy * c };
}

function arcPoints({ center, radius, startAngle, endAngle }: IArcEntity) {
  const whole = 2 * Math.PI;
  const angle = (((endAngle - startAngle) % whole) + whole) % whole || whole;
  const pieces = Math.max(2, Math.ceil((angle * 180) / Math.PI / PIECE_DEG));
  return Array.from({ length: pieces + 1 }, (_, k) => {
    const at = startAngle + (angle * k) / pieces;
    return { x: center.x + radius * Math.cos(at), y: center.y + radius * Math.sin(at) };
  });
}

/** Lines of a word without the marks that style it. */
const linesOfText = (text: string): string[] =>
  text
    .split(/\\P|\n/)
    .map((line) =>
      line
        .replace(/\\U\+([0-9a-f]{4})/gi, (_, hex: string) => String.fromCharCode(parseInt(hex, 16)))
        .replace(/\\~/g, ' ')
        .replace(/\\[A-Za-z][^;\\{}]*;/g, '')
        .replace(/[{}]/g, '')
        .replace(/\s+/g, ' ')
        .trim(),
    )
    .filter((line) => line !== '');
