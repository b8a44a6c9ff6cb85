import { useMemo, useRef, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { ClipPath, Defs, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { outlineOf, type RoomFacts } from '@maquette/core/room';
import { FACE, usePalette } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { outlinePath, Walls } from './walls.tsx';
import { scaleBar, type SheetView } from './view.ts';
import { useSheetView } from './use-gestures.ts';

interface Props {
  room: RoomFacts;
  /** Drawn under the walls and cut off at them. */
  under?: (view: SheetView) => ReactNode;
  /** Drawn over everything. */
  over?: (view: SheetView) => ReactNode;
  onTap?: (view: SheetView, xPx: number, yPx: number) => void;
  /** What the sheet shows, for those who do not see it. */
  description: string;
  wallNames?: boolean;
}

/** The room to scale: the same drawing in the same place on every stage. Pan, pinch, double tap to fit. */
export function Sheet({ room, under, over, onTap, description, wallNames = false }: Props) {
  const palette = usePalette();
  const ref = useRef<View>(null);
  const [size, setSize] = useState({ width: 390, height: 320 });
  const corners = useMemo(() => outlineOf(room.walls).corners, [room.walls]);
  const { view, moved, refit, zoomBy } = useSheetView(ref, corners, size, (seen, x, y) => onTap?.(seen, x, y));
  const bar = scaleBar(view, room.units);
  const outline = outlinePath(corners, view);
  return (
    <View
      style={[styles.box, { backgroundColor: palette.sheet }]}
      onLayout={({ nativeEvent: { layout } }) => setSize({ width: layout.width, height: layout.height })}
    >
      <View ref={ref} style={StyleSheet.absoluteFill} testID="sheet">
        <Svg width={size.width} height={size.height} role="img" aria-label={description}>
          <Defs>
            <ClipPath id="room">
              <Path d={outline} />
            </ClipPath>
          </Defs>
          <Path d={outline} fill={palette.paper} />
          <G clipPath="url(#room)">{under?.(view)}</G>
          <Walls room={room} view={view} names={wallNames} />
          {over?.(view)}
          <G>
            <Line
              x1={size.width - 16 - bar.px}
              y1={size.height - 10}
              x2={size.width - 16}
              y2={size.height - 10}
              stroke={palette.ink}
              strokeWidth={1.5}
            />
            <Line
              x1={size.width - 16 - bar.px}
              y1={size.height - 14}
              x2={size.width - 16 - bar.px}
              y2={size.height - 6}
              stroke={palette.ink}
              strokeWidth={1.5}
            />
            <Line
              x1={size.width - 16}
              y1={size.height - 14}
              x2={size.width - 16}
              y2={size.height - 6}
              stroke={palette.ink}
              strokeWidth={1.5}
            />
            <SvgText
              x={size.width - 16 - bar.px / 2}
              y={size.height - 15}
              textAnchor="middle"
              fontFamily={FACE.figure}
              fontSize={14}
              fill={palette.ink}
            >
              {bar.words}
            </SvgText>
          </G>
        </Svg>
      </View>
      <View style={styles.tools}>
        {moved ? (
          <Button
            label="Fit"
            hint="Show the whole room"
            onPress={refit}
            style={[styles.tool, { backgroundColor: palette.bench }]}
          />
        ) : null}
        {moved ? (
          <Button
            label="+"
            hint="Closer"
            onPress={() => zoomBy(1.5)}
            style={[styles.tool, { backgroundColor: palette.bench }]}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { flex: 1, minHeight: 160, overflow: 'hidden' },
  tools: { position: 'absolute', left: 8, bottom: 8, flexDirection: 'row', gap: 8 },
  tool: { minWidth: 48, flexGrow: 0 },
});
