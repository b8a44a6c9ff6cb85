import { factPath, type FactKind, type FactOf } from '@maquette/facts';
import { putWrite, Refused, ServerFailed, Unreachable } from './api.ts';
import type { OutboxDisk } from './outbox-disk.ts';
import type { Waiting } from './waiting.ts';
import { madeBy, type Who } from './who.ts';

/** The device keeps nothing more: what was entered is not kept. */
export class DeviceFull extends Error {
  constructor() {
    super(
      'This device keeps nothing more, so what you entered is not kept. Free some room on it (old photographs, apps), then enter it again.',
    );
  }
}

export interface OutboxState {
  loaded: boolean;
  waiting: readonly Waiting[];
  /** Whether the last request reached the server. */
  reachable: boolean;
  /** The device refused to keep what was last entered: it is not kept, and not shown as kept. */
  full: boolean;
}

/** A fact the server has taken, with its kind. */
export interface Answered {
  kind: FactKind;
  fact: FactOf<FactKind>;
}

export interface Outbox {
  get: () => OutboxState;
  subscribe: (listener: () => void) => () => void;
  noteReachable: (reachable: boolean) => void;
  /** Reads what earlier visits left and keeps sending. `stored` is told of every fact the server has taken. */
  start: (stored: (answered: readonly Answered[]) => void) => Promise<void>;
  /** Puts writes in, durable when the promise resolves; sending starts by itself. Throws `DeviceFull`, and then keeps none of them. */
  post: (writes: readonly Omit<Waiting, 'seq' | 'trouble' | 'made'>[]) => Promise<void>;
  /** Sends what waits, oldest first, and backs off while the server does not answer; resolves when no more can be sent now. */
  send: () => Promise<void>;
  /** Answered writes whose record stays until what the server said has been kept too: a crash between leaves no gap. */
  answered: () => string[];
  /** Called with the list taken before the cache was written: those records are no longer needed. */
  forget: (writeIds: readonly string[]) => Promise<void>;
  /** Gives up the writes to one fact that the server refused, and all that were made on top of them. */
  discard: (id: string) => Promise<void>;
  /** Sends what was set aside once more, as it is. */
  retry: (id: string) => Promise<void>;
  /** Sends the user's own value again, or another body in its place, this time on top of what the server holds. */
  insist: (id: string, newWriteId: string, body?: Record<string, unknown>) => Promise<void>;
}

/** How often the screen is told while many writes go out in a row, ms: each telling redraws it. */
const TELL_EVERY_MS = 250;
/** What was just entered is drawn before the screen is told that the server has it, ms. */
const DRAWN_FIRST_MS = 250;
const FIRST_PAUSE_MS = 1000;
const LONGEST_PAUSE_MS = 8000;
/** A write that the server fails on this often is set aside for the user to decide. */
const TRIES_MOST = 5;

/** Sending is done by one tab at a time. */
async function inOneTab(work: () => Promise<void>): Promise<void> {
  if (globalThis.navigator?.locks) await navigator.locks.request('maquette-send', work);
  else await work();
}

