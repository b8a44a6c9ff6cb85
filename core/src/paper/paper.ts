import type { Sayable } from '../said/index.ts';
import type { Verdict } from '../verdict/words.ts';
import type { Drawing } from './drawing.ts';

export type PaperSize = 'A4' | 'Letter';
/** Sheets in points of a seventy-second of an inch: ISO 216, ANSI/ASME Y14.1. */
export const SHEET_PT: Readonly<Record<PaperSize, readonly [width: number, height: number]>> = {
  A4: [595.28, 841.89],
  Letter: [612, 792],
};

/** A drawing with what it shows in words: a caption, and a text for whoever cannot see it. */
export interface PaperFigure {
  title: Sayable;
  drawing: Drawing;
  alt: Sayable;
  /** A figure that is read from afar, beside the title. */
  figure?: Sayable;
}

export interface PaperColumn {
  title: Sayable;
  /** Share of the width; shares are added up. */
  share: number;
  isFigure?: boolean;
}

/** A room by its verdict, as the first page lists them. */
export interface VerdictRow {
  verdict: Verdict;
  name: Sayable;
  figure: Sayable;
  under: Sayable;
  /** Id of the page that has its evidence. */
  page: string;
}

/** What stands on a page, one after another. */
export type Block =
  | { is: 'lead'; text: Sayable }
  /** With an id other pages can lead to it. */
  | { is: 'heading'; text: Sayable; id?: string }
  | { is: 'text'; text: Sayable; quiet?: boolean; bold?: Sayable }
  | { is: 'list'; items: readonly Sayable[] }
  /** A label with what belongs to it, line by line. */
  | { is: 'verdicts'; rows: readonly VerdictRow[] }
  | { is: 'table'; columns: readonly PaperColumn[]; rows: readonly (readonly Sayable[])[] }
  | { is: 'pairs'; rows: readonly (readonly [label: Sayable, lines: readonly Sayable[]])[] }
  /** Side by side, two at most. */
  | { is: 'figures'; figures: readonly PaperFigure[] }
  /** Photographs by the digest they are named by, each with what it is of. */
  | { is: 'photographs'; photographs: readonly { sha256: string; words: Sayable }[] }
  /** Lines to write on. */
  | { is: 'rules'; count: number; label: Sayable }
  /** A signature as it was drawn: strokes as paths in a box of so many units. */
  | { is: 'signature'; path: string; width: number; height: number; name: Sayable };

export interface PaperPage {
  /** By which other pages lead to it. */
  id: string;
  title: Sayable;
  under: Sayable;
  /** It may begin where there is room left on a sheet; else it begins one of its own. */
  flows?: boolean;
  blocks: readonly Block[];
}

/** A paper before it is laid out: what it says and draws, page by page. A page may run over several sheets. */
export interface Paper {
  title: Sayable;
  /** Who or what it is of: the job and its day. */
  about: Sayable;
  /** Stands at the foot of every sheet. */
  foot: Sayable;
  /** Short text at the head of every sheet, such as the chain’s last digest; empty where there is none. */
  mark: Sayable;
  /** Square code on the first sheet; null where there is none. */
  code: Drawing | null;
  pages: readonly PaperPage[];
}
