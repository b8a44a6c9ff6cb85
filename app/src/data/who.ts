import { firstPlaceOf, type Made, type Stored } from '@maquette/facts';
import { clock } from './clock.ts';
import { newId } from './ids.ts';

/** Who makes the writes of this device. */
export interface Who {
  device: () => string;
  /** The name its user gave, or nothing. */
  by: () => string;
  /** The first of so many numbers, each higher than any before. */
  sequence: (count: number) => number;
  skewMs: () => number | null;
}

const [DEVICE, BY, SEQUENCE] = ['maquette.device', 'maquette.by', 'maquette.sequence'];
const listeners = new Set<() => void>();

/** What this browser keeps of it. Where it keeps nothing, this visit is a device of its own. */
const visit = new Map<string, string>();
const read = (key: string) => globalThis.localStorage?.getItem(key) ?? visit.get(key) ?? null;
function keep(key: string, value: string): void {
  visit.set(key, value);
  try {
    globalThis.localStorage?.setItem(key, value);
  } catch {
    // A full device: the visit's own copy goes on.
  }
}

export const thisDevice: Who = {
  device() {
    const known = read(DEVICE);
    if (known) return known;
    const made = newId();
    keep(DEVICE, made);
    return made;
  },
  by: () => read(BY) ?? '',
  sequence(count) {
    const last = Number(read(SEQUENCE) ?? 0);
    keep(SEQUENCE, String(last + count));
    return last + 1;
  },
  skewMs: clock.skewMs,
};

export const userName = {
  get: thisDevice.by,
  set(name: string) {
    keep(BY, name);
    listeners.forEach((listener) => listener());
  },
  subscribe(listener: () => void) {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};

/** Earlier and later than this no clock is believed: what it says is left out. */
const YEARS = { first: '1990', last: '2099' } as const;

/** What a write says of its maker. */
export function madeBy(who: Who, sequence: number, atUtc: string): Made {
  const believed = atUtc.slice(0, 4) >= YEARS.first && atUtc.slice(0, 4) <= YEARS.last;
  return { device: who.device(), by: who.by(), sequence, at: believed ? atUtc : null, skewMs: who.skewMs() };
}

/** Who made a write, as whoever looks at this device is told. */
export function makerWords(made: Made | null, device: string): string {
  const where = made?.device === device ? 'on this device' : 'on another device';
  return made?.by ? `by ${made.by} ${where}` : where;
}

/** Who made a fact first, whoever has brought it back or corrected it since. */
export function firstMakerWords(fact: Pick<Stored, 'first' | 'order' | 'made'>, device: string): string {
  const first = firstPlaceOf(fact).device;
  return makerWords(
    fact.made?.device === first || first === null ? fact.made : { ...fact.made!, device: first, by: '' },
    device,
  );
}
