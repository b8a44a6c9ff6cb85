import { useMemo, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { onStorey, storeyOf, WALL_THICKNESS_MM, type Pose } from '@maquette/core/heights';
import { openingName, planOf, type PointMm } from '@maquette/core/room';
import { formatReach, gapWords, type UnitSystem } from '@maquette/core/units';
import { newId } from '../data/ids.ts';
import { write } from '../data/write.ts';
import { SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { useSay } from '../ui/shown-in.tsx';
import { Words } from '../ui/text.tsx';
import { StoreySheet } from './storey-sheet.tsx';
import type { RoomOfJob } from './use-job-heights.ts';

/** One step of a room that is moved by hand, mm. */
const STEP_MM = 100;
const TURN_DEG = 90;

/** Rooms of the job in place by the openings they share, movable where the tape says otherwise. */
export function StoreyTab({ rooms, units }: { rooms: readonly RoomOfJob[]; units: UnitSystem }) {
  const say = useSay();
  const { width } = useWindowDimensions();
  const [chosenId, setChosen] = useState<string | null>(null);
  const drawn = useMemo(
    () =>
      rooms.map(({ set }) => ({
        id: set.room.id,
        name: set.room.name,
        corners: planOf(set.room).corners,
        // A stair leads to another storey: it ties heights, not places.
        openings: set.room.openings.filter(({ kind }) => kind !== 'stair'),
        room: set.room,
        pose: set.poses.at(-1) ?? null,
      })),
    [rooms],
  );
  const storey = useMemo(
    () => storeyOf(drawn, new Map(drawn.flatMap(({ id, pose }) => (pose?.own ? [[id, pose] as const] : [])))),
    [drawn],
  );
  const chosen = drawn.find(({ id }) => id === chosenId) ?? null;
  const pose = storey.placed.find(({ roomId }) => roomId === chosenId)?.pose ?? null;
  const put = (words: string, next: Pose, own: boolean) =>
    void write(words, [
      {
        kind: 'poses',
        id: chosen!.pose?.id ?? newId(),
        roomId: chosen!.id,
        body: { xMm: Math.round(next.xMm), yMm: Math.round(next.yMm), turnDeg: next.turnDeg % 360, own },
      },
    ]);
  const move = (dx: number, dy: number) =>
    pose && put(`${chosen!.name} moved on the storey`, { ...pose, xMm: pose.xMm + dx, yMm: pose.yMm + dy }, true);
  const turn = () => {
    if (!pose || !chosen) return;
    // About its own middle, so that it stays where it is seen.
    const middle = middleOf(chosen.corners.map((corner) => onStorey(pose, corner)));
    const turned = { ...pose, turnDeg: (pose.turnDeg + TURN_DEG) % 360 };
    const after = middleOf(chosen.corners.map((corner) => onStorey(turned, corner)));
    put(
      `${chosen.name} turned on the storey`,
      { ...turned, xMm: turned.xMm + middle.xMm - after.xMm, yMm: turned.yMm + middle.yMm - after.yMm },
      true,
    );
  };
  const nameOf = (id: string) => drawn.find((one) => one.id === id)?.name ?? '';
  const wordsOf = (sharedId: string, roomId: string) => {
    const of = drawn.find(({ id }) => id === roomId);
    const opening = of?.openings.find((one) => (one.sharedId ?? one.id) === sharedId);
    return of && opening ? say(openingName(of.room, opening)) : '';
  };
  if (drawn.length === 0) return <Words>No room is here yet.</Words>;
  return (
    <View style={styles.box}>
      <StoreySheet
        rooms={drawn.map((one) => ({ ...one, pose: storey.placed.find(({ roomId }) => roomId === one.id)!.pose }))}
        chosenId={chosenId}
        height={width >= 1000 ? 520 : 360}
        units={units}
      />
      {storey.groups.slice(1).map((group) => (
        <Words key={group.join()} testID="groups">
          {`${group.map(nameOf).join(', ')}: no opening of this storey leads there. Share one on Room, or move it here.`}
        </Words>
      ))}
      {storey.disagreements.map(({ sharedId, roomIds, apartMm }) => (
        <Words key={sharedId} bold>
          {`${nameOf(roomIds[0])} and ${nameOf(roomIds[1])} come together ${formatReach(apartMm, units)} apart at the ${wordsOf(sharedId, roomIds[0])}: tape one of them again, or move a room.`}
        </Words>
      ))}
      <Choice
        label="Room to move"
        inline
        value={chosenId ?? ''}
        options={drawn.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={setChosen}
      />
      {chosen && pose ? (
        <>
          <ButtonRow>
            <Button label="Left" onPress={() => move(-STEP_MM, 0)} />
            <Button label="Right" onPress={() => move(STEP_MM, 0)} />
            <Button label="Up" onPress={() => move(0, STEP_MM)} />
            <Button label="Down" onPress={() => move(0, -STEP_MM)} />
            <Button label="Turn" onPress={turn} />
          </ButtonRow>
          {chosen.pose?.own ? (
            <Button
              label={`${chosen.name} back to where its openings put it`}
              onPress={() => put(`${chosen.name} back by its openings`, pose, false)}
            />
          ) : null}
        </>
      ) : null}
      <Words size="small" quiet>
        {`Rooms are laid against one another jamb to jamb, a wall of ${gapWords(WALL_THICKNESS_MM, units)} between them. One step moves a room by ${gapWords(STEP_MM, units)}.`}
      </Words>
    </View>
  );
}

function middleOf(points: readonly PointMm[]): PointMm {
  const range = (of: (point: PointMm) => number) => (Math.min(...points.map(of)) + Math.max(...points.map(of))) / 2;
  return { xMm: range(({ xMm }) => xMm), yMm: range(({ yMm }) => yMm) };
}

const styles = StyleSheet.create({ box: { padding: SPACE.edge, gap: SPACE.part } });
