import {
  flag,
  group,
  mayLack,
  moment,
  orNull,
  refersTo,
  text,
  whole,
  type Fields,
  type Held,
} from '@maquette/core/fields';

/** A count that only ever goes up by one. */
const count = () => whole(0, 1e12);

/** Who makes a write, on which device, as which of its writes, and when by its clock: what order and conflicts are told by. */
export const MADE = {
  device: refersTo('devices'),
  by: text(60),
  sequence: count(),
  /** By the device's own clock; null where that is years off. */
  at: orNull(moment()),
  /** How far that clock is ahead of the server's, ms; null where it was not measured. */
  skewMs: orNull(whole(-1e13, 1e13)),
} satisfies Fields;
export type Made = Held<typeof MADE>;

/** Where a write stands among all others: the server's count of writes, and the device's own. */
export const PLACE = {
  order: count(),
  device: orNull(refersTo('devices')),
  sequence: count(),
} satisfies Fields;
export type Place = Held<typeof PLACE>;

/** The server's count of a write, as files carry it. */
export const ORDER = count();

/** What every write carries besides the body: the version it was made on, its own id, the mark of deletion, and who makes it. */
export const WRITE = {
  baseVersion: whole(0, Number.MAX_SAFE_INTEGER),
  writeId: refersTo('writes'),
  deleted: flag(),
  made: mayLack(group(MADE)),
} satisfies Fields;
