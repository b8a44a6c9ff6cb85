import { memo } from 'react';
import { Circle, Defs, G, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import { LAYERS, type AreaStack, type LayerSpec, type Tap } from '@maquette/core/layers';
import { centreOf } from '@maquette/core/room';
import type { TapResult } from '@maquette/core/stripout';
import { FACE, usePalette } from '../theme/theme.tsx';
import { planTransform, ringsPath, toPx, type SheetView } from './view.ts';

/** How a family of coverings is drawn, so that it is told without colour: lines as they lie, in the plan's scale. */
const TEXTURE: Record<LayerSpec['family'], { width: number; height: number; d: string } | null> = {
  soft: { width: 120, height: 120, d: 'M20 30h20M80 90h20M60 20v20M20 80v20' },
  floating: { width: 800, height: 200, d: 'M0 0H800M200 0V200M600 200' },
  resilient: { width: 160, height: 160, d: 'M0 160L160 0' },
  tile: { width: 200, height: 200, d: 'M0 0H200M0 0V200' },
  wood: { width: 900, height: 140, d: 'M0 0H900M300 0V140' },
  panel: { width: 600, height: 600, d: 'M0 0H600M0 0V600' },
  mineral: { width: 120, height: 120, d: 'M20 20h6M80 60h6M40 100h6' },
  fill: { width: 90, height: 90, d: 'M20 20l12 12M60 50l12 -12' },
};

/** The areas the dividing lines make, each drawn as the layer on top of it lies, with its letter. */
export const AreasLayer = memo(function AreasLayer({
  stacks,
  view,
  chosen,
}: {
  stacks: readonly AreaStack[];
  view: SheetView;
  chosen: string | null;
}) {
  const palette = usePalette();
  const px = 1 / view.pxPerMm;
  return (
    <G>
      <G transform={planTransform(view)}>
        {stacks.map((stack) => {
          const top = stack.layers[0];
          const texture = top ? TEXTURE[LAYERS[top.kind].family] : null;
          const id = `lies-${stack.label}`;
          return (
            <G key={stack.label}>
              {texture ? (
                <Defs>
                  <Pattern id={id} patternUnits="userSpaceOnUse" width={texture.width} height={texture.height}>
                    <Path d={texture.d} stroke={palette.rule} strokeWidth={1.2 * px} fill="none" />
                  </Pattern>
                </Defs>
              ) : null}
              {stack.region.map((part, i) => (
                <G key={i}>
                  {stack.label === chosen ? (
                    <Path d={ringsPath(part)} fillRule="evenodd" fill={palette.chalkWash} />
                  ) : null}
                  {texture ? <Path d={ringsPath(part)} fillRule="evenodd" fill={`url(#${id})`} /> : null}
                </G>
              ))}
            </G>
          );
        })}
      </G>
      {stacks.length > 1
        ? stacks.map((stack) => {
            const [x, y] = toPx(view, ...centreOf(stack.region[0]!));
            return (
              <G key={stack.label}>
                <Rect x={x - 13} y={y - 13} width={26} height={26} fill={palette.chalk} />
                <SvgText
                  x={x}
                  y={y + 6}
                  textAnchor="middle"
                  fontFamily={FACE.figureBold}
                  fontSize={17}
                  fill={palette.onChalk}
                >
                  {stack.label}
                </SvgText>
              </G>
            );
          })
        : null}
    </G>
  );
});

/** The tapping grid: a ring where nothing was tapped, a cross where it sounded full, a filled disc where hollow. */
export const TapsLayer = memo(function TapsLayer({
  result,
  taps,
  view,
}: {
  result: TapResult;
  taps: readonly Tap[];
  view: SheetView;
}) {
  const palette = usePalette();
  const by = new Map(taps.map((tap) => [`${Math.round(tap.xMm)}:${Math.round(tap.yMm)}`, tap.sound]));
  return (
    <G>
      {result.grid.map((point) => {
        const [x, y] = toPx(view, point.xMm, point.yMm);
        const sound = by.get(point.key);
        if (sound === 'hollow') return <Circle key={point.key} cx={x} cy={y} r={9} fill={palette.high} />;
        if (sound === 'sound')
          return (
            <G key={point.key}>
              <Line x1={x - 5} y1={y} x2={x + 5} y2={y} stroke={palette.ink} strokeWidth={2} />
              <Line x1={x} y1={y - 5} x2={x} y2={y + 5} stroke={palette.ink} strokeWidth={2} />
            </G>
          );
        return (
          <Circle key={point.key} cx={x} cy={y} r={6} fill={palette.paper} stroke={palette.quiet} strokeWidth={1.5} />
        );
      })}
    </G>
  );
});

/** Where photographs were taken and damage was found. */
export const PinsLayer = memo(function PinsLayer({
  photos,
  marks,
  view,
}: {
  photos: readonly { id: string; xMm: number | null; yMm: number | null }[];
  marks: readonly { id: string; xMm: number; yMm: number }[];
  view: SheetView;
}) {
  const palette = usePalette();
  return (
    <G>
      {photos
        .filter((p) => p.xMm !== null && p.yMm !== null)
        .map((photo) => {
          const [x, y] = toPx(view, photo.xMm!, photo.yMm!);
          return (
            <G key={photo.id}>
              <Rect
                x={x - 10}
                y={y - 7}
                width={20}
                height={14}
                fill={palette.bench}
                stroke={palette.chalk}
                strokeWidth={2}
              />
              <Circle cx={x} cy={y} r={4} fill="none" stroke={palette.chalk} strokeWidth={2} />
            </G>
          );
        })}
      {marks.map((mark) => {
        const [x, y] = toPx(view, mark.xMm, mark.yMm);
        return (
          <Path
            key={mark.id}
            d={`M${x} ${y - 9}L${x + 9} ${y + 7}H${x - 9}Z`}
            fill={palette.highWash}
            stroke={palette.high}
            strokeWidth={2}
          />
        );
      })}
    </G>
  );
});
