import { lazy, Suspense, type ComponentType } from 'react';
import { View } from 'react-native';
import { fetchPart } from './fetch-part.ts';
import { PartBoundary } from './part-boundary.tsx';

/**
 * A screen that is fetched when it is opened first. `heightPx` is kept free for it meanwhile, where something to press stands
 * below: what moves away under a finger is not pressed.
 */
export function fetched<P extends object>(fetch: () => Promise<ComponentType<P>>, heightPx?: number): ComponentType<P> {
  const Screen = lazy(async () => ({ default: await fetchPart(fetch) }));
  return function Fetched(props: P) {
    return (
      <PartBoundary>
        <Suspense fallback={heightPx ? <View style={{ height: heightPx }} /> : null}>
          <Screen {...props} />
        </Suspense>
      </PartBoundary>
    );
  };
}
