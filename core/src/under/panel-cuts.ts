import type { PanelMake, PanelPiece } from './panel-rows.ts';

/** A saw takes so much with every cut, mm. */
export const KERF_MM = 3;

/** One sheet with the strips it is ripped into, each cut to lengths. */
export interface CutSheet {
  shelves: { widthMm: number; usedMm: number; pieces: PanelPiece[] }[];
  /** Width ripped so far, mm. */
  usedMm: number;
}

/**
 * Sheets for the pieces of a whole job: every sheet is ripped into strips and those are cut to lengths, so that every cut goes from edge to
 * edge; grain stays along the length. The widest and longest first, each where least is left.
 */
export function cutPanels(pieces: readonly PanelPiece[], { lengthMm, widthMm }: PanelMake): CutSheet[] {
  const sheets: CutSheet[] = [];
  const order = [...pieces].sort((a, b) => b.widthMm - a.widthMm || b.lengthMm - a.lengthMm);
  for (const piece of order) {
    let best: { shelf: CutSheet['shelves'][number]; left: number } | null = null;
    for (const sheet of sheets)
      for (const shelf of sheet.shelves) {
        const kerf = shelf.usedMm > 0 ? KERF_MM : 0;
        const left = lengthMm - shelf.usedMm - kerf - piece.lengthMm;
        if (left < -1e-6 || shelf.widthMm < piece.widthMm - 1e-6) continue;
        // Of strips that hold it the narrowest, and of those the fullest.
        const waste = (shelf.widthMm - piece.widthMm) * 1e4 + left;
        if (!best || waste < best.left) best = { shelf, left: waste };
      }
    if (best) {
      best.shelf.usedMm += (best.shelf.usedMm > 0 ? KERF_MM : 0) + piece.lengthMm;
      best.shelf.pieces.push(piece);
      continue;
    }
    const roomIn = (sheet: CutSheet) => widthMm - sheet.usedMm - (sheet.usedMm > 0 ? KERF_MM : 0) - piece.widthMm;
    const sheet =
      sheets.filter((one) => roomIn(one) >= -1e-6).sort((a, b) => roomIn(a) - roomIn(b))[0] ?? newSheet(sheets);
    sheet.usedMm += (sheet.usedMm > 0 ? KERF_MM : 0) + piece.widthMm;
    sheet.shelves.push({ widthMm: piece.widthMm, usedMm: piece.lengthMm, pieces: [piece] });
  }
  return sheets;
}

function newSheet(sheets: CutSheet[]): CutSheet {
  const sheet: CutSheet = { shelves: [], usedMm: 0 };
  sheets.push(sheet);
  return sheet;
}

/** Cuts a saw makes over all sheets: one for each edge of a piece that is no edge of its sheet. */
export const cutsOf = (sheets: readonly CutSheet[], { lengthMm, widthMm }: PanelMake): number =>
  sheets.reduce(
    (sum, { shelves }) =>
      sum +
      shelves.reduce(
        (all, shelf) =>
          all +
          (shelf.widthMm < widthMm - 1e-6 ? 1 : 0) +
          shelf.pieces.reduce(
            (cuts, piece) =>
              cuts + (piece.lengthMm < lengthMm - 1e-6 ? 1 : 0) + (piece.widthMm < shelf.widthMm - 1e-6 ? 1 : 0),
            0,
          ),
        0,
      ),
    0,
  );
