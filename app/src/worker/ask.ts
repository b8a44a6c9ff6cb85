import type { Answers, Ask, Told } from './messages.ts';
import { startWorker } from './start-worker.ts';

type Question = Omit<Ask, 'id'>;

/**
 * A worker that answers the newest question only: one asked while it works replaces any that waits. A question asked
 * `later` is taken when nothing else waits, and is dropped by the next question.
 */
export interface Desk {
  ask: <K extends Ask['kind']>(
    question: Question & { kind: K },
    told: (answer: Answers[K] | null, reason: string | null) => void,
    when?: 'now' | 'later',
  ) => void;
  /** Ends what is being worked on at once. */
  stop: () => void;
}

interface Asked {
  question: Question;
  told: (told: Told) => void;
}

export function openDesk(): Desk {
  let worker: Worker | null = null;
  let busy: { id: number; told: (told: Told) => void } | null = null;
  let next: Asked | null = null;
  let later: Asked | null = null;
  let count = 0;

  function start(): Worker {
    const made = startWorker();
    made.onmessage = (event: MessageEvent<Told>) => {
      if (!busy || event.data.id !== busy.id) return;
      const { told } = busy;
      busy = null;
      // A newer question is waiting: its answer, not this one, is what the screen wants. Showing both keeps a run lively.
      told(event.data);
      post();
    };
    return made;
  }

  function post(): void {
    const first = next ?? later;
    if (busy || !first) return;
    if (first === next) next = null;
    else later = null;
    worker ??= start();
    busy = { id: ++count, told: first.told };
    worker.postMessage({ ...first.question, id: busy.id } satisfies Ask);
  }

  return {
    ask(question, told, when = 'now') {
      const asked: Asked = {
        question,
        told: (answer: Told) => (answer.ok ? told(answer.answer as never, null) : told(null, answer.reason)),
      };
      if (when === 'later') later = asked;
      else {
        next = asked;
        later = null;
      }
      post();
    },
    stop() {
      worker?.terminate();
      worker = null;
      busy = null;
      next = null;
      later = null;
    },
  };
}
