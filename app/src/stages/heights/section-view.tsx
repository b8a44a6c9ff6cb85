import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Defs, G, Line, Path, Pattern, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { formatGap, gapWords, unitLabel, type UnitSystem } from '@maquette/core/units';
import type { BarKind } from '@maquette/core/heights';
import { FACE, usePalette } from '../../theme/theme.tsx';

/** What a section shows, mm over the room's datum. */
export interface SectionOf {
  /** Surface that stays and is levelled, and what is laid on it from below. */
  baseMm: number;
  laid: { words: string; mm: number }[];
  hereMm: number;
  /** Null while the level beyond is not read. */
  beyondMm: number | null;
  beyondWords: string;
  bar: BarKind;
  barWords: string;
  /** Packing under the bar at this place: its thin and thick edge. */
  packing: { lowEdgeMm: number; highEdgeMm: number; thickUnder: 'here' | 'beyond' } | null;
}

const EXAGGERATIONS = [1, 2, 3, 4, 5, 6, 8, 10, 12, 15];
/** So much of the floor is drawn across, mm. */
const ACROSS_MM = 150;
const FOOT_PX = 34;
const HEAD_PX = 74;

/** An opening in section: what lies here and beyond with both levels, and the bar between. Heights are drawn larger by a stated factor. */
export function SectionView({ of, units }: { of: SectionOf; units: UnitSystem }) {
  const palette = usePalette();
  const [{ width, height }, setSize] = useState({ width: 360, height: 262 });
  const top = Math.max(of.hereMm, of.beyondMm ?? of.hereMm);
  const low = Math.min(of.baseMm, (of.beyondMm ?? of.baseMm) - 2);
  const perMm = width / ACROSS_MM;
  const room = height - HEAD_PX - FOOT_PX;
  const factor = [...EXAGGERATIONS].reverse().find((f) => f * perMm * Math.max(1, top - low) <= room) ?? 1;
  // Where even true heights would not fit they are drawn as large as they can be.
  const scale = Math.min(factor * perMm, room / Math.max(1, top - low));
  const y = (mm: number) => HEAD_PX + (top - mm) * scale;
  const [left, right] = [width * 0.43, width * 0.64];
  const baseY = y(of.baseMm);
  const laid = of.laid.filter(({ mm }) => mm > 0.05);
  const layers = laid.map(({ words, mm }, k) => ({
    words,
    mm,
    top: y(laid.slice(0, k + 1).reduce((level, one) => level + one.mm, of.baseMm)),
    tall: mm * scale,
  }));
  const figure = (mm: number) => `${mm > 0 ? '+' : ''}${formatGap(mm, units)}`;
  const flag = (x: number, mm: number) => (
    <G>
      <Path d={`M${x - 8} ${y(mm) - 13}H${x + 8}L${x} ${y(mm) - 2}Z`} fill={palette.chalk} />
      <SvgText x={x} y={y(mm) - 19} textAnchor="middle" fontFamily={FACE.figureBold} fontSize={22} fill={palette.chalk}>
        {figure(mm)}
      </SvgText>
    </G>
  );
  const said =
    of.beyondMm === null
      ? `The new floor here at ${figure(of.hereMm)} ${unitLabel(units)}; the level beyond is not read.`
      : `The new floor here at ${figure(of.hereMm)} ${unitLabel(units)}, beyond at ${figure(of.beyondMm)}: ${of.barWords.toLowerCase()}. Heights are drawn ${factor} times as large.`;
  return (
    <View
      onLayout={(event) => setSize({ width: event.nativeEvent.layout.width, height: event.nativeEvent.layout.height })}
      style={{ flex: 1, overflow: 'hidden', backgroundColor: palette.sheet }}
      testID="section"
    >
      <Svg width={width} height={height} role="img" aria-label={said}>
        <Defs>
          <Pattern id="earth" patternUnits="userSpaceOnUse" width={12} height={12}>
            <Path d="M0 12L12 0M-3 3L3 -3M9 15L15 9" stroke={palette.quiet} strokeWidth={1} />
          </Pattern>
        </Defs>
        <Rect x={0} y={baseY} width={right} height={Math.max(0, height - baseY)} fill="url(#earth)" />
        <Line x1={0} y1={baseY} x2={right} y2={baseY} stroke={palette.ink} strokeWidth={2} />
        {layers.map(({ words, mm, top: layerTop, tall }, k) => (
          <G key={words}>
            <Rect
              x={0}
              y={layerTop}
              width={left + (layers.length - 1 - k) * 6}
              height={Math.max(1.5, tall)}
              fill={k === layers.length - 1 ? palette.plank : palette.bench}
              stroke={palette.ink}
              strokeWidth={1.5}
            />
            {tall >= 18 ? (
              <SvgText x={14} y={layerTop + tall / 2 + 5} fontFamily={FACE.text} fontSize={15} fill={palette.ink}>
                {`${words} ${gapWords(mm, units)}`}
              </SvgText>
            ) : null}
          </G>
        ))}
        {of.beyondMm === null ? (
          <SvgText
            x={(right + width) / 2}
            y={height / 2}
            textAnchor="middle"
            fontFamily={FACE.text}
            fontSize={15}
            fill={palette.quiet}
          >
            not read yet
          </SvgText>
        ) : (
          <G>
            <Rect
              x={right}
              y={y(of.beyondMm)}
              width={width - right + 2}
              height={Math.max(0, height - y(of.beyondMm))}
              fill={palette.bench}
              stroke={palette.ink}
              strokeWidth={1.5}
            />
            <SvgText
              x={right + 12}
              y={Math.min(height - 14, y(of.beyondMm) + 24)}
              fontFamily={FACE.text}
              fontSize={15}
              fill={palette.ink}
            >
              {of.beyondWords}
            </SvgText>
            <BarDrawn of={of} left={left} right={right} y={y} scale={scale} />
          </G>
        )}
        {flag(left * 0.4, of.hereMm)}
        {of.beyondMm === null ? null : flag((right + width) / 2, of.beyondMm)}
        <SvgText x={12} y={height - 10} fontFamily={FACE.figure} fontSize={14} fill={palette.ink}>
          {`heights ×${factor}`}
        </SvgText>
      </Svg>
    </View>
  );
}

