import { say, type Said } from '../said/index.ts';
import type { BarKind } from './bar.ts';

/** Bars by their names. */
export const BAR_WORDS: Record<Exclude<BarKind, 'measure' | 'make-good'>, Said> = {
  'run-through': say('verdict.barRunThrough'),
  flat: say('verdict.barFlat'),
  tilted: say('verdict.barTilted'),
  'ramp-bar': say('verdict.barRampBar'),
  reducer: say('verdict.barReducer'),
  'made-ramp': say('verdict.barMadeRamp'),
  nosing: say('verdict.barNosing'),
  'carpet-bar': say('verdict.barCarpetBar'),
};
