import { G, Text as SvgText } from 'react-native-svg';
import { FACE, usePalette } from '../../theme/theme.tsx';

/** Room around what a chart draws, px: figures stand on the left of it, days below. */
const AROUND = { left: 40, right: 6, top: 8, bottom: 24 } as const;
const FIGURE_PX = 13;

/** Where values stand on a chart. */
export interface ChartScale {
  x: (at: number) => number;
  y: (value: number) => number;
  /** Box that is drawn in, px. */
  box: { left: number; right: number; top: number; floor: number };
  /** A path through points of the chart. */
  line: (points: readonly (readonly [at: number, value: number])[]) => string;
}

/** Lays out a chart so wide and high, from one moment to another and from a low to a high value. */
export function chartScale(
  { width, height, days = true }: { width: number; height: number; days?: boolean },
  [from, to]: readonly [number, number],
  [low, high]: readonly [number, number],
): ChartScale {
  const box = {
    left: AROUND.left,
    right: width - AROUND.right,
    top: AROUND.top,
    floor: height - (days ? AROUND.bottom : AROUND.top),
  };
  const x = (at: number) => box.left + ((at - from) / Math.max(to - from, Number.EPSILON)) * (box.right - box.left);
  const y = (value: number) => box.top + ((high - value) / (high - low)) * (box.floor - box.top);
  const line: ChartScale['line'] = (points) =>
    points.map(([at, value], i) => `${i === 0 ? 'M' : 'L'}${x(at).toFixed(1)} ${y(value).toFixed(1)}`).join('');
  return { x, y, box, line };
}

/** Values named on the left of a chart. */
export function ValueAxis({ scale, values }: { scale: ChartScale; values: readonly number[] }) {
  const palette = usePalette();
  return (
    <G>
      {[...new Set(values)].map((value) => (
        <SvgText
          key={value}
          x={scale.box.left - 5}
          y={scale.y(value) + 5}
          textAnchor="end"
          fontFamily={FACE.figure}
          fontSize={FIGURE_PX}
          fill={palette.ink}
        >
          {String(value)}
        </SvgText>
      ))}
    </G>
  );
}

/** First and last day under a chart. */
export function DayAxis({ scale, first, last }: { scale: ChartScale; first: string; last: string }) {
  const palette = usePalette();
  const day = { y: scale.box.floor + 18, fontFamily: FACE.figure, fontSize: FIGURE_PX, fill: palette.quiet };
  return (
    <G>
      <SvgText {...day} x={scale.box.left}>
        {first}
      </SvgText>
      <SvgText {...day} x={scale.box.right} textAnchor="end">
        {last}
      </SvgText>
    </G>
  );
}
