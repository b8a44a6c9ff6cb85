import { ownIdsOf, renamed } from '@maquette/facts';
import type { FiledFact } from '@maquette/facts/job-file';

/**
 * The same facts under new ids, with all they refer to: each other, and what stands in their lists. Shipped cards keep their
 * names. With them the new id of each old one.
 */
export function copied(
  facts: readonly FiledFact[],
  newId: () => string,
): { facts: FiledFact[]; ids: ReadonlyMap<string, string> } {
  const ids = new Map<string, string>();
  const name = (id: string) => {
    if (!ids.has(id)) ids.set(id, newId());
  };
  for (const { kind, id, body, replaced } of facts) {
    name(id);
    for (const one of [body, ...replaced.map((old) => old.body)]) ownIdsOf(kind, one).forEach(name);
  }
  return {
    ids,
    facts: facts.map((fact) => ({
      ...fact,
      id: ids.get(fact.id)!,
      roomId: fact.roomId && (ids.get(fact.roomId) ?? fact.roomId),
      body: renamed(fact.kind, fact.body, ids),
      replaced: fact.replaced.map((old) => ({ ...old, body: renamed(fact.kind, old.body, ids) })),
    })),
  };
}
