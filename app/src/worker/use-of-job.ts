import { useEffect, useMemo, useState } from 'react';
import type { RoomSet } from '@maquette/core';
import { nowUtc } from '../data/ids.ts';
import { useBook } from '../data/use-facts.ts';
import { useLatest } from '../ui/use-latest.ts';
import type { Answers } from './messages.ts';
import { useDesk } from './use-judged.ts';
import { useRoomSets } from './use-room-sets.ts';

/** What is worked out over all rooms of a job at once. */
type OfJob = 'under' | 'layBoxes';

export interface PlannedOver<T> {
  plan: T | null;
  rooms: readonly RoomSet[];
  /** Share done while it is worked out; null where nothing is. */
  working: number | null;
  failed: string | null;
  stop: () => void;
  /** Works it out where it was stopped. */
  again: () => void;
}

/** What was made of which writes; what is worked out is told by the writes it is for. */
interface Held<T> {
  of: string;
  plan: T | null;
  failed: string | null;
}

/** Something over all rooms of a job at once, worked out while a tab asks for it and anew when a room changes. */
export function useOfJob<K extends OfJob>(kind: K, jobId: string, asked: boolean): PlannedOver<Answers[K]> {
  const book = useBook();
  const own = useMemo(() => ({ ...book, rooms: book.rooms.filter((room) => room.jobId === jobId) }), [book, jobId]);
  const questions = useRoomSets(own);
  const desk = useDesk();
  const [round, setRound] = useState(0);
  const writes = `${round} ${questions.map((one) => `${one.roomId} ${one.writes}`).join('/')}`;
  const rooms = useMemo(() => questions.map(({ set }) => set()), [questions]);
  const [held, setHeld] = useState<Held<Answers[K]>>({ of: '', plan: null, failed: null });
  const [share, setShare] = useState(0);
  const whole = asked && !book.loading && rooms.length === own.rooms.length && rooms.length > 0;
  const wanted = whole && held.of !== writes;
  const latest = useLatest(rooms);
  useEffect(() => {
    if (!wanted) return;
    desk.stop();
    desk.ask<OfJob>(
      { kind, rooms: [...latest.current], atUtc: nowUtc() },
      (plan, failed) => {
        setShare(0);
        setHeld((before) => ({ of: writes, plan: (plan as Answers[K] | null) ?? before.plan, failed }));
      },
      'now',
      (progress) => setShare(progress.share),
    );
  }, [wanted, writes, desk, latest, kind]);
  return {
    plan: held.plan,
    rooms,
    working: wanted ? share : null,
    failed: wanted ? null : held.failed,
    stop: () => {
      desk.stop();
      setHeld((before) => ({ ...before, of: writes, failed: 'Stopped. Press “Work it out” to go on.' }));
    },
    again: () => setRound(round + 1),
  };
}
