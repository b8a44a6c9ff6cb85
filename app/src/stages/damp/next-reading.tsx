import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { DAMP_RANGES, GRADES_OF, METHOD_SPECS, type DampTest } from '@maquette/core/damp';
import type { RoomFacts } from '@maquette/core/room';
import { Listen } from '../../bench/listen.tsx';
import type { InstrumentName } from '../../bench/use-instrument.ts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette } from '../../theme/theme.tsx';
import { useAskedBack } from '../../ui/asked-back.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Field } from '../../ui/field.tsx';
import { NumberField } from '../../bench/number-field.tsx';
import { Words } from '../../ui/text.tsx';
import { TimeField } from './time-field.tsx';
import { useSay } from '../../ui/shown-in.tsx';

const INSTRUMENT_OF: Partial<Record<DampTest['method'], InstrumentName>> = {
  probe: 'probe-reader',
  pin: 'pin-meter',
  survey: 'survey-meter',
};

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
  const [value, setValue] = useState<number | null>(null);
  const [sampleG, setSample] = useState<number | null>(null);
  const [tempC, setTemp] = useState<number | null>(null);
  const [at, setAt] = useState(nowUtc);
  const [own, setOwn] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const name = INSTRUMENT_OF[test.method] ?? null;
  const grades = test.method === 'film' ? GRADES_OF.film : test.method === 'scratch' ? GRADES_OF.scratch : null;
  const [who, setWho] = useState(
    () => [...shown.dampReadings].sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1)).at(-1)?.who ?? '',
  );
  const { onProblem, askedBack } = useAskedBack();
  const keep = async () => {
    if (askedBack) return setProblem(askedBack);
    if (value === null) return setProblem(`Still needed: ${say(spec.asks).toLowerCase()}`);
    const written = await write(`${test.name} read`, [
      {
        kind: 'dampReadings',
        id: newId(),
        roomId,
        body: { testId: test.id, takenAt: own ? at : nowUtc(), value, sampleG, tempC, who, note: '' },
      },
    ]);
    return setProblem(written.ok ? null : written.problems.map((p) => `${p.field} ${p.message}`).join('; '));
  };
  return (
    <View style={styles.body}>
      {grades ? (
        <Choice
          label={say(spec.asks)}
          inline
          value={value === null ? '' : String(value)}
          options={grades.map((label, i) => ({ value: String(i), label: say(label) }))}
          onChange={(v) => setValue(Number(v))}
        />
      ) : (
        <NumberField
          onProblem={onProblem}
          label={say(spec.asks)}
          value={value}
          unit={test.method === 'carbide' && sampleG !== null ? 'bar' : spec.unit}
          range={{ min: spec.min, max: spec.max }}
          decimals={test.method === 'dish' || test.method === 'carbide' ? 2 : 1}
          onTaken={setValue}
        />
      )}
      {test.method === 'carbide' ? (
        <NumberField
          onProblem={onProblem}
          label="Mass of the sample, when the gauge shows bar"
          value={sampleG}
          unit="g"
          range={DAMP_RANGES.sampleG}
          empty
          onTaken={setSample}
        />
      ) : null}
      {test.method !== 'film' && test.method !== 'scratch' && test.method !== 'survey' ? (
        <NumberField
          onProblem={onProblem}
          label="Temperature there"
          value={tempC}
          unit="°C"
          range={DAMP_RANGES.tempC}
          empty
          onTaken={setTemp}
        />
      ) : null}
      <Field label="Read by" value={who} onChange={setWho} />
      {own ? <TimeField label="Read at" utc={at} onTaken={setAt} /> : null}
      {name ? (
        <Listen
          name={name}
          words="the instrument"
          room={room}
          at={test}
          shows={(shown) => `${shown.toFixed(1)} ${spec.unit}`}
          onHold={(shown, there) => {
            setValue(shown);
            if (there !== null) setTemp(there);
          }}
        />
      ) : null}
      {problem ? (
        <Words role="alert" size="small" color={palette.verdict.stop}>
          {problem}
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
