import type { DampMethod } from './method-names.ts';
import type { Method } from '../hazards/index.ts';
import { isTimber, type BaseKind } from '../room/index.ts';

interface DampMethodSpec {
  words: string;
  /** What is keyed from the instrument. */
  asks: string;
  unit: string;
  min: number;
  max: number;
  /** What a judged value is called, where it differs from what is keyed. */
  givesUnit: string;
  /** What making the test does to the floor, as the hazard gate knows it. */
  gate: Method;
  tells: string;
  cannot: string;
  /** In order, what is done, before the first reading. */
  how: readonly string[];
  caution: string | null;
}

export const METHOD_SPECS: Record<DampMethod, DampMethodSpec> = {
  survey: {
    words: 'Survey meter',
    asks: 'Meter reading',
    unit: '%',
    min: 0,
    max: 100,
    givesUnit: '% on the meter',
    gate: 'survey-meter',
    tells: 'Where the slab differs: the places that ask for a test.',
    cannot: 'It cannot pass a floor. Metal, density and a wet skin move it.',
    how: ['Clean, bare, dry surface', 'Eight places in the first 93 m², the same scale and mode throughout'],
    caution: null,
  },
  probe: {
    words: 'In-slab probe',
    asks: 'Probe reading',
    unit: '%RH',
    min: 10,
    max: 100,
    givesUnit: '%RH',
    gate: 'probe-hole',
    tells: 'Humidity at the depth that the whole slab will come to once it is covered.',
    cannot: 'It says nothing of damp that arrives later through a broken membrane.',
    how: ['Locate pipes, cables and tendons', 'Drill dry to the depth shown, vacuum the hole', 'Sleeve, seal, wait'],
    caution:
      'Silica dust: extractor and mask. Never drill a post-tensioned slab or near pipes. A licensed trade decides.',
  },
  hood: {
    words: 'Surface hood',
    asks: 'Reading under the hood',
    unit: '%RH',
    min: 10,
    max: 100,
    givesUnit: '%RH',
    gate: 'surface-hood',
    tells: 'Humidity the surface gives to a sealed pocket of air.',
    cannot: 'A surface dried by heat or wind reads too kindly; depth is not seen.',
    how: [
      'Dehumidifiers, forced heat and floor heating off for 96 h before',
      'Seal the hood down for 72 h, 7 days on a dense power-floated slab',
      'Read, and read again a day later: the two lie within 2 %RH',
    ],
    caution: null,
  },
  dish: {
    words: 'Vapour dish',
    asks: 'Weight when taken up',
    unit: 'g',
    min: 1,
    max: 500,
    givesUnit: 'g/(m² 24 h)',
    gate: 'grind-for-dish',
    tells: 'How much vapour leaves the surface in a day.',
    cannot: 'It sees the top 20 mm or so only.',
    how: [
      'Clean bare concrete 24 h before',
      'Weigh the dish, seal it under its dome',
      'Take it up after 60 to 72 h and weigh',
    ],
    caution: 'Calcium chloride burns eyes: goggles and gloves.',
  },
  carbide: {
    words: 'Carbide test',
    asks: 'CM-% shown, or gauge pressure in bar with the sample’s mass',
    unit: '%',
    min: 0,
    max: 20,
    givesUnit: 'CM-%',
    gate: 'carbide-sample',
    tells: 'Water by mass in a sample broken from the screed.',
    cannot: 'One place and one depth; a sample that dried while broken out reads too kindly.',
    how: ['Sample from the lower half or the full depth', 'Crush, weigh, shake ten minutes', 'Read the gauge'],
    caution: 'Acetylene is set free: ventilate, no sparks or flames, goggles.',
  },
  pin: {
    words: 'Pin meter',
    asks: 'Meter reading',
    unit: '%MC',
    min: 4,
    max: 60,
    givesUnit: '%MC',
    gate: 'pin-meter',
    tells: 'Moisture of wood and panels, by mass.',
    cannot: 'Glue, salts and metal raise it; over about 25 % it only says wet.',
    how: ['Set the species or note it', 'Pins along the grain, full depth of the board', 'Never near heating pipes'],
    caution: null,
  },
  film: {
    words: 'Film square, 24 h',
    asks: 'Droplets under the film',
    unit: '',
    min: 0,
    max: 1,
    givesUnit: '',
    gate: 'film-square',
    tells: 'A hint that damp is rising, where there are droplets.',
    cannot: 'No droplets prove nothing.',
    how: ['Tape half a metre square of clear film down on all sides', 'Look after 24 h'],
    caution: null,
  },
  alkalinity: {
    words: 'Alkalinity',
    asks: 'Strip or meter shows',
    unit: 'pH',
    min: 4,
    max: 14,
    givesUnit: 'pH',
    gate: 'measure',
    tells: 'Whether adhesive would be attacked.',
    cannot: 'It is not a measure of damp.',
    how: ['Clean surface, a few drops of distilled water for 60 s', 'Strip or meter into it'],
    caution: null,
  },
  'water-drop': {
    words: 'Water drop',
    asks: 'Time to soak in',
    unit: 's',
    min: 0,
    max: 3600,
    givesUnit: 's',
    gate: 'look',
    tells: 'How thirsty the surface is: which primer, and whether a seal lies on it.',
    cannot: 'It is not a measure of damp.',
    how: ['One drop on the clean surface', 'Time until no bead stands'],
    caution: null,
  },
  scratch: {
    words: 'Scratch test',
    asks: 'What the nail leaves',
    unit: '',
    min: 0,
    max: 2,
    givesUnit: '',
    gate: 'scratch',
    tells: 'Whether the surface would hold adhesive or compound.',
    cannot: 'It is not a measure of damp.',
    how: ['A grid of scratches with a hard point, even pressure', 'Brush off and look'],
    caution: null,
  },
};

