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
    words: say('damp.survey.words'),
    asks: say('damp.survey.asks'),
    unit: '%',
    min: 0,
    max: 100,
    givesUnit: say('damp.survey.gives-unit'),
    gate: 'survey-meter',
    tells: say('damp.survey.tells'),
    cannot: say('damp.survey.cannot'),
    how: [say('damp.survey.how.1'), say('damp.survey.how.2')],
    caution: null,
  },
  probe: {
    words: say('damp.probe.words'),
    asks: say('damp.probe.asks'),
    unit: '%RH',
    min: 10,
    max: 100,
    givesUnit: '%RH',
    gate: 'probe-hole',
    tells: say('damp.probe.tells'),
    cannot: say('damp.probe.cannot'),
    how: [say('damp.probe.how.1'), say('damp.probe.how.2'), say('damp.probe.how.3')],
    caution: say('damp.probe.caution'),
  },
  hood: {
    words: say('damp.hood.words'),
    asks: say('damp.hood.asks'),
    unit: '%RH',
    min: 10,
    max: 100,
    givesUnit: '%RH',
    gate: 'surface-hood',
    tells: say('damp.hood.tells'),
    cannot: say('damp.hood.cannot'),
    how: [say('damp.hood.how.1'), say('damp.hood.how.2'), say('damp.hood.how.3')],
    caution: null,
  },
  dish: {
    words: say('damp.dish.words'),
    asks: say('damp.dish.asks'),
    unit: 'g',
    min: 1,
    max: 500,
    givesUnit: 'g/(m² 24 h)',
    gate: 'grind-for-dish',
    tells: say('damp.dish.tells'),
    cannot: say('damp.dish.cannot'),
    how: [say('damp.dish.how.1'), say('damp.dish.how.2'), say('damp.dish.how.3')],
    caution: say('damp.dish.caution'),
  },
  carbide: {
    words: say('damp.carbide.words'),
    asks: say('damp.carbide.asks'),
    unit: '%',
    min: 0,
    max: 20,
    givesUnit: 'CM-%',
    gate: 'carbide-sample',
    tells: say('damp.carbide.tells'),
    cannot: say('damp.carbide.cannot'),
    how: [say('damp.carbide.how.1'), say('damp.carbide.how.2'), say('damp.carbide.how.3')],
    caution: say('damp.carbide.caution'),
  },
  pin: {
    words: say('damp.pin.words'),
    asks: say('damp.pin.asks'),
    unit: '%MC',
    min: 4,
    max: 60,
    givesUnit: '%MC',
    gate: 'pin-meter',
    tells: say('damp.pin.tells'),
    cannot: say('damp.pin.cannot'),
    how: [say('damp.pin.how.1'), say('damp.pin.how.2'), say('damp.pin.how.3')],
    caution: null,
  },
  film: {
    words: say('damp.film.words'),
    asks: say('damp.film.asks'),
    unit: '',
    min: 0,
    max: 1,
    givesUnit: '',
    gate: 'film-square',
    tells: say('damp.film.tells'),
    cannot: say('damp.film.cannot'),
    how: [say('damp.film.how.1'), say('damp.film.how.2')],
    caution: null,
  },
  alkalinity: {
    words: say('damp.alkalinity.words'),
    asks: say('damp.alkalinity.asks'),
    unit: 'pH',
    min: 4,
    max: 14,
    givesUnit: 'pH',
    gate: 'measure',
    tells: say('damp.alkalinity.tells'),
    cannot: say('damp.alkalinity.cannot'),
    how: [say('damp.alkalinity.how.1'), say('damp.alkalinity.how.2')],
    caution: null,
  },
  'water-drop': {
    words: say('damp.water-drop.words'),
    asks: say('damp.water-drop.asks'),
    unit: 's',
    min: 0,
    max: 3600,
    givesUnit: 's',
    gate: 'look',
    tells: say('damp.water-drop.tells'),
    cannot: say('damp.water-drop.cannot'),
    how: [say('damp.water-drop.how.1'), say('damp.water-drop.how.2')],
    caution: null,
  },
  scratch: {
    words: say('damp.scratch.words'),
    asks: say('damp.scratch.asks'),
    unit: '',
    min: 0,
    max: 2,
    givesUnit: '',
    gate: 'scratch',
    tells: say('damp.scratch.tells'),
    cannot: say('damp.scratch.cannot'),
    how: [say('damp.scratch.how.1'), say('damp.scratch.how.2')],
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
  film: [say('damp.grades-of.film.1'), say('damp.grades-of.film.2')],
  scratch: [say('damp.grades-of.scratch.1'), say('damp.grades-of.scratch.2'), say('damp.grades-of.scratch.3')],
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
