import { memo } from 'react';
import { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Patch } from '@maquette/core/levelling';
import { FACE, usePalette } from '../theme/theme.tsx';
import { planTransform, ringsPath, toPx, type SheetView } from './view.ts';

/** Outlines of the places to fill and to grind, each with its letter; what is ground is drawn broken. */
export const PatchesLayer = memo(function PatchesLayer({
  areas,
  view,
  chosen,
}: {
  areas: readonly { area: Patch; what: 'fill' | 'grind' }[];
  view: SheetView;
  chosen: string | null;
}) {
  const palette = usePalette();
  return (
    <G>
      <G transform={planTransform(view)}>
        {areas.map(({ area, what }) => (
          <Path
            key={area.label}
            d={ringsPath(area.outlines)}
            fillRule="evenodd"
            fill={what === 'fill' ? palette.low : palette.high}
            fillOpacity={area.label === chosen ? 0.35 : 0.12}
            stroke={what === 'fill' ? palette.low : palette.high}
            strokeWidth={(area.label === chosen ? 4 : 2.5) / view.pxPerMm}
            {...(what === 'grind' ? { strokeDasharray: `${9 / view.pxPerMm} ${4 / view.pxPerMm}` } : {})}
          />
        ))}
      </G>
      {areas.map(({ area, what }) => {
        const [x, y] = toPx(view, ...area.deepestAt);
        const half = 6 + 6 * area.label.length;
        return (
          <G key={area.label}>
            <Rect
              x={x - half}
              y={y - 12}
              width={2 * half}
              height={24}
              fill={what === 'fill' ? palette.low : palette.high}
            />
            <SvgText
              x={x}
              y={y + 6}
              textAnchor="middle"
              fontFamily={FACE.figureBold}
              fontSize={16}
              fill={palette.onChalk}
            >
              {area.label}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
});
