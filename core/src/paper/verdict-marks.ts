import type { Verdict } from '../verdict/words.ts';

/** A verdict as the side view of a plank, in a box of 40 by 12: whole, half outlined, notched, ticked, broken. */
interface VerdictMark {
  path: string;
  isFilled: boolean;
  color: string;
  /** What is outlined beside it. */
  more?: string;
}

export const VERDICT_MARKS: Readonly<Record<Verdict, VerdictMark>> = {
  lay: { path: 'M0 0L40 0L40 12L0 12Z', isFilled: true, color: '#44662B' },
  wait: {
    path: 'M0 0L20 0L20 12L0 12Z',
    isFilled: true,
    color: '#8A6100',
    more: 'M20 0.6L39.4 0.6L39.4 11.4L20 11.4Z',
  },
  work: { path: 'M0 0L14 0L14 5L26 5L26 0L40 0L40 12L0 12Z', isFilled: true, color: '#A8452E' },
  measure: {
    path: 'M0.6 0.6L39.4 0.6L39.4 11.4L0.6 11.4ZM10 0.6L10 5M20 0.6L20 7M30 0.6L30 5',
    isFilled: false,
    color: '#59636A',
  },
  stop: { path: 'M0 0L16 0L12 12L0 12ZM24 0L40 0L40 12L20 12Z', isFilled: true, color: '#6B1F3A' },
};
