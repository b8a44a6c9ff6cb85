import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { G, Line, Path } from 'react-native-svg';
import { boundsMm, fixtureOutline, planOf, pointOnWall, type Polygon, type RoomFacts } from '@maquette/core/room';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Words } from '../ui/text.tsx';

const [WIDTH, HEIGHT, MARGIN] = [340, 200, 10];
const DASHED = '7 5';

interface Drawn {
  walls: Polygon;
  openings: { id: string; from: { xMm: number; yMm: number }; to: { xMm: number; yMm: number }; json: string }[];
  fixtures: { id: string; outline: Polygon; json: string }[];
}

/** What of a room can be drawn: an outline that does not close draws as far as it goes. */
function drawnOf(room: RoomFacts): Drawn {
  const { corners } = planOf(room);
  return {
    walls: corners,
    openings: room.openings.map((opening) => ({
      id: opening.id,
      from: pointOnWall(corners, opening.wall, opening.fromMm),
      to: pointOnWall(corners, opening.wall, opening.fromMm + opening.widthMm),
      json: JSON.stringify(opening),
    })),
    fixtures: room.fixtures.map((fixture) => ({
      id: fixture.id,
      outline: fixtureOutline(fixture),
      json: JSON.stringify(fixture),
    })),
  };
}

/** What one drawing has and the other has not just so. */
const only = <T extends { id: string; json: string }>(own: readonly T[], other: readonly T[]): T[] =>
  own.filter(({ id, json }) => other.find((o) => o.id === id)?.json !== json);

/** A room as it is here and as it is there, one over the other: walls, and openings and fixtures that differ. */
export function ConflictDrawing({ mine, theirs }: { mine: RoomFacts; theirs: RoomFacts }) {
  const palette = usePalette();
  const [here, there] = useMemo(() => [drawnOf(mine), drawnOf(theirs)] as const, [mine, theirs]);
  const b = boundsMm([...here.walls, ...there.walls]);
  const scale = Math.min((WIDTH - 2 * MARGIN) / (b.maxX - b.minX || 1), (HEIGHT - 2 * MARGIN) / (b.maxY - b.minY || 1));
  const at = ({ xMm, yMm }: { xMm: number; yMm: number }) => ({
    x: WIDTH / 2 + (xMm - (b.minX + b.maxX) / 2) * scale,
    y: HEIGHT / 2 - (yMm - (b.minY + b.maxY) / 2) * scale,
  });
  const path = (corners: Polygon) =>
    `M${corners
      .map(at)
      .map(({ x, y }) => `${x} ${y}`)
      .join('L')}Z`;
  const side = (own: Drawn, other: Drawn, color: string, dash?: string) => (
    <G>
      <Path d={path(own.walls)} fill="none" stroke={color} strokeWidth={2} strokeDasharray={dash} />
      {only(own.openings, other.openings).map(({ id, from, to }) => {
        const [a, z] = [at(from), at(to)];
        return (
          <Line key={id} x1={a.x} y1={a.y} x2={z.x} y2={z.y} stroke={color} strokeWidth={7} strokeDasharray={dash} />
        );
      })}
      {only(own.fixtures, other.fixtures).map(({ id, outline }) => (
        <Path
          key={id}
          d={path(outline)}
          fill={color}
          fillOpacity={0.12}
          stroke={color}
          strokeWidth={2}
          strokeDasharray={dash}
        />
      ))}
    </G>
  );
  return (
    <View>
      <Svg
        width="100%"
        height={HEIGHT}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label="The room as drawn here, in full lines, and as drawn there, dashed. What differs is told below."
      >
        {side(there, here, palette.verdict.work, DASHED)}
        {side(here, there, palette.chalk)}
      </Svg>
      <View style={styles.key}>
        <Words size="small" color={palette.chalk}>
          Full line: here
        </Words>
        <Words size="small" color={palette.verdict.work}>
          Dashed: there
        </Words>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({ key: { flexDirection: 'row', gap: SPACE.edge } });
