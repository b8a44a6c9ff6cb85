import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { PointMm, RoomFacts } from '@maquette/core/room';
import { Button } from '../ui/button.tsx';
import { STATE_WORDS, useInstrument, type InstrumentName, type Live } from './use-instrument.ts';
import { SPACE } from '../theme/theme.tsx';

/** What an instrument shows, held when the user says so; while there is nothing to hold the key says why. */
export function Listen({
  name,
  words,
  room,
  at,
  shows,
  onHold,
}: {
  name: InstrumentName;
  /** The instrument in words: `the hygrometer`. */
  words: string;
  room: Pick<RoomFacts, 'id'>;
  at?: PointMm;
  /** A value as the key shows it. */
  shows: (value: number, tempC: number | null) => string;
  onHold: (value: number, tempC: number | null) => void;
}) {
  const [listening, setListening] = useState(false);
  const live = useInstrument(listening ? name : null, room, at);
  const held = heldOf(live);
  return (
    <View style={styles.row}>
      <Button label={listening ? 'Stop listening' : `Listen to ${words}`} onPress={() => setListening(!listening)} />
      {listening ? (
        <Button
          label={held ? `Hold ${shows(held.value, held.tempC)}` : STATE_WORDS[live.state]}
          off={held ? null : 'There is nothing to hold yet.'}
          hint={live.batteryPct === null ? undefined : `battery ${live.batteryPct} %`}
          onPress={() => held && onHold(held.value, held.tempC)}
        />
      ) : null}
    </View>
  );
}

const tenth = (value: number) => Math.round(value * 10) / 10;

/** The value to hold, to a tenth: what the key shows is what is taken. */
function heldOf({ value, tempC }: Live): { value: number; tempC: number | null } | null {
  return value === null ? null : { value: tenth(value), tempC: tempC === null ? null : tenth(tempC) };
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.gap } });
