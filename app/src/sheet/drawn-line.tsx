import { Circle, G, Path } from 'react-native-svg';
import type { PointMm } from '@maquette/core/room';
import { usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

/** A line while it is being touched in, point by point. */
export function DrawnLine({ points, view }: { points: readonly PointMm[]; view: SheetView }) {
  const palette = usePalette();
  const at = points.map((p) => toPx(view, p.xMm, p.yMm));
  return (
    <G>
      {at.length > 1 ? (
        <Path d={`M${at.map(([x, y]) => `${x} ${y}`).join('L')}`} fill="none" stroke={palette.chalk} strokeWidth={3} />
      ) : null}
      {at.map(([x, y], i) => (
        <Circle key={i} cx={x} cy={y} r={6} fill={palette.chalk} />
      ))}
    </G>
  );
}
