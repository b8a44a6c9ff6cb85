import { useEffect, useMemo, useState } from 'react';
import { RISE_TOPIC, type AllRoomFacts, type RoomPicture, type SurfacePicture } from '@maquette/core';
import type { CoveringCard } from '@maquette/core/coverings';
import type { DampFacts, DryingForecast } from '@maquette/core/damp';
import type { FlatFacts, SchoolResult } from '@maquette/core/flat';
import type { RoomFacts } from '@maquette/core/room';
import type { SoundFacts } from '@maquette/core/soundness';
import type { StripFacts } from '@maquette/core/stripout';
import { nowUtc } from '../data/ids.ts';
import { bodyOf } from '../data/merge.ts';
import { openDesk, type Desk } from './ask.ts';
import type { ForecastAsk } from './messages.ts';

interface Judged {
  picture: RoomPicture | null;
  schools: SchoolResult[];
  failed: string | null;
}

/** A worker for the life of a screen. */
export function useDesk(): Desk {
  const [desk] = useState(openDesk);
  useEffect(() => () => desk.stop(), [desk]);
  return desk;
}

/** What of a room on this device the worker judges from. */
export interface JudgedFacts {
  flat: FlatFacts;
  strip: StripFacts;
  damp: DampFacts;
  sound: SoundFacts;
}

/** Facts as they cross to the worker: without what only storing is about, so that an acknowledgement judges nothing anew. */
export function plainFacts(room: RoomFacts, { flat, strip, damp, sound }: JudgedFacts): AllRoomFacts {
  const own = bodyOf(room) as unknown as RoomFacts;
  const plain = <T extends { id: string }>(facts: readonly T[]) =>
    facts.map((fact) => ({ ...bodyOf(fact), id: fact.id }) as unknown as T);
  return {
    room: { ...own, id: room.id },
    flat: {
      setups: plain(flat.setups),
      readings: plain(flat.readings),
      stations: plain(flat.stations),
      works: plain(flat.works ?? []),
      edgeWalks: plain(flat.edgeWalks ?? []),
      scans: plain(flat.scans ?? []),
    },
    strip: {
      ...strip,
      // Chalk on the floor and the way chosen judge nothing: a tick more works nothing out anew.
      ticks: strip.ticks.filter((tick) => !tick.key.startsWith('chalk/')),
      answers: strip.answers.filter(({ topic }) => !topic.startsWith('levelling/') || topic.startsWith(RISE_TOPIC)),
    },
    damp,
    sound,
  };
}

/** Keys are still when none was pressed for this long. */
const STILL_MS = 700;

/** The room judged in the worker, anew whenever a fact changes; schools follow once the picture stands. */
export function useJudged(room: RoomFacts | null, facts: JudgedFacts, card: CoveringCard | null): Judged {
  const desk = useDesk();
  const prover = useDesk();
  const [judged, setJudged] = useState<Judged>({ picture: null, schools: [], failed: null });
  const question = useMemo(
    () => (room && card ? { facts: plainFacts(room, facts), card } : null),
    // The object is the room's own, new at every change of the book: its parts tell.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [room, facts.flat, facts.strip, facts.damp, facts.sound, card],
  );
  const key = useMemo(() => JSON.stringify(question), [question]);
  useEffect(() => {
    if (!question) return;
    const asked = { ...question, atUtc: nowUtc() };
    prover.stop();
    // How sure it is takes longer than all else: it is worked out apart, once the keys are still, and never holds a reading up.
    const proving = setTimeout(
      () =>
        prover.ask({ ...asked, kind: 'prove' }, (picture) => {
          if (picture) setJudged((held) => ({ ...held, picture }));
        }),
      STILL_MS,
    );
    // What was drawn ahead stays the very same object when the judgement comes: nothing of it is drawn twice.
    let ahead: SurfacePicture | undefined;
    const judge = (picture: RoomPicture | null, failed: string | null) => {
      setJudged((held) => ({ ...held, picture: picture ? { ...picture, ...ahead } : held.picture, failed }));
      if (!picture || picture.rules.length === 0) return;
      desk.ask(
        { ...asked, kind: 'schools' },
        (schools) => setJudged((held) => ({ ...held, schools: schools ?? [] })),
        'later',
      );
    };
    desk.ask({ ...asked, kind: 'judge' }, judge, 'now', ({ drawn }) => {
      ahead = drawn;
      setJudged((held) => (held.picture ? { ...held, picture: { ...held.picture, ...drawn } } : held));
    });
    return () => clearTimeout(proving);
    // The key stands for the question: the same facts in new objects ask nothing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, desk, prover]);
  return judged;
}

export interface Forecasting {
  forecast: DryingForecast | null;
  working: boolean;
  /** Share done, 0 to 1. */
  progress: number;
  failed: string | null;
  stop: () => void;
}

/** A drying forecast, worked out in a worker of its own with progress; null while nothing is asked. */
export function useForecast(question: ForecastAsk | null): Forecasting {
  const desk = useDesk();
  const [done, setDone] = useState<{ key: string; forecast: DryingForecast | null; failed: string | null } | null>(
    null,
  );
  const [progress, setProgress] = useState(0);
  const key = useMemo(() => JSON.stringify(question), [question]);
  useEffect(() => {
    if (!question) return;
    desk.stop();
    desk.ask(
      { kind: 'forecast', forecast: question },
      (forecast, failed) => setDone({ key, forecast, failed }),
      'now',
      ({ share }) => setProgress(share),
    );
    // The key stands for the question.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, desk]);
  const current = done?.key === key ? done : null;
  return {
    forecast: current?.forecast ?? null,
    working: question !== null && current === null,
    progress,
    failed: current?.failed ?? null,
    stop: () => {
      desk.stop();
      setDone({ key, forecast: null, failed: 'Stopped. Change anything to work it out again.' });
    },
  };
}
