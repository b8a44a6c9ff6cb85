import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { isTimber, type RoomFacts } from '@maquette/core/room';
import { KEEP_OFF_KINDS, MARK_KINDS, MARK_WORDS, USUAL_SHAPE, type MarkKind } from '@maquette/core/soundness';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { SPACE } from '../../theme/theme.tsx';

/** Kinds met most often on each sort of base come first; the rest are one touch away. */
const OFTEN: Record<'timber' | 'mineral', readonly MarkKind[]> = {
  timber: ['squeak', 'rot', 'soft', 'proud-fixing', 'board-ridge', 'hole'],
  mineral: ['crack', 'hollow', 'weak-surface', 'hole', 'lippage', 'damp'],
};

const HOW = {
  point: 'Touch the sheet where it is.',
  line: 'Touch the sheet along it, from end to end.',
  area: 'Touch the sheet round it, corner by corner.',
} as const;

/** Which kind of damage is marked next. */
export function MarkKinds({
  room,
  kind,
  onKind,
}: {
  room: RoomFacts;
  kind: MarkKind | null;
  onKind: (kind: MarkKind | null) => void;
}) {
  const say = useSay();
  const [all, setAll] = useState(false);
  const often = OFTEN[isTimber(room.baseKind) ? 'timber' : 'mineral'];
  const listed = all ? MARK_KINDS : MARK_KINDS.filter((k) => often.includes(k) || k === kind);
  return (
    <View style={styles.box} role="group" accessibilityLabel="Mark damage">
      <Words bold>Found something? Mark it</Words>
      <ButtonRow>
        {listed.map((k) => (
          <Button
            key={k}
            label={say(MARK_WORDS[k])}
            selected={kind === k}
            onPress={() => onKind(kind === k ? null : k)}
          />
        ))}
        {!all ? <Button label="Other kinds" onPress={() => setAll(true)} /> : null}
      </ButtonRow>
      {kind ? (
        <Words size="small">{`${KEEP_OFF_KINDS.includes(kind) ? 'Levelling will work round it. ' : ''}${HOW[USUAL_SHAPE[kind]]}`}</Words>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.gap } });
