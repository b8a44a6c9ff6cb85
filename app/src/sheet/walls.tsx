import { memo } from 'react';
import { G, Line, Path, Text as SvgText } from 'react-native-svg';
import { outlineOf, pointOnWall, type Door, type Polygon, type RoomFacts } from '@maquette/core/room';
import { formatSpan } from '@maquette/core/units';
import { FACE, usePalette } from '../theme/theme.tsx';
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

/** Door leaf and swing, in px, with the wall broken where it stands. */
function DoorDrawing({ corners, door, view }: { corners: Polygon; door: Door; view: SheetView }) {
  const palette = usePalette();
  const a = pointOnWall(corners, door.wall, door.fromMm);
  const b = pointOnWall(corners, door.wall, door.fromMm + door.widthMm);
  const [hinge, strike] = door.hinge === 'start' ? [a, b] : [b, a];
  // Left of the wall's direction is the room, so turning the opening by a quarter to the left swings the leaf inward.
  const [dx, dy] = [b.xMm - a.xMm, b.yMm - a.yMm];
  const sign = door.swing === 'in' ? 1 : -1;
  const leaf = { xMm: hinge.xMm - dy * sign, yMm: hinge.yMm + dx * sign };
  const [hx, hy] = toPx(view, hinge.xMm, hinge.yMm);
  const [lx, ly] = toPx(view, leaf.xMm, leaf.yMm);
  const [sx, sy] = toPx(view, strike.xMm, strike.yMm);
  const radius = door.widthMm * view.pxPerMm;
  const sweep = (lx - hx) * (sy - hy) - (ly - hy) * (sx - hx) > 0 ? 1 : 0;
  return (
    <G>
      <Line x1={hx} y1={hy} x2={sx} y2={sy} stroke={palette.paper} strokeWidth={palette.wall + 2} />
      <Line x1={hx} y1={hy} x2={lx} y2={ly} stroke={palette.ink} strokeWidth={2.5} />
      <Path
        d={`M${lx} ${ly}A${radius} ${radius} 0 0 ${sweep} ${sx} ${sy}`}
        fill="none"
        stroke={palette.quiet}
        strokeWidth={1}
      />
    </G>
  );
}

const OFFSET_PX = 24;
const SLASH_PX = 6;
/** Shorter walls than this carry their figure without line and slashes; the shortest go without. */
const LINE_FROM_PX = 64;
const FIGURE_FROM_PX = 30;

/** Walls as one heavy line, the door, and a dimension outside each wall. */
export const Walls = memo(function Walls({
  room,
  view,
  dimensions = true,
  names = false,
}: {
  room: Pick<RoomFacts, 'walls' | 'door' | 'units'>;
  view: SheetView;
  dimensions?: boolean;
  names?: boolean;
}) {
  const palette = usePalette();
  const { corners } = outlineOf(room.walls);
  return (
    <G>
      <Path
        d={outlinePath(corners, view)}
        fill="none"
        stroke={palette.ink}
        strokeWidth={palette.wall}
        strokeLinejoin="miter"
      />
      {room.door && room.door.wall < corners.length ? (
        <DoorDrawing corners={corners} door={room.door} view={view} />
      ) : null}
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
            const label = `${wall.name && !names && length > 90 ? `${wall.name} ` : ''}${formatSpan(wall.lengthMm, room.units)}`;
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
                    x={(a[0] + b[0]) / 2 - nx * 14}
                    y={(a[1] + b[1]) / 2 - ny * 14 + 5}
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
