import { Circle, G, Path, Text as SvgText } from 'react-native-svg';
import { leafOf, type OpeningJudged } from '@maquette/core/heights';
import type { Opening, PointMm, Polygon } from '@maquette/core/room';
import { FACE, usePalette } from '../theme/theme.tsx';
import { toPx, type SheetView } from './view.ts';

/** Places at which levels are read: a cross where one was, a ring where not, the one asked for as a full disc. */
export function HeightPlacesLayer({
  places,
  read,
  current,
  view,
}: {
  places: readonly { key: string; at: PointMm }[];
  read: ReadonlySet<string>;
  current: string | null;
  view: SheetView;
}) {
  const palette = usePalette();
  return (
    <G>
      {places.map(({ key, at }) => {
        const [x, y] = toPx(view, at.xMm, at.yMm);
        if (key === current) return null;
        return read.has(key) ? (
          <Path key={key} d={`M${x - 5} ${y}H${x + 5}M${x} ${y - 5}V${y + 5}`} stroke={palette.ink} strokeWidth={2} />
        ) : (
          <Circle key={key} cx={x} cy={y} r={5} fill={palette.paper} stroke={palette.chalk} strokeWidth={2} />
        );
      })}
      {places
        .filter(({ key }) => key === current)
        .map(({ key, at }) => {
          const [x, y] = toPx(view, at.xMm, at.yMm);
          return <Circle key={key} cx={x} cy={y} r={10} fill={palette.chalk} stroke={palette.paper} strokeWidth={2} />;
        })}
    </G>
  );
}

/** The leaf in its swing: the sector it passes over, and where it clears the floor least. */
export function LeafSwingLayer({
  corners,
  opening,
  judged,
  opensDeg,
  words,
  view,
}: {
  corners: Polygon;
  opening: Opening;
  judged: OpeningJudged;
  opensDeg: number;
  /** The least clearance, as it is lettered. */
  words: string | null;
  view: SheetView;
}) {
  const palette = usePalette();
  const leaf = leafOf(corners, opening, { hingeMm: 0, latchMm: 0, openDeg: opensDeg });
  const at = (r: number, deg: number): [number, number] => {
    const angle = ((leaf.closedDeg + Math.sign(leaf.openDeg) * deg) * Math.PI) / 180;
    return toPx(view, leaf.hinge.xMm + r * Math.cos(angle), leaf.hinge.yMm + r * Math.sin(angle));
  };
  const arc = Array.from({ length: 25 }, (_, k) =>
    at(leaf.widthMm, (opensDeg * k) / 24)
      .map((n) => n.toFixed(1))
      .join(' '),
  );
  const [hx, hy] = at(0, 0);
  const { clearance } = judged;
  const least = clearance ? at(clearance.fromHingeMm, clearance.atDeg) : null;
  return (
    <G>
      <Path
        d={`M${hx} ${hy}L${arc.join('L')}Z`}
        fill={palette.chalkWash}
        fillOpacity={0.7}
        stroke={palette.chalk}
        strokeWidth={1.5}
      />
      {least ? (
        <G>
          <Circle cx={least[0]} cy={least[1]} r={6} fill={palette.high} />
          {words ? (
            <SvgText x={least[0] + 10} y={least[1] - 8} fontFamily={FACE.figureBold} fontSize={18} fill={palette.high}>
              {words}
            </SvgText>
          ) : null}
        </G>
      ) : null}
    </G>
  );
}

/** The way a machine takes out of the room. */
export function WayOutLayer({ path, view }: { path: readonly PointMm[]; view: SheetView }) {
  const palette = usePalette();
  if (path.length < 2) return null;
  const line = path
    .map(({ xMm, yMm }) =>
      toPx(view, xMm, yMm)
        .map((n) => n.toFixed(1))
        .join(' '),
    )
    .join('L');
  return <Path d={`M${line}`} fill="none" stroke={palette.chalk} strokeWidth={3} strokeDasharray="8 6" />;
}
