import { createPrivateKey, createPublicKey } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PaperSize } from '@maquette/core/paper';
import { EDITION, reportOf } from '@maquette/core/report';
import { sha256Hex, type BundleEntry } from '@maquette/core/seal';
import type { UnitSystem } from '@maquette/core/units';
import type { JobFile } from '@maquette/facts/job-file';
import { inWords } from '@maquette/words';
import { paperPdf } from '../report/pdf.ts';
import { reportJobOf } from '../report/report-job.ts';
import { smallPictures } from '../report/small-pictures.ts';
import { picturesIn } from '../store/picture-files.ts';
import { bundleParts } from './bundle-parts.ts';
import { sealedBundle } from './bundle.ts';
import { tellShare, type Share } from './share-done.ts';

/*
 * What takes long of a record, done in a thread of its own: each is called by name with plain data.
 */

export interface RecordAsk {
  file: Pick<JobFile, 'facts'>;
  atUtc: string;
  units: UnitSystem;
  size: PaperSize;
  /** Taken where the job says no zone. */
  zone: string;
  chain: { digest: string; facts: number };
  /** Photographs that have arrived, each with the digest its picture is named by. */
  pictures: readonly (readonly [photoId: string, sha256: string])[];
  dataFolder: string;
  /** How much is done; shared with whoever is asked about it. */
  share: Share;
}

export interface BundleAsk extends RecordAsk {
  chainText: string;
  privateKeyPem: string;
  verifySh: string;
  verifyHtml: string;
}

export interface MadeBundle {
  zip: Uint8Array;
  seal: string;
  keySha256: string;
  photographs: number;
}

/** Judging the rooms takes about so much of the time. */
const ROOMS_SHARE = 0.55;

/** A picture by its digest, as long as its file is what it was. */
function pictureFrom(folder: string) {
  const read = new Map<string, Buffer | null>();
  return (sha256: string): Buffer | null => {
    if (read.has(sha256)) return read.get(sha256)!;
    let content: Buffer | null = null;
    try {
      const held = readFileSync(join(picturesIn(folder), `${sha256}.jpg`));
      if (sha256Hex(held) === sha256) content = held;
    } catch {
      // A picture that is gone is told as not held.
    }
    read.set(sha256, content);
    return content;
  };
}

function prepared(ask: RecordAsk) {
  const pictureOf = pictureFrom(ask.dataFolder);
  const pictures = new Map(ask.pictures.filter(([, sha256]) => pictureOf(sha256) !== null));
  const job = reportJobOf(ask.file, {
    ...ask,
    edition: EDITION,
    pictures,
    tell: (share) => tellShare(ask.share, share * ROOMS_SHARE),
  });
  const pdf = async () =>
    paperPdf(reportOf(job), {
      ...ask,
      zone: job.zone,
      pictureOf: await smallPictures(pictures.values(), pictureOf),
      tell: (share) => tellShare(ask.share, ROOMS_SHARE + share * (1 - ROOMS_SHARE)),
    });
  return { job, pdf, pictureOf, pictures };
}

/** A job’s report as PDF. */
export const makeReport = (ask: RecordAsk): Promise<Uint8Array> => prepared(ask).pdf();

/** A job’s record sealed: report, chain, job, tables, drawings, photographs, and what checks them. */
export async function makeBundle(ask: BundleAsk): Promise<MadeBundle> {
  const { job, pdf, pictureOf, pictures } = prepared(ask);
  const text = (path: string, words: string): BundleEntry => ({ path, content: new TextEncoder().encode(words) });
  const photographs = [...new Set(pictures.values())].map((sha256) => ({
    path: `photographs/${sha256}.jpg`,
    content: new Uint8Array(pictureOf(sha256)!),
  }));
  const privateKey = createPrivateKey(ask.privateKeyPem);
  const { zip, seal, entries } = sealedBundle(
    [
      { path: 'report.pdf', content: new Uint8Array(await pdf()) },
      text('facts.chain', ask.chainText),
      ...bundleParts(ask.file, job, (what) => inWords(what, ask.units, job.zone)),
      ...photographs,
      text('verify.sh', ask.verifySh),
      text('verify.html', ask.verifyHtml),
    ],
    { privateKey, publicKey: createPublicKey(privateKey) },
  );
  const key = entries.find(({ path }) => path === 'SEAL.pub')!;
  return { zip, seal, keySha256: sha256Hex(key.content), photographs: photographs.length };
}
