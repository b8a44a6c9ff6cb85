import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { bundleFaults, readChain, type BundleEntry } from '@maquette/core/seal';
import type { SaidProblem } from '@maquette/facts';
import type { JobFile } from '@maquette/facts/job-file';
import { NoBundle, zipEntries } from '../seal/page/zip-entries.ts';
import { notInChain, type KeptLine } from '../seal/chain-of-job.ts';
import { SENT } from './read-file.ts';

/** A bundle that was sent in place of a job file: the chain it brings, or what is wrong with it. */
export type Unpacked =
  { is: 'plain' } | { is: 'bundle'; chain: KeptLine[] } | { is: 'refused'; problems: SaidProblem[] };

const ZIP = 'PK\u0003\u0004';
const LISTED = 20;

const refused = (field: string, message: string): Unpacked => ({
  is: 'refused',
  problems: [{ field, value: null, message }],
});

/** Photographs by their ids, as the table of evidence names their pictures. */
function picturesBy(csv: string): Map<string, string> {
  const { data } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
  return new Map(data.filter(({ kind }) => kind === 'photo').map(({ id, value }) => [id ?? '', value ?? '']));
}

/** A line of a chain as it is kept; of a fact that is not shown its version is not known. */
function keptLine({ digest, fact }: { digest: string; fact: string }): KeptLine {
  const { kind, id, version = 0, private: hidden } = JSON.parse(fact) as Record<string, string> & { version?: number };
  return { kind: String(kind), factId: String(id), version, isHidden: hidden !== undefined, salt: null, digest, fact };
}

/** The first fact of a job file that its chain lacks; what is no such file is told before anything of it is taken. */
function missedBy(chain: readonly KeptLine[], job: string): { kind: string; id: string } | 'no-file' | null {
  try {
    return notInChain(chain, JSON.parse(job) as JobFile);
  } catch {
    return 'no-file';
  }
}

/**
 * Where a bundle lies in an import’s folder its job file is put in its place, with the pictures that belong to it. The bundle is
 * held against its own manifest and chain first: one that was altered is not taken.
 */
export function unpackBundle(folder: string): Unpacked {
  const path = join(folder, SENT);
  const sent = readFileSync(path);
  if (sent.subarray(0, 4).toString('latin1') !== ZIP) return { is: 'plain' };
  let entries: BundleEntry[];
  try {
    entries = zipEntries(new Uint8Array(sent));
  } catch (error) {
    if (!(error instanceof NoBundle)) throw error;
    return refused('', 'the bundle cannot be read: it is no ZIP, or it was cut short');
  }
  const faults = bundleFaults(entries, null);
  if (faults.length > 0)
    return {
      is: 'refused',
      problems: faults.slice(0, LISTED).map(({ fault, at }) => ({
        field: at,
        value: null,
        message: `is not as it was sealed: ${fault.replaceAll('-', ' ')}`,
      })),
    };
  const text = (name: string) => {
    const content = entries.find((entry) => entry.path === name)?.content;
    return content ? new TextDecoder().decode(content) : '';
  };
  const job = text('job.json');
  if (job === '') return refused('job.json', 'is missing: this is no record of a job');
  const chain = readChain(text('facts.chain'));
  if ('fault' in chain) return refused('facts.chain', `is no chain from line ${chain.line} on`);
  const kept = chain.map(keptLine);
  const missed = missedBy(kept, job);
  if (missed === 'no-file') return refused('job.json', 'is no file of a job');
  if (missed) return refused('facts.chain', `does not hold ${missed.kind} ${missed.id} as job.json has it`);
  const pictures = [...picturesBy(text('evidence.csv'))].flatMap(([photoId, sha256]) => {
    const content = entries.find((entry) => entry.path === `photographs/${sha256}.jpg`)?.content;
    return content ? [{ photoId, jpegBase64: Buffer.from(content).toString('base64') }] : [];
  });
  // The last member of the file: what stands before it is taken as it is.
  writeFileSync(path, job.replace(/\}\s*$/, `,"pictures":${JSON.stringify(pictures)}}`));
  return { is: 'bundle', chain: kept };
}
