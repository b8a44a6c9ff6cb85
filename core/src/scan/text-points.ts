import { say } from '../said/index.ts';
import { gathering, ScanProblem, TELL_EVERY, type Cloud, type Share } from './cloud.ts';

const [ZERO, NINE, POINT, COMMA, MINUS, PLUS, NEWLINE, SPACE, TAB, RETURN, SEMICOLON] = [
  48, 57, 46, 44, 45, 43, 10, 32, 9, 13, 59,
];
/** Bytes of a usual line: how many points to make room for. */
const USUAL_LINE = 34;

/** Which columns of a line hold the place, and how many it must have to count. */
interface TextColumns {
  x: number;
  y: number;
  z: number;
}

/**
 * Points of a text file from `start` on: one a line, columns apart by spaces, tabs, commas or semicolons, numbers with exponents
 * where they have any. Lines without the columns asked for are counted, not guessed. `most` lines with a point are read at most.
 * Read byte by byte: a general parser takes ten times as long over a million lines.
 */
export function readTextPoints(
  bytes: Uint8Array,
  start: number,
  { x, y, z }: TextColumns,
  share: Share = () => undefined,
  most = Infinity,
): Cloud {
  const length = bytes.length;
  const cloud = gathering(Math.min(most, Math.ceil((length - start) / USUAL_LINE)));
  const last = Math.max(x, y, z);
  const commaIsPoint = firstLineHas(bytes, start, SEMICOLON);
  const place = new Float64Array(last + 1);
  let [at, heading] = [start, true];
  while (at < length && cloud.count < most) {
    let [column, ok] = [0, true];
    while (at < length && bytes[at] !== NEWLINE) {
      const byte = bytes[at]!;
      if (
        byte === SPACE ||
        byte === TAB ||
        byte === RETURN ||
        byte === SEMICOLON ||
        (byte === COMMA && !commaIsPoint)
      ) {
        at++;
        continue;
      }
      if (column > last || !ok) {
        at++;
        continue;
      }
      // One number: sign, digits, point, digits, exponent.
      let [value, scale, digits, negative] = [0, 1, 0, false];
      if (byte === MINUS || byte === PLUS) {
        negative = byte === MINUS;
        at++;
      }
      for (; at < length && bytes[at]! >= ZERO && bytes[at]! <= NINE; at++, digits++)
        value = value * 10 + bytes[at]! - ZERO;
      if (bytes[at] === POINT || (commaIsPoint && bytes[at] === COMMA))
        for (at++; at < length && bytes[at]! >= ZERO && bytes[at]! <= NINE; at++, digits++) {
          value = value * 10 + bytes[at]! - ZERO;
          scale *= 10;
        }
      if (digits > 0 && (bytes[at] === 69 || bytes[at] === 101)) {
        let [power, down] = [0, false];
        at++;
        if (bytes[at] === MINUS || bytes[at] === PLUS) down = bytes[at++] === MINUS;
        for (; at < length && bytes[at]! >= ZERO && bytes[at]! <= NINE; at++) power = power * 10 + bytes[at]! - ZERO;
        if (down) scale *= 10 ** power;
        else value *= 10 ** power;
      }
      if (digits === 0) {
        ok = false;
        at++;
      } else place[column++] = (negative ? -value : value) / scale;
    }
    at++;
    if (ok && column > last) {
      cloud.add(place[x]!, place[y]!, place[z]!);
      heading = false;
      if (cloud.count % TELL_EVERY === 0) share((at - start) / (length - start));
    } else if (column > 0 || !ok) {
      // Words before the first point are a heading; after it they are lines that could not be read.
      if (!heading) cloud.badLines++;
    }
  }
  return cloud;
}

function firstLineHas(bytes: Uint8Array, start: number, wanted: number): boolean {
  for (let at = start; at < bytes.length && bytes[at] !== NEWLINE; at++) if (bytes[at] === wanted) return true;
  return false;
}

/** An XYZ file: places in the first three columns, whatever follows them passed over. Throws `ScanProblem` where it holds none. */
export function readXyz(bytes: Uint8Array, share?: Share): Cloud {
  const cloud = readTextPoints(bytes, 0, { x: 0, y: 1, z: 2 }, share);
  if (cloud.count === 0) throw new ScanProblem(say('scan.noLineWithThreeNumbersAn'));
  return cloud;
}
