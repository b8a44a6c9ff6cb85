import { memo } from 'react';
import { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Bay } from '@maquette/core/levelling';
import { centreOf } from '@maquette/core/room';
import { FACE, usePalette } from '../theme/theme.tsx';
import { planTransform, ringsPath, toPx, type SheetView } from './view.ts';

/** Bays of a pour with their numbers, stop-ends as heavy broken lines between them. */
export const BaysLayer = memo(function BaysLayer({ bays, view }: { bays: readonly Bay[]; view: SheetView }) {
  const palette = usePalette();
  return (
    <G>
      <G transform={planTransform(view)}>
        {bays.map((bay) => (
          <Path
            key={bay.number}
            d={ringsPath(bay.region.flat())}
            fillRule="evenodd"
            fill={palette.low}
            fillOpacity={bay.number % 2 === 0 ? 0.22 : 0.1}
            stroke={palette.low}
            strokeWidth={2 / view.pxPerMm}
            strokeDasharray={`${8 / view.pxPerMm} ${5 / view.pxPerMm}`}
          />
        ))}
      </G>
      {bays.map((bay) => {
        const part = bay.region[0];
        if (!part) return null;
        const [x, y] = toPx(view, ...centreOf(part));
        return (
          <G key={bay.number}>
            <Rect x={x - 13} y={y - 13} width={26} height={26} fill={palette.low} />
            <SvgText
              x={x}
              y={y + 6}
              textAnchor="middle"
              fontFamily={FACE.figureBold}
              fontSize={16}
              fill={palette.onChalk}
            >
              {bay.number}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
});
