import { say, type Said } from '../said/index.ts';
import { type Wall } from '../room/index.ts';
import { parseLength, roundTo } from '../units/index.ts';
import { NOTHING_DRAWN, type DrawnPoint, type OutlinesOfFile } from './outline-drawn.ts';
import { cellsOf, delimiterOf, linesOf, numberOf, unitOfHeading } from './table-text.ts';

const COLUMNS = {
  room: /^(room|space|area|name)/i,
  wall: /^(wall|side|called)/i,
  length: /^(length|len\b|long|run)/i,
  turn: /^(turn|then)/i,
  angle: /^(angle|inside|corner.?angle)/i,
  x: /^(x|along|east)/i,
  y: /^(y|across|north)/i,
} as const;
type Role = keyof typeof COLUMNS;

const TURN_WORDS: readonly [RegExp, number][] = [
  [/^(left|l)$/i, 90],
  [/^(right|r)$/i, -90],
  [/^(straight|straight on|on|s)$/i, 0],
];
const SQUARE_DEG = 90;

/**
 * Walls of rooms from delimited text. Either a line for each wall: its length, and the turn at its far end (left, right, straight or
 * degrees, left positive) or the angle inside that corner; or a line for each corner: x and y. Lines of one room stand in their order,
 * walked with the room on the left hand. Units as the headings say, millimetres else. A line that is not taken takes its room with it:
 * a room without one of its walls is another room. Never throws.
 */
export function outlinesOfTable(text: string): OutlinesOfFile {
  const rows = linesOf(text);
  if (!rows[0]) return { ...NOTHING_DRAWN, missing: [say('formats.aHeader')] };
  const delimiter = delimiterOf(rows.slice(0, 5).map((l) => l.text));
  const headings = cellsOf(rows[0].text, delimiter);
  const index = (role: Role) => headings.findIndex((h) => COLUMNS[role].test(h));
  const taped = index('length') >= 0;
  if (!taped && (index('x') < 0 || index('y') < 0))
    return { ...NOTHING_DRAWN, missing: [say('formats.lengthsOrCorners')] };
  const problems: OutlinesOfFile['problems'] = [];
  const rooms = new Map<string, { walls: Wall[]; ring: DrawnPoint[]; faulty: boolean }>();
  for (const row of rows.slice(1)) {
    const cells = cellsOf(row.text, delimiter);
    const cell = (role: Role) => (index(role) < 0 ? '' : (cells[index(role)] ?? ''));
    const mm = (role: 'length' | 'x' | 'y') => parseLength(cell(role), unitOfHeading(headings[index(role)]!));
    const name = cell('room');
    const room = rooms.get(name) ?? { walls: [], ring: [], faulty: false };
    rooms.set(name, room);
    const refuse = (reason: Said) => {
      problems.push({ line: row.line, text: row.text, reason });
      room.faulty = true;
    };
    if (taped) {
      const length = mm('length');
      const turnDeg = turnOf(cell('turn'), cell('angle'));
      if (!length.ok) refuse(length.reason);
      else if (turnDeg === null) refuse(say('formats.turnUnknown', { text: cell('turn') || cell('angle') }));
      else {
        const called = cell('wall');
        // Numbers and W1, W2 are what a wall is called without a name of its own.
        const named = called !== '' && !/^w?\d+$/i.test(called);
        room.walls.push({
          lengthMm: roundTo(length.mm, 0.1),
          turnDeg,
          ...(named ? { name: called.slice(0, 40) } : {}),
        });
      }
    } else {
      const [x, y] = [mm('x'), mm('y')];
      if (!x.ok) refuse(x.reason);
      else if (!y.ok) refuse(y.reason);
      else room.ring.push([x.mm, y.mm]);
    }
  }
  for (const [name, { faulty }] of rooms)
    if (faulty)
      problems.push({ line: 0, text: name, reason: say('formats.roomWithFaultyLine', { name: name || '1' }) });
  const whole = [...rooms].filter(([, { faulty }]) => !faulty);
  const remarks = taped && index('turn') < 0 && index('angle') < 0 ? [say('formats.cornersTakenSquare')] : [];
  return {
    ...NOTHING_DRAWN,
    outlines: whole.map(([name, { walls, ring }]) => ({
      name: name === '' ? null : name.slice(0, 80),
      layer: null,
      shape: taped ? { walls } : { ring },
    })),
    unit: 'mm',
    problems,
    remarks,
  };
}

/** The turn at the far end of a wall, degrees to the left; square where neither is given; null where it is no turn. */
function turnOf(turn: string, inside: string): number | null {
  if (turn === '' && inside === '') return SQUARE_DEG;
  const plain = (text: string) => text.replace(/(°|deg(rees)?)$/i, '').trim();
  if (turn === '') {
    const angle = numberOf(plain(inside));
    return angle === null || angle <= 0 || angle >= 360 ? null : roundTo(180 - angle, 0.001);
  }
  return TURN_WORDS.find(([word]) => word.test(plain(turn)))?.[1] ?? numberOf(plain(turn));
}
