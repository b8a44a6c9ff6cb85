import type { BodyOf } from '@maquette/facts';
import type { Put } from './put.ts';

const DAY_MS = 86_400_000;
type Surprise = Omit<BodyOf<'surprises'>, 'jobId'>;

const mayCome = (room: string, of: Partial<Surprise> & Pick<Surprise, 'what' | 'trigger' | 'sharePct'>): Surprise => ({
  ofRoomId: `demo-${room}`,
  hours: 4,
  waitH: 0,
  cost: 60,
  before: 'level',
  state: 'may-come',
  isMakingSafe: false,
  foundAt: null,
  decidedBy: '',
  decidedOn: '',
  note: '',
  ...of,
});

const SURPRISES: Record<string, readonly Surprise[]> = {
  'sluice-house': [
    mayCome('hall', {
      what: 'Rot at the panel edge by the front door',
      trigger: 'The screwdriver sinks in once the panel is lifted at its edge.',
      sharePct: 35,
      hours: 8,
      cost: 84,
    }),
    mayCome('parlour', {
      what: 'Another visit to read the parlour',
      trigger: 'The base is not dry on the day it was to be.',
      sharePct: 25,
      hours: 1.5,
      cost: 33,
      before: 'lay',
    }),
    mayCome('landing', {
      what: 'The joint over the stair is loose: open it, resin and pins',
      trigger: 'It moved under foot when the landing was walked over.',
      sharePct: 100,
      hours: 5,
      waitH: 24,
      cost: 120,
      state: 'found',
    }),
  ],
  'fennimore-hall': [
    mayCome('stack-room', {
      what: 'Ground beneath the boards to be covered with film',
      trigger: 'The crawl space reads wetter once its hatch is open.',
      sharePct: 40,
      hours: 6,
      cost: 95,
    }),
  ],
};

/** What a job of the demo knows besides its rooms: furniture, ways in, what may come, a change to decide, a quotation that was given before it, and who is told of its record. */
export async function seedJob(put: Put, slug: string, seededAt: string): Promise<void> {
  const jobId = `demo-${slug}`;
  for (const [k, surprise] of (SURPRISES[slug] ?? []).entries())
    await put('surprises', `${jobId}-surprise-${k + 1}`, null, {
      jobId,
      ...surprise,
      foundAt: surprise.state === 'found' ? new Date(Date.parse(seededAt) - DAY_MS).toISOString() : null,
    });
  if (slug !== 'sluice-house') return;
  await put('waysIn', `${jobId}-way-1`, null, {
    jobId,
    ofRoomId: 'demo-landing',
    isOwn: false,
    note: 'Up the stair from the hall',
  });
  await put('furnishings', `${jobId}-furniture-1`, null, {
    jobId,
    ofRoomId: 'demo-parlour',
    goes: 'room',
    toRoomId: 'demo-boot-room',
    hours: 1.5,
    note: 'Settle and bookcase',
  });
  await put('contacts', `${jobId}-contact-1`, null, {
    jobId,
    name: 'Hanna Tarn',
    role: 'client',
    reach: 'hanna.tarn@sluice-house.invalid',
    note: '',
  });
  const lines = [
    { what: 'Parlour', cents: 214_500 },
    { what: 'Boot room', cents: 52_000 },
    { what: 'Hall', cents: 96_400 },
    { what: 'Kitchen', cents: 121_300 },
    { what: 'Wash house', cents: 88_100 },
    { what: 'Landing', cents: 91_700 },
  ];
  const netCents = lines.reduce((sum, { cents }) => sum + cents, 0);
  await put('quotations', `${jobId}-quotation-1`, null, {
    jobId,
    number: 1,
    givenAt: new Date(Date.parse(seededAt) - 6 * DAY_MS).toISOString(),
    validDays: 30,
    lines,
    netCents,
    taxCents: netCents / 5,
    grossCents: netCents + netCents / 5,
    contingencyCents: 42_000,
    promisedDay: '',
    note: 'Before the landing was walked over',
  });
}
