import equal from 'fast-deep-equal';
import { useRef, useState } from 'react';
import {
  moveCorner,
  moveWall,
  planOf,
  snapMm,
  turnedAsDrawn,
  type Fixture,
  type Reshaped,
  type RoomFacts,
} from '@maquette/core/room';
import type { Grip } from './use-sheet-view.ts';
import { toMmPoint, toPx, type SheetView } from './view.ts';

/** What pulling on the sheet asks for once the finger lets go. */
export interface ShapeEdits {
  onReshape: (shape: Reshaped, words: string) => void;
  onMoveFixture: (fixture: Fixture) => void;
}

type Draft = Pick<RoomFacts, 'walls' | 'start' | 'fixtures' | 'diagonals'>;

const REACH_PX = 24;
const FIXTURE_STEP_MM = 5;

/**
 * Pulling corners, walls and fixtures. The draft lives here, in the sheet, so that nothing else is drawn anew while the finger
 * moves; the room is written once, when it lets go. A shape that cannot be is not followed.
 */
export function useShapeDrag(room: RoomFacts, edits: ShapeEdits | null) {
  const [draft, setDraft] = useState<Draft | null>(null);
  const last = useRef<{ shape: Reshaped; words: string } | { fixture: Fixture } | null>(null);
  const frame = useRef<number | null>(null);

  const show = (next: Draft) => {
    // One drawing a frame is enough, however fast the finger reports.
    if (frame.current !== null) cancelAnimationFrame(frame.current);
    frame.current = requestAnimationFrame(() => setDraft(next));
  };
  const stop = () => {
    if (frame.current !== null) cancelAnimationFrame(frame.current);
    frame.current = null;
    last.current = null;
    setDraft(null);
  };

  const grip = (view: SheetView, xPx: number, yPx: number): Grip | null => {
    if (!edits) return null;
    const { corners } = planOf(room);
    // Diagonals go with a pulled wall; what they had made of the angles stays.
    const walls = room.diagonals.length > 0 ? turnedAsDrawn(corners, room.walls) : room.walls;
    const near = (xMm: number, yMm: number, reach = REACH_PX) => {
      const [x, y] = toPx(view, xMm, yMm);
      return Math.hypot(x - xPx, y - yPx) < reach;
    };
    const [downX, downY] = toMmPoint(view, xPx, yPx);
    const end = () => {
      const done = last.current;
      stop();
      if (done && 'shape' in done) edits.onReshape(done.shape, done.words);
      else if (done) edits.onMoveFixture(done.fixture);
    };
    const fixture = room.fixtures.find((f) =>
      near(f.xMm, f.yMm, Math.max(18, Math.min(40, (Math.min(f.widthMm, f.depthMm) * view.pxPerMm) / 2))),
    );
    if (fixture) {
      return {
        move: (x, y) => {
          const place = (from: number, by: number) => Math.round((from + by) / FIXTURE_STEP_MM) * FIXTURE_STEP_MM;
          const moved = { ...fixture, xMm: place(fixture.xMm, x - downX), yMm: place(fixture.yMm, y - downY) };
          last.current = { fixture: moved };
          show({ ...room, fixtures: room.fixtures.map((f) => (f.id === moved.id ? moved : f)) });
        },
        end,
        cancel: stop,
      };
    }
    let drawn: Reshaped | null = null;
    const take = (shape: Reshaped | null, words: string) => {
      if (!shape) return;
      // Lengths come in whole steps: most small movements change nothing, and nothing is drawn for them.
      if (equal(shape, drawn)) return;
      drawn = shape;
      last.current = { shape, words };
      show({ ...room, ...shape, diagonals: [] });
    };
    const corner = corners.findIndex((c) => near(c.xMm, c.yMm));
    if (corner >= 0) {
      return {
        move: (x, y) =>
          take(
            moveCorner(corners, walls, corner, { xMm: snapMm(x), yMm: snapMm(y) }, room.start),
            `Corner ${corner + 1} moved`,
          ),
        end,
        cancel: stop,
      };
    }
    const wall = corners.findIndex((a, i) => {
      const b = corners[(i + 1) % corners.length]!;
      return near((a.xMm + b.xMm) / 2, (a.yMm + b.yMm) / 2);
    });
    if (wall < 0) return null;
    const [a, b] = [corners[wall]!, corners[(wall + 1) % corners.length]!];
    const length = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm) || 1;
    const [nx, ny] = [-(b.yMm - a.yMm) / length, (b.xMm - a.xMm) / length];
    return {
      move: (x, y) =>
        take(
          moveWall(corners, walls, wall, snapMm((x - downX) * nx + (y - downY) * ny), room.start),
          `Wall W${wall + 1} moved`,
        ),
      end,
      cancel: stop,
    };
  };
  return { shown: draft ? { ...room, ...draft } : room, dragging: draft !== null, grip };
}
