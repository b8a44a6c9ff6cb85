import { text } from 'drizzle-orm/sqlite-core';
import { rooms } from './book.ts';

/** The room a fact belongs to. */
export const inRoom = () =>
  text('room_id')
    .notNull()
    .references(() => rooms.id);
