import { leastSteps, type HeightSample, type HeightsJob, type SolveMixed } from './least-steps.ts';

/** What stops a room whatever is laid in it, so that no choice over the job can be held against it: a leaf or a limit by its id. */
export interface Hopeless {
  id: string;
  roomId: string;
}

/** Levels a place can come to by any choice in its room: the thinnest on the lowest, the thickest on the highest. */
function reachOf(job: HeightsJob, { roomId, keptMm, overMm = 0 }: HeightSample): [number, number] {
  const room = job.rooms.find(({ id }) => id === roomId)!;
  const builds = room.systems.map(({ buildUpMm }) => buildUpMm);
  const [low, high] = [
    Math.min(keptMm, room.pour?.lowMm ?? Infinity),
    Math.max(keptMm, room.pour?.highMm ?? -Infinity),
  ];
  return [low + overMm + Math.min(...builds), high + overMm + Math.max(...builds)];
}

/**
 * A job without what no choice in its room keeps: leaves and limits that are out of reach one by one, and all of a room's where nothing
 * that may be laid there keeps them together. Somebody else decides those first, and they are told apart.
 */
export function withoutHopeless(job: HeightsJob, solve: SolveMixed): { job: HeightsJob; hopeless: Hopeless[] } {
  const hopeless: Hopeless[] = [];
  const leave = (id: string, roomId: string) => {
    if (!hopeless.some((one) => one.id === id)) hopeless.push({ id, roomId });
  };
  const within = (id: string, samples: readonly HeightSample[], keeps: (low: number, high: number) => boolean) => {
    const out = samples.find((sample) => !keeps(...reachOf(job, sample)));
    if (out) leave(id, out.roomId);
    return !out;
  };
  let leaves = job.leaves.filter(({ id, samples, mostMm, trimMm, fixedMm = -Infinity }) =>
    within(id, samples, (low) => Math.max(low, fixedMm) <= mostMm + trimMm),
  );
  let limits = job.limits.filter(({ id, sample, leastMm, mostMm }) =>
    within(id, [sample], (low, high) => low <= (mostMm ?? Infinity) && high >= (leastMm ?? -Infinity)),
  );
  for (const room of job.rooms) {
    const isHere = ({ roomId }: HeightSample) => roomId === room.id;
    const own = {
      leaves: leaves.filter(({ samples }) => samples.every(isHere)),
      limits: limits.filter(({ sample }) => isHere(sample)),
    };
    if (own.leaves.length + own.limits.length < 2) continue;
    if (leastSteps({ ...job, rooms: [room], openings: [], ...own }, solve, 1).length > 0) continue;
    for (const { id } of [...own.leaves, ...own.limits]) leave(id, room.id);
    leaves = leaves.filter((leaf) => !own.leaves.includes(leaf));
    limits = limits.filter((limit) => !own.limits.includes(limit));
  }
  return { job: { ...job, leaves, limits }, hopeless };
}
