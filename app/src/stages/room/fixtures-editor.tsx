import { View } from 'react-native';
import {
  FIXTURE_KINDS,
  FIXTURE_MM,
  fixtureName,
  FIXTURES,
  nearestWall,
  newFixture,
  placeOnWall,
  setOnWall,
  wallName,
  type Fixture,
  type FixtureKind,
  type RoomFacts,
  type WallPlace,
} from '@maquette/core/room';
import { newId } from '../../data/ids.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Field } from '../../ui/field.tsx';
import { LengthField } from '../../bench/length-field.tsx';
import { useFollowing } from '../../ui/use-following.ts';
import { Words } from '../../ui/text.tsx';
import type { RoomChange } from './room-change.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { usePlan } from '../../sheet/use-plan.ts';
import { SPACE } from '../../theme/theme.tsx';

interface Props {
  room: RoomFacts;
  change: RoomChange;
  chosen: string | null;
  onChoose: (id: string | null) => void;
}

/** Where kinds are put first: against a wall, or a little off it. */
const FIRST_OFF_MM: Partial<Record<FixtureKind, number>> = { register: 60, pipe: 60, toilet: 300, column: 1000 };

/** Fixtures with their sizes, each placed as it is taped: along a wall and off it. Or pull it on the sheet. */
export function FixturesEditor({ room, change, chosen, onChoose }: Props) {
  const say = useSay();
  const { fixtures, walls } = room;
  const { corners } = usePlan(room);
  const fixture = fixtures.find((f) => f.id === chosen) ?? fixtures[fixtures.length - 1] ?? null;
  const put = (next: Fixture[], words: string) => void change(words, { fixtures: next });
  const add = (kind: FixtureKind) => {
    const wall = fixture ? nearestWall(corners, fixture.xMm, fixture.yMm) : 0;
    const made = setOnWall(
      corners,
      newFixture(newId(), kind, corners[0]!, 0),
      { wall, alongMm: Math.min(300, walls[wall]!.lengthMm / 4), offMm: FIRST_OFF_MM[kind] ?? 0 },
      true,
    );
    onChoose(made.id);
    put([...fixtures, made], `${say(FIXTURES[kind].words)} put in`);
  };
  return (
    <View style={{ gap: SPACE.part }}>
      {fixtures.length > 1 ? (
        <Choice
          label="Fixture to change"
          inline
          value={fixture?.id ?? ''}
          options={fixtures.map((f, i) => ({
            value: f.id,
            label: f.name ? f.name : `${i + 1} ${say(fixtureName(f))}`,
          }))}
          onChange={onChoose}
        />
      ) : null}
      {fixture ? (
        <FixtureFields
          key={fixture.id}
          fixture={fixture}
          room={room}
          onTaken={(next, words) =>
            put(
              fixtures.map((f) => (f.id === next.id ? next : f)),
              words,
            )
          }
          onRemove={() =>
            put(
              fixtures.filter((f) => f.id !== fixture.id),
              `${say(fixtureName(fixture))} taken out`,
            )
          }
        />
      ) : (
        <Words>What stands on the floor or comes through it. Pull it on the sheet, or tape it from a wall.</Words>
      )}
      <Words size="small" quiet>
        Add
      </Words>
      <ButtonRow>
        {FIXTURE_KINDS.map((kind) => (
          <Button key={kind} label={say(FIXTURES[kind].words)} hint="Add one" onPress={() => add(kind)} />
        ))}
      </ButtonRow>
      <Words size="small" quiet>
        {`Walls are taped from their start, the corner before them: ${wallName(walls, 0)} starts at corner 1.`}
      </Words>
    </View>
  );
}

