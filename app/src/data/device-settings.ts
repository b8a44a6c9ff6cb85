import { useSyncExternalStore } from 'react';
import type { UnitSystem } from '@maquette/core/units';

/** A choice of this device, kept on it: read by every screen that shows it. */
function deviceChoice<T extends string>(key: string, first: T, ...others: T[]) {
  const listeners = new Set<() => void>();
  const read = (): T => {
    const held = globalThis.localStorage?.getItem(key);
    return others.find((one) => one === held) ?? first;
  };
  const subscribe = (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  };
  return function useChoice(): [T, (next: T) => void] {
    const held = useSyncExternalStore(subscribe, read, read);
    return [
      held,
      (next) => {
        globalThis.localStorage?.setItem(key, next);
        for (const listener of listeners) listener();
      },
    ];
  };
}

/** Units of this device: for the site book and for new rooms. A room's own units are a fact of the room. */
export const useUnits: () => [UnitSystem, (units: UnitSystem) => void] = deviceChoice<UnitSystem>(
  'maquette.units',
  'metric',
  'imperial',
);

/** Whether stations and chalk points are said aloud while they are walked: off until it is asked for. */
export const useSpeech = deviceChoice<'off' | 'on'>('maquette.speech', 'off', 'on');
