import { StyleSheet, View } from 'react-native';
import type { RoomPicture } from '@maquette/core';
import { VERDICTS, type Criterion } from '@maquette/core/verdict';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Mark, VERDICT_WORDS } from '../ui/mark.tsx';
import { Words } from '../ui/text.tsx';
import { useSay } from '../ui/shown-in.tsx';

/** What is judged in the stage of a part: its own criteria, and those of others that are found or mended there. */
export const criteriaOf = (picture: RoomPicture | null, part: string): Criterion[] =>
  picture?.criteria.filter((c) => c.part === part || c.also.includes(part)) ?? [];

/** Criteria of a stage, the one that decides first and large, with what to do next. */
export function CriteriaList({ criteria }: { criteria: readonly Criterion[] }) {
  const say = useSay();
  const palette = usePalette();
  const [first, ...rest] = [...criteria].sort((a, b) => VERDICTS.indexOf(a.verdict) - VERDICTS.indexOf(b.verdict));
  if (!first) return null;
  return (
    <View style={styles.box} testID="criteria">
      <View style={styles.line}>
        <Mark verdict={first.verdict} width={48} />
        <Words bold size="title" color={palette.verdict[first.verdict]} testID="stage-verdict">
          {VERDICT_WORDS[first.verdict]}
        </Words>
        <Words bold style={styles.grow}>
          {say(first.title)}
        </Words>
      </View>
      <Words>{say(first.margin)}</Words>
      <Words bold>{say(first.next)}</Words>
      {rest.map((c) => (
        <CriterionLine key={c.id} criterion={c} />
      ))}
    </View>
  );
}

/** One criterion in a line: its mark, its word, its margin, what to do. */
export function CriterionLine({ criterion: c }: { criterion: Criterion }) {
  const say = useSay();
  return (
    <View style={styles.line}>
      <Mark verdict={c.verdict} />
      <Words
        size="small"
        style={styles.grow}
      >{`${say(c.title)}: ${VERDICT_WORDS[c.verdict]}. ${say(c.margin)} ${say(c.next)}`}</Words>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { paddingHorizontal: SPACE.edge, paddingTop: SPACE.part, gap: SPACE.gap },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
});
