import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Words } from './text.tsx';
import { Touch } from './touch.tsx';

/** Folds that stay as they were left while what they stand in is worked out anew, by the name they are kept under. */
const left = new Map<string, boolean>();

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
        <Svg width={12} height={12} viewBox="0 0 12 12" aria-hidden>
          <Path d={open ? 'M1 4L6 9L11 4' : 'M4 1L9 6L4 11'} stroke={palette.chalk} strokeWidth={2} fill="none" />
        </Svg>
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
  head: { minHeight: 48, flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  title: { flex: 1 },
  body: { gap: SPACE.part, paddingBottom: SPACE.edge },
});