/** What the answers of methods without a figure mean, in order of the value stored. */
export const GRADES_OF = {
  film: ['No droplets', 'Droplets'],
  scratch: ['Hardly marks', 'Dusts', 'Breaks out'],
} as const satisfies Partial<Record<DampMethod, readonly string[]>>;

/** Methods whose result a covering can be laid on, by base, the usual one first. The rest steer or inform. */
export function qualifyingMethods(kind: BaseKind): DampMethod[] {
  if (isTimber(kind)) return ['pin'];
  if (kind === 'cement-screed') return ['carbide', 'probe', 'hood'];
  if (kind === 'calcium-sulfate-screed') return ['carbide', 'hood'];
  return ['probe', 'hood', 'dish'];
}

/** Methods that make sense on a base, in the order of the work. */
export function methodsFor(kind: BaseKind): DampMethod[] {
  if (isTimber(kind)) return ['pin'];
  const qualifying = qualifyingMethods(kind);
  return ['survey', ...qualifying, 'film', 'alkalinity', 'water-drop', 'scratch'];
}

const PER_M2 = 93;

/** Tests a floor area needs by a method; the trade counts in steps of 93 m2 (1000 square feet), carbide in steps of 50 m2. */
export function testsForArea(method: DampMethod, areaM2: number, heated: boolean): number {
  const further = Math.max(0, Math.ceil(areaM2 / PER_M2 - 1e-9) - 1);
  if (method === 'survey') return 8 + 5 * further;
  if (method === 'carbide') return Math.max(heated ? 2 : 1, Math.ceil(areaM2 / 50 - 1e-9));
  if (method === 'pin') return Math.max(5, Math.ceil((20 * areaM2) / PER_M2 - 1e-9));
  if (method === 'hood' && areaM2 <= 20) return 1;
  if (method === 'probe' || method === 'hood' || method === 'dish') return 3 + further;
  return 1;
}
