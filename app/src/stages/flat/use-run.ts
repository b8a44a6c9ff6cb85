import { useMemo, useState } from 'react';
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

  /** The next unread station after the current one; skipped ones come round again at the end. */
  const nextKey = () => {
    const order = [...stations.slice(at + 1), ...stations.slice(0, Math.max(0, at))];
    return order.find(unread)?.key ?? null;
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
    choose: setKey,
    step: (by) => {
      const to = stations[(at + by + stations.length) % Math.max(1, stations.length)];
      if (to) setKey(to.key);
    },
    skip: () => setKey(nextKey()),
    take: async (rodMm) => {
      if (!current || !setup) return undefined;
      let written: Written;
      if (here && here.setupId === setup.id) {
        written = await write(`Station ${current.number} corrected`, [
          { kind: 'readings', id: here.id, roomId, body: { ...bodyOf(here), rodMm } },
        ]);
      } else {
        const body = {
          setupId: setup.id,
          stationKey: current.key,
          xMm: current.xMm,
          yMm: current.yMm,
          rodMm,
          takenAt: nowUtc(),
          note: '',
        };
        written = await write(`Station ${current.number} read`, [{ kind: 'readings', id: newId(), roomId, body }]);
      }
      // A number that could not be kept stays where it was keyed.
      if (written.ok) setKey(nextKey());
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
