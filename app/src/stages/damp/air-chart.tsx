import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { AirBands, AirHistory, AirSample } from '@maquette/core/air';
import { FACE, usePalette } from '../../theme/theme.tsx';

const HEIGHT = 118;
const LEFT = 40;
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
  const from = Date.parse(samples[0]!.at);
  const span = Math.max(1, Date.parse(samples[samples.length - 1]!.at) - from);
  const floor = HEIGHT - (dates ? 22 : 6);
  const x = (at: string) => LEFT + ((Date.parse(at) - from) / span) * (width - LEFT - 4);
  const y = (v: number) => 6 + ((high - v) / (high - low)) * (floor - 6);
  const path = samples.map((s, i) => `${i === 0 ? 'M' : 'L'}${x(s.at).toFixed(1)} ${y(of(s)).toFixed(1)}`).join('');
  const label = (v: number, text: string) => (
    <SvgText x={LEFT - 4} y={y(v) + 5} textAnchor="end" fontFamily={FACE.figure} fontSize={13} fill={palette.ink}>
      {text}
    </SvgText>
  );
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={`${words}, band ${band[0]} to ${band[1]} ${unit}`}>
      <Rect
        x={LEFT}
        y={y(band[1])}
        width={width - LEFT - 4}
        height={y(band[0]) - y(band[1])}
        fill={palette.chalkWash}
      />
      {band.map((v) => (
        <Line key={v} x1={LEFT} x2={width - 4} y1={y(v)} y2={y(v)} stroke={palette.chalk} strokeDasharray="4 4" />
      ))}
      <Path d={path} stroke={palette.ink} strokeWidth={1.6} fill="none" />
      {label(band[0], String(band[0]))}
      {label(band[1], String(band[1]))}
      <SvgText x={LEFT + 4} y={18} fontFamily={FACE.figureBold} fontSize={13} fill={palette.ink}>
        {unit}
      </SvgText>
      {dates ? (
        <G>
          <SvgText x={LEFT} y={HEIGHT - 5} fontFamily={FACE.figure} fontSize={13} fill={palette.quiet}>
            {samples[0]!.at.slice(0, 10)}
          </SvgText>
          <SvgText
            x={width - 4}
            y={HEIGHT - 5}
            textAnchor="end"
            fontFamily={FACE.figure}
            fontSize={13}
            fill={palette.quiet}
          >
            {samples[samples.length - 1]!.at.slice(0, 10)}
          </SvgText>
        </G>
      ) : null}
    </Svg>
  );
}
