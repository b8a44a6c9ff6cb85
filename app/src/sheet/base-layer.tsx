import { memo } from 'react';
import { G, Path } from 'react-native-svg';
import {
  boundsMm,
  isTimber,
  joistOffsetMm,
  regionAt,
  regionOf,
  type BaseDetails,
  type BaseKind,
  type Plan,
  type RoomFacts,
} from '@maquette/core/room';
import { usePalette } from '../theme/theme.tsx';
import { planTransform, ringsPath, type SheetView } from './view.ts';
import { usePlan } from './use-plan.ts';

/** Parallel lines across a box: `deg` is the way they run, from the first wall. */
function ruled(box: ReturnType<typeof boundsMm>, deg: number, spacingMm: number, offsetMm: number): string {
  const turn = (deg * Math.PI) / 180;
  const [ux, uy] = [Math.cos(turn), Math.sin(turn)];
  const reach = Math.hypot(box.maxX - box.minX, box.maxY - box.minY);
  const lines: string[] = [];
  for (let k = -Math.ceil(reach / spacingMm); k <= Math.ceil(reach / spacingMm); k++) {
    const off = offsetMm + k * spacingMm;
    const [x, y] = [box.minX - uy * off, box.minY + ux * off];
    lines.push(
      `M${Math.round(x - ux * reach)} ${Math.round(y - uy * reach)}L${Math.round(x + ux * reach)} ${Math.round(y + uy * reach)}`,
    );
  }
  return lines.join('');
}

function linesOf(kind: BaseKind, base: BaseDetails, plan: Plan): { joists: string; seams: string } {
  const box = boundsMm(plan.corners);
  const joists =
    isTimber(kind) && base.joistDeg !== null && base.joistSpacingMm !== null
      ? ruled(
          box,
          base.joistDeg,
          base.joistSpacingMm,
          joistOffsetMm(plan, { deg: base.joistDeg, spacingMm: base.joistSpacingMm, firstMm: base.joistFirstMm }),
        )
      : '';
  const { panelLongMm, panelShortMm, seamXMm, seamYMm } = base;
  // Panels lie with their long side across the joists.
  const across = (base.joistDeg ?? 90) + 90;
  const seams =
    panelLongMm !== null && panelShortMm !== null && (seamXMm !== null || seamYMm !== null)
      ? `${seamYMm === null ? '' : ruled(box, across, panelShortMm, seamYMm)}${seamXMm === null ? '' : ruled(box, across + 90, panelLongMm, -seamXMm)}`
      : '';
  return { joists, seams };
}

/** What is known beneath: joists dashed, panel seams fine, and the second base shaded on its side of the line. */
export const BaseLayer = memo(function BaseLayer({ room, view }: { room: RoomFacts; view: SheetView }) {
  const palette = usePalette();
  const plan = usePlan(room);
  const px = 1 / view.pxPerMm;
  const { joists, seams } = linesOf(room.baseKind, room.base, plan);
  const second = room.secondBase;
  const region = second ? regionAt(regionOf(plan.corners), room.lines, second.where) : [];
  return (
    <G transform={planTransform(view)}>
      {joists ? (
        <Path d={joists} stroke={palette.rule} strokeWidth={1.4 * px} strokeDasharray={`${9 * px} ${6 * px}`} />
      ) : null}
      {seams ? <Path d={seams} stroke={palette.rule} strokeWidth={1 * px} /> : null}
      {region.map((part, i) => (
        <Path key={i} d={ringsPath(part)} fillRule="evenodd" fill={palette.plank} fillOpacity={0.7} />
      ))}
    </G>
  );
});
