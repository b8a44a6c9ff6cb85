import type { Station } from '@maquette/core/flat';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import type { Change } from '../../data/write.ts';

/** The change that moves a station or drops it: its own mark when it has one, else a new one that replaces the proposal. */
export function stationChange(
  shown: ShownRoom,
  station: Station,
  part: { xMm?: number; yMm?: number; dropped: boolean },
): Change {
  const mark = shown.stations.find((s) => s.id === station.key || s.replacesKey === station.key);
  const body = {
    replacesKey: station.source === 'added' ? null : station.key,
    xMm: station.xMm,
    yMm: station.yMm,
    ...part,
  };
  return { kind: 'stations', id: mark?.id ?? newId(), roomId: shown.room!.id, body };
}
