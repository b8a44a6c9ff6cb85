import type { BarKind } from './bar.ts';
import type { LeafCut } from './leaf-cut.ts';
import type { OpeningJudged } from './opening-judged.ts';
import { cutFromStock, type StockPlan } from './stock-lengths.ts';

/** One opening as it stands in the ledger of the job. */
export interface LedgerRow {
  roomId: string;
  openingId: string;
  /** The other room it is shared with; it stands in the ledger once. */
  otherRoomId: string | null;
  widthMm: number;
  /** Least and most of the step along it on a new floor, mm; null before its levels are read. */
  stepMm: readonly [least: number, most: number] | null;
  bar: BarKind;
  /** Packing at its start and end: thin and thick edge, mm. */
  packingMm: readonly (readonly [thin: number, thick: number])[];
  rampMm: number | null;
  leaf: 'none' | 'measure' | 'nothing' | 'stop' | 'trim';
  cut: LeafCut | null;
  /** Setting of the saw at the feet of its frame, over what lies there today, mm; none where it is not sawn. */
  sawMm: readonly number[];
  provisional: boolean;
}

export interface LedgerOpening {
  roomId: string;
  otherRoomId: string | null;
  widthMm: number;
  judged: OpeningJudged;
  sawMm?: readonly number[];
}

/** One row an opening over the job, in the order given. An opening two rooms share is given once. */
export const ledgerOf = (openings: readonly LedgerOpening[]): LedgerRow[] =>
  openings.map(({ roomId, otherRoomId, widthMm, judged, sawMm = [] }) => {
    const profile = judged.step?.profiles.new;
    return {
      roomId,
      openingId: judged.openingId,
      otherRoomId,
      widthMm,
      stepMm: profile ? [profile.minMm, profile.maxMm] : null,
      bar: judged.bar.kind,
      packingMm: judged.packing?.map(({ lowEdgeMm, highEdgeMm }) => [lowEdgeMm, highEdgeMm] as const) ?? [],
      rampMm: judged.ramp?.lengthMm ?? null,
      leaf: judged.leaf?.what ?? 'none',
      cut: judged.leaf?.what === 'trim' ? judged.leaf.parallel : null,
      sawMm,
      provisional: judged.provisional,
    };
  });

/** Bars that are bought by length. */
const BOUGHT: readonly BarKind[] = ['flat', 'tilted', 'ramp-bar', 'reducer', 'carpet-bar', 'nosing'];

/** What is bought for the ledger: of each kind of bar the lengths of its openings, cut from those stocked. */
export function barsToBuy(rows: readonly LedgerRow[], stockMm: readonly number[]): { bar: BarKind; plan: StockPlan }[] {
  return BOUGHT.flatMap((bar) => {
    const lengths = rows.filter((row) => row.bar === bar).map(({ widthMm }) => widthMm);
    return lengths.length === 0 ? [] : [{ bar, plan: cutFromStock(lengths, stockMm) }];
  });
}

/** A step or a cut that changes by less says the same, mm. */
const SAME_MM = 0.05;

/** Openings whose row says something else than before: their ids, for the ledger to mark. */
export function changedRows(before: readonly LedgerRow[], after: readonly LedgerRow[]): string[] {
  const was = new Map(before.map((row) => [row.openingId, row]));
  return after.flatMap((row) => {
    const old = was.get(row.openingId);
    return old && sameRow(old, row) ? [] : [row.openingId];
  });
}

function sameRow(a: LedgerRow, b: LedgerRow): boolean {
  const figures = ({ stepMm, packingMm, rampMm, cut, widthMm, sawMm }: LedgerRow) => [
    widthMm,
    ...(stepMm ?? [NaN]),
    ...packingMm.flat(),
    rampMm ?? NaN,
    ...(cut ? [cut.hingeMm, cut.latchMm] : [NaN]),
    ...sawMm,
  ];
  const [one, other] = [figures(a), figures(b)];
  const alike = (x: number, y: number) => (Number.isNaN(x) ? Number.isNaN(y) : Math.abs(x - y) < SAME_MM);
  return (
    a.bar === b.bar &&
    a.leaf === b.leaf &&
    a.provisional === b.provisional &&
    one.length === other.length &&
    one.every((value, k) => alike(value, other[k]!))
  );
}
