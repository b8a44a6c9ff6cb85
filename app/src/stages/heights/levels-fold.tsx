import { StyleSheet, View } from 'react-native';
import type { RoomFacts } from '@maquette/core/room';
import { formatRod, gapWords, unitLabel } from '@maquette/core/units';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { alongWords, askWords, type Heights } from './height-asks.ts';

const BY_WORDS = { staff: 'staff', tape: 'tape', eye: 'by eye' } as const;

/** Every level that was read here: how, what it says, and the key that takes it out. */
export function LevelsFold({ shown, room, heights }: { shown: ShownRoom; room: RoomFacts; heights: Heights }) {
  const say = useSay();
  const { units } = room;
  const levels = shown.levels.filter(({ of }) => ['beyond', 'leaf', 'sill', 'flange', 'underside'].includes(of));
  return (
    <Fold title="Levels read" aside={`${levels.length}`} memory={`levels/${room.id}`}>
      {levels.map((level) => {
        const place = { ...level, at: { xMm: 0, yMm: 0 }, bareMm: null, lyingMm: 0 };
        const words = `${askWords(room, place, say)} ${alongWords(room, level)}`;
        const untied = heights.judged.untied.includes(level.id);
        return (
          <View key={level.id} style={styles.line}>
            <Words size="small" style={styles.grow}>
              {`${words}: ${
                level.rodMm !== null
                  ? `staff ${formatRod(level.rodMm, units)} ${unitLabel(units)}`
                  : `${BY_WORDS[level.readBy]}, ${gapWords(Math.abs(level.overMm ?? 0), units)} ${(level.overMm ?? 0) < 0 ? 'below' : 'above'} what lay there`
              }${untied ? '. Not tied yet: read the floor here, or tie its set-up by the benchmark' : ''}`}
            </Words>
            <Button
              label="Take out"
              hint={words}
              onPress={() =>
                void write(`${words} taken out`, [
                  { kind: 'levels', id: level.id, roomId: room.id, body: bodyOf(level), deleted: true },
                ])
              }
            />
          </View>
        );
      })}
      {levels.length === 0 ? <Words>None yet.</Words> : null}
    </Fold>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  grow: { flex: 1 },
});
