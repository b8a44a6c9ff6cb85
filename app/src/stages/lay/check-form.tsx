import { useState } from 'react';
import { View } from 'react-native';
import { boxChecks } from '@maquette/core/setout/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Words } from '../../ui/text.tsx';

const FIELDS = { prints: boxChecks.fields.prints, note: boxChecks.fields.note };
const LOOKED_AT = [
  ['locks', 'Locks: two planks close by hand, tight and level'],
  ['straight', 'Straight: none is bowed along a string'],
  ['colour', 'Colour and sheen: as the sample, and alike'],
] as const;
type Found = 'good' | 'bad';

/** The first box of a batch, looked through before the rest is opened. */
export function CheckForm({ shown, batch }: { shown: ShownRoom; batch: string }) {
  const before = shown.boxChecks.findLast((one) => one.batch === batch);
  const [begins] = useState(() => ({ prints: before?.prints ?? null, note: before?.note ?? '' }));
  const form = useDraftForm(FIELDS, begins, 'metric');
  const [found, setFound] = useState<Partial<Record<(typeof LOOKED_AT)[number][0], Found>>>(
    before ? { locks: before.locks, straight: before.straight, colour: before.colour } : {},
  );
  const [asked, setAsked] = useState<string | null>(null);
  const record = () => {
    const { locks, straight, colour } = found;
    if (!locks || !straight || !colour) {
      setAsked('Say of locks, straightness and colour whether each is good.');
      return;
    }
    setAsked(null);
    void form.record((body) =>
      write(`First box of batch ${batch}`, [
        {
          kind: 'boxChecks',
          id: newId(),
          roomId: shown.room!.id,
          body: { batch, locks, straight, colour, checkedAt: nowUtc(), ...body },
        },
      ]),
    );
  };
  return (
    <View style={{ gap: SPACE.gap }} testID="check-form">
      {LOOKED_AT.map(([name, label]) => (
        <Choice
          key={name}
          label={label}
          inline
          value={found[name] ?? ''}
          options={[
            { value: 'good', label: 'Good' },
            { value: 'bad', label: 'Not good' },
          ]}
          onChange={(value) => setFound({ ...found, [name]: value as Found })}
        />
      ))}
      <FactField
        form={form}
        name="prints"
        label="Figures of the print before they repeat"
        hint="Lay a box out and count. Nothing where every plank is its own, as with wood."
        decimals={0}
      />
      <FactField form={form} name="note" label="Note" />
      {asked ? <Words role="alert">{asked}</Words> : null}
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <Button label="Record what was found" onPress={record} />
    </View>
  );
}
