import type { Problem } from '@maquette/facts';

/** The server answered and said no. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail ?? problem.title);
  }
}

/** The server did not answer: no signal, or it is not running. */
export class Unreachable extends Error {}

const PATIENCE_MS = 10_000;

/** One request to the API as JSON. Throws `Refused` or `Unreachable`, nothing else. */
export async function api<T>(path: string, init: { method?: string; body?: unknown } = {}): Promise<T> {
  let answer: Response;
  try {
    answer = await fetch(path, {
      method: init.method ?? 'GET',
      ...(init.body === undefined
        ? {}
        : { body: JSON.stringify(init.body), headers: { 'content-type': 'application/json' } }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
  } catch {
    throw new Unreachable('The server does not answer');
  }
  if (answer.ok) return (await answer.json().catch(() => ({}))) as T;
  // A gateway in between, or a server that is going down, is not a refusal of what was sent.
  if (answer.status >= 500) throw new Unreachable(`The server answered ${answer.status}`);
  const problem = (await answer.json().catch(() => ({
    type: 'about:blank',
    title: `The server answered ${answer.status}`,
    status: answer.status,
  }))) as Problem;
  throw new Refused(problem);
}
