import { memo, useMemo } from 'react';
import { G, Path } from 'react-native-svg';
import { isSpot, type Patch } from '@maquette/core/levelling';
import { usePalette } from '../theme/theme.tsx';
import { Letter } from './letter.tsx';
import { LETTER_HALF_PX, letterHalfWidth, letterStands } from './letter-stands.ts';
import { planTransform, ringsPath, toPx, type SheetView } from './view.ts';

/** A spot's letter stands this far beside it, px: over it, the chalk point would hide it. */
const BESIDE_PX = 20;

/** Outlines of the places to fill and to grind, each with its letter; what is ground is drawn broken, and the chosen one shows its depths. */
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
  const stands = useMemo(
    () =>
      letterStands(
        areas.map(({ area }) => {
          const [x, y] = toPx(view, ...area.deepestAt);
          const halfWidth = letterHalfWidth(area.label);
          return { x: isSpot(area) ? x - BESIDE_PX : x, y, halfWidth, halfHeight: LETTER_HALF_PX };
        }),
      ),
    [areas, view],
  );
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
        {areas
          .filter(({ area }) => area.label === chosen)
          .flatMap(({ area, what }) =>
            area.classes.map(({ fromMm, outlines }) => (
              <Path
                key={`${area.label}${fromMm}`}
                d={ringsPath(outlines)}
                fillRule="evenodd"
                fill={what === 'fill' ? palette.low : palette.high}
                fillOpacity={0.12}
                stroke={what === 'fill' ? palette.low : palette.high}
                strokeWidth={1.2 / view.pxPerMm}
              />
            )),
          )}
      </G>
      {areas.map(({ area, what }, k) => (
        <Letter
          key={area.label}
          at={stands[k]!}
          text={area.label}
          fill={what === 'fill' ? palette.low : palette.high}
        />
      ))}
    </G>
  );
});
