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

const NEW_JOB = { name: filled(KINDS.jobs.fields.name) };
const UNNAMED = { name: '' };

/** A job by its name: all else comes on its own page. */
export function NewJob({ jobs, onLeave }: { jobs: ShownBook['jobs']; onLeave: () => void }) {
  const router = useRouter();
  const form = useDraftForm(NEW_JOB, UNNAMED, 'metric');
  const make = () =>
    form.record(async ({ name }) => {
      const id = newId();
      const rank = nextRank(jobs, Date.now());
      const written = await write(`${name} added`, [{ kind: 'jobs', id, body: { name, ...BLANK_JOB, rank } }]);
      if (!written.ok) return written;
      onLeave();
      router.push(`/jobs/${id}`);
      return written;
    });
  return (
    <>
      <FactField form={form} name="name" label="What the job is called" />
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <ButtonRow>
        <Button kind="main" label="Add the job" onPress={() => void make()} />
        <Button label="Leave it" onPress={onLeave} />
      </ButtonRow>
    </>
  );
}
