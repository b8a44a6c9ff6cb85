import { StyleSheet, View } from 'react-native';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';

/** Something to do next on a stage. */
export interface Action {
  label: string;
  act: () => void;
  /** The one thing to do next: filled. */
  main?: boolean;
  selected?: boolean;
  /** Why it cannot act now. */
  off?: string | null;
}

/** What to do next, in reach of the thumb over the course. */
export function Actions({ actions }: { actions: readonly Action[] }) {
  const palette = usePalette();
  if (actions.length === 0) return null;
  return (
    <View style={[styles.row, { borderColor: palette.rule, backgroundColor: palette.bench }]}>
      {actions.map(({ label, act, main = false, selected, off }) => (
        <Button key={label} kind={main ? 'main' : 'plain'} label={label} onPress={act} selected={selected} off={off} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    gap: SPACE.gap,
    paddingHorizontal: SPACE.edge,
    paddingVertical: SPACE.gap,
    borderTopWidth: 1,
  },
});
