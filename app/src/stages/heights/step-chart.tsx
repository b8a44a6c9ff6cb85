import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg';
import type { StepProfile } from '@maquette/core/heights';
import { formatGap, formatReach, unitLabel, type UnitSystem } from '@maquette/core/units';
import { FACE, usePalette } from '../../theme/theme.tsx';
import { Words } from '../../ui/text.tsx';

const HEIGHT = 132;

/** The step along an opening from its start to its end, over the limit of the next smaller bar. */
export function StepChart({
  profile,
  limitMm,
  limitWords,
  ends,
  units,
}: {
  profile: StepProfile;
  limitMm: number | null;
  limitWords: string;
  ends: [string, string];
  units: UnitSystem;
}) {
  const palette = usePalette();
  const [width, setWidth] = useState(340);
  const { at, minMm, maxMm } = profile;
  const [from, to] = [at[0]!.alongMm, at.at(-1)!.alongMm];
  const top = Math.max(1, maxMm, limitMm ?? 0);
  const low = Math.min(0, minMm);
  const x = (mm: number) => 12 + ((mm - from) / Math.max(1, to - from)) * (width - 24);
  const y = (mm: number) => 26 + ((top - mm) / Math.max(0.5, top - low)) * (HEIGHT - 50);
  const line = at.map(({ alongMm, stepMm }) => `${x(alongMm).toFixed(1)} ${y(stepMm).toFixed(1)}`).join('L');
  const ends2 = [at[0]!.stepMm, at.at(-1)!.stepMm] as const;
  const figures = ends2.map((mm) => formatGap(mm, units));
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Words
        size="small"
        quiet
      >{`Step along the opening, from ${ends[0]} to ${ends[1]}, ${formatReach(to - from, units)}`}</Words>
      <Svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Step along the opening: ${figures[0]} ${unitLabel(units)} ${ends[0]}, ${figures[1]} ${ends[1]}.`}
      >
        <Path d={`M${x(from)} ${y(0)}L${line}L${x(to)} ${y(0)}Z`} fill={palette.highWash} />
        <Line x1={12} y1={y(0)} x2={width - 12} y2={y(0)} stroke={palette.ink} strokeWidth={2} />
        {limitMm === null ? null : (
          <>
            <Line
              x1={12}
              y1={y(limitMm)}
              x2={width - 12}
              y2={y(limitMm)}
              stroke={palette.quiet}
              strokeDasharray="5 5"
              strokeWidth={1.5}
            />
            <SvgText
              x={width / 2}
              y={y(limitMm) - 4}
              textAnchor="middle"
              fontFamily={FACE.figure}
              fontSize={14}
              fill={palette.quiet}
            >
              {`${formatGap(limitMm, units)} ${limitWords}`}
            </SvgText>
          </>
        )}
        <Path d={`M${line}`} fill="none" stroke={palette.high} strokeWidth={3} strokeLinejoin="round" />
        <SvgText x={14} y={y(ends2[0]) - 7} fontFamily={FACE.figureBold} fontSize={18} fill={palette.high}>
          {figures[0]}
        </SvgText>
        <SvgText
          x={width - 14}
          y={y(ends2[1]) - 7}
          textAnchor="end"
          fontFamily={FACE.figureBold}
          fontSize={18}
          fill={palette.high}
        >
          {figures[1]}
        </SvgText>
      </Svg>
    </View>
  );
}
