/** On its own because the bundler finds workers by this exact expression. */
const start = () => new Worker(new URL('./room.worker', import.meta.url));

function createWorkers() {
  let spare: Worker | null = null;
  return {
    /** Starts a worker ahead of the first question: it reads its own script while the screen reads that of its stage. */
    warm() {
      if (spare) return;
      const ahead = start();
      // One that could not be fetched is no worker: the first question starts another, and hears why.
      ahead.onerror = () => (spare = spare === ahead ? null : spare);
      spare = ahead;
    },
    /** The room's worker, started. */
    start(): Worker {
      const warm = spare;
      spare = null;
      return warm ?? start();
    },
  };
}

const workers = createWorkers();
export const warmWorker = workers.warm;
export const startWorker = workers.start;
