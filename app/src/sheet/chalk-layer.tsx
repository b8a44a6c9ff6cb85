import { memo } from 'react';
import { Circle, G, Line } from 'react-native-svg';
import type { ChalkPoint } from '@maquette/core/levelling';
import type { Polygon as PlanPolygon } from '@maquette/core/room';
import { usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

interface Props {
  points: readonly ChalkPoint[];
  at: number;
  chalked: readonly boolean[];
  corners: PlanPolygon;
  view: SheetView;
}

/** Points to chalk: rings, filled once chalked; the next one with its two tapes drawn to their walls. */
export const ChalkLayer = memo(function ChalkLayer({ points, at, chalked, corners, view }: Props) {
  const palette = usePalette();
  const next = points[at];
  return (
    <G>
      {points.map((point, i) => {
        const [x, y] = toPx(view, point.at.xMm, point.at.yMm);
        return (
          <Circle
            key={point.key}
            cx={x}
            cy={y}
            r={i === at ? 7 : 3.5}
            fill={chalked[i] ? palette.chalk : palette.paper}
            stroke={palette.chalk}
            strokeWidth={i === at ? 3 : 1.5}
          />
        );
      })}
      {next?.tapes.map((tape) => {
        const a = corners[tape.wall]!;
        const b = corners[(tape.wall + 1) % corners.length]!;
        const length = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm) || 1;
        const [ux, uy] = [(b.xMm - a.xMm) / length, (b.yMm - a.yMm) / length];
        const along = Math.min(length, Math.max(0, (next.at.xMm - a.xMm) * ux + (next.at.yMm - a.yMm) * uy));
        const [x1, y1] = toPx(view, next.at.xMm, next.at.yMm);
        const [x2, y2] = toPx(view, a.xMm + along * ux, a.yMm + along * uy);
        return (
          <Line
            key={tape.wall}
            x1={x1}
            y1={y1}
            x2={x2}
            y2={y2}
            stroke={palette.chalk}
            strokeWidth={2}
            strokeDasharray="6 4"
          />
        );
      })}
    </G>
  );
});
