import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { nowUtc } from '../data/ids.ts';
import type { ShownBook } from '../data/use-facts.ts';
import { openDesk } from './ask.ts';
import { isAged, keptLines, type RoomLine } from './kept-lines.ts';
import { keptPictures } from './kept-pictures.ts';
import { useRoomSets, type RoomToJudge } from './use-room-sets.ts';

/** Stands for a room whose judgement failed: opening it says why. */
const NOT_JUDGED: RoomLine = { verdict: 'measure', margin: '', next: '', read: 0, stations: 0 };

/**
 * Judges rooms one after another in one worker; those whose facts are as they were when last judged are left out, unless the hour
 * has passed until which that holds. Every room gets its verdict before what takes longer is worked out of any.
 */
export function judgeEach(questions: readonly Omit<RoomToJudge, 'answers'>[]): () => void {
  const desk = openDesk();
  let left = true;
  // Once in a round: what holds to the end of this minute would else be asked for again and again.
  const done = new Set<string>();
  const next = () => {
    const atUtc = nowUtc();
    const lines = questions.map((question) => ({ question, line: keptLines.find(question.roomId, question.writes) }));
    const first = lines.find(
      ({ question, line }) => line === null || (isAged(line, atUtc) && !done.has(question.roomId)),
    );
    const unproved = lines.find(({ line }) => line?.proved === false);
    const question = (first ?? unproved)?.question;
    if (!question) return;
    done.add(question.roomId);
    desk.ask({ kind: 'line', set: question.set(), atUtc, prove: !first }, (answer) => {
      if (!left) return;
      const { roomId, writes } = question;
      keptLines.keep(roomId, writes, answer?.line ?? NOT_JUDGED);
      if (answer?.picture) keptPictures.keep(roomId, writes, answer.picture);
      next();
    });
  };
  void keptLines.loaded().then(() => left && next());
  return () => {
    left = false;
    desk.stop();
  };
}

/** Verdicts of all rooms: what was said last time at once, and what has changed since judged anew behind it. */
export function useVerdicts(book: ShownBook): ReadonlyMap<string, RoomLine> {
  const questions = useRoomSets(book);
  const kept = useSyncExternalStore(keptLines.subscribe, keptLines.all);
  const [round, setRound] = useState(0);
  useEffect(() => judgeEach(questions), [questions, round]);
  // A verdict is shown for the very facts it was said of, and never for a room whose facts are not here.
  const verdicts = useMemo(
    () =>
      new Map(
        questions.flatMap(({ roomId, writes }) => {
          const line = kept.has(roomId) ? keptLines.find(roomId, writes) : null;
          return line ? [[roomId, line] as const] : [];
        }),
      ),
    [questions, kept],
  );
  // Evidence grows old and waits end while the book lies open.
  const due = [...verdicts.values()].reduce<string | null>(
    (first, { validUntil }) => (validUntil && (first === null || validUntil < first) ? validUntil : first),
    null,
  );
  useEffect(() => {
    if (due === null) return;
    const wait = Math.max(LEAST_WAIT_MS, Date.parse(due) - Date.now() + AFTER_MS);
    const timer = setTimeout(() => setRound((n) => n + 1), wait);
    return () => clearTimeout(timer);
  }, [due, round]);
  return verdicts;
}

/** A timer set for a moment may wake a little before it; and a clock that stands still is not chased. */
const AFTER_MS = 20;
const LEAST_WAIT_MS = 5000;
