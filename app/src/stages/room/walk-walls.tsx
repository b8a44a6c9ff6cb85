import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { only } from '@maquette/core/fields';
import { outlineOf, turnWords, walkOf, WALL, WALL_COUNT, WALL_LENGTH_MM, type Wall } from '@maquette/core/room';
import { formatRod, formatSpan, unitLabel, type UnitSystem } from '@maquette/core/units';
import { Keypad } from '../../bench/keypad.tsx';
import { useMeter } from '../../bench/use-meter.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';

interface Props {
  units: UnitSystem;
  walls: Wall[];
  onWalls: (walls: Wall[]) => void;
  onLeave: () => void;
}

const TURNS = [
  { turnDeg: 90, label: 'Left' },
  { turnDeg: -90, label: 'Right' },
  { turnDeg: 0, label: 'Straight on' },
] as const;

/** Walls one after another, the room on the left hand: key a length, say the turn, go on until it closes. */
export function WalkWalls({ units, walls, onWalls, onLeave }: Props) {
  const say = useSay();
  const [length, setLength] = useState<number | null>(null);
  const [other, setOther] = useState(false);
  const [metering, setMetering] = useState(false);
  const meter = useMeter(metering && length === null, walls.length);
  const turn = (turnDeg: number) => {
    onWalls([...walls, { lengthMm: length!, turnDeg }]);
    setLength(null);
    setOther(false);
  };
  const back = () => {
    if (length !== null) return setLength(null);
    return onWalls(walls.slice(0, -1));
  };
  if (length !== null) {
    return (
      <View style={styles.box}>
        <Words bold size="large">{`At the end of W${walls.length + 1} turn`}</Words>
        <Words
          quiet
          figure
        >{`W${walls.length + 1} ${formatSpan(length, units)}. Left is a square inside corner.`}</Words>
        <View style={styles.turns}>
          {TURNS.map(({ turnDeg, label }) => (
            <Button
              key={label}
              kind={turnDeg === 90 ? 'main' : 'plain'}
              label={label}
              onPress={() => turn(turnDeg)}
              style={styles.turn}
            />
          ))}
          <Button label="Other angle" selected={other} onPress={() => setOther(!other)} style={styles.turn} />
        </View>
        {other ? <OtherAngle units={units} onTaken={turn} /> : null}
        <Button label="Key this wall again" onPress={back} />
      </View>
    );
  }
  const lines = [
    walls.length === 0
      ? 'Start at any corner, the room on your left'
      : `After W${walls.length}: ${say(turnWords(walls[walls.length - 1]!.turnDeg))}`,
    ...(metering
      ? [
          meter.lengthMm === null
            ? meter.state === 'lost'
              ? 'Meter out of reach: key the length'
              : 'Meter: waiting …'
            : `Meter ${formatRod(meter.lengthMm, units)} ${unitLabel(units)} · battery ${meter.batteryPct} %`,
        ]
      : []),
  ];
  return (
    <View>
      <Keypad
        asked={`wall-${walls.length}`}
        units={units}
        title={`Wall W${walls.length + 1}`}
        lines={lines}
        lastMm={meter.lengthMm}
        lastWords="by the meter"
        range={WALL_LENGTH_MM}
        take="Take"
        onTake={setLength}
        actions={[
          metering && meter.lengthMm !== null
            ? { label: 'From meter', onPress: () => setLength(Math.round(meter.lengthMm! * 10) / 10) }
            : { label: metering ? 'Meter off' : 'Meter', onPress: () => setMetering(!metering) },
          walls.length > 0
            ? {
                label: 'Back',
                onPress: back,
                off: walls.length >= WALL_COUNT.max ? `A room takes ${WALL_COUNT.max} walls.` : null,
              }
            : { label: 'Leave', onPress: onLeave },
        ]}
      />
      <View style={styles.box}>
        {metering ? (
          <Words size="small" quiet>
            The meter here is simulated: it sends the walls of the demo’s parlour, with its noise.
          </Words>
        ) : null}
        <ButtonRow>
          <Button label="Leave the walk" hint="The room on record stays" onPress={onLeave} />
        </ButtonRow>
      </View>
    </View>
  );
}

/** Offers to take the room once it closes, or the walls that would close it: in reach over the course, off the pad. */
export function WalkClosing({
  units,
  walls,
  onDone,
}: {
  units: UnitSystem;
  walls: Wall[];
  onDone: (walls: Wall[]) => void;
}) {
  const palette = usePalette();
  const { closing } = walkOf(walls);
  const outline = walls.length >= 3 ? outlineOf(walls) : null;
  if (outline && outline.problem === null)
    return (
      <View role="alert" style={[styles.closed, { backgroundColor: palette.chalkWash }]}>
        <Words
          bold
        >{`It closes: ${walls.length} walls, ${formatSpan(outline.closingMm, units)} ${unitLabel(units)} out`}</Words>
        <Button kind="main" label="Take this room" onPress={() => onDone(walls)} />
      </View>
    );
  if (!closing) return null;
  const rest = closing.map((wall, i) => `W${walls.length + 1 + i} ${formatSpan(wall.lengthMm, units)}`).join(', ');
  return (
    <View style={[styles.closed, { backgroundColor: palette.chalkWash }]}>
      <Button label={`Close it with ${rest}`} onPress={() => onDone([...walls, ...closing])} />
    </View>
  );
}

const ANGLE = only(WALL, 'turnDeg');
const HALF_SQUARE = { turnDeg: 45 };

function OtherAngle({ units, onTaken }: { units: UnitSystem; onTaken: (turnDeg: number) => void }) {
  const form = useDraftForm(ANGLE, HALF_SQUARE, units);
  const turn = () =>
    form.record(({ turnDeg }) => {
      onTaken(turnDeg);
      return Promise.resolve({ ok: true });
    });
  return (
    <>
      <FactField form={form} name="turnDeg" label="Turn" hint="Left is positive." />
      <Button label="Turn so" onPress={() => void turn()} />
    </>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  turns: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.gap },
  turn: { minHeight: 64, minWidth: '45%' },
  closed: { paddingHorizontal: SPACE.edge, paddingVertical: SPACE.gap, gap: SPACE.gap },
});
