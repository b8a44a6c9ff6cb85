import { figure, oneOf, question } from '../fields/index.ts';
import { FIRE_CLASSES } from '../coverings/index.ts';

export { PITCHES } from './pitches.ts';

/** Whether the ground of the crawl space is covered with film. */
export const CRAWL = question('under/crawl', oneOf('unknown', 'open', 'covered'));
/** Step noise to be taken away over another dwelling, dB. */
export const ASKED_DB = question('under/asked-db', figure(0, 45));
/** The largest bump that is left, felt with a blade or a hand, mm. */
export const BUMPS = question('under/bumps', figure(0, 10, 'mm'));
export const WET_ROOM = question('under/wet-room', oneOf('no', 'yes'));
export const ESCAPE = question('under/escape', oneOf('no', 'yes'));
export const ASKED_FIRE = question('under/asked-fire', oneOf('unknown', ...FIRE_CLASSES));
/** A probe holds the underside of the covering to what its sheet takes, where the heating is electric. */
export const HEAT_PROBE = question('under/heat-probe', oneOf('unknown', 'no', 'yes'));

/** Where practitioners differ. */
export const FILM_SCHOOL = question('under/film', oneOf('always', 'by-need'));
export const TIMBER_SCHOOL = question('under/film-on-timber', oneOf('by-card', 'never'));
export const PAD_SCHOOL = question('under/second-pad', oneOf('by-card', 'never'));
export const ROLLS_LIE = question('under/rolls-lie', oneOf('across', 'along', 'either'));
export const ROLLS_EDGE = question('under/rolls-edge', oneOf('short', 'to-wall'));
export const LAPS = question('under/laps', oneOf(200, 100));
export const JOINED = question('under/joined', oneOf('whole', 'joined'));
/** The way planks run, along the first wall or across it. */
export const PLANKS_RUN = question('lay/run', oneOf('along', 'across'));

/** Panels. */
export const FIXINGS_AT = question('under/fixings-at', oneOf('75/150', '50/100', 'own'));
export const FIXED_BY = question('under/fixed-by', oneOf('staples', 'screws', 'nails'));
/** How the seams of the base are known. */
export const SEAMS_KNOWN = question('under/seams', oneOf('unknown', 'taped', 'screw-lines'));
/** Thickness of the base where it is thinnest, mm. */
export const BASE_THINNEST = question('under/base-thinnest', figure(6, 60, 'mm'));
export const LOCATED = question('under/services-located', oneOf('no', 'yes'));

/** Ticks of the steps of a membrane begin with this, then its card and the step. */
export const MEMBRANE_STEP = 'membrane/';
/** Ticks of panels that are fixed begin with this, then the room and the panel’s number. */
export const PANEL_FIXED = 'panel/';
