import { roomSet, type RoomSet } from '@maquette/core';
import { findCard, type CoveringCard } from '@maquette/core/coverings';
import { CHALKED } from '@maquette/core/levelling/facts';
import type { RoomFacts } from '@maquette/core/room';
import { inventedJob, type FiledV3 } from './invented-jobs.ts';
import { listsOf, ROOM_FACT_KINDS, type FactKind } from './kinds.ts';
import { upgraded } from './upgrade.ts';

type Filed = Omit<FiledV3, 'kind'> & { kind: FactKind };

/** Facts of a job file of version 3 in today's shape. */
export const today = (filed: readonly FiledV3[]): Filed[] =>
  filed.map((fact) => ({ ...fact, ...upgraded(fact.kind as FactKind, fact.body) }));

/** What a job's facts make of one of its rooms. */
export function setOf(facts: readonly Filed[], room: Filed): RoomSet {
  const of = (kind: FactKind) =>
    facts.filter((f) => f.kind === kind && f.roomId === room.id).map((f) => ({ ...f.body, id: f.id }));
  const { country, asbestosFrom, leadFrom } = facts.find((f) => f.kind === 'jobs')!.body;
  const cards = facts.filter((f) => f.kind === 'cards').map((f) => ({ ...f.body, id: f.id }));
  const card = findCard(cards as unknown as CoveringCard[], String(room.body['cardId']))!;
  const figures = facts
    .filter((f) => f.kind === 'figures')
    .map(({ body: { name, value, source } }) => ({ name, value, source }));
  const lists = listsOf(ROOM_FACT_KINDS, of);
  const set = { ...lists, figures, country: { country, asbestosFrom, leadFrom } } as unknown as Partial<RoomSet>;
  return roomSet({ ...room.body, id: room.id } as unknown as RoomFacts, card, {
    ...set,
    ticks: set.ticks!.filter(({ key }) => !key.startsWith(CHALKED)),
  });
}

/** The set of the one room of an invented job. */
export function inventedSet(seed: number): RoomSet {
  const facts = today(inventedJob(seed));
  return setOf(
    facts,
    facts.find((f) => f.kind === 'rooms')!,
  );
}
