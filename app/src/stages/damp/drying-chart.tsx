import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { DryingForecast } from '@maquette/core/damp';
import { FACE, usePalette } from '../../theme/theme.tsx';
import { dayAfter } from '../../ui/times.ts';
import { chartScale, DayAxis, ValueAxis } from './chart-axis.tsx';

const HEIGHT = 210;

/** Readings and forecast with its band, the limit, and the dates between which it is reached. */
export function DryingChart({ forecast }: { forecast: DryingForecast }) {
  const palette = usePalette();
  const [width, setWidth] = useState(340);
  const { probe, limitPercent } = forecast;
  const { curve, earlyDay, lateDay } = forecast.forecast;
  const end = curve[curve.length - 1]!.day;
  const first = probe.values[0]!.day;
  const from = Math.max(0, first - (end - first) * 0.08);
  const seen = curve.filter((c) => c.day >= from);
  const values = [
    ...probe.values.map((v) => v.rhPercent),
    ...seen.flatMap((c) => [c.lowPercent, c.highPercent]),
    limitPercent,
  ];
  const [low, high] = [Math.min(...values) - 2, Math.max(...values) + 1];
  const scale = chartScale({ width, height: HEIGHT }, [from, end], [low, high]);
  const { x, y, box } = scale;
  const line = (of: (c: (typeof curve)[number]) => number, list = seen) => scale.line(list.map((c) => [c.day, of(c)]));
  const back = [...seen].reverse();
  const band = `${line((c) => c.highPercent)}${line((c) => c.lowPercent, back).replace('M', 'L')}Z`;
  const date = (day: number) => dayAfter(probe.startUtc, day);
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      <Svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`${probe.name}: readings and forecast of relative humidity, limit ${limitPercent} %RH`}
      >
        {earlyDay !== null ? (
          <Rect
            x={x(earlyDay)}
            y={box.top}
            width={Math.max(2, x(Math.min(end, lateDay ?? end)) - x(earlyDay))}
            height={box.floor - box.top}
            fill={palette.chalkWash}
          />
        ) : null}
        <Path d={band} fill={palette.lowWash} stroke="none" />
        <Path d={line((c) => c.middlePercent)} stroke={palette.low} strokeWidth={2} fill="none" />
        <Line
          x1={box.left}
          x2={box.right}
          y1={y(limitPercent)}
          y2={y(limitPercent)}
          stroke={palette.high}
          strokeWidth={2}
          strokeDasharray="6 4"
        />
        <SvgText
          x={box.right - 2}
          y={y(limitPercent) - 5}
          textAnchor="end"
          fontFamily={FACE.figureBold}
          fontSize={13}
          fill={palette.high}
        >
          {`limit ${limitPercent} %RH`}
        </SvgText>
        {probe.values.map((v) => (
          <Circle
            key={v.at}
            cx={x(v.day)}
            cy={y(v.rhPercent)}
            r={4.5}
            fill={palette.paper}
            stroke={palette.ink}
            strokeWidth={2}
          />
        ))}
        <Line x1={box.left} x2={box.right} y1={box.floor} y2={box.floor} stroke={palette.ink} />
        <ValueAxis scale={scale} values={[Math.ceil(low / 5) * 5, Math.floor(high / 5) * 5]} />
        <DayAxis scale={scale} first={date(from)} last={date(end)} />
      </Svg>
    </View>
  );
}
