import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { ruleWords, SHIPPED_CARDS, type CoveringCard } from '@maquette/core/coverings';
import {
  areaM2,
  BASE_KINDS,
  BASE_WORDS,
  outlineOf,
  perimeterMm,
  rectangleWalls,
  WALL_LENGTH_MM,
  type RoomFacts,
  type Wall,
} from '@maquette/core/room';
import { formatArea, formatReach } from '@maquette/core/units';
import { bodyOf } from '../../data/merge.ts';
import { useBook, type ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Field } from '../../ui/field.tsx';
import { Fold } from '../../ui/fold.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { Words } from '../../ui/text.tsx';
import { useFollowing } from '../../ui/use-following.ts';
import { DoorEditor } from './door-editor.tsx';
import { WallsEditor } from './walls-editor.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  card: CoveringCard | null;
  onDraft: (walls: Wall[] | null) => void;
  onNext: () => void;
}

/** What the room is: outline, door, base, covering, units. */
export function RoomBench({ shown, room, card, onDraft, onNext }: Props) {
  const palette = usePalette();
  const router = useRouter();
  const book = useBook();
  const [name, setName] = useFollowing(room.name);
  const [problem, setProblem] = useState<string | null>(null);
  const { units, walls } = room;
  const corners = outlineOf(walls).corners;
  const cards = [...(book.cards as unknown as CoveringCard[]), ...SHIPPED_CARDS];
  const change = async (words: string, part: object) => {
    const result = await write(words, [
      { kind: 'rooms', id: room.id, body: { ...bodyOf(shown.room!), ...part } as never },
    ]);
    setProblem(result.ok ? null : result.problems.map((p) => `${p.field}: ${p.message}`).join('; '));
  };
  const takeWalls = (next: Wall[], words: string) => {
    // A door that no longer fits its wall is set back on it, never lost without a word.
    const door = room.door;
    const wall = door ? next[Math.min(door.wall, next.length - 1)]! : null;
    const fits = door && wall && door.wall < next.length && door.fromMm + door.widthMm <= wall.lengthMm;
    const moved =
      door && wall && !fits
        ? {
            ...door,
            wall: Math.min(door.wall, next.length - 1),
            widthMm: Math.max(300, Math.min(door.widthMm, wall.lengthMm)),
            fromMm: Math.max(0, Math.min(door.fromMm, wall.lengthMm - door.widthMm)),
          }
        : door;
    const kept = moved && wall && moved.fromMm + moved.widthMm <= wall.lengthMm + 1 ? moved : null;
    void change(door && !kept ? `${words}; the door no longer fits and was taken out` : words, {
      walls: next,
      door: kept,
    });
  };
  const rectangle =
    walls.length === 4 &&
    walls.every((w) => w.turnDeg === 90) &&
    walls[0]!.lengthMm === walls[2]!.lengthMm &&
    walls[1]!.lengthMm === walls[3]!.lengthMm;
  return (
    <View style={styles.box}>
      <View style={styles.line}>
        <Words bold size="large" style={styles.grow}>
          {`${formatArea(areaM2(corners), units)} · ${walls.length} walls`}
        </Words>
        <Words figure quiet>{`${formatReach(perimeterMm(corners), units)} round`}</Words>
      </View>
      {problem ? (
        <Words role="alert" color={palette.verdict.stop}>
          {problem}
        </Words>
      ) : null}
      {rectangle ? (
        <View style={styles.pair}>
          <LengthField
            label="W1, along the start wall"
            mm={walls[0]!.lengthMm}
            units={units}
            range={WALL_LENGTH_MM}
            onTaken={(mm) => takeWalls(rectangleWalls(mm, walls[1]!.lengthMm), 'Room resized')}
          />
          <LengthField
            label="W2, across it"
            mm={walls[1]!.lengthMm}
            units={units}
            range={WALL_LENGTH_MM}
            onTaken={(mm) => takeWalls(rectangleWalls(walls[0]!.lengthMm, mm), 'Room resized')}
          />
        </View>
      ) : null}
      <Button kind="main" label="Read the floor" onPress={onNext} />
      <Fold title="Walls" aside={rectangle ? 'rectangle' : `${walls.length} walls`} open={!rectangle}>
        <WallsEditor walls={walls} units={units} onTaken={takeWalls} onDraft={onDraft} />
      </Fold>
      <Fold title="Door" aside={room.door ? 'in' : 'none yet'} open={!room.door}>
        <DoorEditor room={room} onTaken={(door, words) => void change(words, { door })} />
      </Fold>
      <Fold title="Covering" aside={card?.name ?? 'choose one'} open={!card}>
        <Choice
          label="Which card the floor is held to"
          value={room.cardId}
          options={cards.map((c) => ({
            value: c.id,
            label: c.name,
            note: c.rules.map((rule) => ruleWords(rule, units)).join(' and '),
          }))}
          onChange={(cardId) => void change('Covering changed', { cardId })}
        />
        <Button label="See, copy or edit cards" onPress={() => router.push('/cards')} />
      </Fold>
      <Fold title="Base" aside={BASE_WORDS[room.baseKind]}>
        <Choice
          label="What the planks lie over"
          value={room.baseKind}
          options={BASE_KINDS.map((kind) => ({ value: kind, label: BASE_WORDS[kind] }))}
          onChange={(baseKind) => void change('Base changed', { baseKind })}
        />
      </Fold>
      <Fold title="Name and units" aside={units === 'metric' ? 'mm' : 'inches'}>
        <Field
          label="Name of the room"
          value={name}
          onChange={setName}
          onDone={() =>
            name.trim() !== room.name && name.trim() !== ''
              ? void change('Room renamed', { name: name.trim() })
              : setName(room.name)
          }
        />
        <Choice
          label="Units in this room"
          inline
          value={units}
          options={[
            { value: 'metric', label: 'Millimetres' },
            { value: 'imperial', label: 'Feet and inches' },
          ]}
          onChange={(next) => void change(next === 'metric' ? 'Metric' : 'Feet and inches', { units: next })}
        />
        <ButtonRow>
          <Button
            label="Remove this room"
            onPress={() => {
              if (
                !globalThis.confirm(
                  `Remove ${room.name} with its ${shown.readings.length} readings? Undo brings it back.`,
                )
              )
                return;
              void write(`${room.name} removed`, [
                { kind: 'rooms', id: room.id, body: bodyOf(shown.room!) as never, deleted: true },
              ]);
              router.replace('/');
            }}
          />
        </ButtonRow>
      </Fold>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: 16, gap: 12 },
  line: { flexDirection: 'row', alignItems: 'baseline', gap: 12 },
  grow: { flex: 1 },
  pair: { flexDirection: 'row', gap: 12, flexWrap: 'wrap' },
});
