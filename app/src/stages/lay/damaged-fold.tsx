import { useState } from 'react';
import { only } from '@maquette/core/fields';
import type { StockLeft } from '@maquette/core/setout';
import { damagedPlanks } from '@maquette/core/setout/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { Button } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { SpareSeen } from './spare-seen.tsx';

const FIELDS = only(damagedPlanks.fields, 'planks', 'what');

/** Planks set aside: they count as gone, and are kept for the maker to see. */
export function DamagedFold({
  shown,
  planksDamaged,
  stock,
}: {
  shown: ShownRoom;
  planksDamaged: number;
  stock: StockLeft | null;
}) {
  const [begins] = useState({ planks: 1, what: '' });
  const form = useDraftForm(FIELDS, begins, 'metric');
  const record = () =>
    form.record(async (body) => {
      const written = await write(`${counted(body.planks, 'plank')} set aside`, [
        {
          kind: 'damagedPlanks',
          id: newId(),
          roomId: shown.room!.id,
          body: { ...body, batch: shown.plankBoxes.at(-1)?.batch ?? '', foundAt: nowUtc() },
        },
      ]);
      if (written.ok) form.restart();
      return written;
    });
  return (
    <Fold title="Damaged planks" aside={String(planksDamaged)} memory={`lay-damaged/${shown.room!.id}`}>
      {shown.damagedPlanks.map(({ id, planks, what, batch }) => (
        <Words
          key={id}
          size="small"
        >{`${counted(planks, 'plank')}${batch ? ` of batch ${batch}` : ''}: ${what || 'set aside'}`}</Words>
      ))}
      {stock ? <SpareSeen shown={shown} stock={stock} /> : null}
      <FactField form={form} name="planks" label="Planks set aside" decimals={0} />
      <FactField form={form} name="what" label="What is wrong with them" />
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <Button label="Set them aside" onPress={() => void record()} />
    </Fold>
  );
}
