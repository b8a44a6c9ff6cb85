import { startsOf } from './division.ts';
import type { LaidPlank } from './plank.ts';

/** Widths of the cells in which a price is one figure, mm. */
export const CELL_MM = 10;
const HAIR = 1e-6;

/** A way to divide a strip: starts of one cell, with so many whole planks and an end at least as long as its cell begins; or one piece from wall to wall. */
export interface Dividing {
  /** The shortest start of the cell, and by how much others in it may be longer, mm. */
  startMm: number;
  roomMm: number;
  wholes: number;
  /** Columns of the prices of what is cut for it. */
  cells: readonly number[];
}

/** What one plank may hold, by columns. */
export type Pattern = readonly number[];

/** Prices of starts, ends and pieces from wall to wall by their length, for one plank: which there are, and what must hold of them. */
export interface Pricing {
  columns: number;
  /** A start and the longest end beside it: their prices come to one plank at most. Those with pieces from wall to wall are looked for as they are needed. */
  pairs: readonly Pattern[];
  /** The second is longer, and no cheaper. */
  growing: readonly [number, number][];
  /** Every way to divide a strip of a length; where its ends are cut to shape they need no least end. */
  dividings: (lengthMm: number, isSquare: boolean) => Dividing[];
  /** The pattern that is worth most by prices. */
  dearest: (price: Float64Array) => { pattern: Pattern; worth: number };
}

/** `singlesMm`: lengths of strips that one plank may span. */
export function pricingOf(plank: LaidPlank, singlesMm: readonly number[] = []): Pricing {
  const { lengthMm: len, kerfMm, leastEndMm, trimMm } = plank;
  const cells = Math.floor(len / CELL_MM) + 1;
  const isClick = plank.ends === 'click';
  const cellOf = (mm: number) => Math.min(cells - 1, Math.max(0, Math.floor(mm / CELL_MM + HAIR)));
  const endAt = (cell: number) => (isClick ? cells : 0) + cell;
  const ended = isClick ? 2 * cells : cells;
  // One column for each length of a piece from wall to wall, by the cell it lies in: the shorter first.
  const singles = [...new Set(singlesMm.map(cellOf))].sort((a, b) => a - b);
  const singleAt = new Map(singles.map((cell, k) => [cell, ended + k]));
  const fits = (start: number) => Math.floor((len - kerfMm - start * CELL_MM) / CELL_MM);
  const pairs: Pattern[] = [];
  for (let cell = 0; cell < cells; cell++) if (fits(cell) >= 0) pairs.push([cell, endAt(fits(cell))]);
  const growing: [number, number][] = singles
    .slice(1)
    .map((cell, k) => [singleAt.get(singles[k]!)!, singleAt.get(cell)!]);
  for (let cell = 0; cell + 1 < cells; cell++) {
    growing.push([cell, cell + 1]);
    if (isClick) growing.push([endAt(cell), endAt(cell + 1)]);
  }
  const one = (lengthMm: number, isSquare: boolean): Dividing[] => {
    const column = singleAt.get(cellOf(isSquare ? Math.min(len, lengthMm + 2 * trimMm) : lengthMm));
    return lengthMm <= len + HAIR && column !== undefined
      ? [{ startMm: lengthMm, roomMm: 0, wholes: 0, cells: [column] }]
      : [];
  };
  const dividings = (lengthMm: number, isSquare: boolean): Dividing[] => {
    const ways = one(lengthMm, isSquare);
    // What the wall asks besides is cut with the piece where its end is square.
    const cut = (mm: number) => Math.min(len, mm + (isSquare ? trimMm : 0));
    for (const [from, to] of startsOf(lengthMm, { ...plank, leastEndMm: isSquare ? leastEndMm : 0 })) {
      if (from >= lengthMm - HAIR) continue;
      for (let cell = Math.floor(from / CELL_MM); cell * CELL_MM <= to + HAIR; cell++) {
        const startMm = Math.max(from, cell * CELL_MM);
        const roomMm = Math.max(0, Math.min(to, (cell + 1) * CELL_MM) - startMm);
        // The longest start of the cell leaves the shortest end, the planks between them being as many.
        const rest = (((lengthMm - startMm) % len) + len) % len;
        const endMm = rest < HAIR ? len : rest;
        ways.push({
          startMm,
          roomMm,
          wholes: Math.round((lengthMm - startMm - endMm) / len),
          cells: [cellOf(cut(startMm)), endAt(cellOf(cut(Math.max(0, endMm - roomMm))))],
        });
      }
    }
    return ways;
  };
  /** Lengths in whole cells, rounded so that nothing that fits is left out. */
  const kerfCells = Math.floor(kerfMm / CELL_MM);
  function dearest(price: Float64Array): { pattern: Pattern; worth: number } {
    // What the rest of a plank is worth in pieces from wall to wall: each may be cut as often as it fits.
    const worth = new Float64Array(cells + 1);
    const last = new Int32Array(cells + 1).fill(-1);
    for (let room = 1; room <= cells; room++) {
      worth[room] = worth[room - 1]!;
      for (const cell of singles) {
        const takes = Math.max(1, cell + kerfCells);
        if (takes > room) break;
        const value = worth[room - takes]! + price[singleAt.get(cell)!]!;
        if (value > worth[room]! + 1e-12) {
          worth[room] = value;
          last[room] = cell;
        }
      }
    }
    let best = { pattern: [] as Pattern, worth: 0 };
    const put = (pattern: readonly number[], takenCells: number) => {
      const room = Math.max(0, Math.min(cells, cells - takenCells));
      const value = pattern.reduce((sum, column) => sum + price[column]!, 0) + worth[room]!;
      if (value <= best.worth) return;
      const more: number[] = [];
      for (let left = room; left > 0;) {
        const cell = last[left]!;
        if (cell < 0) left--;
        else {
          more.push(singleAt.get(cell)!);
          left -= Math.max(1, cell + kerfCells);
        }
      }
      best = { pattern: [...pattern, ...more], worth: value };
    };
    put([], 0);
    for (let start = 0; start < cells; start++) {
      put([start], start);
      if (isClick) put([endAt(start)], start);
      for (let end = 0; end <= fits(start); end++) put([start, endAt(end)], start + end + kerfCells);
    }
    return best;
  }
  return { columns: ended + singles.length, pairs, growing, dividings, dearest };
}

