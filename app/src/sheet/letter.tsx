import { G, Rect, Text as SvgText } from 'react-native-svg';
import { FACE, usePalette } from '../theme/theme.tsx';

/** A place's letter or number on the sheet, light on its own colour. */
export function Letter({ at: [x, y], text, fill }: { at: [number, number]; text: string; fill: string }) {
  const palette = usePalette();
  const half = 6 + 6 * text.length;
  return (
    <G>
      <Rect x={x - half} y={y - 12} width={2 * half} height={24} fill={fill} />
      <SvgText x={x} y={y + 6} textAnchor="middle" fontFamily={FACE.figureBold} fontSize={16} fill={palette.onChalk}>
        {text}
      </SvgText>
    </G>
  );
}
