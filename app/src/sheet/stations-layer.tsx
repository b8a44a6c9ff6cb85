import { memo, useMemo } from 'react';
import { Circle, G, Path, Polyline, Text as SvgText } from 'react-native-svg';
import type { Station } from '@maquette/core/flat';
import { formatGap, type UnitSystem } from '@maquette/core/units';
import { FACE, usePalette } from '../theme/theme.tsx';
import { figureStands } from './figure-stands.ts';
import { toPx, type SheetView } from './view.ts';

interface Props {
  stations: readonly Station[];
  levels: ReadonlyMap<string, number>;
  currentKey: string | null;
  spacingMm: number;
  view: SheetView;
  units: UnitSystem;
  /** Draw the walk ahead, dotted. */
  walk: boolean;
}

/** Below this distance between stations figures would run into one another, px. */
const FIGURES_FROM_PX = 36;

/** Stations: a cross with its level where read, a ring where not, the one to read as a numbered disc. */
export const StationsLayer = memo(function StationsLayer({
  stations,
  levels,
  currentKey,
  spacingMm,
  view,
  units,
  walk,
}: Props) {
  const palette = usePalette();
  const apart = spacingMm * view.pxPerMm;
  const figures = apart >= FIGURES_FROM_PX;
  const stands = useMemo(() => (figures ? figureStands(stations, spacingMm) : null), [stations, spacingMm, figures]);
  const current = stations.find((s) => s.key === currentKey);
  const at = stations.indexOf(current!);
  const ahead =
    walk && current
      ? stations
          .slice(at)
          .filter((s) => s === current || !levels.has(s.key))
          .slice(0, 12)
      : [];
  return (
    <G>
      {ahead.length > 1 ? (
        <Polyline
          points={ahead.map((s) => toPx(view, s.xMm, s.yMm).join(',')).join(' ')}
          fill="none"
          stroke={palette.chalk}
          strokeWidth={2}
          strokeDasharray="2 5"
        />
      ) : null}
      {stations.map((station) => {
        if (station.key === currentKey) return null;
        const [x, y] = toPx(view, station.xMm, station.yMm);
        const level = levels.get(station.key);
        if (level === undefined)
          return (
            <Circle
              key={station.key}
              cx={x}
              cy={y}
              r={3.5}
              fill={palette.paper}
              stroke={palette.quiet}
              strokeWidth={1.4}
            />
          );
        const stand = stands?.get(station.key);
        return (
          <G key={station.key}>
            <Path d={`M${x - 4} ${y}H${x + 4}M${x} ${y - 4}V${y + 4}`} stroke={palette.ink} strokeWidth={1.4} />
            {stand ? (
              <SvgText
                x={x + stand.dx}
                y={y + stand.dy}
                textAnchor="middle"
                fontFamily={FACE.figure}
                fontSize={13}
                fill={palette.ink}
              >
                {level > 0 && formatGap(level, units) !== '0' ? `+${formatGap(level, units)}` : formatGap(level, units)}
              </SvgText>
            ) : null}
          </G>
        );
      })}
      {current ? <Disc number={current.number} at={toPx(view, current.xMm, current.yMm)} /> : null}
    </G>
  );
});

function Disc({ number, at }: { number: number; at: [number, number] }) {
  const palette = usePalette();
  return (
    <G>
      <Circle cx={at[0]} cy={at[1]} r={16} fill={palette.chalk} />
      <SvgText
        x={at[0]}
        y={at[1] + 6}
        textAnchor="middle"
        fontFamily={FACE.figureBold}
        fontSize={17}
        fill={palette.onChalk}
      >
        {number}
      </SvgText>
    </G>
  );
}
