import { planLaying, roomSet } from '@maquette/core';
import { findCard } from '@maquette/core/coverings';
import type { RoomFacts } from '@maquette/core/room';
import { USUAL_SET_OUT, type SetOut } from '@maquette/core/setout/facts';
import type { DemoRoom } from './demo-room.ts';
import type { Put } from './put.ts';
import { DEMO_CARDS } from './seed-under.ts';

const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;

/** Set-out, boxes, first box, patch tests and rows of a demo room. Told back from the seeding. */
export async function seedLay(put: Put, facts: RoomFacts, room: DemoRoom, seededAt: string): Promise<void> {
  const { lay } = room;
  if (!lay) return;
  const { id } = facts;
  const ago = (ms: number) => new Date(Date.parse(seededAt) - ms).toISOString();
  const setOut = { ...USUAL_SET_OUT, ...lay.setOut };
  await put('setOuts', `${id}-set-out`, id, setOut);
  for (const [n, { daysAgo, ...boxes }] of (lay.boxes ?? []).entries())
    await put('plankBoxes', `${id}-boxes-${n + 1}`, id, {
      ...boxes,
      stoodAt: ago(daysAgo * DAY_MS),
      isFlat: true,
      isOffConcrete: true,
      isOffOuterWall: true,
      isOffVentsAndSun: true,
      isOpened: false,
      note: '',
    });
  if (lay.check)
    await put('boxChecks', `${id}-check`, id, {
      ...lay.check,
      locks: 'good',
      straight: 'good',
      colour: 'good',
      checkedAt: ago(4 * HOUR_MS),
      note: '',
    });
  for (const [n, [zone, tackMin]] of (lay.glueHeld ?? []).entries())
    await put('glueTests', `${id}-glue-${n + 1}`, id, {
      zone,
      begunAt: ago(DAY_MS + (n + 1) * HOUR_MS),
      tackMin,
      isHeld: true,
      note: '',
    });
  if (lay.rows) await seedRows(put, facts, setOut, lay.rows, ago);
}

/** Rows as they would be planned, laid one after another, and the next one measured. */
async function seedRows(
  put: Put,
  facts: RoomFacts,
  setOut: Omit<SetOut, 'id'>,
  { laid, shorterMm }: { laid: number; shorterMm: number },
  ago: (ms: number) => string,
): Promise<void> {
  const card = findCard(DEMO_CARDS, facts.cardId)!;
  const plan = planLaying(roomSet(facts, card, { setOuts: [{ id: 'demo', ...setOut }] }), { pace: 'live' })!;
  for (const [n, { row, startMm, wholes, endMm }] of plan.rows.slice(0, laid + 1).entries())
    await put('laidRows', `${facts.id}-row-${n + 1}`, facts.id, {
      startWall: plan.startWall.wall,
      hand: setOut.hand,
      firstMm: plan.firstMm,
      row: row + 1,
      strip: 1,
      startMm,
      wholes,
      endMm: endMm - (n === laid ? shorterMm : 0),
      isLaid: n < laid,
      laidAt: ago((laid + 1 - n) * 20 * 60_000),
      batch: '',
      note: '',
    });
}
