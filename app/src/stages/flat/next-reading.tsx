import { StyleSheet, View } from 'react-native';
import type { RoomPicture } from '@maquette/core';
import type { RoomFacts } from '@maquette/core/room';
import { formatGap, formatReach, unitLabel } from '@maquette/core/units';
import { newId } from '../../data/ids.ts';
import type { Change } from '../../data/write.ts';
import { write } from '../../data/write.ts';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import { SPACE } from '../../theme/theme.tsx';

interface Props {
  room: RoomFacts;
  picture: RoomPicture;
  /** A station was set: reading goes on there. */
  onSet: (key: string) => void;
}

/** What the map stands on, where it stands on least, and the keys that set stations there. */
export function NextReading({ room, picture, onSet }: Props) {
  const say = useSay();
  const { units } = room;
  const { witnesses, failure, joistLine, smallestMm } = picture;
  if (!witnesses) return null;
  const set = (words: string, places: readonly { xMm: number; yMm: number }[]) => {
    const ids = places.map(() => newId());
    const changes = places.map(({ xMm, yMm }, i): Change => ({
      kind: 'stations',
      id: ids[i]!,
      roomId: room.id,
      body: { replacesKey: null, xMm: Math.round(xMm), yMm: Math.round(yMm), dropped: false },
    }));
    void write(words, changes).then(({ ok }) => ok && onSet(ids[0]!));
  };
  const classes = [
    witnesses.scanShare > 0 ? `scan over ${Math.round(witnesses.scanShare * 100)} %` : null,
    witnesses.edges > 0 ? `${counted(witnesses.edges, 'edge')}` : null,
    witnesses.rods > 0 ? `${witnesses.rods} staff readings` : null,
    witnesses.planks > 0 ? `${witnesses.planks} spare planks, the poorer witness` : null,
  ].filter((words) => words !== null);
  return (
    <Fold title="What the map stands on" aside={classes[0] ?? ''} open={joistLine.length > 0}>
      <Words>{`${classes.join(', ')}.`}</Words>
      {smallestMm !== null ? (
        <Words>{`A hump or hollow narrower than about ${formatReach(smallestMm, units)} may lie unseen.`}</Words>
      ) : null}
      {joistLine.length > 0 ? (
        <View style={styles.ask}>
          <Words>{`A line of ${counted(joistLine.length, 'station')} across the joists, on each and midway between, shows whether the floor crowns over them.`}</Words>
          <Button
            label="Set out the line across the joists"
            onPress={() => set('Line across the joists set out', joistLine)}
          />
        </View>
      ) : null}
      {failure?.nextAt ? (
        <View style={styles.ask}>
          <Words testID="unmeasured">
            {`Largest unmeasured area: ${say(failure.nextPlace)}. Heights there are known to ${formatGap(failure.nextSdMm, units)} ${unitLabel(units)}.`}
          </Words>
          <Button
            label="Set the next station there"
            onPress={() => set('Station set', [{ xMm: failure.nextAt![0], yMm: failure.nextAt![1] }])}
          />
        </View>
      ) : null}
    </Fold>
  );
}

const styles = StyleSheet.create({ ask: { gap: SPACE.gap } });
