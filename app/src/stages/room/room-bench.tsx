import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { ruleWords, SHIPPED_CARDS, type CoveringCard } from '@maquette/core/coverings';
import {
  areaM2,
  BASE_WORDS,
  perimeterMm,
  rectangleWalls,
  WALL,
  type PointMm,
  type RoomFacts,
  type Wall,
} from '@maquette/core/room';
import { formatArea, formatReach } from '@maquette/core/units';
import { filled } from '@maquette/core/fields';
import { bodyOf, KINDS } from '@maquette/facts';
import { useBook, type ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useFactForm } from '../../form/fact-form.ts';
import { OneField } from '../../form/one-field.tsx';
import { Words } from '../../ui/text.tsx';
import { Assumed } from './assumed.tsx';
import { BaseEditor } from './base-editor.tsx';
import { FixturesEditor } from './fixtures-editor.tsx';
import { DiagonalsEditor, LinesEditor } from './lines-editor.tsx';
import { OpeningsEditor } from './openings-editor.tsx';
import { onWalls, type Renumber, type RoomChange } from './room-change.ts';
import { ServicesEditor } from './services-editor.tsx';
import { WallsEditor } from './walls-editor.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { usePlan } from '../../sheet/use-plan.ts';
import { counted } from '../../ui/counted.ts';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  card: CoveringCard | null;
  change: RoomChange;
  problem: string | null;
  chosen: string | null;
  onChoose: (id: string | null) => void;
  onDraft: (walls: Wall[] | null) => void;
  onWalk: () => void;
  onNext: () => void;
  /** Points of a pipe or cable touched on the sheet; null while none is drawn. */
  drawing: readonly PointMm[] | null;
  onDrawing: (points: readonly PointMm[] | null) => void;
}

const NAME = filled(KINDS.rooms.fields.name);
const SIDES_TAPED = { along: WALL.lengthMm, across: WALL.lengthMm };

/** What the room is: outline, openings, fixtures, base, covering, units. */
export function RoomBench({
  shown,
  room,
  card,
  change,
  problem,
  chosen,
  onChoose,
  onDraft,
  onWalk,
  onNext,
  drawing,
  onDrawing,
}: Props) {
  const say = useSay();
  const palette = usePalette();
  const router = useRouter();
  const book = useBook();
  const { units, walls } = room;
  const plan = usePlan(room);
  const services = room.services?.length ?? 0;
  const cards = [...book.cards, ...SHIPPED_CARDS];
  const takeWalls = (next: Wall[], words: string, renumber?: Renumber) => {
    const changed = onWalls(room, words, { walls: next, keepDiagonals: true, ...(renumber ? { renumber } : {}) });
    return change(changed.words, changed.part);
  };
  const opening = room.openings.some((o) => o.id === chosen);
  const fixture = room.fixtures.some((f) => f.id === chosen);
  const rectangle =
    walls.length === 4 &&
    walls.every((w) => w.turnDeg === 90) &&
    walls[0]!.lengthMm === walls[2]!.lengthMm &&
    walls[1]!.lengthMm === walls[3]!.lengthMm;
  const lengths = { along: walls[0]!.lengthMm, across: walls[1]!.lengthMm };
  const sides = useFactForm(SIDES_TAPED, lengths, units, (part) => {
    const { along, across } = { ...lengths, ...part };
    return takeWalls(rectangleWalls(along, across), 'Room resized');
  });
  return (
    <View style={styles.box}>
      <View style={styles.line}>
        <Words bold size="large" style={styles.grow}>
          {`${formatArea(areaM2(plan.corners, plan.islands), units)} · ${walls.length} walls`}
        </Words>
        <Words figure quiet>{`${formatReach(perimeterMm(plan.corners), units)} round`}</Words>
      </View>
      {problem ? (
        <Words role="alert" color={palette.verdict.stop}>
          {problem}
        </Words>
      ) : null}
      {rectangle ? (
        <View style={styles.pair}>
          <FactField form={sides} name="along" label="W1, along the start wall" />
          <FactField form={sides} name="across" label="W2, across it" />
        </View>
      ) : null}
      <Assumed room={room} layers={shown.layers.length} change={change} onLayers={onNext} />
      <ButtonRow>
        <Button label="Walk the walls" hint="Key every wall anew, by length and turn" onPress={onWalk} />
        <Button kind="main" label="What lies on the floor" onPress={onNext} />
      </ButtonRow>
      <Fold title="Walls" aside={rectangle ? 'rectangle' : `${walls.length} walls`} open={!rectangle && !chosen}>
        <WallsEditor walls={walls} start={room.start} units={units} onTaken={takeWalls} onDraft={onDraft} />
      </Fold>
      <Fold title="Diagonals" aside={room.diagonals.length > 0 ? `${room.diagonals.length} measured` : 'none measured'}>
        <DiagonalsEditor room={room} change={change} />
      </Fold>
      <Fold
        key={`o-${opening}`}
        title="Doors and openings"
        aside={room.openings.length === 0 ? 'none yet' : String(room.openings.length)}
        open={room.openings.length === 0 || opening}
      >
        <OpeningsEditor room={room} change={change} chosen={chosen} onChoose={onChoose} />
      </Fold>
      <Fold
        key={`f-${fixture}`}
        title="Fixtures and islands"
        aside={room.fixtures.length === 0 ? 'none' : String(room.fixtures.length)}
        open={fixture}
      >
        <FixturesEditor room={room} change={change} chosen={chosen} onChoose={onChoose} />
      </Fold>
      <Fold title="Dividing lines" aside={room.lines.length === 0 ? 'none' : String(room.lines.length)}>
        <LinesEditor room={room} change={change} inUse={shown.layers.flatMap((l) => l.where.map((w) => w.lineId))} />
      </Fold>
      <Fold
        title="Pipes, drains and cables"
        aside={services === 0 ? 'none drawn' : String(services)}
        open={drawing !== null}
      >
        <ServicesEditor
          room={room}
          change={change}
          on={drawing !== null}
          drawing={{ points: drawing ?? [], onPoints: onDrawing }}
        />
      </Fold>
      <Fold title="Covering" aside={card?.name ?? 'choose one'} open={!card}>
        <Choice
          label="Which card the floor is held to"
          value={room.cardId}
          options={cards.map((c) => ({
            value: c.id,
            label: c.name,
            note: c.rules.map((rule) => say(ruleWords(rule))).join(' and '),
          }))}
          onChange={(cardId) => void change('Covering changed', { cardId })}
        />
        <Button label="See, copy or edit cards" onPress={() => router.push('/cards')} />
      </Fold>
      <Fold title="Base" aside={say(BASE_WORDS[room.baseKind])}>
        <BaseEditor room={room} change={change} />
      </Fold>
      <Fold title="Name and units" aside={units === 'metric' ? 'mm' : 'inches'}>
        <OneField
          of={NAME}
          value={room.name}
          units={units}
          label="Name of the room"
          onTaken={(name) => change('Room renamed', { name })}
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
                  `Remove ${room.name} with its ${counted(shown.readings.length, 'reading')}? Undo brings it back.`,
                )
              )
                return;
              void write(`${room.name} removed`, [
                { kind: 'rooms', id: room.id, body: bodyOf(shown.room!), deleted: true },
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
  box: { padding: SPACE.edge, gap: SPACE.part },
  line: { flexDirection: 'row', alignItems: 'baseline', gap: SPACE.part },
  grow: { flex: 1 },
  pair: { flexDirection: 'row', gap: SPACE.part, flexWrap: 'wrap' },
});
