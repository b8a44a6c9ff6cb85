import { say, type Said } from '../said/index.ts';
import type { Caution, Stop } from './gate.ts';

/** Says whose decision something is: not the installer's. */
export const decidedBy = (who: Said): Said => say('hazards.decidedBy', { who });

/** Why something may not be done, and who decides, as one thought. */
export const stopSaid = ({ words, decides }: Pick<Stop, 'words' | 'decides'>): Said =>
  say('hazards.stopped', { what: words, who: decides });

/** A caution with who has the last word on it. */
export const cautionSaid = ({ words, decides }: Pick<Caution, 'words' | 'decides'>): Said =>
  say('hazards.cautioned', { what: words, who: decides });
