import { useEffect, useMemo, useState } from 'react';
import type { RoomSet, UnderPlan } from '@maquette/core';
import { nowUtc } from '../../data/ids.ts';
import { useBook } from '../../data/use-facts.ts';
import { useLatest } from '../../ui/use-latest.ts';
import { useDesk } from '../../worker/use-judged.ts';
import { useRoomSets } from '../../worker/use-room-sets.ts';

export interface Planned {
  plan: UnderPlan | null;
  rooms: readonly RoomSet[];
  /** Share done while it is worked out; null where nothing is. */
  working: number | null;
  failed: string | null;
  stop: () => void;
  /** Works it out where it was stopped. */
  again: () => void;
}

/** What was made of which writes; what is worked out is told by the writes it is for. */
interface Held {
  of: string;
  plan: UnderPlan | null;
  failed: string | null;
}

/** Rolls and panels over all rooms of a job at once, worked out while a tab asks for them and anew when a room changes. */
export function useUnderPlan(jobId: string, asked: boolean): Planned {
  const book = useBook();
  const own = useMemo(() => ({ ...book, rooms: book.rooms.filter((room) => room.jobId === jobId) }), [book, jobId]);
  const questions = useRoomSets(own);
  const desk = useDesk();
  const [round, setRound] = useState(0);
  const writes = `${round} ${questions.map((one) => `${one.roomId} ${one.writes}`).join('/')}`;
  const rooms = useMemo(() => questions.map(({ set }) => set()), [questions]);
  const [held, setHeld] = useState<Held>({ of: '', plan: null, failed: null });
  const [share, setShare] = useState(0);
  const whole = asked && !book.loading && rooms.length === own.rooms.length && rooms.length > 0;
  const wanted = whole && held.of !== writes;
  const latest = useLatest(rooms);
  useEffect(() => {
    if (!wanted) return;
    desk.stop();
    desk.ask(
      { kind: 'under', rooms: [...latest.current], atUtc: nowUtc() },
      (plan, failed) => {
        setShare(0);
        setHeld((before) => ({ of: writes, plan: plan ?? before.plan, failed }));
      },
      'now',
      (progress) => setShare(progress.share),
    );
  }, [wanted, writes, desk, latest]);
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
