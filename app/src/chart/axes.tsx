import { G, Line, Text as SvgText } from 'react-native-svg';
import { FACE, usePalette } from '../theme/theme.tsx';
import type { ChartScale } from './chart-scale.ts';

const FIGURE_PX = 13;
/** Figures nearer to one another than this cannot be told apart. */
const APART_PX = 14;

/** Round values on the left, and those that matter in their place: what a band begins and ends at. */
export function ValueAxis({ scale, marked = [] }: { scale: ChartScale; marked?: readonly number[] }) {
  const palette = usePalette();
  const clear = scale.values.filter((value) =>
    marked.every((other) => Math.abs(scale.y(value) - scale.y(other)) >= APART_PX),
  );
  const label = (value: number, bold: boolean) => (
    <SvgText
      key={value}
      x={scale.box.left - 5}
      y={scale.y(value) + 4.5}
      textAnchor="end"
      fontFamily={bold ? FACE.figureBold : FACE.figure}
      fontSize={FIGURE_PX}
      fill={palette.ink}
    >
      {String(value)}
    </SvgText>
  );
  return (
    <G>
      {clear.map((value) => (
        <Line
          key={value}
          x1={scale.box.left}
          x2={scale.box.right}
          y1={scale.y(value)}
          y2={scale.y(value)}
          stroke={palette.rule}
          strokeWidth={1}
        />
      ))}
      {clear.map((value) => label(value, false))}
      {[...new Set(marked)].map((value) => label(value, true))}
    </G>
  );
}

/** Round places along the chart under its floor. */
export function AlongAxis({ scale, words }: { scale: ChartScale; words: (at: number) => string }) {
  const palette = usePalette();
  const { box } = scale;
  return (
    <G>
      <Line x1={box.left} x2={box.right} y1={box.floor} y2={box.floor} stroke={palette.ink} />
      {scale.ticks.map((at) => {
        const x = scale.x(at);
        const anchor = x > box.right - 24 ? 'end' : x < box.left + 16 ? 'start' : 'middle';
        return (
          <G key={at}>
            <Line x1={x} x2={x} y1={box.floor} y2={box.floor + 5} stroke={palette.ink} />
            <SvgText
              x={x}
              y={box.floor + 18}
              textAnchor={anchor}
              fontFamily={FACE.figure}
              fontSize={FIGURE_PX}
              fill={palette.quiet}
            >
              {words(at)}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
}
