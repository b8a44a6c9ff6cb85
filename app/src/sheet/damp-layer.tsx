import { memo } from 'react';
import { Circle, G, Rect, Text as SvgText } from 'react-native-svg';
import type { DampResult } from '@maquette/core/damp';
import { boundsMm, contains, type PointMm, type Polygon } from '@maquette/core/room';
import { FACE, usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

/** One test on the sheet: what it shows and how it stands. */
export interface DampPin extends PointMm {
  id: string;
  text: string;
  state: 'over' | 'under' | 'waits' | 'void';
}

const CELL_MM = 250;
/** How far one survey reading is carried, mm. */
const CARRY_MM = 1500;

/** Tests at their places with their values; places proposed and not yet made as open rings with a number. */
export const DampLayer = memo(function DampLayer({
  pins,
  places,
  chosen,
  view,
}: {
  pins: readonly DampPin[];
  places: readonly PointMm[];
  chosen: string | null;
  view: SheetView;
}) {
  const palette = usePalette();
  const ink = { over: palette.high, under: palette.verdict.lay, waits: palette.chalk, void: palette.quiet };
  return (
    <G>
      {places.map((place, i) => {
        const [x, y] = toPx(view, place.xMm, place.yMm);
        return (
          <G key={`${place.xMm}:${place.yMm}`}>
            <Circle
              cx={x}
              cy={y}
              r={13}
              fill={palette.paper}
              stroke={palette.chalk}
              strokeWidth={2}
              strokeDasharray="4 3"
            />
            <SvgText
              x={x}
              y={y + 5}
              textAnchor="middle"
              fontFamily={FACE.figureBold}
              fontSize={14}
              fill={palette.chalk}
            >
              {i + 1}
            </SvgText>
          </G>
        );
      })}
      {pins.map((pin) => {
        const [x, y] = toPx(view, pin.xMm, pin.yMm);
        const half = pin.text.length * 4.4 + 7;
        // In the lower half of the sheet the figure stands above its place, away from the wall below.
        const top = y > view.heightPx / 2 ? y - 29 : y + 10;
        return (
          <G key={pin.id}>
            <Circle
              cx={x}
              cy={y}
              r={pin.id === chosen ? 9 : 6}
              fill={pin.state === 'waits' || pin.state === 'void' ? palette.paper : ink[pin.state]}
              stroke={ink[pin.state]}
              strokeWidth={2.5}
            />
            <Rect x={x - half} y={top} width={half * 2} height={19} fill={palette.paper} opacity={0.9} />
            <SvgText
              x={x}
              y={top + 14}
              textAnchor="middle"
              fontFamily={FACE.figureBold}
              fontSize={14}
              fill={ink[pin.state]}
            >
              {pin.text}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
});

/**
 * The survey meter's readings as a map: nearest readings weighted by distance, no farther than a reading carries. A map of where
 * to test, and of nothing else.
 */
export const SurveyLayer = memo(function SurveyLayer({
  results,
  corners,
  view,
}: {
  results: readonly DampResult[];
  corners: Polygon;
  view: SheetView;
}) {
  const palette = usePalette();
  if (results.length < 3) return null;
  const values = results.map((r) => r.value);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const box = boundsMm(corners);
  const cells = [];
  for (let y = box.minY; y < box.maxY; y += CELL_MM)
    for (let x = box.minX; x < box.maxX; x += CELL_MM) {
      const [cx, cy] = [x + CELL_MM / 2, y + CELL_MM / 2];
      if (!contains(corners, cx, cy)) continue;
      let [sum, weight] = [0, 0];
      for (const r of results) {
        const d = Math.hypot(r.test.xMm - cx, r.test.yMm - cy);
        if (d > CARRY_MM) continue;
        const w = 1 / (d + 100) ** 2;
        sum += w * r.value;
        weight += w;
      }
      if (weight === 0) continue;
      const share = most > least ? (sum / weight - least) / (most - least) : 0;
      const [px, py] = toPx(view, x, y + CELL_MM);
      cells.push(
        <Rect
          key={`${x}:${y}`}
          x={px}
          y={py}
          width={CELL_MM * view.pxPerMm}
          height={CELL_MM * view.pxPerMm}
          fill={palette.low}
          opacity={0.08 + 0.5 * share}
        />,
      );
    }
  return <G>{cells}</G>;
});
