import { FIGURES } from '@maquette/core/figures';
import { planOf, UNKNOWN_BASE, type RoomFacts } from '@maquette/core/room';
import { walkPlaces } from '@maquette/core/soundness';
import { normal, roundTo } from '@maquette/core/units';
import { DAMP_STORIES } from './damp-story.ts';
import type { DemoRoom } from './demo-room.ts';
import type { Put } from './put.ts';

const DAY_MS = 86_400_000;
const LOG_EVERY_MS = 1_800_000;

/** Air, tests, marks and walk of a demo room. Told back from the seeding: evidence that is older no longer counts. */
export async function seedDamp(
  put: Put,
  id: string,
  room: DemoRoom,
  shape: Pick<RoomFacts, 'walls' | 'fixtures'>,
  seededAt: string,
  chance: () => number,
): Promise<void> {
  const story = DAMP_STORIES[room.slug];
  if (!story) return;
  const ago = (days: number) => new Date(Date.parse(seededAt) - days * DAY_MS).toISOString();
  for (const [n, test] of (story.tests ?? []).entries()) {
    const testId = `${id}-test-${n + 1}`;
    await put('dampTests', testId, id, {
      method: test.method,
      name: test.name,
      xMm: test.at[0],
      yMm: test.at[1],
      startedAt: test.setDays === null ? null : ago(test.setDays),
      depthMm: test.depthMm ?? null,
      startG: null,
      areaM2: null,
      of: 'base',
      offsetPercent: 0,
      compensates: false,
      instrument: `Demo ${test.method} meter`,
      checkedOn: ago(60).slice(0, 10),
      note: '',
    });
    for (const [r, [days, value, tempC]] of test.readings.entries())
      await put('dampReadings', `${testId}-${r + 1}`, id, {
        testId,
        takenAt: ago(days),
        value,
        sampleG: null,
        tempC,
        who: 'Demo',
        note: '',
      });
  }
  if (story.log) {
    const { days, tempC, rhPercent, openAtH } = story.log;
    const count = Math.floor((days * DAY_MS) / LOG_EVERY_MS);
    const samples = Array.from({ length: count }, (_, i) => {
      const hour = (i * LOG_EVERY_MS) / 3_600_000;
      const open = openAtH !== undefined && hour >= openAtH && hour < openAtH + 3;
      const daily = Math.sin((2 * Math.PI * hour) / 24);
      return {
        at: new Date(Date.parse(seededAt) - (count - i) * LOG_EVERY_MS).toISOString(),
        tempC: roundTo(tempC + daily - (open ? 8 : 0) + 0.1 * normal(chance), 0.1),
        rhPercent: roundTo(rhPercent - 3 * daily + (open ? 16 : 0) + 0.4 * normal(chance), 0.1),
      };
    });
    await put('airLogs', `${id}-log-1`, id, { name: 'Demo logger', instrument: 'Demo logger', samples, note: '' });
  }
  for (const [n, [{ question }, answer]] of (story.answers ?? []).entries())
    await put('answers', `${id}-damp-answer-${n + 1}`, id, { question, answer, note: '' });
  for (const [n, { id: _, ...mark }] of (story.marks ?? []).entries())
    await put('marks', `${id}-damage-${n + 1}`, id, mark);
  const facts = { baseKind: room.baseKind, base: { ...UNKNOWN_BASE, ...room.base }, units: room.units } as RoomFacts;
  const steps = walkPlaces(facts, planOf(shape), FIGURES['tap-mm'].value);
  const walked = story.walked === 'all' ? steps.length : (story.walked ?? 0);
  for (const [n, step] of steps.slice(0, walked).entries())
    await put('checks', `${id}-check-${n + 1}`, id, {
      key: step.key,
      found: false,
      takenAt: ago(2 - n * 0.001),
      note: '',
    });
}
