import type { RoomPicture } from '@maquette/core';
import { ON_ASKING, wallAbout, type LevelFact, type LevelOf } from '@maquette/core/heights';
import { fixtureName, openingName, wallName, type RoomFacts } from '@maquette/core/room';
import type { Say } from '../../ui/shown-in.tsx';

export type Heights = NonNullable<RoomPicture['heights']>;
type Place = Heights['places'][number];

/** Something that is asked for next: a level at a place, what leaf hangs there, or how high an appliance is. */
export type HeightAsk =
  | { kind: 'level'; key: string; place: Place; again: boolean }
  | { kind: 'leaf'; key: string; openingId: string }
  | { kind: 'appliance'; key: string; fixtureId: string };

/** Readings this near a place are of it, mm: as the core takes them. */
const NEAR_MM = 100;

/** By staff from a set-up that nothing ties to the room: kept, and asked for again. */
const isTied = (heights: Heights, { id, rodMm }: Pick<LevelFact, 'id' | 'rodMm'>) =>
  rodMm === null || !heights.judged.untied.includes(id);

const readAt = (levels: readonly Pick<LevelFact, 'of' | 'aboutId' | 'alongMm'>[], { of, aboutId, alongMm }: Place) =>
  levels.filter(
    (level) => level.of === of && level.aboutId === aboutId && Math.abs(level.alongMm - alongMm) <= NEAR_MM,
  );

export const placeKey = ({ of, aboutId, alongMm }: Pick<LevelFact, 'of' | 'aboutId' | 'alongMm'>) =>
  `${of}/${aboutId}/${Math.round(alongMm)}`;

/**
 * What is still to be read, what would decide something first. Levels taken since the room was judged are left out at once: the
 * next is asked while the judgement is still worked out.
 */
export function heightAsks(
  heights: Heights,
  levels: readonly LevelFact[],
  known: { leaves: ReadonlySet<string>; appliances: ReadonlySet<string> },
): HeightAsk[] {
  const tied = levels.filter((level) => isTied(heights, level));
  const asks = heights.places.flatMap((place): HeightAsk[] => {
    if (ON_ASKING.includes(place.of)) return [];
    const taken = readAt(tied, place).length;
    const opening = heights.judged.openings.find(({ openingId }) => openingId === place.aboutId);
    const isFar = heights.joined.some(({ openingId, readBeyond }) => openingId === place.aboutId && readBeyond);
    const key = placeKey(place);
    if (place.of === 'beyond' && opening?.bar.kind === 'nosing') return [];
    if (place.of === 'beyond' && isFar) return [];
    if (taken === 0) return [{ kind: 'level', key, place, again: false }];
    // Read again where a limit lies within what the reading may be off.
    return place.of === 'beyond' && opening?.again && taken === 1 ? [{ kind: 'level', key, place, again: true }] : [];
  });
  const leaves = heights.judged.openings.flatMap(({ openingId, leaf }): HeightAsk[] =>
    leaf && !known.leaves.has(openingId) ? [{ kind: 'leaf', key: `leaf-kind/${openingId}`, openingId }] : [],
  );
  const appliances = heights.judged.fixtures.flatMap(({ fixtureId, toRead }): HeightAsk[] =>
    toRead.some(({ of }) => of === 'appliance') && !known.appliances.has(fixtureId)
      ? [{ kind: 'appliance', key: `appliance/${fixtureId}`, fixtureId }]
      : [],
  );
  const order = [...asks, ...leaves, ...appliances];
  // What decides the most comes first; then the leaf of the same door, so that one stands at one door at a time.
  return [...order.filter((ask) => ask.kind === 'level' && ask.again), ...byPlace(order, heights)];
}

const aboutOf = (ask: HeightAsk) =>
  ask.kind === 'level' ? ask.place.aboutId : ask.kind === 'leaf' ? ask.openingId : ask.fixtureId;

function byPlace(asks: readonly HeightAsk[], heights: Heights): HeightAsk[] {
  const left = asks.filter((ask) => !(ask.kind === 'level' && ask.again));
  const places = [
    ...heights.judged.openings.map(({ openingId }) => openingId),
    ...heights.judged.fixtures.map(({ fixtureId }) => fixtureId),
  ];
  return places.flatMap((id) => left.filter((ask) => aboutOf(ask) === id));
}

const READ: Record<LevelOf, string> = {
  beyond: 'Floor beyond',
  leaf: 'Underside of the leaf in',
  flange: 'Top of',
  underside: 'Underside over',
  sill: 'Water bar of',
  worktop: 'Worktop of',
  skirting: 'Bottom of the skirting',
  guard: 'Top of the guard at',
  groove: 'Floor of the groove in',
};

/** The wall a level is about; null where it is about something else. */
export function wallOf(room: RoomFacts, aboutId: string): string | null {
  const wall = room.walls.findIndex((_, k) => wallAbout(k) === aboutId);
  return wall < 0 ? null : wallName(room.walls, wall);
}

/** What a place is about, in words: the opening, the fixture or the wall. */
export function aboutWords(room: RoomFacts, aboutId: string, say: Say): string {
  const opening = room.openings.find(({ id }) => id === aboutId);
  if (opening) return say(openingName(room, opening));
  const fixture = room.fixtures.find(({ id }) => id === aboutId);
  const wall = wallOf(room, aboutId);
  if (wall !== null) return `wall ${wall}`;
  return fixture ? say(fixtureName(fixture)).replace(/^./, (letter) => letter.toLowerCase()) : '';
}

/** Where along it: at the hinge or the latch of a door, near or far end of another opening, left to right over a bay. */
export function alongWords(room: RoomFacts, { aboutId, alongMm }: Pick<Place, 'aboutId' | 'alongMm'>): string {
  if (wallOf(room, aboutId) !== null) return 'in the middle';
  const opening = room.openings.find(({ id }) => id === aboutId);
  const width = opening?.widthMm ?? room.fixtures.find(({ id }) => id === aboutId)?.widthMm ?? 0;
  if (Math.abs(alongMm - width / 2) <= NEAR_MM) return opening ? 'in the middle' : 'in the middle of its front';
  const isStart = alongMm < width / 2;
  if (!opening) return isStart ? 'left of its front' : 'right of its front';
  if (opening.kind !== 'door') return isStart ? 'at its near end' : 'at its far end';
  return isStart === (opening.hinge === 'start') ? 'at the hinge' : 'at the latch';
}

/** A level asked for, in words. */
export const askWords = (room: RoomFacts, place: Place, say: Say): string => {
  if (place.of === 'skirting') return `${READ.skirting} on ${aboutWords(room, place.aboutId, say)}`;
  return `${READ[place.of]} ${wallOf(room, place.aboutId) !== null ? '' : 'the '}${aboutWords(room, place.aboutId, say)}`;
};
