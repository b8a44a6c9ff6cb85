import { sign, type KeyObject } from 'node:crypto';
import { MANIFEST, manifestText, sealOf, sha256Hex, type BundleEntry } from '@maquette/core/seal';
import { packed } from './packed.ts';

/** A bundle as it is handed over, and the seal that is sent apart from it. */
export interface SealedBundle {
  seal: string;
  entries: BundleEntry[];
  zip: Uint8Array;
}

/**
 * Files sealed: their manifest, its Ed25519 signature with the key that made it, and all of it as a ZIP.
 *
 * @throws RangeError where a path cannot lie in a bundle or stands twice
 */
export function sealedBundle(
  files: readonly BundleEntry[],
  { privateKey, publicKey }: { privateKey: KeyObject; publicKey: KeyObject },
): SealedBundle {
  const text = manifestText(files.map(({ path, content }) => ({ path, sha256: sha256Hex(content) })));
  const manifest = new TextEncoder().encode(text);
  const entries: BundleEntry[] = [
    ...files,
    { path: MANIFEST, content: manifest },
    { path: 'SEAL.sig', content: new Uint8Array(sign(null, manifest, privateKey)) },
    { path: 'SEAL.pub', content: new TextEncoder().encode(String(publicKey.export({ type: 'spki', format: 'pem' }))) },
  ];
  return { seal: sealOf(manifest), entries, zip: packed(entries) };
}
