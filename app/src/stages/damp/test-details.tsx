import { StyleSheet, View } from 'react-native';
import type { DampTest } from '@maquette/core/damp';
import { only } from '@maquette/core/fields';
import { KINDS } from '@maquette/facts';
import type { RoomFacts } from '@maquette/core/room';
import { Choice } from '../../ui/choice.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useFactForm } from '../../form/fact-form.ts';

const DETAILS = only(
  KINDS.dampTests.fields,
  'startedAt',
  'depthMm',
  'startG',
  'areaM2',
  'offsetPercent',
  'instrument',
  'checkedOn',
);
const CHANGED_WORDS: Record<keyof typeof DETAILS, string> = {
  startedAt: 'time set',
  depthMm: 'depth',
  startG: 'weight',
  areaM2: 'area',
  offsetPercent: 'species',
  instrument: 'instrument',
  checkedOn: 'check',
};

/** What is recorded of a test besides its readings: when it was set, how deep, with what. */
export function TestDetails({
  test,
  change,
  units,
}: {
  test: DampTest;
  change: (words: string, part: Partial<DampTest>) => Promise<unknown>;
  units: RoomFacts['units'];
}) {
  const form = useFactForm(DETAILS, test, units, (part) =>
    change(`${test.name}: ${CHANGED_WORDS[Object.keys(part)[0] as keyof typeof DETAILS]}`, part),
  );
  return (
    <View style={styles.body}>
      {test.startedAt ? (
        <FactField form={form} name="startedAt" label={test.method === 'probe' ? 'Hole sealed at' : 'Set at'} />
      ) : null}
      {test.method === 'probe' || test.method === 'carbide' ? (
        <FactField form={form} name="depthMm" label="Depth" />
      ) : null}
      {test.method === 'dish' ? (
        <>
          <FactField form={form} name="startG" label="Weight when set" decimals={2} />
          <FactField form={form} name="areaM2" label="Area under the dome" decimals={4} />
        </>
      ) : null}
      {test.method === 'pin' ? (
        <>
          <Choice
            label="Pins in"
            inline
            value={test.of}
            options={[
              { value: 'base', label: 'The base' },
              { value: 'boards', label: 'The covering’s boards' },
            ]}
            onChange={(of) => void change(`${test.name}: pins`, { of })}
          />
          <FactField form={form} name="offsetPercent" label="Species offset, from the meter’s table" />
          <Choice
            label="The meter corrects for temperature"
            inline
            value={test.compensates ? 'yes' : 'no'}
            options={[
              { value: 'no', label: 'No' },
              { value: 'yes', label: 'Yes: not again' },
            ]}
            onChange={(v) => void change(`${test.name}: meter`, { compensates: v === 'yes' })}
          />
        </>
      ) : null}
      <FactField form={form} name="instrument" label="Instrument" />
      <FactField form={form} name="checkedOn" label="Last checked or calibrated" />
    </View>
  );
}

const styles = StyleSheet.create({ body: { gap: 10 } });
