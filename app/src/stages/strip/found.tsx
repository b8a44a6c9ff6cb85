import { StyleSheet, View } from 'react-native';
import { BASE_KINDS, BASE_WORDS, type PointMm, type RoomFacts } from '@maquette/core/room';
import { LAYER_KINDS, LAYERS, newLayer, type LayerKind } from '@maquette/core/layers';
import { MARK_KINDS, MARK_WORDS, type MarkKind } from '@maquette/core/soundness';
import { useState } from 'react';
import { newId } from '../../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { TapePlace } from '../../room/tape-place.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { PhotoStrip } from '../../photos/photo-strip.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import { SPACE } from '../../theme/theme.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  marking: boolean;
  onMark: (at: PointMm) => void;
  onMarking: (on: boolean) => void;
}

/** Surprises: another layer than thought, damage, another base. What was found is what later stages work from. */
export function Found({ shown, room, marking, onMarking, onMark }: Props) {
  const say = useSay();
  const [adding, setAdding] = useState(false);
  const addLayer = (kind: LayerKind) => {
    setAdding(false);
    const rank = Math.max(0, ...shown.layers.map((l) => l.rank + 1));
    void write(`Found: ${say(LAYERS[kind].words)}`, [
      {
        kind: 'layers',
        id: newId(),
        roomId: room.id,
        body: bodyOf(newLayer('found', kind, { rank, foundAt: 'strip-out' })),
      },
    ]);
  };
  return (
    <Fold title="What was found" aside={`${counted(shown.marks.length, 'mark')}`} open={marking}>
      <Choice
        label="The base that came to light"
        value={room.baseKind}
        options={BASE_KINDS.map((kind) => ({ value: kind, label: say(BASE_WORDS[kind]) }))}
        onChange={(baseKind) =>
          void write(`Base found: ${say(BASE_WORDS[baseKind]).toLowerCase()}`, [
            { kind: 'rooms', id: room.id, body: { ...bodyOf(shown.room!), baseKind } },
          ])
        }
      />
      {adding ? (
        <View style={styles.list}>
          <Words bold>Another layer came to light</Words>
          {LAYER_KINDS.map((kind) => (
            <Button key={kind} label={say(LAYERS[kind].words)} onPress={() => addLayer(kind)} />
          ))}
        </View>
      ) : (
        <Button label="Another layer came to light" onPress={() => setAdding(true)} />
      )}
      <Button
        selected={marking}
        label={marking ? 'Touch the sheet where it is' : 'Mark damage on the sheet'}
        onPress={() => onMarking(!marking)}
      />
      {marking ? <TapePlace room={room} what="the mark" onPlace={onMark} /> : null}
      {shown.marks.map((mark, i) => (
        <View key={mark.id} style={styles.list}>
          <Choice
            label={`Mark ${i + 1}`}
            inline
            value={mark.kind as MarkKind}
            options={MARK_KINDS.map((kind) => ({ value: kind, label: say(MARK_WORDS[kind]) }))}
            onChange={(kind) =>
              void write(`Mark: ${say(MARK_WORDS[kind]).toLowerCase()}`, [
                { kind: 'marks', id: mark.id, roomId: room.id, body: { ...bodyOf(mark), kind } },
              ])
            }
          />
          <PhotoStrip shown={shown} about={{ about: 'mark', aboutId: mark.id, at: { xMm: mark.xMm, yMm: mark.yMm } }} />
          <ButtonRow>
            <Button
              label={`Take mark ${i + 1} out`}
              onPress={() =>
                void write('Mark taken out', [
                  { kind: 'marks', id: mark.id, roomId: room.id, body: bodyOf(mark), deleted: true },
                ])
              }
            />
          </ButtonRow>
        </View>
      ))}
      <PhotoStrip shown={shown} about={{ about: 'room', aboutId: room.id, at: null }} label="Photograph the room" />
    </Fold>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.gap } });
