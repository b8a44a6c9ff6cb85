import { gap, lower, say, type Said, type Sayable } from '../said/index.ts';
import { figure, mayLack, oneOf, orNull, ownId, refersTo, whole, within, type Held } from '../fields/index.ts';
import { WALL_COUNT, WALL_LENGTH_MM, wallName, type Wall } from './outline.ts';

export const OPENING_KINDS = ['door', 'archway', 'stair', 'sliding'] as const;
type OpeningKind = (typeof OPENING_KINDS)[number];

export const OPENING_WORDS: Record<OpeningKind, Said> = {
  door: say('room.openingWordsDoor'),
  archway: say('room.openingWordsArchway'),
  stair: say('room.openingWordsStair'),
  sliding: say('room.openingWordsSliding'),
};

/** What one steps onto on the far side. */
export const BEYOND_KINDS = ['unknown', 'planks', 'carpet', 'tile', 'sheet', 'stair', 'outside'] as const;
type BeyondKind = (typeof BEYOND_KINDS)[number];

export const BEYOND_WORDS: Record<BeyondKind, Sayable> = {
  unknown: say('room.beyondWordsUnknown'),
  planks: 'planks',
  carpet: 'carpet',
  tile: 'tile',
  sheet: say('room.beyondWordsSheet'),
  stair: 'stair',
  outside: 'outside',
};

export const OPENING_MM = { width: { min: 300, max: 6000 }, level: { min: -400, max: 400 } } as const;

/** An opening in a wall: `fromMm` is measured along its wall from the wall's first corner. */
export const OPENING = {
  id: ownId('openings'),
  kind: oneOf(...OPENING_KINDS),
  wall: whole(0, WALL_COUNT.max - 1),
  fromMm: figure(0, WALL_LENGTH_MM.max, 'mm'),
  widthMm: within(OPENING_MM.width, 'mm'),
  /** Hinge side seen along the wall; for doors only. */
  hinge: oneOf('start', 'end'),
  swing: oneOf('in', 'out'),
  beyond: oneOf(...BEYOND_KINDS),
  /** As earlier versions kept the level beyond: over what lay here then. It became a level of its own, and is read by nothing since. */
  beyondLevelMm: mayLack(orNull(within(OPENING_MM.level, 'mm'))),
  /** The same name in two rooms of a job makes it one opening; null when it is this room's alone. */
  sharedId: orNull(refersTo('openings')),
} as const;
export type Opening = Held<typeof OPENING>;

/** A door with nothing known of what lies beyond; other kinds start from it too. */
export function newOpening(id: string, wall: number, fromMm: number, widthMm: number): Opening {
  return {
    id,
    kind: 'door',
    wall,
    fromMm,
    widthMm,
    hinge: 'start',
    swing: 'in',
    beyond: 'unknown',
    sharedId: null,
  };
}

/** Openings of a room carry the wall's number: enough to speak of a wall by its door. */
export interface WithOpenings {
  walls: readonly Wall[];
  openings: readonly Opening[];
}

/** The opening one walks in by: the first door, else the first of any kind, else null. */
export function entryOf(room: Pick<WithOpenings, 'openings'>): Opening | null {
  return room.openings.find((o) => o.kind === 'door') ?? room.openings[0] ?? null;
}

/** What an opening is called: `door in W3`, `archway in hearth`. */
export function openingName(room: WithOpenings, opening: Opening): Said {
  return say('room.in', {
    openingwords: lower(OPENING_WORDS[opening.kind]),
    wallName: wallName(room.walls, opening.wall),
  });
}

/** Why an opening cannot stand where it was put, or null. */
export function openingProblem(walls: readonly Wall[], opening: Opening): Said | null {
  const wall = walls[opening.wall];
  const what = lower(OPENING_WORDS[opening.kind]);
  if (!wall) return say('room.wallDoesNotExistTheRoom', { wall: opening.wall + 1, wallsCount: walls.length });
  if (opening.fromMm < 0) return say('room.openingBeforeItsWall', { fromMm: gap(opening.fromMm), what });
  if (opening.widthMm < OPENING_MM.width.min)
    return say('room.openingTooNarrow', { widthMm: gap(opening.widthMm), min: gap(OPENING_MM.width.min) });
  if (opening.fromMm + opening.widthMm > wall.lengthMm + 1) {
    return say('room.openingPastItsWall', {
      what,
      endsMm: gap(Math.round(opening.fromMm + opening.widthMm)),
      lengthMm: gap(Math.round(wall.lengthMm)),
    });
  }
  return null;
}

/** The first two openings that overlap on one wall, in words, or null. */
export function overlapProblem(room: WithOpenings): Said | null {
  for (const [i, a] of room.openings.entries()) {
    for (const b of room.openings.slice(i + 1)) {
      if (a.wall === b.wall && a.fromMm < b.fromMm + b.widthMm - 1 && b.fromMm < a.fromMm + a.widthMm - 1) {
        return say('room.theAndTheOverlap', {
          openingName: openingName(room, a),
          openingName2: openingName(room, b),
        });
      }
    }
  }
  return null;
}

/**
 * Openings set on changed walls: each stays on its wall; where a wall became too short the opening is moved back along it,
 * then narrowed, and only one that cannot be kept at its least width is left out (and returned as lost).
 */
export function fitOpenings(
  openings: readonly Opening[],
  walls: readonly Wall[],
): { openings: Opening[]; lost: Opening[] } {
  const kept: Opening[] = [];
  const lost: Opening[] = [];
  for (const opening of openings) {
    const wall = walls[opening.wall];
    if (!wall || wall.lengthMm < OPENING_MM.width.min) {
      lost.push(opening);
      continue;
    }
    const widthMm = Math.min(opening.widthMm, wall.lengthMm);
    kept.push({ ...opening, widthMm, fromMm: Math.max(0, Math.min(opening.fromMm, wall.lengthMm - widthMm)) });
  }
  return { openings: kept, lost };
}

/** Openings after a wall was divided or taken out: `shift` tells the new number of each old wall, or null. */
export function renumberOpenings(
  openings: readonly Opening[],
  shift: (opening: Opening) => { wall: number; fromMm: number } | null,
): { openings: Opening[]; lost: Opening[] } {
  const kept: Opening[] = [];
  const lost: Opening[] = [];
  for (const opening of openings) {
    const at = shift(opening);
    if (at) kept.push({ ...opening, ...at });
    else lost.push(opening);
  }
  return { openings: kept, lost };
}
