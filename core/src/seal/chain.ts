import { canonicalJson } from './canonical.ts';
import { sha256Hex } from './digest.ts';

/** What the first fact of a chain follows. */
export const CHAIN_START = '0'.repeat(64);

/** One fact of a chain: its canonical text, and the digest of it and of all before it. */
export interface ChainLine {
  digest: string;
  fact: string;
}

/** Why a text is no chain, and on which of its lines, counted from one. */
export interface ChainFault {
  line: number;
  fault: 'empty' | 'nul' | 'open-end' | 'shape' | 'not-canonical' | 'digest';
}

/** Digest of a fact that follows another: SHA-256 of the digest before it as 64 hex characters, a line feed, and the fact as UTF-8. */
export const chainDigest = (before: string, fact: string): string => sha256Hex(`${before}\n${fact}`);

/** Facts one after another, each with the digest that holds it and all before it. */
export function chained(facts: readonly string[], before = CHAIN_START): ChainLine[] {
  let digest = before;
  return facts.map((fact) => {
    digest = chainDigest(digest, fact);
    return { digest, fact };
  });
}

/** The digest a chain ends with. */
export const lastDigest = (lines: readonly ChainLine[]): string => lines.at(-1)?.digest ?? CHAIN_START;

/** A chain as the lines of its file: digest, space, fact, line feed. */
export const chainText = (lines: readonly ChainLine[]): string =>
  lines.map(({ digest, fact }) => `${digest} ${fact}\n`).join('');

/** Lines end with a line feed alone: whatever else parts lines elsewhere may stand within a text. */
const LINE = /^([0-9a-f]{64}) (\{.*\})$/su;

/** A chain as it stands in its file, every digest worked out anew; or the first line on which it is none. */
export function readChain(text: string): ChainLine[] | ChainFault {
  if (text === '') return { line: 1, fault: 'empty' };
  if (text.includes('\0')) return { line: text.slice(0, text.indexOf('\0')).split('\n').length, fault: 'nul' };
  const rows = text.split('\n');
  if (rows.pop() !== '') return { line: rows.length + 1, fault: 'open-end' };
  const lines: ChainLine[] = [];
  let before = CHAIN_START;
  for (const [k, row] of rows.entries()) {
    const [, digest, fact] = LINE.exec(row) ?? [];
    if (digest === undefined || fact === undefined) return { line: k + 1, fault: 'shape' };
    if (!isCanonical(fact)) return { line: k + 1, fault: 'not-canonical' };
    if (chainDigest(before, fact) !== digest) return { line: k + 1, fault: 'digest' };
    before = digest;
    lines.push({ digest, fact });
  }
  return lines;
}

function isCanonical(fact: string): boolean {
  try {
    return canonicalJson(JSON.parse(fact)) === fact;
  } catch {
    return false;
  }
}

/** Whether a later chain begins with an earlier one, byte for byte. */
export const beginsWith = (later: string, earlier: string): boolean => later.startsWith(earlier);

/** A fact that is not shown: its kind and id stand in the chain, and a digest that whoever has its text and salt can work out anew. */
export interface PrivateFact {
  id: string;
  kind: string;
  private: string;
}

/**
 * What stands in a chain for a fact that is not to be shown. Once text and salt are gone nobody finds out what it was, and the
 * chain is whole as before.
 *
 * @param salt - 32 random bytes as 64 hex characters, its own for each fact
 * @param fact - the canonical text of the fact
 */
export const privateFact = (kind: string, id: string, salt: string, fact: string): PrivateFact => ({
  id,
  kind,
  private: sha256Hex(`${salt}\n${fact}`),
});
