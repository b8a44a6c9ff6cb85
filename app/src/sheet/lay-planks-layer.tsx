import { memo } from 'react';
import { G, Line, Path, Text as SvgText } from 'react-native-svg';
import type { PointMm, Polygon } from '@maquette/core/room';
import { FACE, usePalette } from '../theme/theme.tsx';
import { Letter } from './letter.tsx';
import { planTransform, ringsPath, toPx, type SheetView } from './view.ts';

/** A plank as it lies, whole or cut; staves of herringbone say which hand they are of. */
export interface LyingPlank {
  number: number;
  outline: Polygon;
  isLaid?: boolean;
  hand?: 'left' | 'right';
}

/** Numbers stand where a piece is at least so wide either way, px. */
const NUMBER_FROM_PX = 17;

/** Planks as drawn lines: laid ones filled, the one in hand in chalk, and the lines to snap over them. */
export const LayPlanksLayer = memo(function LayPlanksLayer({
  pieces,
  border,
  current,
  chalk,
  chalkAt,
  rooms,
  view,
}: {
  pieces: readonly LyingPlank[];
  /** Edges of straight rows round a pattern. */
  border: readonly Polygon[];
  current: number | null;
  chalk: readonly (readonly [PointMm, PointMm])[];
  /** The line in hand; null where all stand quiet. */
  chalkAt: number | null;
  /** Walls of other rooms it runs on into. */
  rooms: readonly { corners: Polygon }[];
  view: SheetView;
}) {
  const palette = usePalette();
  const px = 1 / view.pxPerMm;
  return (
    <G>
      <G transform={planTransform(view)}>
        {pieces.map(({ number, outline, isLaid, hand }) => (
          <Path
            key={number}
            d={ringsPath([outline.map(({ xMm, yMm }) => [xMm, yMm] as const)])}
            fill={number === current ? palette.chalk : isLaid ? palette.rule : palette.paper}
            fillOpacity={number === current ? 0.4 : hand === 'right' ? 0.4 : 0.9}
            stroke={number === current ? palette.chalk : palette.quiet}
            strokeWidth={(number === current ? 3 : 1) * px}
          />
        ))}
        {border.map((edge, k) => (
          <Path
            key={`border${k}`}
            d={ringsPath([edge.map(({ xMm, yMm }) => [xMm, yMm] as const)])}
            fill="none"
            stroke={palette.ink}
            strokeWidth={2 * px}
          />
        ))}
        {rooms.map(({ corners }, k) => (
          <Path
            key={`room${k}`}
            d={ringsPath([corners.map(({ xMm, yMm }) => [xMm, yMm] as const)])}
            fill="none"
            stroke={palette.ink}
            strokeWidth={palette.wall * px}
          />
        ))}
      </G>
      {chalk.map(([from, to], k) => {
        const [a, b] = [toPx(view, from.xMm, from.yMm), toPx(view, to.xMm, to.yMm)];
        return (
          <Line
            key={k}
            x1={a[0]}
            y1={a[1]}
            x2={b[0]}
            y2={b[1]}
            stroke={palette.chalk}
            strokeWidth={k === chalkAt ? 5 : 2}
            strokeDasharray={k === chalkAt ? '' : '10 6'}
          />
        );
      })}
      {pieces.map(({ number, outline }) => {
        const xs = outline.map(({ xMm }) => xMm);
        const ys = outline.map(({ yMm }) => yMm);
        const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
        if (Math.min(right - left, high - low) * view.pxPerMm < NUMBER_FROM_PX) return null;
        const at = toPx(view, (left + right) / 2, (low + high) / 2);
        return number === current ? (
          <Letter key={number} at={at} text={String(number)} fill={palette.chalk} />
        ) : (
          <SvgText
            key={number}
            x={at[0]}
            y={at[1] + 4}
            textAnchor="middle"
            fontFamily={FACE.figureBold}
            fontSize={12}
            fill={palette.ink}
          >
            {number}
          </SvgText>
        );
      })}
    </G>
  );
});
