import { lazy, Suspense, type ComponentType } from 'react';
import { fetchPart } from './fetch-part.ts';
import { PartBoundary } from './part-boundary.tsx';

/** A screen that is fetched when it is opened first; nothing stands in its place for that moment. */
export function fetched<P extends object>(fetch: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Screen = lazy(async () => ({ default: await fetchPart(fetch) }));
  return function Fetched(props: P) {
    return (
      <PartBoundary>
        <Suspense fallback={null}>
          <Screen {...props} />
        </Suspense>
      </PartBoundary>
    );
  };
}
