import type { YearOfRoom } from '@maquette/core';
import { Chart } from '../../chart/chart.tsx';
import { LimitLine, Series } from '../../chart/marks.tsx';
import { usePalette } from '../../theme/theme.tsx';
import { MONTHS, MONTHS_LONG } from './year-words.ts';

/** Air at one place of the floor by months, against what it is held to. */
export function YearChart({
  year,
  place,
  name,
  limitRh,
}: {
  year: YearOfRoom;
  place: number;
  name: string;
  limitRh: number | null;
}) {
  const palette = usePalette();
  const points = year.verdict.year.months.map(({ rh }, at) => ({ at, value: rh[place]! }));
  const values = points.map(({ value }) => value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const most = values.indexOf(high);
  return (
    <Chart
      label={`${name}, %RH by month${limitRh === null ? '' : `: ${limitRh} at most`}`}
      summary={`${low.toFixed(0)} to ${high.toFixed(1)} %RH, the most in ${MONTHS_LONG[most]}.`}
      height={150}
      along={{ kind: 'figure' }}
      domain={[0, 11]}
      values={[Math.min(low, limitRh ?? low) - 3, Math.min(101, Math.max(high, limitRh ?? high) + 3)]}
      marked={limitRh === null ? [] : [limitRh]}
      alongWords={(at) => MONTHS[Math.round(at)] ?? ''}
      readings={points.map((point) => ({ ...point, words: `${MONTHS_LONG[point.at]}: ${point.value.toFixed(1)} %RH` }))}
    >
      {(scale) => (
        <>
          {limitRh === null ? null : <LimitLine scale={scale} value={limitRh} color={palette.high} />}
          <Series scale={scale} points={points} />
        </>
      )}
    </Chart>
  );
}
