import { StyleSheet, View } from 'react-native';
import type { RoomPicture } from '@maquette/core';
import { ANCHORS_LEAST } from '@maquette/core/scan';
import type { ScanState } from '@maquette/core/flat';
import type { RoomFacts } from '@maquette/core/room';
import { formatGap, unitLabel } from '@maquette/core/units';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import type { Scanning } from './use-scan.ts';
import { useTimes } from '../../ui/shown-in.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  picture: RoomPicture;
  scanning: Scanning;
  onRead: () => void;
}

/** The bench with a scan: choose its file, lay it on the room, hold it with staffs. */
export function ScanBench({ shown, room, picture, scanning, onRead }: Props) {
  if (scanning.progress !== null) return <Reading scanning={scanning} />;
  if (scanning.answer) return <Laying scanning={scanning} room={room} />;
  return (
    <View style={styles.box}>
      {scanning.failed ? <Words role="alert">{scanning.failed}</Words> : null}
      {picture.scans.length === 0 ? (
        <>
          <Words bold size="large">
            Bring in a scan of the floor
          </Words>
          <Words>
            A point cloud of this room from a phone or a scanner, as PLY or XYZ. The floor is found in it; walls and
            furniture are left out. You lay it on the room, and staff readings hold it: a scan alone drifts.
          </Words>
        </>
      ) : (
        picture.scans.map((scan) => (
          <HeldScan
            key={scan.id}
            shown={shown}
            room={room}
            scan={scan}
            onRead={onRead}
            onAgain={() => void scanning.again(scan.id)}
          />
        ))
      )}
      <Button
        kind={picture.scans.length === 0 ? 'main' : 'plain'}
        label={picture.scans.length === 0 ? 'Choose the file' : 'Bring in another scan'}
        onPress={scanning.choose}
      />
      <Fold title="How a scan is judged">
        <Words>
          The lowest large level plane is the floor; every cell of 5 cm takes the middle height of its points. Cells
          with fewer than eight points, or mostly points above the floor, stay blank and have to be read by staff.
        </Words>
        <Words>
          Heights are smoothed over about 7 cm. What noise alone would show under an edge is told as the noise floor: a
          rule under it cannot be passed by this scan.
        </Words>
        <Words>
          {`${ANCHORS_LEAST} staff readings or more on the scanned floor, not in a line, give its level and its lean; how far the others then lie off it is its drift, which is spread by the same surface that draws the map.`}
        </Words>
      </Fold>
    </View>
  );
}

function Reading({ scanning }: { scanning: Scanning }) {
  const palette = usePalette();
  const share = Math.round((scanning.progress ?? 0) * 100);
  return (
    <View style={styles.box}>
      <Words bold size="large" role="status">{`Reading the scan: ${share} %`}</Words>
      <View
        role="progressbar"
        aria-valuenow={share}
        aria-valuemin={0}
        aria-valuemax={100}
        accessibilityLabel="Share of the scan read"
        style={[styles.bar, { borderColor: palette.rule }]}
      >
        <View style={{ height: 10, width: `${share}%`, backgroundColor: palette.chalk }} />
      </View>
      <Button label="Stop" onPress={scanning.stop} />
    </View>
  );
}

const TURNS = [
  { deg: 90, label: '↺ 90°' },
  { deg: 1, label: '↺ 1°' },
  { deg: -1, label: '↻ 1°' },
  { deg: -90, label: '↻ 90°' },
] as const;
const NUDGE_MM = 20;
const NUDGES = [
  { dx: -NUDGE_MM, dy: 0, label: '←', hint: 'Left by 20 mm' },
  { dx: NUDGE_MM, dy: 0, label: '→', hint: 'Right by 20 mm' },
  { dx: 0, dy: NUDGE_MM, label: '↑', hint: 'Up by 20 mm' },
  { dx: 0, dy: -NUDGE_MM, label: '↓', hint: 'Down by 20 mm' },
] as const;

