import { createPrivateKey, createPublicKey, generateKeyPairSync } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { keepFile } from '../store/picture-files.ts';

/** The key that signs seals lies beside the database: whoever has it can sign as this installer. */
export const SEAL_KEY = 'seal-key.pem';

/** The private key of a data folder as PEM, made the first time it is asked for. */
export async function sealKey(folder: string): Promise<string> {
  const path = join(folder, SEAL_KEY);
  if (!existsSync(path)) {
    const { privateKey } = generateKeyPairSync('ed25519');
    await keepFile(folder, SEAL_KEY, Buffer.from(privateKey.export({ type: 'pkcs8', format: 'pem' })), 0o600);
  }
  return readFileSync(path, 'utf8');
}

/** The public key that goes with it, as every bundle carries it. */
export const publicPem = (privateKeyPem: string): string =>
  String(createPublicKey(createPrivateKey(privateKeyPem)).export({ type: 'spki', format: 'pem' }));
