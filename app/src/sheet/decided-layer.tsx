import { Circle } from 'react-native-svg';
import { VERDICTS, type Criterion } from '@maquette/core/verdict';
import { usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

const RING_PX = 20;

/** A ring around the place that decides: of the criteria shown the worst one's, where it has a place and is not passed. */
export function DecidedLayer({ criteria, view }: { criteria: readonly Criterion[]; view: SheetView }) {
  const palette = usePalette();
  const worst = VERDICTS.find((verdict) => criteria.some((c) => c.verdict === verdict));
  const deciding = criteria.find((c) => c.verdict === worst && c.at !== null);
  if (!deciding || worst === 'lay') return null;
  const [cx, cy] = toPx(view, ...deciding.at!);
  return (
    <Circle
      cx={cx}
      cy={cy}
      r={RING_PX}
      fill="none"
      stroke={palette.verdict[deciding.verdict]}
      strokeWidth={3}
      strokeDasharray="8 4"
    />
  );
}
