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

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_'];

/** An id as short as a code wants it: the 16 bytes of a UUID as 22 letters (RFC 4648, base64url); another one as it is. */
export function shortId(id: string): string {
  if (!UUID.test(id)) return id;
  // Two bits more than the 128 there are, so that six of them make a letter.
  const bits = [...id.replaceAll('-', '')]
    .map((hex) => parseInt(hex, 16).toString(2).padStart(4, '0'))
    .join('')
    .padEnd(132, '0');
  return Array.from({ length: 22 }, (_, k) => LETTERS[parseInt(bits.slice(6 * k, 6 * k + 6), 2)]!).join('');
}

/** What a code of a record says: which job, when, and a digest of its chain or its seal. */
export const recordCode = (job: string, atUtc: string, of: 'chain' | 'seal', digest: string): string =>
  `maquette:1:${shortId(job)}:${atUtc.replace(/\.\d+Z$/, 'Z').replace(/[-:]/g, '')}:${of}:${digest}`;
