import { useCallback, useMemo, useRef, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { ClipPath, Defs, G, Path } from 'react-native-svg';
import { type PointMm, type RoomFacts } from '@maquette/core/room';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { fetched } from '../ui/fetched.tsx';
import { leafTips } from './openings-drawing.tsx';
import { FixturesLayer } from './fixtures-layer.tsx';
import { HandlesLayer, LinesLayer } from './handles-layer.tsx';
import { ServicesLayer } from './services-layer.tsx';
import { ScaleBar } from './scale-bar.tsx';
import { TrailLayer } from './trail-layer.tsx';
import { useShapeDrag, type ShapeEdits } from './use-shape-drag.ts';
import { outlinePath, Walls } from './walls.tsx';
import type { SheetView } from './view.ts';
import { useSheetView, type Grip } from './use-sheet-view.ts';
import { usePlan } from './use-plan.ts';

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
  /** Set where the room may be pulled into shape. */
  edits?: ShapeEdits | null;
  /** Takes hold of something laid over the room, before the room itself. */
  grip?: ((view: SheetView, xPx: number, yPx: number) => Grip | null) | null;
  /** Walls taped so far, drawn in the room's place while they are being walked. */
  trail?: readonly PointMm[] | null;
  /** What else has to be in view: floor of the next room that is laid in one with this. */
  beyond?: readonly PointMm[];
  chosenOpening?: string | null;
  chosenFixture?: string | null;
  /** Names of what only stands over the floor give way to what is drawn on the floor. */
  fixtureNames?: boolean;
}

/** What is drawn stands before it can be moved: what hears the fingers comes in a file of its own, and handles with it. */
const SheetGestures = fetched(() => import('./sheet-gestures.tsx').then((part) => part.SheetGestures));

/** The browser neither scrolls nor zooms the page where the sheet is moved. */
const FINGERS_ARE_OURS = { touchAction: 'none' } as object;
const NOTHING_BEYOND: readonly PointMm[] = [];
const NO_FIXTURES: RoomFacts['fixtures'] = [];

/** The room to scale: the same drawing in the same place on every stage. Pan, pinch, double tap to fit. */
export function Sheet({
  room: onRecord,
  under,
  over,
  onTap,
  description,
  wallNames = false,
  edits = null,
  grip: ownGrip = null,
  trail = null,
  beyond = NOTHING_BEYOND,
  chosenOpening = null,
  chosenFixture = null,
  fixtureNames = true,
}: Props) {
  const palette = usePalette();
  const ref = useRef<HTMLElement & View>(null);
  const [size, setSize] = useState({ width: 390, height: 320 });
  const [ready, setReady] = useState(false);
  const onReady = useCallback(() => setReady(true), []);
  const { shown: room, dragging, grip } = useShapeDrag(onRecord, edits);
  // Islands are worked out again once the finger lets go: nothing drawn while pulling needs them.
  const outlined = useMemo(() => (dragging ? { ...room, fixtures: NO_FIXTURES } : room), [dragging, room]);
  // While something is pulled the view stays as it was: the room moves, not the paper.
  const still = usePlan(onRecord).corners;
  const fitted = useMemo(
    () => (trail ? [...trail] : [...still, ...beyond, ...leafTips(still, onRecord.openings)]),
    [trail, still, beyond, onRecord.openings],
  );
  const corners = usePlan(outlined).corners;
  const { view, moved, hands } = useSheetView(
    fitted,
    size,
    (seen, x, y) => onTap?.(seen, x, y),
    (seen, x, y) => ownGrip?.(seen, x, y) ?? grip(seen, x, y),
    trail ? 'trail' : onRecord.id,
  );
  const outline = outlinePath(corners, view);
  return (
    <View
      style={[styles.box, { backgroundColor: palette.sheet }]}
      onLayout={({ nativeEvent: { layout } }) => setSize({ width: layout.width, height: layout.height })}
    >
      <View ref={ref} style={[StyleSheet.absoluteFill, FINGERS_ARE_OURS]} testID="sheet" aria-busy={!ready}>
        {/* Fingers touch the paper, never what is drawn on it: that comes and goes while they move. */}
        <Svg width={size.width} height={size.height} pointerEvents="none" role="img" aria-label={description}>
          {trail ? (
            <TrailLayer trail={trail} view={view} units={room.units} />
          ) : (
            <>
              <Path d={outline} fill={palette.paper} />
              {/* What lies on the floor waits while a wall is pulled: it would be drawn for a room that is not there yet. */}
              {dragging ? null : (
                <>
                  <Defs>
                    <ClipPath id="room">
                      <Path d={outline} />
                    </ClipPath>
                  </Defs>
                  <G clipPath="url(#room)">
                    {under?.(view)}
                    <LinesLayer lines={room.lines} view={view} />
                    {room.services?.length ? <ServicesLayer services={room.services} view={view} /> : null}
                  </G>
                </>
              )}
              <FixturesLayer fixtures={room.fixtures} view={view} chosenId={chosenFixture} names={fixtureNames} />
              <Walls room={outlined} view={view} names={wallNames} chosenOpening={chosenOpening} />
              {over?.(view)}
              {edits && ready && !dragging ? <HandlesLayer corners={corners} view={view} /> : null}
            </>
          )}
          <ScaleBar view={view} units={room.units} />
        </Svg>
      </View>
      <SheetGestures sheet={ref} hands={hands} onReady={onReady} />
      <View style={styles.tools}>
        {moved ? (
          <Button
            label="Fit"
            hint="Show the whole room"
            onPress={hands.fit}
            style={[styles.tool, { backgroundColor: palette.bench }]}
          />
        ) : null}
        {moved ? (
          <Button
            label="+"
            hint="Closer"
            onPress={() => hands.zoom(1.5, size.width / 2, size.height / 2)}
            style={[styles.tool, { backgroundColor: palette.bench }]}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { flex: 1, minHeight: 160, overflow: 'hidden' },
  tools: { position: 'absolute', left: 8, bottom: 8, flexDirection: 'row', gap: SPACE.gap },
  tool: { minWidth: 48, flexGrow: 0 },
});
