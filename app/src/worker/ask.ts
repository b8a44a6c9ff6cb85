import type { RoomSet } from '@maquette/core';
import type { Answers, Ask, Crossing, Progress, Told } from './messages.ts';
import { startWorker } from './start-worker.ts';

type Without<T> = T extends unknown ? Omit<T, 'id'> : never;
type Question = Without<Ask>;
type Finished = Exclude<Told, { progress: Progress }>;

/**
 * A worker that answers the newest question only: one asked while it works replaces any that waits. A question asked
 * `later` is taken when nothing else waits, and is dropped by the next question.
 */
export interface Desk {
  ask: <K extends Ask['kind']>(
    question: Question & { kind: K },
    told: (answer: Answers[K] | null, reason: string | null) => void,
    when?: 'now' | 'later',
    progress?: (progress: Progress) => void,
  ) => void;
  /** Ends what is being worked on at once. */
  stop: () => void;
}

interface Asked {
  question: Question;
  told: (told: Finished) => void;
  progress?: (progress: Progress) => void;
}

const NOT_STARTED = 'What works this out could not be started. With a signal it can be fetched again.';

export function openDesk(): Desk {
  let worker: Worker | null = null;
  let busy: ({ id: number } & Pick<Asked, 'told' | 'progress'>) | null = null;
  let next: Asked | null = null;
  let later: Asked | null = null;
  let count = 0;
  /** What the worker has of a room. */
  let sent: RoomSet | null = null;

  function forget(): void {
    worker?.terminate();
    worker = null;
    sent = null;
    busy = null;
  }

  function start(): Worker {
    const made = startWorker();
    made.onmessage = (event: MessageEvent<Told>) => {
      if (!busy || event.data.id !== busy.id) return;
      if ('progress' in event.data) return busy.progress?.(event.data.progress);
      const { told } = busy;
      busy = null;
      // A newer question is waiting: its answer, not this one, is what the screen wants. Showing both keeps a run lively.
      told(event.data);
      post();
    };
    // Its script could not be fetched, or it broke off: whoever waits is told, and the next question has a new one.
    made.onerror = () => {
      if (made !== worker) return;
      const ended = busy;
      forget();
      ended?.told({ id: ended.id, ok: false, reason: NOT_STARTED });
      post();
    };
    return made;
  }

  /** Leaves out of a question about a room what the worker has: parts that are the very same object it was sent before. */
  function crossing(ask: Ask): Crossing {
    if (!('set' in ask)) return ask;
    const { set, ...rest } = ask;
    const before = sent?.room.id === set.room.id ? sent : null;
    const changed = Object.entries(set).filter(([name, part]) => before?.[name as keyof RoomSet] !== part);
    sent = set;
    return { ...rest, changed: Object.fromEntries(changed) };
  }

  function post(): void {
    const first = next ?? later;
    if (busy || !first) return;
    if (first === next) next = null;
    else later = null;
    worker ??= start();
    busy = { id: ++count, told: first.told, progress: first.progress };
    worker.postMessage(crossing({ ...first.question, id: busy.id } as Ask));
  }

  return {
    ask(question, told, when = 'now', progress) {
      const asked: Asked = {
        question,
        progress,
        told: (answer) => (answer.ok ? told(answer.answer as never, null) : told(null, answer.reason)),
      };
      if (when === 'later') later = asked;
      else {
        next = asked;
        later = null;
      }
      post();
    },
    stop() {
      forget();
      next = null;
      later = null;
    },
  };
}
