import {
  flag,
  figure,
  group,
  kind,
  list,
  mayLack,
  oneOf,
  orNull,
  parent,
  refersTo,
  text,
  type FactOf,
} from '../fields/index.ts';
import { UNIT_SYSTEMS } from '../units/index.ts';
import { ASSUMPTION, ASSUMPTIONS } from './assumed.ts';
import { BASE, BASE_KINDS, SECOND_BASE, UNKNOWN_BASE } from './base.ts';
import { DIAGONAL } from './diagonals.ts';
import { FIXTURE } from './fixtures.ts';
import { LINE } from './lines.ts';
import { OPENING } from './openings.ts';
import { SERVICE } from './services.ts';
import { ORIGIN, START, WALL, WALL_COUNT } from './outline.ts';

/** A room: the facts that its stages share. */
export const rooms = kind(
  'book',
  'Room',
  {
    jobId: parent('jobs'),
    name: text(80),
    /** Place in the job's list: any number, compared only. */
    rank: figure(-1e9, 1e9),
    walls: list(group(WALL), 'walls', WALL_COUNT.max, WALL_COUNT.min),
    start: group(START),
    diagonals: list(group(DIAGONAL), 'diagonals', 40),
    openings: list(group(OPENING), 'openings', 40),
    fixtures: list(group(FIXTURE), 'fixtures', 100),
    lines: list(group(LINE), 'lines', 8),
    /** Pipes, drains, cables and tendons in the floor; absent: none drawn. */
    services: mayLack(list(group(SERVICE), 'pipes and cables', 60)),
    /** What of the room nobody has confirmed yet; absent: nothing. */
    assumed: mayLack(list(ASSUMPTION, 'assumptions', ASSUMPTIONS.length)),
    baseKind: oneOf(...BASE_KINDS),
    base: group(BASE),
    secondBase: orNull(group(SECOND_BASE)),
    cardId: refersTo('cards'),
    units: oneOf(...UNIT_SYSTEMS),
    /** Station spacing chosen by hand, mm; null takes the default of the covering's rule. */
    spacingMm: orNull(figure(150, 2000, 'mm')),
    /** Judge by contacts only and leave rocking out (a setting of the flatness stage). */
    contactsOnly: flag(),
  },
  { since: { services: [], assumed: [] } },
);
export type RoomFacts = FactOf<typeof rooms>;

/** What a room has of these before anything is entered. */
export const BLANK_SHAPE: Pick<
  RoomFacts,
  'start' | 'diagonals' | 'openings' | 'fixtures' | 'lines' | 'base' | 'secondBase'
> = {
  start: ORIGIN,
  diagonals: [],
  openings: [],
  fixtures: [],
  lines: [],
  base: UNKNOWN_BASE,
  secondBase: null,
};
