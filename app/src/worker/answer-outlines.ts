import { offeredOf, outlinesOf, type OfferedRooms } from '@maquette/core/formats/outlines';
import { answerText } from './answer-text.ts';
import type { OutlinesAsk } from './messages.ts';

/** A drawing of a house has no more lines; a larger one is of a town, or none. */
const LINES_MOST = 2_000_000;

/** The rooms that a drawing or a table of walls offers. Throws, in words, where the file is too large. */
export async function answerOutlines(
  { file, unit, units }: OutlinesAsk,
  share: (share: number) => void,
): Promise<OfferedRooms> {
  const { text, lines, cut } = await answerText({ file, linesMost: LINES_MOST }, share);
  if (cut)
    throw new Error(`It has ${lines.toLocaleString('en')} lines: ${LINES_MOST.toLocaleString('en')} are read at most`);
  return offeredOf(outlinesOf(text), units, unit);
}
