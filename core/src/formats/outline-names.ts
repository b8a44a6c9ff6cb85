import { contains } from '../room/index.ts';
import { twiceArea, type DrawnPoint, type FileOutline } from './outline-drawn.ts';
import type { DrawnText } from './outline-entities.ts';

/** A name of a room is at most so long. */
const NAME_LETTERS = 80;
/** A word that is a size or a number names no room. */
const NO_NAME = /^[\W\d_]*((mm|cm|m|in|ft|m2|m²|sq\.? ?ft|ft2|ft²)[\W\d_]*)*$/i;

/** Each outline named by a word that stands in it: one on its own layer first, then the largest, then the first of the drawing. */
export function namedBy(outlines: readonly FileOutline[], texts: readonly DrawnText[]): FileOutline[] {
  const words = texts.filter(({ text }) => text !== '' && !NO_NAME.test(text));
  /** The smallest outline each word stands in, of its own layer where there is one: a storey is not called by a word in one of its rooms. */
  const own = new Map<FileOutline, DrawnText[]>();
  const sized = outlines.flatMap((outline) =>
    'ring' in outline.shape
      ? [{ outline, ring: outline.shape.ring, size: Math.abs(twiceArea(outline.shape.ring)) }]
      : [],
  );
  for (const word of words) {
    const around = sized.filter(({ ring }) => ringHolds(ring, word.at)).sort((a, b) => a.size - b.size);
    const least = around.find(({ outline }) => outline.layer === word.layer) ?? around[0];
    if (least) own.set(least.outline, [...(own.get(least.outline) ?? []), word]);
  }
  return outlines.map((outline) => {
    const [best] = [...(own.get(outline) ?? [])].sort(
      (a, b) => Number(b.layer === outline.layer) - Number(a.layer === outline.layer) || b.height - a.height,
    );
    return best ? { ...outline, name: best.text.slice(0, NAME_LETTERS) } : outline;
  });
}

/** Whether a place lies within a ring: both in one unit, whichever it is. */
export const ringHolds = (ring: readonly DrawnPoint[], [x, y]: DrawnPoint): boolean =>
  contains(
    ring.map(([xMm, yMm]) => ({ xMm, yMm })),
    x,
    y,
  );
