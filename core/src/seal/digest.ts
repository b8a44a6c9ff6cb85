import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';

/** SHA-256 of a text as UTF-8, or of bytes, as 64 hex characters (FIPS 180-4). */
export const sha256Hex = (content: string | Uint8Array): string =>
  bytesToHex(sha256(typeof content === 'string' ? utf8ToBytes(content) : content));
