import { useSyncExternalStore } from 'react';
import type { UnitSystem } from '@maquette/core/units';

const KEY = 'maquette.units';
const listeners = new Set<() => void>();
const read = (): UnitSystem => (globalThis.localStorage?.getItem(KEY) === 'imperial' ? 'imperial' : 'metric');

/** Units of this device: for the site book and for new rooms. A room's own units are a fact of the room. */
export function useUnits(): [UnitSystem, (units: UnitSystem) => void] {
  const units = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    read,
    read,
  );
  return [
    units,
    (next) => {
      globalThis.localStorage?.setItem(KEY, next);
      for (const listener of listeners) listener();
    },
  ];
}
