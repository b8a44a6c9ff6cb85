import { normal, seeded } from '@maquette/core/units';
import { SCENARIO } from '../demo/scenario.ts';

/** One length as a meter sends it. */
interface MeterLength {
  instrument: 'distance-meter';
  lengthMm: number;
  takenAt: string;
  batteryPct: number;
}

const ROOM = 'parlour';
const NOISE_MM = 0.8;
/** Now and then the beam meets something that stands in the way. */
const MISS_SHARE = 0.04;
const STEP_MM = 0.1;

/**
 * A stand-in for a laser distance meter held along the walls of the demo's parlour: each call is one length of the wall aimed
 * at, with a meter's noise and the odd miss. A real one takes its place by sending the same events.
 */
export function distanceMeter(wall: number, seed: number): (now: string) => MeterLength {
  const room = SCENARIO.flatMap((job) => job.rooms).find((r) => r.slug === ROOM)!;
  const { lengthMm } = room.walls[wall % room.walls.length]!;
  const chance = seeded(seed);
  let sent = 0;
  return (takenAt) => {
    const missed = chance() < MISS_SHARE;
    const truth = missed ? lengthMm * (0.5 + 0.4 * chance()) : lengthMm;
    const noisy = truth + NOISE_MM * normal(chance);
    return {
      instrument: 'distance-meter',
      lengthMm: Math.round(noisy / STEP_MM) * STEP_MM,
      takenAt,
      batteryPct: Math.max(1, 84 - Math.floor(sent++ / 40)),
    };
  };
}
