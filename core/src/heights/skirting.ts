/** How far the gap at a wall may drift once the floor moves, what a board has to cover beyond it, and what may be left beneath it, mm. */
export const SKIRTING_MM = { drift: 2, cover: 3, beneath: 2 } as const;

export interface GapAtWall {
  alongMm: number;
  gapMm: number;
}

/**
 * The gap a straight edge of planks leaves at a wall that is not straight: the perimeter gap where the wall comes farthest into
 * the room, and so much more where it stands back. Deviations along the wall, into the room positive, mm.
 */
export function gapsAtWall(
  wall: readonly { alongMm: number; intoRoomMm: number }[],
  perimeterGapMm: number,
): GapAtWall[] {
  const most = Math.max(...wall.map(({ intoRoomMm }) => intoRoomMm));
  return wall.map(({ alongMm, intoRoomMm }) => ({ alongMm, gapMm: perimeterGapMm + most - intoRoomMm }));
}

export type SkirtingVerdict =
  | { what: 'refit'; spareMm: number }
  | { what: 'bead'; spareMm: number; beadMm: number }
  | { what: 'scribe'; shortMm: number };

/**
 * How a wall's gap is covered: by the board put back, else by the board with the narrowest bead stocked, fixed to the board and
 * never to the floor, else the planks are scribed to the wall. Widths in mm.
 */
export function judgeSkirting(
  gaps: readonly GapAtWall[],
  boardMm: number,
  beadsMm: readonly number[],
  { drift, cover }: { drift: number; cover: number } = SKIRTING_MM,
): SkirtingVerdict {
  const widest = Math.max(...gaps.map(({ gapMm }) => gapMm)) + drift;
  const spare = (withMm: number) => withMm - cover - widest;
  if (spare(boardMm) >= 0) return { what: 'refit', spareMm: spare(boardMm) };
  const beadMm = [...beadsMm].sort((a, b) => a - b).find((mm) => spare(boardMm + mm) >= 0);
  if (beadMm !== undefined) return { what: 'bead', beadMm, spareMm: spare(boardMm + beadMm) };
  return { what: 'scribe', shortMm: -spare(boardMm + Math.max(0, ...beadsMm)) };
}

/** A board that is left on its wall: how far it hangs over the floor where that is highest, and where it is lowest, mm. */
export interface BoardLeft {
  leastMm: number;
  mostMm: number;
  /** What speaks against it; null where planks go in under it. */
  why: 'too-low' | 'too-high' | 'too-thin' | null;
}

/** Planks go in under a board that hangs this much over them, mm: as a frame is undercut. */
const SLIDES_UNDER_MM = 0.5;

/** Whether a board may stay on its wall: planks pass under it, little shows beneath, and it covers the gap without a bead. */
export function mayStay(bottomMm: number, finishedMm: readonly number[], verdict: SkirtingVerdict): BoardLeft {
  const [leastMm, mostMm] = [bottomMm - Math.max(...finishedMm), bottomMm - Math.min(...finishedMm)];
  const why =
    leastMm < SLIDES_UNDER_MM
      ? 'too-low'
      : mostMm > SKIRTING_MM.beneath
        ? 'too-high'
        : verdict.what === 'refit'
          ? null
          : 'too-thin';
  return { leastMm, mostMm, why };
}

/** The largest gap under a board of a length laid along the finished floor at a wall, mm; heights at even distances. */
export function gapBeneath(heightsMm: readonly number[], everyMm: number, boardMm: number): number {
  const reach = Math.max(1, Math.round(boardMm / everyMm));
  let worst = 0;
  for (let from = 0; from === 0 || from + reach < heightsMm.length; from++) {
    const part = heightsMm.slice(from, from + reach + 1);
    const over = hullOver(part);
    part.forEach((mm, k) => (worst = Math.max(worst, over[k]! - mm)));
  }
  return worst;
}

/** The line a straight board rests on over uneven heights: their upper hull. */
function hullOver(heights: readonly number[]): number[] {
  const hull: number[] = [];
  heights.forEach((mm, k) => {
    const slope = (a: number, b: number) => (heights[b]! - heights[a]!) / (b - a);
    while (hull.length > 1 && slope(hull.at(-2)!, hull.at(-1)!) <= slope(hull.at(-1)!, k)) hull.pop();
    hull.push(k);
  });
  return heights.map((_, k) => {
    const after = hull.findIndex((at) => at >= k);
    const [a, b] = [hull[Math.max(0, after - 1)]!, hull[after]!];
    return a === b ? heights[a]! : heights[a]! + ((heights[b]! - heights[a]!) * (k - a)) / (b - a);
  });
}
