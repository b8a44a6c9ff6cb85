import { useEffect, useState } from 'react';
import type { RoomPicture, RoomSet, SurfacePicture } from '@maquette/core';
import type { DryingForecast } from '@maquette/core/damp';
import type { SchoolResult } from '@maquette/core/flat';
import { nowUtc } from '../data/ids.ts';
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

/** Keys are still when none was pressed for this long. */
const STILL_MS = 700;
/** A timer set for a moment may wake a little before it. */
const AFTER_MS = 20;

/** The room judged in the worker, anew whenever a fact changes or the hour asks for it; schools follow once the picture stands. */
export function useJudged(set: RoomSet | null): Judged {
  const desk = useDesk();
  const prover = useDesk();
  const [judged, setJudged] = useState<Judged>({ picture: null, schools: [], failed: null });
  useEffect(() => {
    if (!set) return;
    const asked = { set, atUtc: nowUtc() };
    prover.stop();
    // How sure it is takes longer than all else: it is worked out apart, once the keys are still, and never holds a reading up.
    let proving = setTimeout(prove, STILL_MS);
    function prove() {
      prover.ask({ set: set!, atUtc: nowUtc(), kind: 'prove' }, (picture) => {
        if (!picture) return;
        setJudged((held) => ({ ...held, picture }));
        // The same facts may be judged otherwise later: only what depends on the hour is worked out again then.
        if (picture.validUntil !== null)
          proving = setTimeout(prove, Math.max(0, Date.parse(picture.validUntil) - Date.now()) + AFTER_MS);
      });
    }
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
