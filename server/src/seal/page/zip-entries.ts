import { inflateSync } from 'fflate';
import type { BundleEntry } from '@maquette/core/seal';

/** Why bytes are no ZIP that a record comes in. */
export class NoBundle extends Error {}

const [END, DIRECTORY, LOCAL] = [0x06054b50, 0x02014b50, 0x04034b50];
const [END_BYTES, DIRECTORY_BYTES, LOCAL_BYTES] = [22, 46, 30];
/** Of a file’s attributes, in which a link is told (POSIX file types). */
const [FILE_TYPE, LINK] = [0xf000, 0xa000];
const [STORED, DEFLATED] = [0, 8];

/**
 * Every entry of a ZIP as its directory lists them: names that stand twice and links too, which whoever unpacks it would not see.
 *
 * @throws NoBundle where the bytes are no ZIP, or are cut short
 */
export function zipEntries(bytes: Uint8Array): BundleEntry[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const at = (place: number, length: number): number => {
    if (place < 0 || place + length > bytes.length) throw new NoBundle('cut short');
    return place;
  };
  const u32 = (place: number) => view.getUint32(at(place, 4), true);
  const u16 = (place: number) => view.getUint16(at(place, 2), true);
  let end = bytes.length - END_BYTES;
  while (end >= 0 && u32(end) !== END) end--;
  if (end < 0) throw new NoBundle('no ZIP');
  const count = u16(end + 10);
  let place = u32(end + 16);
  const entries: BundleEntry[] = [];
  for (let k = 0; k < count; k++) {
    if (u32(place) !== DIRECTORY) throw new NoBundle('no directory');
    const [method, packed, size] = [u16(place + 10), u32(place + 20), u32(place + 24)];
    const [nameBytes, extra, comment] = [u16(place + 28), u16(place + 30), u16(place + 32)];
    const isLink = ((u32(place + 38) >>> 16) & FILE_TYPE) === LINK;
    const local = u32(place + 42);
    const path = new TextDecoder().decode(
      bytes.subarray(at(place + DIRECTORY_BYTES, nameBytes), place + DIRECTORY_BYTES + nameBytes),
    );
    if (u32(local) !== LOCAL) throw new NoBundle('no entry');
    const from = at(local + LOCAL_BYTES + u16(local + 26) + u16(local + 28), packed);
    const held = bytes.subarray(from, from + packed);
    place += DIRECTORY_BYTES + nameBytes + extra + comment;
    if (path.endsWith('/') && size === 0) continue;
    entries.push({ path, content: unpacked(held, method, size), ...(isLink ? { isLink } : {}) });
  }
  return entries;
}

function unpacked(held: Uint8Array, method: number, size: number): Uint8Array {
  if (method === STORED) return held;
  if (method !== DEFLATED) throw new NoBundle('packed in another way');
  try {
    return inflateSync(held, { out: new Uint8Array(size) });
  } catch {
    throw new NoBundle('cannot be unpacked');
  }
}
