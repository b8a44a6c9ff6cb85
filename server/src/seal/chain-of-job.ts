import { canonicalJson, chained, privateFact, type ChainLine } from '@maquette/core/seal';
import type { FactKind } from '@maquette/facts';
import type { FiledFact, JobFile } from '@maquette/facts/job-file';

/** What a job costs its installer, earns and asks of others is nobody else's: kinds of which a chain shows their digest alone. */
const PRIVATE_KINDS: ReadonlySet<FactKind> = new Set(['prices', 'packCounts', 'quotations', 'surprises', 'figures']);

/** One version of a fact, as it was received. */
type Version = Pick<FiledFact, 'version' | 'writeId' | 'updatedAt' | 'deletedAt' | 'order' | 'made' | 'body'>;

/** Salt of a version: 32 random bytes as 64 hex characters, kept with it and never in a bundle. */
export type SaltOf = (kind: FactKind, id: string, version: number) => string;

interface Received {
  fact: FiledFact;
  version: Version;
}

/** Every version of every fact in the order in which they were received; what was stored without a count comes by its time. */
function inOrder(file: JobFile): Received[] {
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

function textOf({ fact: { kind, id, roomId }, version }: Received, body: object): string {
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

/**
 * A job's facts as the chain its evidence is made of: every version in the order it was received. Costs stand in it by their
 * digest; a fact with a note stands in it without, and once more by the digest of all of it.
 */
export function chainOfJob(file: JobFile, saltOf: SaltOf): ChainLine[] {
  return chained(
    inOrder(file).flatMap((received): string[] => {
      const {
        fact: { kind, id },
        version: { version, body },
      } = received;
      const hidden = () => canonicalJson(privateFact(kind, id, saltOf(kind, id, version), textOf(received, body)));
      if (PRIVATE_KINDS.has(kind)) return [hidden()];
      const { note, ...shown } = body;
      return typeof note === 'string' && note !== '' ? [textOf(received, shown), hidden()] : [textOf(received, body)];
    }),
  );
}
