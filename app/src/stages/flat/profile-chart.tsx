import { useId, useState } from 'react';
import { View } from 'react-native';
import Svg, { ClipPath, Defs, G, Line, Path, Pattern, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import type { Profile } from '@maquette/core/flat';
import { formatGap, formatReach, unitLabel, type UnitSystem } from '@maquette/core/units';
import { FACE, usePalette, SPACE } from '../../theme/theme.tsx';
import { Words } from '../../ui/text.tsx';

const HEIGHT = 150;
const TOP = 34;
const EXAGGERATIONS = [10, 20, 30, 40, 60, 80, 100, 150, 200];

/** The cut that convinces: the floor in section, the edge resting on it, the gap in figures. Heights are drawn larger by a stated factor. */
export function ProfileChart({
  profile,
  edgeMm,
  units,
  over,
}: {
  profile: Profile;
  edgeMm: number;
  units: UnitSystem;
  over: boolean;
}) {
  const palette = usePalette();
  const id = useId().replace(/:/g, '');
  const [width, setWidth] = useState(340);
  const from = profile.points[0]!.alongMm;
  const to = profile.points[profile.points.length - 1]!.alongMm;
  const k = (width - 24) / Math.max(1, to - from);
  const heights = profile.points.map((p) => p.heightMm);
  const top = Math.max(profile.edge.fromHeightMm, profile.edge.toHeightMm, ...heights);
  const low = Math.min(...heights);
  const room = (HEIGHT - TOP - 30) / Math.max(0.5, top - low);
  const factor = [...EXAGGERATIONS].reverse().find((f) => f * k <= room) ?? EXAGGERATIONS[0]!;
  const x = (mm: number) => 12 + (mm - from) * k;
  const y = (mm: number) => TOP + (top - mm) * k * factor;
  const line = profile.points.map((p) => `${x(p.alongMm).toFixed(1)} ${y(p.heightMm).toFixed(1)}`).join('L');
  const { edge } = profile;
  const [ax, ay, bx, by] = [x(edge.fromMm), y(edge.fromHeightMm), x(edge.toMm), y(edge.toHeightMm)];
  const ink = over ? palette.verdict.work : palette.verdict.lay;
  const drawn = formatReach(edge.toMm - edge.fromMm >= edgeMm - 15 ? edgeMm : edge.toMm - edge.fromMm, units);
  const title = `${drawn} edge, ${profile.rocks ? 'rocking on the high place' : 'resting across the low place'} · heights ×${factor}`;
  const words = profile.gaps.map((g) => `${formatGap(g.gapMm, units)} ${unitLabel(units)}`).join(' and ');
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ gap: SPACE.near }}>
      <Words size="small" quiet figure style={{ textAlign: 'center' }}>
        {title}
      </Words>
      <Svg width={width} height={HEIGHT} role="img" aria-label={`Section through the floor: ${title}. Gap ${words}.`}>
        <Defs>
          <ClipPath id={`${id}ground`}>
            <Path d={`M${line}L${x(to)} ${HEIGHT}L${x(from)} ${HEIGHT}Z`} />
          </ClipPath>
          <Pattern id={`${id}earth`} patternUnits="userSpaceOnUse" width={12} height={12}>
            <Path d="M0 12L12 0M-3 3L3 -3M9 15L15 9" stroke={palette.quiet} strokeWidth={1} />
          </Pattern>
        </Defs>
        <Rect x={0} y={0} width={width} height={HEIGHT} fill={`url(#${id}earth)`} clipPath={`url(#${id}ground)`} />
        <Path d={`M${line}`} fill="none" stroke={palette.ink} strokeWidth={2.5} strokeLinejoin="round" />
        <Polygon
          points={`${ax},${ay} ${bx},${by} ${bx},${by - 18} ${ax},${ay - 18}`}
          fill={palette.bench}
          stroke={palette.ink}
          strokeWidth={2}
        />
        {Array.from({ length: 9 }, (_, i) => (i + 1) / 10).map((t) => (
          <Line
            key={t}
            x1={ax + (bx - ax) * t}
            y1={ay + (by - ay) * t - 18}
            x2={ax + (bx - ax) * t}
            y2={ay + (by - ay) * t - (t === 0.5 ? 7 : 12)}
            stroke={palette.ink}
            strokeWidth={1}
          />
        ))}
        {profile.gaps.map((gap, index) => {
          const gx = x(gap.alongMm);
          const t = (gap.alongMm - edge.fromMm) / Math.max(1, edge.toMm - edge.fromMm);
          const gy = ay + (by - ay) * t;
          const right = profile.rocks && index === 1;
          return (
            <G key={index}>
              <Line x1={gx} y1={gy} x2={gx} y2={y(gap.floorMm)} stroke={ink} strokeWidth={3} />
              <SvgText
                x={right ? gx - 8 : gx + 8}
                y={Math.max(gy + 18, (gy + y(gap.floorMm)) / 2 + 7)}
                textAnchor={right ? 'end' : 'start'}
                fontFamily={FACE.figureBold}
                fontSize={20}
                fill={ink}
              >
                {formatGap(gap.gapMm, units)}
              </SvgText>
            </G>
          );
        })}
      </Svg>
    </View>
  );
}
