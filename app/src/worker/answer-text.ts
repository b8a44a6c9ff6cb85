import { decodeText } from '@maquette/core/formats';
import type { TextAnswer, TextAsk } from './messages.ts';

/** Read at a time. */
const PIECE_BYTES = 1 << 20;
/** A larger file is none of readings, whatever it is called. */
export const BYTES_MOST = 256 << 20;
const NEWLINE = 0x0a;

/**
 * The first lines of a text file, and how many it has: the rest is counted and not kept, so that a file a hundred times too large
 * costs its reading and no memory.
 */
export async function answerText({ file, linesMost }: TextAsk, share: (share: number) => void): Promise<TextAnswer> {
  if (file.size > BYTES_MOST)
    throw new Error(
      `It has ${Math.round(file.size / 1e6)} million bytes: ${Math.floor(BYTES_MOST / 1e6)} are read at most`,
    );
  const kept: Uint8Array[] = [];
  let lines = 0;
  let full = false;
  for (let from = 0; from < file.size; from += PIECE_BYTES) {
    const piece = new Uint8Array(await file.slice(from, from + PIECE_BYTES).arrayBuffer());
    let at = piece.indexOf(NEWLINE);
    let end = piece.length;
    for (; at >= 0; at = piece.indexOf(NEWLINE, at + 1)) {
      lines++;
      // In UTF-16 a line break has a second byte.
      if (lines === linesMost && !full) end = at + (piece[at + 1] === 0 ? 2 : 1);
    }
    if (!full) kept.push(piece.subarray(0, end));
    full ||= lines >= linesMost;
    share(Math.min(1, (from + piece.length) / file.size));
    // What follows the last line break is a line too.
    if (from + PIECE_BYTES >= file.size && piece.at(-1) !== NEWLINE) lines++;
  }
  const bytes = new Uint8Array(kept.reduce((sum, piece) => sum + piece.length, 0));
  kept.reduce((at, piece) => {
    bytes.set(piece, at);
    return at + piece.length;
  }, 0);
  return { text: decodeText(bytes), lines, cut: lines > linesMost };
}
