import type { Method } from '../hazards/index.ts';
import { say, type Said } from '../said/index.ts';
import type { Quantity } from './quantities.ts';

/** What is usually done about a mark. `stop`: it is not the installer's to decide. */
export interface Usual {
  verdict?: 'stop' | 'work' | 'measure' | 'lay';
  words: Said;
  /** What hands and tools do to the floor for it, all of it: the hazard gate is asked of each. */
  does: readonly Method[];
  quantities?: Quantity[];
  cautions?: Said[];
  /** Who decides, where it is not the installer. */
  decides?: Said | null;
  /** What has to be measured before it can be said. */
  asks?: Said | null;
}

/** Nothing is touched. */
export const LOOK: readonly Method[] = ['look'];
export const ENGINEER = say('soundness.engineer');
export const DUST = say('soundness.dust');
/** Joists this far apart are assumed where nobody has recorded them. */
export const DEFAULT_JOISTS_MM = 400;
