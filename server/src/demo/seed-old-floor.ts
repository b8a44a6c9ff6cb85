import { newLayer } from '@maquette/core/layers';
import { floorOf, planOf, type Fixture } from '@maquette/core/room';
import { tapResult } from '@maquette/core/stripout';
import type { DemoRoom } from './demo-room.ts';
import type { Put } from './put.ts';

const SURVEYED = '2026-05-02T09:00:00.000Z';
const TAP_MM = 500;

/** What lies on a demo room's floor: layers, results, answers, taps, marks, and the steps already done. */
export async function seedOldFloor(put: Put, id: string, room: DemoRoom): Promise<void> {
  for (const [rank, { id: layerId, kind, ...own }] of (room.layers ?? []).entries()) {
    const { id: _, where, seams, ...body } = newLayer(layerId, kind, { rank, ...own });
    await put('layers', layerId, id, { ...body, where: [...where], seams: [...seams] });
  }
  for (const { id: sampleId, ...sample } of room.samples ?? [])
    await put('samples', sampleId, id, { ...sample, where: [], note: '' });
  for (const [n, [{ question }, answer]] of (room.answers ?? []).entries())
    await put('answers', `${id}-answer-${n + 1}`, id, { question, answer, note: '' });
  for (const [n, choice] of (room.layerChoices ?? []).entries())
    await put('layerChoices', `${id}-choice-${n + 1}`, id, { ...choice, note: '' });
  for (const [n, mark] of (room.marks ?? []).entries()) await put('marks', `${id}-mark-${n + 1}`, id, mark);
  for (const layerId of room.ticked ?? []) {
    for (const key of [`layer/${layerId}`, `edges/gripper/${layerId}`])
      await put('ticks', `${id}-tick-${key.replaceAll('/', '-').slice(0, 36)}`, id, {
        key,
        doneAt: SURVEYED,
        note: '',
      });
  }
  const plan = planOf({ walls: room.walls, fixtures: (room.fixtures ?? []) as Fixture[] });
  for (const { layerId, hollowAt, upTo } of room.tapped ?? []) {
    const { grid } = tapResult(floorOf(plan), { id: layerId }, [], TAP_MM);
    for (const [n, { xMm, yMm }] of grid.slice(0, upTo).entries()) {
      const hollow = hollowAt.some(([x, y]) => Math.hypot(x - xMm, y - yMm) < TAP_MM / 2);
      await put('taps', `${layerId}-tap-${n + 1}`, id, { layerId, xMm, yMm, sound: hollow ? 'hollow' : 'sound' });
    }
  }
}
