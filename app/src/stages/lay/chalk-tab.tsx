import { StyleSheet, View } from 'react-native';
import type { RoomFacts } from '@maquette/core/room';
import { spokenPlace, useSpoken } from '../../bench/speak.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { sawn } from './lengths.ts';
import type { LayPlanned } from './use-lay-plan.ts';

/** Lines to snap, one after another: how far either end lies from the start wall, with a second tape to check it by. */
export function ChalkTab({
  room,
  planned,
  at,
  onAt,
  onCut,
}: {
  room: RoomFacts;
  planned: LayPlanned;
  at: number;
  onAt: (index: number) => void;
  onCut: () => void;
}) {
  const say = useSay();
  const palette = usePalette();
  const { plan } = planned;
  const { units } = room;
  const line = plan?.chalk[at] ?? plan?.chalk[0] ?? null;
  const wall = line ? say(line.startWall) : '';
  useSpoken(
    line
      ? spokenPlace(
          `Line ${at + 1}`,
          line.fromStartMm.map((distanceMm) => ({ distanceMm, name: wall })),
          units,
        )
      : null,
  );
  if (!plan) return <Words role="status">Setting the floor out …</Words>;
  if (plan.herringbone)
    return (
      <View style={styles.box} testID="chalk-lines">
        <Words bold size="large">
          Two lines, one beside the other
        </Words>
        <Words>{`Snap a line through the middle of the floor, along ${say(plan.startWall.name)}.`}</Words>
        <View style={styles.line}>
          <Words figure bold size="entry" color={palette.chalk}>
            {sawn(plan.herringbone.tipBesideMm, units)}
          </Words>
          <Words
            style={styles.grow}
          >{`beside it, on the side of ${say(plan.startWall.name)}: the line of the tips`}</Words>
        </View>
        <Words>
          Glue or lock a starter strip four staves deep along the line of the tips, and check it with a square before
          anything follows.
        </Words>
      </View>
    );
  if (!line)
    return (
      <View style={styles.box}>
        <Words>One row fills this floor: there is no line between rows to snap.</Words>
      </View>
    );
  const ends = ['left', 'right'] as const;
  return (
    <View style={styles.box} testID="chalk-lines">
      <Words bold size="large">
        {`Line ${at + 1} of ${plan.chalk.length}, ${line.afterRow === 1 ? 'along the first row' : `after row ${line.afterRow}`}`}
      </Words>
      {ends.map((end, k) => (
        <View key={end} style={styles.end}>
          <View style={styles.line}>
            <Words figure bold size="entry" color={palette.chalk}>
              {sawn(line.fromStartMm[k]!, units)}
            </Words>
            <Words style={styles.grow}>{`from ${wall}, at the end on your ${end} as you face it`}</Words>
          </View>
          <Words size="small">{`Check: ${sawn(line.toFarMm[k]!, units)} to the wall across.`}</Words>
        </View>
      ))}
      {Math.abs(line.rowMm[0] - plan.plankMm.widthMm) > 0.5 ? (
        <Words>{`The row before it is ripped to ${sawn(line.rowMm[0], units)}${line.rowMm[1] - line.rowMm[0] > 0.5 ? ` to ${sawn(line.rowMm[1], units)}` : ''}.`}</Words>
      ) : null}
      {at === plan.chalk.length - 1 ? (
        <Button kind="main" label="Cut the first piece" onPress={onCut} />
      ) : (
        <Button kind="main" label="Next line" onPress={() => onAt(at + 1)} />
      )}
      <ButtonRow>
        <Button label="Back" off={at === 0 ? 'This is the first line.' : null} onPress={() => onAt(at - 1)} />
        <Button label="Cut list" onPress={onCut} />
      </ButtonRow>
      <Words size="small" quiet>
        {`Tapes square off the start wall as it is drawn. Where the two do not add up the room is out of true there: keep the first figure, and let the gap take what it can. ${counted(plan.chalk.length, 'line')} in all.`}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  end: { gap: SPACE.near },
  line: { flexDirection: 'row', gap: SPACE.part, alignItems: 'baseline' },
  grow: { flex: 1 },
});
