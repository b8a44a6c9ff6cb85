import { StyleSheet, View } from 'react-native';
import { usePalette } from '../theme/theme.tsx';
import { Words } from '../ui/text.tsx';
import { Touch } from '../ui/touch.tsx';

export interface PadAction {
  label: string;
  onPress: () => void;
  /** Why it cannot act now: pressed, it says so. */
  off?: string | null;
}

/** A key of the pad: a digit, or a lower one in a row of sixteenths. */
export function Key({
  label,
  onPress,
  name,
  low = false,
  chosen = false,
}: {
  label: string;
  onPress: () => void;
  name?: string;
  low?: boolean;
  chosen?: boolean;
}) {
  const palette = usePalette();
  return (
    <Touch
      label={name ?? label}
      aria-pressed={low ? chosen : undefined}
      onPress={onPress}
      style={({ pressed }) => [
        low ? styles.low : styles.key,
        {
          borderColor: palette.rule,
          backgroundColor: chosen ? palette.chalk : pressed ? palette.plank : palette.bench,
        },
      ]}
    >
      <Words figure bold size={low ? 'text' : 'title'} color={chosen ? palette.onChalk : palette.ink}>
        {label}
      </Words>
    </Touch>
  );
}

/** A key beside the digits; one without a label keeps its place empty. */
export function SideKey({ label, onPress, off = null }: PadAction) {
  const palette = usePalette();
  if (label === '')
    return <View aria-hidden style={[styles.key, { borderColor: palette.rule, backgroundColor: palette.bench }]} />;
  return (
    <Touch
      label={label}
      off={Boolean(off)}
      onPress={onPress}
      style={({ pressed }) => [
        styles.key,
        { borderColor: palette.rule, backgroundColor: pressed ? palette.plank : palette.bench },
      ]}
    >
      <Words bold color={off ? palette.quiet : palette.chalk}>
        {label}
      </Words>
    </Touch>
  );
}

/** Where a key of the pad stands: whatever takes a key's place stands so too. */
export const KEY_PLACE = {
  flex: 1,
  minHeight: 56,
  borderTopWidth: 1,
  borderLeftWidth: 1,
  alignItems: 'center',
  justifyContent: 'center',
} as const;

const styles = StyleSheet.create({
  key: KEY_PLACE,
  low: { ...KEY_PLACE, minHeight: 48 },
});
