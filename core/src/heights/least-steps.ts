/** What may be laid in a room: covering, underlay and panel as one. */
export interface HeightSystem {
  id: string;
  /** Build-up on a new floor, mm; what it weighs, kg/m2; material and labour for this room. */
  buildUpMm: number;
  kgM2: number;
  cost: number;
  /** Cost of the levelling this covering asks of a surface that is kept; the room's own where it is left out. */
  keepCost?: number;
}

/** A room as the least steps are sought over: what may lie in it, and what pouring it to a level takes. */
export interface HeightRoom {
  id: string;
  areaM2: number;
  systems: readonly HeightSystem[];
  /** Cost of the levelling that is planned where the surface is kept. */
  keepCost: number;
  /** Null where it cannot be poured: held by a gate, or over what may not be covered. */
  pour: Pour | null;
  /** All that is laid may weigh so much, kg/m2; null where nothing limits it. */
  mostKgM2: number | null;
}

export interface Pour {
  /** Levels the pour may come to, mm over the datum. */
  lowMm: number;
  highMm: number;
  /** Litres as the highest of these lines: l >= perMm x level + litres. A volume over a level bends upwards only. */
  pieces: readonly { perMm: number; litres: number }[];
  costPerL: number;
  kgPerL: number;
  /** Setting up, once. */
  cost: number;
}

/** A place whose level counts: in a room, with the level of the surface kept there. */
export interface HeightSample {
  roomId: string;
  keptMm: number;
  /** What lies on the floor there, kept or poured: a bar's cap or a rug. */
  overMm?: number;
}

/** An opening between two rooms of the job, or one of them and a floor that stays as it is. */
export interface HeightOpening {
  id: string;
  samples: readonly { here: HeightSample; beyond: HeightSample | { levelMm: number } }[];
  /** What its step is counted as, where access rules hold it: as many classes as the job's. */
  classes?: readonly StepClass[];
}

/** What a step may be in a class, mm, and what that costs: bar, labour, and what it is to walk over. */
export interface StepClass {
  mostMm: number;
  cost: number;
  /** No bar takes it: whatever it costs, the fewest openings there can be come to it. */
  avoided?: boolean;
}
/** Flat bar, tilted bar or ramp bar, reducer, made ramp or threshold. */
export const USUAL_STEP_CLASSES: readonly StepClass[] = [
  { mostMm: 2, cost: 15 },
  { mostMm: 6, cost: 45 },
  { mostMm: 15, cost: 95 },
  { mostMm: 400, cost: 320, avoided: true },
];

/** A leaf over the floor at some places: kept clear, or trimmed for it. */
export interface HeightLeaf {
  id: string;
  samples: readonly HeightSample[];
  /** The floor may come so high under it as it hangs, mm over the datum; and higher by so much once trimmed, 0 where it may not be. */
  mostMm: number;
  trimMm: number;
  trimCost: number;
  /** The highest under it, closed, that no choice moves: a floor that stays beyond its opening, with the bar's cap. */
  fixedMm?: number;
}

/** A level that must not be passed: bay, access, stair, sill, guard from above; a fire leaf's gap from below. */
export interface HeightLimit {
  id: string;
  sample: HeightSample;
  leastMm: number | null;
  mostMm: number | null;
}

export interface HeightsJob {
  rooms: readonly HeightRoom[];
  openings: readonly HeightOpening[];
  classes: readonly StepClass[];
  leaves: readonly HeightLeaf[];
  limits: readonly HeightLimit[];
}

/** A choice over the job: what lies in each room, on what, and what that makes of the openings. */
export interface HeightsChoice {
  cost: number;
  /** No choice can cost less than this; the same as `cost` where it is proved the least. */
  boundCost: number;
  rooms: { roomId: string; systemId: string; pourMm: number | null; litres: number }[];
  openings: { openingId: string; stepClass: number; worstMm: number }[];
  trimmed: string[];
}

