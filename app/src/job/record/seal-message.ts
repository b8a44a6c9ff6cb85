import type { Seal } from '@maquette/core/record';
import { counted } from '../../ui/counted.ts';

/** The one message that goes out when a record is sealed: what a stranger holds the bundle against later. */
export const messageOf = (
  { sealSha256, chainSha256, keySha256, facts, photographs }: Seal,
  job: string,
  sealedAt: string,
): string =>
  [
    `The record of ${job} was sealed: ${sealedAt}.`,
    `It holds ${counted(facts, 'fact')} and ${counted(photographs, 'photograph')}.`,
    '',
    `Seal (MANIFEST.sha256): ${sealSha256}`,
    `Last digest of the chain: ${chainSha256}`,
    `Key (SEAL.pub): ${keySha256}`,
    '',
    'Please keep this message. With it anybody can check later that the record was not altered since.',
  ].join('\n');
