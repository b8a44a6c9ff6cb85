import { readRoom } from '../assess/invented-cottage.ts';
import type { RoomSet } from '../assess/room-set.ts';
import { newFixture } from '../room/index.ts';
import { noJobFacts, type JobFacts } from './job-facts.ts';
import { groundOf, type RoomGround } from './room-ground.ts';
import type { Surprise } from './facts.ts';

/** Monday the 4th of May 2026, seven in the morning in London; a bank holiday there. */
export const AT = '2026-05-04T06:00:00.000Z';

export const FACTS: JobFacts = { ...noJobFacts('j', 'Europe/London'), country: 'GB' };

/** A floor with one low, 6 mm deep: it is filled. */
export const low = (xM: number, yM: number): number => -6 * Math.exp(-((xM - 2) ** 2 + (yM - 1.5) ** 2) / 0.3);

/** A hall with a door of its own, and a parlour one comes into through it. */
export function house({ parlour = {} }: { parlour?: Partial<RoomSet> } = {}): RoomGround[] {
  const hall = readRoom('hall', low, {
    room: {
      openings: [
        { ...readRoom('x', low).room.openings[0]!, id: 'front' },
        { ...readRoom('x', low).room.openings[0]!, id: 'hall-door', wall: 1, fromMm: 200, sharedId: 'inner' },
      ],
    },
  });
  const inner = readRoom('parlour', low, { opening: { id: 'parlour-door', sharedId: 'inner' }, facts: parlour });
  return [hall, inner].map((set) => groundOf(set, [], AT));
}

/** A room with the only toilet. */
export const withToilet = (): RoomGround =>
  groundOf(
    readRoom('wash', () => 0, { room: { fixtures: [newFixture('wc', 'toilet', { xMm: 2000, yMm: 1500 }, 0)] } }),
    [],
    AT,
  );

export const surprise = (part: Partial<Surprise> = {}): Surprise => ({
  id: 's1',
  jobId: 'j',
  ofRoomId: 'parlour',
  what: 'Rot',
  trigger: 'The screwdriver sinks in',
  sharePct: 35,
  hours: 8,
  waitH: 24,
  cost: 84,
  before: 'level',
  state: 'may-come',
  isMakingSafe: false,
  foundAt: null,
  decidedBy: '',
  decidedOn: '',
  note: '',
  ...part,
});
