import { memo } from 'react';
import { G, Line, Polygon, Circle, Text as SvgText } from 'react-native-svg';
import type { ShownExtreme, ShownPlacement } from '@maquette/core';
import { FACE, usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

/** The straightedge in plan, where it lies at the worst place. */
export const EdgeLayer = memo(function EdgeLayer({ shown, view }: { shown: ShownPlacement; view: SheetView }) {
  const palette = usePalette();
  const [a, b] = [toPx(view, ...shown.profile.planFrom), toPx(view, ...shown.profile.planTo)];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const corner = (p: [number, number], side: number) => `${p[0] - uy * 7 * side},${p[1] + ux * 7 * side}`;
  const ticks = Array.from({ length: 9 }, (_, i) => (i + 1) / 10);
  return (
    <G>
      <Polygon
        points={`${corner(a, 1)} ${corner(b, 1)} ${corner(b, -1)} ${corner(a, -1)}`}
        fill={palette.paper}
        stroke={palette.ink}
        strokeWidth={2}
      />
      {ticks.map((t) => {
        const [x, y] = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
        const reach = t === 0.5 ? 1 : 3.5;
        return (
          <Line
            key={t}
            x1={x - uy * 7}
            y1={y + ux * 7}
            x2={x - uy * reach}
            y2={y + ux * reach}
            stroke={palette.ink}
            strokeWidth={1}
          />
        );
      })}
    </G>
  );
});

/** Letters on the highs and lows that the findings list. */
export const ExtremesLayer = memo(function ExtremesLayer({
  extremes,
  view,
}: {
  extremes: readonly ShownExtreme[];
  view: SheetView;
}) {
  const palette = usePalette();
  return (
    <G>
      {extremes.map((e) => {
        const [x, y] = toPx(view, e.at[0], e.at[1]);
        return (
          <G key={e.label}>
            <Circle cx={x} cy={y} r={12} fill={e.kind === 'high' ? palette.high : palette.low} />
            <SvgText
              x={x}
              y={y + 4.5}
              textAnchor="middle"
              fontFamily={FACE.figureBold}
              fontSize={13}
              fill={palette.onChalk}
            >
              {e.label}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
});
