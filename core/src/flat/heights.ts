import type { FlatFacts, RodReading, SetUp } from './facts.ts';
import { movedAt } from './moved.ts';

/** Closing error above this marks a set-up as suspect, mm. */
export const CLOSING_LIMIT_MM = 1;

/** A reading turned into a height in the room's one datum (the benchmark is 0, up is positive). */
export interface Height {
  readingId: string;
  stationKey: string;
  xMm: number;
  yMm: number;
  heightMm: number;
  takenAt: string;
  suspect: boolean;
}

export interface SetUpState {
  setup: SetUp;
  /** Height of the line of sight over the datum, mm; null while nothing ties this set-up. */
  sightMm: number | null;
  tiedBy: 'benchmark' | 'stations' | 'untied';
  /** Close reading less opening reading, mm; null until closed. */
  closingMm: number | null;
  suspect: boolean;
  readings: number;
  /** Shared stations and the largest disagreement among them after the tie, mm; null when fewer than two share. */
  tieSpreadMm: number | null;
}

export interface Heights {
  heights: Height[];
  setups: SetUpState[];
  /** Readings left out because their set-up is not tied to the datum. */
  untied: number;
}

/**
 * Later readings at one station replace earlier ones in judgement; the earlier stay on record. Which is later is told by their
 * order in the list: clocks of two phones do not agree.
 */
function latestPerStation(readings: readonly RodReading[]): RodReading[] {
  const latest = new Map(readings.map((reading) => [reading.stationKey, reading]));
  return [...latest.values()].sort((a, b) =>
    a.takenAt < b.takenAt ? -1 : a.takenAt > b.takenAt ? 1 : a.id < b.id ? -1 : 1,
  );
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/**
 * Heights of all readings, in the order in which they were made, in one datum: height = line of sight - rod, the line of sight being the opening reading on the
 * benchmark (benchmark = 0). A set-up without a benchmark takes the mean offset over the stations it shares with a tied one.
 * With no benchmark anywhere the first set-up is its own datum. Closing errors are reported, not spread. What levelling has
 * moved since it was read is left out: the old reading stays on record.
 */
export function heightsOf(facts: Pick<FlatFacts, 'setups' | 'readings' | 'works'>): Heights {
  const setups = [...facts.setups].sort((a, b) =>
    a.startedAt < b.startedAt ? -1 : a.startedAt > b.startedAt ? 1 : a.id < b.id ? -1 : 1,
  );
  const bySetup = new Map<string, RodReading[]>(setups.map((setup) => [setup.id, []]));
  for (const reading of facts.readings) bySetup.get(reading.setupId)?.push(reading);
  const sight = new Map<string, number>();
  const tiedBy = new Map<string, SetUpState['tiedBy']>();
  const spread = new Map<string, number>();
  for (const setup of setups) {
    if (setup.openRodMm === null) continue;
    sight.set(setup.id, setup.openRodMm);
    tiedBy.set(setup.id, 'benchmark');
  }
  const first = setups[0];
  if (sight.size === 0 && first) {
    const rods = (bySetup.get(first.id) ?? []).map((reading) => reading.rodMm);
    if (rods.length > 0) {
      sight.set(first.id, mean(rods));
      tiedBy.set(first.id, 'stations');
    }
  }
  for (let tied = true; tied;) {
    tied = false;
    const known = new Map<string, number>();
    for (const setup of setups) {
      const line = sight.get(setup.id);
      if (line === undefined) continue;
      for (const reading of bySetup.get(setup.id) ?? []) known.set(reading.stationKey, line - reading.rodMm);
    }
    for (const setup of setups) {
      if (sight.has(setup.id)) continue;
      const lines = (bySetup.get(setup.id) ?? []).flatMap((r) =>
        known.has(r.stationKey) ? [known.get(r.stationKey)! + r.rodMm] : [],
      );
      if (lines.length === 0) continue;
      sight.set(setup.id, mean(lines));
      tiedBy.set(setup.id, 'stations');
      if (lines.length > 1) spread.set(setup.id, Math.max(...lines) - Math.min(...lines));
      tied = true;
    }
  }
  const states = setups.map((setup): SetUpState => {
    const closingMm = setup.openRodMm !== null && setup.closeRodMm !== null ? setup.closeRodMm - setup.openRodMm : null;
    const tieSpreadMm = spread.get(setup.id) ?? null;
    return {
      setup,
      sightMm: sight.get(setup.id) ?? null,
      tiedBy: tiedBy.get(setup.id) ?? 'untied',
      closingMm,
      // A tenth is lost to rounding when a closing error of exactly the limit is keyed in sixteenths.
      suspect:
        (closingMm !== null && Math.abs(closingMm) > CLOSING_LIMIT_MM + 1e-6) ||
        (tieSpreadMm ?? 0) > 2 * CLOSING_LIMIT_MM,
      readings: bySetup.get(setup.id)?.length ?? 0,
      tieSpreadMm,
    };
  });
  const suspects = new Set(states.filter((state) => state.suspect).map((state) => state.setup.id));
  const spent = movedAt(facts.works ?? []);
  const used = latestPerStation(facts.readings.filter((reading) => sight.has(reading.setupId))).filter(
    (reading) => reading.takenAt >= (spent.get(reading.stationKey) ?? ''),
  );
  return {
    heights: used.map((r) => ({
      readingId: r.id,
      stationKey: r.stationKey,
      xMm: r.xMm,
      yMm: r.yMm,
      heightMm: sight.get(r.setupId)! - r.rodMm,
      takenAt: r.takenAt,
      suspect: suspects.has(r.setupId),
    })),
    setups: states,
    untied: facts.readings.filter((reading) => !sight.has(reading.setupId)).length,
  };
}
