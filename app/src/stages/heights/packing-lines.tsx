import { StyleSheet, View } from 'react-native';
import type { Packing } from '@maquette/core/heights';
import type { RoomFacts } from '@maquette/core/room';
import { formatGap, gapWords } from '@maquette/core/units';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';

/** Packing under a tilted bar at both ends, and the groove it stands in. */
export function PackingLines({
  room,
  packing,
  ends,
  grooves,
  isRead,
  onReadAt,
}: {
  room: RoomFacts;
  packing: readonly Packing[];
  ends: readonly [string, string];
  grooves: readonly { key: string; at: string }[];
  /** The groove is read at both ends. */
  isRead: boolean;
  onReadAt: (key: string) => void;
}) {
  const palette = usePalette();
  const { units } = room;
  const deeper = packing.some(({ lowEdgeMm }) => lowEdgeMm < 0);
  return (
    <>
      <View style={styles.pair}>
        {packing.map((one, k) => (
          <View key={ends[k]} style={[styles.packing, { borderColor: palette.rule }]}>
            <Words size="small" quiet>{`Packing at ${ends[k]}`}</Words>
            <Words figure bold size="large">
              {`${formatGap(one.lowEdgeMm, units)} / ${gapWords(one.highEdgeMm, units)}`}
            </Words>
          </View>
        ))}
      </View>
      <Words size="small">
        {`The thick edge lies under the higher floor${deeper ? '; below zero the groove is cut deeper by that, or another bar is taken' : ''}. ${isRead ? 'It stands on the floor of the groove as read.' : 'It stands on the surface that stays until a groove is read at both ends.'}`}
      </Words>
      <ButtonRow>
        {grooves.map(({ key, at }) => (
          <Button key={key} label={`Read the groove at ${at}`} onPress={() => onReadAt(key)} />
        ))}
      </ButtonRow>
    </>
  );
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', gap: SPACE.gap },
  packing: { flex: 1, borderWidth: 1, padding: SPACE.gap, gap: SPACE.near },
});
