import { memo } from 'react';
import { G, Path, Text as SvgText } from 'react-native-svg';
import { FACE, usePalette } from '../theme/theme.tsx';
import { dimensionLine, FIGURE_FROM_PX, figureHalf, LINE_FROM_PX } from './dimension-stands.ts';

const SLASH_PX = 6;
/** Names of walls stand off their middles, where the outline is taken hold of. */
const NAME_AT = 0.24;

interface Props {
  /** Ends of the wall, px, the room on the left of the way from a to b. */
  ax: number;
  ay: number;
  bx: number;
  by: number;
  label: string;
  /** How far along its line the label stands, as a share. */
  at: number;
  /** The wall's own name, written inside; null where it is not. */
  inside: string | null;
}

/** A wall's dimension outside it, and its name. Told by numbers, so that a wall that stays is not drawn again. */
export const Dimension = memo(function Dimension({ ax, ay, bx, by, label, at, inside }: Props) {
  const palette = usePalette();
  const length = Math.hypot(bx - ax, by - ay);
  if (length < FIGURE_FROM_PX) return null;
  const [ux, uy] = [(bx - ax) / length, (by - ay) / length];
  // On the screen y points down, so the outside of a wall walked with the room on the left is (-uy, ux) turned round.
  const [nx, ny] = [-uy, ux];
  const lined = length >= LINE_FROM_PX;
  const [[px, py], [qx, qy]] = dimensionLine({ a: [ax, ay], b: [bx, by] });
  const [mx, my] = [px + (qx - px) * at, py + (qy - py) * at];
  let turn = (Math.atan2(uy, ux) * 180) / Math.PI;
  if (turn > 90.5 || turn < -89.5) turn += 180;
  const half = figureHalf(label);
  const [sx, sy] = [(ux + nx) * SLASH_PX * 0.7, (uy + ny) * SLASH_PX * 0.7];
  const slash = (x: number, y: number) => `M${x - sx} ${y - sy}L${x + sx} ${y + sy}`;
  return (
    <G>
      {lined ? (
        <Path
          d={`M${px} ${py}L${mx - ux * half} ${my - uy * half}M${mx + ux * half} ${my + uy * half}L${qx} ${qy}${slash(px, py)}${slash(qx, qy)}`}
          stroke={palette.quiet}
          strokeWidth={1.25}
        />
      ) : null}
      <SvgText
        transform={Math.abs(turn) < 0.01 ? undefined : `rotate(${turn} ${mx} ${my})`}
        x={mx}
        y={my + 5}
        textAnchor="middle"
        fontFamily={FACE.figureBold}
        fontSize={lined ? 15 : 12}
        fill={palette.ink}
      >
        {label}
      </SvgText>
      {inside !== null && lined ? (
        <SvgText
          x={ax + (bx - ax) * NAME_AT - nx * 15}
          y={ay + (by - ay) * NAME_AT - ny * 15 + 5}
          textAnchor="middle"
          fontFamily={FACE.figure}
          fontSize={14}
          fill={palette.quiet}
        >
          {inside}
        </SvgText>
      ) : null}
    </G>
  );
});
