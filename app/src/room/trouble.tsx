import { StyleSheet, View } from 'react-native';
import type { UnitSystem } from '@maquette/core/units';
import { newId } from '../data/ids.ts';
import { KINDS } from '@maquette/facts';
import { DeviceFull } from '../data/outbox.ts';
import { isLittle, roomWords, useRoomLeft } from '../data/room-left.ts';
import type { Waiting } from '../data/waiting.ts';
import { outbox, queries } from '../data/device.ts';
import { useOutbox } from '../data/use-facts.ts';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { localTime } from '../ui/times.ts';
import { differing } from './differing.ts';

/** What differs between what is here and what is there, field by field, and when each was written. */
function Differences({ one, last, units }: { one: Waiting; last: Waiting; units: UnitSystem }) {
  const there = one.trouble!.current as
    (Record<string, unknown> & { updatedAt: string; deletedAt: string | null }) | null;
  const gone = !there || there.deletedAt !== null;
  if (last.deleted || gone)
    return (
      <Words>
        {last.deleted
          ? gone
            ? 'Removed here and there alike.'
            : `Removed here, changed there at ${localTime(there.updatedAt)}.`
          : 'Changed here, removed there.'}
      </Words>
    );
  const rows = differing(one.kind, last.body, there, units);
  return (
    <View style={styles.differences}>
      {rows.map((row) => (
        <View key={row.field}>
          <Words size="small" quiet>
            {row.field}
          </Words>
          <Words figure>{`Here ${row.mine} · there ${row.theirs}`}</Words>
        </View>
      ))}
      {rows.length === 0 ? <Words>Both say the same: either will do.</Words> : null}
      <Words size="small" quiet>
        {`Written here at ${localTime(last.madeAt)}, there at ${localTime(there.updatedAt)}.`}
      </Words>
    </View>
  );
}

/** The name a fact was given, where it has one. */
const called = ({ body }: Waiting) => (typeof body['name'] === 'string' && body['name'] ? ` “${body['name']}”` : '');

/** What the server would not take: both values side by side, and the choice. Nothing is dropped without it. */
export function Trouble({ units }: { units: UnitSystem }) {
  const palette = usePalette();
  const { waiting, full } = useOutbox();
  const troubled = waiting.filter((w) => w.trouble);
  const left = useRoomLeft();
  const little = left !== null && isLittle(left);
  if (troubled.length === 0 && !full && !little) return null;
  const settle = async (one: Waiting, mine: boolean) => {
    // What a full device does not take is told above, and nothing has changed.
    if (mine) await outbox.insist(one.id, newId()).catch(() => undefined);
    else await outbox.discard(one.id);
    await queries.invalidateQueries();
  };
  return (
    <View
      role="alert"
      style={[styles.box, { backgroundColor: palette.bench, borderColor: palette.verdict.stop }]}
      testID="trouble"
    >
      {full ? <Words bold>{new DeviceFull().message}</Words> : null}
      {little && !full ? (
        <Words
          bold
        >{`This device is nearly full: ${roomWords(left)} left. Free some before it keeps nothing more.`}</Words>
      ) : null}
      {troubled.map((one) => {
        const conflict = one.trouble!.status === 409;
        const failed = one.trouble!.status >= 500;
        const last = waiting.filter((w) => w.id === one.id).at(-1)!;
        return (
          <View key={one.writeId} style={styles.one}>
            <Words bold>
              {conflict
                ? `${KINDS[one.kind].words}${called(last)} changed on another device`
                : `${KINDS[one.kind].words}${called(last)} not taken: ${one.trouble!.detail ?? one.trouble!.title}`}
            </Words>
            {conflict ? <Differences one={one} last={last} units={units} /> : null}
            <ButtonRow>
              {failed ? <Button kind="main" label="Send again" onPress={() => void outbox.retry(one.id)} /> : null}
              {conflict ? <Button kind="main" label="Keep mine" onPress={() => void settle(one, true)} /> : null}
              <Button label={conflict ? 'Take theirs' : 'Let it go'} onPress={() => void settle(one, false)} />
            </ButtonRow>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  differences: { gap: SPACE.near },
  box: { borderTopWidth: 2, padding: SPACE.edge, gap: SPACE.edge },
  one: { gap: SPACE.gap },
});
