import { memo } from 'react';
import { G, Path } from 'react-native-svg';
import { scanMiddle, type ScanPlace } from '@maquette/core/scan';
import { usePalette } from '../theme/theme.tsx';
import type { ScanAnswer } from '../worker/messages.ts';
import { planTransform, ringsPath, type SheetView } from './view.ts';

/**
 * A scan while it is laid on the room: the floor it saw as a sheet of tracing paper with its highs and lows, and what stands
 * upright in it as dots that belong on the walls.
 */
export const ScanLayer = memo(function ScanLayer({
  answer,
  place,
  view,
}: {
  answer: ScanAnswer;
  place: ScanPlace;
  view: SheetView;
}) {
  const { floor, drawn } = answer;
  const [mx, my] = scanMiddle(floor);
  return (
    <G transform={planTransform(view)}>
      <G transform={`translate(${place.xMm} ${place.yMm}) rotate(${place.turnDeg}) translate(${-mx} ${-my})`}>
        <Traced drawn={drawn} pxPerMm={view.pxPerMm} />
      </G>
    </G>
  );
});

/** What is traced does not change while it is moved: only where it lies does. */
const Traced = memo(function Traced({ drawn, pxPerMm }: { drawn: ScanAnswer['drawn']; pxPerMm: number }) {
  const palette = usePalette();
  const px = 1 / pxPerMm;
  return (
    <>
      <Path d={ringsPath(drawn.seen)} fillRule="evenodd" fill={palette.chalk} fillOpacity={0.14} />
      <Path d={ringsPath(drawn.highs)} fillRule="evenodd" fill={palette.high} fillOpacity={0.35} />
      <Path d={ringsPath(drawn.lows)} fillRule="evenodd" fill={palette.low} fillOpacity={0.35} />
      <Path d={ringsPath(drawn.seen)} fill="none" stroke={palette.chalk} strokeWidth={1.5 * px} />
      {/* One path of dots: a circle each would be hundreds of elements. */}
      <Path
        d={drawn.walls.map(([x, y]) => `M${Math.round(x)} ${Math.round(y)}h1`).join('')}
        stroke={palette.ink}
        strokeWidth={3.4 * px}
        strokeLinecap="round"
        fill="none"
      />
    </>
  );
});
