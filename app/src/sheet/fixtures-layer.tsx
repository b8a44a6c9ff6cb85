import { memo } from 'react';
import { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { fixtureOutline, fixtureName, fixtureRect, type Fixture, type Polygon } from '@maquette/core/room';
import { FACE, usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';
import { useSay } from '../ui/shown-in.tsx';

/** A name is written where the fixture is at least this wide, px. */
const NAME_FROM_PX = 46;

function path(polygon: Polygon, view: SheetView): string {
  return `M${polygon
    .map((p) =>
      toPx(view, p.xMm, p.yMm)
        .map((v) => v.toFixed(1))
        .join(' '),
    )
    .join('L')}Z`;
}

/** Slats of a register, or the panel lines of a radiator, across the short way. */
function Slats({ fixture, view, ink }: { fixture: Fixture; view: SheetView; ink: string }) {
  const [w, d] = [fixture.widthMm / 2, fixture.depthMm / 2];
  return (
    <G>
      {[-0.6, -0.2, 0.2, 0.6].map((f) => {
        const [a, b] = fixtureRect(fixture, f * w, -d, f * w, d).filter((_, i) => i === 0 || i === 2);
        const [p, q] = [toPx(view, a!.xMm, a!.yMm), toPx(view, b!.xMm, b!.yMm)];
        return <Line key={f} x1={p[0]} y1={p[1]} x2={q[0]} y2={q[1]} stroke={ink} strokeWidth={1} />;
      })}
    </G>
  );
}

/** What stands on the floor or comes through it: filled where no floor is laid, open where it is cut round. */
export const FixturesLayer = memo(function FixturesLayer({
  fixtures,
  view,
  chosenId = null,
  names = true,
}: {
  fixtures: readonly Fixture[];
  view: SheetView;
  chosenId?: string | null;
  names?: boolean;
}) {
  const say = useSay();
  const palette = usePalette();
  return (
    <G>
      {fixtures.map((fixture) => {
        const chosen = fixture.id === chosenId;
        const ink = chosen ? palette.chalk : palette.ink;
        const [x, y] = toPx(view, fixture.xMm, fixture.yMm);
        const solid = ['column', 'hearth'].includes(fixture.kind);
        const stands = ['cabinet', 'bath'].includes(fixture.kind);
        const across = fixture.widthMm * view.pxPerMm;
        const [w, d] = [fixture.widthMm / 2, fixture.depthMm / 2];
        return (
          <G key={fixture.id}>
            {fixture.round ? (
              <Circle
                cx={x}
                cy={y}
                r={Math.max(4, across / 2)}
                fill={solid ? palette.quiet : palette.paper}
                stroke={ink}
                strokeWidth={chosen ? 3 : 1.6}
              />
            ) : (
              <Path
                d={path(fixtureOutline(fixture), view)}
                fill={solid ? palette.rule : stands ? palette.plank : 'none'}
                stroke={ink}
                strokeWidth={chosen ? 3 : 1.4}
                {...(fixture.kind === 'appliance' ? { strokeDasharray: '6 4' } : {})}
              />
            )}
            {fixture.kind === 'cabinet' && (fixture.toeKickMm ?? 0) > 0 ? (
              <Path
                d={path(fixtureRect(fixture, -w, d - fixture.toeKickMm!, w, d), view)}
                fill="none"
                stroke={palette.quiet}
                strokeWidth={1}
                strokeDasharray="3 3"
              />
            ) : null}
            {fixture.kind === 'bath' ? (
              <Path
                d={path(fixtureRect(fixture, -w * 0.88, -d * 0.8, w * 0.88, d * 0.8), view)}
                fill="none"
                stroke={palette.quiet}
                strokeWidth={1}
              />
            ) : null}
            {fixture.kind === 'register' || fixture.kind === 'radiator' ? (
              <Slats fixture={fixture} view={view} ink={ink} />
            ) : null}
            {fixture.kind === 'toilet' ? (
              <Path d={`M${x - 6} ${y}H${x + 6}M${x} ${y - 6}V${y + 6}`} stroke={ink} strokeWidth={1.4} />
            ) : null}
            {(names || stands || solid) &&
            across >= NAME_FROM_PX &&
            !fixture.round &&
            fixture.depthMm * view.pxPerMm >= 22 ? (
              <SvgText x={x} y={y + 4} textAnchor="middle" fontFamily={FACE.figure} fontSize={13} fill={ink}>
                {say(fixtureName(fixture))}
              </SvgText>
            ) : null}
          </G>
        );
      })}
    </G>
  );
});