function FixtureFields({
  fixture,
  room,
  onTaken,
  onRemove,
}: {
  fixture: Fixture;
  room: RoomFacts;
  onTaken: (fixture: Fixture, words: string) => void;
  onRemove: () => void;
}) {
  const say = useSay();
  const { walls, units } = room;
  const { corners } = usePlan(room);
  const spec = FIXTURES[fixture.kind];
  const place = placeOnWall(corners, fixture, nearestWall(corners, fixture.xMm, fixture.yMm));
  const [name, setName] = useFollowing(fixture.name);
  const words = `${say(fixtureName(fixture))} changed`;
  const size = (part: Partial<Fixture>) => {
    // The edge that was taped stays where it is; the thing grows away from it.
    const grown = { ...fixture, ...part };
    onTaken(fixture.round ? grown : setOnWall(corners, grown, place), words);
  };
  const move = (part: Partial<WallPlace>) => onTaken(setOnWall(corners, fixture, { ...place, ...part }), words);
  const to = fixture.round ? 'middle' : 'near edge';
  return (
    <View style={{ gap: SPACE.part }}>
      <Words bold>{say(fixtureName(fixture))}</Words>
      <Choice
        label="Taped from wall"
        inline
        value={String(place.wall)}
        options={walls.map((_, i) => ({ value: String(i), label: wallName(walls, i) }))}
        onChange={(value) => onTaken(setOnWall(corners, fixture, { ...place, wall: Number(value) }, true), words)}
      />
      <LengthField
        label={`Along ${wallName(walls, place.wall)} to its ${to}`}
        mm={place.alongMm}
        units={units}
        range={{ min: -2000, max: 60_000 }}
        onTaken={(alongMm) => move({ alongMm })}
      />
      <LengthField
        label={`Off the wall to its ${to}`}
        mm={place.offMm}
        units={units}
        range={{ min: -2000, max: 60_000 }}
        onTaken={(offMm) => move({ offMm })}
      />
      {fixture.round ? (
        <LengthField
          label="Diameter"
          mm={fixture.widthMm}
          units={units}
          range={FIXTURE_MM.size}
          onTaken={(mm) => size({ widthMm: mm, depthMm: mm })}
        />
      ) : (
        <>
          <LengthField
            label="Width along the wall"
            mm={fixture.widthMm}
            units={units}
            range={FIXTURE_MM.size}
            onTaken={(widthMm) => size({ widthMm })}
          />
          <LengthField
            label="Depth"
            mm={fixture.depthMm}
            units={units}
            range={FIXTURE_MM.size}
            onTaken={(depthMm) => size({ depthMm })}
          />
        </>
      )}
      {spec.height ? (
        <LengthField
          label={say(spec.height.words)}
          mm={fixture.heightMm}
          units={units}
          range={FIXTURE_MM.height}
          signed={fixture.kind === 'toilet'}
          onTaken={(heightMm) => onTaken({ ...fixture, heightMm }, words)}
        />
      ) : null}
      {spec.toeKickMm !== null ? (
        <LengthField
          label="Toe-kick stands back by"
          mm={fixture.toeKickMm}
          units={units}
          range={FIXTURE_MM.toeKick}
          onTaken={(toeKickMm) => onTaken({ ...fixture, toeKickMm }, words)}
        />
      ) : null}
      {fixture.kind === 'column' ? (
        <Choice
          label="Shape"
          inline
          value={fixture.round ? 'round' : 'square'}
          options={[
            { value: 'square', label: 'Square' },
            { value: 'round', label: 'Round' },
          ]}
          onChange={(shape) => onTaken({ ...fixture, round: shape === 'round', depthMm: fixture.widthMm }, words)}
        />
      ) : null}
      <Field
        label="Called (if anything)"
        value={name}
        onChange={setName}
        onDone={() =>
          name.trim() === fixture.name ? undefined : onTaken({ ...fixture, name: name.trim().slice(0, 60) }, words)
        }
      />
      <ButtonRow>
        {!fixture.round ? (
          <Button
            label="Turn a quarter"
            onPress={() => onTaken({ ...fixture, turnDeg: ((fixture.turnDeg + 90 + 180) % 360) - 180 }, words)}
          />
        ) : null}
        <Button label="Take it out" onPress={onRemove} />
      </ButtonRow>
    </View>
  );
}
