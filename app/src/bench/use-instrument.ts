import { useEffect, useState } from 'react';
import type { PointMm, RoomFacts } from '@maquette/core/room';

export type InstrumentName = 'hygrometer' | 'probe-reader' | 'pin-meter' | 'survey-meter';

/** What an instrument says now. */
export interface Live {
  state: 'off' | 'connecting' | 'on' | 'lost' | 'flat';
  value: number | null;
  tempC: number | null;
  batteryPct: number | null;
}

/** What a key says while there is no value to hold. */
export const STATE_WORDS: Record<Live['state'], string> = {
  off: 'Off',
  connecting: 'Connecting …',
  on: 'Settling …',
  lost: 'No connection: key it',
  flat: 'Battery flat: key it',
};

const OFF: Live = { state: 'off', value: null, tempC: null, batteryPct: null };

/**
 * Values from an instrument while one is named. The stand-in on the server sends them as server-sent events; a real one's bridge
 * takes its place by sending the same events at the same address (docs/instruments.md).
 */
export function useInstrument(
  name: InstrumentName | null,
  room: Pick<RoomFacts, 'id'>,
  at: PointMm = { xMm: 0, yMm: 0 },
): Live {
  const [live, setLive] = useState<Live>(OFF);
  const { xMm, yMm } = at;
  useEffect(() => {
    if (!name || typeof EventSource === 'undefined') return;
    const source = new EventSource(
      `/api/instruments/${name}?room=${encodeURIComponent(room.id)}&x=${Math.round(xMm)}&y=${Math.round(yMm)}`,
    );
    source.addEventListener('value', (event) => {
      const { value, tempC, batteryPct } = JSON.parse((event as MessageEvent<string>).data) as Omit<Live, 'state'>;
      setLive({ state: 'on', value, tempC, batteryPct });
    });
    source.addEventListener('flat', () => {
      setLive({ ...OFF, state: 'flat', batteryPct: 0 });
      source.close();
    });
    source.addEventListener('error', () =>
      setLive((held) => (held.state === 'flat' ? held : { ...OFF, state: 'lost' })),
    );
    return () => {
      source.close();
      setLive(OFF);
    };
  }, [name, room.id, xMm, yMm]);
  return name && live.state === 'off' ? { ...OFF, state: 'connecting' } : live;
}
