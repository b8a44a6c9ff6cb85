import { create } from 'qrcode';
import type { Drawing } from './drawing.ts';

/** Free space that a reader needs about the code, in its squares (ISO/IEC 18004). */
const QUIET = 4;

/** A text as a square code that a phone reads, with a quarter of it that may be dirty (level M). */
export function squareCode(text: string): Drawing {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const runs: string[] = [];
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++) {
      if (!modules.get(row, column)) continue;
      let end = column + 1;
      while (end < modules.size && modules.get(row, end)) end++;
      const [x, y] = [column + QUIET, row + QUIET];
      runs.push(`M${x} ${y}L${end + QUIET} ${y}L${end + QUIET} ${y + 1}L${x} ${y + 1}Z`);
      column = end;
    }
  const side = modules.size + 2 * QUIET;
  return { width: side, height: side, marks: [{ path: runs.join(''), stroke: 'none', fill: 'ink', width: 0 }] };
}

/** What a code of a record says: which job, when, and a digest of its chain or its seal. */
export const recordCode = (job: string, atUtc: string, of: 'chain' | 'seal', digest: string): string =>
  `maquette:1:${job}:${atUtc.replace(/\.\d+Z$/, 'Z').replace(/[-:]/g, '')}:${of}:${digest}`;
