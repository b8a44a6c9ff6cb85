import type { FactKind } from '@maquette/facts';

/** The stage of a room in which facts of a kind are entered. */
const STAGE_OF: Partial<Record<FactKind, string>> = {
  ...{
    layers: 'strip',
    samples: 'strip',
    taps: 'strip',
    layerChoices: 'strip',
    trimFates: 'strip',
    checks: 'sound',
    marks: 'sound',
  },
  ...{ airLogs: 'damp', airReadings: 'damp', dampReadings: 'damp', dampTests: 'damp' },
  ...{
    edgeWalks: 'flat',
    setups: 'flat',
    readings: 'flat',
    stations: 'flat',
    scans: 'flat',
    works: 'level',
    rises: 'level',
  },
  ...{ appliances: 'heights', buildUps: 'heights', flights: 'heights', leaves: 'heights', levels: 'heights' },
  ...{ partings: 'heights', skirtings: 'heights', cableTests: 'under', heatDays: 'under', underChoices: 'under' },
  ...{ boxChecks: 'lay', damagedPlanks: 'lay', glueBays: 'lay', glueTests: 'lay', laidRows: 'lay', plankBoxes: 'lay' },
  setOuts: 'lay',
};
/** The page of a job in which facts of a kind are entered. */
const PAGE_OF: Partial<Record<FactKind, string>> = {
  ...{ keptPlans: 'days', siteDays: 'days', siteWeeks: 'days', taskHolds: 'days', furnishings: 'days', waysIn: 'days' },
  ...{ packCounts: 'buy', prices: 'buy', figures: 'buy', surprises: 'price', quotations: 'price' },
  ...{ approvals: 'record', contacts: 'record', coverUps: 'record', handOvers: 'record', seals: 'record' },
};
const CARDS: readonly FactKind[] = ['cards', 'films', 'membranes', 'panels', 'underlays'];

/** The address at which a fact is shown. */
export function addressOf({
  kind,
  jobId,
  roomId,
}: {
  kind: FactKind;
  jobId: string | null;
  roomId: string | null;
}): string {
  if (CARDS.includes(kind)) return '/cards';
  const page = PAGE_OF[kind];
  if (page && jobId) return `/jobs/${jobId}/${page}`;
  if (roomId) return `/rooms/${roomId}/${STAGE_OF[kind] ?? 'room'}`;
  return jobId ? `/jobs/${jobId}` : '/';
}
