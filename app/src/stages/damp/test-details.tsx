import { StyleSheet, View } from 'react-native';
import { DAMP_RANGES, type DampTest } from '@maquette/core/damp';
import type { RoomFacts } from '@maquette/core/room';
import { Choice } from '../../ui/choice.tsx';
import { Field } from '../../ui/field.tsx';
import { LengthField } from '../../bench/length-field.tsx';
import { NumberField } from '../../bench/number-field.tsx';
import { useFollowing } from '../../ui/use-following.ts';
import { TimeField } from './time-field.tsx';

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
  const [instrument, setInstrument] = useFollowing(test.instrument);
  const [checked, setChecked] = useFollowing(test.checkedOn);
  return (
    <View style={styles.body}>
      {test.startedAt ? (
        <TimeField
          label={test.method === 'probe' ? 'Hole sealed at' : 'Set at'}
          utc={test.startedAt}
          onTaken={(startedAt) => void change(`${test.name}: time set`, { startedAt })}
        />
      ) : null}
      {test.method === 'probe' || test.method === 'carbide' ? (
        <LengthField
          label="Depth"
          mm={test.depthMm}
          units={units}
          range={DAMP_RANGES.depthMm}
          onTaken={(depthMm) => void change(`${test.name}: depth`, { depthMm })}
        />
      ) : null}
      {test.method === 'dish' ? (
        <>
          <NumberField
            label="Weight when set"
            value={test.startG}
            unit="g"
            decimals={2}
            range={DAMP_RANGES.startG}
            onTaken={(startG) => void change(`${test.name}: weight`, { startG })}
          />
          <NumberField
            label="Area under the dome"
            value={test.areaM2}
            unit="m²"
            decimals={4}
            range={DAMP_RANGES.areaM2}
            onTaken={(areaM2) => void change(`${test.name}: area`, { areaM2 })}
          />
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
          <NumberField
            label="Species offset, from the meter’s table"
            value={test.offsetPercent}
            unit="%MC"
            range={DAMP_RANGES.offsetPercent}
            onTaken={(offset) => void change(`${test.name}: species`, { offsetPercent: offset ?? 0 })}
          />
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
      <Field
        label="Instrument"
        value={instrument}
        onChange={setInstrument}
        onDone={() =>
          instrument === test.instrument ? undefined : void change(`${test.name}: instrument`, { instrument })
        }
      />
      <Field
        label="Last checked or calibrated"
        value={checked}
        onChange={setChecked}
        onDone={() =>
          checked === test.checkedOn ? undefined : void change(`${test.name}: check`, { checkedOn: checked })
        }
      />
    </View>
  );
}

const styles = StyleSheet.create({ body: { gap: 10 } });