interface Drawn {
  of: SectionOf;
  left: number;
  right: number;
  y: (mm: number) => number;
  scale: number;
}

/** The bar as its kind sits: a cap over both, a slope, or nothing where the floor runs through. */
function BarDrawn({ of, left, right, y, scale }: Drawn) {
  const palette = usePalette();
  const [here, beyond] = [y(of.hereMm), y(of.beyondMm!)];
  const [a, b] = [left - 10, right + 10];
  const middle = (left + right) / 2;
  const stroke = { stroke: palette.ink, strokeWidth: 5, fill: 'none', strokeLinecap: 'round' } as const;
  if (of.bar === 'run-through')
    return (
      <Rect
        x={left - 2}
        y={here}
        width={right - left + 4}
        height={Math.max(4, 8 * scale)}
        fill={palette.plank}
        stroke={palette.ink}
        strokeWidth={1.5}
      />
    );
  if (of.bar === 'measure' || of.bar === 'make-good') return null;
  if (of.bar === 'made-ramp')
    return (
      <Polygon
        points={`${a},${here} ${b},${beyond} ${b},${beyond + 6} ${a},${here + 6}`}
        fill={palette.lowWash}
        stroke={palette.low}
        strokeWidth={2}
      />
    );
  if (of.bar === 'nosing') return <Path d={`M${a} ${here - 3}H${left + 12}V${here + 26}`} {...stroke} />;
  const top = Math.min(here, beyond) - 5;
  const cap = `M${a} ${here - 2}Q${middle} ${top - 8} ${b} ${beyond - 2}`;
  const foot = y(of.baseMm);
  return (
    <G>
      <Path d={cap} {...stroke} />
      {of.bar === 'tilted' || of.bar === 'flat' ? (
        <Line
          x1={middle}
          y1={(here + beyond) / 4 + (top - 8) / 2 - 1}
          x2={middle}
          y2={Math.max((here + beyond) / 2 + 10, foot - 8)}
          stroke={palette.ink}
          strokeWidth={4}
        />
      ) : null}
      {of.packing ? <PackingDrawn of={of} middle={middle} foot={foot} scale={scale} /> : null}
    </G>
  );
}

/** The packing under a track, its thick edge under the higher floor. */
function PackingDrawn({
  of: { packing },
  middle,
  foot,
  scale,
}: {
  of: SectionOf;
  middle: number;
  foot: number;
  scale: number;
}) {
  const palette = usePalette();
  const { lowEdgeMm, highEdgeMm, thickUnder } = packing!;
  const [thin, thick] = [Math.max(2, lowEdgeMm * scale), Math.max(3, highEdgeMm * scale)];
  const [l, r] = thickUnder === 'here' ? [thick, thin] : [thin, thick];
  return (
    <Polygon
      points={`${middle - 18},${foot} ${middle + 18},${foot} ${middle + 18},${foot - r} ${middle - 18},${foot - l}`}
      fill={palette.lowWash}
      stroke={palette.chalk}
      strokeWidth={2}
    />
  );
}
