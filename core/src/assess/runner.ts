import type { Criterion } from '../verdict/index.ts';
import type { Part } from './part.ts';

/** A part whose kinds of input and state the runner does not look into. */
type AnyPart<Set> = Part<string, Set, never, unknown, never>;

interface Kept {
  /** What it was made from, compared by identity: the facts it reads, and the states it needs. */
  of: readonly unknown[];
  atUtc: string;
  state: unknown;
  criteria: Criterion[];
  validUntil: string | null;
  memo: Map<string, unknown>;
}

/** What the parts made of a room. */
interface Ran {
  states: ReadonlyMap<string, unknown>;
  criteria: Criterion[];
  /** The earliest time at which some part would say otherwise, with the same facts; null: at no time. */
  validUntil: string | null;
}

interface RunOptions {
  /** Parts to run, with all they need; all but those run on demand where none are named. */
  parts?: readonly string[];
  tell?: (part: string, what: unknown) => void;
}

export interface Runner<Set> {
  run(set: Set, atUtc: string, options?: RunOptions): Ran;
}

const same = (a: readonly unknown[], b: readonly unknown[]) => a.length === b.length && a.every((v, i) => v === b[i]);

/** Whether what was judged at one time is what would be judged at another. */
const stillHolds = (kept: Kept, atUtc: string) =>
  kept.validUntil === null || (atUtc >= kept.atUtc && atUtc <= kept.validUntil);

/**
 * Calls parts in order, each with what it reads and needs. What a part made is kept for the next call and given again while
 * everything it was made from is the very same; so a set made anew with one list changed costs only what reads that list.
 */
export function createRunner<Set>(parts: readonly AnyPart<Set>[]): Runner<Set> {
  const kept = new Map<string, Kept>();
  const byId = new Map(parts.map((part) => [part.id, part]));

  function wanted(names: readonly string[] | undefined): ReadonlySet<string> {
    const all = new Set<string>();
    const add = (id: string): void => {
      if (all.has(id)) return;
      all.add(id);
      byId.get(id)!.needs.forEach(add);
    };
    (names ?? parts.filter((part) => !part.onDemand).map((part) => part.id)).forEach(add);
    return all;
  }

  function judged(
    part: AnyPart<Set>,
    set: Set,
    states: ReadonlyMap<string, unknown>,
    atUtc: string,
    tell: RunOptions['tell'],
  ) {
    const others = [...part.needs, ...(part.hears ?? [])];
    const of = [...part.reads.map((name) => set[name]), ...others.map((name) => states.get(name))];
    const before = kept.get(part.id);
    if (before && same(before.of, of) && stillHolds(before, atUtc)) return before;
    // What a part needs it declares, and is given by name.
    const needs = Object.fromEntries(others.map((name) => [name, states.get(name)])) as never;
    const memo = before?.memo ?? new Map<string, unknown>();
    const aside = { memo, tell: (what: unknown) => tell?.(part.id, what) };
    const { state, validUntil } = part.judge(set, needs, atUtc, aside);
    const own = part.criteria?.(state, set, needs, atUtc, aside) ?? [];
    const criteria = own.map((c) => ({ at: null, also: [], ...c, part: part.id }));
    const now: Kept = { of, atUtc, state, criteria, validUntil, memo };
    kept.set(part.id, now);
    return now;
  }

  return {
    run(set, atUtc, { parts: names, tell } = {}) {
      const asked = wanted(names);
      const states = new Map<string, unknown>();
      const criteria: Criterion[] = [];
      let validUntil: string | null = null;
      for (const part of parts) {
        if (!asked.has(part.id)) continue;
        const result = judged(part, set, states, atUtc, tell);
        states.set(part.id, result.state);
        criteria.push(...result.criteria);
        if (result.validUntil !== null && (validUntil === null || result.validUntil < validUntil))
          validUntil = result.validUntil;
      }
      return { states, criteria, validUntil };
    },
  };
}
