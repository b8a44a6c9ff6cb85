import { memo } from 'react';
import { Circle, G, Line, Path } from 'react-native-svg';
import type { Mark, WalkStep } from '@maquette/core/soundness';
import type { PointMm } from '@maquette/core/room';
import { usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

const pathOf = (points: readonly PointMm[], view: SheetView) =>
  points
    .map(
      (p, i) =>
        `${i === 0 ? 'M' : 'L'}${toPx(view, p.xMm, p.yMm)
          .map((v) => v.toFixed(1))
          .join(' ')}`,
    )
    .join('');

/** Damage as points, lines and areas; what is being drawn now is dashed. */
export const MarksLayer = memo(function MarksLayer({
  marks,
  chosen,
  drawing,
  view,
}: {
  marks: readonly Mark[];
  chosen: string | null;
  drawing: readonly PointMm[];
  view: SheetView;
}) {
  const palette = usePalette();
  return (
    <G>
      {marks.map((mark) => {
        const ink = mark.id === chosen ? palette.chalk : palette.high;
        const [x, y] = toPx(view, mark.xMm, mark.yMm);
        return (
          <G key={mark.id}>
            {mark.shape === 'area' && mark.points.length > 2 ? (
              <Path
                d={`${pathOf(mark.points, view)}Z`}
                fill={palette.highWash}
                fillOpacity={0.7}
                stroke={ink}
                strokeWidth={2}
              />
            ) : null}
            {mark.shape === 'line' && mark.points.length > 1 ? (
              <Path d={pathOf(mark.points, view)} fill="none" stroke={ink} strokeWidth={3} strokeDasharray="9 3 2 3" />
            ) : null}
            <Path
              d={`M${x - 6} ${y - 6}L${x + 6} ${y + 6}M${x + 6} ${y - 6}L${x - 6} ${y + 6}`}
              stroke={ink}
              strokeWidth={3}
            />
            {mark.id === chosen ? (
              <Circle cx={x} cy={y} r={13} fill="none" stroke={palette.chalk} strokeWidth={2} />
            ) : null}
          </G>
        );
      })}
      {drawing.length > 0 ? (
        <>
          <Path d={pathOf(drawing, view)} fill="none" stroke={palette.chalk} strokeWidth={2} strokeDasharray="5 4" />
          {drawing.map((p, i) => {
            const [x, y] = toPx(view, p.xMm, p.yMm);
            return <Circle key={i} cx={x} cy={y} r={5} fill={palette.paper} stroke={palette.chalk} strokeWidth={2} />;
          })}
        </>
      ) : null}
    </G>
  );
});

/** The lines and spots of the walk: gone over, to come, and the one to go over now. */
export const WalkLayer = memo(function WalkLayer({
  steps,
  now,
  view,
}: {
  steps: readonly WalkStep[];
  now: string | null;
  view: SheetView;
}) {
  const palette = usePalette();
  return (
    <G>
      {steps.map((step) => {
        const [ax, ay] = toPx(view, step.from.xMm, step.from.yMm);
        const [bx, by] = toPx(view, step.to.xMm, step.to.yMm);
        const on = step.key === now;
        const ink = on ? palette.chalk : step.done ? palette.verdict.lay : palette.rule;
        const width = on ? 5 : step.done ? 2.5 : 1.5;
        if (ax === bx && ay === by)
          return (
            <Circle
              key={step.key}
              cx={ax}
              cy={ay}
              r={on ? 11 : 7}
              fill={step.done && !on ? palette.verdict.lay : palette.paper}
              stroke={ink}
              strokeWidth={on ? 4 : 2}
            />
          );
        return (
          <Line
            key={step.key}
            x1={ax}
            y1={ay}
            x2={bx}
            y2={by}
            stroke={ink}
            strokeWidth={width}
            strokeDasharray={step.done || on ? undefined : '4 5'}
          />
        );
      })}
    </G>
  );
});
