import { allOf, type Sayable } from '../said/index.ts';

/** What the evidence log says of one fact by itself: what was measured or seen, when, and under which conditions. */
export interface LoggedLine {
  at: string;
  what: Sayable;
  value?: Sayable;
  conditions?: Sayable;
  instrument?: Sayable;
  xMm?: number | null;
  yMm?: number | null;
}

/** What there is of some parts, or nothing. */
export function together(parts: readonly (Sayable | false | null)[]): Sayable {
  const there = parts.filter((part) => part !== false && part !== null && part !== '') as Sayable[];
  return there.length > 0 ? allOf(there) : '';
}
