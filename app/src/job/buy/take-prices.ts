import type { readTable } from '@maquette/facts/table';
import type { Change } from '../../data/write.ts';
import { lineProblem, type LineProblem } from '../../files/line-problem.ts';

/**
 * Prices a table asks for. A line of this job changes the price it names or is new; one of another job's book is this job's from
 * now on, under an id of its own. Throws where the table is of something else.
 */
export function takePrices(
  read: ReturnType<typeof readTable>,
  { jobId, ids, newId }: { jobId: string; ids: readonly string[]; newId: () => string },
): { changes: Change[]; problems: LineProblem[] } {
  if (read.kind !== 'prices')
    throw new Error(`It is a table of ${read.kind}, not of prices: its first column is to be called prices.`);
  const problems = read.problems.map(lineProblem);
  const changes: Change[] = [];
  const seen = new Set<string>();
  for (const { id, line, body } of read.rows) {
    const isOurs = body['jobId'] === jobId;
    const reason =
      id === ''
        ? null
        : seen.has(id)
          ? `${id} stands in the table twice`
          : isOurs && !ids.includes(id)
            ? `there is no price ${id}: leave the id empty for a new one`
            : null;
    seen.add(id);
    if (reason) problems.push({ line, text: '', reason });
    else changes.push({ kind: 'prices', id: (isOurs && id) || newId(), body: { ...body, jobId } } as Change);
  }
  return { changes, problems: problems.sort((a, b) => a.line - b.line) };
}
