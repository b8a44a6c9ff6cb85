import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Icon } from './icon.tsx';
import { Words } from './text.tsx';
import { Touch } from './touch.tsx';

/** Folds that stay as they were left while what they stand in is worked out anew, by the name they are kept under. */
const left = new Map<string, boolean>();

/** How high a fold stands that is closed, its line with it. */
export const FOLD_PX = 49;

/** What is rarely needed, folded away under its name. */
export function Fold({
  title,
  aside,
  children,
  open: first = false,
  memory,
}: {
  title: string;
  aside?: string;
  children: ReactNode;
  open?: boolean;
  /** Set where the fold goes away and comes back as a figure in it is changed: it then comes back open. */
  memory?: string;
}) {
  const palette = usePalette();
  const [open, setOpen] = useState(() => (memory === undefined ? undefined : left.get(memory)) ?? first);
  const toggle = () => {
    if (memory !== undefined) left.set(memory, !open);
    setOpen(!open);
  };
  return (
    <View style={[styles.box, { borderColor: palette.rule }]}>
      <Touch aria-expanded={open} label={title} onPress={toggle} style={styles.head}>
        <Icon name={open ? 'open' : 'closed'} color={palette.chalk} size={18} />
        <Words bold color={palette.chalk} style={styles.title}>
          {title}
        </Words>
        {aside ? (
          <Words size="small" quiet figure>
            {aside}
          </Words>
        ) : null}
      </Touch>
      {open ? <View style={styles.body}>{children}</View> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderTopWidth: 1 },
  head: { minHeight: FOLD_PX - 1, flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  title: { flex: 1 },
  body: { gap: SPACE.part, paddingBottom: SPACE.edge },
});
