import { useState } from 'react';
import { StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Words } from './text.tsx';
import { Touch } from './touch.tsx';

interface Props {
  label: string;
  onPress: () => void;
  /** `main` is filled; one a screen. */
  kind?: 'main' | 'plain' | 'quiet';
  /** Why it cannot act now: it looks so, and says it when it is pressed. */
  off?: string | null | undefined;
  hint?: string;
  selected?: boolean;
  style?: StyleProp<ViewStyle>;
  testID?: string;
}

/** A square button, at least 48 px high. */
export function Button({ label, onPress, kind = 'plain', off = null, hint, selected, style, testID }: Props) {
  const palette = usePalette();
  const filled = kind === 'main' || selected;
  const [asked, setAsked] = useState<string | null>(null);
  // What was asked of it is answered until the reason is another.
  const told = off && asked === off ? off : null;
  return (
    <Touch
      label={[label, hint, off].filter(Boolean).join('. ')}
      aria-pressed={selected}
      off={Boolean(off)}
      onPress={off ? () => setAsked(off) : onPress}
      testID={testID}
      style={[
        styles.box,
        {
          borderColor: kind === 'quiet' ? 'transparent' : off ? palette.rule : palette.chalk,
          backgroundColor: filled && !off ? palette.chalk : 'transparent',
        },
        style,
      ]}
    >
      <Words
        bold
        size="text"
        color={off ? palette.quiet : filled ? palette.onChalk : palette.chalk}
        style={styles.label}
      >
        {label}
      </Words>
      {told ? (
        <Words size="small" role="status" style={styles.label}>
          {told}
        </Words>
      ) : null}
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
