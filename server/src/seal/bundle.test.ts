import { spawnSync } from 'node:child_process';
import { generateKeyPairSync } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, renameSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { unzipSync } from 'fflate';
import { chained, chainText, lastDigest } from '@maquette/core/seal';
import { seeded } from '@maquette/core/units';
import { sealedBundle } from './bundle.ts';

const SCRIPT = readFileSync(join(__dirname, 'verify.sh'));
const KEYS = generateKeyPairSync('ed25519');
const CHAIN = chained(
  Array.from({ length: 12 }, (_, k) => JSON.stringify({ body: { gapMm: k, words: 'Höhe “3”\\n' }, id: `r-${k}` })),
);
const bytes = (text: string) => new TextEncoder().encode(text);
const FILES = [
  { path: 'facts.chain', content: bytes(chainText(CHAIN)) },
  { path: 'job.json', content: bytes('{"format":"job"}\n') },
  { path: 'photographs/0a1b.jpg', content: Uint8Array.from([255, 216, 0, 1, 2, 255, 217]) },
  { path: 'verify.sh', content: new Uint8Array(SCRIPT) },
];

const hasTools = ['sh', 'sha256sum', 'openssl'].every((tool) => spawnSync('which', [tool]).status === 0);
/** Where a tool is missing these are skipped, and the runner says so. */
const withTools = hasTools ? test : test.skip;

const folders: string[] = [];
afterAll(() => folders.forEach((folder) => rmSync(folder, { recursive: true, force: true })));

/** A ZIP as whoever received it unpacks it. */
function unpacked(zip: Uint8Array): string {
  const folder = mkdtempSync(join(tmpdir(), 'maquette-seal-'));
  folders.push(folder);
  for (const [path, content] of Object.entries(unzipSync(zip))) {
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), content);
  }
  return folder;
}

const verified = (cwd: string, seal: string) => spawnSync('sh', ['verify.sh', seal], { cwd, encoding: 'utf8' });
const bundle = sealedBundle(FILES, KEYS);

test('the same files and key make the same bytes', () => {
  expect(sealedBundle([...FILES].reverse(), KEYS).seal).toBe(bundle.seal);
  expect(Buffer.from(sealedBundle(FILES, KEYS).zip).equals(Buffer.from(bundle.zip))).toBe(true);
});

withTools(
  'a stranger checks it with common tools: manifest, signature, chain, by the seal that came apart from it',
  () => {
    const folder = unpacked(bundle.zip);
    const { status, stdout } = verified(folder, bundle.seal);
    expect(stdout).toContain('AS IT WAS SEALED');
    expect(stdout).toContain(lastDigest(CHAIN));
    expect(status).toBe(0);
    const sums = spawnSync('sha256sum', ['--check', '--strict', 'MANIFEST.sha256'], { cwd: folder, encoding: 'utf8' });
    expect(sums.status).toBe(0);
    expect(spawnSync('sha256sum', ['MANIFEST.sha256'], { cwd: folder, encoding: 'utf8' }).stdout).toContain(
      bundle.seal,
    );
    const signature = spawnSync(
      'openssl',
      [
        'pkeyutl',
        '-verify',
        '-pubin',
        '-inkey',
        'SEAL.pub',
        '-rawin',
        '-in',
        'MANIFEST.sha256',
        '-sigfile',
        'SEAL.sig',
      ],
      { cwd: folder, encoding: 'utf8' },
    );
    expect(signature.stdout).toContain('Signature Verified Successfully');
  },
);

const text = (folder: string, path: string) => readFileSync(join(folder, path), 'utf8');
/** Everything made anew after an alteration, with a key of the forger's: only the seal tells. */
function forged(folder: string, path: string, content: string): void {
  const files = FILES.map((file) => (file.path === path ? { path, content: bytes(content) } : file));
  for (const entry of sealedBundle(files, generateKeyPairSync('ed25519')).entries)
    writeFileSync(join(folder, entry.path), entry.content);
}

