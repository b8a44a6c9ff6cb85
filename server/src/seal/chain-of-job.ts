import { canonicalJson, chainDigest, CHAIN_START, privateFact } from '@maquette/core/seal';
import { upgraded, type FactKind } from '@maquette/facts';
import type { FiledFact, JobFile } from '@maquette/facts/job-file';
import { hasPrivate, isPrivate, shownBody } from './private.ts';

/** One version of a fact, as it was received. */
type Version = Pick<FiledFact, 'version' | 'writeId' | 'updatedAt' | 'deletedAt' | 'order' | 'made' | 'body'>;

/** A line of a chain as it is kept: which version of which fact it holds, and whether by its digest alone. */
export interface KeptLine {
  kind: string;
  factId: string;
  version: number;
  isHidden: boolean;
  /** What a hidden line was made with: 32 random bytes as 64 hex characters; null once it was let go of. */
  salt: string | null;
  digest: string;
  fact: string;
}

/** A line that is to come: its text is made with a salt where it is hidden. */
type Coming = Pick<KeptLine, 'kind' | 'factId' | 'version' | 'isHidden'> & { text: (salt: string) => string };

interface Received {
  fact: FiledFact;
  version: Version;
}

/** Every version of every fact in the order in which they were received; what was stored without a count comes by its time. */
function inOrder(file: Pick<JobFile, 'facts'>): Received[] {
  const all = file.facts.flatMap((fact): Received[] => [...fact.replaced, fact].map((version) => ({ fact, version })));
  const rank = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);
  return all.sort(
    (a, b) =>
      (a.version.order ?? 0) - (b.version.order ?? 0) ||
      rank(a.version.updatedAt, b.version.updatedAt) ||
      rank(a.fact.kind, b.fact.kind) ||
      rank(a.fact.id, b.fact.id) ||
      a.version.version - b.version.version,
  );
}

function textOf(kind: FactKind, id: string, roomId: string | null, version: Version, body: object): string {
  const { version: count, writeId, updatedAt, deletedAt, made } = version;
  return canonicalJson({
    kind,
    id,
    roomId: roomId ?? undefined,
    version: count,
    writeId,
    receivedAt: updatedAt,
    deletedAt: deletedAt ?? undefined,
    made: made ? { ...made } : undefined,
    body,
  });
}

/** What one version puts into a chain: itself, its digest, or itself without what is private in it and the digest of all of it. */
function linesOf({ fact: { kind, id, roomId }, version }: Received): Coming[] {
  const { body } = version;
  const of = { kind, factId: id, version: version.version };
  const whole = textOf(kind, id, roomId, version, body);
  const hidden: Coming = { ...of, isHidden: true, text: (salt) => canonicalJson(privateFact(kind, id, salt, whole)) };
  if (isPrivate(kind, body)) return [hidden];
  if (!hasPrivate(kind, body)) return [{ ...of, isHidden: false, text: () => whole }];
  const shown = textOf(kind, id, roomId, version, shownBody(body));
  return [{ ...of, isHidden: false, text: () => shown }, hidden];
}

/**
 * Text of a version to hold against a line of a chain, without what is private and in today’s shape: a line keeps the body as it was
 * sealed, and a file written later has fields that came since. Null where the version is shown by its digest alone.
 */
function shownText({ fact: { kind, id, roomId }, version }: Received): string | null {
  return isPrivate(kind, version.body)
    ? null
    : textOf(kind, id, roomId, version, upgraded(kind, shownBody(version.body)).body);
}

/**
 * The first fact of a job’s file that a chain does not hold as the file has it, or null: whoever makes up a chain to a job has to
 * make up both. What is private in a body is left out of both.
 */
export function notInChain(
  chain: readonly KeptLine[],
  file: Pick<JobFile, 'facts'>,
): { kind: string; id: string } | null {
  const held = new Map(chain.flatMap((line) => (line.isHidden ? [] : [[nameOf(line), line.fact]])));
  for (const received of inOrder(file)) {
    const { fact, version } = received;
    const text = shownText(received);
    const there = held.get(nameOf({ kind: fact.kind, factId: fact.id, version: version.version, isHidden: false }));
    if (text !== null && (there === undefined || withoutPrivate(there) !== text))
      return { kind: fact.kind, id: fact.id };
  }
  return null;
}

/** A line without what is private in its body, in today’s shape: one that had nothing private to say was chained whole. */
function withoutPrivate(fact: string): string {
  const line = JSON.parse(fact) as { kind: FactKind; body?: object };
  return canonicalJson({ ...line, body: upgraded(line.kind, shownBody({ ...line.body })).body });
}

const nameOf = ({ kind, factId, version, isHidden }: Pick<KeptLine, 'kind' | 'factId' | 'version' | 'isHidden'>) =>
  `${kind}/${factId}/${version}/${isHidden}`;

/**
 * The lines that a job’s facts add to a chain that stands: every version it does not hold yet, in the order in which they were
 * received. What stands is never touched, whatever came in since and wherever by its count it would belong.
 */
export function linesAfter(held: readonly KeptLine[], file: Pick<JobFile, 'facts'>, newSalt: () => string): KeptLine[] {
  const there = new Set(held.map(nameOf));
  let digest = held.at(-1)?.digest ?? CHAIN_START;
  return inOrder(file)
    .flatMap(linesOf)
    .filter((line) => !there.has(nameOf(line)))
    .map(({ text, ...of }): KeptLine => {
      const salt = of.isHidden ? newSalt() : null;
      const fact = text(salt ?? '');
      digest = chainDigest(digest, fact);
      return { ...of, salt, digest, fact };
    });
}
