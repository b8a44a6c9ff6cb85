import type { Answers, Ask, Told } from './messages.ts';

type Question = Omit<Ask, 'id'>;

/** A worker that answers the newest question only: one asked while it works replaces any that waits. */
export interface Desk {
  ask: <K extends Ask['kind']>(
    question: Question & { kind: K },
    told: (answer: Answers[K] | null, reason: string | null) => void,
  ) => void;
  /** Ends what is being worked on at once. */
  stop: () => void;
}

export function openDesk(): Desk {
  let worker: Worker | null = null;
  let busy: { id: number; told: (told: Told) => void } | null = null;
  let next: { question: Question; told: (told: Told) => void } | null = null;
  let count = 0;

  function start(): Worker {
    const made = new Worker(new URL('./room.worker', import.meta.url));
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
    if (busy || !next) return;
    worker ??= start();
    busy = { id: ++count, told: next.told };
    const question = next.question;
    next = null;
    worker.postMessage({ ...question, id: busy.id } satisfies Ask);
  }

  return {
    ask(question, told) {
      next = {
        question,
        told: (answer) => (answer.ok ? told(answer.answer as never, null) : told(null, answer.reason)),
      };
      post();
    },
    stop() {
      worker?.terminate();
      worker = null;
      busy = null;
      next = null;
    },
  };
}
