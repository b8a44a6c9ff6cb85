import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Field } from '@maquette/core/fields';
import { isRoomKind, KINDS, parentsOf, type FactKind, type Made, type Place } from '@maquette/facts';

/** Columns every fact has: what is needed to count a write once, to see a conflict, to tell the order and to keep what was deleted. */
const stored = () => ({
  id: text('id').primaryKey(),
  version: integer('version').notNull(),
  writeId: text('write_id').notNull(),
  updatedAt: text('updated_at').notNull(),
  deletedAt: text('deleted_at'),
  order: integer('stored_order').notNull().default(0),
  made: text('made', { mode: 'json' }).$type<Made>(),
  first: text('first_place', { mode: 'json' }).$type<Place>(),
});

/** `stationKey` as SQL writes it: `station_key`. */
const snake = (name: string) => name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** The column that keeps a field. Lists and groups are kept as JSON. */
function columnOf(name: string, { spec, orNull, mayLack }: Field) {
  // What a write leaves out stays as it was; in what is new it is empty.
  if (mayLack)
    return spec.type === 'list'
      ? text(snake(name), { mode: 'json' }).notNull().default([])
      : text(snake(name)).notNull().default('');
  const whole = (spec.type === 'figure' && spec.whole) || (spec.type === 'choice' && typeof spec.of[0] === 'number');
  const column = columnFor(snake(name), whole ? 'whole' : spec.type);
  // An answer may be nothing where its question takes that.
  return orNull || spec.type === 'answer' ? column : column.notNull();
}

function columnFor(name: string, type: Field['spec']['type'] | 'whole') {
  switch (type) {
    case 'whole':
      return integer(name);
    case 'figure':
      return real(name);
    case 'flag':
      return integer(name, { mode: 'boolean' });
    case 'list':
    case 'group':
    case 'cells':
    case 'answer':
      return text(name, { mode: 'json' });
    default:
      return text(name);
  }
}

const idColumn = (name: string) => text(name).notNull();

type Common = ReturnType<typeof stored> & {
  roomId: ReturnType<typeof idColumn>;
  jobId: ReturnType<typeof idColumn>;
};
/** What the store knows of every table: the columns it goes by. A kind's own are read with `bodyOf`. */
export type FactTable = ReturnType<typeof sqliteTable<string, Common>>;

/** The table of a kind, from what its descriptor says. `others` gives the tables made before it: its parents are among them. */
export function tableOf(kind: FactKind, others: ReadonlyMap<string, FactTable>): FactTable {
  const stated = KINDS[kind];
  const parents = new Map(parentsOf(stated).map(({ field, of }) => [field, of]));
  const columns = Object.entries(stated.fields).map(([name, field]) => {
    const parent = parents.get(name);
    const column = columnOf(name, field);
    return [name, parent ? column.references(() => others.get(parent)!.id) : column];
  });
  const inRoom = isRoomKind(kind)
    ? {
        roomId: idColumn('room_id').references(() => others.get('rooms')!.id),
      }
    : {};
  const table = sqliteTable(snake(kind), { ...stored(), ...inRoom, ...Object.fromEntries(columns) }, (made) => {
    const found = made as unknown as FactTable;
    if (isRoomKind(kind)) return [index(`${snake(kind)}_by_room`).on(found.roomId)];
    return parents.get('jobId') ? [index(`${snake(kind)}_by_job`).on(found.jobId)] : [];
  });
  return table as unknown as FactTable;
}
