import { useLayoutEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';

interface Props {
  onStage: (index: number) => void;
  onStep: (by: 1 | -1) => void;
  onUndo: () => void;
  onRedo: () => void;
  onHelp: () => void;
  help: boolean;
  /** While a number is asked for, digits go into it and stages need Alt. */
  digitsTyped: boolean;
}

const LIST = [
  ['Digits, Enter', 'key a reading and take it'],
  ['Backspace', 'correct'],
  ['Arrows', 'station to station'],
  ['Z', 'undo'],
  ['Y', 'redo'],
  ['1–9', 'stages (with Alt while reading)'],
  ['?', 'this list'],
] as const;

/** Keyboard of a room at a table. */
export function Keys({ onStage, onStep, onUndo, onRedo, onHelp, help, digitsTyped }: Props) {
  const palette = usePalette();
  // Before the screen is painted: a key pressed on what is seen must meet what is seen, also while the device is busy.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (target && ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)) return;
      const digit = /^Digit([1-9])$/.exec(event.code);
      if (digit && (event.altKey || !digitsTyped) && !event.ctrlKey && !event.metaKey) onStage(Number(digit[1]) - 1);
      else if (event.ctrlKey || event.metaKey || event.altKey) return;
      else if (event.key === 'ArrowRight' || event.key === 'ArrowDown') onStep(1);
      else if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') onStep(-1);
      else if (event.key === 'z' || event.key === 'Z') onUndo();
      else if (event.key === 'y' || event.key === 'Y') onRedo();
      else if (event.key === '?') onHelp();
      else return;
      event.preventDefault();
    };
    globalThis.addEventListener('keydown', onKey);
    return () => globalThis.removeEventListener('keydown', onKey);
  });
  if (!help) return null;
  return (
    <View
      role="dialog"
      accessibilityLabel="Keys"
      style={[styles.box, { backgroundColor: palette.bench, borderColor: palette.ink }]}
    >
      {LIST.map(([key, does]) => (
        <View key={key} style={styles.row}>
          <Words bold figure style={styles.key}>
            {key}
          </Words>
          <Words>{does}</Words>
        </View>
      ))}
      <Button label="Close" onPress={onHelp} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: {
    position: 'absolute',
    zIndex: 10,
    top: 80,
    alignSelf: 'center',
    borderWidth: 2,
    padding: SPACE.edge,
    gap: SPACE.gap,
    width: 360,
  },
  row: { flexDirection: 'row', gap: SPACE.part },
  key: { width: 120 },
});
