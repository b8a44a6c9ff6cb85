import { StyleSheet, View } from 'react-native';
import { formatRod, unitLabel, type UnitSystem } from '@maquette/core/units';
import { newId } from '../data/ids.ts';
import { KINDS } from '@maquette/facts';
import type { Waiting } from '../data/waiting.ts';
import { outbox, queries } from '../data/device.ts';
import { useOutbox } from '../data/use-facts.ts';
import { usePalette } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';

function said(kind: string, body: Record<string, unknown> | null, units: UnitSystem): string {
  if (!body || body['deletedAt']) return 'removed';
  if (kind === 'readings') return `${formatRod(Number(body['rodMm']), units)} ${unitLabel(units)}`;
  if (kind === 'setups')
    return `benchmark ${body['openRodMm'] === null ? 'none' : formatRod(Number(body['openRodMm']), units)}`;
  return String(body['name'] ?? 'another state');
}

/** What the server would not take: both values side by side, and the choice. Nothing is dropped without it. */
export function Trouble({ units }: { units: UnitSystem }) {
  const palette = usePalette();
  const { waiting } = useOutbox();
  const troubled = waiting.filter((w) => w.trouble);
  if (troubled.length === 0) return null;
  const settle = async (one: Waiting, mine: boolean) => {
    if (mine) await outbox.insist(one.id, newId());
    else await outbox.discard(one.id);
    await queries.invalidateQueries();
  };
  return (
    <View
      role="alert"
      style={[styles.box, { backgroundColor: palette.bench, borderColor: palette.verdict.stop }]}
      testID="trouble"
    >
      {troubled.map((one) => {
        const conflict = one.trouble!.status === 409;
        const last = waiting.filter((w) => w.id === one.id).at(-1)!;
        return (
          <View key={one.writeId} style={styles.one}>
            <Words bold>
              {conflict
                ? `${KINDS[one.kind].words} changed on another device`
                : `${KINDS[one.kind].words} not taken: ${one.trouble!.detail ?? one.trouble!.title}`}
            </Words>
            {conflict ? (
              <Words figure>
                Here {last.deleted ? 'removed' : said(one.kind, last.body, units)} · there{' '}
                {said(one.kind, one.trouble!.current as Record<string, unknown> | null, units)}
              </Words>
            ) : null}
            <ButtonRow>
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
  box: { borderTopWidth: 2, padding: 16, gap: 16 },
  one: { gap: 8 },
});
