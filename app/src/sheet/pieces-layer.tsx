import { memo } from 'react';
import { Defs, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import type { CutPlan, TrimPiece } from '@maquette/core/stripout';
import type { Polygon } from '@maquette/core/room';
import { pointOnWall } from '@maquette/core/room';
import { FACE, usePalette } from '../theme/theme.tsx';
import { planTransform, ringsPath, toPx, type SheetView } from './view.ts';

/** A piece's number is written where the piece is at least this wide, px. */
const LABEL_FROM_PX = 14;

/** The cut plan: saw cuts as full lines with ticks at their ends, seams dotted, what is freed by hand hatched. */
export const PiecesLayer = memo(function PiecesLayer({ cut, view }: { cut: CutPlan; view: SheetView }) {
  const palette = usePalette();
  const px = 1 / view.pxPerMm;
  return (
    <G>
      <G transform={planTransform(view)}>
        <Defs>
          <Pattern id="undercut" patternUnits="userSpaceOnUse" width={6 * px} height={6 * px}>
            <Path d={`M0 ${6 * px}L${6 * px} 0`} stroke={palette.high} strokeWidth={1 * px} />
          </Pattern>
        </Defs>
        {cut.pieces.map((piece, i) => (
          <Path
            key={piece.label}
            d={ringsPath(piece.part)}
            fillRule="evenodd"
            fill={piece.undercut ? 'url(#undercut)' : i % 2 === 0 ? palette.chalkWash : palette.paper}
            stroke={palette.rule}
            strokeWidth={1 * px}
          />
        ))}
      </G>
      {cut.cuts.map((c, i) => {
        const [a, b] = [toPx(view, ...c.from), toPx(view, ...c.to)];
        return (
          <Line
            key={i}
            x1={a[0]}
            y1={a[1]}
            x2={b[0]}
            y2={b[1]}
            stroke={c.kind === 'saw' ? palette.high : palette.chalk}
            strokeWidth={c.kind === 'saw' ? 2 : 2.5}
            {...(c.kind === 'seam' ? { strokeDasharray: '2 5' } : {})}
          />
        );
      })}
    </G>
  );
});

/** The pieces' numbers, over everything else, where there is room for them. */
export const PieceLabels = memo(function PieceLabels({ cut, view }: { cut: CutPlan; view: SheetView }) {
  const palette = usePalette();
  return (
    <G>
      {cut.pieces.map((piece) => {
        const least = narrowestPx(piece.part[0]!, view);
        if (least < LABEL_FROM_PX) return null;
        const [x, y] = toPx(view, ...piece.at);
        return (
          <SvgText
            key={piece.label}
            x={x}
            y={y + 5}
            textAnchor="middle"
            fontFamily={FACE.figureBold}
            fontSize={least < 24 ? 12 : 15}
            fill={palette.ink}
            stroke={palette.paper}
            strokeWidth={3}
            {...PAINT_UNDER}
          >
            {piece.label}
          </SvgText>
        );
      })}
    </G>
  );
});

/** The outline of a figure goes under its fill, so that it stands clear of lines without growing thin. */
const PAINT_UNDER = { paintOrder: 'stroke' } as object;

/** Shorter side of a ring's upright box, px. */
function narrowestPx(ring: readonly (readonly [number, number])[], view: SheetView): number {
  const xs = ring.map((p) => p[0]);
  const ys = ring.map((p) => p[1]);
  return Math.min(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)) * view.pxPerMm;
}

/** Skirting pieces along the walls, each with the label written on its back. */
export const TrimLayer = memo(function TrimLayer({
  trim,
  corners,
  view,
}: {
  trim: readonly TrimPiece[];
  corners: Polygon;
  view: SheetView;
}) {
  const palette = usePalette();
  return (
    <G>
      {trim.map((piece) => {
        const [a, b] = [
          pointOnWall(corners, piece.wall, piece.fromMm),
          pointOnWall(corners, piece.wall, piece.fromMm + piece.lengthMm),
        ];
        const [p, q] = [toPx(view, a.xMm, a.yMm), toPx(view, b.xMm, b.yMm)];
        const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
        // Inside the room, a little off the wall.
        const [nx, ny] = [(q[1] - p[1]) / (length || 1), -(q[0] - p[0]) / (length || 1)];
        const off = (v: [number, number], by: number): [number, number] => [v[0] + nx * by, v[1] + ny * by];
        const [s, e] = [off(p, 5), off(q, 5)];
        const ink = piece.fate === 'refit' ? palette.chalk : palette.high;
        const [mx, my] = off([(p[0] + q[0]) / 2, (p[1] + q[1]) / 2], 17);
        return (
          <G key={piece.label}>
            <Line
              x1={s[0]}
              y1={s[1]}
              x2={e[0]}
              y2={e[1]}
              stroke={ink}
              strokeWidth={3}
              {...(piece.fate === 'discard' ? { strokeDasharray: '5 4' } : {})}
            />
            {length > 34 ? (
              <>
                <Rect x={mx - 17} y={my - 9} width={34} height={18} fill={palette.paper} />
                <SvgText x={mx} y={my + 5} textAnchor="middle" fontFamily={FACE.figureBold} fontSize={13} fill={ink}>
                  {piece.label}
                </SvgText>
              </>
            ) : null}
          </G>
        );
      })}
    </G>
  );
});
