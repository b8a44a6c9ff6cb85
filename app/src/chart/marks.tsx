import { area, line } from 'd3-shape';
import { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FACE, usePalette } from '../theme/theme.tsx';
import type { ChartScale } from './chart-scale.ts';

/** A value at a place along a chart. */
export interface Point {
  at: number;
  value: number;
}
/** A stretch along a chart. */
export interface Stretch {
  from: number;
  to: number;
}

const FIGURE_PX = 13;

/** Values joined by a line, which stops at each gap: nothing is known there. */
export function Series({
  scale,
  points,
  gaps = [],
  color,
}: {
  scale: ChartScale;
  points: readonly Point[];
  gaps?: readonly Stretch[];
  color?: string;
}) {
  const palette = usePalette();
  const broken = points.flatMap((point, i) => {
    const before = points[i - 1];
    const gap = before && gaps.some(({ from, to }) => from >= before.at && to <= point.at);
    return gap ? [null, point] : [point];
  });
  const draw = line<Point | null>()
    .defined((point) => point !== null)
    .x((point) => scale.x(point!.at))
    .y((point) => scale.y(point!.value));
  return <Path d={draw(broken) ?? ''} stroke={color ?? palette.ink} strokeWidth={1.8} fill="none" />;
}

/** Where nothing was read: hatched lightly over the whole height. */
export function Gaps({ scale, gaps }: { scale: ChartScale; gaps: readonly Stretch[] }) {
  const palette = usePalette();
  const { box } = scale;
  return (
    <G>
      {gaps.map(({ from, to }) => (
        <Rect
          key={from}
          x={scale.x(from)}
          y={box.top}
          width={Math.max(2, scale.x(to) - scale.x(from))}
          height={box.floor - box.top}
          fill={palette.rule}
          opacity={0.55}
        />
      ))}
    </G>
  );
}

/** Between a low and a high value that change along the chart. */
export function Band({
  scale,
  points,
  color,
}: {
  scale: ChartScale;
  points: readonly { at: number; low: number; high: number }[];
  color: string;
}) {
  const draw = area<{ at: number; low: number; high: number }>()
    .x(({ at }) => scale.x(at))
    .y0(({ low }) => scale.y(low))
    .y1(({ high }) => scale.y(high));
  return <Path d={draw(points) ?? ''} fill={color} stroke="none" />;
}

/** A stretch along the chart, or between two values, washed with a colour. */
export function Wash({
  scale,
  along,
  between,
  color,
}: {
  scale: ChartScale;
  along?: Stretch;
  between?: readonly [low: number, high: number];
  color: string;
}) {
  const { box } = scale;
  const [left, right] = along ? [scale.x(along.from), scale.x(along.to)] : [box.left, box.right];
  const [top, floor] = between ? [scale.y(between[1]), scale.y(between[0])] : [box.top, box.floor];
  return <Rect x={left} y={top} width={Math.max(2, right - left)} height={Math.max(1, floor - top)} fill={color} />;
}

/** A value that is not to be crossed, named at its end where it has words. */
export function LimitLine({
  scale,
  value,
  color,
  words,
}: {
  scale: ChartScale;
  value: number;
  color: string;
  words?: string;
}) {
  const { box } = scale;
  const y = scale.y(value);
  return (
    <G>
      <Line x1={box.left} x2={box.right} y1={y} y2={y} stroke={color} strokeWidth={2} strokeDasharray="6 4" />
      {words ? (
        <SvgText
          x={box.right - 2}
          // Over its line, but never over the top of the chart.
          y={y - 5 < box.top + 8 ? y + 15 : y - 5}
          textAnchor="end"
          fontFamily={FACE.figureBold}
          fontSize={FIGURE_PX}
          fill={color}
        >
          {words}
        </SvgText>
      ) : null}
    </G>
  );
}

/** Values that were read, each by itself. */
export function Dots({ scale, points }: { scale: ChartScale; points: readonly Point[] }) {
  const palette = usePalette();
  return (
    <G>
      {points.map(({ at, value }) => (
        <Circle
          key={at}
          cx={scale.x(at)}
          cy={scale.y(value)}
          r={4.5}
          fill={palette.paper}
          stroke={palette.ink}
          strokeWidth={2}
        />
      ))}
    </G>
  );
}
