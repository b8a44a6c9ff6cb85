import { seeded } from '../units/index.ts';
import {
  FIXTURE_KINDS,
  floorOf,
  inRegion,
  newFixture,
  outlineOf,
  planOf,
  regionOf,
  type Fixture,
  type Plan,
  type Region,
  type Wall,
} from './index.ts';

/** A room with the chance it was made by, for what a test still wants to draw. */
interface InventedRoom {
  walls: Wall[];
  fixtures: Fixture[];
  plan: Plan;
  floor: Region;
  chance: () => number;
}

/** A room no one has built: a rectangle with up to three notches and alcoves, and up to twelve fixtures. */
export function invented(seed: number, size = 1): InventedRoom {
  const chance = seeded(seed + 1);
  const between = (low: number, high: number) => Math.round(low + chance() * (high - low));
  const [w, d] = [between(3000, 7000) * size, between(2500, 6000) * size];
  const walls: Wall[] = [];
  for (const side of [w, d, w, d]) {
    if (chance() < 0.5) {
      // A third of the wall set in or out, as an alcove or a breast.
      const third = Math.round(side / 3);
      const deep = between(150, Math.min(w, d) / 5);
      const [first, back] = chance() < 0.5 ? [-90, 90] : [90, -90];
      walls.push(
        { lengthMm: third, turnDeg: first },
        { lengthMm: deep, turnDeg: back },
        { lengthMm: side - 2 * third, turnDeg: back },
        { lengthMm: deep, turnDeg: first },
        { lengthMm: third, turnDeg: 90 },
      );
    } else walls.push({ lengthMm: side, turnDeg: 90 });
  }
  const { corners } = outlineOf(walls);
  const room = regionOf(corners);
  const fixtures: Fixture[] = [];
  for (let i = 0; i < 60 && fixtures.length < between(2, 12); i++) {
    const kind = FIXTURE_KINDS[Math.floor(chance() * FIXTURE_KINDS.length)]!;
    const at = { xMm: between(0, w), yMm: between(0, d) };
    if (inRegion(room, at.xMm, at.yMm)) fixtures.push(newFixture(`f${i}`, kind, at, between(0, 3) * 90));
  }
  const plan = planOf({ walls, fixtures });
  return { walls, fixtures, plan, floor: floorOf(plan), chance };
}
