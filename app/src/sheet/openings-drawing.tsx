import { memo } from 'react';
import { G, Line, Path } from 'react-native-svg';
import { pointOnWall, type Opening, type PointMm, type Polygon } from '@maquette/core/room';
import { usePalette } from '../theme/theme.tsx';

interface Props {
  opening: Opening;
  /** Ends of the opening on the sheet, px, the room on the left of the way from a to b. */
  ax: number;
  ay: number;
  bx: number;
  by: number;
  chosen?: boolean;
}

/** An opening in its wall: the wall broken, and what stands in the gap. Told by numbers, as the dimensions are. */
export const OpeningDrawing = memo(function OpeningDrawing({ opening, ax, ay, bx, by, chosen = false }: Props) {
  const palette = usePalette();
  const length = Math.hypot(bx - ax, by - ay) || 1;
  // Across the wall, on the screen, towards the room: the room lies left of the wall's way.
  const [nx, ny] = [(by - ay) / length, -(bx - ax) / length];
  const ink = chosen ? palette.chalk : palette.ink;
  return (
    <G>
      <Line x1={ax} y1={ay} x2={bx} y2={by} stroke={palette.paper} strokeWidth={palette.wall + 2} />
      {chosen ? (
        <Line x1={ax} y1={ay} x2={bx} y2={by} stroke={palette.chalk} strokeWidth={palette.wall} strokeDasharray="4 4" />
      ) : null}
      {[
        [ax, ay],
        [bx, by],
      ].map(([x, y], i) => (
        <Line
          key={i}
          x1={x! - nx * 5}
          y1={y! - ny * 5}
          x2={x! + nx * 5}
          y2={y! + ny * 5}
          stroke={ink}
          strokeWidth={2.5}
        />
      ))}
      {opening.kind === 'door' ? <Leaf opening={opening} a={[ax, ay]} b={[bx, by]} ink={ink} /> : null}
      {opening.kind === 'archway' ? (
        <Line x1={ax} y1={ay} x2={bx} y2={by} stroke={palette.quiet} strokeWidth={1} strokeDasharray="2 4" />
      ) : null}
      {opening.kind === 'stair'
        ? [0, 6, 12].map((off) => (
            <Line
              key={off}
              x1={ax - nx * off}
              y1={ay - ny * off}
              x2={bx - nx * off}
              y2={by - ny * off}
              stroke={ink}
              strokeWidth={off === 0 ? 2.5 : 1}
            />
          ))
        : null}
      {opening.kind === 'sliding'
        ? [-2.5, 2.5].map((off) => (
            <Line
              key={off}
              x1={off < 0 ? ax + nx * off : (ax + bx) / 2 + nx * off}
              y1={off < 0 ? ay + ny * off : (ay + by) / 2 + ny * off}
              x2={off < 0 ? (ax + bx) / 2 + nx * off : bx + nx * off}
              y2={off < 0 ? (ay + by) / 2 + ny * off : by + ny * off}
              stroke={ink}
              strokeWidth={2}
            />
          ))
        : null}
    </G>
  );
});

/** Where leaves that swing out of the room reach to: the sheet leaves room for them. */
export function leafTips(corners: Polygon, openings: readonly Opening[]): PointMm[] {
  return openings
    .filter((o) => o.kind === 'door' && o.swing === 'out' && o.wall < corners.length)
    .map((o) => {
      const a = pointOnWall(corners, o.wall, o.fromMm);
      const b = pointOnWall(corners, o.wall, o.fromMm + o.widthMm);
      const hinge = o.hinge === 'start' ? a : b;
      // The margin of dimensions already takes a part of it.
      const reach = 0.7;
      return { xMm: hinge.xMm + (b.yMm - a.yMm) * reach, yMm: hinge.yMm - (b.xMm - a.xMm) * reach };
    });
}

/** The open leaf of a door as a stroke, px: jambs given in the order of the wall. */
export function leafStroke(
  { hinge, swing }: Pick<Opening, 'hinge' | 'swing'>,
  a: readonly [number, number],
  b: readonly [number, number],
): readonly [readonly [number, number], readonly [number, number]] {
  const [hx, hy] = hinge === 'start' ? a : b;
  // A quarter turn of the opening towards the room swings the leaf inward.
  const sign = swing === 'in' ? 1 : -1;
  return [
    [hx, hy],
    [hx + (b[1] - a[1]) * sign, hy - (b[0] - a[0]) * sign],
  ];
}

/** Door leaf and swing. */
function Leaf({ opening, a, b, ink }: { opening: Opening; a: [number, number]; b: [number, number]; ink: string }) {
  const palette = usePalette();
  const [sx, sy] = opening.hinge === 'start' ? b : a;
  const radius = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [[hx, hy], [lx, ly]] = leafStroke(opening, a, b);
  const sweep = (lx - hx) * (sy - hy) - (ly - hy) * (sx - hx) > 0 ? 1 : 0;
  return (
    <G>
      <Line x1={hx} y1={hy} x2={lx} y2={ly} stroke={ink} strokeWidth={2.5} />
      <Path
        d={`M${lx} ${ly}A${radius} ${radius} 0 0 ${sweep} ${sx} ${sy}`}
        fill="none"
        stroke={palette.quiet}
        strokeWidth={1}
      />
    </G>
  );
}