/** A programme some of whose variables are whole: minimise cost x, lower <= x <= upper, rows between limits. */
export interface MixedProgramme {
  cost: number[];
  lower: number[];
  upper: number[];
  whole: boolean[];
  rows: MixedRow[];
}
export interface MixedRow {
  columns: number[];
  weights: number[];
  lower: number;
  upper: number;
}
/** Solves one; null where nothing satisfies it. The core carries no solver: the worker and the server bring theirs. */
export type SolveMixed = (programme: MixedProgramme) => { values: Float64Array; cost: number; bound: number } | null;

type Terms = Map<number, number>;

/** Choices shown beside the best. */
const SHOWN = 3;

/**
 * The cheapest ways to lay the whole job, steps and trims counted, at most three that differ in what lies in some room or in
 * whether it is poured; among those with the fewest steps that no bar takes. Exact: a mixed-integer programme with one variable a room, system and treatment, one a class of step
 * and opening, and the pours' levels free. Empty where the limits leave nothing.
 */
export function leastSteps(job: HeightsJob, solve: SolveMixed, shown = SHOWN): HeightsChoice[] {
  const built = programmeOf(job);
  if (built.avoidColumns.length > 0) {
    const cost = built.programme.cost.map((_, column) => (built.avoidColumns.includes(column) ? 1 : 0));
    const fewest = solve({ ...built.programme, cost });
    if (!fewest) return [];
    built.programme.rows.push({
      columns: built.avoidColumns,
      weights: built.avoidColumns.map(() => 1),
      lower: -Infinity,
      upper: Math.round(fewest.cost),
    });
  }
  const choices: HeightsChoice[] = [];
  while (choices.length < shown) {
    const found = solve(built.programme);
    if (!found) break;
    choices.push(built.read(found));
    const chosen = built.choiceColumns.filter((column) => found.values[column]! > 0.5);
    // The same again is barred: one room at least is otherwise.
    built.programme.rows.push({
      columns: chosen,
      weights: chosen.map(() => 1),
      lower: -Infinity,
      upper: chosen.length - 1,
    });
  }
  return choices;
}

function programmeOf(job: HeightsJob) {
  const programme: MixedProgramme = { cost: [], lower: [], upper: [], whole: [], rows: [] };
  const add = (cost: number, lower: number, upper: number, whole: boolean) => {
    programme.cost.push(cost);
    programme.lower.push(lower);
    programme.upper.push(upper);
    programme.whole.push(whole);
    return programme.cost.length - 1;
  };
  const row = (terms: Terms, lower: number, upper: number) =>
    programme.rows.push({ columns: [...terms.keys()], weights: [...terms.values()], lower, upper });
  const rooms = new Map(job.rooms.map((room) => [room.id, roomVariables(room, add, row)]));
  const at = (sample: HeightSample) => levelTerms(rooms.get(sample.roomId)!, sample);
  const classesAt = (opening: HeightOpening) => opening.classes ?? job.classes;

  const openings = job.openings.map((opening) => {
    const classes = classesAt(opening).map(({ cost }) => add(cost, 0, 1, true));
    row(new Map(classes.map((column) => [column, 1])), 1, 1);
    for (const { here, beyond } of opening.samples) {
      const fixedMm = 'levelMm' in beyond ? beyond.levelMm : 0;
      const step = 'levelMm' in beyond ? at(here) : less(at(here), at(beyond));
      const within = (sign: number) => {
        const terms: Terms = new Map([...step].map(([column, weight]) => [column, sign * weight]));
        classes.forEach((column, c) => terms.set(column, -classesAt(opening)[c]!.mostMm));
        row(terms, -Infinity, sign * fixedMm);
      };
      within(1);
      within(-1);
    }
    return { opening, classes };
  });
  const leaves = job.leaves.map((leaf) => {
    const trimmedAnyway = (leaf.fixedMm ?? -Infinity) > leaf.mostMm;
    const trim = add(leaf.trimCost, trimmedAnyway ? 1 : 0, leaf.trimMm > 0 ? 1 : 0, true);
    for (const sample of leaf.samples) row(new Map([...at(sample), [trim, -leaf.trimMm]]), -Infinity, leaf.mostMm);
    return { leaf, trim };
  });
  for (const { sample, leastMm, mostMm } of job.limits) row(at(sample), leastMm ?? -Infinity, mostMm ?? Infinity);

  const valueOf = (terms: Terms, values: Float64Array) =>
    [...terms].reduce((sum, [column, weight]) => sum + weight * values[column]!, 0);
  return {
    programme,
    avoidColumns: openings.flatMap(({ opening, classes }) => classes.filter((_, c) => classesAt(opening)[c]!.avoided)),
    choiceColumns: [...rooms.values()].flatMap(({ choices }) => choices.map(({ column }) => column)),
    read: ({ values, cost, bound }: { values: Float64Array; cost: number; bound: number }): HeightsChoice => ({
      cost,
      boundCost: bound,
      rooms: job.rooms.map(({ id }) => {
        const { choices, level, litres } = rooms.get(id)!;
        const chosen = choices.find(({ column }) => values[column]! > 0.5)!;
        return {
          roomId: id,
          systemId: chosen.system.id,
          pourMm: chosen.poured ? values[level!]! : null,
          litres: chosen.poured ? values[litres!]! : 0,
        };
      }),
      openings: openings.map(({ opening, classes }) => ({
        openingId: opening.id,
        stepClass: classes.findIndex((column) => values[column]! > 0.5),
        worstMm: Math.max(
          0,
          ...opening.samples.map(({ here, beyond }) =>
            Math.abs(valueOf(at(here), values) - ('levelMm' in beyond ? beyond.levelMm : valueOf(at(beyond), values))),
          ),
        ),
      })),
      trimmed: leaves.flatMap(({ leaf, trim }) => (values[trim]! > 0.5 ? [leaf.id] : [])),
    }),
  };
}

