import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useUndo } from '../data/write.ts';
import { usePalette } from '../theme/theme.tsx';
import { Button } from './button.tsx';
import { Words } from './text.tsx';

const SHOWN_MS = 8000;

/** For a while after each change: what was done, and the way back. */
export function UndoBar() {
  const step = useUndo();
  const palette = usePalette();
  const [past, setPast] = useState<typeof step>(null);
  useEffect(() => {
    const timer = setTimeout(() => setPast(step), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [step]);
  if (!step || step === past) return null;
  return (
    <View role="status" style={[styles.bar, { backgroundColor: palette.plank, borderColor: palette.rule }]}>
      <Words style={styles.words} numberOfLines={1}>
        {step.words}
      </Words>
      <Button kind="quiet" label="Undo" hint={step.words} onPress={step.undo} style={styles.button} />
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', alignItems: 'center', paddingLeft: 16, borderTopWidth: 1 },
  words: { flex: 1 },
  button: { flexGrow: 0, paddingHorizontal: 20 },
});
