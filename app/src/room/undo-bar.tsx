import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useUndo } from '../data/write.ts';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';

const SHOWN_MS = 8000;

const isPast = (atMs: number) => performance.now() - atMs > SHOWN_MS;

interface Props {
  /** Makes room again after a while, where the bench is short; asked for, it comes back. */
  passes?: boolean;
  /** The user looks for what was done: the last step is shown however old it is. */
  asked?: boolean;
}

/** After each change: what was done, and the way back; after going back, the way forward. */
export function UndoBar({ passes = false, asked = false }: Props) {
  const steps = useUndo();
  const palette = usePalette();
  // Whoever comes back to a place is not shown again what was done there long ago: Z still takes it back.
  const [past, setPast] = useState<typeof steps | null>(() => (isPast(steps.atMs) ? steps : null));
  useEffect(() => {
    if (!passes) return undefined;
    const timer = setTimeout(() => setPast(steps), Math.max(0, steps.atMs + SHOWN_MS - performance.now()));
    return () => clearTimeout(timer);
  }, [steps, passes]);
  const { undo, redo } = steps;
  if ((!undo && !redo) || (steps === past && !asked)) return null;
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
