import { useState } from 'react';
import { View } from 'react-native';
import { filled, only } from '@maquette/core/fields';
import { plankBoxes } from '@maquette/core/setout/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';

const FIELDS = {
  ...only(plankBoxes.fields, 'boxes', 'planksEach', 'stoodAt'),
  // A box without its batch cannot be told from another.
  batch: filled(plankBoxes.fields.batch),
};
const RIGHT = { isFlat: true, isOffConcrete: true, isOffOuterWall: true, isOffVentsAndSun: true, isOpened: false };
const WORDS: Record<keyof typeof RIGHT, string> = {
  isFlat: 'They lie flat',
  isOffConcrete: 'Off the concrete, on battens',
  isOffOuterWall: 'Away from outer walls',
  isOffVentsAndSun: 'Out of sun and vents',
  isOpened: 'They are open',
};

/** Boxes of one batch as they come: how many, when, and how they lie. */
export function BoxForm({ shown, inBox, boxes }: { shown: ShownRoom; inBox: number | null; boxes: number | null }) {
  const [begins] = useState(() => ({ batch: '', boxes, planksEach: inBox, stoodAt: nowUtc() }));
  const form = useDraftForm(FIELDS, begins, 'metric');
  const [lie, setLie] = useState(RIGHT);
  const record = () =>
    form.record(async (body) => {
      const written = await write(`Boxes of batch ${body.batch}`, [
        { kind: 'plankBoxes', id: newId(), roomId: shown.room!.id, body: { ...body, ...lie, note: '' } },
      ]);
      if (written.ok) {
        form.restart();
        setLie(RIGHT);
      }
      return written;
    });
  return (
    <View style={{ gap: SPACE.gap }} testID="box-form">
      <FactField form={form} name="batch" label="Batch number, as the label has it" />
      <FactField form={form} name="boxes" label="Boxes" decimals={0} />
      <FactField form={form} name="planksEach" label="Planks in a box" decimals={0} />
      <FactField form={form} name="stoodAt" label="Put into the room" />
      <ButtonRow>
        {(Object.keys(RIGHT) as (keyof typeof RIGHT)[]).map((name) => (
          <Button
            key={name}
            label={WORDS[name]}
            selected={lie[name]}
            onPress={() => setLie({ ...lie, [name]: !lie[name] })}
          />
        ))}
      </ButtonRow>
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <Button kind="main" label="Record the boxes" onPress={() => void record()} />
    </View>
  );
}
