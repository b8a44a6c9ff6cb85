import type { RoomSet } from '@maquette/core';
import { findCard, type CoveringCard } from '@maquette/core/coverings';
import { MEMBRANE, type LikeBases, type OtherRoom } from '@maquette/core/damp';
import type { OwnFigure } from '@maquette/core/figures';
import type { CountryFacts } from '@maquette/core/hazards';
import { CHALKED, CHOSEN_OF_WAYS } from '@maquette/core/levelling/facts';
import { floorAreaM2, type RoomFacts } from '@maquette/core/room';
import type { UnderCards } from '@maquette/core/under';
import {
  bodyOf,
  firstPlaceOf,
  KINDS,
  lastPlaceOf,
  listsOf,
  ROOM_FACT_KINDS,
  type FactKind,
  type FactOf,
  type RoomFactKind,
  type RoomLists,
} from './kinds.ts';
import { inOrder } from './in-order.ts';
import type { BookFacts, RoomFactsOf } from './fact-lists.ts';
import { HEIGHTS_BY, type Near } from './joined-rooms.ts';

/** The facts of a room and what of its job bears on it, without what only storing is about. */
export type PlainFacts = Omit<RoomSet, 'room' | 'card' | 'like'> & { like: LikeShown };
/** What a judgement of damp knows of like bases where none is asked for: heights alone are read of joined rooms. */
const NOTHING_LIKE: LikeBases = { otherAreaM2: 0, otherTests: {}, others: [] };

const sameItems = (a: readonly unknown[], b: readonly unknown[]) =>
  a.length === b.length && a.every((v, i) => v === b[i]);

const sameFields = <T extends object>(a: T, b: T) =>
  sameItems(Object.keys(a), Object.keys(b)) && sameItems(Object.values(a), Object.values(b));

/**
 * Makes plain facts of shown ones and keeps every object whose fact is the same write: an acknowledgement by the server changes
 * nothing in them, so that nothing is judged anew for it.
 */
export function createPlainFacts() {
  const facts = new Map<string, { writeId: string; plain: object }>();
  const lists = new Map<string, readonly object[]>();
  /** Lists as they were last put in order, each with what it was made from. */
  const ordered = new Map<string, { shown: readonly FactOf<RoomFactKind>[]; list: readonly object[] }>();
  const values = new Map<string, object>();
  const areas = new Map<string, { writeId: string; areaM2: number }>();

  /** Floor area of a room as last written: asked for by every other room of its job. */
  function areaOf(room: FactOf<'rooms'>): number {
    const before = areas.get(room.id);
    if (before?.writeId === room.writeId) return before.areaM2;
    const areaM2 = floorAreaM2(room);
    areas.set(room.id, { writeId: room.writeId, areaM2 });
    return areaM2;
  }

  function plain<K extends FactKind>(kind: K, fact: FactOf<K>): object {
    const name = `${kind}/${fact.id}`;
    const before = facts.get(name);
    if (before?.writeId === fact.writeId) return before.plain;
    const made = { ...bodyOf(fact), id: fact.id };
    facts.set(name, { writeId: fact.writeId, plain: made });
    return made;
  }

  function kept<T extends object>(name: string, list: T[]): T[] {
    const before = lists.get(name);
    if (before && sameItems(before, list)) return before as T[];
    lists.set(name, list);
    return list;
  }

  function keptValue<T extends object>(name: string, value: T, same: (a: T, b: T) => boolean): T {
    const before = values.get(name) as T | undefined;
    if (before && same(before, value)) return before;
    values.set(name, value);
    return value;
  }

  function listOf(scope: string, kind: RoomFactKind, shown: readonly FactOf<RoomFactKind>[]): readonly object[] {
    const name = `${scope}/${kind}`;
    const before = ordered.get(name);
    if (before?.shown === shown) return before.list;
    // Where the newest counts, that is the last write; elsewhere a fact keeps its place when it is corrected.
    const place = KINDS[kind].newestCounts ? lastPlaceOf : firstPlaceOf;
    const list = kept(
      name,
      inOrder(shown, place).map((fact) => plain(kind, fact)),
    );
    ordered.set(name, { shown, list });
    return list;
  }

  /** Cards of one's own of what lies under planks, each list the same while none of its cards changes. */
  const underCardsOf = (book: BookFacts): UnderCards =>
    // Each list holds the facts of its kind: they passed their class when they were entered.
    listsOf(UNDER_KINDS, (kind) =>
      kept(
        `book/${kind}`,
        book[kind].map((card) => plain(kind, card)),
      ),
    ) as object as UnderCards;

  /** Joined rooms as their floors are judged from: the same objects while nothing of them changes. */
  function neighboursOf(scope: string, near: readonly Near[], book: BookFacts, ofJob: OfJob): RoomSet[] {
    const sets = near.flatMap(({ room, lists: shown }): RoomSet[] => {
      const own = book.cards.map((card) => plain('cards', card) as CoveringCard);
      const card = findCard(own, room.cardId);
      if (!card) return [];
      const facts = listsOf(ROOM_FACT_KINDS, (kind) =>
        (HEIGHTS_BY as readonly RoomFactKind[]).includes(kind) ? listOf(room.id, kind, shown[kind]) : NONE,
      );
      const set = {
        ...facts,
        ...ofJob,
        like: NOTHING_LIKE,
        neighbours: NONE,
        room: plain('rooms', room),
        card,
        // Each list holds the facts of its kind: they passed their class when they were entered.
      } as object as RoomSet;
      return [keptValue(`${scope}/near/${room.id}`, set, sameFields)];
    });
    return kept(`${scope}/neighbours`, sets);
  }

  const likeOf = (room: FactOf<'rooms'>, book: BookFacts, testsOf: TestsOf): LikeShown =>
    keptValue(
      `${room.id}/like`,
      likeBasesOf(room, book, testsOf, areaOf, (other) => plain('rooms', other) as RoomFacts),
      sameLike,
    );

  return {
    /** How much of a like base the job's other rooms have, and how many tests were made there. */
    like: likeOf,
    room: (room: FactOf<'rooms'>) => plain('rooms', room) as RoomFacts,
    card: (card: FactOf<'cards'>) => plain('cards', card) as CoveringCard,
    /** All that a room is judged from: without chalk on the floor and the way that was chosen, which are memory. */
    setOf(plain: PlainFacts, room: RoomFacts, card: CoveringCard): RoomSet {
      const ticks = plain.ticks.filter(({ key }) => !key.startsWith(CHALKED));
      const answers = plain.answers.filter(({ question }) => !CHOSEN_OF_WAYS.includes(question));
      const set: RoomSet = {
        ...plain,
        ticks: kept(`${room.id}/ticks judged`, ticks),
        answers: kept(`${room.id}/answers judged`, answers),
        room,
        card,
      };
      return keptValue(`${room.id}/set`, set, sameFields);
    },
    /** What a room of a job is judged from, but for the room and its card. */
    factsOf(
      room: FactOf<'rooms'>,
      shown: RoomFactsOf,
      book: BookFacts,
      testsOf: TestsOf,
      near: readonly Near[] = [],
    ): PlainFacts {
      const scope = room.id;
      const job = book.jobs.find((other) => other.id === room.jobId);
      const figures = book.figures.filter((f) => f.jobId === room.jobId).map((f) => plain('figures', f));
      const ofJob: OfJob = {
        underCards: keptValue('under-cards', underCardsOf(book), sameFields),
        figures: kept(`${scope}/figures`, figures) as readonly OwnFigure[],
        country: keptValue<CountryFacts>(
          `${scope}/country`,
          {
            country: job?.country ?? null,
            asbestosFrom: job?.asbestosFrom ?? null,
            leadFrom: job?.leadFrom ?? null,
          },
          sameFields,
        ),
      };
      const next = {
        ...listsOf(ROOM_FACT_KINDS, (kind) => listOf(scope, kind, shown[kind])),
        ...ofJob,
        like: likeOf(room, book, testsOf),
        neighbours: neighboursOf(scope, near, book, ofJob),
        // Each list holds the facts of its kind: they passed their class when they were entered.
      } as unknown as PlainFacts;
      return keptValue(`${scope}/all`, next, sameFields);
    },
  };
}

