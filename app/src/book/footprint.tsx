import Svg, { Path } from 'react-native-svg';
import { boundsMm, type Shaped } from '@maquette/core/room';
import type { Verdict } from '@maquette/core/verdict';
import { usePalette } from '../theme/theme.tsx';
import { usePlan } from '../sheet/use-plan.ts';

/** One scale for every footprint of the book, so that a hall looks larger than a boot room. px for each mm. */
const BOOK_SCALE = 0.019;

/** A room's outline, tinted by its verdict. */
export function Footprint({
  room,
  verdict,
  scale = BOOK_SCALE,
}: {
  room: Shaped;
  verdict: Verdict | null;
  scale?: number;
}) {
  const palette = usePalette();
  const { corners } = usePlan(room);
  const b = boundsMm(corners);
  const [w, h] = [(b.maxX - b.minX) * scale, (b.maxY - b.minY) * scale];
  const path = `M${corners.map((c) => `${(c.xMm - b.minX) * scale + 2} ${(b.maxY - c.yMm) * scale + 2}`).join('L')}Z`;
  return (
    <Svg width={w + 4} height={h + 4} aria-hidden>
      <Path d={path} fill={palette.bench} />
      <Path
        d={path}
        fill={verdict ? palette.verdict[verdict] : palette.plank}
        fillOpacity={verdict ? 0.16 : 1}
        stroke={palette.ink}
        strokeWidth={2}
      />
    </Svg>
  );
}
