import { useMemo, useRef, useState } from 'react';
import { movedAt, type Station } from '@maquette/core/flat';
import type { ShownRoom } from '../../data/use-facts.ts';
import { newId, nowUtc } from '../../data/ids.ts';
import { readingsInOrder } from '../../data/read-twice.ts';
import { bodyOf } from '@maquette/facts';
import { write, type Written } from '../../data/write.ts';

export interface Run {
  /** Set-up that readings now belong to, or null before the first. */
  setup: ShownRoom['setups'][number] | null;
  current: Station | null;
  /** Newest reading at the current station, if it has one. */
  here: ShownRoom['readings'][number] | null;
  lastMm: number | null;
  lastNumber: number | null;
  left: number;
  choose: (key: string) => void;
  step: (by: 1 | -1) => void;
  skip: () => void;
  take: (rodMm: number) => Promise<Written | undefined>;
  openSetup: (rodMm: number | null) => Promise<Written>;
  closeSetup: (rodMm: number) => Promise<Written | undefined>;
}

/** The walk: which station is next, and what taking a reading writes. */
export function useRun(shown: ShownRoom, stations: readonly Station[]): Run {
  const roomId = shown.room!.id;
  const [key, setKey] = useState<string | null>(null);
  const inOrder = useMemo(() => readingsInOrder(shown.readings), [shown.readings]);
  const newest = useMemo(() => {
    const map = new Map<string, ShownRoom['readings'][number]>();
    // What levelling has moved since it was read is to be read again: its old reading stays on record.
    const moved = movedAt(shown.plain.works ?? []);
    for (const r of inOrder) if (r.takenAt >= (moved.get(r.stationKey) ?? '')) map.set(r.stationKey, r);
    return map;
  }, [inOrder, shown.plain.works]);
  const setups = [...shown.setups].sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));
  const setup = setups.at(-1) ?? null;
  const unread = (s: Station) => !newest.has(s.key);
  const fallback = stations.find(unread) ?? null;
  const current = stations.find((s) => s.key === key) ?? fallback;
  const at = current ? stations.indexOf(current) : -1;

  /** The next unread station after one; skipped ones come round again at the end. The one that is seen is being read. */
  const nextAfter = (from: number) => {
    const order = [...stations.slice(from + 1), ...stations.slice(0, Math.max(0, from))];
    return order.find((s) => unread(s) && s.key !== current?.key)?.key ?? null;
  };
  /** While the device is still keeping a number: the station the next one is for, though the pad does not show it yet. */
  const ahead = useRef<string | null>(null);
  const go = (to: string | null) => {
    ahead.current = null;
    setKey(to);
  };
  const last = inOrder.findLast((r) => r.setupId === setup?.id) ?? null;
  const here = current ? (newest.get(current.key) ?? null) : null;

  return {
    setup,
    current,
    here,
    lastMm: here?.rodMm ?? last?.rodMm ?? setup?.openRodMm ?? null,
    lastNumber: last ? (stations.find((s) => s.key === last.stationKey)?.number ?? null) : null,
    left: stations.filter(unread).length,
    choose: go,
    step: (by) => {
      const to = stations[(at + by + stations.length) % Math.max(1, stations.length)];
      if (to) go(to.key);
    },
    skip: () => go(nextAfter(at)),
    take: async (rodMm) => {
      const station = stations.find((s) => s.key === ahead.current) ?? current;
      if (!station || !setup) return undefined;
      const held = newest.get(station.key);
      const next = nextAfter(stations.indexOf(station));
      ahead.current = next;
      let written: Written;
      if (held && held.setupId === setup.id) {
        written = await write(`Station ${station.number} corrected`, [
          { kind: 'readings', id: held.id, roomId, body: { ...bodyOf(held), rodMm } },
        ]);
      } else {
        const body = {
          setupId: setup.id,
          stationKey: station.key,
          xMm: station.xMm,
          yMm: station.yMm,
          rodMm,
          takenAt: nowUtc(),
          note: '',
        };
        written = await write(`Station ${station.number} read`, [{ kind: 'readings', id: newId(), roomId, body }]);
      }
      // A number that could not be kept stays where it was keyed.
      if (!written.ok || ahead.current === next) ahead.current = null;
      if (written.ok) setKey(next);
      return written;
    },
    openSetup: async (rodMm) => {
      const name = String.fromCharCode(65 + (setups.length % 26));
      return write(`Set-up ${name}`, [
        {
          kind: 'setups',
          id: newId(),
          roomId,
          body: { name, openRodMm: rodMm, closeRodMm: null, startedAt: nowUtc() },
        },
      ]);
    },
    closeSetup: async (rodMm) => {
      if (!setup) return undefined;
      return write(`Set-up ${setup.name} closed`, [
        {
          kind: 'setups',
          id: setup.id,
          roomId,
          body: { ...bodyOf(setup), closeRodMm: rodMm },
        },
      ]);
    },
  };
}