const ALTERED: [string, (folder: string) => void, RegExp][] = [
  ['a file altered', (at) => writeFileSync(join(at, 'job.json'), '{"format":"jab"}\n'), /job\.json: FAILED/],
  ['a file gone', (at) => rmSync(join(at, 'job.json')), /missing, or one lies there/],
  ['a file more', (at) => writeFileSync(join(at, 'photographs/ff.jpg'), 'x'), /missing, or one lies there/],
  ['a file that is called almost like a seal', (at) => writeFileSync(join(at, 'SEAL.x'), 'x'), /lies there/],
  ['a manifest below', (at) => writeFileSync(join(at, 'photographs/MANIFEST.sha256'), 'x'), /lies there/],
  ['a hidden file', (at) => writeFileSync(join(at, '.hidden'), 'x'), /lies there/],
  ['a name of two lines', (at) => writeFileSync(join(at, 'job.json\n.'), 'x'), /lies there|link/],
  [
    'a link in the place of a file',
    (at) => {
      renameSync(join(at, 'job.json'), join(dirname(at), `${at.split('/').at(-1)}-job`));
      folders.push(join(dirname(at), `${at.split('/').at(-1)}-job`));
      symlinkSync(join(dirname(at), `${at.split('/').at(-1)}-job`), join(at, 'job.json'));
    },
    /a link lies in it/,
  ],
  ['another signature', (at) => writeFileSync(join(at, 'SEAL.sig'), Buffer.alloc(64, 7)), /signature/],
  [
    'another key',
    (at) =>
      writeFileSync(
        join(at, 'SEAL.pub'),
        String(generateKeyPairSync('ed25519').publicKey.export({ type: 'spki', format: 'pem' })),
      ),
    /signature/,
  ],
  [
    'a line of the manifest left out',
    (at) => writeFileSync(join(at, 'MANIFEST.sha256'), text(at, 'MANIFEST.sha256').split('\n').slice(1).join('\n')),
    /another seal/,
  ],
  [
    'a NUL in the manifest',
    (at) => writeFileSync(join(at, 'MANIFEST.sha256'), `${text(at, 'MANIFEST.sha256')}\0\n`),
    /NUL/,
  ],
  [
    'all made anew with a fact altered',
    (at) => forged(at, 'facts.chain', chainText(chained(['{"id":"other"}']))),
    /another seal/,
  ],
];
withTools.each(ALTERED)('%s is shown', (_, alter, why) => {
  const folder = unpacked(bundle.zip);
  alter(folder);
  const { status, stderr } = verified(folder, bundle.seal);
  expect(stderr).toMatch(why);
  expect(status).toBe(1);
});

/** Bundles whose maker sealed what is no chain: the seal holds, and the script still says so. */
withTools.each<[string, string, RegExp]>([
  ['empty', '', /facts\.chain is missing or empty/],
  ['an open last line', chainText(CHAIN).slice(0, -1), /last line of facts\.chain is open/],
  ['a NUL', chainText(CHAIN).replace('gapMm', 'gap\0m'), /facts\.chain holds a NUL/],
  ['cut at its start', chainText(CHAIN.slice(1)), /fact 1 of facts\.chain/],
  ['a figure altered', chainText(CHAIN).replace('"gapMm":7', '"gapMm":3'), /fact 8 of facts\.chain/],
])('a sealed chain that is %s is shown', (_, chain, why) => {
  const files = FILES.map((file) => (file.path === 'facts.chain' ? { ...file, content: bytes(chain) } : file));
  const made = sealedBundle(files, KEYS);
  const { status, stderr } = verified(unpacked(made.zip), made.seal);
  expect(stderr).toMatch(why);
  expect(status).toBe(1);
});

withTools('any one byte altered in any file is shown', () => {
  const folder = unpacked(bundle.zip);
  const draw = seeded(20_261_129);
  for (let k = 0; k < 40; k++) {
    const { path } = k < 8 ? bundle.entries.at(-1)! : bundle.entries[Math.floor(draw() * bundle.entries.length)]!;
    // Whoever alters the script itself is found by the manifest, which is checked before it is run.
    if (path === 'verify.sh') continue;
    const whole = readFileSync(join(folder, path));
    const altered = Buffer.from(whole);
    altered[Math.floor(draw() * altered.length)]! ^= 1 + Math.floor(draw() * 255);
    writeFileSync(join(folder, path), altered);
    const { status } = verified(folder, bundle.seal);
    expect([path, status]).toEqual([path, 1]);
    writeFileSync(join(folder, path), whole);
  }
  expect(verified(folder, bundle.seal).status).toBe(0);
});

test.each(['', 'x'.repeat(64), 'ab'.repeat(31)])('the seal “%s” is asked back', (seal) => {
  const { status, stderr } = verified(unpacked(bundle.zip), seal);
  expect(stderr).toMatch(/the seal you gave/);
  expect(status).toBe(1);
});
