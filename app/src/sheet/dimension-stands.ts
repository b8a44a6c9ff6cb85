/** Dimensions stand so far outside their walls, px. */
export const OFFSET_PX = 24;
/** Those of short walls stand nearer, without line and slashes; the shortest go without. */
export const NEAR_PX = 13;
export const LINE_FROM_PX = 64;
export const FIGURE_FROM_PX = 30;

export type Px = readonly [x: number, y: number];
/** A stroke on the sheet that no figure may stand on. */
export type Stroke = readonly [from: Px, to: Px];

/** A wall as its dimension is drawn: its ends with the room to the left, and what is written. */
export interface DimensionedWall {
  a: Px;
  b: Px;
  label: string;
}

/** Half of what a figure takes of its line, px: the line stops a little before it. */
export const figureHalf = (label: string): number => label.length * 4.2 + 6;
/** The line stops so far before the figure itself, px; half the height of one. */
const BEFORE_PX = 4;
const HALF_HEIGHT_PX = 6;

/** Places along a dimension where its figure may stand, the middle first. */
const SHARES = [0.5, 0.36, 0.64, 0.24, 0.76] as const;

/** The dimension's line beside a wall; on the screen y points down, so outside is to the right of the way from a to b turned round. */
export function dimensionLine({ a, b }: Pick<DimensionedWall, 'a' | 'b'>): Stroke {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const off = length >= LINE_FROM_PX ? OFFSET_PX : NEAR_PX;
  return [
    [a[0] - uy * off, a[1] + ux * off],
    [b[0] - uy * off, b[1] + ux * off],
  ];
}

/**
 * Where along its line each dimension's figure stands, as a share of it: in the middle, or aside of it where it would stand on
 * another figure, another dimension's line or a door in its swing.
 */
export function dimensionStands(walls: readonly DimensionedWall[], strokes: readonly Stroke[]): number[] {
  const lines = walls.map((wall) => dimensionLine(wall));
  const lengths = walls.map(({ a, b }) => Math.hypot(b[0] - a[0], b[1] - a[1]));
  const placed: Px[][] = [];
  return walls.map(({ label }, k) => {
    if (lengths[k]! < FIGURE_FROM_PX) return 0.5;
    const others = lines.filter((_, other) => other !== k && lengths[other]! >= LINE_FROM_PX);
    const free = (box: Px[]) =>
      placed.every((other) => !overlap(box, other)) &&
      [...others, ...strokes].every((stroke) => !overlap(box, [...stroke]));
    const fits = SHARES.filter((share) => {
      const room = Math.min(share, 1 - share) * lengths[k]!;
      return share === 0.5 || room >= figureHalf(label);
    });
    const share = fits.find((at) => free(figureBox(lines[k]!, at, label))) ?? 0.5;
    placed.push(figureBox(lines[k]!, share, label));
    return share;
  });
}

/** Corners of the box a figure takes along its line. */
function figureBox([p, q]: Stroke, share: number, label: string): Px[] {
  const length = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
  const [ux, uy] = [(q[0] - p[0]) / length, (q[1] - p[1]) / length];
  const [mx, my] = [p[0] + ux * length * share, p[1] + uy * length * share];
  const half = figureHalf(label) - BEFORE_PX;
  const corner = (along: number, across: number): Px => [
    mx + ux * along * half - uy * across * HALF_HEIGHT_PX,
    my + uy * along * half + ux * across * HALF_HEIGHT_PX,
  ];
  return [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
}

/** Whether two convex shapes share a place: there is no direction in which they lie apart. */
function overlap(a: readonly Px[], b: readonly Px[]): boolean {
  const apartAlong = (x: number, y: number) => {
    const reach = (shape: readonly Px[]) => {
      const along = shape.map(([px, py]) => px * x + py * y);
      return [Math.min(...along), Math.max(...along)] as const;
    };
    const [[fromA, toA], [fromB, toB]] = [reach(a), reach(b)];
    return toA <= fromB || toB <= fromA;
  };
  const sides = [a, b].flatMap((shape) =>
    shape.map((p, k) => {
      const q = shape[(k + 1) % shape.length]!;
      return [q[1] - p[1], p[0] - q[0]] as const;
    }),
  );
  return !sides.some(([x, y]) => (x !== 0 || y !== 0) && apartAlong(x, y));
}
