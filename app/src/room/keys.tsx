import { StyleSheet, View } from 'react-native';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { useKeys } from '../ui/use-keys.ts';

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

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];
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
  const toStage = (digit: string) => onStage(Number(digit) - 1);
  useKeys(DIGITS, toStage, { byPlace: true, enabled: !digitsTyped });
  useKeys(DIGITS, toStage, { byPlace: true, alt: true });
  useKeys(['arrowright', 'arrowdown'], () => onStep(1));
  useKeys(['arrowleft', 'arrowup'], () => onStep(-1));
  useKeys(['z'], onUndo);
  useKeys(['y'], onRedo);
  useKeys(['?'], onHelp);
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
