import type { Station } from '@maquette/core/flat';
import { normal, roundTo, seeded } from '@maquette/core/units';
import type { DemoRoom } from './demo-room.ts';
import type { Put } from './put.ts';

const DAY_MS = 86_400_000;
/** From reading the low to having it filled. */
const WORK_MS = 5 * 3_600_000;
const SIGHT_MM = 1254.6;
const NOISE_MM = 0.25;
const SEED = 97;

/**
 * The day before a room was read as it is now: the same stations with a low in the floor, and the fill that took it out. What
 * the fill was to lead to is the floor as it was meant, without the trowel's own tenths.
 */
export async function seedLevelled(
  put: Put,
  id: string,
  room: DemoRoom,
  stations: readonly Station[],
  heightAt: (room: Pick<DemoRoom, 'bumps' | 'fall'>, xMm: number, yMm: number) => number,
  readAtMs: number,
): Promise<void> {
  if (!room.levelled) return;
  const { low, ...work } = room.levelled;
  const chance = seeded(SEED);
  const setupId = `${id}-setup-before`;
  const at = (ms: number) => new Date(readAtMs - DAY_MS + ms).toISOString();
  await put('setups', setupId, id, { name: 'Before', openRodMm: SIGHT_MM, closeRodMm: SIGHT_MM, startedAt: at(0) });
  const was = { bumps: [...room.bumps, low], fall: room.fall };
  const predicted = [];
  for (const [n, { key, xMm, yMm }] of stations.entries()) {
    const beforeMm = heightAt(was, xMm, yMm);
    const rodMm = roundTo(SIGHT_MM - beforeMm + NOISE_MM * normal(chance), 0.5);
    await put('readings', `${setupId}-${String(n + 1).padStart(3, '0')}`, id, {
      setupId,
      stationKey: key,
      xMm,
      yMm,
      rodMm,
      takenAt: at((n + 1) * 9_000),
      note: '',
    });
    predicted.push({
      stationKey: key,
      xMm,
      yMm,
      beforeMm,
      afterMm: Math.max(beforeMm, heightAt(room, xMm, yMm) - 0.4),
    });
  }
  await put('works', `${id}-work-1`, id, {
    way: 'fill',
    doneAt: at(WORK_MS),
    ...work,
    tempC: 17.5,
    rhPercent: 58,
    note: 'Primed twice where it drank.',
    predicted,
  });
}
