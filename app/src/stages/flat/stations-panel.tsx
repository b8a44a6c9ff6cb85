import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { RoomPicture } from '@maquette/core';
import { defaultSpacingMm, type CoveringCard } from '@maquette/core/coverings';
import type { Station } from '@maquette/core/flat';
import { planOf, type PointMm, type RoomFacts } from '@maquette/core/room';
import { formatReach, unitLabel } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { bodyOf, KINDS } from '@maquette/facts';
import { readingsInOrder } from '../../data/read-twice.ts';
import { write } from '../../data/write.ts';
import { useSaveFile } from '../../files/use-save-file.ts';
import { TapePlace } from '../../room/tape-place.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { OneField } from '../../form/one-field.tsx';
import { Words } from '../../ui/text.tsx';
import { StationsTable } from './stations-table.tsx';
import { stationChange } from './station-change.ts';
import type { Placing } from './use-placing.ts';
import { SPACE } from '../../theme/theme.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  card: CoveringCard;
  picture: RoomPicture;
  current: Station | null;
  placing: Placing;
  onPlacing: (placing: Placing) => void;
  /** A place keyed by tape, in place of a touch. */
  onPlace: (at: PointMm) => void;
}

/** Setting the stations, files in and out, and all readings as a table. */
export function StationsPanel({ shown, room, card, picture, current, placing, onPlacing, onPlace }: Props) {
  const { save, failed } = useSaveFile();
  const router = useRouter();
  const { units } = room;
  const proposed = defaultSpacingMm(card.rules);
  const rods = useMemo(() => new Map(readingsInOrder(shown.readings).map((r) => [r.stationKey, r])), [shown.readings]);
  const change = (words: string, part: object) =>
    write(words, [{ kind: 'rooms', id: room.id, body: { ...bodyOf(shown.room!), ...part } }]);
  const read = current ? rods.get(current.key) : undefined;
  const drop = () => {
    if (!current) return;
    if (read) {
      void write(`Reading at station ${current.number} removed`, [
        { kind: 'readings', id: read.id, roomId: room.id, body: bodyOf(read), deleted: true },
      ]);
      return;
    }
    void write(`Station ${current.number} dropped`, [stationChange(shown, current, { dropped: true })]);
  };
  return (
    <View style={styles.box}>
      <Fold
        title="Set out stations"
        aside={`${picture.stations.length} · ${formatReach(picture.spacingMm, units)} apart`}
      >
        <OneField
          of={KINDS.rooms.fields.spacingMm}
          value={picture.spacingMm}
          units={units}
          label="Station spacing"
          onTaken={(spacingMm) =>
            change(spacingMm === null ? 'Spacing back to default' : 'Spacing changed', { spacingMm })
          }
          hint={`Default ${formatReach(proposed, units)}: the smaller of ${formatReach(600, units)} and a third of the edge. Closer sees smaller humps.`}
        />
        {room.spacingMm !== null ? (
          <Button
            label="Back to the default spacing"
            onPress={() => void change('Spacing back to default', { spacingMm: null })}
          />
        ) : null}
        <ButtonRow>
          <Button
            label={placing === 'add' ? 'Tap the sheet …' : 'Add a station'}
            selected={placing === 'add'}
            onPress={() => onPlacing(placing === 'add' ? 'none' : 'add')}
          />
          <Button
            label={placing === 'move' ? 'Tap the sheet …' : `Move station ${current?.number ?? ''}`}
            selected={placing === 'move'}
            off={!current ? 'Choose a station first.' : read ? 'It has been read: remove its reading first.' : null}
            onPress={() => onPlacing(placing === 'move' ? 'none' : 'move')}
          />
          <Button
            label={read ? `Remove reading ${current?.number ?? ''}` : `Drop station ${current?.number ?? ''}`}
            off={current ? null : 'Choose a station first.'}
            onPress={drop}
          />
        </ButtonRow>
        {placing === 'none' ? null : <TapePlace room={room} what="the station" onPlace={onPlace} />}
        <Choice
          label="Rocking"
          inline
          value={room.contactsOnly ? 'no' : 'yes'}
          options={[
            { value: 'yes', label: 'Counts' },
            { value: 'no', label: 'Contacts only' },
          ]}
          onChange={(value) =>
            void change(value === 'yes' ? 'Rocking counts' : 'Rocking left out', { contactsOnly: value === 'no' })
          }
        />
        <Words size="small" quiet>
          Counting it is the default: planks rock on a crown that shows no gap. Some makers judge the gap between
          contacts only.
        </Words>
      </Fold>
      <Fold title="Readings in and out">
        <ButtonRow>
          <Button label="Bring in readings" onPress={() => router.push(`/rooms/${room.id}/import`)} />
          <Button
            label="Save readings (CSV)"
            off={shown.readings.length === 0 ? 'Nothing is read yet.' : null}
            onPress={() =>
              save(`${room.name.toLowerCase().replace(/\W+/g, '-')}-readings.csv`, 'text/csv', ({ rodCsv }) =>
                rodCsv(shown.plain, picture.stations, planOf(room)),
              )
            }
          />
        </ButtonRow>
        {failed ? <Words role="alert">{failed}</Words> : null}
      </Fold>
      <Fold title="What is drawn, as a table" aside={`${picture.levels.length} read`}>
        <StationsTable picture={picture} shown={shown} units={units} />
        <Words
          size="small"
          quiet
        >{`Lengths and heights in ${unitLabel(units)}; along and across from the first corner; level over the plane through the floor.`}</Words>
      </Fold>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { paddingHorizontal: SPACE.edge, paddingBottom: SPACE.edge },
});
