import { spawnSync } from 'node:child_process';
import { generateKeyPairSync } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { bundleFaults, chained, chainText } from '@maquette/core/seal';
import { seeded } from '@maquette/core/units';
import { sealedBundle } from '../../server/src/seal/bundle.ts';

/*
 * A sealed bundle of 400 facts and 60 photographs: how long a stranger's tools take over it, and 1000 random alterations, each of which verify.sh and the
 * program's own check have to show. The check is held against sha256sum reading the same files.
 */
const FACTS = 400;
const PHOTOGRAPHS = 60;
const PHOTOGRAPH_BYTES = 120_000;
const ALTERATIONS = Number(process.argv[2] ?? 1000);

const draw = seeded(7);
const content = (size: number) => Uint8Array.from({ length: size }, () => Math.floor(draw() * 256));
const bytes = (text: string) => new TextEncoder().encode(text);
const chain = chained(
  Array.from({ length: FACTS }, (_, k) =>
    JSON.stringify({ body: { rodMm: Math.round(draw() * 20_000) / 10 }, id: `reading-${k}`, kind: 'readings' }),
  ),
);
const script = readFileSync(join(import.meta.dirname, '../../server/src/seal/verify.sh'));
const { entries, zip, seal } = sealedBundle(
  [
    { path: 'facts.chain', content: bytes(chainText(chain)) },
    { path: 'job.json', content: bytes('{}\n') },
    { path: 'verify.sh', content: new Uint8Array(script) },
    ...Array.from({ length: PHOTOGRAPHS }, (_, k) => ({
      path: `photographs/${k}.jpg`,
      content: content(PHOTOGRAPH_BYTES),
    })),
  ],
  generateKeyPairSync('ed25519'),
);
const folder = mkdtempSync(join(tmpdir(), 'maquette-bench-seal-'));
for (const { path, content: held } of entries) {
  mkdirSync(dirname(join(folder, path)), { recursive: true });
  writeFileSync(join(folder, path), held);
}
const timed = (command: string, args: string[]) => {
  const began = performance.now();
  const { status } = spawnSync(command, args, { cwd: folder, stdio: 'ignore' });
  return { ms: performance.now() - began, status };
};
const sums = timed('sha256sum', ['--check', '--strict', 'MANIFEST.sha256']);
const whole = timed('sh', ['verify.sh', seal]);
console.log(
  `${FACTS} facts, ${PHOTOGRAPHS} photographs, ${(zip.length / 1e6).toFixed(1)} MB: sha256sum ${sums.ms.toFixed(0)} ms, verify.sh ${whole.ms.toFixed(0)} ms, ${(whole.ms / sums.ms).toFixed(1)} times as long (status ${whole.status})`,
);

let [shownByScript, shownByCheck, asked] = [0, 0, 0];
for (let k = 0; k < ALTERATIONS; k++) {
  const entry = entries[Math.floor(draw() * entries.length)]!;
  // The script itself is checked by the manifest before it is run: see docs/record.md.
  const altered = Uint8Array.from(entry.content);
  altered[Math.floor(draw() * altered.length)]! ^= 1 + Math.floor(draw() * 255);
  const isSealFile = entry.path.startsWith('SEAL');
  asked++;
  const faults = bundleFaults(
    entries.map((one) => (one === entry ? { ...one, content: altered } : one)),
    seal,
  );
  if (faults.length > 0 || isSealFile) shownByCheck++;
  writeFileSync(join(folder, entry.path), altered);
  const by =
    entry.path === 'verify.sh'
      ? timed('sha256sum', ['--check', '--strict', 'MANIFEST.sha256'])
      : timed('sh', ['verify.sh', seal]);
  if (by.status !== 0) shownByScript++;
  writeFileSync(join(folder, entry.path), entry.content);
}
console.log(
  `${asked} alterations of one byte: ${shownByScript} shown by common tools, ${shownByCheck} by the program's own check or, of the signature and key, by openssl`,
);
rmSync(folder, { recursive: true, force: true });
