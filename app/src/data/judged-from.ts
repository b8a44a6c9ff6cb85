import { nearWrites, type Near } from '@maquette/facts/joined-rooms';
import type { LikeShown } from '@maquette/facts/plain-facts';
import type { ShownBookLists, ShownRoomLists } from './fact-store.ts';
import type { Shown } from './lay.ts';

/** The build that runs, by the name of its script: what another build said is not taken for what this one would say. */
const build = () => document.querySelector('script[src*="/entry-"]')?.getAttribute('src') ?? '';
const today = () => new Date().toISOString().slice(0, 10);

/** What a judgement is made from, in one line: the build that makes it, the day (evidence grows old by the day), and the writes. */
export const judgedFrom = (writes: string) => `${build()} ${today()} ${writes}`;

/** Every write that bears on a room, in one line: its own, its card's and job's, what its job has of a like base, and what of joined rooms. */
export function writesOf(
  room: Shown<'rooms'>,
  cardId: string,
  book: ShownBookLists,
  shown: ShownRoomLists,
  like: LikeShown,
  near: readonly Near[] = [],
): string {
  const card = book.cards.find(({ id }) => id === cardId)?.writeId ?? cardId;
  const job = book.jobs.find(({ id }) => id === room.jobId)?.writeId ?? '';
  const figures = book.figures.filter((f) => f.jobId === room.jobId).map((f) => f.writeId);
  const under = [book.underlays, book.films, book.membranes, book.panels].flatMap((cards) =>
    cards.map((own) => own.writeId),
  );
  const facts = Object.values(shown).flatMap((list) => list.map((fact) => fact.writeId));
  return [
    room.writeId,
    card,
    job,
    like.otherAreaM2,
    like.writes,
    ...figures,
    ...under,
    ...facts,
    nearWrites(near),
  ].join(' ');
}
