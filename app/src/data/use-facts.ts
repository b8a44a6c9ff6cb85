import { useMemo, useSyncExternalStore } from 'react';
import { useQuery } from '@tanstack/react-query';
import { ROOM_FACT_KINDS, type RoomFactKind, type RoomFactsAnswer } from '@maquette/contract';
import { findCard, type CoveringCard } from '@maquette/core/coverings';
import type { DampFacts, DampMethod } from '@maquette/core/damp';
import type { FlatFacts } from '@maquette/core/flat';
import { floorAreaM2, type RoomFacts, type Shaped } from '@maquette/core/room';
import type { SoundFacts } from '@maquette/core/soundness';
import type { StripFacts } from '@maquette/core/stripout';
import { bookKey, nextRead, queryClient, readBook, readRoom, roomKey } from './client.ts';
import { bodyOf, overlay, type Shown } from './merge.ts';
import { outbox, type OutboxState } from './outbox.ts';

export function useOutbox(): OutboxState {
  return useSyncExternalStore(outbox.subscribe, outbox.get, outbox.get);
}

export interface ShownBook {
  loading: boolean;
  jobs: Shown<'jobs'>[];
  rooms: Shown<'rooms'>[];
  cards: Shown<'cards'>[];
  figures: Shown<'figures'>[];
}

const byRank = (a: { rank: number; id: string }, b: { rank: number; id: string }) =>
  a.rank - b.rank || (a.id < b.id ? -1 : 1);

/** Jobs, rooms and cards as they are on this device. */
export function useBook(): ShownBook {
  const { data, isPending } = useQuery({
    queryKey: bookKey,
    queryFn: readBook,
    refetchInterval: nextRead(20_000),
  });
  const { waiting, loaded } = useOutbox();
  return useMemo(
    () => ({
      loading: (isPending && !data) || !loaded,
      jobs: overlay('jobs', data?.jobs ?? [], waiting).sort(byRank),
      rooms: overlay('rooms', data?.rooms ?? [], waiting).sort(byRank),
      cards: overlay('cards', data?.cards ?? [], waiting),
      figures: overlay('figures', data?.figures ?? [], waiting),
    }),
    [data, isPending, waiting, loaded],
  );
}

export type RoomParts = { [K in RoomFactKind]: Shown<K>[] };

export interface ShownRoom extends RoomParts {
  room: Shown<'rooms'> | null;
  facts: RoomFacts | null;
  job: Shown<'jobs'> | null;
  flat: FlatFacts;
  strip: StripFacts;
  damp: DampFacts;
  sound: SoundFacts;
  card: CoveringCard | null;
  loading: boolean;
}

/** Every kind of fact of a room as it is on this device. */
export function roomParts(
  data: RoomFactsAnswer | undefined,
  waiting: OutboxState['waiting'],
  roomId: string,
): RoomParts {
  return Object.fromEntries(
    ROOM_FACT_KINDS.map((kind) => [kind, overlay(kind, (data?.[kind] ?? []) as never[], waiting, roomId)]),
  ) as unknown as RoomParts;
}

const byTime = (a: { updatedAt: string; id: string }, b: { updatedAt: string; id: string }) =>
  a.updatedAt < b.updatedAt ? -1 : a.updatedAt > b.updatedAt ? 1 : a.id < b.id ? -1 : 1;

const plain = <T extends object>(facts: readonly T[]) =>
  facts.map((fact) => ({ ...bodyOf(fact), id: (fact as { id?: string }).id }));

/** The facts damp is judged from: of the room, and how many tests its job's other rooms on a like base have. */
export function dampFactsOf(parts: RoomParts, book: ShownBook, room: RoomFacts | null): DampFacts {
  const like = book.rooms.filter((other) => {
    const base = other.base as unknown as RoomFacts['base'];
    return (
      room !== null &&
      other.jobId === room.jobId &&
      other.id !== room.id &&
      other.baseKind === room.baseKind &&
      base.beneath === room.base.beneath &&
      base.grade === room.base.grade
    );
  });
  const otherTests: Partial<Record<DampMethod, number>> = {};
  for (const other of like) {
    // A room not opened on this device yet counts as untested: more tests are asked for, never fewer.
    const held = queryClient.getQueryData<RoomFactsAnswer>(roomKey(other.id));
    for (const test of held?.dampTests ?? [])
      if (held?.dampReadings.some((reading) => reading.testId === test.id))
        otherTests[test.method as DampMethod] = (otherTests[test.method as DampMethod] ?? 0) + 1;
  }
  return {
    airReadings: plain(parts.airReadings),
    airLogs: plain(parts.airLogs),
    dampTests: plain(parts.dampTests),
    dampReadings: plain(parts.dampReadings),
    like: { otherAreaM2: like.reduce((sum, other) => sum + floorAreaM2(other as unknown as Shaped), 0), otherTests },
  } as unknown as DampFacts;
}

export function soundFactsOf(parts: RoomParts): SoundFacts {
  return { marks: plain(parts.marks), checks: plain(parts.checks) } as unknown as SoundFacts;
}

/** The facts strip-out works from: of the room, and of its job. */
export function stripFactsOf(parts: RoomParts, book: ShownBook, jobId: string | undefined): StripFacts {
  const job = book.jobs.find((j) => j.id === jobId);
  return {
    layers: plain(parts.layers),
    samples: plain(parts.samples),
    taps: plain(parts.taps),
    answers: plain([...parts.answers].sort(byTime)),
    ticks: plain(parts.ticks),
    marks: plain(parts.marks),
    figures: book.figures.filter((f) => f.jobId === jobId).map(({ name, value, source }) => ({ name, value, source })),
    country: {
      country: job?.country ?? null,
      asbestosFrom: job?.asbestosFrom ?? null,
      leadFrom: job?.leadFrom ?? null,
    },
  } as unknown as StripFacts;
}

/** Everything of one room as it is on this device. */
export function useRoom(roomId: string): ShownRoom {
  const book = useBook();
  const { waiting } = useOutbox();
  const room = book.rooms.find((other) => other.id === roomId) ?? null;
  const job = book.jobs.find((other) => other.id === room?.jobId) ?? null;
  const unsent = waiting.some((write) => write.kind === 'rooms' && write.id === roomId && write.baseVersion === 0);
  const { data, isPending } = useQuery({
    queryKey: roomKey(roomId),
    queryFn: () => readRoom(roomId),
    enabled: !unsent,
    refetchInterval: nextRead(12_000),
  });
  const parts = useMemo(() => roomParts(data, waiting, roomId), [data, waiting, roomId]);
  const absent = data === undefined;
  const card = room ? findCard(book.cards as unknown as CoveringCard[], room.cardId) : null;
  const strip = useMemo(() => stripFactsOf(parts, book, room?.jobId), [parts, book, room?.jobId]);
  const damp = useMemo(
    () => dampFactsOf(parts, book, room as unknown as RoomFacts | null),
    // As below: the room's version and write tell whether it changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [parts, book.rooms, room?.writeId],
  );
  const sound = useMemo(() => soundFactsOf(parts), [parts]);
  return useMemo(
    () => ({
      room,
      facts: room as unknown as RoomFacts | null,
      job,
      flat: parts as unknown as FlatFacts,
      strip,
      damp,
      sound,
      ...parts,
      card,
      loading: book.loading || (isPending && absent && !unsent),
    }),
    // The room object is rebuilt with the book; its version and write tell whether it changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [
      room?.writeId,
      room?.version,
      job?.writeId,
      strip,
      damp,
      sound,
      parts,
      card,
      book.loading,
      isPending,
      absent,
      unsent,
    ],
  );
}
