import type { Ask, Told } from './messages.ts';

/** A worker that answers when told to. */
export class MockWorker {
  static made: MockWorker[] = [];
  asked: Ask[] = [];
  ended = false;
  onmessage: ((event: { data: Told }) => void) | null = null;
  onerror: (() => void) | null = null;
  constructor() {
    MockWorker.made.push(this);
  }
  postMessage(ask: Ask) {
    this.asked.push(ask);
  }
  terminate() {
    this.ended = true;
  }
  answer(answer: unknown) {
    this.onmessage!({ data: { id: this.asked.at(-1)!.id, ok: true, answer: answer as never, tookMs: 1 } });
  }
}
