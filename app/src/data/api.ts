import type { Problem } from '@maquette/facts';
import { clock } from './clock.ts';
import { serverDisk } from './server-disk.ts';

/** The server answered and said no. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail ?? problem.title);
  }
}

/** The server did not answer: no signal, it is not running, or something else answered in its place. */
export class Unreachable extends Error {}

/** The server itself answered that it could not do this: another request may fare better. */
export class ServerFailed extends Unreachable {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

const PATIENCE_MS = 10_000;
/** Every answer of the server carries this: a sign-in page, a gateway or an empty reply does not. */
const OURS = 'x-maquette-api';
/** What the server says it has stored: of a fact the write and its version, of a picture the digest of what arrived. */
const RECEIPT = 'x-maquette-receipt';

/** The server's own time, and what is wrong with its disk. */
const TIME = 'x-maquette-time';
const DISK = 'x-maquette-disk';

const NO_REASON: Omit<Problem, 'status'> = { type: 'about:blank', title: 'The server could not do this' };

/** Asks, and takes nothing for an answer but what this kind of server says. Throws `Unreachable`. */
export async function ask(path: string, init: RequestInit): Promise<Response> {
  let answer: Response;
  const askedMs = Date.now();
  try {
    answer = await fetch(path, { ...init, redirect: 'error' });
  } catch {
    throw new Unreachable('The server does not answer');
  }
  if (!answer.headers.has(OURS)) throw new Unreachable('Something else answers in the server’s place');
  clock.note(askedMs, Date.now(), answer.headers.get(TIME));
  serverDisk.note(answer.headers.get(DISK));
  if (answer.status >= 500)
    throw new ServerFailed(await jsonOf<Problem>(answer).catch(() => ({ ...NO_REASON, status: answer.status })));
  return answer;
}

/** The JSON of an answer, all of it: half a body is no answer. */
async function jsonOf<T>(answer: Response): Promise<T> {
  try {
    return (await answer.json()) as T;
  } catch {
    throw new Unreachable('The answer was cut off');
  }
}

interface Asked {
  method?: string;
  body?: unknown;
  /** Sent as it is; waits as long as it takes. */
  file?: Blob;
  /** Ends it from outside. */
  signal?: AbortSignal;
  /** Waits as long as it takes: a whole job is read by the server before it answers. */
  patient?: boolean;
}

const JSON_TYPE = { 'content-type': 'application/json' };

async function answered(
  path: string,
  { method = 'GET', body, file, signal, patient = false }: Asked,
): Promise<Response> {
  const content = file ?? (body === undefined ? undefined : JSON.stringify(body));
  const until = signal ?? (patient || file ? undefined : AbortSignal.timeout(PATIENCE_MS));
  const answer = await ask(path, {
    method,
    ...(content === undefined ? {} : { body: content, headers: JSON_TYPE }),
    ...(until ? { signal: until } : {}),
  });
  if (!answer.ok) throw new Refused(await jsonOf<Problem>(answer));
  return answer;
}

/** One request to the API as JSON. Throws `Refused` or `Unreachable`, nothing else. */
export const api = async <T>(path: string, asked: Asked = {}): Promise<T> => jsonOf<T>(await answered(path, asked));

/** Refuses an answer that does not say it has stored what was sent. */
export function checkReceipt(answer: Response, receipt: RegExp): void {
  if (!receipt.test(answer.headers.get(RECEIPT) ?? '')) throw new Unreachable('The answer is to something else');
}

/** Sends one write; it is stored when this resolves. Throws `Refused` or `Unreachable`. */
export async function putWrite<T>(path: string, body: { writeId: string; baseVersion: number }): Promise<T> {
  const answer = await answered(path, { method: 'PUT', body });
  checkReceipt(answer, new RegExp(`^${body.writeId} ${body.baseVersion + 1}$`));
  return jsonOf<T>(answer);
}
