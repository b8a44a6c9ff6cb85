import { memo } from 'react';
import { G, Line, Path } from 'react-native-svg';
import type { BreakLine, Rings } from '@maquette/core/flat';
import { usePalette } from '../theme/theme.tsx';
import { planTransform, ringsPath, toPx, type SheetView } from './view.ts';

/** Where floors that fit the readings fail too often to be sure, ringed; and the lines across which nothing is carried. */
export const UnsureLayer = memo(function UnsureLayer({
  unsure,
  breaks,
  view,
}: {
  unsure: Rings;
  breaks: readonly BreakLine[];
  view: SheetView;
}) {
  const palette = usePalette();
  const px = 1 / view.pxPerMm;
  return (
    <G>
      <G transform={planTransform(view)}>
        <Path
          d={ringsPath(unsure)}
          fill="none"
          stroke={palette.verdict.measure}
          strokeWidth={2 * px}
          strokeDasharray={`${2 * px} ${5 * px}`}
        />
      </G>
      {breaks.map(({ a, b }, i) => {
        const [x1, y1] = toPx(view, a.xMm, a.yMm);
        const [x2, y2] = toPx(view, b.xMm, b.yMm);
        return (
          <Line
            key={i}
            x1={x1}
            y1={y1}
            x2={x2}
            y2={y2}
            stroke={palette.ink}
            strokeWidth={2}
            strokeDasharray="12 4 2 4"
          />
        );
      })}
    </G>
  );
});
