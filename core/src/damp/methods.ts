import { allOf, say, type Said, type Sayable } from '../said/index.ts';
import type { DampMethod } from './method-names.ts';
import type { Method } from '../hazards/index.ts';
import { isTimber, type BaseKind } from '../room/index.ts';

interface DampMethodSpec {
  words: Said;
  /** What is keyed from the instrument. */
  asks: Said;
  unit: string;
  min: number;
  max: number;
  /** What a judged value is called, where it differs from what is keyed. */
  givesUnit: Sayable;
  /** What making the test does to the floor, as the hazard gate knows it. */
  gate: Method;
  tells: Said;
  cannot: Said;
  /** In order, what is done, before the first reading. */
  how: readonly Said[];
  caution: Said | null;
}

export const METHOD_SPECS: Record<DampMethod, DampMethodSpec> = {
  survey: {
    words: say('damp.survey'),
    asks: say('damp.surveyAsks'),
    unit: '%',
    min: 0,
    max: 100,
    givesUnit: say('damp.surveyGivesUnit'),
    gate: 'survey-meter',
    tells: say('damp.surveyTells'),
    cannot: say('damp.surveyCannot'),
    how: [say('damp.surveyHow1'), say('damp.surveyHow2')],
    caution: null,
  },
  probe: {
    words: say('damp.probe'),
    asks: say('damp.probeAsks'),
    unit: '%RH',
    min: 10,
    max: 100,
    givesUnit: '%RH',
    gate: 'probe-hole',
    tells: say('damp.probeTells'),
    cannot: say('damp.probeCannot'),
    how: [say('damp.probeHow1'), say('damp.probeHow2'), say('damp.probeHow3')],
    caution: say('damp.probeCaution'),
  },
  hood: {
    words: say('damp.hood'),
    asks: say('damp.hoodAsks'),
    unit: '%RH',
    min: 10,
    max: 100,
    givesUnit: '%RH',
    gate: 'surface-hood',
    tells: say('damp.hoodTells'),
    cannot: say('damp.hoodCannot'),
    how: [say('damp.hoodHow1'), say('damp.hoodHow2'), say('damp.hoodHow3')],
    caution: null,
  },
  dish: {
    words: say('damp.dish'),
    asks: say('damp.dishAsks'),
    unit: 'g',
    min: 1,
    max: 500,
    givesUnit: 'g/(m² 24 h)',
    gate: 'grind-for-dish',
    tells: say('damp.dishTells'),
    cannot: say('damp.dishCannot'),
    how: [say('damp.dishHow1'), say('damp.dishHow2'), say('damp.dishHow3')],
    caution: say('damp.dishCaution'),
  },
  carbide: {
    words: say('damp.carbide'),
    asks: say('damp.carbideAsks'),
    unit: '%',
    min: 0,
    max: 20,
    givesUnit: 'CM-%',
    gate: 'carbide-sample',
    tells: say('damp.carbideTells'),
    cannot: say('damp.carbideCannot'),
    how: [say('damp.carbideHow1'), say('damp.carbideHow2'), say('damp.carbideHow3')],
    caution: say('damp.carbideCaution'),
  },
  pin: {
    words: say('damp.pin'),
    asks: say('damp.pinAsks'),
    unit: '%MC',
    min: 4,
    max: 60,
    givesUnit: '%MC',
    gate: 'pin-meter',
    tells: say('damp.pinTells'),
    cannot: say('damp.pinCannot'),
    how: [say('damp.pinHow1'), say('damp.pinHow2'), say('damp.pinHow3')],
    caution: null,
  },
  film: {
    words: say('damp.film'),
    asks: say('damp.filmAsks'),
    unit: '',
    min: 0,
    max: 1,
    givesUnit: '',
    gate: 'film-square',
    tells: say('damp.filmTells'),
    cannot: say('damp.filmCannot'),
    how: [say('damp.filmHow1'), say('damp.filmHow2')],
    caution: null,
  },
  alkalinity: {
    words: say('damp.alkalinity'),
    asks: say('damp.alkalinityAsks'),
    unit: 'pH',
    min: 4,
    max: 14,
    givesUnit: 'pH',
    gate: 'measure',
    tells: say('damp.alkalinityTells'),
    cannot: say('damp.alkalinityCannot'),
    how: [say('damp.alkalinityHow1'), say('damp.alkalinityHow2')],
    caution: null,
  },
  'water-drop': {
    words: say('damp.waterDrop'),
    asks: say('damp.waterDropAsks'),
    unit: 's',
    min: 0,
    max: 3600,
    givesUnit: 's',
    gate: 'look',
    tells: say('damp.waterDropTells'),
    cannot: say('damp.waterDropCannot'),
    how: [say('damp.waterDropHow1'), say('damp.waterDropHow2')],
    caution: null,
  },
  scratch: {
    words: say('damp.scratch'),
    asks: say('damp.scratchAsks'),
    unit: '',
    min: 0,
    max: 2,
    givesUnit: '',
    gate: 'scratch',
    tells: say('damp.scratchTells'),
    cannot: say('damp.scratchCannot'),
    how: [say('damp.scratchHow1'), say('damp.scratchHow2')],
    caution: null,
  },
};

/** A test as people call it: its method, and the name it was given. */
export function testName({ method, name }: { method: DampMethod; name: string }): Said {
  const { words } = METHOD_SPECS[method];
  return name === '' ? words : allOf([words, name], ' ');
}

/** What the answers of methods without a figure mean, in order of the value stored. */
export const GRADES_OF = {
  film: [say('damp.gradesOfFilm1'), say('damp.gradesOfFilm2')],
  scratch: [say('damp.gradesOfScratch1'), say('damp.gradesOfScratch2'), say('damp.gradesOfScratch3')],
} as const satisfies Partial<Record<DampMethod, readonly Said[]>>;

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
