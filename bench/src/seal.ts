import { spawnSync } from 'node:child_process';
import { generateKeyPairSync } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { chained, chainText } from '@maquette/core/seal';
import { seeded } from '@maquette/core/units';
import { sealedBundle } from '../../server/src/seal/bundle.ts';
import { checkBundle } from '../../server/src/seal/page/check-bundle.ts';

/*
 * A sealed bundle of 400 facts and 60 photographs: how long a stranger's tools take over it, held against sha256sum reading the same
 * files. And 1000 random alterations of a small one: of its files, each of which verify.sh has to show; and of its ZIP, each of
 * which the page that checks has to show.
 */
const FACTS = 400;
const PHOTOGRAPHS = 60;
const PHOTOGRAPH_BYTES = 120_000;
const ALTERATIONS = Number(process.argv[2] ?? 1000);

const draw = seeded(7);
const KEYS = generateKeyPairSync('ed25519');
const content = (size: number) => Uint8Array.from({ length: size }, () => Math.floor(draw() * 256));
const bytes = (text: string) => new TextEncoder().encode(text);
const script = readFileSync(join(import.meta.dirname, '../../server/src/seal/verify.sh'));

/** A bundle of so many facts and photographs, unpacked as whoever received it has it. */
function bundleOf(facts: number, photographs: number, photographBytes: number) {
  const chain = chained(
    Array.from({ length: facts }, (_, k) =>
      JSON.stringify({ body: { rodMm: Math.round(draw() * 20_000) / 10 }, id: `reading-${k}`, kind: 'readings' }),
    ),
  );
  const bundle = sealedBundle(
    [
      { path: 'facts.chain', content: bytes(chainText(chain)) },
      { path: 'job.json', content: bytes('{}\n') },
      { path: 'verify.sh', content: new Uint8Array(script) },
      ...Array.from({ length: photographs }, (_, k) => ({
        path: `photographs/${k}.jpg`,
        content: content(photographBytes),
      })),
    ],
    KEYS,
  );
  const folder = mkdtempSync(join(tmpdir(), 'maquette-bench-seal-'));
  for (const { path, content: held } of bundle.entries) {
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), held);
  }
  return { ...bundle, folder };
}

const timed = (cwd: string, command: string, args: string[]) => {
  const began = performance.now();
  const { status } = spawnSync(command, args, { cwd, stdio: 'ignore' });
  return { ms: performance.now() - began, status };
};
const SUMS = ['--check', '--strict', 'MANIFEST.sha256'];

const large = bundleOf(FACTS, PHOTOGRAPHS, PHOTOGRAPH_BYTES);
const sums = timed(large.folder, 'sha256sum', SUMS);
const whole = timed(large.folder, 'sh', ['verify.sh', large.seal]);
console.log(
  `${FACTS} facts, ${PHOTOGRAPHS} photographs, ${(large.zip.length / 1e6).toFixed(1)} MB: sha256sum ${sums.ms.toFixed(0)} ms, verify.sh ${whole.ms.toFixed(0)} ms, ${(whole.ms / sums.ms).toFixed(1)} times as long (status ${whole.status})`,
);
rmSync(large.folder, { recursive: true, force: true });

const { entries, zip, seal, folder } = bundleOf(12, 4, 2000);
const changed = (held: Uint8Array) => {
  const altered = Uint8Array.from(held);
  altered[Math.floor(draw() * altered.length)]! ^= 1 + Math.floor(draw() * 255);
  return altered;
};
let [byTools, byPage] = [0, 0];
for (let k = 0; k < ALTERATIONS; k++) {
  const entry = entries[Math.floor(draw() * entries.length)]!;
  writeFileSync(join(folder, entry.path), changed(entry.content));
  // The script itself is checked by the manifest before it is run: see docs/record.md.
  const [command, args] = entry.path === 'verify.sh' ? ['sha256sum', SUMS] : ['sh', ['verify.sh', seal]];
  if (timed(folder, command as string, args as string[]).status !== 0) byTools++;
  writeFileSync(join(folder, entry.path), entry.content);
  const found = await checkBundle(changed(zip), seal).catch(() => null);
  if (!found || found.faults.length > 0 || found.isRepacked) byPage++;
}
console.log(
  `${ALTERATIONS} alterations of one byte: of a file, ${byTools} shown by common tools; of the ZIP, ${byPage} shown by the page that checks`,
);
rmSync(folder, { recursive: true, force: true });
