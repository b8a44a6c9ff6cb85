import { useEffect, useRef } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import type { Verdict } from '@maquette/core/verdict';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Mark, VERDICT_WORDS } from '../ui/mark.tsx';
import { Words } from '../ui/text.tsx';
import { plankPx } from './plank-px.ts';
import { Touch } from '../ui/touch.tsx';

interface Plank {
  stage: string;
  label: string;
  verdict: Verdict;
}

interface Props {
  planks: readonly Plank[];
  chosen: string;
  onChoose: (stage: string) => void;
  wide: boolean;
  /** What the row is of. */
  label?: string;
}

/** How far the chosen plank stands proud of the row, px. */
const PROUD_PX = 8;

/** The stages of a room as planks of one laid row: each as long as its word needs, ends staggered, the chosen one standing proud. */
export function Course({ planks, chosen, onChoose, wide, label = 'Stages of this room' }: Props) {
  const palette = usePalette();
  const { width } = useWindowDimensions();
  const fixedPx = wide ? null : plankPx(width, planks.length);
  const board = (plank: Plank, index: number) => {
    const on = plank.stage === chosen;
    return (
      <Touch
        key={plank.stage}
        aria-current={on ? 'page' : undefined}
        label={`${plank.label}: ${VERDICT_WORDS[plank.verdict]}`}
        onPress={() => onChoose(plank.stage)}
        style={[
          wide ? styles.board : [styles.plank, fixedPx ? { width: fixedPx } : { flexGrow: plank.label.length + 2 }],
          { backgroundColor: on ? palette.chalk : palette.plank, borderColor: palette.ink },
          wide
            ? { borderBottomWidth: 1, marginRight: on ? -6 : (index % 2) * 8 }
            : {
                borderLeftWidth: index === 0 ? 0 : 1,
                marginTop: on ? -PROUD_PX : 0,
                paddingTop: on ? 2 * PROUD_PX : PROUD_PX,
              },
        ]}
      >
        <Mark verdict={plank.verdict} width={32} color={on ? palette.onChalk : palette.verdict[plank.verdict]} />
        <Words bold color={on ? palette.onChalk : palette.ink}>
          {plank.label}
        </Words>
      </Touch>
    );
  };
  return (
    <View
      role="navigation"
      accessibilityLabel={label}
      style={[wide ? styles.column : styles.row, { borderColor: palette.ink, backgroundColor: palette.plank }]}
    >
      {fixedPx ? (
        <Sliding at={planks.findIndex((plank) => plank.stage === chosen)} eachPx={fixedPx} seenPx={width}>
          {planks.map(board)}
        </Sliding>
      ) : (
        planks.map(board)
      )}
    </View>
  );
}

/** More planks than a phone is wide slide under the thumb; the chosen one is kept in the middle as far as the row reaches. */
function Sliding({
  at,
  eachPx,
  seenPx,
  children,
}: {
  at: number;
  eachPx: number;
  seenPx: number;
  children: React.ReactNode;
}) {
  const row = useRef<ScrollView>(null);
  useEffect(() => {
    row.current?.scrollTo({ x: Math.max(0, (at + 0.5) * eachPx - seenPx / 2), animated: false });
  }, [at, eachPx, seenPx]);
  return (
    <ScrollView
      ref={row}
      horizontal
      showsHorizontalScrollIndicator={false}
      style={styles.sliding}
      contentContainerStyle={styles.slid}
    >
      {children}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', borderTopWidth: 1, minHeight: 60 },
  plank: {
    alignItems: 'center',
    justifyContent: 'flex-start',
    gap: SPACE.near,
    paddingBottom: SPACE.gap,
    minHeight: 60,
  },
  // The plank that stands proud does so inside the row: what slides is cut off at its edge.
  sliding: { marginTop: -PROUD_PX - 1 },
  slid: { paddingTop: PROUD_PX + 1 },
  column: { width: 160, borderRightWidth: 1 },
  // All of them stand in sight on a laptop, and no taller than they need to on a large screen.
  board: {
    flexGrow: 1,
    flexBasis: 64,
    minHeight: 56,
    maxHeight: 92,
    paddingHorizontal: 20,
    justifyContent: 'center',
    gap: SPACE.gap,
    alignItems: 'flex-start',
  },
});
