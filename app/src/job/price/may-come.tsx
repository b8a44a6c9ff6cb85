import { StyleSheet, View } from 'react-native';
import { useState } from 'react';
import { filled, only } from '@maquette/core/fields';
import type { JobCourse } from '@maquette/core/planning';
import { bodyOf, KINDS, type BodyOf } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownBook } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { centsWords } from '@maquette/core/bill/money-words';

const FIELDS = only(
  { ...KINDS.surprises.fields, what: filled(KINDS.surprises.fields.what) },
  'what',
  'trigger',
  'sharePct',
  'hours',
  'waitH',
  'cost',
);
const BLANK = { what: '', trigger: '', sharePct: 20, hours: 4, waitH: 0, cost: 100 };

interface Props {
  course: JobCourse;
  jobId: string;
  rooms: ShownBook['rooms'];
  book: ShownBook;
  currency: string;
}

/** Lines that are charged where they come: what would show each, how likely it is, and what it costs then. */
export function MayCome({ course: { price, days }, jobId, rooms, book, currency }: Props) {
  const say = useSay();
  const palette = usePalette();
  const room = (id: string) => days.rooms.find((one) => one.id === id)?.name ?? '';
  const facts = book.surprises.filter((one) => one.jobId === jobId && one.state === 'may-come');
  return (
    <Fold
      title="What may come"
      aside={price.provisional.length === 0 ? 'nothing named' : String(price.provisional.length)}
    >
      {price.provisional.map((one) => {
        const fact = facts.find(({ id }) => id === one.id);
        return (
          <View key={one.id} style={[styles.line, { borderColor: palette.rule }]}>
            <Words
              bold
            >{`${[room(one.roomId), say(one.what)].filter(Boolean).join(': ')}, ${centsWords(one.netCents, currency)}`}</Words>
            <Words size="small">{`In ${one.sharePct} of 100 cases. ${say(one.trigger) ? `It shows itself so: ${say(one.trigger)}` : ''}`}</Words>
            {fact ? (
              <ButtonRow>
                <Button
                  label="It has come"
                  hint={`Makes a change of it: ${fact.what}`}
                  onPress={() =>
                    void write(`${fact.what} was found`, [
                      { kind: 'surprises', id: fact.id, body: { ...bodyOf(fact), state: 'found', foundAt: nowUtc() } },
                    ])
                  }
                />
                <Button
                  label="Take it out"
                  hint={fact.what}
                  onPress={() =>
                    void write(`${fact.what} taken out`, [
                      { kind: 'surprises', id: fact.id, body: bodyOf(fact), deleted: true },
                    ])
                  }
                />
              </ButtonRow>
            ) : null}
          </View>
        );
      })}
      <Fold title="Name something that may come">
        <SurpriseForm jobId={jobId} rooms={rooms} state="may-come" label="Put it among what may come" />
      </Fold>
    </Fold>
  );
}

/** A surprise as it is expected, or as it was found. */
export function SurpriseForm({
  jobId,
  rooms,
  state,
  label,
}: {
  jobId: string;
  rooms: ShownBook['rooms'];
  state: 'may-come' | 'found';
  label: string;
}) {
  const [inRoom, setInRoom] = useState(rooms[0]?.id ?? '');
  const [before, setBefore] = useState<BodyOf<'surprises'>['before']>('level');
  const [isMakingSafe, setSafe] = useState<'yes' | 'no'>('no');
  const form = useDraftForm(FIELDS, BLANK, 'metric');
  const record = () =>
    form.record((body) =>
      write(body.what, [
        {
          kind: 'surprises',
          id: newId(),
          body: {
            jobId,
            ofRoomId: inRoom,
            ...body,
            sharePct: state === 'found' ? 100 : body.sharePct,
            before,
            state,
            isMakingSafe: isMakingSafe === 'yes',
            foundAt: state === 'found' ? nowUtc() : null,
            decidedBy: '',
            decidedOn: '',
            note: '',
          },
        },
      ]),
    );
  return (
    <View style={styles.form}>
      <Choice
        label="In"
        value={inRoom}
        inline
        options={rooms.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={setInRoom}
      />
      <FactField
        form={form}
        name="what"
        label={state === 'found' ? 'What was found, and what is done' : 'What may come'}
      />
      <FactField form={form} name="trigger" label="What shows it" />
      {state === 'may-come' ? <FactField form={form} name="sharePct" label="In how many of 100 cases" /> : null}
      <FactField form={form} name="hours" label="Work it takes" />
      <FactField form={form} name="waitH" label="Waiting after it" />
      <FactField form={form} name="cost" label="Material and others’ work" />
      <Choice
        label="Done before"
        value={before}
        inline
        options={[
          { value: 'strip', label: 'the strip-out' },
          { value: 'level', label: 'levelling' },
          { value: 'lay', label: 'laying' },
        ]}
        onChange={setBefore}
      />
      {state === 'found' ? (
        <Choice
          label="Making safe"
          value={isMakingSafe}
          inline
          options={[
            { value: 'no', label: 'No, it waits for a word' },
            { value: 'yes', label: 'Yes, done at once' },
          ]}
          onChange={setSafe}
        />
      ) : null}
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <ButtonRow>
        <Button label={label} onPress={() => void record()} />
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { borderBottomWidth: 1, paddingVertical: SPACE.gap, gap: SPACE.near },
  form: { gap: SPACE.gap },
});
