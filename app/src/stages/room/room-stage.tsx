import { useCallback, useMemo, useState } from 'react';
import {
  fixtureOutline,
  fixtureName,
  ORIGIN,
  planOf,
  pointOnWall,
  walkOf,
  type Fixture,
  type PointMm,
  type Reshaped,
  type Wall,
} from '@maquette/core/room';
import { RoomFrame } from '../../room/room-frame.tsx';
import { BaseLayer } from '../../sheet/base-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import type { ShapeEdits } from '../../sheet/use-shape-drag.ts';
import { DrawnLine } from '../../sheet/drawn-line.tsx';
import { toMmPoint, toPx, type SheetView } from '../../sheet/view.ts';
import type { StageProps } from '../stage-props.ts';
import { RoomBench } from './room-bench.tsx';
import { onWalls, useRoomChange } from './room-change.ts';
import { WalkClosing, WalkWalls } from './walk-walls.tsx';
import { useSay } from '../../ui/shown-in.tsx';

const REACH_PX = 26;
/** A finger on the sheet is no finer, mm. */
const TOUCH_MM = 10;

/** The room as it is: drawn, pulled and keyed. */
export function RoomStage(props: StageProps) {
  const say = useSay();
  const { shown, room, go } = props;
  const { change, problem } = useRoomChange(shown);
  const [draft, setDraft] = useState<Wall[] | null>(null);
  const [walk, setWalk] = useState<Wall[] | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [drawing, setDrawing] = useState<readonly PointMm[] | null>(null);
  const drawn = useMemo(() => (draft ? { ...room, walls: draft, diagonals: [], openings: [] } : room), [draft, room]);
  const trail = useMemo(() => (walk ? walkOf(walk).corners : null), [walk]);
  const edits = useMemo<ShapeEdits | null>(
    () =>
      walk || draft || drawing
        ? null
        : {
            onReshape: (shape: Reshaped, words: string) => {
              const changed = onWalls(room, words, shape);
              void change(changed.words, changed.part);
            },
            onMoveFixture: (fixture: Fixture) =>
              void change(`${say(fixtureName(fixture))} moved`, {
                fixtures: room.fixtures.map((f) => (f.id === fixture.id ? fixture : f)),
              }),
          },
    [walk, draft, drawing, change, room, say],
  );
  const tap = useCallback(
    (view: SheetView, xPx: number, yPx: number) => {
      if (drawing) {
        const [x, y] = toMmPoint(view, xPx, yPx);
        return setDrawing([
          ...drawing,
          { xMm: Math.round(x / TOUCH_MM) * TOUCH_MM, yMm: Math.round(y / TOUCH_MM) * TOUCH_MM },
        ]);
      }
      const { corners } = planOf(room);
      const apart = (xMm: number, yMm: number) => {
        const [x, y] = toPx(view, xMm, yMm);
        return Math.hypot(x - xPx, y - yPx);
      };
      const opening = room.openings.find((o) => {
        const at = pointOnWall(corners, o.wall, o.fromMm + o.widthMm / 2);
        return apart(at.xMm, at.yMm) < Math.max(REACH_PX, (o.widthMm * view.pxPerMm) / 2);
      });
      const fixture = room.fixtures.find((f) => {
        const reach = Math.max(
          ...fixtureOutline(f).map((p) => Math.hypot(p.xMm - f.xMm, p.yMm - f.yMm) * view.pxPerMm * 0.7),
        );
        return apart(f.xMm, f.yMm) < Math.max(REACH_PX, reach);
      });
      setChosen(fixture?.id ?? opening?.id ?? null);
    },
    [room, drawing],
  );
  const takeWalk = (walls: Wall[]) => {
    setWalk(null);
    const changed = onWalls(room, 'Walls walked', { walls, start: ORIGIN });
    void change(changed.words, changed.part);
  };
  const sheet = (
    <Sheet
      room={drawn}
      description={`${room.name}: ${room.walls.length} walls, ${room.openings.length} openings, ${room.fixtures.length} fixtures`}
      wallNames
      under={(view) => (draft ? null : <BaseLayer room={room} view={view} />)}
      edits={edits}
      trail={trail}
      onTap={tap}
      chosenOpening={chosen}
      chosenFixture={chosen}
      over={(view) => (drawing ? <DrawnLine points={drawing} view={view} /> : null)}
    />
  );
  return (
    <RoomFrame
      stage="room"
      props={props}
      sheet={sheet}
      keying={walk !== null}
      needs="nothing"
      closing={walk ? <WalkClosing units={room.units} walls={walk} onDone={takeWalk} /> : null}
    >
      {walk ? (
        <WalkWalls units={room.units} walls={walk} onWalls={setWalk} onLeave={() => setWalk(null)} />
      ) : (
        <RoomBench
          key={room.id}
          shown={shown}
          room={room}
          card={shown.card}
          change={change}
          problem={problem}
          chosen={chosen}
          onChoose={setChosen}
          onDraft={setDraft}
          onWalk={() => setWalk([])}
          onNext={() => go('strip')}
          drawing={drawing}
          onDrawing={setDrawing}
        />
      )}
    </RoomFrame>
  );
}
