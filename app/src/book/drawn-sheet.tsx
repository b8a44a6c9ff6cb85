import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Path, Text as SvgText } from 'react-native-svg';
import type { OfferedRoom } from '@maquette/core/formats/outlines';
import { boundsMm, planOf } from '@maquette/core/room';
import { formatSpan, type UnitSystem } from '@maquette/core/units';
import { FACE, usePalette } from '../theme/theme.tsx';

const HEIGHT_PX = 220;
const EDGE_PX = 12;

/** The drawing as it was read: each outline in its place with its number in the list, those to be taken filled. */
export function DrawnSheet({
  rooms,
  taken,
  names,
  units,
}: {
  rooms: readonly OfferedRoom[];
  taken: readonly boolean[];
  names: readonly string[];
  units: UnitSystem;
}) {
  const palette = usePalette();
  const [width, setWidth] = useState(320);
  const outlines = rooms.flatMap(({ walls, start, at }, i) =>
    at
      ? [
          {
            i,
            points: planOf({ walls, start }).corners.map(({ xMm, yMm }) => ({ xMm: xMm + at.xMm, yMm: yMm + at.yMm })),
          },
        ]
      : [],
  );
  if (outlines.length === 0) return null;
  const all = boundsMm(outlines.flatMap(({ points }) => points));
  const [wideMm, deepMm] = [Math.max(1, all.maxX - all.minX), Math.max(1, all.maxY - all.minY)];
  const scale = Math.min((width - 2 * EDGE_PX) / wideMm, (HEIGHT_PX - 2 * EDGE_PX) / deepMm);
  const px = ({ xMm, yMm }: { xMm: number; yMm: number }) =>
    `${(EDGE_PX + (xMm - all.minX) * scale).toFixed(1)} ${(EDGE_PX + (all.maxY - yMm) * scale).toFixed(1)}`;
  const told = names.filter((_, i) => taken[i]).join(', ');
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Svg
        width={width}
        height={deepMm * scale + 2 * EDGE_PX}
        role="img"
        aria-label={`The drawing, ${formatSpan(Math.round(wideMm), units)} by ${formatSpan(Math.round(deepMm), units)}. To be taken: ${told || 'none'}.`}
      >
        {outlines.map(({ i, points }) => {
          const b = boundsMm(points);
          const [x, y] = px({ xMm: (b.minX + b.maxX) / 2, yMm: (b.minY + b.maxY) / 2 }).split(' ');
          return (
            <G key={i}>
              <Path
                d={`M${points.map(px).join('L')}Z`}
                fill={taken[i] ? palette.chalkWash : 'none'}
                stroke={taken[i] ? palette.chalk : palette.quiet}
                strokeWidth={taken[i] ? 2.5 : 1.5}
              />
              <SvgText
                x={x}
                y={Number(y) + 5}
                fontSize={14}
                fontFamily={FACE.text}
                fill={palette.ink}
                textAnchor="middle"
              >
                {i + 1}
              </SvgText>
            </G>
          );
        })}
      </Svg>
    </View>
  );
}
