import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { AirBands, AirHistory, AirSample } from '@maquette/core/air';
import { FACE, usePalette } from '../../theme/theme.tsx';
import { dayOf } from '../../ui/times.ts';
import { chartScale, DayAxis, ValueAxis } from './chart-axis.tsx';

const HEIGHT = 118;
/** More points than the chart is wide are thinned, the extremes of each stretch kept. */
const POINTS = 240;

/** Temperature and humidity over time, each over its band. */
export function AirChart({ history, bands }: { history: AirHistory; bands: AirBands }) {
  const [width, setWidth] = useState(340);
  const samples = thinned(history.samples);
  if (samples.length < 2) return null;
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      <Curve
        width={width}
        samples={samples}
        of={(s) => s.rhPercent}
        band={[bands.airMinRh, bands.airMaxRh]}
        unit="%RH"
        words="Relative humidity over time"
      />
      <Curve
        width={width}
        samples={samples}
        of={(s) => s.tempC}
        band={[bands.airMinC, bands.airMaxC]}
        unit="°C"
        words="Temperature over time"
        dates
      />
    </View>
  );
}

function thinned(samples: readonly AirSample[]): AirSample[] {
  const step = Math.ceil(samples.length / POINTS);
  if (step <= 1) return [...samples];
  const kept: AirSample[] = [];
  for (let i = 0; i < samples.length; i += step) {
    const part = samples.slice(i, i + step);
    const by = (pick: (a: AirSample, b: AirSample) => boolean) => part.reduce((m, s) => (pick(s, m) ? s : m));
    kept.push(...new Set([by((a, b) => a.rhPercent > b.rhPercent), by((a, b) => a.tempC < b.tempC)]));
  }
  return kept.sort((a, b) => (a.at < b.at ? -1 : 1));
}

function Curve({
  width,
  samples,
  of,
  band,
  unit,
  words,
  dates = false,
}: {
  width: number;
  samples: readonly AirSample[];
  of: (s: AirSample) => number;
  band: [number, number];
  unit: string;
  words: string;
  dates?: boolean;
}) {
  const palette = usePalette();
  const values = samples.map(of);
  const low = Math.min(band[0], ...values) - 2;
  const high = Math.max(band[1], ...values) + 2;
  const moments = samples.map((s) => Date.parse(s.at));
  const scale = chartScale({ width, height: HEIGHT, days: dates }, [moments[0]!, moments.at(-1)!], [low, high]);
  const { y, box } = scale;
  const path = scale.line(samples.map((s, i) => [moments[i]!, of(s)]));
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={`${words}, band ${band[0]} to ${band[1]} ${unit}`}>
      <Rect
        x={box.left}
        y={y(band[1])}
        width={box.right - box.left}
        height={y(band[0]) - y(band[1])}
        fill={palette.chalkWash}
      />
      {band.map((v) => (
        <Line key={v} x1={box.left} x2={box.right} y1={y(v)} y2={y(v)} stroke={palette.chalk} strokeDasharray="4 4" />
      ))}
      <Path d={path} stroke={palette.ink} strokeWidth={1.6} fill="none" />
      <ValueAxis scale={scale} values={band} />
      <SvgText x={box.left + 4} y={18} fontFamily={FACE.figureBold} fontSize={13} fill={palette.ink}>
        {unit}
      </SvgText>
      {dates ? <DayAxis scale={scale} first={dayOf(samples[0]!.at)} last={dayOf(samples.at(-1)!.at)} /> : null}
    </Svg>
  );
}