/** The queue of writes of this device, on a disk that outlives the visit. Each says who makes it. */
export function createOutbox(disk: OutboxDisk, who: Who | null = null): Outbox {
  let state: OutboxState = { loaded: false, waiting: [], reachable: true, full: false };
  const listeners = new Set<() => void>();
  let stored: (answered: readonly Answered[]) => void = () => undefined;
  const answered = new Set<string>();
  /** Answers that the screen has not been told of yet, by the write they answer. */
  const untold = new Map<string, Answered>();
  let toldAt = -Infinity;
  let postedAt = -Infinity;
  let telling: ReturnType<typeof setTimeout> | undefined;
  /** How often the server has failed on a write, and those it failed on in this round: what does not hang on them goes on. */
  const failures = new Map<string, number>();
  const later = new Set<string>();
  let sending = false;
  let pause = FIRST_PAUSE_MS;
  let again: ReturnType<typeof setTimeout> | undefined;

  function change(next: Partial<OutboxState>): void {
    state = { ...state, ...next };
    for (const listener of listeners) listener();
  }

  function noteReachable(reachable: boolean): void {
    if (reachable !== state.reachable) change({ reachable });
  }

  async function reload(): Promise<void> {
    const kept = await disk.load();
    const open = kept.filter((waiting) => !answered.has(waiting.writeId));
    change({ loaded: true, waiting: open.sort((a, b) => a.seq - b.seq) });
  }

  async function drop(writeId: string): Promise<void> {
    await disk.drop([writeId]);
    change({ waiting: state.waiting.filter((waiting) => waiting.writeId !== writeId) });
  }

  /** Puts a write in another's place: the new one is on disk before the old one goes, so that neither a crash nor a full device loses it. */
  async function replace(writeId: string, next: Waiting): Promise<void> {
    try {
      await disk.put([next]);
    } catch {
      change({ full: true });
      throw new DeviceFull();
    }
    if (next.writeId !== writeId) await disk.drop([writeId]);
    change({ waiting: state.waiting.map((waiting) => (waiting.writeId === writeId ? next : waiting)) });
  }

  /** Sets a write aside for the user to decide. Where the device cannot keep that it is set aside, it is found out again. */
  async function setAside(write: Waiting, trouble: Waiting['trouble']): Promise<void> {
    const next = { ...write, trouble };
    await disk.put([next]).catch(() => undefined);
    change({ waiting: state.waiting.map((waiting) => (waiting.writeId === write.writeId ? next : waiting)) });
  }

  /** How long the screen is not to be told yet, ms. */
  const untilTold = () => Math.max(postedAt + DRAWN_FIRST_MS, toldAt + TELL_EVERY_MS) - performance.now();

  /** Tells what has been answered by then. */
  function tellLater(): void {
    clearTimeout(telling);
    telling = setTimeout(tellAnswers, Math.max(0, untilTold()));
  }

  /** Lays what the server has taken into the cache and takes it off the list, in one step for the screen. */
  function tellAnswers(): void {
    if (untold.size === 0) return;
    toldAt = performance.now();
    const told = [...untold];
    untold.clear();
    // Before they are laid into the cache: the snapshot that this sets off is the one that holds them.
    for (const [writeId] of told) answered.add(writeId);
    stored(told.map(([, answer]) => answer));
    const gone = new Set(told.map(([writeId]) => writeId));
    change({ waiting: state.waiting.filter((waiting) => !gone.has(waiting.writeId)) });
  }

  /** A fact with a write in trouble sends nothing more until the user has decided. */
  function nextToSend(): Waiting | undefined {
    const held = new Set(state.waiting.filter((w) => w.trouble || later.has(w.writeId)).map((w) => w.id));
    const open = state.waiting.filter((w) => !w.trouble && !untold.has(w.writeId) && !held.has(w.id));
    // A job or room that comes back, or changes, goes ahead of what lies in it: what lies in a removed one is not taken.
    const ahead = open.find(
      (one) =>
        (one.kind === 'jobs' || one.kind === 'rooms') &&
        one.baseVersion > 0 &&
        !one.deleted &&
        // Its own earlier writes come first: it is made on them.
        open.find(({ id }) => id === one.id) === one,
    );
    return ahead ?? open.find((w) => !(w.roomId && held.has(w.roomId)));
  }

  /** A write the server failed on waits for the next round, and after some rounds for the user. */
  async function failed(write: Waiting, { problem }: ServerFailed): Promise<void> {
    const count = (failures.get(write.writeId) ?? 0) + 1;
    failures.set(write.writeId, count);
    if (count < TRIES_MOST) later.add(write.writeId);
    else await setAside(write, problem);
  }

  /** Sends all that can be sent; whether the server took any of it, or had nothing to take. */
  async function sendEach(): Promise<boolean> {
    later.clear();
    let took = false;
    for (let next = nextToSend(); next; next = nextToSend()) {
      const { kind, id, roomId, baseVersion, writeId, deleted, body, made } = next;
      try {
        // How far the clock is off may not have been known yet when it was made.
        const maker = made && who ? { made: { ...made, skewMs: made.skewMs ?? who.skewMs() } } : {};
        const write = { ...body, baseVersion, writeId, deleted, ...maker };
        const fact = await putWrite<FactOf<FactKind>>(factPath(kind, id, roomId), write);
        untold.set(writeId, { kind, fact });
        took = true;
        if (untilTold() <= 0) tellAnswers();
        noteReachable(true);
      } catch (error) {
        if (error instanceof ServerFailed) {
          await failed(next, error);
          continue;
        }
        if (!(error instanceof Refused)) throw error;
        if (error.problem.status === 429) throw new Unreachable('The server is busy');
        await setAside(next, error.problem);
      }
    }
    return took || later.size === 0;
  }

  function sendAgainLater(): void {
    again = setTimeout(() => void send(), pause);
    pause = Math.min(pause * 1.6, LONGEST_PAUSE_MS);
  }

  async function send(): Promise<void> {
    if (sending) return;
    sending = true;
    clearTimeout(again);
    try {
      let took = true;
      await inOneTab(async () => {
        try {
          took = await sendEach();
        } finally {
          tellLater();
        }
      });
      if (later.size === 0) pause = FIRST_PAUSE_MS;
      else sendAgainLater();
      noteReachable(took);
    } catch (error) {
      if (!(error instanceof Unreachable)) throw error;
      noteReachable(false);
      sendAgainLater();
    } finally {
      sending = false;
    }
    // A write posted while the last answer was being put away found the sender busy: it is this one's turn to see it.
    if (state.reachable && nextToSend()) void send();
  }

  return {
    get: () => state,
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    noteReachable,
    async start(told) {
      stored = told;
      await reload();
      disk.onOthers(() => void reload());
      globalThis.addEventListener?.('online', () => void send());
      void send();
    },
    async post(writes) {
      const first = Math.max((state.waiting.at(-1)?.seq ?? 0) + 1, who?.sequence(writes.length) ?? 0);
      postedAt = performance.now();
      const added = writes.map((write, index): Waiting => {
        const seq = first + index;
        return { ...write, seq, trouble: null, ...(who ? { made: madeBy(who, seq, write.madeAt) } : {}) };
      });
      change({ waiting: [...state.waiting, ...added] });
      try {
        await disk.put(added);
      } catch {
        change({ waiting: state.waiting.filter((waiting) => !added.includes(waiting)), full: true });
        throw new DeviceFull();
      }
      if (state.full) change({ full: false });
      void send();
    },
    send,
    answered: () => [...answered],
    async forget(writeIds) {
      if (writeIds.length === 0) return;
      await disk.drop(writeIds);
      for (const writeId of writeIds) answered.delete(writeId);
    },
    async discard(id) {
      for (const waiting of state.waiting.filter((w) => w.id === id)) await drop(waiting.writeId);
    },
    async retry(id) {
      for (const waiting of state.waiting.filter((w) => w.id === id && w.trouble)) {
        failures.delete(waiting.writeId);
        await setAside(waiting, null);
      }
      void send();
    },
    async insist(id, newWriteId, body) {
      const own = state.waiting.filter((w) => w.id === id);
      const last = own[own.length - 1];
      const current = own.find((w) => w.trouble)?.trouble?.current as { version: number } | null | undefined;
      if (!last) return;
      const next = { ...last, ...(body ? { body, deleted: false } : {}), writeId: newWriteId };
      await replace(last.writeId, { ...next, baseVersion: current?.version ?? 0, trouble: null });
      for (const waiting of own.slice(0, -1)) await drop(waiting.writeId);
      void send();
    },
  };
}
