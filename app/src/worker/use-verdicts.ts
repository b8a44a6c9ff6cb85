import { useEffect, useMemo, useState } from 'react';
import { useQueries } from '@tanstack/react-query';
import type { RoomPicture } from '@maquette/core';
import { findCard, type CoveringCard } from '@maquette/core/coverings';
import type { FlatFacts } from '@maquette/core/flat';
import type { RoomFacts } from '@maquette/core/room';
import { nextRead, readRoom, roomKey } from '../data/client.ts';
import { nowUtc } from '../data/ids.ts';
import { dampFactsOf, roomParts, soundFactsOf, stripFactsOf, useOutbox, type ShownBook } from '../data/use-facts.ts';
import { openDesk } from './ask.ts';
import { plainFacts } from './use-judged.ts';

/** What the site book says of a room. */
export interface RoomLine {
  verdict: RoomPicture['verdict'];
  margin: string;
  next: string;
  read: number;
  stations: number;
}

/** Answers by question, so that coming back to the book judges nothing twice. */
const known = new Map<string, RoomLine>();

/** Verdicts of all rooms, judged one after another in one worker; a room appears as soon as it is judged. */
export function useVerdicts(book: ShownBook): ReadonlyMap<string, RoomLine> {
  const { waiting } = useOutbox();
  const unsent = useMemo(
    () => new Set(waiting.filter((w) => w.kind === 'rooms' && w.baseVersion === 0).map((w) => w.id)),
    [waiting],
  );
  const answers = useQueries({
    queries: book.rooms.map((room) => ({
      queryKey: roomKey(room.id),
      queryFn: () => readRoom(room.id),
      enabled: !unsent.has(room.id),
      staleTime: 10_000,
      refetchInterval: nextRead(0),
    })),
  });
  const [lines, setLines] = useState<ReadonlyMap<string, RoomLine>>(new Map());
  const questions = book.rooms.flatMap((room, index) => {
    const card = findCard(book.cards as unknown as CoveringCard[], room.cardId);
    const data = answers[index]?.data;
    if (!card || (!data && !unsent.has(room.id))) return [];
    const parts = roomParts(data, waiting, room.id);
    const strip = stripFactsOf(parts, book, room.jobId);
    const damp = dampFactsOf(parts, book, room as unknown as RoomFacts);
    const stamp = [
      room.id,
      room.writeId,
      card,
      strip.country,
      strip.figures,
      damp.like,
      ...Object.values(parts).flatMap((facts) => facts.map((fact) => fact.writeId)),
    ];
    const facts = plainFacts(room as unknown as RoomFacts, {
      flat: parts as unknown as FlatFacts,
      strip,
      damp,
      sound: soundFactsOf(parts),
    });
    return [{ id: room.id, key: JSON.stringify(stamp), facts, card }];
  });
  const key = questions.map((q) => q.key).join('|');
  useEffect(() => {
    const desk = openDesk();
    let left = true;
    const show = () =>
      left &&
      setLines(new Map(questions.flatMap((q) => (known.has(q.key) ? [[q.id, known.get(q.key)!] as const] : []))));
    const next = () => {
      const question = questions.find((q) => !known.has(q.key));
      if (!question || !left) return;
      const { facts, card } = question;
      const asked = { facts, card, atUtc: nowUtc() };
      const told = (picture: RoomPicture | null) => {
        const first = picture?.criteria.find((c) => c.verdict === picture.verdict) ?? picture?.criteria[0];
        known.set(question.key, {
          verdict: picture?.verdict ?? 'measure',
          margin: first?.margin ?? '',
          next: first?.next ?? '',
          read: picture?.levels.length ?? 0,
          stations: picture?.stations.length ?? 0,
        });
        show();
        next();
      };
      desk.ask({ ...asked, kind: 'judge' }, (picture) => {
        // How sure it is takes longer and can only change a floor that would be laid on.
        const lays = picture?.criteria.some((c) => c.id === 'flat' && c.verdict === 'lay');
        if (lays) desk.ask({ ...asked, kind: 'prove' }, (proved) => told(proved ?? picture));
        else told(picture);
      });
    };
    show();
    next();
    return () => {
      left = false;
      desk.stop();
    };
    // The key carries everything the questions are made of.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return lines;
}
