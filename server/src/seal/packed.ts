import { zipSync, type Zippable } from 'fflate';
import type { BundleEntry } from '@maquette/core/seal';

/** Files of a ZIP bear the least time it has, so that the same bundle has the same bytes. */
const NO_TIME = new Date(1980, 0, 1);
/** Pictures and PDF are packed already. */
const PACKED = /\.(jpg|zip|pdf)$/;

/** Files as one ZIP: the same files make the same bytes, whoever packs them with this. */
export function packed(entries: readonly BundleEntry[]): Uint8Array {
  const zippable: Zippable = Object.fromEntries(
    entries.map(({ path, content }) => [
      path,
      [content, { level: PACKED.test(path) ? 0 : 6, mtime: NO_TIME }] as const,
    ]),
  );
  return zipSync(zippable);
}
