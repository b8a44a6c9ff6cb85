import { squareCode, type Block, type Paper } from '../../paper/index.ts';
import { dayOf, say, type Sayable } from '../../said/index.ts';

/** Where a paper for the floor comes from: its job, its day, and the address of the same page in the app. */
export interface FloorPaperOf {
  job: string;
  atUtc: string;
  /** Read by a phone from the square code; empty where there is none. */
  address: string;
}

/** A paper to take to the floor: one page in one style, with the way back to the app. */
export const floorPaper = ({ job, atUtc, address }: FloorPaperOf, title: Sayable, blocks: readonly Block[]): Paper => ({
  title,
  about: say('report.about', { job, day: dayOf(atUtc) }),
  foot: say('report.sameInApp'),
  mark: '',
  code: address === '' ? null : squareCode(address),
  pages: [{ id: 'sheet', title, under: '', blocks }],
});
