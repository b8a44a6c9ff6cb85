import { StyleSheet, View } from 'react-native';
import type { OfferedRoom } from '@maquette/core/formats/outlines';
import { boundsMm, planOf } from '@maquette/core/room';
import { formatArea, formatSpan, type UnitSystem } from '@maquette/core/units';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { counted } from '../ui/counted.ts';
import { Icon } from '../ui/icon.tsx';
import { useSay } from '../ui/shown-in.tsx';
import { Words } from '../ui/text.tsx';
import { Touch } from '../ui/touch.tsx';

/** How large a room is over all, its floor and its walls: by these a wrong unit is seen. */
function sizeWords({ walls, start, areaM2 }: OfferedRoom, units: UnitSystem): string {
  const { minX, maxX, minY, maxY } = boundsMm(planOf({ walls, start }).corners);
  const [wide, deep] = [formatSpan(Math.round(maxX - minX), units), formatSpan(Math.round(maxY - minY), units)];
  return `${wide} by ${deep}, ${formatArea(areaM2, units)}, ${counted(walls.length, 'wall')}`;
}

/** A room a file offers, to be ticked. */
export function OfferedRow({
  number,
  room,
  name,
  held,
  taken,
  units,
  onTurn,
}: {
  number: number;
  room: OfferedRoom;
  name: string;
  /** The job has a room of this name. */
  held: boolean;
  taken: boolean;
  units: UnitSystem;
  onTurn: () => void;
}) {
  const say = useSay();
  const palette = usePalette();
  const doubt = room.doubt ? say(room.doubt) : held ? 'The job has a room of this name' : null;
  const size = sizeWords(room, units);
  return (
    <Touch
      role="checkbox"
      aria-checked={taken}
      label={[`${number}, ${name}`, size, doubt].filter(Boolean).join('. ')}
      onPress={onTurn}
      style={[styles.row, { borderColor: palette.rule }]}
    >
      <View style={[styles.tick, { borderColor: taken ? palette.chalk : palette.ink }]}>
        {taken ? <Icon name="done" color={palette.chalk} size={26} /> : null}
      </View>
      <View style={styles.words}>
        <Words bold={taken}>{`${number}  ${name}`}</Words>
        <Words size="small" quiet figure>
          {size}
        </Words>
        {doubt ? <Words size="small">{`${doubt}.`}</Words> : null}
      </View>
    </Touch>
  );
}

const styles = StyleSheet.create({
  row: {
    minHeight: 56,
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.part,
    borderTopWidth: 1,
    paddingVertical: 4,
  },
  tick: { width: 34, height: 34, borderWidth: 2, alignItems: 'center', justifyContent: 'center' },
  words: { flex: 1 },
});
