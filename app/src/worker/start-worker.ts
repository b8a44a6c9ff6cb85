/** The room's worker, started. On its own because the bundler finds workers by this exact expression. */
export function startWorker(): Worker {
  return new Worker(new URL('./room.worker', import.meta.url));
}
