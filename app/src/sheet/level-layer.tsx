import { memo } from 'react';
import { Defs, G, Line, Path, Pattern, Circle } from 'react-native-svg';
import type { LevelMap } from '@maquette/core/flat';
import { usePalette } from '../theme/theme.tsx';
import { planTransform, ringsPath, type SheetView } from './view.ts';

/** Everything outside the rings, far enough out to be cut off by the walls. */
const FAR = 'M-100000 -100000H200000V200000H-100000Z';

/**
 * The level map: bands a millimetre apart (or as the legend says), highs with rising hatch and lows with dots so that it reads
 * without colour, zero line heavier. What is not measured yet stays blank.
 */
export const LevelLayer = memo(function LevelLayer({ map, view }: { map: LevelMap; view: SheetView }) {
  const palette = usePalette();
  const px = 1 / view.pxPerMm;
  const hatched = map.highs.filter((band) => band.levelMm >= 2 * map.stepMm);
  const dotted = map.lows.filter((band) => band.levelMm <= -2 * map.stepMm);
  return (
    <G transform={planTransform(view)}>
      <Defs>
        <Pattern id="rising" patternUnits="userSpaceOnUse" width={7 * px} height={7 * px}>
          <Path
            d={`M0 0L${7 * px} ${7 * px}M${-px} ${6 * px}L${px} ${8 * px}M${6 * px} ${-px}L${8 * px} ${px}`}
            stroke={palette.high}
            strokeWidth={1.1 * px}
            opacity={0.75}
          />
        </Pattern>
        <Pattern id="dots" patternUnits="userSpaceOnUse" width={6 * px} height={6 * px}>
          <Circle cx={1.5 * px} cy={1.5 * px} r={1.1 * px} fill={palette.low} />
          <Circle cx={4.5 * px} cy={4.5 * px} r={1.1 * px} fill={palette.low} />
        </Pattern>
      </Defs>
      {map.highs.map((band, i) => (
        <Path
          key={`h${band.levelMm}`}
          d={ringsPath(band.rings)}
          fillRule="evenodd"
          fill={i === 0 ? palette.highWash : palette.high}
          fillOpacity={i === 0 ? 1 : 0.12}
          stroke={palette.high}
          strokeOpacity={0.5}
          strokeWidth={0.8 * px}
        />
      ))}
      {map.lows.map((band, i) => (
        <Path
          key={`l${band.levelMm}`}
          d={ringsPath(band.rings)}
          fillRule="evenodd"
          fill={i === 0 ? palette.lowWash : palette.low}
          fillOpacity={i === 0 ? 1 : 0.12}
          stroke={palette.low}
          strokeOpacity={0.5}
          strokeWidth={0.8 * px}
        />
      ))}
      {hatched[0] ? <Path d={ringsPath(hatched[0].rings)} fillRule="evenodd" fill="url(#rising)" /> : null}
      {dotted[0] ? <Path d={ringsPath(dotted[0].rings)} fillRule="evenodd" fill="url(#dots)" /> : null}
      <Path d={ringsPath(map.zero)} fill="none" stroke={palette.quiet} strokeWidth={1.6 * px} />
      <Path d={FAR + ringsPath(map.judged)} fillRule="evenodd" fill={palette.paper} />
      <Path
        d={ringsPath(map.judged)}
        fill="none"
        stroke={palette.rule}
        strokeWidth={1 * px}
        strokeDasharray={`${4 * px} ${4 * px}`}
      />
    </G>
  );
});

/** Short line of the legend: what one band means. */
export function LegendSwatch({ kind }: { kind: 'high' | 'low' }) {
  const palette = usePalette();
  const ink = kind === 'high' ? palette.high : palette.low;
  return (
    <G>
      <Path
        d="M0.5 0.5H27.5V13.5H0.5Z"
        fill={kind === 'high' ? palette.highWash : palette.lowWash}
        stroke={ink}
        strokeWidth={1}
      />
      {kind === 'high'
        ? [4, 11, 18, 25].map((x) => (
            <Line key={x} x1={x - 5} y1={13} x2={x + 5} y2={1} stroke={ink} strokeWidth={1.1} />
          ))
        : [5, 10, 15, 20, 25].flatMap((x) => [
            <Circle key={`${x}a`} cx={x - 1} cy={4} r={1.2} fill={ink} />,
            <Circle key={`${x}b`} cx={x - 3} cy={10} r={1.2} fill={ink} />,
          ])}
    </G>
  );
}
