import { useLayoutEffect, useRef, type RefObject } from 'react';

/** What was last handed in, for listeners that outlive a drawing. */
export function useLatest<T>(value: T): RefObject<T> {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}
