import type request from 'supertest';
import { BLANK_JOB } from '@maquette/core/job';
import { BLANK_SHAPE } from '@maquette/core/room';

let count = 0;
/** What every write says besides its body. */
export const write = (baseVersion = 0, deleted = false) => ({ baseVersion, deleted, writeId: `w-${++count}` });
/** A wall as rooms keep it. */
export const wall = (lengthMm: number, turnDeg = 90) => ({ lengthMm, turnDeg });
export const room = {
  jobId: 'job-1',
  name: 'Parlour',
  rank: 0,
  walls: [wall(5400), wall(4200), wall(5400), wall(4200)],
  ...BLANK_SHAPE,
  baseKind: 'slab-on-ground',
  cardId: 'shipped-click-vinyl',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};
export const reading = {
  setupId: 'setup-1',
  stationKey: 'p1',
  xMm: 100,
  yMm: 100,
  rodMm: 1340.5,
  takenAt: '2026-05-04T08:00:09.000Z',
  note: '',
};

/** A job with one room and one set-up in it, stored through the API. */
export async function buildRoom(api: ReturnType<typeof request>): Promise<void> {
  await api
    .put('/api/jobs/job-1')
    .send({ ...write(), name: 'Sluice House', ...BLANK_JOB, rank: 0 })
    .expect(201);
  await api
    .put('/api/rooms/room-1')
    .send({ ...write(), ...room })
    .expect(201);
  await api
    .put('/api/rooms/room-1/setups/setup-1')
    .send({ ...write(), name: 'A', openRodMm: 1330, closeRodMm: null, startedAt: '2026-05-04T08:00:00.000Z' })
    .expect(201);
}
