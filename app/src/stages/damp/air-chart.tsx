import { View } from 'react-native';
import { max, mean, min } from 'd3-array';
import type { AirBands, AirHistory, AirSample } from '@maquette/core/air';
import { temperatureIn, temperatureUnit, type UnitSystem } from '@maquette/core/units';
import { Chart } from '../../chart/chart.tsx';
import { Gaps, LimitLine, Series, Wash } from '../../chart/marks.tsx';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { useTimes } from '../../ui/shown-in.tsx';
import { dayTick } from './day-tick.ts';

const HEIGHT = 118;
/** More points than the chart is wide are thinned, the extremes of each stretch kept. */
const POINTS = 240;

/** Temperature and humidity over time, each over its band. */
export function AirChart({ history, bands, units }: { history: AirHistory; bands: AirBands; units: UnitSystem }) {
  const samples = thinned(history.samples);
  if (samples.length < 2) return null;
  const gaps = history.gaps.map(({ from, to }) => ({ from: Date.parse(from), to: Date.parse(to) }));
  return (
    <View style={{ gap: SPACE.gap }}>
      <Curve
        samples={samples}
        gaps={gaps}
        of={(s) => s.rhPercent}
        band={[bands.airMinRh, bands.airMaxRh]}
        unit="%RH"
        label="Relative humidity"
      />
      <Curve
        samples={samples}
        gaps={gaps}
        of={(s) => temperatureIn(s.tempC, units)}
        band={[temperatureIn(bands.airMinC, units), temperatureIn(bands.airMaxC, units)]}
        unit={temperatureUnit(units)}
        label="Temperature"
        days
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

interface CurveProps {
  samples: readonly AirSample[];
  gaps: readonly { from: number; to: number }[];
  of: (s: AirSample) => number;
  band: [number, number];
  unit: string;
  label: string;
  days?: boolean;
}

function Curve({ samples, gaps, of, band, unit, label, days = false }: CurveProps) {
  const palette = usePalette();
  const times = useTimes();
  const points = samples.map((s) => ({ at: Date.parse(s.at), value: of(s) }));
  const values = points.map(({ value }) => value);
  const [low, high] = [min(values)!, max(values)!];
  const [from, to] = [points[0]!.at, points.at(-1)!.at];
  return (
    <Chart
      label={`${label}, ${unit}: ${band[0]} to ${band[1]} is asked for`}
      summary={`Read ${low.toFixed(1)} to ${high.toFixed(1)} ${unit}, ${mean(values)!.toFixed(1)} on average, ${values.at(-1)!.toFixed(1)} last.`}
      height={HEIGHT}
      along={{ kind: 'time', aheadMs: times.aheadMs }}
      domain={[from, to]}
      values={[Math.min(band[0], low) - 2, Math.max(band[1], high) + 2]}
      marked={band}
      alongWords={days ? dayTick(times, to - from) : null}
      readings={points.map((point, i) => ({
        ...point,
        words: `${times.localTime(samples[i]!.at)}: ${point.value.toFixed(1)} ${unit}`,
      }))}
    >
      {(scale) => (
        <>
          <Wash scale={scale} between={band} color={palette.chalkWash} />
          <Gaps scale={scale} gaps={gaps} />
          {band.map((value) => (
            <LimitLine key={value} scale={scale} value={value} color={palette.chalk} />
          ))}
          <Series scale={scale} points={points} gaps={gaps} />
        </>
      )}
    </Chart>
  );
}
