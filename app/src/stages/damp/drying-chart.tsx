import type { DryingForecast } from '@maquette/core/damp';
import { Chart } from '../../chart/chart.tsx';
import { Band, Dots, LimitLine, Series, Wash } from '../../chart/marks.tsx';
import { usePalette } from '../../theme/theme.tsx';
import { useTimes } from '../../ui/shown-in.tsx';
import { dayTick } from './day-tick.ts';

const HEIGHT = 210;
const DAY_MS = 24 * 3_600_000;

/** Readings and forecast with its band, the limit, and the dates between which it is reached. */
export function DryingChart({ forecast }: { forecast: DryingForecast }) {
  const palette = usePalette();
  const times = useTimes();
  const { probe, limitPercent } = forecast;
  const { curve, earlyDay, lateDay } = forecast.forecast;
  const end = curve[curve.length - 1]!.day;
  const first = probe.values[0]!.day;
  const from = Math.max(0, first - (end - first) * 0.08);
  const seen = curve.filter((c) => c.day >= from);
  const heights = [
    ...probe.values.map((v) => v.rhPercent),
    ...seen.flatMap((c) => [c.lowPercent, c.highPercent]),
    limitPercent,
  ];
  const start = Date.parse(probe.startUtc);
  const at = (day: number) => start + day * DAY_MS;
  const dayOf = (day: number) => times.dayOf(new Date(at(day)).toISOString());
  const last = probe.values.at(-1)!;
  const read = probe.values.map((v) => ({
    at: at(v.day),
    value: v.rhPercent,
    words: `${times.localTime(v.at)}: read ${v.rhPercent.toFixed(1)} %RH`,
  }));
  const ahead = seen
    .filter((c) => c.day > last.day)
    .map((c) => ({
      at: at(c.day),
      value: c.middlePercent,
      words: `${dayOf(c.day)}: ${c.lowPercent.toFixed(0)} to ${c.highPercent.toFixed(0)} %RH to be expected, ${c.middlePercent.toFixed(1)} most likely`,
    }));
  return (
    <Chart
      label={`${probe.name}: relative humidity, %RH, read and to come`}
      summary={`Last read ${last.rhPercent.toFixed(1)} %RH; the limit of ${limitPercent} %RH is reached ${
        earlyDay === null
          ? 'not within what is drawn'
          : lateDay === null
            ? `from ${dayOf(earlyDay)} on`
            : `between ${dayOf(earlyDay)} and ${dayOf(lateDay)}`
      }.`}
      height={HEIGHT}
      along={{ kind: 'time', aheadMs: times.aheadMs }}
      domain={[at(from), at(end)]}
      values={[Math.min(...heights) - 2, Math.max(...heights) + 1]}
      marked={[limitPercent]}
      alongWords={dayTick(times, at(end) - at(from))}
      readings={[...read, ...ahead]}
    >
      {(scale) => (
        <>
          {earlyDay === null ? null : (
            <Wash
              scale={scale}
              along={{ from: at(earlyDay), to: at(Math.min(end, lateDay ?? end)) }}
              color={palette.chalkWash}
            />
          )}
          <Band
            scale={scale}
            points={seen.map((c) => ({ at: at(c.day), low: c.lowPercent, high: c.highPercent }))}
            color={palette.lowWash}
          />
          <Series
            scale={scale}
            points={seen.map((c) => ({ at: at(c.day), value: c.middlePercent }))}
            color={palette.low}
          />
          <LimitLine scale={scale} value={limitPercent} color={palette.high} words={`limit ${limitPercent} %RH`} />
          <Dots scale={scale} points={read} />
        </>
      )}
    </Chart>
  );
}
