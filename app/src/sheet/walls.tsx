import { memo } from 'react';
import { G, Path } from 'react-native-svg';
import { pointOnWall, type Polygon, type RoomFacts } from '@maquette/core/room';
import { formatSpan } from '@maquette/core/units';
import { usePalette } from '../theme/theme.tsx';
import { Dimension } from './dimension.tsx';
import { OpeningDrawing } from './openings-drawing.tsx';
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
          const from = pointOnWall(corners, opening.wall, opening.fromMm);
          const to = pointOnWall(corners, opening.wall, opening.fromMm + opening.widthMm);
          const [ax, ay] = toPx(view, from.xMm, from.yMm);
          const [bx, by] = toPx(view, to.xMm, to.yMm);
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
        ? room.walls.map((wall, index) => {
            const next = corners[(index + 1) % corners.length]!;
            const [ax, ay] = toPx(view, corners[index]!.xMm, corners[index]!.yMm);
            const [bx, by] = toPx(view, next.xMm, next.yMm);
            return (
              <Dimension
                key={index}
                ax={ax}
                ay={ay}
                bx={bx}
                by={by}
                figure={`${wall.drawn ? '~' : ''}${formatSpan(wall.lengthMm, room.units)}`}
                name={wall.name || (names ? `W${index + 1}` : '')}
                names={names}
              />
            );
          })
        : null}
    </G>
  );
});
