import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { DAMP_METHODS, GRADES_OF, METHOD_SPECS, type DampTest } from '@maquette/core/damp';
import type { RoomFacts } from '@maquette/core/room';
import { Listen } from '../../bench/listen.tsx';
import type { InstrumentName } from '../../bench/use-instrument.ts';
import { only } from '@maquette/core/fields';
import { KINDS } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';

const INSTRUMENT_OF: Partial<Record<DampTest['method'], InstrumentName>> = {
  probe: 'probe-reader',
  pin: 'pin-meter',
  survey: 'survey-meter',
};

/** What a reading takes by each method: its figure is bounded by what the instrument can show. */
const READINGS_BY = Object.fromEntries(
  DAMP_METHODS.map((method) => {
    const { min, max, unit } = METHOD_SPECS[method];
    const value = { spec: { type: 'figure', min, max, unit, whole: false }, orNull: false, mayLack: false } as const;
    return [method, { ...only(KINDS.dampReadings.fields, 'sampleG', 'tempC', 'who', 'takenAt'), value }];
  }),
) as Record<
  DampTest['method'],
  Pick<typeof KINDS.dampReadings.fields, 'sampleG' | 'tempC' | 'who' | 'takenAt' | 'value'>
>;

/** The next reading: from the pad, the keyboard or an instrument alike. */
export function NextReading({
  shown,
  test,
  roomId,
  room,
}: {
  shown: ShownRoom;
  test: DampTest;
  roomId: string;
  room: RoomFacts;
}) {
  const say = useSay();
  const palette = usePalette();
  const spec = METHOD_SPECS[test.method];
  const [begins] = useState(() => ({
    who: [...shown.dampReadings].sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1)).at(-1)?.who ?? '',
    takenAt: nowUtc(),
  }));
  const form = useDraftForm(READINGS_BY[test.method], begins, room.units);
  const [own, setOwn] = useState(false);
  const name = INSTRUMENT_OF[test.method] ?? null;
  const grades = test.method === 'film' ? GRADES_OF.film : test.method === 'scratch' ? GRADES_OF.scratch : null;
  const grade = form.standing('value');
  const keep = () =>
    form.record((reading) =>
      write(`${test.name} read`, [
        {
          kind: 'dampReadings',
          id: newId(),
          roomId,
          body: { testId: test.id, ...reading, takenAt: own ? reading.takenAt : nowUtc(), note: '' },
        },
      ]),
    );
  return (
    <View style={styles.body}>
      {grades ? (
        <Choice
          label={say(spec.asks)}
          inline
          value={grade === null ? '' : String(grade)}
          options={grades.map((label, i) => ({ value: String(i), label: say(label) }))}
          onChange={(chosen) => void form.put('value', Number(chosen))}
        />
      ) : (
        <FactField
          form={form}
          name="value"
          label={say(spec.asks)}
          {...(test.method === 'carbide' && form.standing('sampleG') !== null ? { unit: 'bar' } : {})}
          decimals={test.method === 'dish' || test.method === 'carbide' ? 2 : 1}
        />
      )}
      {grades && form.asks('value') ? (
        <Words role="alert" size="small" color={palette.verdict.stop}>
          Say which of these it is.
        </Words>
      ) : null}
      {test.method === 'carbide' ? (
        <FactField form={form} name="sampleG" label="Mass of the sample, when the gauge shows bar" />
      ) : null}
      {test.method !== 'film' && test.method !== 'scratch' && test.method !== 'survey' ? (
        <FactField form={form} name="tempC" label="Temperature there" />
      ) : null}
      <FactField form={form} name="who" label="Read by" />
      {own ? <FactField form={form} name="takenAt" label="Read at" /> : null}
      {name ? (
        <Listen
          name={name}
          words="the instrument"
          room={room}
          at={test}
          shows={(shown) => `${shown.toFixed(1)} ${spec.unit}`}
          onHold={(shown, there) => {
            void form.put('value', shown);
            if (there !== null) void form.put('tempC', there);
          }}
        />
      ) : null}
      {form.problem ? (
        <Words role="alert" size="small" color={palette.verdict.stop}>
          {form.problem}
        </Words>
      ) : null}
      <ButtonRow>
        <Button kind="main" label="Keep the reading" onPress={() => void keep()} />
        {!own ? <Button label="Another time" onPress={() => setOwn(true)} /> : null}
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({
  body: { gap: 10 },
});
