import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { onStorey, type Pose } from '@maquette/core/heights';
import { boundsMm, pointOnWall, type Opening, type Polygon } from '@maquette/core/room';
import { formatReach, type UnitSystem } from '@maquette/core/units';
import { FACE, usePalette } from '../theme/theme.tsx';

interface Drawn {
  id: string;
  name: string;
  corners: Polygon;
  openings: readonly Opening[];
  pose: Pose;
}

const EDGE_PX = 24;
/** Half the width of a letter of a room's name, px. */
const LETTER_PX = 3.6;

/** All rooms of a storey to one scale; openings they share are drawn through both walls. */
export function StoreySheet({
  rooms,
  chosenId,
  height,
  units,
}: {
  rooms: readonly Drawn[];
  chosenId: string | null;
  height: number;
  units: UnitSystem;
}) {
  const palette = usePalette();
  const [width, setWidth] = useState(358);
  const outlines = rooms.map((room) => ({ room, points: room.corners.map((corner) => onStorey(room.pose, corner)) }));
  const all = boundsMm(outlines.flatMap(({ points }) => points));
  const scale = Math.min(
    (width - 2 * EDGE_PX) / Math.max(1, all.maxX - all.minX),
    (height - 2 * EDGE_PX) / Math.max(1, all.maxY - all.minY),
  );
  const px = ({ xMm, yMm }: { xMm: number; yMm: number }): [number, number] => [
    EDGE_PX + (xMm - all.minX) * scale,
    EDGE_PX + (all.maxY - yMm) * scale,
  ];
  const metre = units === 'metric' ? 1000 : 914.4;
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ height }} testID="storey">
      <Svg
        width={width}
        height={height}
        role="img"
        aria-label={`The storey: ${rooms.map(({ name }) => name).join(', ')}, in place by the openings they share.`}
      >
        {outlines.map(({ room, points }) => {
          const path = `M${points
            .map((point) =>
              px(point)
                .map((n) => n.toFixed(1))
                .join(' '),
            )
            .join('L')}Z`;
          return (
            <G key={room.id}>
              <Path
                d={path}
                fill={room.id === chosenId ? palette.chalkWash : palette.paper}
                stroke={room.id === chosenId ? palette.chalk : palette.ink}
                strokeWidth={palette.wall}
                strokeLinejoin="miter"
              />
              {room.openings.map((opening) => {
                const [a, z] = [opening.fromMm, opening.fromMm + opening.widthMm].map((at) =>
                  px(onStorey(room.pose, pointOnWall(room.corners, opening.wall, at))),
                ) as [[number, number], [number, number]];
                return (
                  <Line
                    key={opening.id}
                    x1={a[0]}
                    y1={a[1]}
                    x2={z[0]}
                    y2={z[1]}
                    stroke={opening.sharedId === null ? palette.paper : palette.chalk}
                    strokeWidth={palette.wall + 2}
                  />
                );
              })}
            </G>
          );
        })}
        {outlines.map(({ room, points }) => {
          const b = boundsMm(points);
          const [x, y] = px({ xMm: (b.minX + b.maxX) / 2, yMm: (b.minY + b.maxY) / 2 });
          const half = room.name.length * LETTER_PX;
          return (
            <G key={room.id}>
              <Rect
                x={x - half - 3}
                y={y - 11}
                width={2 * half + 6}
                height={20}
                fill={palette.paper}
                fillOpacity={0.85}
              />
              <SvgText
                x={x}
                y={y + 5}
                textAnchor="middle"
                fontFamily={FACE.figureBold}
                fontSize={15}
                fill={palette.ink}
              >
                {room.name}
              </SvgText>
            </G>
          );
        })}
        <Line
          x1={width - 8 - metre * scale}
          y1={height - 6}
          x2={width - 8}
          y2={height - 6}
          stroke={palette.ink}
          strokeWidth={2}
        />
        <SvgText
          x={width - 8}
          y={height - 11}
          textAnchor="end"
          fontFamily={FACE.figure}
          fontSize={14}
          fill={palette.ink}
        >
          {formatReach(metre, units)}
        </SvgText>
      </Svg>
    </View>
  );
}
