import { memo } from 'react';
import { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { UnitSystem } from '@maquette/core/units';
import { FACE, usePalette } from '../theme/theme.tsx';
import { scaleBar, type SheetView } from './view.ts';

/** The scale bar in the sheet's lower right corner. */
export const ScaleBar = memo(function ScaleBar({ view, units }: { view: SheetView; units: UnitSystem }) {
  const palette = usePalette();
  const bar = scaleBar(view, units);
  const [right, low] = [view.widthPx - 16, view.heightPx - 10];
  return (
    <G>
      <Rect x={right - bar.px - 4} y={low - 20} width={bar.px + 8} height={26} fill={palette.sheet} opacity={0.9} />
      <Path
        d={`M${right - bar.px} ${low - 4}V${low + 4}M${right - bar.px} ${low}H${right}M${right} ${low - 4}V${low + 4}`}
        stroke={palette.ink}
        strokeWidth={1.5}
        fill="none"
      />
      <SvgText
        x={right - bar.px / 2}
        y={low - 5}
        textAnchor="middle"
        fontFamily={FACE.figure}
        fontSize={14}
        fill={palette.ink}
      >
        {bar.words}
      </SvgText>
    </G>
  );
});
