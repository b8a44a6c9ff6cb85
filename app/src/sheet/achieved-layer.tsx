import { memo } from 'react';
import { Circle, G, Text as SvgText } from 'react-native-svg';
import type { Achieved } from '@maquette/core/flat';
import { formatGap, type UnitSystem } from '@maquette/core/units';
import { FACE, usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

/** Nearer to the plan than this it came out as meant, mm: a trowel and a staff together do no better. */
const AS_MEANT_MM = 1;
/** Shown as nothing, mm: it rounds to no tenth. */
const NOTHING_MM = 0.05;

/** What came of the last levelling: at each station it moved how far it came out from what was meant; a ring where nobody has read again. */
export const AchievedLayer = memo(function AchievedLayer({
  achieved,
  view,
  units,
}: {
  achieved: Achieved;
  view: SheetView;
  units: UnitSystem;
}) {
  const palette = usePalette();
  return (
    <G>
      {achieved.waiting.map((s) => {
        const [cx, cy] = toPx(view, s.xMm, s.yMm);
        return (
          <Circle
            key={s.stationKey}
            cx={cx}
            cy={cy}
            r={9}
            fill="none"
            stroke={palette.verdict.measure}
            strokeWidth={2}
            strokeDasharray="3 3"
          />
        );
      })}
      {achieved.reread.map((s) => {
        const [cx, cy] = toPx(view, s.xMm, s.yMm);
        const ink = Math.abs(s.offMm) <= AS_MEANT_MM ? palette.verdict.lay : s.offMm > 0 ? palette.high : palette.low;
        return (
          <G key={s.stationKey}>
            <Circle cx={cx} cy={cy} r={5} fill={ink} />
            <SvgText x={cx} y={cy - 9} textAnchor="middle" fontFamily={FACE.figureBold} fontSize={14} fill={ink}>
              {Math.abs(s.offMm) < NOTHING_MM
                ? '0'
                : `${s.offMm < 0 ? '−' : '+'}${formatGap(Math.abs(s.offMm), units)}`}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
});
