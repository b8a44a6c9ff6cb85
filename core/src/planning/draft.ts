import type { Sayable } from '../said/index.ts';

/** Which stage of a job a task belongs to, in the order of the work. */
export const JOB_STAGES = [
  'order',
  'hazard',
  'heating',
  'strip',
  'sound',
  'damp',
  'membrane',
  'level',
  'panels',
  'lay',
  'end',
  'change',
] as const;
export type JobStage = (typeof JOB_STAGES)[number];

/** How a time may turn out where it is not what works usually do, hours. */
export type DraftSpread =
  | { kind: 'table'; hours: readonly number[] }
  | { kind: 'band'; p10H: number; p50H: number; p90H: number }
  | { kind: 'surprise'; share: number };

interface Common {
  /** Room, stage, what and mark by their ids: ticks and calendar entries stay with it when the plan changes. */
  key: string;
  stage: JobStage;
  roomId: string | null;
  words: Sayable;
  after: string[];
  /** It begins within so many hours of the end of another. */
  within: { of: string; hours: number } | null;
  /** When the last of it was done; null while it is not. */
  doneAt: string | null;
  /** Ticks that say so; empty where other facts do. */
  ticks: string[];
  spread: DraftSpread | null;
}

/** Work by hand: hours of one person, all of them together. */
export interface DraftWork extends Common {
  kind: 'work';
  hours: number;
  /** Hours that are done already. */
  doneHours: number;
  /** People who can work at it at once. */
  mostPeople: number;
  unbroken: boolean;
  machines: string[];
  trade: string | null;
  isLoud: boolean;
  /** Its room stays shut until this wait has ended, which follows it and nothing else. */
  shutUntil: string | null;
  holds: { what: string; until: string }[];
  isLaying: boolean;
  /** Its hours stand in what its stage costs; else the bill counts them by themselves. */
  isPriced: boolean;
  /** Why it may not be done as things stand; null where it may. */
  stopped: Sayable | null;
}

/** Elapsed time in which nobody does anything. */
export interface DraftWait extends Common {
  kind: 'wait';
  hours: number;
}

export type Draft = DraftWork | DraftWait;

type Options<T extends Draft> = Partial<Omit<T, 'kind' | 'key' | 'stage' | 'roomId' | 'words' | 'hours'>>;

/** Tasks of one room, each following what was put in before it. */
export interface Chain {
  readonly tasks: Draft[];
  /** Keys of what the next task follows. */
  last: string[];
  /** Adds a work; without hours there is none, and nothing is added. Gives its key, or null. */
  work(stage: JobStage, what: string, words: Sayable, hours: number, options?: Options<DraftWork>): string | null;
  wait(stage: JobStage, what: string, words: Sayable, hours: number, options?: Options<DraftWait>): string | null;
}

/** @param doneAt - when a tick was set; null where it was not */
export function openChain(roomId: string | null, doneAt: (tick: string) => string | null): Chain {
  const scope = roomId ?? 'job';
  const done = (ticks: readonly string[], given: string | null | undefined): string | null => {
    if (given !== undefined) return given;
    const all = ticks.map(doneAt);
    return all.length === 0 || all.includes(null) ? null : all.reduce((a, b) => (b! > a! ? b : a));
  };
  const chain: Chain = {
    tasks: [],
    last: [],
    work(stage, what, words, hours, options = {}) {
      if (hours <= 0) return null;
      const key = `${scope}/${stage}/${what}`;
      const ticks = options.ticks ?? [`task/${stage}/${what}`];
      chain.tasks.push({
        kind: 'work',
        key,
        stage,
        roomId,
        words,
        hours,
        after: [...chain.last],
        within: null,
        spread: null,
        doneHours: 0,
        mostPeople: 1,
        unbroken: false,
        machines: [],
        trade: null,
        isLoud: false,
        shutUntil: null,
        holds: [],
        isLaying: false,
        isPriced: false,
        stopped: null,
        ...options,
        ticks,
        doneAt: done(ticks, options.doneAt),
      });
      chain.last = [key];
      return key;
    },
    wait(stage, what, words, hours, options = {}) {
      if (hours <= 0) return null;
      const key = `${scope}/${stage}/${what}`;
      chain.tasks.push({
        kind: 'wait',
        key,
        stage,
        roomId,
        words,
        hours,
        after: [...chain.last],
        within: null,
        spread: null,
        ticks: [],
        ...options,
        // A wait is over by itself: what follows it says when it was.
        doneAt: options.doneAt ?? null,
      });
      chain.last = [key];
      return key;
    },
  };
  return chain;
}
