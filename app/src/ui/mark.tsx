import Svg, { Path } from 'react-native-svg';
import type { Verdict } from '@maquette/core/verdict';
import { usePalette } from '../theme/theme.tsx';

/** The five words as they are written on a screen. */
export const VERDICT_WORDS: Record<Verdict, string> = {
  lay: 'Lay',
  wait: 'Wait',
  work: 'Work',
  measure: 'Measure',
  stop: 'Stop',
};

/** Shapes of the marks on a 36 x 10 plank: filled parts and outlined parts. */
const SHAPES: Record<Verdict, { fill: string; line: string }> = {
  lay: { fill: 'M0 0H36V10H0Z', line: '' },
  wait: { fill: 'M0 0H18V10H0Z', line: 'M0.75 0.75H35.25V9.25H0.75Z' },
  work: { fill: 'M0 0H12L18 6L24 0H36V10H0Z', line: '' },
  measure: { fill: '', line: 'M0.75 0.75H35.25V9.25H0.75Z M9 1V5 M18 1V5 M27 1V5' },
  stop: { fill: 'M0 0H15L12 10H0Z M22 0H36V10H19Z', line: '' },
};

/** A verdict's mark: a small plank seen from the side. The word always stands beside it. */
export function Mark({ verdict, width = 36, color }: { verdict: Verdict; width?: number; color?: string }) {
  const palette = usePalette();
  const ink = color ?? palette.verdict[verdict];
  const shape = SHAPES[verdict];
  return (
    <Svg width={width} height={(width * 10) / 36} viewBox="0 0 36 10" aria-hidden>
      {shape.fill ? <Path d={shape.fill} fill={ink} /> : null}
      {shape.line ? <Path d={shape.line} fill="none" stroke={ink} strokeWidth={1.5} /> : null}
    </Svg>
  );
}
