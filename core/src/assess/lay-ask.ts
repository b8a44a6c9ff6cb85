import type { OpenModel } from '../levelling/index.ts';
import { priceBound, staggerBound, type FloorAsk, type FloorPlan, type LaidStrip } from '../setout/index.ts';
import type { LayGround } from './lay-ground.ts';
import type { SoftSpot } from './lay-soft.ts';

/** How long is searched: while something is dragged, or until it is proved least or time is up. */
export type LayPace = 'live' | 'long';

export interface LayOptions {
  pace: LayPace;
  open?: OpenModel | null;
  tell?: (share: number) => void;
  /** Places of the floor as it was read over which no joint should lie. */
  soft?: readonly SoftSpot[];
}

const PACES: Record<LayPace, Pick<FloorAsk, 'firsts' | 'rounds'>> = {
  live: { firsts: 2, rounds: [6000] },
  long: { firsts: 12, rounds: [10_000, 20_000, 40_000, 80_000] },
};
/** Rows that lie already, by the ground's own frame. */
function laidOf({ set, startWall }: LayGround): LaidStrip[] {
  const newest = new Map(
    set.laidRows
      .filter((row) => row.startWall === startWall)
      .map((laid) => [`${laid.row}/${laid.strip}`, laid] as const),
  );
  return [...newest.values()].map(({ row, strip, startMm, wholes, endMm }) => ({
    row: row - 1,
    at: strip - 1,
    division: { startMm, wholes, endMm },
  }));
}

/** Strips that lie; one that was only measured stands as long as it was found, and is still to be laid. */
export function lyingStrips({ set }: LayGround, { strips, held }: FloorPlan): ReadonlySet<number> {
  const laid = set.laidRows.filter(({ isLaid }) => isLaid);
  return new Set(
    [...held].filter((k) => {
      const { row } = strips[k]!;
      const at = strips.slice(0, k).filter((other) => other.row === row).length + 1;
      return laid.some((one) => one.row === row + 1 && one.strip === at);
    }),
  );
}

/** What the set-out asks of a planner of rows. */
export function floorAsk(ground: LayGround, { pace, open, tell }: LayOptions): FloorAsk {
  const { set, setOut, plank, region, zones } = ground;
  const laid = laidOf(ground);
  const lies = set.laidRows.at(-1);
  return {
    region,
    plank,
    school: setOut.firstRow === 'set' ? 'fewest' : setOut.firstRow,
    firstMm: lies ? lies.firstMm : setOut.firstRow === 'set' ? setOut.firstMm : null,
    zones,
    laid,
    ...PACES[pace],
    ...(open && pace === 'long'
      ? {
          boundOf: {
            longest: (strips, held) => priceBound(strips, plank, open, { over: 'longest', held }),
            all: (strips, held) => priceBound(strips, plank, open, { held }),
          },
          proveOf: (strips, held, planks) =>
            staggerBound(strips, plank, open, { over: 'longest', held, zones, enough: planks }),
        }
      : {}),
    ...(tell ? { tell } : {}),
  };
}
