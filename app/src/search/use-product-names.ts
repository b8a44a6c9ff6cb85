import { useEffect, useMemo, useState } from 'react';
import { findCard } from '@maquette/core/coverings';
import type { UnitSystem } from '@maquette/core/units';
import type { ShownBook } from '../data/use-facts.ts';
import { useDesk } from '../worker/use-judged.ts';

/** Names of the products that packs were bought of; none until the worker, which knows every product, has told them. */
export function useProductNames(book: ShownBook, units: UnitSystem): ReadonlyMap<string, string> {
  const desk = useDesk();
  const [names, setNames] = useState<ReadonlyMap<string, string>>(new Map());
  const ids = useMemo(() => [...new Set(book.packCounts.map(({ productId }) => productId))], [book.packCounts]);
  const cards = useMemo(() => {
    const { underlays, films, membranes, panels } = book;
    return book.rooms.flatMap(({ cardId }) => {
      const card = findCard(book.cards, cardId);
      return card ? [{ card, underCards: { underlays, films, membranes, panels } }] : [];
    });
  }, [book]);
  useEffect(() => {
    if (ids.length > 0)
      desk.ask<'productNames'>({ kind: 'productNames', names: { ids, cards, units } }, (told) => {
        if (told) setNames(told);
      });
  }, [desk, ids, cards, units]);
  return names;
}
