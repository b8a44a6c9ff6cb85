import { StyleSheet, View } from 'react-native';
import type { ChalkPoint } from '@maquette/core/levelling';
import type { RoomFacts } from '@maquette/core/room';
import { formatReach } from '@maquette/core/units';
import { bodyOf } from '@maquette/facts';
import { spokenPlace, useSpoken } from '../../bench/speak.ts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write, type Change } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { isChalked } from './chalked.ts';
import { useSay } from '../../ui/shown-in.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  points: readonly ChalkPoint[];
  at: number;
  onAt: (index: number) => void;
}

/** Marking out on the floor: the next point with its two tapes in the largest type, ticked when it is chalked. */
export function ChalkTab({ shown, room, points, at, onAt }: Props) {
  const say = useSay();
  const palette = usePalette();
  const point = points[at];
  useSpoken(
    point
      ? spokenPlace(
          `${point.label}, point ${point.number}`,
          point.tapes.map(({ distanceMm, name }) => ({ distanceMm, name: say(name) })),
          room.units,
        )
      : null,
  );
  const chalked = points.filter((p) => isChalked(shown, p)).length;
  if (!point)
    return (
      <View style={styles.box}>
        <Words bold>This way is done over the whole floor: there is no place to chalk by itself.</Words>
      </View>
    );
  const done = isChalked(shown, point);
  const tick = () => {
    void write(`${done ? 'Not chalked' : 'Chalked'}: ${point.label}, point ${point.number}`, [tickOf(shown, point)]);
    if (!done) onAt(nextOpen(shown, points, at));
  };
  return (
    <View style={styles.box} testID="chalk">
      <View style={styles.line}>
        <Words bold size="large" style={styles.grow}>
          {`${point.label}, point ${point.number} of ${point.of}`}
        </Words>
        <Words figure quiet>
          {`${chalked} of ${points.length} chalked`}
        </Words>
      </View>
      {point.tapes.map((tape) => (
        <View key={tape.wall} style={styles.line}>
          <Words figure bold size="entry" color={palette.chalk}>
            {formatReach(tape.distanceMm, room.units)}
          </Words>
          <Words style={styles.grow}>{`from ${say(tape.name)}`}</Words>
        </View>
      ))}
      <Button kind="main" label={done ? 'Chalked: take the tick back' : 'Chalked'} onPress={tick} />
      <ButtonRow>
        <Button label="Back" off={at === 0 ? 'This is the first point.' : null} onPress={() => onAt(at - 1)} />
        <Button
          label="Skip"
          off={at === points.length - 1 ? 'This is the last point.' : null}
          onPress={() => onAt(at + 1)}
        />
      </ButtonRow>
      <Words size="small" quiet>
        {`Tapes square off each wall, to the ${room.units === 'metric' ? 'centimetre' : 'half inch'}. Join the points of one letter in their order.`}
      </Words>
    </View>
  );
}

/** The next point after this one that is not chalked, or the last. */
function nextOpen(shown: ShownRoom, points: readonly ChalkPoint[], at: number): number {
  for (let i = 1; i < points.length; i++) {
    const next = (at + i) % points.length;
    if (!isChalked(shown, points[next]!)) return next;
  }
  return at;
}

function tickOf(shown: ShownRoom, point: ChalkPoint): Change {
  const held = shown.ticks.find((tick) => tick.key === point.key);
  const roomId = shown.room!.id;
  return held
    ? { kind: 'ticks', id: held.id, roomId, body: bodyOf(held), deleted: true }
    : { kind: 'ticks', id: newId(), roomId, body: { key: point.key, doneAt: nowUtc(), note: '' } };
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  line: { flexDirection: 'row', alignItems: 'baseline', gap: SPACE.part },
  grow: { flex: 1 },
});
