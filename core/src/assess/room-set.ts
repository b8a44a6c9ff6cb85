import type { CoveringCard } from '../coverings/index.ts';
import { NO_DAMP_FACTS, type LikeBases } from '../damp/index.ts';
import type { OwnFigure } from '../figures/index.ts';
import type { CountryFacts } from '../hazards/index.ts';
import { STATED, type RoomFactLists } from '../kinds/index.ts';
import type { RoomFacts } from '../room/index.ts';
import { NO_UNDER_CARDS, type UnderCards } from '../under/index.ts';

/**
 * Everything one room is judged from: its own facts, and what of its job bears on it. Judgements are kept by the identity of
 * these: whoever makes a set anew keeps what has not changed.
 */
export interface RoomSet extends RoomFactLists {
  room: RoomFacts;
  card: CoveringCard;
  /** Cards of one's own of what lies under planks; those that ship are known. */
  underCards: UnderCards;
  /** The job's own figures, its country, and its other rooms on a like base. */
  figures: readonly OwnFigure[];
  country: CountryFacts;
  like: LikeBases;
  /** Rooms of the job that hang together with this one by the openings they share, each with what it is judged from; theirs are left out. */
  neighbours: readonly RoomSet[];
}

const NO_COUNTRY: CountryFacts = { country: null, asbestosFrom: null, leadFrom: null };

/** A list of nothing for each kind of fact of a room. */
function noFacts(): RoomFactLists {
  const inRoom = Object.entries(STATED).filter(
    ([, stated]) => typeof stated === 'object' && 'home' in stated && stated.home === 'room',
  );
  // Every kind of a room is among what is stated: each has its list.
  return Object.fromEntries(inRoom.map(([name]) => [name, []])) as unknown as RoomFactLists;
}

/** A room with these facts and none of any other kind. */
export function roomSet(
  room: RoomFacts,
  card: CoveringCard,
  facts: Partial<Omit<RoomSet, 'room' | 'card'>> = {},
): RoomSet {
  return {
    ...noFacts(),
    underCards: NO_UNDER_CARDS,
    figures: [],
    country: NO_COUNTRY,
    like: NO_DAMP_FACTS.like,
    neighbours: [],
    ...facts,
    room,
    card,
  };
}
