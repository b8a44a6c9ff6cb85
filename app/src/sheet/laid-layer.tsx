import { memo } from 'react';
import { G, Path } from 'react-native-svg';
import type { Polygon } from '@maquette/core/room';
import { usePalette } from '../theme/theme.tsx';
import { Letter } from './letter.tsx';
import { planTransform, ringsPath, toPx, type SheetView } from './view.ts';

/** A strip or a panel as it lies, with the number under which it is laid. */
export interface LaidPiece {
  number: number;
  outline: Polygon;
}

/** Numbers stand where a piece is at least so wide, px. */
const NUMBER_FROM_PX = 22;

/** Strips or panels over the floor in the order in which they are laid, every other one washed; the one in hand in chalk, what is laid filled. */
export const LaidLayer = memo(function LaidLayer({
  pieces,
  current,
  laid,
  view,
}: {
  pieces: readonly LaidPiece[];
  current: number | null;
  laid: ReadonlySet<number>;
  view: SheetView;
}) {
  const palette = usePalette();
  const px = 1 / view.pxPerMm;
  return (
    <G>
      <G transform={planTransform(view)}>
        {pieces.map(({ number, outline }) => (
          <Path
            key={number}
            d={ringsPath([outline.map(({ xMm, yMm }) => [xMm, yMm] as const)])}
            fill={number === current ? palette.chalk : laid.has(number) ? palette.rule : palette.chalkWash}
            fillOpacity={number === current ? 0.35 : laid.has(number) ? 0.9 : number % 2 === 0 ? 0.95 : 0.45}
            stroke={palette.chalk}
            strokeWidth={(number === current ? 3 : 1.5) * px}
          />
        ))}
      </G>
      {pieces.map(({ number, outline }) => {
        const xs = outline.map(({ xMm }) => xMm);
        const ys = outline.map(({ yMm }) => yMm);
        const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
        if (Math.min(right - left, high - low) * view.pxPerMm < NUMBER_FROM_PX) return null;
        return (
          <Letter
            key={number}
            at={toPx(view, (left + right) / 2, (low + high) / 2)}
            text={String(number)}
            fill={palette.chalk}
          />
        );
      })}
    </G>
  );
});
