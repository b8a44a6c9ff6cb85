import { useEffect, useState } from 'react';

/** What a distance meter says now. */
interface Meter {
  state: 'off' | 'connecting' | 'on' | 'lost';
  lengthMm: number | null;
  batteryPct: number | null;
}

const OFF: Meter = { state: 'off', lengthMm: null, batteryPct: null };

/**
 * Lengths from a distance meter while `on`. The stand-in on the server sends them as server-sent events; a real meter's bridge
 * takes its place by sending the same events at the same address (docs/instruments.md).
 */
export function useMeter(on: boolean, wall: number): Meter {
  const [meter, setMeter] = useState<Meter>(OFF);
  useEffect(() => {
    if (!on || typeof EventSource === 'undefined') return;
    const source = new EventSource(`/api/instruments/distance-meter?wall=${wall}`);
    source.addEventListener('length', (event) => {
      const { lengthMm, batteryPct } = JSON.parse((event as MessageEvent<string>).data) as {
        lengthMm: number;
        batteryPct: number;
      };
      setMeter({ state: 'on', lengthMm, batteryPct });
    });
    source.addEventListener('error', () => setMeter({ state: 'lost', lengthMm: null, batteryPct: null }));
    return () => {
      source.close();
      setMeter(OFF);
    };
  }, [on, wall]);
  return on && meter.state === 'off' ? { ...OFF, state: 'connecting' } : meter;
}
