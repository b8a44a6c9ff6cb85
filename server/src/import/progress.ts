/** What an import is doing. In this order; a file that is refused ends where it was found out. */
export const PHASES = ['reading', 'checking', 'storing'] as const;
export type Phase = (typeof PHASES)[number];

/** Shared between the thread that works and the one that is asked: phase, done, total, and whether to stop. */
export type Gauge = Int32Array<SharedArrayBuffer>;
const [PHASE, DONE, TOTAL, STOP] = [0, 1, 2, 3];

export const newGauge = (): Gauge => new Int32Array(new SharedArrayBuffer(4 * Int32Array.BYTES_PER_ELEMENT));

/** Somebody has asked for the import to end: nothing of it is kept. */
export class Stopped extends Error {}

/** Tells how far the work is, and ends it where that was asked for. @throws Stopped */
export function tell(gauge: Gauge, phase: Phase, done: number, total: number): void {
  if (Atomics.load(gauge, STOP) === 1) throw new Stopped();
  Atomics.store(gauge, PHASE, PHASES.indexOf(phase));
  Atomics.store(gauge, DONE, done);
  Atomics.store(gauge, TOTAL, total);
}

export const askToStop = (gauge: Gauge): void => void Atomics.store(gauge, STOP, 1);
export const isToStop = (gauge: Gauge): boolean => Atomics.load(gauge, STOP) === 1;

export const howFar = (gauge: Gauge): { phase: Phase; done: number; total: number } => ({
  phase: PHASES[Atomics.load(gauge, PHASE)]!,
  done: Atomics.load(gauge, DONE),
  total: Atomics.load(gauge, TOTAL),
});
