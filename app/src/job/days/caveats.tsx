import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { ShownDays } from '@maquette/core/planning';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { Touch } from '../../ui/touch.tsx';

/** What is stopped or not known yet, so that the days may still change: each leads to its room. */
export function Caveats({ days: { caveats, rooms, needsToilet } }: { days: ShownDays }) {
  const say = useSay();
  const router = useRouter();
  const palette = usePalette();
  const stops = caveats.filter(({ isStop }) => isStop).length;
  if (caveats.length === 0 && !needsToilet) return null;
  return (
    <View style={styles.box}>
      {needsToilet ? (
        <Words>The only toilet is taken out: a hired one stands in until it is back, and is in the bill.</Words>
      ) : null}
      {caveats.length > 0 ? (
        <Fold
          title="What may still change it"
          aside={[stops > 0 ? `${counted(stops, 'stop')}` : '', `${caveats.length - stops} to measure`]
            .filter(Boolean)
            .join(', ')}
          open={stops > 0}
        >
          <Words size="small" quiet>
            The plan goes on as if these turn out well. Until they do, promise no day.
          </Words>
          {caveats.map(({ roomId, isStop, title, next }, k) => (
            <Touch
              key={`${roomId}/${k}`}
              label={`Open ${rooms.find(({ id }) => id === roomId)?.name ?? 'the room'}: ${say(title)}`}
              onPress={() => router.push(`/rooms/${roomId}/lay`)}
              style={[styles.line, { borderColor: palette.rule }]}
            >
              <Words bold color={isStop ? palette.verdict.stop : undefined}>
                {`${rooms.find(({ id }) => id === roomId)?.name ?? ''}: ${say(title)}${isStop ? ', stopped' : ''}`}
              </Words>
              <Words size="small">{say(next)}</Words>
            </Touch>
          ))}
        </Fold>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { paddingHorizontal: SPACE.edge, gap: SPACE.gap },
  line: { minHeight: 48, borderBottomWidth: 1, paddingVertical: SPACE.gap },
});
