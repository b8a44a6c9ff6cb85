import { memo } from 'react';
import { Circle, G, Line, Polyline, Text as SvgText } from 'react-native-svg';
import type { PointMm } from '@maquette/core/room';
import { formatSpan, type UnitSystem } from '@maquette/core/units';
import { FACE, usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

/** Walls taped so far, and dotted the way that is left to the first corner. */
export const TrailLayer = memo(function TrailLayer({
  trail,
  view,
  units,
}: {
  trail: readonly PointMm[];
  view: SheetView;
  units: UnitSystem;
}) {
  const palette = usePalette();
  const px = trail.map((p) => toPx(view, p.xMm, p.yMm));
  const [first, last] = [px[0], px[px.length - 1]];
  if (!first || !last) return null;
  return (
    <G>
      {px.length > 2 ? (
        <Line
          x1={last[0]}
          y1={last[1]}
          x2={first[0]}
          y2={first[1]}
          stroke={palette.chalk}
          strokeWidth={2}
          strokeDasharray="2 6"
        />
      ) : null}
      <Polyline
        points={px.map((p) => p.join(',')).join(' ')}
        fill="none"
        stroke={palette.ink}
        strokeWidth={palette.wall}
        strokeLinejoin="miter"
      />
      {px.slice(1).map((p, i) => {
        const q = px[i]!;
        const length = Math.hypot(p[0] - q[0], p[1] - q[1]);
        if (length < 24) return null;
        const mm = Math.hypot(trail[i + 1]!.xMm - trail[i]!.xMm, trail[i + 1]!.yMm - trail[i]!.yMm);
        const [nx, ny] = [-(p[1] - q[1]) / length, (p[0] - q[0]) / length];
        return (
          <SvgText
            key={i}
            x={(p[0] + q[0]) / 2 + nx * (14 + 14 * Math.abs(nx))}
            y={(p[1] + q[1]) / 2 + ny * 16 + 5}
            textAnchor="middle"
            fontFamily={FACE.figureBold}
            fontSize={15}
            fill={palette.ink}
          >
            {formatSpan(mm, units)}
          </SvgText>
        );
      })}
      <Circle cx={first[0]} cy={first[1]} r={6} fill={palette.paper} stroke={palette.chalk} strokeWidth={2.5} />
      <Circle cx={last[0]} cy={last[1]} r={7} fill={palette.chalk} />
    </G>
  );
});
