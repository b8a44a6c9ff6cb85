import { figure, kind, oneOf, orNull, question, refersTo, text, whole, type FactOf } from '../fields/index.ts';
import { WAY_IDS } from '../flat/facts.ts';

/** How far the floor may be asked to rise at an opening, mm. */
export const RISE_MM = { min: -400, max: 400 } as const;

/** how far the floor is to rise at an opening or under a fixture, mm; null: no matter. The newest counts. */
export const rises = kind(
  'room',
  'Height asked for',
  {
    placeId: refersTo('places'),
    riseMm: orNull(figure(RISE_MM.min, RISE_MM.max, 'mm')),
    note: text(500),
  },
  { newestCounts: true },
);
export type Rise = FactOf<typeof rises>;

/** Ticks of places chalked begin with this: they are memory, and nothing is judged by them. */
export const CHALKED = 'chalk/';

/** The way to level that was chosen. */
export const WAY_CHOSEN = question('levelling/way', oneOf(...WAY_IDS));
/** Which of the choices of grinding before a pour is taken, by its number from 0. */
export const PLANE_CHOSEN = question('levelling/plane', whole(0, 99));
/** The least depth over the highest place that a pour to one level is planned with, mm: chosen with the heights of the job. */
export const POUR_LEAST = question('levelling/pour-least', figure(3, 60, 'mm'));
/** What was chosen among ways: memory too. */
export const CHOSEN_OF_WAYS: readonly string[] = [WAY_CHOSEN.question, PLANE_CHOSEN.question];
