import { StyleSheet } from 'react-native';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { usePalette } from '../theme/theme.tsx';
import { Words } from '../ui/text.tsx';
import { Touch } from '../ui/touch.tsx';

/** Units of the room in its top line: one press changes every figure. */
export function UnitsButton({ room }: { room: NonNullable<ShownRoom['room']> }) {
  const palette = usePalette();
  const metric = room.units === 'metric';
  const change = () =>
    void write(metric ? 'Feet and inches' : 'Metric', [
      { kind: 'rooms', id: room.id, body: { ...bodyOf(room), units: metric ? 'imperial' : 'metric' } },
    ]);
  return (
    <Touch label={`Units: ${metric ? 'millimetres' : 'feet and inches'}. Change`} onPress={change} style={styles.box}>
      <Words figure bold color={palette.chalk}>
        {metric ? 'mm' : 'ft in'}
      </Words>
    </Touch>
  );
}

const styles = StyleSheet.create({
  box: { minHeight: 48, minWidth: 52, alignItems: 'flex-end', justifyContent: 'center' },
});
