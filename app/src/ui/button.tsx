import { StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Words } from './text.tsx';
import { Touch } from './touch.tsx';

interface Props {
  label: string;
  onPress: () => void;
  /** `main` is filled; one a screen. */
  kind?: 'main' | 'plain' | 'quiet';
  disabled?: boolean;
  hint?: string;
  selected?: boolean;
  style?: StyleProp<ViewStyle>;
  testID?: string;
}

/** A square button, at least 48 px high. */
export function Button({ label, onPress, kind = 'plain', disabled = false, hint, selected, style, testID }: Props) {
  const palette = usePalette();
  const filled = kind === 'main' || selected;
  return (
    <Touch
      label={hint ? `${label}. ${hint}` : label}
      aria-pressed={selected}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      style={[
        styles.box,
        {
          borderColor: kind === 'quiet' ? 'transparent' : disabled ? palette.rule : palette.chalk,
          backgroundColor: filled && !disabled ? palette.chalk : 'transparent',
        },
        style,
      ]}
    >
      <Words
        bold
        size="text"
        color={disabled ? palette.quiet : filled ? palette.onChalk : palette.chalk}
        style={styles.label}
      >
        {label}
      </Words>
    </Touch>
  );
}

/** Buttons side by side, sharing the width. */
export function ButtonRow({ children }: { children: React.ReactNode }) {
  return <View style={styles.row}>{children}</View>;
}

const styles = StyleSheet.create({
  box: {
    minHeight: 48,
    paddingHorizontal: SPACE.part,
    paddingVertical: SPACE.gap,
    borderWidth: 1,
    justifyContent: 'center',
    alignItems: 'center',
    flexGrow: 1,
  },
  label: { textAlign: 'center' },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.gap },
});
