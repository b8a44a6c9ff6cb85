import { goodWrite } from './invented.ts';
import { checkJobFile } from './job-file.ts';
import { JOB_FILE_VERSION } from './format.ts';
import type { FactKind } from './kinds.ts';

const AT = '2026-05-04T08:00:00.000Z';
const record = { version: 3, writeId: 'w-1', updatedAt: AT, deletedAt: null, replaced: [] };

function fact(kind: FactKind, id: string, roomId: string | null, part: object = {}, more: object = {}) {
  const { baseVersion: _version, writeId: _write, deleted: _deleted, ...body } = goodWrite(kind);
  return { ...record, kind, id, roomId, body: { ...body, ...part }, ...more };
}

const job = fact('jobs', 'job-1', null);
const room = fact('rooms', 'room-1', null, { jobId: 'job-1' });
const other = fact('rooms', 'room-2', null, { jobId: 'job-1' });
const setup = fact('setups', 'setup-1', 'room-1');
const reading = fact('readings', 'reading-1', 'room-1', { setupId: 'setup-1' });
const photo = fact('photos', 'photo-1', 'room-1');
const WHOLE = [job, room, other, setup, reading, photo];

const problemsOf = (facts: readonly object[], more: object = {}) =>
  checkJobFile({ format: 'maquette-job', version: JOB_FILE_VERSION, writtenAt: AT, facts, ...more }).map(
    ({ field, message }) => `${field} ${String(message)}`,
  );
const without = (gone: object) => WHOLE.filter((one) => one !== gone);
const instead = (old: object, now: object) => WHOLE.map((one) => (one === old ? now : one));
const old = (version: number, body: object = setup.body) => ({
  version,
  writeId: 'w-0',
  updatedAt: AT,
  deletedAt: null,
  body,
});

test('a whole job passes', () => {
  expect(problemsOf(WHOLE, { pictures: [{ photoId: 'photo-1', jpegBase64: 'AAAA' }] })).toEqual([]);
});

test.each([
  ['no job', without(job), /^facts takes one job/],
  ['a second job', [...WHOLE, fact('jobs', 'job-2', null)], /^facts takes one job/],
  ['an id twice', [...WHOLE, { ...setup }], /^facts\[6\].id stands in the file twice/],
  [
    'a room that is elsewhere',
    instead(setup, { ...setup, roomId: 'room-9' }),
    /^facts\[3\].roomId takes the id of a room/,
  ],
  ['no room', instead(setup, { ...setup, roomId: null }), /^facts\[3\].roomId/],
  ['a room in a room', instead(room, { ...room, roomId: 'room-2' }), /^facts\[1\].roomId takes null/],
  ['a room of another job', instead(room, fact('rooms', 'room-1', null, { jobId: 'job-9' })), /^facts\[1\].body.jobId/],
  ['a missing parent', without(setup), /^facts\[3\].body.setupId takes the id of one of the setups/],
  ['a parent in another room', instead(setup, { ...setup, roomId: 'room-2' }), /^facts\[4\].body.setupId/],
  ['a bad id', instead(setup, { ...setup, id: 'constructor/../x' }), /^facts\[3\].id/],
  ['a version past all', instead(setup, { ...setup, version: 1e15 }), /^facts\[3\].version/],
  [
    'an older version that is nothing',
    instead(setup, { ...setup, replaced: [{}] }),
    /^facts\[3\].replaced\[0\].version/,
  ],
  [
    'an older version that is no older',
    instead(setup, { ...setup, replaced: [old(3)] }),
    /replaced\[0\].version takes less than 3/,
  ],
  [
    'an older version out of turn',
    instead(setup, { ...setup, replaced: [old(2), old(1)] }),
    /replaced\[0\].version takes less than 1/,
  ],
  [
    'an older version with a wrong field',
    instead(setup, { ...setup, replaced: [old(1, { ...setup.body, name: 3 })] }),
    /^facts\[3\].replaced\[0\].body.name/,
  ],
  ['a time that is a week', instead(setup, { ...setup, updatedAt: '2026-W18-1' }), /^facts\[3\].updatedAt/],
])('%s is named by its place in the file', (_, facts, problem) => {
  const problems = problemsOf(facts);
  expect(problems.length).toBeGreaterThan(0);
  expect(problems[0]).toMatch(problem);
});

test('pictures are of photographs in the file, one each', () => {
  const picture = { photoId: 'photo-1', jpegBase64: 'AAAA' };
  expect(problemsOf(WHOLE, { pictures: [{ ...picture, photoId: 'photo-9' }] })[0]).toMatch(/^pictures\[0\].photoId/);
  expect(problemsOf(WHOLE, { pictures: [picture, picture] })[0]).toMatch(/^pictures\[1\].photoId stands/);
});

test.each([
  '2026-W18-1',
  '2026-05-04',
  '2026-05-04T08:00:00',
  '2026-05-04T08:00:00+02:00',
  '2026-02-30T08:00:00Z',
  '1870-01-01T00:00:00Z',
  '+012026-05-04T08:00:00Z',
  '2026-05-04T25:00:00Z',
])('the time %s is no moment in UTC in which something can have been read', (startedAt) => {
  expect(problemsOf(instead(setup, fact('setups', 'setup-1', 'room-1', { startedAt })))[0]).toMatch(
    /^facts\[3\].body.startedAt takes a time in UTC/,
  );
});
