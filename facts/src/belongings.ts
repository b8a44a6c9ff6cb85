import { isRoomKind, KINDS, parentsOf, type FactKind } from './kinds.ts';
import type { SaidProblem } from './problem.ts';

interface Filed {
  kind: FactKind;
  id: string;
  roomId: string | null;
  version: number;
  body: Record<string, unknown>;
  replaced: readonly { version: number }[];
}

/**
 * What in a job file does not belong to its job: two jobs or none, an id twice, a room that is not in the file, a parent that is
 * missing, an older version that is no older, a picture of nothing. Each with its place in the file; nothing outside it is named.
 */
export function belongings(file: {
  facts: readonly Filed[];
  pictures?: readonly { photoId: string }[];
}): SaidProblem[] {
  const problems: SaidProblem[] = [];
  const say = (field: string, value: unknown, message: string) => problems.push({ field, value, message });
  const byId = new Map<string, Filed>();
  const jobs = file.facts.filter(({ kind }) => kind === 'jobs');
  if (jobs.length !== 1) say('facts', `${jobs.length} jobs`, 'takes one job with what belongs to it');
  for (const [index, fact] of file.facts.entries()) {
    if (byId.has(fact.id)) say(`facts[${index}].id`, fact.id, 'stands in the file twice');
    byId.set(fact.id, fact);
  }
  file.facts.forEach((fact, index) => {
    const { kind, roomId, body, version, replaced } = fact;
    const at = `facts[${index}]`;
    if (isRoomKind(kind) ? byId.get(roomId ?? '')?.kind !== 'rooms' : roomId !== null)
      say(
        `${at}.roomId`,
        roomId,
        isRoomKind(kind) ? 'takes the id of a room in the file' : `takes null: ${kind} lie in no room`,
      );
    for (const { field, of } of parentsOf(KINDS[kind])) {
      const parent = byId.get(String(body[field]));
      if (parent?.kind !== of || (parent.roomId !== null && parent.roomId !== roomId))
        say(`${at}.body.${field}`, body[field], `takes the id of one of the ${of} in the file`);
    }
    replaced.forEach((old, i) => {
      const next = replaced[i + 1]?.version ?? version;
      if (old.version >= next)
        say(`${at}.replaced[${i}].version`, old.version, `takes less than ${next}, which replaced it`);
    });
  });
  const pictures = new Set<string>();
  (file.pictures ?? []).forEach(({ photoId }, index) => {
    if (byId.get(photoId)?.kind !== 'photos')
      say(`pictures[${index}].photoId`, photoId, 'takes the id of a photograph in the file');
    if (pictures.has(photoId)) say(`pictures[${index}].photoId`, photoId, 'stands in the file twice');
    pictures.add(photoId);
  });
  return problems;
}
