import { StyleSheet, View } from 'react-native';
import { only, filled } from '@maquette/core/fields';
import type { RoomFacts } from '@maquette/core/room';
import { KINDS } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { useTimes } from '../../ui/shown-in.tsx';

const ASKED = {
  ...only(KINDS.cableTests.fields, 'ohm', 'insulationMOhm'),
  by: filled(KINDS.cableTests.fields.by),
};
const BLANK = { ohm: null, insulationMOhm: null, by: '' };

/** Tests of a heating cable by an electrician, before anything lies on it and after. */
export function CableTests({ shown, room }: { shown: ShownRoom; room: RoomFacts }) {
  const tests = shown.plain.cableTests;
  return (
    <View style={styles.box}>
      <Words bold>Cable tested</Words>
      {tests.map((test) => (
        <Words key={test.id} figure>
          {`${test.phase === 'before' ? 'Before' : 'After'} laying, ${test.day}, ${test.by}: ${test.ohm} Ω, insulation ${test.insulationMOhm} MΩ${test.insulationMOhm < 1 ? '. Under 1 MΩ it is not whole: nothing is laid on it.' : ''}`}
        </Words>
      ))}
      {(['before', 'after'] as const).map((phase) =>
        tests.some((test) => test.phase === phase && test.insulationMOhm >= 1) ? null : (
          <TestForm key={phase} room={room} phase={phase} />
        ),
      )}
    </View>
  );
}

function TestForm({ room, phase }: { room: RoomFacts; phase: 'before' | 'after' }) {
  const times = useTimes();
  const form = useDraftForm(ASKED, BLANK, room.units);
  const words = `Cable tested ${phase} laying`;
  const record = () =>
    form.record((body) =>
      write(words, [
        {
          kind: 'cableTests',
          id: newId(),
          roomId: room.id,
          body: { ...body, phase, day: times.localTime(nowUtc()).slice(0, 10), note: '' },
        },
      ]),
    );
  return (
    <View style={styles.box} testID={`cable-${phase}`}>
      <Words>{`${phase === 'before' ? 'Before' : 'After'} laying, by a licensed electrician`}</Words>
      <FactField form={form} name="ohm" label="Resistance of the cable" unit="Ω" />
      <FactField form={form} name="insulationMOhm" label="Insulation" unit="MΩ" />
      <FactField form={form} name="by" label="Who tested it" />
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <Button label={words} onPress={() => void record()} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.gap } });
