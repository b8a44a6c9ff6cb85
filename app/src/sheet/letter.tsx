import { G, Rect, Text as SvgText } from 'react-native-svg';
import { LETTER_HALF_PX, letterHalfWidth } from './letter-stands.ts';
import { FACE, usePalette } from '../theme/theme.tsx';

/** A place's letter or number on the sheet, light on its own colour. */
export function Letter({ at: [x, y], text, fill }: { at: [number, number]; text: string; fill: string }) {
  const palette = usePalette();
  const half = letterHalfWidth(text);
  return (
    <G>
      <Rect x={x - half} y={y - LETTER_HALF_PX} width={2 * half} height={2 * LETTER_HALF_PX} fill={fill} />
      <SvgText x={x} y={y + 6} textAnchor="middle" fontFamily={FACE.figureBold} fontSize={16} fill={palette.onChalk}>
        {text}
      </SvgText>
    </G>
  );
}
