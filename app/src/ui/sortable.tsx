import { Fragment, lazy, Suspense } from 'react';
import { fetchPart } from './fetch-part.ts';
import type { SortableProps } from './sortable-list.tsx';

/** What moves the items comes in a file of its own: the list stands without it. */
const SortableList = lazy(async () => ({
  default: (await fetchPart(() => import('./sortable-list.tsx'))).SortableList,
}));

/** A list that can be put in another order, where there is more than one of it. */
export function Sortable(props: SortableProps) {
  const still = props.items.map(({ id }) => <Fragment key={id}>{props.children(id, null)}</Fragment>);
  if (props.items.length < 2) return still;
  return (
    <Suspense fallback={still}>
      <SortableList {...props} />
    </Suspense>
  );
}
