import { memo, useMemo } from 'react';
import { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { surveyMap, type DampResult } from '@maquette/core/damp';
import type { PointMm, Polygon } from '@maquette/core/room';
import { FACE, usePalette } from '../theme/theme.tsx';
import { atOrigin, originTransform, planTransform, toPx, type SheetView } from './view.ts';

/** One test on the sheet: what it shows and how it stands. */
export interface DampPin extends PointMm {
  id: string;
  text: string;
  state: 'over' | 'under' | 'waits' | 'void';
}

/** From here on the dots are drawn as one path for each state: a survey may hold thousands. */
const MANY = 150;

/** Where figures may stand without covering one another, those over the limit first. Boxes in px. */
function labelled(
  pins: readonly DampPin[],
  view: SheetView,
  middleYMm: number,
): Map<string, { x: number; top: number; half: number }> {
  const placed = new Map<string, { x: number; top: number; half: number }>();
  const taken = new Set<string>();
  for (const pin of [...pins].sort((a, b) => Number(b.state === 'over') - Number(a.state === 'over'))) {
    const [x, y] = toPx(view, pin.xMm, pin.yMm);
    const half = pin.text.length * 4.4 + 7;
    // In the lower half of the room the figure stands above its place, away from the wall below.
    const top = pin.yMm < middleYMm ? y - 29 : y + 10;
    const cells = [x - half, x, x + half].flatMap((px) =>
      [top, top + 19].map((py) => `${Math.floor(px / LABEL_PX.wide)}:${Math.floor(py / LABEL_PX.high)}`),
    );
    if (pins.length > FEW && cells.some((cell) => taken.has(cell))) continue;
    for (const cell of cells) taken.add(cell);
    placed.set(pin.id, { x, top, half });
  }
  return placed;
}

/** So few that every figure is drawn, even one over another. */
const FEW = 12;
const LABEL_PX = { wide: 24, high: 20 };

interface Props {
  pins: readonly DampPin[];
  places: readonly PointMm[];
  chosen: string | null;
  /** Middle of the room across, plan mm. */
  middleYMm: number;
}

/** Tests at their places with their values; places proposed and not yet made as open rings with a number. */
export function DampLayer({ view, ...props }: Props & { view: SheetView }) {
  return (
    <G transform={originTransform(view)}>
      <Pins {...props} pxPerMm={view.pxPerMm} />
    </G>
  );
}

const Pins = memo(function Pins({ pins, places, chosen, middleYMm, pxPerMm }: Props & { pxPerMm: number }) {
  const view = atOrigin(pxPerMm);
  const palette = usePalette();
  const labels = labelled(pins, view, middleYMm);
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
      {pins.length > MANY
        ? (['void', 'waits', 'under', 'over'] as const).map((state) => (
            <Path
              key={state}
              d={dots(
                pins.filter((pin) => pin.state === state),
                view,
              )}
              fill={ink[state]}
            />
          ))
        : pins.map((pin) => {
            const [x, y] = toPx(view, pin.xMm, pin.yMm);
            return (
              <Circle
                key={pin.id}
                cx={x}
                cy={y}
                r={pin.id === chosen ? 9 : 6}
                fill={pin.state === 'waits' || pin.state === 'void' ? palette.paper : ink[pin.state]}
                stroke={ink[pin.state]}
                strokeWidth={2.5}
              />
            );
          })}
      {pins.map((pin) => {
        const label = labels.get(pin.id);
        if (!label) return null;
        const { x, top, half } = label;
        return (
          <G key={pin.id}>
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

const DOT_PX = 5;

/** Little squares as one path, no two in the same place to the eye. */
function dots(pins: readonly DampPin[], view: SheetView): string {
  const places = new Set<string>();
  for (const pin of pins) {
    const [x, y] = toPx(view, pin.xMm, pin.yMm);
    places.add(`M${Math.round(x / DOT_PX) * DOT_PX - 2} ${Math.round(y / DOT_PX) * DOT_PX - 2}h4v4h-4z`);
  }
  return [...places].join('');
}

/** Shades the map is drawn in. */
const SHADES = 8;

/** The survey meter's readings as a map: of where to test, and of nothing else. */
export function SurveyLayer({ view, ...props }: SurveyProps & { view: SheetView }) {
  return (
    <G transform={planTransform(view)}>
      <SurveyCells {...props} />
    </G>
  );
}

interface SurveyProps {
  results: readonly DampResult[];
  corners: Polygon;
}

const SurveyCells = memo(function SurveyCells({ results, corners }: SurveyProps) {
  const palette = usePalette();
  const shades = useMemo(() => {
    const { cellMm, cells } = surveyMap(results, corners);
    const paths = Array.from({ length: SHADES }, () => '');
    for (const { xMm, yMm, share } of cells)
      paths[Math.min(SHADES - 1, Math.floor(share * SHADES))] += `M${xMm} ${yMm}h${cellMm}v${cellMm}h${-cellMm}z`;
    return paths;
  }, [results, corners]);
  return (
    <G>
      {shades.map((path, i) =>
        path ? <Path key={i} d={path} fill={palette.low} opacity={0.1 + (0.48 * i) / (SHADES - 1)} /> : null,
      )}
    </G>
  );
});