const NONE: never[] = [];
const UNDER_KINDS = ['underlays', 'films', 'membranes', 'panels'] as const;
/** What of its job bears on every room alike. */
type OfJob = Pick<RoomSet, 'figures' | 'country' | 'underCards'>;

/** Damp tests of a room as this device last heard of them. */
const TOLD_BY = ['dampTests', 'dampReadings', 'airReadings', 'airLogs', 'answers'] as const;
type Tested = Pick<RoomLists, (typeof TOLD_BY)[number]>;
type TestsOf = (roomId: string) => Tested | undefined;

/** Whether a membrane lies under a base: none where nobody has recorded one. */
const membraneIn = (tested: Tested | undefined) => {
  const said = tested?.answers.findLast(({ question }) => question === MEMBRANE.question)?.answer;
  return said === 'recorded' || said === 'bridged' ? said : 'none';
};

/** What a job has of a like base, with every write that tells of it. */
export interface LikeShown extends LikeBases {
  writes: string;
}

const sameLike = (a: LikeShown, b: LikeShown) => a.otherAreaM2 === b.otherAreaM2 && a.writes === b.writes;

/** How much of a like base the job's other rooms have, and what was tested there. */
function likeBasesOf(
  room: FactOf<'rooms'>,
  book: BookFacts,
  testsOf: TestsOf,
  areaOf: (room: FactOf<'rooms'>) => number,
  plain: (room: FactOf<'rooms'>) => RoomFacts,
): LikeShown {
  const own = membraneIn(testsOf(room.id));
  const like = book.rooms.filter(
    (other) =>
      other.jobId === room.jobId &&
      other.id !== room.id &&
      other.baseKind === room.baseKind &&
      other.base.beneath === room.base.beneath &&
      other.base.grade === room.base.grade &&
      membraneIn(testsOf(other.id)) === own,
  );
  // A room not opened on this device yet counts as untested: more tests are asked for, never fewer.
  const tested = like.flatMap((other) => {
    const held = testsOf(other.id);
    return held && held.dampReadings.length > 0 ? [{ other, held }] : [];
  });
  return {
    otherAreaM2: like.reduce((sum, other) => sum + areaOf(other), 0),
    otherTests: {},
    others: tested.map(({ other, held }) => ({ ...(held as unknown as OtherRoom), room: plain(other) })).map(onlyTold),
    writes: tested
      .flatMap(({ other, held }) => [other.writeId, ...TOLD_BY.flatMap((kind) => held[kind].map((f) => f.writeId))])
      .join(' '),
  };
}

/** Of a room's lists those alone that its damp tests are judged by. */
const onlyTold = ({ room, answers, airReadings, airLogs, dampTests, dampReadings }: OtherRoom): OtherRoom => ({
  room,
  answers,
  airReadings,
  airLogs,
  dampTests,
  dampReadings,
});
