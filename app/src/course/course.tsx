import { Pressable, StyleSheet, View } from 'react-native';
import type { Verdict } from '@maquette/core/verdict';
import { usePalette } from '../theme/theme.tsx';
import { Mark, VERDICT_WORDS } from '../ui/mark.tsx';
import { Words } from '../ui/text.tsx';

interface Plank<S extends string> {
  stage: S;
  label: string;
  verdict: Verdict;
}

interface Props<S extends string> {
  planks: readonly Plank<S>[];
  chosen: S;
  onChoose: (stage: S) => void;
  wide: boolean;
}

/** The stages of a room as planks of one laid row: each as long as its word needs, ends staggered, the chosen one standing proud. */
export function Course<S extends string>({ planks, chosen, onChoose, wide }: Props<S>) {
  const palette = usePalette();
  return (
    <View
      role="navigation"
      accessibilityLabel="Stages of this room"
      style={[wide ? styles.column : styles.row, { borderColor: palette.ink, backgroundColor: palette.plank }]}
    >
      {planks.map((plank, index) => {
        const on = plank.stage === chosen;
        return (
          <Pressable
            key={plank.stage}
            role="button"
            aria-current={on ? 'page' : undefined}
            accessibilityLabel={`${plank.label}: ${VERDICT_WORDS[plank.verdict]}`}
            onPress={() => onChoose(plank.stage)}
            style={[
              wide ? styles.board : [styles.plank, { flexGrow: plank.label.length + 2 }],
              { backgroundColor: on ? palette.chalk : palette.plank, borderColor: palette.ink },
              wide
                ? { borderBottomWidth: 1, marginRight: on ? -6 : (index % 2) * 8 }
                : { borderLeftWidth: index === 0 ? 0 : 1, marginTop: on ? -8 : 0, paddingTop: on ? 16 : 8 },
            ]}
          >
            <Mark verdict={plank.verdict} width={32} color={on ? palette.onChalk : palette.verdict[plank.verdict]} />
            <Words bold color={on ? palette.onChalk : palette.ink}>
              {plank.label}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', borderTopWidth: 1, minHeight: 60 },
  plank: { alignItems: 'center', justifyContent: 'flex-start', gap: 4, paddingBottom: 8, minHeight: 60 },
  column: { width: 160, borderRightWidth: 1 },
  board: { minHeight: 92, paddingHorizontal: 20, justifyContent: 'center', gap: 8, alignItems: 'flex-start' },
});
