import { useRouter } from 'expo-router';
import { filled } from '@maquette/core/fields';
import { BLANK_JOB } from '@maquette/core/job';
import { KINDS } from '@maquette/facts';
import { newId } from '../data/ids.ts';
import type { ShownBook } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { FactField } from '../form/fact-field.tsx';
import { useDraftForm } from '../form/fact-form.ts';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { nextRank } from './next-rank.ts';

const NEW_JOB = { name: filled(KINDS.jobs.fields.name), currency: KINDS.jobs.fields.currency };
const UNNAMED = { name: '', currency: '' };

/** A job by its name: all else comes on its own page. */
export function NewJob({ jobs, onLeave }: { jobs: ShownBook['jobs']; onLeave: () => void }) {
  const router = useRouter();
  // Asked with the first job; those after it reckon in the same.
  const known = jobs.findLast((job) => job.currency)?.currency ?? '';
  const form = useDraftForm(NEW_JOB, UNNAMED, 'metric');
  const make = () =>
    form.record(async ({ name, currency }) => {
      const id = newId();
      const rank = nextRank(jobs, Date.now());
      const written = await write(`${name} added`, [
        { kind: 'jobs', id, body: { ...BLANK_JOB, name, currency: currency || known, rank } },
      ]);
      if (!written.ok) return written;
      onLeave();
      router.push(`/jobs/${id}`);
      return written;
    });
  return (
    <>
      <FactField form={form} name="name" label="What the job is called" />
      {known ? null : <FactField form={form} name="currency" label="Money in (such as £, € or kr)" />}
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <ButtonRow>
        <Button kind="main" label="Add the job" onPress={() => void make()} />
        <Button label="Leave it" onPress={onLeave} />
      </ButtonRow>
    </>
  );
}
