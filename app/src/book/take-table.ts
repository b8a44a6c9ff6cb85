import { isRoomKind, parentsOf, KINDS, type FactKind } from '@maquette/facts';
import type { readTable, Row } from '@maquette/facts/table';
import type { Change } from '../data/history.ts';
import { lineProblem, type LineProblem } from '../files/line-problem.ts';

type Read = ReturnType<typeof readTable>;

/** What is on this device of the job's rooms: the ids of each kind in each. */
export type HeldIds = (roomId: string, kind: FactKind) => readonly string[] | null;

/** Changes a table asks for, line by line: facts of the job's own rooms only, new ones under ids of their own. */
export function takeTable(
  read: Read,
  held: HeldIds,
  newId: () => string,
): { changes: Change[]; problems: LineProblem[] } {
  const problems = read.problems.map(lineProblem);
  const changes: Change[] = [];
  const seen = new Set<string>();
  for (const row of read.rows) {
    const reason = problemOf(read.kind, row, held) ?? (seen.has(row.id) ? `${row.id} stands in the table twice` : null);
    if (row.id !== '') seen.add(row.id);
    if (reason) problems.push({ line: row.line, text: '', reason });
    else changes.push({ kind: read.kind, id: row.id || newId(), roomId: row.roomId, body: row.body } as Change);
  }
  return { changes, problems: problems.sort((a, b) => a.line - b.line) };
}

function problemOf(kind: FactKind, { id, roomId, body }: Row, held: HeldIds): string | null {
  if (!isRoomKind(kind)) return `${kind} are not taken from a table: they have pages of their own`;
  const own = held(roomId ?? '', kind);
  if (!own) return `the room ${roomId || 'that is not named'} is not one of this job`;
  if (id !== '' && !own.includes(id)) return `there is no ${id} in that room: leave the id empty for something new`;
  for (const { field, of } of parentsOf(KINDS[kind])) {
    const parent = String(body[field]);
    if (!held(roomId!, of as FactKind)?.includes(parent)) return `${field}: there is no ${parent} in that room`;
  }
  return null;
}
