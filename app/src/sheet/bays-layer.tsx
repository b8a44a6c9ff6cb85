import { memo } from 'react';
import { G, Path } from 'react-native-svg';
import type { Bay } from '@maquette/core/levelling';
import { centreOf } from '@maquette/core/room';
import { usePalette } from '../theme/theme.tsx';
import { Letter } from './letter.tsx';
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
        return (
          <Letter key={bay.number} at={toPx(view, ...centreOf(part))} text={String(bay.number)} fill={palette.low} />
        );
      })}
    </G>
  );
});
