/** Rings that are stocked under a flange, mm, and the most that are stacked. */
export const RINGS_MM = [3, 6, 10] as const;
const RINGS_MOST = 3;
/** A flange stands no more than this over the floor, and never under it, mm. */
export const FLANGE_MM = { min: 0, max: 6 } as const;
/** Floor counts that lies within this of the rim, mm. */
export const ABOUT_RIM_MM = 50;

export type FlangeVerdict =
  | { what: 'nothing'; overMm: number }
  | { what: 'rings'; overMm: number; ringsMm: number[]; thenOverMm: number }
  | { what: 'plumber'; overMm: number };

/**
 * What a toilet's flange asks for once the floor lies: nothing from level with it to 6 mm over; below it the fewest rings, and of
 * those the thinnest, that bring it there; too high, too low for three rings, or out of the wall: the plumber's. Levels over the
 * datum, mm.
 */
export function judgeFlange(
  topMm: number,
  highestFloorMm: number,
  fromWall = false,
  stock: readonly number[] = RINGS_MM,
): FlangeVerdict {
  const overMm = topMm - highestFloorMm;
  if (fromWall) return { what: 'plumber', overMm };
  if (overMm >= FLANGE_MM.min && overMm <= FLANGE_MM.max) return { what: 'nothing', overMm };
  const found = overMm < 0 ? stacks(stock).find((rings) => fits(overMm + sum(rings))) : undefined;
  return found
    ? { what: 'rings', overMm, ringsMm: found, thenOverMm: overMm + sum(found) }
    : { what: 'plumber', overMm };
}

const fits = (mm: number) => mm >= FLANGE_MM.min && mm <= FLANGE_MM.max;
const sum = (mm: readonly number[]) => mm.reduce((all, one) => all + one, 0);

/** Every stack of up to three rings: the fewest first, and of as many the thinnest. */
function stacks(stock: readonly number[]): number[][] {
  const all: number[][] = stock.map((ring) => [ring]);
  for (let of = 1, from = 0; of < RINGS_MOST; of++) {
    const so = all.length;
    for (const stack of all.slice(from, so)) {
      for (const ring of stock) if (ring >= stack.at(-1)!) all.push([...stack, ring]);
    }
    from = so;
  }
  return all.sort((a, b) => a.length - b.length || sum(a) - sum(b));
}
