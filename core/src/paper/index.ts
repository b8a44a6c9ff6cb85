export { boxPath, type Drawing, type Ink, pathOf, type PathMark, type TextMark } from './drawing.ts';
export {
  type Block,
  type Paper,
  type PaperColumn,
  type PaperFigure,
  type PaperPage,
  type PaperSize,
  SHEET_PT,
  type VerdictRow,
} from './paper.ts';
export { recordCode, shortId, squareCode } from './square-code.ts';
export { sheetWords, verdictWords } from './paper-words.ts';
export { VERDICT_MARKS } from './verdict-marks.ts';
