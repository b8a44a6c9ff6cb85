import { api, Refused } from '../data/api.ts';
import { outbox, queries } from '../data/device.ts';
import { chooseFile, saveText } from '../data/save-text.ts';

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

/** Asks for a job file and stores it; beside the one held when it is here in another state. Returns the job's id. */
export async function bringJobIn(): Promise<string | null> {
  const chosen = await chooseFile('.json,application/json');
  if (!chosen) return null;
  let body: unknown;
  try {
    body = JSON.parse(new TextDecoder().decode(chosen.bytes));
  } catch {
    globalThis.alert(`${chosen.name} is not a job file: it cannot be read as JSON.`);
    return null;
  }
  const post = (query: string) =>
    api<{ jobId: string }>(`/api/job-files${query}`, { method: 'POST', body, patient: true });
  try {
    const { jobId } = await post('').catch((error: unknown) => {
      if (!(error instanceof Refused) || error.problem.status !== 409) throw error;
      if (!globalThis.confirm(`${error.problem.title}. ${error.problem.detail ?? ''} Bring it in as a copy?`))
        throw error;
      return post('?copy=1');
    });
    await queries.invalidateQueries();
    return jobId;
  } catch (error) {
    globalThis.alert(`${chosen.name} was not taken. ${error instanceof Error ? error.message : ''}`);
    return null;
  }
}
