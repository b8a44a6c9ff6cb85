/** What is cut from one length that is bought. */
export interface StockCut {
  stockMm: number;
  piecesMm: number[];
  /** Left over after the cuts, mm. */
  restMm: number;
}

export interface StockPlan {
  cuts: StockCut[];
  /** Bought in all, mm. */
  boughtMm: number;
  /** Nothing shorter can be bought for these pieces; false where the search was ended first. */
  least: boolean;
  /** Pieces longer than any length that is stocked: they are joined, or ordered. */
  tooLongMm: number[];
}

/** A saw takes this much with every cut, mm. */
export const KERF_MM = 3;
/** Choices looked into before the best found so far is taken. */
const LOOKS_MOST = 200_000;

/** Pieces with those longer than any stocked length joined from whole lengths and a rest, mm. */
export function joinedFromStock(piecesMm: readonly number[], stockMm: readonly number[]): number[] {
  const longest = Math.max(...stockMm);
  return piecesMm.flatMap((piece) => {
    const whole = Math.floor(piece / longest);
    const rest = piece - whole * longest;
    return [...Array.from({ length: whole }, () => longest), ...(rest > 0 ? [rest] : [])];
  });
}

/**
 * The least to buy of stocked lengths for pieces that are each whole: by branch and bound, the longest piece first, each into a
 * length already begun or into a new one; of equals the fewest lengths. In mm.
 */
export function cutFromStock(piecesMm: readonly number[], stockMm: readonly number[], kerfMm = KERF_MM): StockPlan {
  const stock = [...new Set(stockMm)].sort((a, b) => a - b);
  const longest = stock.at(-1) ?? 0;
  const tooLongMm = piecesMm.filter((piece) => piece > longest);
  const pieces = piecesMm.filter((piece) => piece <= longest).sort((a, b) => b - a);
  const leftFrom = pieces.map((_, k) => pieces.slice(k).reduce((sum, piece) => sum + piece, 0));
  let best: StockCut[] | null = null;
  let bestMm = Infinity;
  let looks = 0;
  const open: StockCut[] = [];
  const put = (k: number, boughtMm: number) => {
    const worse = boughtMm > bestMm || (boughtMm === bestMm && open.length >= (best?.length ?? Infinity));
    if (worse || ++looks > LOOKS_MOST) return;
    const piece = pieces[k];
    if (piece === undefined) {
      bestMm = boughtMm;
      best = open.map((cut) => ({ ...cut, piecesMm: [...cut.piecesMm] }));
      return;
    }
    // What is left of the lengths begun may take some of it; the rest has to be bought.
    const restMm = open.reduce((sum, cut) => sum + cut.restMm, 0);
    if (boughtMm + Math.max(0, leftFrom[k]! - restMm) > bestMm) return;
    const tried = new Set<number>();
    for (const cut of open) {
      if (cut.restMm < piece || tried.has(cut.restMm)) continue;
      tried.add(cut.restMm);
      const before = cut.restMm;
      cut.piecesMm.push(piece);
      cut.restMm = Math.max(0, before - piece - kerfMm);
      put(k + 1, boughtMm);
      cut.piecesMm.pop();
      cut.restMm = before;
    }
    for (const length of stock) {
      if (length < piece) continue;
      open.push({ stockMm: length, piecesMm: [piece], restMm: Math.max(0, length - piece - kerfMm) });
      put(k + 1, boughtMm + length);
      open.pop();
    }
  };
  put(0, 0);
  return { cuts: best ?? [], boughtMm: best ? bestMm : 0, least: looks <= LOOKS_MOST, tooLongMm };
}
