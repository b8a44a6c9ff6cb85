import { api, Refused } from '../data/api.ts';
import { outbox, queries } from '../data/device.ts';
import { newId } from '../data/ids.ts';
import { pickFiles, saveText } from '../data/save-text.ts';

/** Saves a whole job as one file. What waits is sent first, so that the file holds everything. Returns why it could not. */
export async function saveJob(jobId: string, name: string): Promise<string | null> {
  try {
    await outbox.send();
    if (outbox.get().waiting.length > 0)
      return 'Some readings are still on this device only. Save the job when they are sent.';
    const file = await api<object>(`/api/jobs/${jobId}/file`, { patient: true });
    saveText(
      `${name.toLowerCase().replace(/\W+/g, '-')}.maquette.json`,
      'application/json',
      JSON.stringify(file, null, 1),
    );
    return null;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}

/** How a job file that was chosen stands. */
export type BringIn =
  | { is: 'going'; name: string; words: string; stop: () => void }
  | { is: 'held'; name: string; words: string; asCopy: () => void; leave: () => void }
  | { is: 'refused'; name: string; problems: readonly string[] }
  | { is: 'stopped'; name: string }
  /** Asked to stop, and the server has not said since whether that was in time. */
  | { is: 'unsure'; name: string }
  | { is: 'here'; jobId: string };

/** How it ended, as the server tells afterwards: the job it became, or null where nothing of it is kept. */
interface Ended {
  jobId: string | null;
}
interface HowFar {
  phase: 'reading' | 'checking' | 'storing';
  done: number;
  total: number;
}
const PHASE_WORDS: Record<HowFar['phase'], string> = {
  reading: 'Reading the file',
  checking: 'Checking every fact',
  storing: 'Putting it in the book',
};
const ASK_EVERY_MS = 700;
/** Asked so often after Stop: half a minute. */
const STOP_TRIES = 43;

const farWords = ({ phase, done, total }: HowFar) =>
  `${PHASE_WORDS[phase]}${total > 0 ? `, ${Math.floor((100 * done) / total)} %` : ''}`;

/** What is wrong, each with its place in the file. */
function problemWords(error: unknown): string[] {
  if (!(error instanceof Refused)) return [error instanceof Error ? error.message : String(error)];
  const { errors, detail, title } = error.problem;
  if (!errors || errors.length === 0) return [detail ?? title];
  return errors.map(
    ({ line, field, value, message }) =>
      `${line === undefined ? '' : `Line ${line}: `}${field} ${value === null ? '' : `is ${JSON.stringify(value)}, and `}${message}`,
  );
}

/**
 * Asks for a job file and sends it; tells how it goes, and can be stopped. It waits as long as it takes. A job that is here in
 * another state comes in beside it only where that is asked for.
 */
export async function bringJobIn(tell: (state: BringIn | null) => void): Promise<void> {
  const [file] = await pickFiles('.json,application/json,.zip,application/zip', false);
  if (file) await send(file, false, tell);
}

async function send(file: File, copy: boolean, tell: (state: BringIn | null) => void): Promise<void> {
  const { name } = file;
  const as = newId();
  const stopped = new AbortController();
  const going = (words: string) => tell({ is: 'going', name, words, stop: () => stopped.abort() });
  let over = false;
  going('Sending the file');
  const asking = setInterval(() => {
    api<HowFar | Ended>(`/api/job-files/${as}`).then(
      (far) => (over || !('phase' in far) ? undefined : going(farWords(far))),
      () => undefined,
    );
  }, ASK_EVERY_MS);
  try {
    const { jobId } = await api<{ jobId: string }>(`/api/job-files?as=${as}${copy ? '&copy=1' : ''}`, {
      method: 'POST',
      file,
      signal: stopped.signal,
    });
    over = true;
    await queries.invalidateQueries();
    tell({ is: 'here', jobId });
  } catch (error) {
    over = true;
    if (stopped.signal.aborted) tell(await whetherInTime(as, name));
    else if (error instanceof Refused && error.problem.status === 409 && !copy)
      tell({
        is: 'held',
        name,
        words: `${error.problem.title}. ${error.problem.detail ?? ''}`,
        asCopy: () => void send(file, true, tell),
        leave: () => tell(null),
      });
    else tell({ is: 'refused', name, problems: problemWords(error) });
  } finally {
    clearInterval(asking);
  }
}

/** Asks how an import ended that was to stop: it may have been in the book by then. */
async function whetherInTime(as: string, name: string): Promise<BringIn> {
  for (let tries = 0; tries < STOP_TRIES; tries++) {
    try {
      const far = await api<HowFar | Ended>(`/api/job-files/${as}`);
      if (!('phase' in far)) {
        if (far.jobId === null) return { is: 'stopped', name };
        await queries.invalidateQueries();
        return { is: 'here', jobId: far.jobId };
      }
    } catch (error) {
      // It never got as far as the server.
      if (error instanceof Refused) return { is: 'stopped', name };
    }
    await new Promise((resolve) => setTimeout(resolve, ASK_EVERY_MS));
  }
  return {
    is: 'refused',
    name,
    problems: ['The server does not answer: whether it stopped in time shows in the book.'],
  };
}
