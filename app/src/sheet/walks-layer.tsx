import { memo } from 'react';
import { Circle, G, Line, Text as SvgText } from 'react-native-svg';
import { alongEdge, worstUnder, type EdgeWalk, type ProposedEdge } from '@maquette/core/flat';
import { formatGap, type UnitSystem } from '@maquette/core/units';
import { FACE, usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

interface Props {
  proposed: readonly ProposedEdge[];
  laid: readonly EdgeWalk[];
  current: ProposedEdge | null;
  started: { xMm: number; yMm: number } | null;
  view: SheetView;
  units: UnitSystem;
}

/** Straightedges in plan: proposed ones faint and broken, laid ones with their largest gap where it is, the next one heavy. */
export const WalksLayer = memo(function WalksLayer({ proposed, laid, current, started, view, units }: Props) {
  const palette = usePalette();
  const ends = (e: Pick<ProposedEdge, 'fromXMm' | 'fromYMm' | 'toXMm' | 'toYMm'>) => {
    const [x1, y1] = toPx(view, e.fromXMm, e.fromYMm);
    const [x2, y2] = toPx(view, e.toXMm, e.toYMm);
    return { x1, y1, x2, y2 };
  };
  return (
    <G>
      {proposed.map((edge) => (
        <Line key={edge.key} {...ends(edge)} stroke={palette.quiet} strokeWidth={1} strokeDasharray="3 6" />
      ))}
      {laid.map((walk) => {
        const worst = worstUnder(walk);
        const at = alongEdge(walk, worst.atMm);
        const [x, y] = toPx(view, at.xMm, at.yMm);
        return (
          <G key={walk.id}>
            <Line {...ends(walk)} stroke={palette.ink} strokeWidth={2.5} />
            {worst.gapMm > 0 ? (
              <>
                <Circle cx={x} cy={y} r={11} fill={worst.rocks ? palette.high : palette.low} />
                <SvgText
                  x={x}
                  y={y + 4.5}
                  textAnchor="middle"
                  fontFamily={FACE.figureBold}
                  fontSize={12}
                  fill={palette.onChalk}
                >
                  {formatGap(worst.gapMm, units)}
                </SvgText>
              </>
            ) : null}
          </G>
        );
      })}
      {current ? <Line {...ends(current)} stroke={palette.chalk} strokeWidth={5} /> : null}
      {current ? <Circle cx={ends(current).x1} cy={ends(current).y1} r={6} fill={palette.chalk} /> : null}
      {started ? (
        <Circle
          cx={toPx(view, started.xMm, started.yMm)[0]}
          cy={toPx(view, started.xMm, started.yMm)[1]}
          r={9}
          fill="none"
          stroke={palette.chalk}
          strokeWidth={3}
        />
      ) : null}
    </G>
  );
});
