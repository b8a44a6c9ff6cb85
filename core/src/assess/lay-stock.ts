import { stockLeft, type FloorPlan, type StockLeft } from '../setout/index.ts';
import type { RoomSet } from './room-set.ts';

/** How fast rows went down so far, and how long those left take at that; null before three of them lie. */
export interface LayingPace {
  minutesARow: number;
  hoursLeft: number;
}

export function paceOf({ laidRows }: RoomSet, rowsLeft: number): LayingPace | null {
  const times = laidRows.flatMap(({ isLaid, laidAt }) => (isLaid ? [Date.parse(laidAt)] : [])).sort((a, b) => a - b);
  const steps = times.slice(1).map((at, k) => (at - times[k]!) / 60_000);
  if (steps.length < 2) return null;
  // The middle one: nights and meals lie between rows as well.
  const minutesARow = [...steps].sort((a, b) => a - b)[Math.floor(steps.length / 2)]!;
  return minutesARow > 0 ? { minutesARow, hoursLeft: (minutesARow * rowsLeft) / 60 } : null;
}

/** Planks at hand against the rows that are still to lay; null where no boxes are recorded. */
export function stockOf(set: RoomSet, { cuts, strips }: FloorPlan, lying: ReadonlySet<number>): StockLeft | null {
  if (set.plankBoxes.length === 0) return null;
  const opened = new Set<number>();
  const lies = (number: number) => lying.has(cuts.pieces[number - 1]!.strip);
  for (const { number, pieces, ripped } of cuts.planks) if ([...pieces, ...ripped].some(lies)) opened.add(number);
  const used = opened.size;
  const rows = new Map<number, number>();
  for (const piece of cuts.pieces) {
    if (lying.has(piece.strip)) continue;
    const row = strips[piece.strip]!.row;
    const isNew = !opened.has(piece.plank);
    opened.add(piece.plank);
    rows.set(row, (rows.get(row) ?? 0) + (isNew ? 1 : 0));
  }
  return stockLeft(
    {
      bought: set.plankBoxes.reduce((sum, { boxes, planksEach }) => sum + boxes * planksEach, 0),
      damaged: set.damagedPlanks.reduce((sum, { planks }) => sum + planks, 0),
      used,
    },
    [...rows.values()],
  );
}
