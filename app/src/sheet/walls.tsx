import { memo } from 'react';
import { G, Line, Path, Text as SvgText } from 'react-native-svg';
import { planOf, type Polygon, type RoomFacts } from '@maquette/core/room';
import { formatSpan } from '@maquette/core/units';
import { FACE, usePalette } from '../theme/theme.tsx';
import { OpeningDrawing } from './openings-drawing.tsx';
import { toPx, type SheetView } from './view.ts';

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

const OFFSET_PX = 24;
const SLASH_PX = 6;
/** Shorter walls than this carry their figure without line and slashes; the shortest go without. */
const LINE_FROM_PX = 64;
const FIGURE_FROM_PX = 30;
/** Names of walls stand off their middles, where the outline is taken hold of. */
const NAME_AT = 0.24;

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
  const { corners } = planOf(room);
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
        .map((opening) => (
          <OpeningDrawing
            key={opening.id}
            corners={corners}
            opening={opening}
            view={view}
            chosen={opening.id === chosenOpening}
          />
        ))}
      {dimensions
        ? room.walls.map((wall, index) => {
            const a = toPx(view, corners[index]!.xMm, corners[index]!.yMm);
            const next = corners[(index + 1) % corners.length]!;
            const b = toPx(view, next.xMm, next.yMm);
            const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
            if (length < FIGURE_FROM_PX) return null;
            const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
            // On the screen y points down, so the outside of a wall walked with the room on the left is (-uy, ux) turned round.
            const [nx, ny] = [-uy, ux];
            const off = length < LINE_FROM_PX ? 13 : OFFSET_PX;
            const [ax, ay, bx, by] = [a[0] + nx * off, a[1] + ny * off, b[0] + nx * off, b[1] + ny * off];
            const [mx, my] = [(ax + bx) / 2, (ay + by) / 2];
            let turn = (Math.atan2(uy, ux) * 180) / Math.PI;
            if (turn > 90.5 || turn < -89.5) turn += 180;
            const label = `${wall.name && !names && length > 90 ? `${wall.name} ` : ''}${wall.drawn ? '~' : ''}${formatSpan(wall.lengthMm, room.units)}`;
            const named = names ? wall.name || `W${index + 1}` : null;
            const half = label.length * 4.2 + 6;
            const slash = (x: number, y: number) => (
              <Line
                x1={x - (ux + nx) * SLASH_PX * 0.7}
                y1={y - (uy + ny) * SLASH_PX * 0.7}
                x2={x + (ux + nx) * SLASH_PX * 0.7}
                y2={y + (uy + ny) * SLASH_PX * 0.7}
                stroke={palette.quiet}
                strokeWidth={1.5}
              />
            );
            return (
              <G key={index}>
                {length >= LINE_FROM_PX ? (
                  <>
                    <Line
                      x1={ax}
                      y1={ay}
                      x2={mx - ux * half}
                      y2={my - uy * half}
                      stroke={palette.quiet}
                      strokeWidth={1}
                    />
                    <Line
                      x1={mx + ux * half}
                      y1={my + uy * half}
                      x2={bx}
                      y2={by}
                      stroke={palette.quiet}
                      strokeWidth={1}
                    />
                    {slash(ax, ay)}
                    {slash(bx, by)}
                  </>
                ) : null}
                <G transform={`rotate(${turn} ${mx} ${my})`}>
                  <SvgText
                    x={mx}
                    y={my + 5}
                    textAnchor="middle"
                    fontFamily={FACE.figureBold}
                    fontSize={length < LINE_FROM_PX ? 12 : 15}
                    fill={palette.ink}
                  >
                    {label}
                  </SvgText>
                </G>
                {named && length >= LINE_FROM_PX ? (
                  <SvgText
                    x={a[0] + (b[0] - a[0]) * NAME_AT - nx * 15}
                    y={a[1] + (b[1] - a[1]) * NAME_AT - ny * 15 + 5}
                    textAnchor="middle"
                    fontFamily={FACE.figure}
                    fontSize={14}
                    fill={palette.quiet}
                  >
                    {named}
                  </SvgText>
                ) : null}
              </G>
            );
          })
        : null}
    </G>
  );
});
