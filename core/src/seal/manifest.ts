import { sha256Hex } from './digest.ts';

/** Names of a bundle that its manifest does not list: the manifest itself, and what is made of it. */
export const MANIFEST = 'MANIFEST.sha256';
export const SEAL_FILES: readonly string[] = ['SEAL.sig', 'SEAL.pub'];
const UNLISTED: readonly string[] = [MANIFEST, ...SEAL_FILES];

/** A file of a bundle: where it lies and the digest of what it holds. */
export interface ManifestLine {
  path: string;
  sha256: string;
}

/** What is wrong with a bundle, and where: a path, or a line of its manifest. */
export interface BundleFault {
  fault:
    | 'no-manifest'
    | 'odd-line'
    | 'odd-path'
    | 'twice'
    | 'not-in-order'
    | 'missing'
    | 'altered'
    | 'not-listed'
    | 'link'
    | 'other-seal';
  at: string;
}

const PART = '[A-Za-z0-9_][A-Za-z0-9._-]*';
const PATH = new RegExp(`^${PART}(?:/${PART})*$`);
const LINE = /^([0-9a-f]{64}) {2}(.+)$/;

/** Whether a path can lie in a bundle: plain letters, digits, points, hyphens; no part begins with a point. */
export const isBundlePath = (path: string): boolean => PATH.test(path);

/** Paths are plain ASCII: the order of their units is that of their bytes. */
const byPath = (a: ManifestLine, b: ManifestLine): number => (a.path < b.path ? -1 : a.path > b.path ? 1 : 0);

/** Paths that are the same but for case, which some disks take for one. */
function twiceIn(paths: readonly string[]): string[] {
  const seen = new Set<string>();
  return paths.filter((path) => {
    const low = path.toLowerCase();
    if (seen.has(low)) return true;
    seen.add(low);
    return false;
  });
}

/**
 * The manifest of some files: for each its digest, two spaces and its path, in the order of the paths' bytes.
 *
 * @throws RangeError where a path cannot lie in a bundle, stands twice, or is one of those a manifest does not list
 */
export function manifestText(lines: readonly ManifestLine[]): string {
  const wrong =
    lines.find(({ path }) => !isBundlePath(path) || UNLISTED.includes(path))?.path ??
    twiceIn(lines.map(({ path }) => path))[0];
  if (wrong !== undefined) throw new RangeError(wrong);
  return [...lines]
    .sort(byPath)
    .map(({ sha256, path }) => `${sha256}  ${path}\n`)
    .join('');
}

/** The seal of a bundle: the digest of its manifest. */
export const sealOf = (manifest: string | Uint8Array): string => sha256Hex(manifest);

/** A manifest as it stands in its file, or the first thing that is odd about it. */
export function readManifest(text: string): ManifestLine[] | BundleFault {
  const odd = (at: string): BundleFault => ({ fault: 'odd-line', at });
  const rows = text.split('\n');
  if (text === '' || text.includes('\0') || rows.pop() !== '') return odd(String(Math.max(1, rows.length)));
  const lines: ManifestLine[] = [];
  for (const [k, row] of rows.entries()) {
    const [, sha256, path] = LINE.exec(row) ?? [];
    if (sha256 === undefined || path === undefined) return odd(String(k + 1));
    if (!isBundlePath(path) || UNLISTED.includes(path)) return { fault: 'odd-path', at: path };
    if (lines.length > 0 && byPath(lines.at(-1)!, { path, sha256 }) >= 0) return { fault: 'not-in-order', at: path };
    lines.push({ path, sha256 });
  }
  const [twice] = twiceIn(lines.map(({ path }) => path));
  return twice === undefined ? lines : { fault: 'twice', at: twice };
}

/** One entry of a bundle as it lies there. */
export interface BundleEntry {
  path: string;
  content: Uint8Array;
  isLink?: boolean;
}

/**
 * Everything that is wrong with a bundle, held against its manifest and the seal that was kept elsewhere.
 *
 * @param seal - as it was received when the bundle was sealed; null where nobody has kept it: what was all made anew is then not seen
 */
export function bundleFaults(entries: readonly BundleEntry[], seal: string | null): BundleFault[] {
  const faults: BundleFault[] = [];
  for (const path of twiceIn(entries.map((entry) => entry.path))) faults.push({ fault: 'twice', at: path });
  for (const { path, isLink } of entries) {
    if (isLink) faults.push({ fault: 'link', at: path });
    if (!isBundlePath(path)) faults.push({ fault: 'odd-path', at: path });
  }
  const manifest = entries.find(({ path }) => path === MANIFEST);
  if (!manifest) return [...faults, { fault: 'no-manifest', at: MANIFEST }];
  if (seal !== null && sealOf(manifest.content) !== seal) faults.push({ fault: 'other-seal', at: MANIFEST });
  const lines = readManifest(new TextDecoder().decode(manifest.content));
  if ('fault' in lines) return [...faults, lines];
  const held = new Map(entries.map(({ path, content }) => [path, content]));
  for (const { path, sha256 } of lines) {
    const content = held.get(path);
    if (!content) faults.push({ fault: 'missing', at: path });
    else if (sha256Hex(content) !== sha256) faults.push({ fault: 'altered', at: path });
  }
  const listed = new Set(lines.map(({ path }) => path));
  for (const { path } of entries)
    if (!listed.has(path) && !UNLISTED.includes(path)) faults.push({ fault: 'not-listed', at: path });
  return faults;
}
