import { say, type Said } from '../said/index.ts';
import type { Verdict } from '../verdict/words.ts';

/** A verdict in the word that stands by its mark on paper. */
export function verdictWords(verdict: Verdict): Said {
  switch (verdict) {
    case 'lay':
      return say('report.verdictLay');
    case 'wait':
      return say('report.verdictWait');
    case 'work':
      return say('report.verdictWork');
    case 'measure':
      return say('report.verdictMeasure');
    case 'stop':
      return say('report.verdictStop');
  }
}

/** Which sheet of how many it is. */
export const sheetWords = (sheet: number, sheets: number): Said => say('report.sheetOf', { sheet, sheets });
