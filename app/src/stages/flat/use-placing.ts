import { useState } from 'react';
import type { Station } from '@maquette/core/flat';
import type { PointMm } from '@maquette/core/room';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { toMmPoint, toPx, type SheetView } from '../../sheet/view.ts';
import { stationChange } from './station-change.ts';
import type { Run } from './use-run.ts';

export type Placing = 'none' | 'add' | 'move';

const TAP_REACH_PX = 28;

/** What a tap on the sheet means on the flat stage: set a new station, move the current one, or choose the nearest. */
export function usePlacing(shown: ShownRoom, stations: readonly Station[], run: Run, onChosen: () => void) {
  const [placing, setPlacing] = useState<Placing>('none');
  /** Sets a new station, or the current one, at a place. */
  const placeAt = (point: PointMm) => {
    const at = { ...point, dropped: false };
    if (placing === 'add') {
      const id = newId();
      void write('Station added', [
        { kind: 'stations', id, roomId: shown.room!.id, body: { replacesKey: null, ...at } },
      ]);
      run.choose(id);
      return setPlacing('none');
    }
    if (placing === 'move' && run.current) {
      void write(`Station ${run.current.number} moved`, [stationChange(shown, run.current, at)]);
      return setPlacing('none');
    }
    return undefined;
  };
  const tap = (view: SheetView, xPx: number, yPx: number) => {
    const [x, y] = toMmPoint(view, xPx, yPx);
    if (placing !== 'none') return placeAt({ xMm: Math.round(x), yMm: Math.round(y) });
    let nearest: Station | null = null;
    let least = TAP_REACH_PX;
    for (const station of stations) {
      const [sx, sy] = toPx(view, station.xMm, station.yMm);
      const apart = Math.hypot(sx - xPx, sy - yPx);
      if (apart <= least) [nearest, least] = [station, apart];
    }
    if (!nearest) return undefined;
    run.choose(nearest.key);
    return onChosen();
  };
  return { placing, setPlacing, placeAt, tap };
}
