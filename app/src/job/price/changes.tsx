import { StyleSheet, View } from 'react-native';
import { only } from '@maquette/core/fields';
import type { JobCourse, ShownChange } from '@maquette/core/planning';
import { bodyOf, KINDS } from '@maquette/facts';
import { saveText } from '../../data/save-text.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { moreWords } from '../more-words.ts';
import { dayWords, halfDayWords } from '../day-words.ts';
import { centsWords } from '@maquette/core/bill/money-words';
import { SurpriseForm } from './may-come.tsx';

const STATES: Record<ShownChange['surprise']['state'], string> = {
  'may-come': 'may come',
  found: 'waits for a decision',
  approved: 'approved',
  refused: 'refused',
};

interface Props {
  course: JobCourse;
  jobId: string;
  jobName: string;
  rooms: ShownBook['rooms'];
  book: ShownBook;
  currency: string;
}

/** Surprises that were found, each as a change: what differs in bill and date, and who decides. */
export function Changes({ course, jobId, jobName, rooms, book, currency }: Props) {
  const { changes } = course;
  const open = changes.filter(({ surprise }) => surprise.state === 'found').length;
  return (
    <Fold
      key={String(open > 0)}
      title="Changes"
      aside={changes.length === 0 ? 'none' : open > 0 ? `${open} to decide` : String(changes.length)}
      open={open > 0}
    >
      {changes.map((change) => (
        <Change
          key={change.surprise.id}
          change={change}
          course={course}
          fact={book.surprises.find(({ id }) => id === change.surprise.id) ?? null}
          jobName={jobName}
          currency={currency}
        />
      ))}
      <Fold title="Record something that was found">
        <SurpriseForm jobId={jobId} rooms={rooms} state="found" label="Make a change of it" />
      </Fold>
    </Fold>
  );
}

const DECIDED = only(KINDS.surprises.fields, 'decidedBy', 'decidedOn');

function Change({
  change,
  course: { days },
  fact,
  jobName,
  currency,
}: {
  change: ShownChange;
  course: JobCourse;
  fact: ShownBook['surprises'][number] | null;
  jobName: string;
  currency: string;
}) {
  const say = useSay();
  const palette = usePalette();
  const { surprise, lines, netCents, hours, before, after } = change;
  const room = days.rooms.find(({ id }) => id === surprise.ofRoomId)?.name ?? '';
  const date = (half: ShownChange['before']['laying']) =>
    half ? halfDayWords(half, days.today) : 'beyond eleven months';
  const end = (day: string | null) => (day ? dayWords(day, days.today) : 'beyond eleven months');
  const told = [
    `${room}: ${surprise.what}`,
    ...(surprise.trigger ? [surprise.trigger] : []),
    `Price ${moreWords(netCents, currency)} without tax, ${hours.toFixed(1)} h of work.`,
    `Planks promised ${date(after.laying)}; before ${date(before.laying)}.`,
    `Handed over ${end(after.handOver)}; before ${end(before.handOver)}.`,
  ];
  const each = lines.map(
    ({ what, beforeCents, afterCents }) =>
      `${say(what)}: ${centsWords(beforeCents, currency)} before, ${centsWords(afterCents, currency)} after`,
  );
  const form = useDraftForm(DECIDED, { decidedBy: surprise.decidedBy, decidedOn: days.today }, 'metric');
  const decide = (state: 'approved' | 'refused') =>
    form.record(({ decidedBy, decidedOn }) =>
      write(`${surprise.what}: ${STATES[state]}`, [
        { kind: 'surprises', id: surprise.id, body: { ...bodyOf(fact!), state, decidedBy, decidedOn } },
      ]),
    );
  return (
    <View style={[styles.change, { borderColor: palette.rule }]} testID="change">
      <Words bold>{`${told[0]}, ${STATES[surprise.state]}`}</Words>
      {told.slice(1).map((one) => (
        <Words key={one}>{one}</Words>
      ))}
      <Fold title="Lines that differ" aside={String(each.length)}>
        {each.map((one) => (
          <Words key={one} size="small" figure>
            {`${one} (cost)`}
          </Words>
        ))}
      </Fold>
      {surprise.state === 'refused' ? (
        <Words>It is not done, and stands in the hand-over as left.</Words>
      ) : surprise.state === 'approved' ? (
        <Words
          size="small"
          quiet
        >{`Approved${surprise.decidedBy ? ` by ${surprise.decidedBy}` : ''}${surprise.decidedOn ? ` on ${dayWords(surprise.decidedOn, days.today)}` : ''}.`}</Words>
      ) : (
        <>
          <Words>
            {surprise.isMakingSafe
              ? 'It makes something safe: it is done at once, and decided afterwards.'
              : 'Its work begins when it is approved. No approval opens what is shut for safety.'}
          </Words>
          <FactField form={form} name="decidedBy" label="Who decides" />
          <FactField form={form} name="decidedOn" label="On" hint="Day, such as 2026-11-29" />
          {form.problem ? <Words role="alert">{form.problem}</Words> : null}
          <ButtonRow>
            <Button label="Approved" hint={surprise.what} onPress={() => void decide('approved')} />
            <Button label="Refused" hint={surprise.what} onPress={() => void decide('refused')} />
          </ButtonRow>
        </>
      )}
      <ButtonRow>
        <Button
          label="Save as a change order"
          hint={surprise.what}
          onPress={() =>
            saveText(
              `change-${surprise.what.toLowerCase().replace(/\W+/g, '-').slice(0, 40)}.txt`,
              'text/plain',
              [`Change order: ${jobName}`, days.today, '', ...told, '', ...each, '', 'Approved by:', 'On:', ''].join(
                '\n',
              ),
            )
          }
        />
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({
  change: { borderBottomWidth: 1, paddingVertical: SPACE.gap, gap: SPACE.near },
});