interface RoomVariables {
  choices: { column: number; system: HeightSystem; poured: boolean }[];
  level: number | null;
  litres: number | null;
}

type Add = (cost: number, lower: number, upper: number, whole: boolean) => number;
type Row = (terms: Terms, lower: number, upper: number) => void;

function roomVariables({ systems, keepCost, pour, mostKgM2, areaM2 }: HeightRoom, add: Add, row: Row): RoomVariables {
  const choices = [false, ...(pour ? [true] : [])].flatMap((poured) =>
    systems.map((system) => ({
      column: add(system.cost + (poured ? pour!.cost : (system.keepCost ?? keepCost)), 0, 1, true),
      system,
      poured,
    })),
  );
  row(new Map(choices.map(({ column }) => [column, 1])), 1, 1);
  const level = pour && add(0, Math.min(0, pour.lowMm), Math.max(0, pour.highMm), false);
  const litres = pour && add(pour.costPerL, 0, Infinity, false);
  const poured = choices.filter((choice) => choice.poured).map(({ column }) => column);
  if (pour && level !== null && litres !== null) {
    row(new Map([[level, 1], ...poured.map((column): [number, number] => [column, -pour.highMm])]), -Infinity, 0);
    row(new Map([[level, 1], ...poured.map((column): [number, number] => [column, -pour.lowMm])]), 0, Infinity);
    for (const piece of pour.pieces)
      row(
        new Map([
          [litres, 1],
          [level, -piece.perMm],
          ...poured.map((column): [number, number] => [column, -piece.litres]),
        ]),
        0,
        Infinity,
      );
  }
  if (mostKgM2 !== null) {
    const weight: Terms = new Map(choices.map(({ column, system }) => [column, system.kgM2]));
    if (pour && litres !== null) weight.set(litres, pour.kgPerL / areaM2);
    row(weight, -Infinity, mostKgM2);
  }
  return { choices, level, litres };
}

/** Finished level at a place as a sum of variables: the build-up chosen, on the surface kept there or on the pour. */
function levelTerms({ choices, level }: RoomVariables, { keptMm, overMm = 0 }: HeightSample): Terms {
  const terms: Terms = new Map(
    choices.map(({ column, system, poured }) => [column, system.buildUpMm + overMm + (poured ? 0 : keptMm)]),
  );
  if (level !== null) terms.set(level, 1);
  return terms;
}

function less(a: Terms, b: Terms): Terms {
  const terms: Terms = new Map(a);
  for (const [column, weight] of b) terms.set(column, (terms.get(column) ?? 0) - weight);
  return terms;
}
