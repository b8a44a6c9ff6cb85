/** Segments a JPEG is made of that say nothing but how it is drawn (ITU-T T.81; JFIF): tables, frame, restarts, scan. */
const DRAWN = new Set([0xe0, 0xdb, 0xc0, 0xc2, 0xc4, 0xdd]);
const [START_OF_SCAN, END_OF_IMAGE] = [0xda, 0xd9];

/** Whether a JPEG holds its picture and nothing besides: no place, no camera, no words, nothing behind its end. */
export function isBareJpeg(content: Buffer): boolean {
  if (content.length < 4 || content.readUInt16BE(0) !== 0xffd8) return false;
  if (content.readUInt16BE(content.length - 2) !== 0xff00 + END_OF_IMAGE) return false;
  let at = 2;
  let isDrawn = false;
  while (at + 4 <= content.length) {
    if (content[at] !== 0xff) return false;
    const marker = content[at + 1]!;
    if (marker === END_OF_IMAGE) return isDrawn && at + 2 === content.length;
    const length = content.readUInt16BE(at + 2);
    if (length < 2) return false;
    at += 2 + length;
    if (marker === START_OF_SCAN) {
      isDrawn = true;
      // What is drawn goes on to the next mark that is none of its own.
      while (at + 1 < content.length && !isMark(content[at]!, content[at + 1]!)) at++;
    } else if (!DRAWN.has(marker)) return false;
  }
  return isDrawn && at + 2 === content.length;
}

/** In what is drawn 255 is followed by nothing, or by a restart. */
const isMark = (a: number, b: number): boolean => a === 0xff && b !== 0 && !(b >= 0xd0 && b <= 0xd7);
