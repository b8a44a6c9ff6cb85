import { StyleSheet, View } from 'react-native';
import type { Patch } from '@maquette/core/levelling';
import { planOf, type RoomFacts } from '@maquette/core/room';
import { formatGap, unitLabel } from '@maquette/core/units';
import { placeWords } from '@maquette/core/verdict';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';

/** Places smaller than a trowel, together: each needs its depth and where it is, no volume and no outline. */
export function Spots({ room, spots }: { room: RoomFacts; spots: readonly { area: Patch; what: 'fill' | 'grind' }[] }) {
  const say = useSay();
  const palette = usePalette();
  if (spots.length === 0) return null;
  const mm = unitLabel(room.units);
  return (
    <View role="listitem" style={[styles.box, { borderColor: palette.rule }]} testID="spots">
      <Words bold>{spots.length === 1 ? 'One spot, smaller than a trowel' : 'Spots, each smaller than a trowel'}</Words>
      {spots.map(({ area, what }) => (
        <Words key={area.label} size="small" figure>
          {`${area.label} · ${what === 'fill' ? 'skim' : 'rub down'} ${formatGap(area.deepestMm, room.units)} ${mm} · ${say(placeWords(room, planOf(room), area.deepestAt))}`}
        </Words>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderWidth: 1, padding: SPACE.gap, gap: 2 },
});
