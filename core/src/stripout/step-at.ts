import type { Said } from '../said/index.ts';
/** The finished floor at one opening under a choice. */
export interface StepAt {
  openingId: string;
  name: Said;
  /** Finished level here less finished level beyond, mm; null while the level beyond is not measured. */
  stepMm: number | null;
}
