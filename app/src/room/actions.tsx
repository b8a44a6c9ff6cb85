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
  disabled?: boolean;
}

/** What to do next, in reach of the thumb over the course. */
export function Actions({ actions }: { actions: readonly Action[] }) {
  const palette = usePalette();
  if (actions.length === 0) return null;
  return (
    <View style={[styles.row, { borderColor: palette.rule, backgroundColor: palette.bench }]}>
      {actions.map(({ label, act, main = false, selected, disabled }) => (
        <Button
          key={label}
          kind={main ? 'main' : 'plain'}
          label={label}
          onPress={act}
          selected={selected}
          disabled={disabled}
        />
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
