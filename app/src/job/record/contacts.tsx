import { View } from 'react-native';
import { filled, only } from '@maquette/core/fields';
import type { Contact } from '@maquette/core/record';
import { KINDS } from '@maquette/facts';
import { useState } from 'react';
import { newId } from '../../data/ids.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Words } from '../../ui/text.tsx';
import { PartBox } from './part-box.tsx';

const ROLES: Record<Contact['role'], string> = {
  client: 'Client',
  contractor: 'Contractor',
  maker: 'Maker',
  other: 'Somebody else',
};
const FIELDS = { name: filled(KINDS.contacts.fields.name), ...only(KINDS.contacts.fields, 'reach') };

/** Who gets the seal at once. Names and addresses stand in no report and no bundle. */
export function Contacts({ jobId, contacts }: { jobId: string; contacts: readonly Contact[] }) {
  const [role, setRole] = useState<Contact['role']>('client');
  const form = useDraftForm(FIELDS, { name: '', reach: '' }, 'metric');
  const add = () =>
    form.record(async (body) => {
      const written = await write(`${body.name} is told`, [
        { kind: 'contacts', id: newId(), body: { jobId, role, note: '', ...body } },
      ]);
      if (written.ok) form.restart();
      return written;
    });
  const remove = ({ id, ...body }: Contact) =>
    void write(`${body.name} is not told any more`, [{ kind: 'contacts', id, body, deleted: true }]);
  return (
    <PartBox>
      <Words>
        A seal helps only outside your own reach: it goes to these at once. They stand in no report and no bundle.
      </Words>
      {contacts.map((one) => (
        <View key={one.id}>
          <Words>{`${one.name}, ${ROLES[one.role].toLowerCase()}${one.reach ? `: ${one.reach}` : ''}`}</Words>
          <ButtonRow>
            <Button label="Remove" hint={one.name} onPress={() => remove(one)} />
          </ButtonRow>
        </View>
      ))}
      <Choice
        label="Role"
        value={role}
        options={(Object.keys(ROLES) as Contact['role'][]).map((value) => ({ value, label: ROLES[value] }))}
        onChange={setRole}
      />
      <FactField form={form} name="name" label="Name" />
      <FactField form={form} name="reach" label="Mail address or number" />
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <ButtonRow>
        <Button label="Add" hint="somebody who is told" onPress={() => void add()} />
      </ButtonRow>
    </PartBox>
  );
}