function Laying({ scanning, room }: { scanning: Scanning; room: RoomFacts }) {
  const { answer, place, readUp } = scanning;
  if (!answer || !place) return null;
  const { floor, pointsInFile, badLines, up, wasMm } = answer;
  const millions = (n: number) => (n >= 1e6 ? `${(n / 1e6).toFixed(1)} million` : n.toLocaleString('en'));
  return (
    <View style={styles.box} testID="laying">
      <Words bold size="large">
        Does it lie on the room?
      </Words>
      <Words>
        Pull it on the sheet until its edge follows the walls and the dots lie on them. The door tells which way round.
      </Words>
      {scanning.failed ? <Words role="alert">{scanning.failed}</Words> : null}
      <ButtonRow>
        <Button kind="main" label="It lies right" onPress={scanning.take} />
        <Button label="Snap to the walls" onPress={scanning.snap} />
      </ButtonRow>
      <View style={styles.keys}>
        {TURNS.map(({ deg, label }) => (
          <Button
            key={label}
            label={label}
            hint={`Turn ${deg > 0 ? 'left' : 'right'}`}
            onPress={() => scanning.turn(deg)}
            style={styles.key}
          />
        ))}
      </View>
      <View style={styles.keys}>
        {NUDGES.map(({ dx, dy, label, hint }) => (
          <Button key={label} label={label} hint={hint} onPress={() => scanning.nudge(dx, dy)} style={styles.key} />
        ))}
      </View>
      <Words size="small" figure>
        {`${millions(pointsInFile)} points, ${millions(floor.points)} of them floor; a cell’s noise ${formatGap(floor.noiseMm, room.units)} ${unitLabel(room.units)}.${wasMm ? ' The file counts in millimetres.' : ''}${badLines > 0 ? ` ${badLines} lines could not be read.` : ''}`}
      </Words>
      {readUp ? (
        <Choice
          label="Up in the file"
          inline
          value={up}
          options={[
            { value: 'z', label: 'Z' },
            { value: 'y', label: 'Y' },
          ]}
          onChange={readUp}
        />
      ) : null}
      <Button label={readUp ? 'Leave the file' : 'Leave it as it was'} onPress={scanning.leave} />
    </View>
  );
}

/** One scan that counts: how much it covers, what holds it, how loud it is. */
function HeldScan({
  shown,
  room,
  scan,
  onRead,
  onAgain,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  scan: ScanState;
  onRead: () => void;
  onAgain: () => void;
}) {
  const { dayOf } = useTimes();
  const palette = usePalette();
  const { units } = room;
  const mm = (value: number) => `${formatGap(value, units)} ${unitLabel(units)}`;
  const { anchor } = scan;
  const stored = shown.scans.find((s) => s.id === scan.id);
  const lean = Math.hypot(anchor.slopeX, anchor.slopeY) * 1000;
  return (
    <View style={styles.held} testID="held-scan">
      <Words bold size="large">{`${Math.round(scan.coveredShare * 100)} % of the floor is scanned`}</Words>
      {anchor.holds ? (
        <Words>
          {`Held by ${anchor.rods} staff readings, which took a lean of ${mm(lean)} in each metre out of it. They then lie within ${mm(anchor.worstMm)} of it, ${mm(anchor.rmsMm)} as a rule: that is its drift and noise.`}
        </Words>
      ) : (
        <>
          <Words bold color={palette.verdict.work}>
            {anchor.rods >= ANCHORS_LEAST
              ? 'Not held yet: its staffs stand in a line'
              : `Not held yet: ${anchor.rods} of ${ANCHORS_LEAST} staff readings stand on it`}
          </Words>
          <Button kind="main" label="Read stations on it" onPress={onRead} />
        </>
      )}
      <Words>{`Noise floor: ${mm(scan.noiseFloorMm)} under an edge on a floor that is perfectly flat.`}</Words>
      <View style={styles.line}>
        <Words size="small" quiet style={styles.grow}>{`${scan.fileName}, ${dayOf(scan.takenAt)}`}</Words>
        {stored ? <Button kind="quiet" label="Lay it again" onPress={onAgain} style={styles.small} /> : null}
        {stored ? (
          <Button
            kind="quiet"
            label="Take out"
            onPress={() =>
              void write('Scan taken out', [
                { kind: 'scans', id: stored.id, roomId: room.id, body: bodyOf(stored), deleted: true },
              ])
            }
            style={styles.small}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  bar: { borderWidth: 1, height: 12 },
  keys: { flexDirection: 'row', gap: SPACE.gap },
  key: { flexBasis: 0, minHeight: 56, paddingHorizontal: SPACE.near },
  held: { gap: SPACE.gap },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  grow: { flex: 1 },
  small: { flexGrow: 0 },
});
