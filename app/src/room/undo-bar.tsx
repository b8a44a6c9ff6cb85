import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useUndo } from '../data/write.ts';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';

const SHOWN_MS = 8000;

const isPast = (atMs: number) => performance.now() - atMs > SHOWN_MS;

/** For a while after each change: what was done, and the way back; after going back, the way forward. */
export function UndoBar() {
  const steps = useUndo();
  const palette = usePalette();
  // Whoever comes back to a place is not shown again what was done there long ago: Z still takes it back.
  const [past, setPast] = useState<typeof steps | null>(() => (isPast(steps.atMs) ? steps : null));
  useEffect(() => {
    const timer = setTimeout(() => setPast(steps), Math.max(0, steps.atMs + SHOWN_MS - performance.now()));
    return () => clearTimeout(timer);
  }, [steps]);
  const { undo, redo } = steps;
  if ((!undo && !redo) || steps === past) return null;
  return (
    <View role="status" style={[styles.bar, { backgroundColor: palette.plank, borderColor: palette.rule }]}>
      <Words style={styles.words} numberOfLines={1}>
        {redo ? `Taken back: ${redo.words}` : undo!.words}
      </Words>
      {undo ? <Button kind="quiet" label="Undo" hint={undo.words} onPress={undo.act} style={styles.button} /> : null}
      {redo ? <Button kind="quiet" label="Redo" hint={redo.words} onPress={redo.act} style={styles.button} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', alignItems: 'center', paddingLeft: 16, borderTopWidth: 1 },
  words: { flex: 1 },
  button: { flexGrow: 0, paddingHorizontal: SPACE.edge },
});
