import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Cover } from '@maquette/core/record';
import { missingOf, type HoldPoint } from '@maquette/core/report';
import { only } from '@maquette/core/fields';
import { KINDS } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import { thisDevice } from '../../data/who.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { useSealing } from './seal-now.ts';
import { WantedPhotos } from './wanted-photos.tsx';

const NAMES: Record<Cover, { before: string; done: string }> = {
  pour: { before: 'Before the pour', done: 'Poured' },
  membrane: { before: 'Before the membrane', done: 'Membrane on' },
  underlay: { before: 'Before underlay or film', done: 'Underlay down' },
  planks: { before: 'Before the planks', done: 'Planks begun' },
};

const WHY = only(KINDS.coverUps.fields, 'reason', 'by');

const missingCount = ({ photos }: HoldPoint) =>
  photos.reduce((sum, { wanted, held }) => sum + Math.max(0, wanted - held), 0);

/** How a point stands, in a few words. */
function standing(hold: HoldPoint): string {
  if (hold.done) return hold.seal ? 'sealed and covered' : 'covered, not sealed';
  const photos = missingCount(hold);
  if (photos === 0 && hold.open.length === 0) return 'ready to cover';
  return [
    ...(photos > 0 ? [counted(photos, 'photograph')] : []),
    ...(hold.open.length > 0 ? [`${hold.open.length} to settle`] : []),
  ].join(', ');
}

/** The points at which work stops until what will be hidden is seen: the next of each room first. */
export function HoldPoints({ jobId, holds }: { jobId: string; holds: readonly HoldPoint[] }) {
  const next = holds.filter(({ done }, k, all) => {
    const { roomId } = all[k]!;
    return !done && all.findIndex((other) => other.roomId === roomId && !other.done) === k;
  });
  const rest = holds.filter((hold) => !next.includes(hold));
  return (
    <View style={styles.list} testID="hold-points">
      <Words bold size="large" role="heading" aria-level={2}>
        See it before it is covered
      </Words>
      {next.map((hold) => (
        <Hold key={`${hold.roomId}/${hold.cover}`} jobId={jobId} hold={hold} />
      ))}
      {rest.length > 0 ? (
        <Fold title="Covered, and still to come" aside={String(rest.length)} memory={`${jobId}/later-covers`}>
          {rest.map((hold) => (
            <Hold key={`${hold.roomId}/${hold.cover}`} jobId={jobId} hold={hold} />
          ))}
        </Fold>
      ) : null}
    </View>
  );
}

function Hold({ jobId, hold }: { jobId: string; hold: HoldPoint }) {
  const say = useSay();
  const { localTime } = useTimes();
  const { cover, roomName, photos, open, done } = hold;
  return (
    <Fold
      title={`${roomName}: ${NAMES[cover].before.toLowerCase()}`}
      aside={standing(hold)}
      memory={`${hold.roomId}/${cover}`}
    >
      <WantedPhotos roomId={hold.roomId} photos={photos} />
      {open.length > 0 ? (
        <View style={styles.open}>
          <Words bold>Not settled, and hidden afterwards</Words>
          {open.map(({ id, title, margin, next }) => (
            <View key={id}>
              <Words>{`${say(title)}: ${say(margin)}`}</Words>
              <Words size="small" quiet>
                {say(next)}
              </Words>
            </View>
          ))}
        </View>
      ) : null}
      {done ? (
        <Words>
          {`${NAMES[cover].done} ${localTime(done.coveredAt)}${done.by ? ` by ${done.by}` : ''}. ${done.missing.length === 0 ? 'Nothing was missing.' : `${counted(done.missing.length, 'thing')} missing: ${done.reason || 'no reason was given'}.`}`}
        </Words>
      ) : null}
      <Seal jobId={jobId} hold={hold} />
    </Fold>
  );
}

/** Sealing before it is covered, and saying that it is. */
function Seal({ jobId, hold }: { jobId: string; hold: HoldPoint }) {
  const say = useSay();
  const palette = usePalette();
  const { cover, roomId, done, seal } = hold;
  const sealing = useSealing(jobId);
  const [problem, setProblem] = useState<string | null>(null);
  const missing = missingOf(hold);
  const form = useDraftForm(WHY, { reason: '', by: thisDevice.by() }, 'metric');
  const covered = () =>
    form.record(async ({ reason, by }) => {
      if (missing.length > 0 && reason.trim() === '') {
        setProblem('Say why it is covered although something is missing: the report tells it beside what is missing.');
        return { ok: true };
      }
      setProblem(null);
      return write(`${NAMES[cover].done}: ${hold.roomName}`, [
        {
          kind: 'coverUps',
          id: newId(),
          body: {
            jobId,
            ofRoomId: roomId,
            cover,
            coveredAt: nowUtc(),
            by,
            missing: missing.map((one) => say(one).slice(0, 300)).slice(0, 80),
            reason,
            note: '',
          },
        },
      ]);
    });
  return (
    <View style={styles.open}>
      <Words size="small" quiet>
        {seal
          ? `Sealed: ${seal.sealSha256.slice(0, 8)} …`
          : 'A seal shows later that nothing was added or altered after it was covered.'}
      </Words>
      {sealing.share !== null ? (
        <Words role="status" figure>{`Sealing, ${Math.round(sealing.share * 100)} % …`}</Words>
      ) : null}
      {sealing.failed ? (
        <Words role="alert" color={palette.verdict.stop}>
          {sealing.failed}
        </Words>
      ) : null}
      <ButtonRow>
        <Button
          label={seal ? 'Seal again' : 'Seal now'}
          hint={`${hold.roomName}, ${NAMES[cover].before.toLowerCase()}`}
          onPress={() => void sealing.seal({ sealedFor: cover, ofRoomId: roomId })}
        />
      </ButtonRow>
      {done ? null : (
        <>
          <FactField form={form} name="by" label="Who covers it" />
          {missing.length > 0 ? <FactField form={form} name="reason" label="Why with something missing" /> : null}
          {(problem ?? form.problem) ? <Words role="alert">{problem ?? form.problem}</Words> : null}
          <ButtonRow>
            <Button label={NAMES[cover].done} hint={hold.roomName} onPress={() => void covered()} />
          </ButtonRow>
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { paddingHorizontal: SPACE.edge, gap: SPACE.near },
  open: { gap: SPACE.near },
});
