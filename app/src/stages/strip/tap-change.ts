import { bodyOf } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import type { Change } from '../../data/write.ts';

/** A touch on a point of the tapping grid: nothing, full, hollow, nothing again. */
export function tapChange(shown: ShownRoom, layerId: string, at: { xMm: number; yMm: number }): Change {
  const held = shown.taps.find(
    (tap) => tap.layerId === layerId && Math.round(tap.xMm) === at.xMm && Math.round(tap.yMm) === at.yMm,
  );
  const roomId = shown.room!.id;
  if (!held) return { kind: 'taps', id: newId(), roomId, body: { layerId, xMm: at.xMm, yMm: at.yMm, sound: 'sound' } };
  if (held.sound === 'sound') return { kind: 'taps', id: held.id, roomId, body: { ...bodyOf(held), sound: 'hollow' } };
  return { kind: 'taps', id: held.id, roomId, body: bodyOf(held), deleted: true };
}
