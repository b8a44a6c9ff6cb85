import { firstPlaceOf } from '@maquette/facts';
import { inOrder } from '@maquette/facts/in-order';
import type { Shown } from './lay.ts';

type Reading = Shown<'readings'>;

/** Readings in the order in which they were made: of two at one station the later counts. */
export const readingsInOrder = (readings: readonly Reading[]): Reading[] => inOrder(readings, firstPlaceOf);

/**
 * Stations that two devices have read from one set-up, and differently, each with the readings there, the one that counts for now
 * last. From another set-up a station may be read again: that ties the two together. So may one that levelling has moved since.
 * @param moved when levelling last moved a station, by its key
 */
export function readTwice(readings: readonly Reading[], moved: ReadonlyMap<string, string>): Reading[][] {
  const at = new Map<string, Reading[]>();
  for (const reading of readingsInOrder(readings)) {
    if (reading.takenAt < (moved.get(reading.stationKey) ?? '')) continue;
    const place = `${reading.setupId}/${reading.stationKey}`;
    at.set(place, [...(at.get(place) ?? []), reading]);
  }
  return [...at.values()].filter(
    (there) =>
      new Set(there.map(({ rodMm }) => rodMm)).size > 1 && new Set(there.map((r) => firstPlaceOf(r).device)).size > 1,
  );
}
