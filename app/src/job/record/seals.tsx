import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { recordCode, squareCode } from '@maquette/core/paper';
import type { Contact, Cover, Seal } from '@maquette/core/record';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { useTimes } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';
import { Words } from '../../ui/text.tsx';
import { ask } from '../../data/api.ts';
import { saveBlob } from '../../data/save-text.ts';
import type { CourseShown } from '../use-course.ts';
import { PartBox } from './part-box.tsx';
import { messageOf } from './seal-message.ts';
import { useSealing } from './seal-now.ts';

const FOR: Record<Cover | 'hand-over' | 'asked', string> = {
  pour: 'before a pour',
  membrane: 'before a membrane',
  underlay: 'before underlay or film',
  planks: 'before the planks',
  'hand-over': 'at hand-over',
  asked: 'as it stood',
};

interface Props {
  jobId: string;
  name: string;
  seals: readonly Seal[];
  contacts: readonly Contact[];
  rooms: CourseShown['rooms'];
}

/** Every seal of a job, newest first: the message that goes out at once, its code, and the bundle that is kept. */
export function Seals({ jobId, name, seals, contacts, rooms }: Props) {
  const sealing = useSealing(jobId);
  return (
    <PartBox>
      <Words>
        A bundle holds report, readings, photographs and the chain of all facts. Its seal shows later that nothing of it
        was altered, to whoever got the seal then.
      </Words>
      {sealing.share !== null ? (
        <Words role="status" figure>{`Sealing, ${Math.round(sealing.share * 100)} % …`}</Words>
      ) : null}
      {sealing.failed ? <Words role="alert">{sealing.failed}</Words> : null}
      <ButtonRow>
        <Button
          label="Seal the record as it stands"
          onPress={() => void sealing.seal({ sealedFor: 'asked', ofRoomId: null })}
        />
      </ButtonRow>
      {[...seals].reverse().map((seal, k) => (
        <SealCard
          key={seal.id}
          jobId={jobId}
          name={name}
          seal={seal}
          contacts={contacts}
          room={rooms.find(({ id }) => id === seal.ofRoomId)?.name ?? null}
          isNewest={k === 0}
        />
      ))}
    </PartBox>
  );
}

function SealCard({
  jobId,
  name,
  seal,
  contacts,
  room,
  isNewest,
}: Pick<Props, 'jobId' | 'name' | 'contacts'> & { seal: Seal; room: string | null; isNewest: boolean }) {
  const palette = usePalette();
  const { localTime } = useTimes();
  const [problem, setProblem] = useState<string | null>(null);
  const [isCopied, setCopied] = useState(false);
  const message = messageOf(seal, name, localTime(seal.sealedAt));
  const mails = contacts.map(({ reach }) => reach).filter((reach) => reach.includes('@'));
  const mail = `mailto:${mails.join(',')}?subject=${encodeURIComponent(`Seal: ${name}`)}&body=${encodeURIComponent(message)}`;
  const fetchBundle = async () => {
    try {
      const answer = await ask(`/api/jobs/${jobId}/seals/${seal.sealSha256}`, {});
      if (!answer.ok) throw new Error('This server does not keep that bundle: it was sealed on another one');
      saveBlob(`record-${seal.sealSha256.slice(0, 8)}.zip`, await answer.blob());
      setProblem(null);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <View style={[styles.card, { borderColor: palette.rule }]} testID="seal">
      <Words bold>{`${localTime(seal.sealedAt)}, ${room ? `${room}, ` : ''}${FOR[seal.sealedFor]}`}</Words>
      <Words size="small" figure>{`${counted(seal.facts, 'fact')}, ${counted(seal.photographs, 'photograph')}`}</Words>
      <Words size="small" figure style={styles.digest}>{`Seal ${seal.sealSha256}`}</Words>
      {isNewest ? <Code text={recordCode(jobId, seal.sealedAt, 'seal', seal.sealSha256)} /> : null}
      {problem ? <Words role="alert">{problem}</Words> : null}
      {isCopied ? <Words role="status">Copied. Send it now: a seal that nobody else has shows nothing.</Words> : null}
      <ButtonRow>
        <Button
          label="Send the seal"
          hint="one message to all who are told"
          off={mails.length === 0 ? 'Add a mail address under “Who is told”, or copy the message.' : null}
          onPress={() => globalThis.location.assign(mail)}
        />
        <Button
          label="Copy the message"
          onPress={() =>
            void navigator.clipboard.writeText(message).then(
              () => setCopied(true),
              () => setProblem('This browser does not let the page copy.'),
            )
          }
        />
        <Button label="Save the bundle" hint="ZIP" onPress={() => void fetchBundle()} />
      </ButtonRow>
    </View>
  );
}

/** A seal as a square code: black on white in any light. */
function Code({ text }: { text: string }) {
  const { width, height, marks } = squareCode(text);
  return (
    <View style={styles.code}>
      <Svg
        width={168}
        height={168}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label="The seal as a square code"
      >
        {marks.map((mark, k) => ('path' in mark ? <Path key={k} d={mark.path} fill="#000000" /> : null))}
      </Svg>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderTopWidth: 1, paddingVertical: SPACE.gap, gap: SPACE.near },
  digest: { overflowWrap: 'anywhere' } as object,
  code: { backgroundColor: '#FFFFFF', alignSelf: 'flex-start' },
});