/** Prices that hold by themselves, whatever the solver's last digits: none below nothing, none falling, no pattern over one plank. */
export function soundPrices(price: Float64Array, { growing, dearest }: Pricing): Float64Array {
  const held = price.map((one) => Math.min(1, Math.max(0, one)));
  for (const [low, high] of growing) held[high] = Math.max(held[high]!, held[low]!);
  const most = Math.max(1, dearest(held).worth);
  return held.map((one) => one / most);
}

/** What a way costs at least by prices. */
export const costBy = (price: Float64Array, { wholes, cells }: Dividing): number =>
  cells.reduce((sum, column) => sum + price[column]!, wholes);

const counted = (columns: readonly number[], weight: number): Map<number, number> => {
  const weights = new Map<number, number>();
  for (const column of columns) weights.set(column, (weights.get(column) ?? 0) + weight);
  return weights;
};
const row = (weights: ReadonlyMap<number, number>, limitMm: number) => ({
  cells: [...weights.keys()],
  weights: [...weights.values()],
  limitMm,
  stays: true as const,
});

/** A plank is worth no more than itself. */
export const patternRow = (pattern: Pattern) => row(counted(pattern, 1), 1);

/** Rows of a programme by which prices hold, as far as they are known beforehand. */
export const priceRows = ({ pairs, growing }: Pricing) => [
  ...pairs.map(patternRow),
  ...growing.map(([a, b]) =>
    row(
      new Map([
        [a, 1],
        [b, -1],
      ]),
      0,
    ),
  ),
];

/** A row that holds a variable to what ways cost together. */
export function waysRow(column: number, ways: readonly Dividing[]) {
  const weights = counted(
    ways.flatMap(({ cells }) => cells),
    -1,
  );
  weights.set(column, 1);
  return row(
    weights,
    ways.reduce((sum, { wholes }) => sum + wholes, 0),
  );
}
