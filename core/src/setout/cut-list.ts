import type { Division } from './division.ts';
import { piecesOf, rippedTogether } from './pieces.ts';
import type { LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';
import { cutPlanks, type CutPiece, type CutPlank } from './stock.ts';

/** One piece of the floor in the order of laying, with the plank it is cut from. */
export interface LaidPiece {
  /** In the order of laying, from 1. */
  number: number;
  strip: number;
  row: number;
  kind: 'whole' | 'start' | 'end' | 'one';
  /** As it lies, along the rows. */
  fromMm: number;
  toMm: number;
  /** As it is cut, with what the wall asks. */
  cutMm: number;
  /** In the order in which they are opened, from 1. */
  plank: number;
  /** Ripped off this piece's plank, whose row keeps the far edge. */
  rippedFrom: number | null;
}

/** A plank that is bought, with what is cut from it in the order of laying, and what is left over along it. */
export interface UsedPlank {
  number: number;
  pieces: number[];
  /** Pieces of the last row from what is ripped off. */
  ripped: number[];
  lengthMm: number;
  restMm: number;
}

export interface CutList {
  pieces: LaidPiece[];
  planks: UsedPlank[];
}

type Draft = Omit<LaidPiece, 'plank' | 'rippedFrom'>;

/** Pieces of all strips as they lie, row by row in the order of laying. */
function drafts(strips: readonly RowStrip[], divisions: readonly Division[], plank: LaidPlank): Draft[] {
  const len = plank.lengthMm;
  return strips
    .flatMap(({ row, fromMm, toMm }, strip): Omit<Draft, 'number'>[] => {
      const division = divisions[strip]!;
      const { startMm, wholes, endMm } = division;
      const cut = piecesOf(division, plank);
      const base = { strip, row };
      if (endMm === 0)
        return [
          {
            ...base,
            kind: cut.freeMm === null ? 'whole' : 'one',
            fromMm,
            toMm,
            cutMm: cut.freeMm ?? len,
          },
        ];
      const middles = Array.from({ length: wholes }, (_, k) => ({
        ...base,
        kind: 'whole' as const,
        fromMm: fromMm + startMm + k * len,
        toMm: fromMm + startMm + (k + 1) * len,
        cutMm: len,
      }));
      return [
        {
          ...base,
          kind: cut.startMm === null ? 'whole' : 'start',
          fromMm,
          toMm: fromMm + startMm,
          cutMm: cut.startMm ?? len,
        },
        ...middles,
        {
          ...base,
          kind: cut.endMm === null ? 'whole' : 'end',
          fromMm: toMm - endMm,
          toMm,
          cutMm: cut.endMm ?? len,
        },
      ];
    })
    .map((piece, k) => ({ ...piece, number: k + 1 }));
}

const NEED = { start: 'start', end: 'end', one: 'none' } as const;

const asCut = (pieces: readonly Draft[]): CutPiece[] =>
  pieces.flatMap(({ number, kind, cutMm }) =>
    kind === 'whole' ? [] : [{ id: number, need: NEED[kind], lengthMm: cutMm }],
  );

/** Pieces of the last row put to pieces of the first that are of their kind and as long, the longest first. */
function matched(last: readonly Draft[], first: readonly Draft[]): Map<number, number> {
  const from = new Map<number, number>();
  for (const kind of ['whole', 'start', 'end', 'one'] as const) {
    const of = (all: readonly Draft[]) =>
      all.filter((piece) => piece.kind === kind).sort((a, b) => b.cutMm - a.cutMm || a.number - b.number);
    const have = of(first);
    let next = 0;
    for (const piece of of(last))
      if (next < have.length && have[next]!.cutMm >= piece.cutMm - 1e-6) from.set(piece.number, have[next++]!.number);
  }
  return from;
}

/** The floor as a list of pieces in the order of laying, each with the plank it comes from: as many planks as are counted, and no more. */
export function cutList(strips: readonly RowStrip[], divisions: readonly Division[], plank: LaidPlank): CutList {
  const all = drafts(strips, divisions, plank);
  const together = rippedTogether(strips, plank);
  const isLast = ({ row }: Draft) => together !== null && row === together.last;
  const first = all.filter(({ row }) => together !== null && row === together.first);
  const rippedFrom = matched(all.filter(isLast), first);
  const bought = all.filter((piece) => !isLast(piece));
  const left = all.filter((piece) => isLast(piece) && !rippedFrom.has(piece.number));
  // Whole planks of the first row that gave the last nothing yet: what is ripped off them is as good as a plank.
  const taken = new Set(rippedFrom.values());
  const spare = first.filter(({ kind, number }) => kind === 'whole' && !taken.has(number));
  const cuts: CutPlank[] = cutPlanks(asCut(bought), plank);
  const more: CutPlank[] = [
    ...left.filter(({ kind }) => kind === 'whole').map(({ number }) => whole(number)),
    ...cutPlanks(asCut(left), plank),
  ];
  more.splice(0, spare.length).forEach((cut, k) => {
    for (const { id } of cut.pieces) rippedFrom.set(id, spare[k]!.number);
  });
  const planksOf: CutPlank[] = [
    ...bought.filter(({ kind }) => kind === 'whole').map(({ number }) => whole(number)),
    ...cuts,
    ...more,
  ];
  // Numbered as they are opened: by the first piece of each that is laid.
  const opened = (cut: CutPlank) => Math.min(...cut.pieces.map(({ id }) => id));
  planksOf.sort((a, b) => opened(a) - opened(b));
  const plankOf = new Map(planksOf.flatMap(({ pieces }, k) => pieces.map(({ id }) => [id, k + 1] as const)));
  const pieces = all.map((piece): LaidPiece => {
    const from = rippedFrom.get(piece.number) ?? null;
    return { ...piece, plank: plankOf.get(from ?? piece.number)!, rippedFrom: from };
  });
  return {
    pieces,
    planks: planksOf.map(({ pieces: own, restMm }, k) => ({
      number: k + 1,
      lengthMm: plank.lengthMm,
      pieces: own.map(({ id }) => id).sort((a, b) => a - b),
      ripped: pieces.filter((piece) => piece.rippedFrom !== null && piece.plank === k + 1).map(({ number }) => number),
      restMm,
    })),
  };
}

const whole = (id: number): CutPlank => ({ pieces: [{ id, need: 'none', lengthMm: 0 }], restMm: 0 });
