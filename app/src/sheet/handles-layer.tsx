import { memo } from 'react';
import { Circle, G, Line, Rect } from 'react-native-svg';
import type { DividingLine, Polygon } from '@maquette/core/room';
import { usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

/** Where the outline can be taken hold of: corners, and the middles of walls. */
export const HandlesLayer = memo(function HandlesLayer({ corners, view }: { corners: Polygon; view: SheetView }) {
  const palette = usePalette();
  return (
    <G>
      {corners.map((corner, i) => {
        const next = corners[(i + 1) % corners.length]!;
        const [x, y] = toPx(view, corner.xMm, corner.yMm);
        const [mx, my] = toPx(view, (corner.xMm + next.xMm) / 2, (corner.yMm + next.yMm) / 2);
        return (
          <G key={i}>
            <Circle cx={mx} cy={my} r={7} fill={palette.chalkWash} stroke={palette.chalk} strokeWidth={2} />
            <Rect
              x={x - 7}
              y={y - 7}
              width={14}
              height={14}
              fill={palette.bench}
              stroke={palette.chalk}
              strokeWidth={2}
            />
          </G>
        );
      })}
    </G>
  );
});

/** Lines that divide the room, run on to the walls by the sheet's clipping. */
export const LinesLayer = memo(function LinesLayer({
  lines,
  view,
}: {
  lines: readonly DividingLine[];
  view: SheetView;
}) {
  const palette = usePalette();
  return (
    <G>
      {lines.map((line) => {
        const [ax, ay] = toPx(view, line.axMm, line.ayMm);
        const [bx, by] = toPx(view, line.bxMm, line.byMm);
        const length = Math.hypot(bx - ax, by - ay) || 1;
        const [ux, uy] = [((bx - ax) / length) * 4000, ((by - ay) / length) * 4000];
        return (
          <Line
            key={line.id}
            x1={ax - ux}
            y1={ay - uy}
            x2={bx + ux}
            y2={by + uy}
            stroke={palette.chalk}
            strokeWidth={2}
            strokeDasharray="10 4 2 4"
          />
        );
      })}
    </G>
  );
});
