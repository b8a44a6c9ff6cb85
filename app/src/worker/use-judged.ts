import { useEffect, useRef, useState } from 'react';
import type { RoomPicture, RoomSet, SurfacePicture } from '@maquette/core';
import type { DryingForecast } from '@maquette/core/damp';
import type { SchoolResult } from '@maquette/core/flat';
import { nowUtc } from '../data/ids.ts';
import { whenIdle } from '../data/when-idle.ts';
import { openDesk, type Desk } from './ask.ts';
import { keptPictures } from './kept-pictures.ts';
import type { ForecastAsk } from './messages.ts';

interface Judged {
  picture: RoomPicture | null;
  schools: SchoolResult[];
  failed: string | null;
  /** The set the picture was proved for, and whether that was kept from an earlier visit or worked out in this one. */
  proved: { of: RoomSet; kept: boolean } | null;
}

/** A worker for the life of a screen. */
export function useDesk(): Desk {
  const [desk] = useState(openDesk);
  useEffect(() => () => desk.stop(), [desk]);
  return desk;
}

/** Keys are still when none was pressed for this long. */
const STILL_MS = 700;
/** A timer set for a moment may wake a little before it. */
const AFTER_MS = 20;

/**
 * The room judged in the worker, anew whenever a fact changes or the hour asks for it; schools follow once the picture stands.
 * What was made of the same writes on an earlier visit is shown at once, until that has been worked out again.
 */
export function useJudged(set: RoomSet | null, writes: string): Judged {
  const desk = useDesk();
  const prover = useDesk();
  const [judged, setJudged] = useState<Judged>({ picture: null, schools: [], failed: null, proved: null });
  useEffect(() => {
    const { picture, proved } = judged;
    if (set && picture && proved?.of === set && !proved.kept) keptPictures.keep(set.room.id, writes, picture);
  }, [judged, set, writes]);
  const madeFrom = useRef(writes);
  useEffect(() => {
    madeFrom.current = writes;
  }, [writes]);
  // Whether anything of the room is shown yet: from then on every change is judged at once.
  const shown = useRef(false);
  useEffect(() => {
    if (!set) return;
    let left = false;
    let waiting: (() => void) | undefined;
    let proving: ReturnType<typeof setTimeout> | undefined;
    prover.stop();
    function prove() {
      prover.ask({ set: set!, atUtc: nowUtc(), kind: 'prove' }, (picture) => {
        if (!picture) return;
        setJudged((held) => ({ ...held, picture, proved: { of: set!, kept: false } }));
        // The same facts may be judged otherwise later: only what depends on the hour is worked out again then.
        if (picture.validUntil !== null)
          proving = setTimeout(prove, Math.max(0, Date.parse(picture.validUntil) - Date.now()) + AFTER_MS);
      });
    }
    function judge() {
      shown.current = true;
      const asked = { set: set!, atUtc: nowUtc() };
      // How sure it is takes longer than all else: it is worked out apart, once the keys are still, and never holds a reading up.
      proving = setTimeout(prove, STILL_MS);
      // What was drawn ahead stays the very same object when the judgement comes: nothing of it is drawn twice.
      let ahead: SurfacePicture | undefined;
      const told = (picture: RoomPicture | null, failed: string | null) => {
        setJudged((held) =>
          // What is proved of the same facts says more than the judgement alone, which is made for what is keyed next.
          picture && held.proved?.of === set
            ? held
            : { ...held, picture: picture ? { ...picture, ...ahead } : held.picture, failed },
        );
        if (!picture || picture.rules.length === 0) return;
        desk.ask(
          { ...asked, kind: 'schools' },
          (schools) => setJudged((held) => ({ ...held, schools: schools ?? [] })),
          'later',
        );
      };
      desk.ask({ ...asked, kind: 'judge' }, told, 'now', ({ drawn }) => {
        ahead = drawn;
        setJudged((held) =>
          held.picture && held.proved?.of !== set ? { ...held, picture: { ...held.picture, ...drawn } } : held,
        );
      });
    }
    if (shown.current) judge();
    else
      void keptPictures.find(set.room.id, madeFrom.current).then((picture) => {
        if (left) return;
        if (!picture) return judge();
        // One that the hour may have changed is shown only until the room has been judged again.
        const holds = picture.validUntil === null || picture.validUntil >= nowUtc();
        setJudged((held) => ({ ...held, picture, proved: holds ? { of: set, kept: true } : null }));
        // Drawn first: working it out again takes the same processor.
        waiting = whenIdle(judge);
      });
    return () => {
      left = true;
      waiting?.();
      clearTimeout(proving);
    };
  }, [set, desk, prover]);
  return judged;
}

interface Forecasting {
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
  const [done, setDone] = useState<{ of: ForecastAsk; forecast: DryingForecast | null; failed: string | null } | null>(
    null,
  );
  const [progress, setProgress] = useState(0);
  useEffect(() => {
    if (!question) return;
    desk.stop();
    desk.ask(
      { kind: 'forecast', forecast: question },
      (forecast, failed) => setDone({ of: question, forecast, failed }),
      'now',
      ({ share }) => setProgress(share),
    );
  }, [question, desk]);
  const current = question && done?.of === question ? done : null;
  return {
    forecast: current?.forecast ?? null,
    working: question !== null && current === null,
    progress,
    failed: current?.failed ?? null,
    stop: () => {
      desk.stop();
      if (question) setDone({ of: question, forecast: null, failed: 'Stopped. Change anything to work it out again.' });
    },
  };
}
