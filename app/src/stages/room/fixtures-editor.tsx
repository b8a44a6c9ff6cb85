import { useState } from 'react';
import { View } from 'react-native';
import { figure, only } from '@maquette/core/fields';
import {
  FIXTURE,
  FIXTURE_KINDS,
  fixtureName,
  fixtureProblem,
  FIXTURES,
  nearestWall,
  newFixture,
  placeOnWall,
  setOnWall,
  wallName,
  type Fixture,
  type FixtureKind,
  type RoomFacts,
} from '@maquette/core/room';
import { newId } from '../../data/ids.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { isRefused, refused, useFactForm } from '../../form/fact-form.ts';
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

const WHERE = ['xMm', 'yMm', 'widthMm', 'depthMm', 'turnDeg', 'round'] as const;
const OWN = only(FIXTURE, 'name', 'widthMm', 'depthMm', 'heightMm', 'toeKickMm');
/** As it is taped: a thing may stand before the wall’s start, or beyond the wall. */
const TAPED = { alongMm: figure(-2000, 60_000, 'mm'), offMm: figure(-2000, 60_000, 'mm') };

/** Where kinds are put first: against a wall, or a little off it. */
const FIRST_OFF_MM: Partial<Record<FixtureKind, number>> = { register: 60, pipe: 60, toilet: 300, column: 1000 };

/** Fixtures with their sizes, each placed as it is taped: along a wall and off it. Or pull it on the sheet. */
export function FixturesEditor({ room, change, chosen, onChoose }: Props) {
  const say = useSay();
  const { fixtures, walls } = room;
  const { corners } = usePlan(room);
  const fixture = fixtures.find((f) => f.id === chosen) ?? fixtures[fixtures.length - 1] ?? null;
  const put = (next: Fixture[], words: string) => change(words, { fixtures: next });
  const add = (kind: FixtureKind) => {
    const wall = fixture ? nearestWall(corners, fixture.xMm, fixture.yMm) : 0;
    const made = setOnWall(
      corners,
      newFixture(newId(), kind, corners[0]!, 0),
      { wall, alongMm: Math.min(300, walls[wall]!.lengthMm / 4), offMm: FIRST_OFF_MM[kind] ?? 0 },
      true,
    );
    onChoose(made.id);
    void put([...fixtures, made], `${say(FIXTURES[kind].words)} put in`);
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
          onTaken={(next, words) => {
            // A name or a height is taken wherever it stands: only where and how large it is can be asked back.
            const moved = WHERE.some((name) => next[name] !== fixture[name]);
            const wrong = moved ? fixtureProblem(corners, walls, next) : null;
            if (wrong) return refused(say(wrong));
            return put(
              fixtures.map((f) => (f.id === next.id ? next : f)),
              words,
            );
          }}
          onRemove={() =>
            void put(
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
  onTaken: (fixture: Fixture, words: string) => unknown;
  onRemove: () => void;
}) {
  const say = useSay();
  const { walls, units } = room;
  const { corners } = usePlan(room);
  const spec = FIXTURES[fixture.kind];
  const place = placeOnWall(corners, fixture, nearestWall(corners, fixture.xMm, fixture.yMm));
  const words = `${say(fixtureName(fixture))} changed`;
  const standing = fixtureProblem(corners, walls, fixture);
  const [asked, setAsked] = useState<string | null>(null);
  /** What is chosen by a key has no field beside which it could be asked back: it is asked here. */
  const choose = async (next: Fixture) => {
    const taken = await onTaken(next, words);
    setAsked(isRefused(taken) ? taken.problems.map(({ message }) => message).join('; ') : null);
  };
  const own = useFactForm(OWN, fixture, units, (part) => {
    const round = fixture.round && part.widthMm !== undefined ? { depthMm: part.widthMm } : {};
    const grown = { ...fixture, ...part, ...round };
    const sized = part.widthMm !== undefined || part.depthMm !== undefined;
    // The edge that was taped stays where it is; the thing grows away from it.
    return onTaken(sized && !fixture.round ? setOnWall(corners, grown, place) : grown, words);
  });
  const taped = useFactForm(TAPED, place, units, (part) =>
    onTaken(setOnWall(corners, fixture, { ...place, ...part }), words),
  );
  const to = fixture.round ? 'middle' : 'near edge';
  return (
    <View style={{ gap: SPACE.part }}>
      <Words bold>{say(fixtureName(fixture))}</Words>
      {asked || standing ? <Words role="alert">{asked ?? say(standing!)}</Words> : null}
      <Choice
        label="Taped from wall"
        inline
        value={String(place.wall)}
        options={walls.map((_, i) => ({ value: String(i), label: wallName(walls, i) }))}
        onChange={(value) => void choose(setOnWall(corners, fixture, { ...place, wall: Number(value) }, true))}
      />
      <FactField form={taped} name="alongMm" label={`Along ${wallName(walls, place.wall)} to its ${to}`} />
      <FactField form={taped} name="offMm" label={`Off the wall to its ${to}`} />
      {fixture.round ? (
        <FactField form={own} name="widthMm" label="Diameter" />
      ) : (
        <>
          <FactField form={own} name="widthMm" label="Width along the wall" />
          <FactField form={own} name="depthMm" label="Depth" />
        </>
      )}
      {spec.height ? (
        <FactField form={own} name="heightMm" label={say(spec.height.words)} signed={fixture.kind === 'toilet'} />
      ) : null}
      {spec.toeKickMm !== null ? <FactField form={own} name="toeKickMm" label="Toe-kick stands back by" /> : null}
      {fixture.kind === 'column' ? (
        <Choice
          label="Shape"
          inline
          value={fixture.round ? 'round' : 'square'}
          options={[
            { value: 'square', label: 'Square' },
            { value: 'round', label: 'Round' },
          ]}
          onChange={(shape) => void choose({ ...fixture, round: shape === 'round', depthMm: fixture.widthMm })}
        />
      ) : null}
      <FactField form={own} name="name" label="Called (if anything)" />
      <ButtonRow>
        {!fixture.round ? (
          <Button
            label="Turn a quarter"
            onPress={() => void choose({ ...fixture, turnDeg: ((fixture.turnDeg + 90 + 180) % 360) - 180 })}
          />
        ) : null}
        <Button label="Take it out" onPress={onRemove} />
      </ButtonRow>
    </View>
  );
}
