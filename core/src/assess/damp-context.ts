import type { DampContext } from '../damp/index.ts';
import { layersLeft, stripContext, type StripContext } from '../stripout/index.ts';
import type { RoomSet } from './room-set.ts';

const MINUTE_MS = 60_000;

/** The minute that ends at or after a time: evidence ages by days and waits by hours, and nothing read lies in the future. */
const wholeMinute = (atUtc: string) => new Date(Math.ceil(Date.parse(atUtc) / MINUTE_MS) * MINUTE_MS).toISOString();

/** Everything damp is judged from, looked up once. */
export function dampContextOf(set: RoomSet, context: StripContext, atUtc: string): DampContext {
  return {
    room: set.room,
    plan: context.plan,
    card: set.card,
    facts: set,
    layers: layersLeft(set),
    answers: set.answers,
    hazards: context.hazards,
    figure: context.figure,
    atUtc: wholeMinute(atUtc),
  };
}

/** Everything damp is judged from, looked up once from a room's facts. */
export function dampContext(set: RoomSet, atUtc: string): DampContext {
  return dampContextOf(set, stripContext(set.room, set.card, set), atUtc);
}
