/** A letter's box about its middle, px. */
export interface LetterBox {
  x: number;
  y: number;
  halfWidth: number;
  halfHeight: number;
}

/** Half the height of a letter's box, px, and half its width by its length. */
export const LETTER_HALF_PX = 12;
export const letterHalfWidth = (text: string): number => 6 + 6 * text.length;

/** Letters keep so far apart, px, and are moved aside in steps of so much. */
const APART_PX = 2;
const STEP_PX = 6;
const MOST_STEPS = 16;
/** Straight aside first, then slantwise. */
const ASIDE = [
  [1, 0],
  [-1, 0],
  [0, -1],
  [0, 1],
  [1, -1],
  [-1, -1],
  [1, 1],
  [-1, 1],
] as const;

/** Where letters stand so that none covers another: each at its place, or the least aside that is free of those before it. */
export function letterStands(wanted: readonly LetterBox[]): [x: number, y: number][] {
  const placed: LetterBox[] = [];
  for (const box of wanted) {
    const free = (x: number, y: number) =>
      placed.every(
        (other) =>
          Math.abs(other.x - x) >= other.halfWidth + box.halfWidth + APART_PX ||
          Math.abs(other.y - y) >= other.halfHeight + box.halfHeight + APART_PX,
      );
    placed.push({ ...box, ...nearestFree(box, free) });
  }
  return placed.map(({ x, y }) => [x, y]);
}

function nearestFree({ x, y }: LetterBox, free: (x: number, y: number) => boolean): { x: number; y: number } {
  if (free(x, y)) return { x, y };
  for (let step = 1; step <= MOST_STEPS; step++)
    for (const [dx, dy] of ASIDE) {
      const at = { x: x + dx * step * STEP_PX, y: y + dy * step * STEP_PX };
      if (free(at.x, at.y)) return at;
    }
  return { x, y };
}
