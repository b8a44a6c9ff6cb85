import { Text, type TextProps } from 'react-native';
import { FACE, SIZE, usePalette } from '../theme/theme.tsx';

interface Props extends TextProps {
  size?: keyof typeof SIZE;
  bold?: boolean;
  /** Figures: the narrow face with tabular numerals. */
  figure?: boolean;
  quiet?: boolean;
  color?: string;
}

/** All words and figures on a screen. */
export function Words({ size = 'text', bold = false, figure = false, quiet = false, color, style, ...rest }: Props) {
  const palette = usePalette();
  const fontFamily = figure ? (bold ? FACE.figureBold : FACE.figure) : bold ? FACE.textBold : FACE.text;
  return (
    <Text
      {...rest}
      style={[
        {
          fontFamily,
          fontSize: SIZE[size],
          lineHeight: Math.round(SIZE[size] * 1.3),
          color: color ?? (quiet ? palette.quiet : palette.ink),
        },
        figure ? { fontVariant: ['tabular-nums'] } : null,
        style,
      ]}
    />
  );
}
