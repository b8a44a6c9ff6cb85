import { readOut } from '@maquette/words';
import { ScanProblem } from './index.ts';

/** What is said of a file that cannot be read; empty where it can. */
export function problemOf(read: () => unknown): string {
  try {
    read();
    return '';
  } catch (problem) {
    return problem instanceof ScanProblem ? readOut(problem.said) : String(problem);
  }
}
