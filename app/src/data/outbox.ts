import { createStore, del, delMany, entries as allEntries, set } from 'idb-keyval';
import { factPath, upgradeBody, type FactKind, type FactOf, type Problem } from '@maquette/contract';
import { api, Refused, Unreachable } from './api.ts';

/** One write on its way to the server. It is on the device before the screen calls it taken, and stays until answered. */
export interface Waiting {
  seq: number;
  writeId: string;
  kind: FactKind;
  id: string;
  roomId: string | null;
  baseVersion: number;
  body: Record<string, unknown>;
  deleted: boolean;
  madeAt: string;
  /** Set when the server would not take it: the user decides. */
  trouble: Problem | null;
}

export interface OutboxState {
  loaded: boolean;
  waiting: readonly Waiting[];
  /** Whether the last request reached the server. */
  reachable: boolean;
}

type Listener = () => void;
const database = () => createStore('maquette-outbox', 'writes');
let idb: ReturnType<typeof database> | null = null;
const store = () => (idb ??= database());

let state: OutboxState = { loaded: false, waiting: [], reachable: true };
const listeners = new Set<Listener>();
let onStored: (kind: FactKind, fact: FactOf<FactKind>) => void = () => undefined;
const others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('maquette-outbox');

function change(next: Partial<OutboxState>): void {
  state = { ...state, ...next };
  for (const listener of listeners) listener();
}

export const outbox = {
  subscribe(listener: Listener): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  get: (): OutboxState => state,
};

export function noteReachable(reachable: boolean): void {
  if (reachable !== state.reachable) change({ reachable });
}

async function reload(): Promise<void> {
  // What an earlier version of the app left waiting is sent in today's shape.
  const kept = (await allEntries<string, Waiting>(store())).map(([, waiting]) => ({
    ...waiting,
    body: upgradeBody(waiting.kind, waiting.body),
  }));
  const open = kept.filter((waiting) => !answered.has(waiting.writeId));
  change({ loaded: true, waiting: open.sort((a, b) => a.seq - b.seq) });
}

/** Reads what earlier visits left and keeps sending. `stored` is told of every fact the server has taken. */
export async function startOutbox(stored: typeof onStored): Promise<void> {
  onStored = stored;
  await reload();
  others?.addEventListener('message', () => void reload());
  globalThis.addEventListener?.('online', () => void send());
  void send();
}

/** Puts writes in, durable when the promise resolves; sending starts by itself. */
export async function post(writes: readonly Omit<Waiting, 'seq' | 'trouble'>[]): Promise<void> {
  const first = (state.waiting[state.waiting.length - 1]?.seq ?? 0) + 1;
  postedAt = performance.now();
  const added = writes.map((write, index): Waiting => ({ ...write, seq: first + index, trouble: null }));
  change({ waiting: [...state.waiting, ...added] });
  for (const waiting of added) await set(waiting.writeId, waiting, store());
  others?.postMessage('changed');
  void send();
}

async function drop(writeId: string): Promise<void> {
  await del(writeId, store());
  change({ waiting: state.waiting.filter((waiting) => waiting.writeId !== writeId) });
  others?.postMessage('changed');
}

/** Answered writes whose record stays until what the server said has been kept too: a crash between leaves no gap. */
const answered = new Set<string>();

/** Called with the list taken before the cache was written: those records are no longer needed. */
export async function forget(writeIds: readonly string[]): Promise<void> {
  if (writeIds.length === 0) return;
  await delMany([...writeIds], store());
  for (const writeId of writeIds) answered.delete(writeId);
  others?.postMessage('changed');
}

export function answeredWrites(): string[] {
  return [...answered];
}

async function replace(writeId: string, next: Waiting): Promise<void> {
  if (next.writeId !== writeId) await del(writeId, store());
  await set(next.writeId, next, store());
  change({ waiting: state.waiting.map((waiting) => (waiting.writeId === writeId ? next : waiting)) });
}

/** Answers that the screen has not been told of yet, by the write they answer. */
const untold = new Map<string, { kind: FactKind; fact: FactOf<FactKind> }>();
let toldAt = -Infinity;
let postedAt = -Infinity;
let telling: ReturnType<typeof setTimeout> | undefined;

/** How often the screen is told while many writes go out in a row, ms: each telling redraws it. */
const TELL_EVERY_MS = 250;
/** What was just entered is drawn before the screen is told that the server has it, ms. */
const DRAWN_FIRST_MS = 250;

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
  for (const [, { kind, fact }] of told) onStored(kind, fact);
  const gone = new Set(told.map(([writeId]) => writeId));
  change({ waiting: state.waiting.filter((waiting) => !gone.has(waiting.writeId)) });
}

/** A fact with a write in trouble sends nothing more until the user has decided. */
function nextToSend(): Waiting | undefined {
  const held = new Set(state.waiting.filter((w) => w.trouble).map((w) => w.id));
  return state.waiting.find(
    (w) => !w.trouble && !untold.has(w.writeId) && !held.has(w.id) && !(w.roomId && held.has(w.roomId)),
  );
}

let sending = false;
let pause = 1000;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Sends what waits, oldest first, in one tab at a time. Backs off while the server does not answer. */
export async function send(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    if (globalThis.navigator?.locks) await navigator.locks.request('maquette-send', sendAll);
    else await sendAll();
    pause = 1000;
    noteReachable(true);
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    noteReachable(false);
    timer = setTimeout(() => void send(), pause);
    pause = Math.min(pause * 1.6, 8000);
  } finally {
    sending = false;
  }
  // A write posted while the last answer was being put away found the sender busy: it is this one's turn to see it.
  if (state.reachable && nextToSend()) void send();
}

async function sendAll(): Promise<void> {
  try {
    await sendEach();
  } finally {
    tellLater();
  }
}

async function sendEach(): Promise<void> {
  for (let next = nextToSend(); next; next = nextToSend()) {
    const { kind, id, roomId, baseVersion, writeId, deleted, body } = next;
    try {
      const fact = await api<FactOf<FactKind>>(factPath(kind, id, roomId), {
        method: 'PUT',
        body: { ...body, baseVersion, writeId, deleted },
      });
      untold.set(writeId, { kind, fact });
      if (untilTold() <= 0) tellAnswers();
      noteReachable(true);
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      if (error.problem.status === 429) throw new Unreachable('The server is busy');
      await replace(writeId, { ...next, trouble: error.problem });
    }
  }
}

/** Gives up the writes to one fact that the server refused, and all that were made on top of them. */
export async function discard(id: string): Promise<void> {
  for (const waiting of state.waiting.filter((w) => w.id === id)) await drop(waiting.writeId);
}

/** Sends the user's own value again, this time on top of what the server holds. */
export async function insist(id: string, newWriteId: string): Promise<void> {
  const own = state.waiting.filter((w) => w.id === id);
  const last = own[own.length - 1];
  const current = own.find((w) => w.trouble)?.trouble?.current as { version: number } | null | undefined;
  if (!last) return;
  for (const waiting of own.slice(0, -1)) await drop(waiting.writeId);
  await replace(last.writeId, { ...last, writeId: newWriteId, baseVersion: current?.version ?? 0, trouble: null });
  void send();
}
