import Papa from 'papaparse';
import { wallName, type RoomFacts } from '../room/index.ts';
import { safeText } from './safe-text.ts';

const HEADER = ['room', 'wall', 'length_mm', 'turn_deg', 'measured'];

/** Walls of rooms, a line each in their order, as the reader of outlines takes them back: length, and turn to the left at the far end. */
export function wallsCsv(rooms: readonly Pick<RoomFacts, 'name' | 'walls'>[]): string {
  const rows = rooms.flatMap(({ name, walls }) =>
    walls.map(({ lengthMm, turnDeg, drawn }, i) => [
      safeText(name),
      safeText(wallName(walls, i)),
      lengthMm,
      turnDeg,
      drawn ? 'drawn' : 'taped',
    ]),
  );
  return `${Papa.unparse([HEADER, ...rows], { newline: '\r\n' })}\r\n`;
}
