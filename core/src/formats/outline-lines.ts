import type { FileOutline } from './outline-drawn.ts';
import type { Flattened } from './outline-entities.ts';
import { facesOf, type Piece } from './outline-faces.ts';

/** A layer of more lines holds no walls of a storey: their meetings are not looked for. */
export const PIECES_MOST = 4000;

interface Closed {
  outlines: FileOutline[];
  /** Lines that close no outline. */
  left: number;
  /** Lines of layers that hold too many to look for outlines in. */
  tooMany: number;
}

/** Outlines that single lines close, layer by layer: walls and furniture on different layers do not part one another. */
export function closedByLines(pieces: Flattened['pieces'], near: number): Closed {
  const layers = new Map<string | null, Piece[]>();
  for (const { piece, layer } of pieces) {
    const own = layers.get(layer);
    if (own) own.push(piece);
    else layers.set(layer, [piece]);
  }
  const closed: Closed = { outlines: [], left: 0, tooMany: 0 };
  for (const [layer, own] of layers) {
    if (own.length > PIECES_MOST) {
      closed.tooMany += own.length;
      continue;
    }
    const faces = facesOf(own, near);
    closed.left += faces.left;
    for (const ring of faces.rings) closed.outlines.push({ name: null, layer, shape: { ring }, ofLines: true });
  }
  return closed;
}
