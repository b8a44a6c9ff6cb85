import {
  bundleFaults,
  MANIFEST,
  readChain,
  SEAL_FILES,
  sealOf,
  type BundleEntry,
  type BundleFault,
} from '@maquette/core/seal';
import { packed } from '../packed.ts';
import { zipEntries } from './zip-entries.ts';

/** What a bundle says of itself once it was looked at. */
export interface Checked {
  faults: readonly string[];
  /** Its files are as they were, but the ZIP around them was packed by something else. */
  isRepacked: boolean;
  seal: string;
  chain: string | null;
  files: number;
  facts: number;
}

const WORDS: Readonly<Record<BundleFault['fault'], string>> = {
  'no-manifest': 'the manifest is missing',
  'odd-line': 'an odd line stands in its manifest',
  'odd-path': 'a name that no bundle has',
  twice: 'a name stands twice, if only but for capitals',
  'not-in-order': 'the lines of its manifest are not in order',
  missing: 'a file is missing',
  altered: 'a file was altered',
  'not-listed': 'a file lies there that no line of its manifest names',
  link: 'a link lies in it',
  'other-seal': 'it has another seal than the one you received',
};

const isSame = (a: Uint8Array, b: Uint8Array) => a.length === b.length && a.every((byte, k) => byte === b[k]);

/** How the key of a seal may be written: as one PEM, and no other way. */
const KEY = /^-----BEGIN PUBLIC KEY-----\n([A-Za-z0-9+/]{59}=)\n-----END PUBLIC KEY-----\n$/;

/** Whether the signature is of this manifest and key; null where this browser cannot tell. */
async function isSigned(entries: readonly BundleEntry[]): Promise<boolean | null> {
  const held = (path: string) => entries.find((entry) => entry.path === path)?.content;
  const [manifest, signature, pem] = [held(MANIFEST), held('SEAL.sig'), held('SEAL.pub')];
  const key = pem && KEY.exec(new TextDecoder().decode(pem))?.[1];
  if (!manifest || !signature || !key) return false;
  const spki = Uint8Array.from(atob(key), (letter) => letter.charCodeAt(0));
  if (!globalThis.crypto?.subtle) return null;
  let imported: CryptoKey;
  try {
    imported = await crypto.subtle.importKey('spki', spki, { name: 'Ed25519' }, false, ['verify']);
  } catch (error) {
    // A browser that does not know the curve says so by this name; a key that is none by another.
    return (error as Error).name === 'NotSupportedError' ? null : false;
  }
  return crypto.subtle.verify({ name: 'Ed25519' }, imported, new Uint8Array(signature), new Uint8Array(manifest));
}

/**
 * Holds a bundle against its manifest, its signature, its chain, and the seal that was received apart from it.
 *
 * @throws NoBundle where the bytes are no ZIP
 */
export async function checkBundle(zip: Uint8Array, seal: string): Promise<Checked & { isSigned: boolean | null }> {
  const entries = zipEntries(zip);
  const faults = bundleFaults(entries, seal).map(({ fault, at }) => `${WORDS[fault]}: ${at}`);
  const text = (path: string) => {
    const content = entries.find((entry) => entry.path === path)?.content;
    return content ? new TextDecoder().decode(content) : '';
  };
  const chain = readChain(text('facts.chain'));
  if ('fault' in chain) faults.push(`facts.chain is no chain: line ${chain.line}`);
  const signed = await isSigned(entries);
  if (signed === false) faults.push('its signature is not of this manifest and key');
  const manifest = entries.find(({ path }) => path === MANIFEST)?.content;
  return {
    faults,
    isSigned: signed,
    isRepacked: faults.length === 0 && !isSame(packed(entries), zip),
    seal: manifest ? sealOf(manifest) : '',
    chain: 'fault' in chain ? null : (chain.at(-1)?.digest ?? null),
    // Those its manifest names, as verify.sh counts them.
    files: entries.filter(({ path }) => path !== MANIFEST && !SEAL_FILES.includes(path)).length,
    facts: 'fault' in chain ? 0 : chain.length,
  };
}
