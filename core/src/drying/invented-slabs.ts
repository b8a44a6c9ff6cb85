import { normal, seeded } from '../units/index.ts';
import type { Series } from './fit.ts';
import { dayReached, humidityOn, type Slab, type SlabClimate } from './slab.ts';

/** An invented slab with what a probe would have read of it, and the truth the forecast does not see. */
interface InventedSlab {
  series: Series;
  limitPercent: number;
  planRhPercent: number;
  /** Day the limit is truly reached; null within three years not at all. */
  trueDay: number | null;
}

/**
 * Slabs the forecast is held against: thickness, diffusivity, start and room air drawn at random; the true room air wanders by the
 * week, and the probe is off by its own bias and noise, so that the model fitted is never the model drawn.
 */
export function inventSlabs(count: number, seed: number): InventedSlab[] {
  const random = seeded(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const made: InventedSlab[] = [];
  while (made.length < count) {
    const thicknessMm = Math.round(between(60, 180));
    const roomRh = between(0.4, 0.6);
    const climates: SlabClimate[] = Array.from({ length: 150 }, (_, week) => ({
      fromDay: week * 7,
      roomRh: roomRh + 0.05 * normal(random),
      speed: 1 + 0.1 * normal(random),
      faces: 1,
    }));
    const slab: Slab = {
      thicknessMm,
      diffusivityM2S: 10 ** (-9.55 + 0.35 * normal(random)),
      startRh: Math.min(0.995, 0.96 + 0.02 * normal(random)),
      climates,
      law: 'concrete',
    };
    const depthMm = 0.4 * thicknessMm;
    const firstDay = between(20, 60);
    const days = Array.from({ length: 7 }, (_, i) => firstDay + i * 7);
    const truth = humidityOn(slab, depthMm, days);
    const limitPercent = Math.round(truth[6]! * 100 - between(3, 9));
    if (limitPercent < 65 || truth[6]! * 100 > 97) continue;
    const bias = 0.5 * normal(random);
    made.push({
      series: {
        thicknessMm,
        depthMm,
        readings: truth.map((rh, i) => ({ day: days[i]!, rhPercent: rh * 100 + bias + 0.7 * normal(random) })),
        climates: [{ fromDay: 0, roomRh, speed: 1, faces: 1 }],
      },
      limitPercent,
      planRhPercent: roomRh * 100,
      trueDay: dayReached(slab, depthMm, limitPercent / 100, days[6]!, days[6]! + 1000),
    });
  }
  return made;
}
