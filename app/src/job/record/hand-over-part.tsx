import { useState } from 'react';
import { filled, only } from '@maquette/core/fields';
import { missingOf, type HoldPoint } from '@maquette/core/report';
import { KINDS } from '@maquette/facts';
import type { RecordFacts } from '@maquette/facts/job-facts';
import { newId, nowUtc } from '../../data/ids.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { PartBox } from './part-box.tsx';
import { useSealing } from './seal-now.ts';
import { SignaturePad } from './signature-pad.tsx';
import type { PaperMaker } from './use-record.ts';

const FIELDS = {
  by: filled(KINDS.handOvers.fields.by),
  ...only(KINDS.handOvers.fields, 'sparePlanks', 'batch', 'furnitureFrom'),
};

interface Props {
  jobId: string;
  facts: RecordFacts;
  holds: readonly HoldPoint[];
  paper: PaperMaker;
}

/** The job handed over: what is still missing, who takes it, what stays with the house, and its seal. */
export function HandOverPart({ jobId, facts, holds, paper }: Props) {
  const say = useSay();
  const { localTime } = useTimes();
  const [signature, setSignature] = useState('');
  const sealing = useSealing(jobId);
  const last = facts.handOvers.at(-1) ?? null;
  const missing = holds.flatMap((hold) =>
    missingOf(hold).map((one) => ({
      key: `${hold.roomId}/${hold.cover}/${say(one)}`,
      words: `${hold.roomName}: ${say(one)}`,
    })),
  );
  const form = useDraftForm(FIELDS, { by: '', sparePlanks: 0, batch: '', furnitureFrom: '' }, 'metric');
  const handOver = () =>
    form.record((body) =>
      write('Handed over', [
        { kind: 'handOvers', id: newId(), body: { jobId, handedAt: nowUtc(), signature, note: '', ...body } },
      ]),
    );
  return (
    <PartBox>
      {last ? <Words bold>{`Taken over by ${last.by}, ${localTime(last.handedAt)}.`}</Words> : null}
      {missing.length > 0 ? (
        <Fold title="Missing from the evidence" aside={counted(missing.length, 'thing')} memory={`${jobId}/missing`}>
          {missing.map(({ key, words }) => (
            <Words key={key} size="small">
              {words}
            </Words>
          ))}
        </Fold>
      ) : (
        <Words>Nothing is missing from the evidence.</Words>
      )}
      <FactField form={form} name="by" label="Who takes it over" />
      <FactField form={form} name="sparePlanks" label="Spare planks left with the house" />
      <FactField form={form} name="batch" label="Batch of the planks" />
      <FactField form={form} name="furnitureFrom" label="Furniture may return from" hint="Day, such as 2026-12-14" />
      <SignaturePad onDrawn={setSignature} />
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      {sealing.share !== null ? (
        <Words role="status" figure>{`Sealing, ${Math.round(sealing.share * 100)} % …`}</Words>
      ) : null}
      {sealing.failed ? <Words role="alert">{sealing.failed}</Words> : null}
      <ButtonRow>
        <Button label={last ? 'Hand over again' : 'Hand over'} onPress={() => void handOver()} />
        <Button
          label="Seal at hand-over"
          off={last ? null : 'Hand over first: the seal holds who took it.'}
          onPress={() => void sealing.seal({ sealedFor: 'hand-over', ofRoomId: null })}
        />
      </ButtonRow>
      <ButtonRow>
        <Button
          label="Save the hand-over sheet"
          hint="care, cautions and a page for the next trade"
          onPress={() => paper.make({ paper: 'hand-over' }, 'hand-over')}
        />
      </ButtonRow>
    </PartBox>
  );
}
