import type { Sayable } from '@maquette/core/said';
import { StyleSheet, View } from 'react-native';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from './button.tsx';
import { Words } from './text.tsx';
import { useSay } from './shown-in.tsx';
import { counted } from './counted.ts';

interface Props {
  found: string;
  problems: readonly { line: number; text: Sayable; reason: Sayable }[];
  missing: readonly Sayable[];
  remarks?: readonly string[];
  /** Null where there is nothing to take. */
  onTake: (() => void) | null;
  onDrop: () => void;
}

const SHOWN = 8;

/** What a file holds, before anything of it is stored: every row that is not taken is named. */
export function FileFindings({ found, problems, missing, remarks = [], onTake, onDrop }: Props) {
  const say = useSay();
  const palette = usePalette();
  return (
    <View style={[styles.box, { borderColor: palette.chalk }]} testID="file-findings">
      <Words bold>{missing.length > 0 ? `Cannot be read: no ${missing.map(say).join(', no ')}` : found}</Words>
      {remarks.map((remark) => (
        <Words key={remark} size="small">
          {remark}
        </Words>
      ))}
      {problems.slice(0, SHOWN).map((p, k) => (
        <Words key={k} size="small" color={palette.verdict.work}>
          {p.line > 0 ? `Line ${p.line} is not taken: ${say(p.reason)}.` : say(p.reason)}
        </Words>
      ))}
      {problems.length > SHOWN ? (
        <Words size="small">{`And ${counted(problems.length - SHOWN, 'more line is', 'more lines are')} not taken.`}</Words>
      ) : null}
      <ButtonRow>
        {onTake ? <Button kind="main" label="Take it" onPress={onTake} /> : null}
        <Button label="Leave the file" onPress={onDrop} />
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({ box: { borderWidth: 1, padding: SPACE.part, gap: SPACE.gap } });
