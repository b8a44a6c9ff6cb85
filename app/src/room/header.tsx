import { useSyncExternalStore } from 'react';
import { StyleSheet, View } from 'react-native';
import type { OutboxState } from '../data/outbox.ts';
import { picturesHere } from '../data/photos.ts';
import { useOutbox } from '../data/use-facts.ts';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { counted } from '../ui/counted.ts';
import { Icon } from '../ui/icon.tsx';
import { Words } from '../ui/text.tsx';
import { Touch } from '../ui/touch.tsx';

/** How sending stands, in words: what waits, what was refused, whether the server answers. */
function sendingWords({ loaded, waiting, reachable, full }: OutboxState, pictures: number | null): string {
  const troubled = waiting.filter((w) => w.trouble).length;
  if (full) return 'device full';
  if (troubled > 0) return `${troubled} to decide`;
  if (waiting.length > 0) return `${waiting.length} waiting to send`;
  if (pictures) return `${counted(pictures, 'picture')} waiting to send`;
  // What is on the device has to be read before anything can be said of it.
  if (!loaded || pictures === null) return 'looking what waits';
  return reachable ? 'all sent' : 'no signal, all sent';
}

function SendingState({ onWaits }: { onWaits?: () => void }) {
  const palette = usePalette();
  const state = useOutbox();
  const pictures = useSyncExternalStore(picturesHere.subscribe, picturesHere.get, picturesHere.get);
  const troubled = state.waiting.filter((w) => w.trouble).length;
  const words = sendingWords(state, pictures);
  const text = (
    <Words
      size="small"
      figure
      quiet={troubled === 0 && !state.full}
      bold={troubled > 0 || state.full}
      color={troubled > 0 || state.full ? palette.verdict.stop : undefined}
      testID="sending"
    >
      {words}
    </Words>
  );
  if (!onWaits) return <View role="status">{text}</View>;
  return (
    <Touch label={`${words}: what waits`} onPress={onWaits} style={styles.touch}>
      {text}
    </Touch>
  );
}

interface Props {
  above?: string;
  title: string;
  backLabel?: string;
  onBack?: () => void;
  right?: React.ReactNode;
  onWaits?: () => void;
}

/** Top line of every screen: the way back, where one is, how sending stands. */
export function Header({ above, title, backLabel = 'Back', onBack, right, onWaits }: Props) {
  const palette = usePalette();
  return (
    <View role="banner" style={[styles.bar, { backgroundColor: palette.sheet, borderColor: palette.rule }]}>
      {onBack ? (
        <Touch label={backLabel} onPress={onBack} style={styles.back}>
          <Icon name="back" color={palette.chalk} size={28} />
        </Touch>
      ) : (
        <View style={styles.margin} />
      )}
      <View style={styles.names}>
        {above ? (
          <Words size="small" quiet numberOfLines={1}>
            {above}
          </Words>
        ) : null}
        <Words bold size="large" role="heading" aria-level={1} numberOfLines={1}>
          {title}
        </Words>
      </View>
      <View style={styles.right}>
        <SendingState onWaits={onWaits} />
        {right}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', alignItems: 'center', minHeight: 60, borderBottomWidth: 1, paddingRight: 16 },
  back: { width: 52, minHeight: 56, alignItems: 'center', justifyContent: 'center' },
  margin: { width: 16 },
  names: { flex: 1 },
  right: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  touch: { minWidth: 48, alignItems: 'flex-end', minHeight: 48, justifyContent: 'center' },
});
