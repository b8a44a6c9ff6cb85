import { memo, useMemo } from 'react';
import { G, Path } from 'react-native-svg';
import { pointOnWall, type Opening, type Polygon, type RoomFacts } from '@maquette/core/room';
import { formatSpan } from '@maquette/core/units';
import { usePalette } from '../theme/theme.tsx';
import { Dimension } from './dimension.tsx';
import { dimensionStands, type Stroke } from './dimension-stands.ts';
import { leafStroke, OpeningDrawing } from './openings-drawing.tsx';
import { toPx, type SheetView } from './view.ts';
import { usePlan } from './use-plan.ts';

/** Outline of the room as a path in px. */
export function outlinePath(corners: Polygon, view: SheetView): string {
  return `M${corners
    .map((c) =>
      toPx(view, c.xMm, c.yMm)
        .map((v) => v.toFixed(1))
        .join(' '),
    )
    .join('L')}Z`;
}

/** A wall's own name is led before its figure from this length on, px. */
const NAMED_FROM_PX = 90;

/** Both jambs of an opening, px. */
function ends(
  corners: Polygon,
  { wall, fromMm, widthMm }: Opening,
  view: SheetView,
): [[number, number], [number, number]] {
  const [from, to] = [pointOnWall(corners, wall, fromMm), pointOnWall(corners, wall, fromMm + widthMm)];
  return [toPx(view, from.xMm, from.yMm), toPx(view, to.xMm, to.yMm)];
}

/** Walls as one heavy line, openings, and a dimension outside each wall: `~` before one taken off the drawing. */
export const Walls = memo(function Walls({
  room,
  view,
  dimensions = true,
  names = false,
  chosenOpening = null,
}: {
  room: Pick<RoomFacts, 'walls' | 'start' | 'diagonals' | 'fixtures' | 'openings' | 'units'>;
  view: SheetView;
  dimensions?: boolean;
  names?: boolean;
  chosenOpening?: string | null;
}) {
  const palette = usePalette();
  const { corners } = usePlan(room);
  const dimensioned = useMemo(() => {
    const walls = room.walls.map((wall, index) => {
      const next = corners[(index + 1) % corners.length]!;
      const [a, b] = [toPx(view, corners[index]!.xMm, corners[index]!.yMm), toPx(view, next.xMm, next.yMm)];
      const figure = `${wall.drawn ? '~' : ''}${formatSpan(wall.lengthMm, room.units)}`;
      const led = wall.name && !names && Math.hypot(b[0] - a[0], b[1] - a[1]) > NAMED_FROM_PX;
      return { a, b, label: led ? `${wall.name} ${figure}` : figure };
    });
    const leaves = room.openings.flatMap((opening): Stroke[] => {
      const wall = walls[opening.wall];
      return wall && opening.kind === 'door' ? [leafStroke(opening, ...ends(corners, opening, view))] : [];
    });
    const stands = dimensionStands(walls, leaves);
    return walls.map((wall, k) => ({ ...wall, at: stands[k]! }));
  }, [room, corners, view, names]);
  return (
    <G>
      <Path
        d={outlinePath(corners, view)}
        fill="none"
        stroke={palette.ink}
        strokeWidth={palette.wall}
        strokeLinejoin="miter"
      />
      {room.openings
        .filter((opening) => opening.wall < corners.length)
        .map((opening) => {
          const [[ax, ay], [bx, by]] = ends(corners, opening, view);
          return (
            <OpeningDrawing
              key={opening.id}
              opening={opening}
              ax={ax}
              ay={ay}
              bx={bx}
              by={by}
              chosen={opening.id === chosenOpening}
            />
          );
        })}
      {dimensions
        ? dimensioned.map(({ a, b, label, at }, index) => (
            <Dimension
              key={index}
              ax={a[0]}
              ay={a[1]}
              bx={b[0]}
              by={b[1]}
              label={label}
              at={at}
              inside={names ? room.walls[index]!.name || `W${index + 1}` : null}
            />
          ))
        : null}
    </G>
  );
});
