import { memo } from 'react';
import { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Patch } from '@maquette/core/levelling';
import { FACE, usePalette } from '../theme/theme.tsx';
import { planTransform, ringsPath, toPx, type SheetView } from './view.ts';

/** Outlines of the places to fill, each with its letter. */
export const PatchesLayer = memo(function PatchesLayer({
  patches,
  view,
  chosen,
}: {
  patches: readonly Patch[];
  view: SheetView;
  chosen: string | null;
}) {
  const palette = usePalette();
  return (
    <G>
      <G transform={planTransform(view)}>
        {patches.map((patch) => (
          <Path
            key={patch.label}
            d={ringsPath(patch.outlines)}
            fillRule="evenodd"
            fill={palette.low}
            fillOpacity={patch.label === chosen ? 0.35 : 0.12}
            stroke={palette.low}
            strokeWidth={(patch.label === chosen ? 4 : 2.5) / view.pxPerMm}
          />
        ))}
      </G>
      {patches.map((patch) => {
        const [x, y] = toPx(view, ...patch.deepestAt);
        return (
          <G key={patch.label}>
            <Rect x={x - 12} y={y - 12} width={24} height={24} fill={palette.low} />
            <SvgText
              x={x}
              y={y + 6}
              textAnchor="middle"
              fontFamily={FACE.figureBold}
              fontSize={16}
              fill={palette.onChalk}
            >
              {patch.label}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
});
