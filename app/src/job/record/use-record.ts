import { useEffect, useMemo, useState } from 'react';
import type { HoldPoint } from '@maquette/core/report';
import { jobFactsOf, recordFactsOf, type RecordFacts as OwnFacts } from '@maquette/facts/job-facts';
import { deviceZone } from '@maquette/words';
import { useUnits } from '../../data/device-settings.ts';
import { nowUtc } from '../../data/ids.ts';
import { saveText } from '../../data/save-text.ts';
import { useLatest } from '../../ui/use-latest.ts';
import { openDesk, type Desk } from '../../worker/ask.ts';
import type { PaperAsk, RecordFacts } from '../../worker/paper-ask.ts';
import type { CourseShown } from '../use-course.ts';

/** The record of a job as it stands on this device. */
export interface RecordShown {
  facts: OwnFacts;
  holds: HoldPoint[] | null;
  /** Share done while hold points are looked for; null where they are not. */
  looking: number | null;
  failed: string | null;
  paper: PaperMaker;
}

type Wanted = Pick<PaperAsk, 'paper'> & Partial<Pick<PaperAsk, 'roomId' | 'decisions' | 'address'>>;

export interface PaperMaker {
  /** Makes a paper and hands it to the browser’s own download. */
  make: (wanted: Wanted, name: string) => void;
  /** The same, given back as text. */
  text: (wanted: Wanted, told: (html: string | null) => void) => void;
  /** Which paper is being made, and how far it is; null where none is. */
  making: { name: string; share: number } | null;
  failed: string | null;
}

/** Two workers: a paper that takes long keeps nobody from seeing what is to be photographed. */
const desks = new Map<'holds' | 'paper', Desk>();
function deskOf(name: 'holds' | 'paper'): Desk {
  const desk = desks.get(name) ?? openDesk();
  desks.set(name, desk);
  return desk;
}

/** Everything a record shows: hold points, worked out anew when a fact of a room changes, and a maker of papers. */
export function useRecord(jobId: string, shown: CourseShown): RecordShown {
  const { book, ask } = shown;
  const own = useMemo(() => recordFactsOf(book, jobId), [book, jobId]);
  const writes = `${shown.writes} ${[...own.coverUps, ...own.seals].map(({ id }) => id).join(' ')}`;
  const [held, setHeld] = useState<{ of: string; holds: HoldPoint[] | null; failed: string | null }>({
    of: '',
    holds: null,
    failed: null,
  });
  const [share, setShare] = useState(0);
  const isWhole = ask() !== null;
  const isWanted = isWhole && held.of !== writes;
  const latest = useLatest(() => ask());
  useEffect(() => {
    if (!isWanted) return undefined;
    let left = false;
    const asked = latest.current();
    if (!asked) return undefined;
    deskOf('holds').ask(
      {
        kind: 'holds',
        rooms: asked.rooms.map(({ set }) => set),
        facts: { coverUps: own.coverUps, seals: own.seals },
        atUtc: asked.atUtc,
      },
      (holds, failed) => {
        if (!left) setHeld((before) => ({ of: writes, holds: holds ?? before.holds, failed }));
      },
      'now',
      (progress) => setShare(progress.share),
    );
    return () => {
      left = true;
    };
  }, [isWanted, writes, own, latest]);
  return {
    facts: own,
    holds: held.holds,
    looking: isWanted ? share : null,
    failed: held.failed,
    paper: usePaper(jobId, shown, own),
  };
}

/** What a paper is made of besides the rooms. */
function factsFor({ book, unjudged }: CourseShown, jobId: string, own: OwnFacts): RecordFacts {
  const of = jobFactsOf(book, jobId, deviceZone());
  return {
    jobId,
    name: of.name,
    currency: book.jobs.find(({ id }) => id === jobId)?.currency ?? '',
    atUtc: nowUtc(),
    unjudged: unjudged.map(({ name }) => name),
    figures: of.figures,
    keptPlans: of.keptPlans,
    quotations: of.quotations,
    packCounts: of.packCounts,
    photographs: [],
    ...own,
  };
}

function usePaper(jobId: string, shown: CourseShown, own: OwnFacts): PaperMaker {
  const units = useUnits()[0];
  const [making, setMaking] = useState<PaperMaker['making']>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const text = (
    { paper, roomId = null, decisions = [], address = '' }: Wanted,
    told: (html: string | null) => void,
  ) => {
    const asked = shown.ask();
    if (!asked) return told(null);
    const name = `${paper} ${roomId ?? ''}`;
    setMaking({ name, share: 0 });
    setFailed(null);
    deskOf('paper').ask(
      {
        kind: 'paper',
        paper: {
          paper,
          roomId,
          decisions,
          address: address === '' ? '' : `${globalThis.location.origin}${address}`,
          rooms: asked.rooms.map(({ set, answers }) => ({ set, answers })),
          facts: factsFor(shown, jobId, own),
          course: shown.course,
          units,
          zone: shown.job?.zone || deviceZone(),
          size: units === 'imperial' ? 'Letter' : 'A4',
        },
      },
      (html, why) => {
        setMaking(null);
        setFailed(why);
        told(html);
      },
      'now',
      (progress) => setMaking({ name, share: progress.share }),
    );
  };
  return {
    making,
    failed,
    text,
    make: (wanted, name) =>
      text(wanted, (html) => {
        if (html !== null) saveText(`${name.toLowerCase().replace(/\W+/g, '-')}.html`, 'text/html', html);
      }),
  };
}
