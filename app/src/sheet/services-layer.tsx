import { memo } from 'react';
import { Circle, G, Path, Text as SvgText } from 'react-native-svg';
import { serviceSideMm, type Service, type ServiceKind } from '@maquette/core/room';
import { FACE, usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

const LETTER: Record<ServiceKind, string> = {
  drain: 'D',
  water: 'W',
  gas: 'G',
  cable: 'C',
  heating: 'H',
  tendon: 'T',
  other: '?',
};

/** Pipes, drains and cables with the strip that work keeps clear of; what is only supposed is broken more widely. */
export const ServicesLayer = memo(function ServicesLayer({
  services,
  view,
}: {
  services: readonly Service[];
  view: SheetView;
}) {
  const palette = usePalette();
  return (
    <G>
      {services.map((service) => {
        const points = service.points.map((p) => toPx(view, p.xMm, p.yMm));
        const d = `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`;
        const [a, b] = [points[0]!, points[1]!];
        const [x, y] = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
        return (
          <G key={service.id}>
            <Path
              d={d}
              fill="none"
              stroke={palette.highWash}
              strokeWidth={2 * serviceSideMm(service) * view.pxPerMm}
              strokeOpacity={0.55}
              strokeLinecap="round"
              strokeLinejoin="round"
            />
            <Path
              d={d}
              fill="none"
              stroke={palette.verdict.stop}
              strokeWidth={2}
              strokeDasharray={service.found === 'supposed' ? '3 7' : '12 4'}
            />
            <Circle cx={x} cy={y} r={9} fill={palette.paper} stroke={palette.verdict.stop} strokeWidth={1.5} />
            <SvgText
              x={x}
              y={y + 4.5}
              textAnchor="middle"
              fontFamily={FACE.figureBold}
              fontSize={12}
              fill={palette.verdict.stop}
            >
              {LETTER[service.kind]}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
});
